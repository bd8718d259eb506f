<?php

declare(strict_types=1);

namespace Impa\Seeing\Editing;

use DomainException;
use Impa\Refusal;

/** A cut, a merge or a change that cannot be made, and what to do instead. */
final class PartEditRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be cut so';
    }

    public static function noSuchPart(string $key): self
    {
        return new self(sprintf('There is no part "%s" in this figure.', $key));
    }

    public static function noSuchDetail(string $key): self
    {
        return new self(sprintf('There is no detail "%s" in this figure.', $key));
    }

    public static function lineMisses(string $name): self
    {
        return new self(sprintf('The line leaves %s in one piece. Draw it right across, from one side to the other.', $name));
    }

    public static function oneIsNoPair(): self
    {
        return new self('Choose two parts or more to make one of them.');
    }

    public static function tooSmall(): self
    {
        return new self('What you drew round is too small for a part: 2 mm across at least.');
    }

    public static function nothingThere(): self
    {
        return new self('There is nothing of the drawing inside the line you drew.');
    }

    public static function rootStays(string $name): self
    {
        return new self(
            sprintf(
                '%s carries the others and lies on nothing: join it to another part first, then it can become colour on that one.',
                $name,
            ),
        );
    }

    public static function turnedAway(string $name): self
    {
        return new self(sprintf('%s is turned out of the picture plane; set its turn back to 0 first.', $name));
    }
}
