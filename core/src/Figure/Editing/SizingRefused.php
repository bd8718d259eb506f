<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A size that no figure can have. */
final class SizingRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('figure.sizing-refused.this-size-cannot-be');
    }

    public static function noSuchPart(string $key): self
    {
        return new self(Message::of('figure.sizing-refused.there-is-no-part', key: $key));
    }

    public static function mustBePositive(float $mm): self
    {
        return new self(Message::of('figure.sizing-refused.a-size-must-be', mm: Amount::mm($mm)));
    }

    public static function nothingToSize(): self
    {
        return new self(Message::of('figure.sizing-refused.the-figure-has-no'));
    }

    public static function outOfRange(float $heightMm): self
    {
        return new self(Message::of(
            'figure.sizing-refused.the-figure-would-stand',
            height: Amount::mm($heightMm),
            mm: Amount::mm(10.0),
            mm2: Amount::mm(2000.0),
        ));
    }
}
