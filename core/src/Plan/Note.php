<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Voice\Message;

/** Something worth knowing before the wool is cut: a warning with an amount, or a caution. Immutable. */
final readonly class Note
{
    /** @param  string  $at JSON Pointer into the figure; empty for the whole */
    public function __construct(
        public string $code,
        public string $at,
        public Message $text,
    ) {
    }
}
