<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Raster\Blob;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Segmentation\Region;

/** A lobe on its way to becoming a part: the blob it covers when whole, and the shape seen in it. */
final class Piece
{
    public bool $mirror = false;

    /** Number of the piece that is its twin, now one with it; -1 for none. */
    public int $twin = -1;

    /** Number of the piece it is joined to, -1 for the root. */
    public int $joinTo = -1;

    public float $zPx = 0.0;

    public string $key = '';

    public string $name = '';

    /** Whether other pieces hide some of it, so that its shape is completed by guess. */
    public bool $isPartlyHidden = false;

    /**
     * @param  Region  $region  what is seen of it, colour included
     * @param  float  $neckPx  width of the neck at which it was cut off; 0 where it was not
     * @param  ?Fringe  $fringe  of a saw-toothed rim, where tufts make it; the shape is then the body's within it
     * @param  int  $colours  how many colours its own ground was seen in, when it is one body in several
     */
    public function __construct(
        public readonly Region $region,
        public readonly Blob $blob,
        public Fit $fit,
        public readonly float $neckPx,
        public readonly int $colours,
        public readonly ?Fringe $fringe = null,
    ) {
    }
}
