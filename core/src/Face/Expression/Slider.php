<?php

declare(strict_types=1);

namespace Impa\Face\Expression;

use Impa\Voice\Message;

/** One thing that can be varied on an expression. Immutable. */
final readonly class Slider
{
    /** @param  float  $step  1 for what is counted */
    public function __construct(
        public string $key,
        public Message $name,
        public float $from,
        public float $to,
        public float $usual,
        public float $step = 0.01,
    ) {
    }

    /** Within its range, at its step; the usual where nothing is given. */
    public function held(?float $value): float
    {
        $value = max($this->from, min($this->to, $value ?? $this->usual));

        return round($value / $this->step) * $this->step;
    }
}
