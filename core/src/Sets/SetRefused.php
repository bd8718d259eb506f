<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A set that cannot be planned, or is no set. */
final class SetRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('sets.set-refused.this-set-cannot-be');
    }

    public static function ofNone(): self
    {
        return new self(Message::of('sets.set-refused.the-set-is-empty'));
    }

    public static function tooMany(int $most): self
    {
        return new self(Message::of('sets.set-refused.at-most-figures', most: $most));
    }

    public static function countOutOfRange(string $name, int $most): self
    {
        return new self(Message::of('sets.set-refused.there-are-1', name: $name, most: $most));
    }

    public static function nameless(): self
    {
        return new self(Message::of('sets.set-refused.a-set-wants'));
    }

    public static function noDocument(Message $why): self
    {
        return new self($why);
    }

    public static function tooManyPeople(int $most): self
    {
        return new self(Message::of('sets.set-refused.a-workshop-has-1', most: $most));
    }

    public static function tooManySpare(int $most): self
    {
        return new self(Message::of('sets.set-refused.spare-bags-are-0', most: $most));
    }

    public static function noShare(): self
    {
        return new self(Message::of('sets.set-refused.beginners-are-a-share'));
    }

    public static function labelTooSmall(string $label, int $room, int $wanted): self
    {
        return new self(Message::of('sets.set-refused.a-label-of-has', label: $label, room: $room, wanted: $wanted));
    }

    public static function noSuchColour(string $key): self
    {
        return new self(Message::of('sets.set-refused.there-is-no-colour', key: $key));
    }
}
