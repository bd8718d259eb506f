<?php

declare(strict_types=1);

namespace Impa\Figure;

/** The drawing a figure was taken from: its pixels, their scale, and where the figure's origin lies on it. Immutable. */
final readonly class Picture
{
    public function __construct(
        public int $widthPx,
        public int $heightPx,
        public float $mmPerPx,
        public float $originXPx,
        public float $originYPx,
    ) {
    }
}
