<?php

declare(strict_types=1);

namespace Impa\Show;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A place to show a figure that is none. */
final class ShowRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('show.show-refused.that-cannot-be-reckoned');
    }

    public static function noParts(): self
    {
        return new self(Message::of('show.show-refused.this-figure-has-no'));
    }

    public static function outOfRange(string $what, float $least, float $most): self
    {
        return new self(Message::of(
            'show.show-refused.to-measured-inside',
            what: Message::of('show.measure.'.$what),
            least: Amount::mm($least),
            most: Amount::mm($most),
        ));
    }

    public static function noScale(): self
    {
        return new self(Message::of('show.show-refused.a-house-is-built'));
    }
}
