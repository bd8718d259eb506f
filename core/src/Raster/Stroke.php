<?php

declare(strict_types=1);

namespace Impa\Raster;

use Impa\Geometry\Outline\Polyline;

/** A long thin blob seen as a drawn line: its course and its width. Pixels, y up. Immutable. */
final readonly class Stroke
{
    /** A blob at least so many times longer than wide is taken for a line. */
    private const LONG = 3.6;

    /** A ring or a clump walked through comes out shorter than so many times its width. */
    private const SLIM = 2.4;

    /**
     * @param  list<array{float, float}>  $course  two points at least, from one end to the other, half a width short of both tips
     * @param  float  $evenness  the narrowest place as a share of the widest, both ends apart: 0 to 1
     */
    private function __construct(public array $course, public float $widthPx, public float $lengthPx, public float $evenness)
    {
    }

    /** Whether the blob is long and thin enough, given the length of its edge in pixels. */
    public static function isOne(Blob $blob, int $edgePx): bool
    {
        $width = (2 * $blob->area()) / max(1, $edgePx);

        return $edgePx / 2 > self::LONG * $width && max($blob->box(0.0)[0], $blob->box(0.0)[1]) > 2.5 * $width;
    }

    /**
     * Walks through the blob by geodesic distance (steps within it), from the pixel farthest from any other, and joins
     * the middles of what lies equally far along.
     * The blob is connected.
     */
    public static function of(Blob $blob): self
    {
        $inside = $blob->pixels;
        $end = self::walk($inside, $blob->width, (int) array_key_first($inside))[1];
        [$far, $tip] = self::walk($inside, $blob->width, $end);
        $longest = max(1, $far[$tip]);
        $count = max(3, min(24, (int) round($longest / max(2.0, (0.7 * $blob->area()) / $longest))));
        $sums = array_fill(0, $count, [0, 0.0, 0.0]);
        foreach ($far as $i => $steps) {
            $k = min($count - 1, (int) (($steps / $longest) * $count));
            $sums[$k] = [
                $sums[$k][0] + 1,
                $sums[$k][1] + ($i % $blob->width) + 0.5,
                $sums[$k][2] - intdiv($i, $blob->width) - 0.5,
            ];
        }
        $course = [];
        foreach ($sums as [$n, $sumX, $sumY]) {
            if ($n > 0) {
                $course[] = [$sumX / $n, $sumY / $n];
            }
        }
        $length = Polyline::length($course);
        // The middles of the first and last slice lie half a slice short of the tips.
        $length *= count($course) / max(1, count($course) - 1);
        $width = $blob->area() / max(1.0, $length);

        $counts = array_slice(array_column($sums, 0), 1, -1);

        return new self(Contour::line($course, 0.4), $width, $length, $counts === [] ? 1.0 : min($counts) / max(1, ...$counts));
    }

    /**
     * Geodesic distance: steps within the blob from a pixel to every other, and the pixel that is farthest.
     *
     * @param  array<int, true>  $inside
     * @return array{array<int, int>, int}
     */
    private static function walk(array $inside, int $width, int $from): array
    {
        $far = [$from => 0];
        $front = [$from];
        $last = $from;
        for ($steps = 1; $front !== []; $steps++) {
            $next = [];
            // Every other step goes round corners as well: an octagon's distances, nearer to straight ones than a diamond's.
            $ways =
                $steps % 2 === 0
                    ? [-1, 1, -$width, $width, -$width - 1, -$width + 1, $width - 1, $width + 1]
                    : [-1, 1, -$width, $width];
            foreach ($front as $i) {
                foreach ($ways as $way) {
                    $j = $i + $way;
                    if (isset($inside[$j]) && ! isset($far[$j])) {
                        $far[$j] = $steps;
                        $next[] = $last = $j;
                    }
                }
            }
            $front = $next;
        }

        return [$far, $last];
    }

    /** Whether it is a line at all, and covers, drawn in its width, such a share of the blob. */
    public function covers(Blob $blob, float $share): bool
    {
        if ($this->lengthPx < self::SLIM * $this->widthPx) {
            return false;
        }
        $reach = $this->widthPx / 2 + 0.8;
        $in = 0;
        foreach ($blob->pixels as $i => $_) {
            $in += (int) ($this->distance(($i % $blob->width) + 0.5, -intdiv($i, $blob->width) - 0.5) <= $reach);
        }

        return $in > $share * $blob->area();
    }

    /**
     * The bend of the even arc that has this chord and length, 0 to 330 degrees: where sin(a/2) / (a/2) is their ratio, by halving.
     */
    public function bendDeg(): float
    {
        [$from, $to] = [$this->course[0], $this->course[count($this->course) - 1]];
        $chord = hypot($to[0] - $from[0], $to[1] - $from[1]);
        $share = $chord / max(1e-9, $chord, $this->lengthPx - $this->widthPx);
        [$low, $high] = [0.0, 330.0];
        for ($i = 0; $i < 20; $i++) {
            $half = deg2rad(($low + $high) / 4);
            if (sin($half) / max(1e-9, $half) > $share) {
                $low = ($low + $high) / 2;
            } else {
                $high = ($low + $high) / 2;
            }
        }

        return $low;
    }

    /**
     * The same by its height over its chord (the sagitta), which for a nearly straight line is the surer measure: an arc is so high as
     * a quarter of its bend's tangent says.
     */
    public function archDeg(): float
    {
        [[$ax, $ay], [$bx, $by]] = [$this->course[0], $this->course[count($this->course) - 1]];
        $chord = hypot($bx - $ax, $by - $ay);
        $high = 0.0;
        foreach ($this->course as [$x, $y]) {
            $high = max($high, abs(($bx - $ax) * ($y - $ay) - ($by - $ay) * ($x - $ax)) / max(1e-9, $chord));
        }

        return min(330.0, rad2deg(4 * atan(2 * $high / max(1e-9, $chord))));
    }

    private function distance(float $x, float $y): float
    {
        $least = INF;
        for ($i = 1; $i < count($this->course); $i++) {
            [[$ax, $ay], [$bx, $by]] = [$this->course[$i - 1], $this->course[$i]];
            $square = ($bx - $ax) ** 2 + ($by - $ay) ** 2;
            $t = $square > 0.0 ? max(0.0, min(1.0, (($x - $ax) * ($bx - $ax) + ($y - $ay) * ($by - $ay)) / $square)) : 0.0;
            $least = min($least, hypot($x - $ax - $t * ($bx - $ax), $y - $ay - $t * ($by - $ay)));
        }

        return $least;
    }
}
