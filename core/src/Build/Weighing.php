<?php

declare(strict_types=1);

namespace Impa\Build;

/** What to weigh out for a step: so many equal pieces of so many grams each. Immutable. */
final readonly class Weighing
{
    /** @param  string  $colour key of the figure's colour; empty for undyed inside material */
    public function __construct(
        public string $material,
        public string $colour,
        public float $g,
        public int $pieces,
    ) {
    }
}
