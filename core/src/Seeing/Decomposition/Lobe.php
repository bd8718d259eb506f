<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Raster\Blob;

/** A blob cut off at a neck; a neck of 0 is none. Immutable. */
final readonly class Lobe
{
    public function __construct(
        public Blob $blob,
        public float $neckPx,
    ) {
    }
}
