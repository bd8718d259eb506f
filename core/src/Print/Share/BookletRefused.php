<?php

declare(strict_types=1);

namespace Impa\Print\Share;

use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A booklet that cannot be shared, or none that can be taken in. */
final class BookletRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('print.booklet-refused.this-booklet-cannot-be');
    }

    public static function notHers(): self
    {
        return new self(Message::of('print.booklet-refused.say-whose-the-design'));
    }

    public static function nobody(): self
    {
        return new self(Message::of('print.booklet-refused.name-who-made'));
    }

    public static function tooLong(int $most): self
    {
        return new self(Message::of('print.booklet-refused.who-made', most: $most));
    }

    public static function noBooklet(): self
    {
        return new self(Message::of('print.booklet-refused.this-is-no-impa'));
    }
}
