<?php

declare(strict_types=1);

namespace Impa\Raster;

/** A set of pixels to be seen as one shape; x to the right and y UP from here on, in pixels. Immutable. */
final readonly class Blob
{
    /**
     * @param  array<int, true>  $pixels
     * @param  array{float, float}  $middle
     * @param  array{float, float, float}  $covariance  their covariance (second central moments) xx, xy, yy
     * @param  list<array{float, float}>  $rim  middles of the leftmost and rightmost pixel of each row
     */
    private function __construct(
        public array $pixels,
        public int $width,
        public array $middle,
        public array $covariance,
        private array $rim,
    ) {
    }

    /** @param  array<int, true>  $pixels not empty */
    public static function of(array $pixels, int $width): self
    {
        $n = count($pixels);
        $sx = $sy = $xx = $xy = $yy = 0.0;
        $left = $right = [];
        foreach ($pixels as $i => $_) {
            $row = intdiv($i, $width);
            $x = ($i % $width) + 0.5;
            $y = -$row - 0.5;
            if (! isset($left[$row]) || $x < $left[$row]) {
                $left[$row] = $x;
            }
            if (! isset($right[$row]) || $x > $right[$row]) {
                $right[$row] = $x;
            }
            $sx += $x;
            $sy += $y;
            $xx += $x * $x;
            $xy += $x * $y;
            $yy += $y * $y;
        }
        [$mx, $my] = [$sx / $n, $sy / $n];
        $rim = [];
        foreach ($left as $row => $x) {
            array_push($rim, [$x, -$row - 0.5], [$right[$row], -$row - 0.5]);
        }

        return new self(
            $pixels,
            $width,
            [$mx, $my],
            [$xx / $n - $mx * $mx + 1 / 12, $xy / $n - $mx * $my, $yy / $n - $my * $my + 1 / 12],
            $rim,
        );
    }

    public function area(): int
    {
        return count($this->pixels);
    }

    /** Angle of the longest axis (the first principal axis of the covariance) from upright, anticlockwise, -90 to 90 degrees. */
    public function leanDeg(): float
    {
        [$xx, $xy, $yy] = $this->covariance;
        $deg = rad2deg(atan2(2 * $xy, $xx - $yy) / 2) - 90;

        return $deg <= -90 ? $deg + 180 : $deg;
    }

    /** Length over width, at least 1. */
    public function elongation(): float
    {
        [$xx, $xy, $yy] = $this->covariance;
        $mean = ($xx + $yy) / 2;
        $off = hypot(($xx - $yy) / 2, $xy);

        return sqrt(($mean + $off) / max(1e-6, $mean - $off));
    }

    /**
     * Its box in a frame turned by an angle.
     *
     * @return array{float, float, float, float} width, height, and the box's middle x and y
     */
    public function box(float $turnDeg): array
    {
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        $minU = $minV = INF;
        $maxU = $maxV = -INF;
        foreach ($this->rim as [$x, $y]) {
            $u = $x * $c + $y * $s;
            $v = $y * $c - $x * $s;
            $minU = $u < $minU ? $u : $minU;
            $maxU = $u > $maxU ? $u : $maxU;
            $minV = $v < $minV ? $v : $minV;
            $maxV = $v > $maxV ? $v : $maxV;
        }
        [$u, $v] = [($minU + $maxU) / 2, ($minV + $maxV) / 2];

        return [$maxU - $minU + 1, $maxV - $minV + 1, $u * $c - $v * $s, $u * $s + $v * $c];
    }
}
