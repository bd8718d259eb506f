<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A change that cannot be made to this figure, and why. */
final class EditRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('figure.edit-refused.this-cannot-be-changed');
    }

    public static function sizeOutOfRange(float $least, float $most): self
    {
        return new self(Message::of('figure.edit-refused.a-figure-is-made', least: Amount::share($least), most: Amount::share($most)));
    }

    public static function noSuchColour(string $key): self
    {
        return new self(Message::of('figure.edit-refused.there-is-no-colour', key: mb_strimwidth($key, 0, 60, '...')));
    }

    public static function noSuchPart(string $key): self
    {
        return new self(Message::of('figure.edit-refused.there-is-no-part', key: $key));
    }

    public static function noSuchDetail(string $key): self
    {
        return new self(Message::of('figure.edit-refused.there-is-no-detail', key: $key));
    }

    public static function noSuchWire(string $key): self
    {
        return new self(Message::of('figure.edit-refused.there-is-no-wire', key: $key));
    }

    public static function noSuchThing(string $name): self
    {
        return new self(Message::of('figure.edit-refused.there-is-no-thing', name: mb_strimwidth($name, 0, 60, '...')));
    }

    public static function ownPart(): self
    {
        return new self(Message::of('figure.edit-refused.a-thing-cannot-hold'));
    }

    public static function heightOutOfRange(): self
    {
        return new self(Message::of('figure.edit-refused.a-thing', mm: Amount::mm(1.0), mm2: Amount::mm(2000.0)));
    }

    public static function showsAlready(string $name): self
    {
        return new self(Message::of('figure.edit-refused.shows-in-the-round', name: $name));
    }

    public static function touchesAlready(string $name): self
    {
        return new self(Message::of('figure.edit-refused.touches-already', name: $name));
    }

    public static function goesNotRound(string $name): self
    {
        return new self(Message::of('figure.edit-refused.only-a-roll', name: $name));
    }

    public static function nothingChosen(): self
    {
        return new self(Message::of('figure.edit-refused.nothing-is-chosen'));
    }
}
