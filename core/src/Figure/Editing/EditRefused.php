<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use DomainException;
use Impa\Refusal;
use Impa\Voice\Amount;

/** A change that cannot be made to this figure, and why. */
final class EditRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be changed so';
    }

    public static function sizeOutOfRange(float $least, float $most): self
    {
        return new self(sprintf('A figure is made %s to %s as large.', Amount::share($least), Amount::share($most)));
    }

    public static function noSuchColour(string $key): self
    {
        return new self(sprintf('There is no colour "%s" in this figure.', mb_strimwidth($key, 0, 60, '...')));
    }

    public static function noSuchPart(string $key): self
    {
        return new self(sprintf('There is no part "%s" in this figure.', $key));
    }

    public static function noSuchDetail(string $key): self
    {
        return new self(sprintf('There is no detail "%s" in this figure.', $key));
    }

    public static function noSuchWire(string $key): self
    {
        return new self(sprintf('There is no wire "%s".', $key));
    }

    public static function noSuchThing(string $name): self
    {
        return new self(sprintf('There is no thing "%s" in this figure.', mb_strimwidth($name, 0, 60, '...')));
    }

    public static function ownPart(): self
    {
        return new self('A thing cannot hold itself: choose a part of the figure.');
    }

    public static function heightOutOfRange(): self
    {
        return new self('A thing is 1 to 2000 mm tall.');
    }

    public static function showsAlready(string $name): self
    {
        return new self(sprintf('%s shows in the round as in the picture: nothing hides it.', $name));
    }

    public static function goesNotRound(string $name): self
    {
        return new self(sprintf(
            'Only a roll that lies across what it is joined to, twice as long as thick at the least, is laid round: %s is none.',
            $name,
        ));
    }

    public static function nothingChosen(): self
    {
        return new self('Nothing is chosen that this could be done with.');
    }
}
