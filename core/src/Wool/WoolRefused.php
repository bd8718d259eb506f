<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Refusal;
use Impa\Voice\Amount;
use RuntimeException;

/** What cannot be done with wool, in words that name the place and the mend. */
final class WoolRefused extends RuntimeException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be done with the wool';
    }

    public static function ratioMustBePositive(): self
    {
        return new self('A weight is split by shares that are each more than 0, such as 3 : 2 : 2.');
    }

    public static function gramsMustNotBeNegative(string $name, float $g): self
    {
        return new self(
            sprintf('%s cannot have %s: weigh it again, an empty bag is 0.', $name === '' ? 'A wool' : $name, Amount::g($g)),
        );
    }

    public static function tooHeavy(float $g, float $mostG): self
    {
        return new self(sprintf('%s is more than a drawer holds: at most %s.', Amount::g($g), Amount::g($mostG)));
    }

    public static function takenAlready(): self
    {
        return new self('This figure has taken its wool already; it is counted once.');
    }

    public static function unknownWool(int $id): self
    {
        return new self(sprintf('There is no wool number %d in the stash any more.', $id));
    }

    public static function cannotRead(string $why): self
    {
        return new self($why);
    }

    public static function noCard(): self
    {
        return new self(
            'The grey card is too dark or too bright in this photo to tell the light from it: take the photo '
                .'again in daylight, without a flash.',
        );
    }
}
