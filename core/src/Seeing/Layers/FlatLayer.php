<?php

declare(strict_types=1);

namespace Impa\Seeing\Layers;

use Impa\Raster\Blob;

/** One layer of a flat figure as seen on a drawing. Pixels. Immutable. */
final readonly class FlatLayer
{
    /**
     * @param  int  $region  number of the region it is
     * @param  int  $label  its colour
     * @param  Blob  $seen  what is seen of it
     * @param  Blob  $cut  what is cut or laid: with what lies beneath its neighbours
     * @param  int  $level  how many layers lie beneath it at most
     * @param  int  $under  number of the layer that most of it lies on, -1 for a ground
     */
    public function __construct(
        public int $region,
        public int $label,
        public Blob $seen,
        public Blob $cut,
        public int $level,
        public int $under,
    ) {
    }
}
