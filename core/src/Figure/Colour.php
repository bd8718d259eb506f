<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Colour\Srgb;

/** A wool colour of the figure. Immutable. */
final readonly class Colour
{
    /** @param  array<string, int>  $mix  what the felter felts it from: percent by the wool's name; empty for the nearest wool */
    public function __construct(
        public string $key,
        public string $name,
        public Srgb $srgb,
        public array $mix = [],
    ) {
    }
}
