<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Raster\Blob;

/** A patch of colour on the surface of a piece. Immutable. */
final readonly class Mark
{
    /**
     * @param  int  $label  colour
     * @param  Blob  $blob  with all that lies on it
     * @param  int  $on  number of the piece
     * @param  int  $layer  1 on the piece's own colour, 2 on a mark, and so on
     * @param  int  $edgePx  length of the edge of what is seen of it
     */
    public function __construct(
        public int $label,
        public Blob $blob,
        public int $on,
        public int $layer,
        public int $edgePx,
    ) {
    }
}
