<?php

declare(strict_types=1);

namespace Impa\Surface;

use Impa\Geometry\Bisection;

/**
 * The front of a part laid flat for a paper template: cut level into strips, each unrolled triangle by triangle from the middle
 * line outwards, so that all lengths within a strip are true. Where the head curves both ways the strips part towards their ends:
 * those gaps are the darts. A can or a cone unrolls in one piece.
 *
 * Flat places are x to the right of the middle line and y down from the crown, both in mm. Immutable.
 */
final readonly class Unrolled
{
    /** Strips are at most so high, and cut into triangles so wide, mm. */
    private const HIGH_MM = 6.0;

    private const WIDE_MM = 1.5;

    /** The search for places along a level steps so finely. */
    private const FINE = 240;

    /** A gap below this is no dart, mm. */
    public const CLOSED_MM = 0.3;

    /**
     * @param  non-empty-list<float>  $levels  y of the cuts, from the top down
     * @param  non-empty-list<float>  $downs  their tape distance from the crown
     * @param  list<array{
     *     1: array{list<array{float, float}>, list<array{float, float}>},
     *     -1: array{list<array{float, float}>, list<array{float, float}>},
     * }>  $strips  upper and lower edge, flat, to the right and to the left, a point every WIDE_MM of tape
     */
    private function __construct(private Surface $surface, private array $levels, private array $downs, private array $strips)
    {
    }

    /**
     * @param  float  $fromMm  by tape down from the crown
     * @param  float  $acrossMm  by tape to either side of the middle line; less where the part ends
     */
    public static function of(Surface $surface, float $fromMm, float $toMm, float $acrossMm): self
    {
        $chart = Chart::of($surface);
        $count = max(1, (int) ceil(($toMm - $fromMm) / self::HIGH_MM));
        $levels = $downs = [];
        for ($i = 0; $i <= $count; $i++) {
            $down = $fromMm + (($toMm - $fromMm) * $i) / $count;
            $y = $chart->levelMm($down);
            if ($y !== null && $surface->has(0.0, $y)) {
                $downs[] = $down;
                $levels[] = $y;
            }
        }
        if ($levels === [] || $downs === []) {
            return new self($surface, [0.0], [0.0], []);
        }
        $courses = array_map(
            static fn (float $y): array => [
                1 => self::course($surface, $y, 1, $acrossMm),
                -1 => self::course($surface, $y, -1, $acrossMm),
            ],
            $levels,
        );
        $strips = [];
        for ($i = 1, $n = count($levels); $i < $n; $i++) {
            $strips[] = array_map(
                static fn (int $way): array => self::flat(
                    $courses[$i - 1][$way],
                    $courses[$i][$way],
                    $downs[$i - 1],
                    $downs[$i],
                    $way,
                ),
                [1 => 1, -1 => -1],
            );
        }

        return new self($surface, $levels, $downs, $strips);
    }

    /**
     * Where a place seen from the front lies on the flat template.
     *
     * @return ?array{strip: int, at: array{float, float}} null where the template does not reach
     */
    public function laid(float $xMm, float $yMm): ?array
    {
        foreach (array_keys($this->strips) as $k) {
            if ($yMm <= $this->levels[$k] + 1e-9 && $yMm >= $this->levels[$k + 1] - 1e-9) {
                return $this->laidIn($k, $xMm, $yMm);
            }
        }

        return null;
    }

    /**
     * A course over the part laid flat: one piece for each strip that it crosses, whole up to the cut.
     *
     * @param  list<array{float, float}>  $course  seen from the front
     * @return list<array{int, list<array{float, float}>}> the strip, and the course on it
     */
    public function courses(array $course): array
    {
        $pieces = [];
        $piece = [];
        $in = null;
        foreach ($this->cutAtLevels($course) as [$x, $y, $k]) {
            $at = $k === null ? null : $this->laidIn($k, $x, $y);
            if (($at === null || $k !== $in) && $in !== null) {
                $pieces[] = [$in, $piece];
                $piece = [];
            }
            if ($at !== null) {
                $piece[] = $at['at'];
            }
            $in = $at === null ? null : $k;
        }

        if ($in !== null) {
            $pieces[] = [$in, $piece];
        }

        return array_values(array_filter($pieces, static fn (array $p): bool => count($p[1]) > 1));
    }

    /** y of its upper rim as seen. */
    public function topMm(): float
    {
        return $this->levels[0];
    }

    /** @return list<list<array{float, float}>> the outline of each strip, closed */
    public function outlines(): array
    {
        return array_map(
            static fn (array $s): array => [
                ...array_reverse($s[-1][0]),
                ...array_slice($s[1][0], 1),
                ...array_reverse($s[1][1]),
                ...array_slice($s[-1][1], 1),
            ],
            $this->strips,
        );
    }

    /** The widest dart in mm, at its open end; below CLOSED_MM it lies in one piece. */
    public function dartMm(): float
    {
        $widest = 0.0;
        for ($k = 1, $n = count($this->strips); $k < $n; $k++) {
            foreach ([1, -1] as $way) {
                [$above, $below] = [$this->strips[$k - 1][$way][1], $this->strips[$k][$way][0]];
                $last = min(count($above), count($below)) - 1;
                $widest = max($widest, hypot($above[$last][0] - $below[$last][0], $above[$last][1] - $below[$last][1]));
            }
        }

        return $widest;
    }

    /** By how much the strips would lie over each other where the part curves like a saddle, mm; they are then cut apart. */
    public function overlapMm(): float
    {
        $most = 0.0;
        for ($k = 1, $n = count($this->strips); $k < $n; $k++) {
            foreach ([1, -1] as $way) {
                [$above, $below] = [$this->strips[$k - 1][$way][1], $this->strips[$k][$way][0]];
                for ($i = 0, $last = min(count($above), count($below)); $i < $last; $i++) {
                    $most = max($most, $above[$i][1] - $below[$i][1]);
                }
            }
        }

        return $most;
    }

    /** @return ?array{strip: int, at: array{float, float}} */
    private function laidIn(int $k, float $x, float $y): ?array
    {
        $way = $x < 0.0 ? -1 : 1;
        $across = TapeMark::acrossMm($this->surface, $x, $y);
        $down = TapeMark::downMm($this->surface, $y);
        if (is_nan($across + $down)) {
            return null;
        }
        [$upper, $lower] = $this->strips[$k][$way];
        $share = max(0.0, min(1.0, ($down - $this->downs[$k]) / max(1e-9, $this->downs[$k + 1] - $this->downs[$k])));
        $i = (int) floor($across / self::WIDE_MM);
        if ($i + 1 >= min(count($upper), count($lower))) {
            return null;
        }
        $t = $across / self::WIDE_MM - $i;
        $at = static fn (array $edge, int $axis): float => $edge[$i][$axis] + $t * ($edge[$i + 1][$axis] - $edge[$i][$axis]);

        return [
            'strip' => $k,
            'at' => [
                $at($upper, 0) + $share * ($at($lower, 0) - $at($upper, 0)),
                $at($upper, 1) + $share * ($at($lower, 1) - $at($upper, 1)),
            ],
        ];
    }

    /**
     * Every point with its strip; where a course crosses a cut, the crossing once for either strip.
     *
     * @param  list<array{float, float}>  $course
     * @return list<array{float, float, ?int}>
     */
    private function cutAtLevels(array $course): array
    {
        $cut = [];
        $before = null;
        foreach ($course as $point) {
            $k = $this->stripOf($point[1]);
            if ($before !== null && $before[2] !== null && $k !== null && $k !== $before[2]) {
                $step = $k > $before[2] ? 1 : -1;
                for ($in = $before[2]; $in !== $k; $in += $step) {
                    $level = $this->levels[$step > 0 ? $in + 1 : $in];
                    $t = ($level - $before[1]) / ($point[1] - $before[1]);
                    $x = $before[0] + $t * ($point[0] - $before[0]);
                    $cut[] = [$x, $level, $in];
                    $cut[] = [$x, $level, $in + $step];
                }
            }
            $cut[] = $before = [$point[0], $point[1], $k];
        }

        return $cut;
    }

    private function stripOf(float $y): ?int
    {
        foreach (array_keys($this->strips) as $k) {
            if ($y <= $this->levels[$k] && $y >= $this->levels[$k + 1]) {
                return $k;
            }
        }

        return null;
    }

    /**
     * Places on a level, a step of tape apart, from the middle line outwards.
     *
     * @return list<Vec3>
     */
    private static function course(Surface $surface, float $y, int $way, float $acrossMm): array
    {
        $edge = Bisection::of(static fn (float $mm): bool => $surface->has($way * $mm, $y));
        $before = [0.0, $surface->heightMm(0.0, $y)];
        $course = [[0.0, $y, $before[1]]];
        $length = 0.0;
        for ($i = 1; $i <= self::FINE && ! is_nan($before[1]); $i++) {
            $x = $way * $edge * sin(((M_PI / 2) * $i) / self::FINE);
            $next = [$x, $surface->heightMm($x, $y, $before[1])];
            if (is_nan($next[1])) {
                break;
            }
            $step = hypot($next[0] - $before[0], $next[1] - $before[1]);
            for (
                $mark = self::WIDE_MM * count($course);
                $mark <= $length + $step && $mark <= $acrossMm + self::WIDE_MM;
                $mark = self::WIDE_MM * count($course)
            ) {
                $at = $before[0] + (($next[0] - $before[0]) * ($mark - $length)) / max(1e-9, $step);
                $course[] = [$at, $y, $surface->heightMm($at, $y, $before[1])];
            }
            [$length, $before] = [$length + $step, $next];
        }

        return $course;
    }

    /**
     * Two courses unrolled side by side, triangle by triangle.
     *
     * @param  list<Vec3>  $upper
     * @param  list<Vec3>  $lower
     * @return array{list<array{float, float}>, list<array{float, float}>}
     */
    private static function flat(array $upper, array $lower, float $down, float $toDown, int $way): array
    {
        $flatUpper = [[0.0, $down]];
        $flatLower = [[0.0, $toDown]];
        // On the paper the tape runs straight down, a little longer than the chord under it: so is all that leads from cut to cut.
        $more = ($toDown - $down) ** 2 - self::far($upper[0], $lower[0]) ** 2;
        $taped = static fn (int $above, int $below): float => sqrt(
            max(0.0, self::far($upper[$above], $lower[$below]) ** 2 + $more),
        );
        for ($i = 1, $n = min(count($upper), count($lower)); $i < $n; $i++) {
            $flatUpper[$i] = self::third($flatUpper[$i - 1], $flatLower[$i - 1], self::WIDE_MM, $taped($i, $i - 1), $way);
            $flatLower[$i] = self::third($flatUpper[$i], $flatLower[$i - 1], $taped($i, $i), self::WIDE_MM, $way);
        }

        return [array_values($flatUpper), array_values($flatLower)];
    }

    /**
     * The point so far from one and so far from the other, on the outer side.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b  below a
     * @return array{float, float}
     */
    private static function third(array $a, array $b, float $fromA, float $fromB, int $way): array
    {
        $base = max(1e-9, hypot($b[0] - $a[0], $b[1] - $a[1]));
        $along = ($base * $base + $fromA * $fromA - $fromB * $fromB) / (2 * $base);
        $out = sqrt(max(0.0, $fromA * $fromA - $along * $along));
        [$ux, $uy] = [($b[0] - $a[0]) / $base, ($b[1] - $a[1]) / $base];

        // y grows downwards on the paper, so right of the way from a down to b is where x grows.
        return [$a[0] + $along * $ux + $way * $out * $uy, $a[1] + $along * $uy - $way * $out * $ux];
    }

    /**
     * @param  Vec3  $a
     * @param  Vec3  $b
     */
    private static function far(array $a, array $b): float
    {
        return sqrt(($a[0] - $b[0]) ** 2 + ($a[1] - $b[1]) ** 2 + ($a[2] - $b[2]) ** 2);
    }
}
