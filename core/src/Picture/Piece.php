<?php

declare(strict_types=1);

namespace Impa\Picture;

/** A region on its way to becoming a part: the blob it covers when whole, and the shape seen in it. */
final class Piece
{
    public bool $mirror = false;

    /** Index of the region it is joined to, -1 for the root. */
    public int $joinTo = -1;

    public float $zPx = 0.0;

    public string $key = '';

    public string $name = '';

    public function __construct(
        public readonly Region $region,
        public readonly Blob $blob,
        public Fit $fit,
    ) {
    }
}
