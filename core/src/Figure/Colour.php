<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Colour\Srgb;

/** A wool colour of the figure. Immutable. */
final readonly class Colour
{
    public function __construct(
        public string $key,
        public string $name,
        public Srgb $srgb,
    ) {
    }
}
