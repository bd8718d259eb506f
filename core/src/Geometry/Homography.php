<?php

declare(strict_types=1);

namespace Impa\Geometry;

/**
 * The projective map from the unit square to a quadrilateral (Heckbert 1989): a sheet as a camera sees it. Immutable.
 */
final readonly class Homography
{
    /** Lines that meet no nearer than this are parallel: then nothing is known of the camera. */
    private const PARALLEL = 1e-4;

    private function __construct(
        private float $a,
        private float $b,
        private float $c,
        private float $d,
        private float $e,
        private float $f,
        private float $g,
        private float $h,
    ) {
    }

    /** @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $corners  where (0,0), (1,0), (1,1) and (0,1) go; convex */
    public static function onto(array $corners): self
    {
        [[$x0, $y0], [$x1, $y1], [$x2, $y2], [$x3, $y3]] = $corners;
        [$dx1, $dy1, $dx2, $dy2] = [$x1 - $x2, $y1 - $y2, $x3 - $x2, $y3 - $y2];
        [$sx, $sy] = [$x0 - $x1 + $x2 - $x3, $y0 - $y1 + $y2 - $y3];
        $all = $dx1 * $dy2 - $dx2 * $dy1;
        $g = ($sx * $dy2 - $dx2 * $sy) / $all;
        $h = ($dx1 * $sy - $sx * $dy1) / $all;

        return new self(
            a: $x1 - $x0 + $g * $x1,
            b: $x3 - $x0 + $h * $x3,
            c: $x0,
            d: $y1 - $y0 + $g * $y1,
            e: $y3 - $y0 + $h * $y3,
            f: $y0,
            g: $g,
            h: $h,
        );
    }

    /** @return array{float, float} where a place of the unit square is seen */
    public function at(float $u, float $v): array
    {
        $w = $this->g * $u + $this->h * $v + 1.0;

        return [($this->a * $u + $this->b * $v + $this->c) / $w, ($this->d * $u + $this->e * $v + $this->f) / $w];
    }

    /**
     * How much farther from the camera the sheet lies for each step to the right and downwards, as a share of how far its middle is.
     *
     * @return array{float, float} for the whole width, and the whole height
     */
    public function falls(): array
    {
        $middle = 1.0 + ($this->g + $this->h) / 2;

        return [$this->g / $middle, $this->h / $middle];
    }

    /**
     * How much wider than high the sheet itself is, by a camera with square pixels that looks along the middle of the picture (Zhang
     * and He, Whiteboard scanning, 2007); null where it is seen so straight that this says nothing.
     *
     * @param  float  $x  middle of the picture
     * @param  float  $y  middle of the picture
     */
    public function aspect(float $x, float $y): ?float
    {
        [$a, $d] = [$this->a - $x * $this->g, $this->d - $y * $this->g];
        [$b, $e] = [$this->b - $x * $this->h, $this->e - $y * $this->h];
        $scale = hypot($x, $y);
        if (min(abs($this->g), abs($this->h)) < self::PARALLEL || $scale <= 0.0) {
            return null;
        }
        $focal = -($a * $b + $d * $e) / ($this->g * $this->h);
        if ($focal <= 0.0) {
            return null;
        }

        return sqrt((($a ** 2 + $d ** 2) / $focal + $this->g ** 2) / (($b ** 2 + $e ** 2) / $focal + $this->h ** 2));
    }
}
