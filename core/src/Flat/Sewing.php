<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Figure\Term\Stitch;

/** How a piece is sewn from felt. Immutable. */
final readonly class Sewing
{
    private function __construct(
        public float $seamMm,
        public Stitch $stitch,
        public float $stitchMm,
        public float $feltMm,
        public bool $isHollow,
    ) {
    }

    /**
     * @param  float  $seamMm  allowance outside the line that is sewn, 0 to 20; 0 where rims are sewn together edge to edge
     * @param  float  $stitchMm  from stitch to stitch, 1 to 20
     * @param  float  $feltMm  how thick the felt is, 0.3 to 10
     * @param  bool  $isHollow  whether it stays open, as a hat does; else it is closed and stuffed
     *
     * @throws FlatRefused if one of them is out of range
     */
    public static function of(
        float $seamMm = 3.0,
        Stitch $stitch = Stitch::Back,
        float $stitchMm = 3.0,
        float $feltMm = 1.5,
        bool $isHollow = false,
    ): self {
        $isIn = static fn (float $mm, float $least, float $most): bool => $mm >= $least && $mm <= $most;
        if (! $isIn($seamMm, 0.0, 20.0) || ! $isIn($stitchMm, 1.0, 20.0) || ! $isIn($feltMm, 0.3, 10.0)) {
            throw FlatRefused::seamOutOfRange();
        }

        return new self($seamMm, $stitch, $stitchMm, $feltMm, $isHollow);
    }
}
