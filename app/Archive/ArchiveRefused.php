<?php

declare(strict_types=1);

namespace App\Archive;

use Impa\Voice\Message;
use Impa\Voice\Refusal;
use RuntimeException;

/** An archive that is not taken in, in words; nothing of it was. */
final class ArchiveRefused extends RuntimeException implements Refusal
{
    public static function because(string $why): self
    {
        return new self($why.Message::of('house.refused.nothing-taken-in'));
    }

    public function title(): Message
    {
        return Message::of('house.archive-refused');
    }
}
