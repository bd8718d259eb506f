<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** What cannot be done with wool, in words that name the place and the mend. */
final class WoolRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('wool.wool-refused.this-cannot-be-done');
    }

    public static function ratioMustBePositive(): self
    {
        return new self(Message::of('wool.wool-refused.a-weight-is-split'));
    }

    public static function gramsMustNotBeNegative(string $name, float $g): self
    {
        return new self(
            $name === ''
                ? Message::of('wool.wool-refused.a-wool-cannot-have', g: Amount::g($g))
                : Message::of('wool.wool-refused.cannot-have-weigh', name: $name, g: Amount::g($g)),
        );
    }

    public static function tooHeavy(float $g, float $mostG): self
    {
        return new self(Message::of('wool.wool-refused.is-more-than', g: Amount::g($g), mostG: Amount::g($mostG)));
    }

    public static function takenAlready(): self
    {
        return new self(Message::of('wool.wool-refused.this-figure-has-taken'));
    }

    public static function unknownWool(int $id): self
    {
        return new self(Message::of('wool.wool-refused.there-is-no-wool', id: $id));
    }

    public static function cannotRead(Message $why): self
    {
        return new self($why);
    }

    public static function noCard(): self
    {
        return new self(
            Message::of('wool.wool-refused.the-grey-card'),
        );
    }
}
