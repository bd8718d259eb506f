<?php

declare(strict_types=1);

namespace App\Store;

use Impa\Voice\Message;
use Impa\Voice\Refusal;
use RuntimeException;

/** A record that is none: which of its members, and what is wrong with it, in words. */
final class RecordRefused extends RuntimeException implements Refusal
{
    public static function because(string $why): self
    {
        return new self($why);
    }

    public function title(): Message
    {
        return Message::of('house.record-refused');
    }
}
