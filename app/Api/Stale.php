<?php

declare(strict_types=1);

namespace App\Api;

use Impa\Voice\Message;
use Impa\Voice\Refusal;
use RuntimeException;

/** Another window changed it since this one read it: nothing was written, and what stands there now is told. */
final class Stale extends RuntimeException implements Refusal
{
    /** @param  array<array-key, mixed>  $state  as it stands now */
    public function __construct(string $what, public readonly string $revision, public readonly array $state)
    {
        parent::__construct((string) Message::of('house.stale.was-changed-in-another', what: $what));
    }

    public function title(): Message
    {
        return Message::of('house.changed-elsewhere');
    }
}
