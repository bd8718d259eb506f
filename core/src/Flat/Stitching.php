<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Figure\Term\Stitch;

/**
 * Stitches along a rim or seam, and the thread they take: the length of its course, stitch by stitch, straight through the felt and
 * straight along it (common practice; no published table). Immutable.
 */
final readonly class Stitching
{
    /** What is threaded at a time, and what of it is lost to the knot and to the needle at the end, mm (common practice). */
    public const NEEDLEFUL_MM = 600.0;

    public const TAIL_MM = 100.0;

    /** A knot of two turns round the needle, with its way through the felt, mm (common practice). */
    private const KNOT_TURNS = 2;

    private const KNOT_MM = 1.5;

    private function __construct(
        public Stitch $stitch,
        public float $lengthMm,
        public int $count,
        public float $workingMm,
    ) {
    }

    /**
     * @param  float  $lengthMm  of the rim or seam
     * @param  float  $stitchMm  from stitch to stitch, as it is asked for; the nearest that comes out even is taken
     * @param  float  $thickMm  of all felt that is gone through
     */
    public static function along(Stitch $stitch, float $lengthMm, float $stitchMm, float $thickMm): self
    {
        if ($stitch === Stitch::None || $lengthMm <= 0.0) {
            return new self(Stitch::None, 0.0, 0, 0.0);
        }
        $count = max(1, (int) round($lengthMm / $stitchMm));
        $pitch = $lengthMm / $count;
        // A bite is as deep as a stitch is long: square ones hold and look best (common practice).
        $bite = $pitch;
        $each = match ($stitch) {
            // Along one half on top, along the other beneath, down and up.
            Stitch::Running => $pitch + 2 * $thickMm,
            // Forwards two beneath, back one on top.
            Stitch::Back => 3 * $pitch + 2 * $thickMm,
            // Over the rim on top, down, slanting on beneath, up.
            Stitch::Whip => $bite + hypot($pitch, $bite) + 2 * $thickMm,
            // Along the rim, in on top, down, back beneath, up to the rim.
            Stitch::Blanket => $pitch + 2 * $bite + 2 * $thickMm,
        };

        return new self($stitch, $lengthMm, $count, $count * $each);
    }

    /** Knots, each with its way up and down through the felt. */
    public static function knots(int $count, float $thickMm): self
    {
        return new self(Stitch::None, 0.0, $count, $count * (self::KNOT_TURNS * M_PI * self::KNOT_MM + 2 * $thickMm));
    }

    /** How often the needle is threaded. */
    public function needlefuls(): int
    {
        return (int) ceil($this->workingMm / (self::NEEDLEFUL_MM - self::TAIL_MM));
    }

    /** Thread in all, tails included, mm. */
    public function threadMm(): float
    {
        return $this->workingMm + $this->needlefuls() * self::TAIL_MM;
    }
}
