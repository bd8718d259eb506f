<?php

declare(strict_types=1);

namespace Impa\Seeing\Editing;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A cut, a merge or a change that cannot be made, and what to do instead. */
final class PartEditRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('seeing.part-edit-refused.this-cannot-be-cut');
    }

    public static function noSuchPart(string $key): self
    {
        return new self(Message::of('seeing.part-edit-refused.there-is-no-part', key: $key));
    }

    public static function noSuchDetail(string $key): self
    {
        return new self(Message::of('seeing.part-edit-refused.there-is-no-detail', key: $key));
    }

    public static function lineMisses(string $name): self
    {
        return new self(Message::of('seeing.part-edit-refused.the-line-leaves', name: $name));
    }

    public static function oneIsNoPair(): self
    {
        return new self(Message::of('seeing.part-edit-refused.choose-two-parts'));
    }

    public static function tooSmall(): self
    {
        return new self(Message::of('seeing.part-edit-refused.what-you-drew-round', mm: Amount::mm(2.0)));
    }

    public static function nothingThere(): self
    {
        return new self(Message::of('seeing.part-edit-refused.there-is-nothing'));
    }

    public static function rootStays(string $name): self
    {
        return new self(
            Message::of('seeing.part-edit-refused.carries-the-others', name: $name),
        );
    }

    public static function turnedAway(string $name): self
    {
        return new self(Message::of('seeing.part-edit-refused.is-turned-out', name: $name));
    }
}
