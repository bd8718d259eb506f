<?php

declare(strict_types=1);

namespace Impa\Seeing\Fitting;

use Impa\Raster\Blob;
use Impa\Shape\Solid;

/**
 * Points spread evenly over a blob's box and a rim around it, in flat arrays: pixel work in tight loops. What is seen
 * at each is 1 for the blob, 0 for the ground, -1 for something else, behind which the blob may go on or not.
 */
final readonly class Samples
{
    /** What lies beyond the samples is looked at in so many rows and columns. */
    private const BEYOND = 9;

    /** @var list<int> per row, how many of the blob lie before each column, and after the last (running sums) */
    private array $blobBefore;

    /** @var list<int> the same of the ground */
    private array $groundBefore;

    /**
     * @param  list<float>  $x  pixels
     * @param  list<float>  $y  pixels, up
     * @param  list<int>  $seen
     * @param  int  $inBlob  how many lie in the blob
     * @param  int  $across  how many in a row
     * @param  float  $cellPx  area that each stands for
     * @param  list<int>  $map  region per pixel, -1 for the ground
     */
    private function __construct(
        public array $x,
        public array $y,
        public array $seen,
        public int $inBlob,
        private int $across,
        private float $cellPx,
        private array $map,
        private int $mapWidth,
    ) {
        $this->blobBefore = self::before($seen, $across, 1);
        $this->groundBefore = self::before($seen, $across, 0);
    }

    /**
     * @param  list<int>  $map  region per pixel, -1 for the ground
     * @param  int  $across  samples each way
     * @param  float  $margin  the box is drawn out to so many times its size
     */
    public static function of(Blob $blob, array $map, int $across, float $margin): self
    {
        [$w, $h, $mx, $my] = $blob->box(0.0);
        // A thin blob is sampled as closely across as along, as far as its pixels go.
        $columns = max(6, min($across, (int) ceil(2 * $w * $margin)));
        $rows = max(6, min($across, (int) ceil(2 * $h * $margin)));
        [$w, $h] = [$w * $margin, $h * $margin];
        $xs = $ys = $seen = [];
        $inBlob = 0;
        for ($r = 0; $r < $rows; $r++) {
            $y = $my + $h * (($r + 0.5) / $rows - 0.5);
            $row = (int) floor(-$y) * $blob->width;
            for ($c = 0; $c < $columns; $c++) {
                $x = $mx + $w * (($c + 0.5) / $columns - 0.5);
                $column = (int) floor($x);
                $xs[] = $x;
                $ys[] = $y;
                if ($column < 0 || $column >= $blob->width) {
                    $seen[] = 0;
                } elseif (isset($blob->pixels[$row + $column])) {
                    $seen[] = 1;
                    $inBlob++;
                } else {
                    $seen[] = ($map[$row + $column] ?? -1) >= 0 ? -1 : 0;
                }
            }
        }

        return new self(
            x: $xs,
            y: $ys,
            seen: $seen,
            inBlob: $inBlob,
            across: $columns,
            cellPx: ($w * $h) / ($columns * $rows),
            map: $map,
            mapWidth: $blob->width,
        );
    }

    /** The same points with everything that is not the blob taken for ground. */
    public function withoutHiding(): self
    {
        $seen = array_map(static fn (int $s): int => max(0, $s), $this->seen);

        return new self(
            x: $this->x,
            y: $this->y,
            seen: $seen,
            inBlob: $this->inBlob,
            across: $this->across,
            cellPx: $this->cellPx,
            map: [],
            mapWidth: $this->mapWidth,
        );
    }

    /**
     * @param  list<int>  $seen
     * @return list<int>
     */
    private static function before(array $seen, int $across, int $what): array
    {
        $before = [];
        foreach ($seen as $i => $value) {
            if ($i % $across === 0) {
                $before[] = $count = 0;
            }
            $count = ($count ?? 0) + (int) ($value === $what);
            $before[] = $count;
        }

        return $before;
    }

    /**
     * How well an upright or turned shape, given by its half-widths, covers the blob.
     *
     * @param  list<float>  $halfWidths  at equal steps from its foot to its head, as shares of half its width
     * @return array{int, int, int} samples in both, in either, and of the shape where something else is seen
     */
    public function cover(array $halfWidths, float $width, float $height, float $x, float $y, float $turnDeg): array
    {
        $steps = count($halfWidths);
        [$both, $shape, $hidden] = $turnDeg === 0.0
            ? $this->upright($halfWidths, $width / 2, $height, $x, $y)
            : $this->turned($halfWidths, $width / 2, $height, $x, $y, $turnDeg);

        // Of what lies beyond the samples, the ground counts too; the samples tell an area to a few hundredths.
        $beyond = ((array_sum($halfWidths) / $steps) * $width * $height) / $this->cellPx - $both - $shape - $hidden;
        if ($beyond > 0.08 * ($both + $shape + $hidden)) {
            $shape += (int) ($beyond * $this->groundBeyond($halfWidths, $width, $height, $x, $y, $turnDeg));
        }

        return [$both, $this->inBlob + $shape, $hidden];
    }

    /**
     * An upright shape covers a stretch of every row: the running sums say what lies in it.
     *
     * @param  list<float>  $halfWidths
     * @return array{int, int, int} samples of the blob, of the ground and of something else
     */
    private function upright(array $halfWidths, float $half, float $height, float $x, float $y): array
    {
        $steps = count($halfWidths);
        [$ys, $across, $blob, $open] = [$this->y, $this->across, $this->blobBefore, $this->groundBefore];
        $first = $this->x[0];
        $gap = $this->x[1] - $first;
        $both = $ground = $all = 0;
        for ($row = 0, $rows = intdiv(count($ys), $across); $row < $rows; $row++) {
            $t = ($ys[$row * $across] - $y) / $height + 0.5;
            if ($t < 0.0 || $t >= 1.0) {
                continue;
            }
            $reach = $half * $halfWidths[(int) ($t * $steps)];
            $from = max(0, (int) ceil(($x - $reach - $first) / $gap));
            $to = min($across - 1, (int) floor(($x + $reach - $first) / $gap));
            if ($from <= $to) {
                $at = $row * ($across + 1);
                $both += $blob[$at + $to + 1] - $blob[$at + $from];
                $ground += $open[$at + $to + 1] - $open[$at + $from];
                $all += $to - $from + 1;
            }
        }

        return [$both, $ground, $all - $both - $ground];
    }

    /**
     * A turned one is looked at row by row, where it can lie at all.
     *
     * @param  list<float>  $halfWidths
     * @return array{int, int, int} as of `upright`
     */
    private function turned(array $halfWidths, float $half, float $height, float $x, float $y, float $turnDeg): array
    {
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        $steps = count($halfWidths);
        $most = $half * max([0.0, ...$halfWidths]);
        [$xs, $ys, $seenAt, $across] = [$this->x, $this->y, $this->seen, $this->across];
        [$blob, $open] = [$this->blobBefore, $this->groundBefore];
        $isConvex = self::isConvex($halfWidths);
        $first = $xs[0];
        $gap = $xs[1] - $first;
        $both = $ground = $hidden = 0;
        for ($row = 0, $rows = intdiv(count($xs), $across); $row < $rows; $row++) {
            $dy = $ys[$row * $across] - $y;
            // Between its long sides, and between its ends.
            [$left, $right] = [-INF, INF];
            if (abs($c) > 1e-9) {
                [$left, $right] = [-$dy * $s / $c - $most / abs($c), -$dy * $s / $c + $most / abs($c)];
            }
            if (abs($s) > 1e-9) {
                $left = max($left, $dy * $c / $s - $height / 2 / abs($s));
                $right = min($right, $dy * $c / $s + $height / 2 / abs($s));
            }
            $from = max(0, (int) floor(($x + $left - $first) / $gap));
            $to = min($across - 1, (int) ceil(($x + $right - $first) / $gap));
            if ($isConvex) {
                // Then a row lies in it from where it enters to where it leaves: only what is beside it is looked at one by one.
                for (; $from <= $to; $from++) {
                    $dx = $xs[$from] - $x;
                    $t = ($dy * $c - $dx * $s) / $height + 0.5;
                    if ($t >= 0.0 && $t < 1.0 && abs($dx * $c + $dy * $s) <= $half * $halfWidths[(int) ($t * $steps)]) {
                        break;
                    }
                }
                for (; $from <= $to; $to--) {
                    $dx = $xs[$to] - $x;
                    $t = ($dy * $c - $dx * $s) / $height + 0.5;
                    if ($t >= 0.0 && $t < 1.0 && abs($dx * $c + $dy * $s) <= $half * $halfWidths[(int) ($t * $steps)]) {
                        break;
                    }
                }
                if ($from <= $to) {
                    $at = $row * ($across + 1);
                    $ofBlob = $blob[$at + $to + 1] - $blob[$at + $from];
                    $ofGround = $open[$at + $to + 1] - $open[$at + $from];
                    $both += $ofBlob;
                    $ground += $ofGround;
                    $hidden += $to - $from + 1 - $ofBlob - $ofGround;
                }

                continue;
            }
            for ($i = $row * $across + $from, $end = $row * $across + $to; $i <= $end; $i++) {
                $dx = $xs[$i] - $x;
                $t = ($dy * $c - $dx * $s) / $height + 0.5;
                if ($t < 0.0 || $t >= 1.0) {
                    continue;
                }
                if (abs($dx * $c + $dy * $s) <= $half * $halfWidths[(int) ($t * $steps)]) {
                    $seen = $seenAt[$i];
                    if ($seen > 0) {
                        $both++;
                    } elseif ($seen === 0) {
                        $ground++;
                    } else {
                        $hidden++;
                    }
                }
            }
        }

        return [$both, $ground, $hidden];
    }

    /**
     * Whether a shape of such half-widths has no waist.
     *
     * @param  list<float>  $halfWidths
     */
    private static function isConvex(array $halfWidths): bool
    {
        for ($k = 1, $last = count($halfWidths) - 1; $k < $last; $k++) {
            if (2 * $halfWidths[$k] + 1e-3 < $halfWidths[$k - 1] + $halfWidths[$k + 1]) {
                return false;
            }
        }

        return true;
    }

    /**
     * The same for a shape of any form, more slowly.
     *
     * @return array{int, int, int}
     */
    public function coverBy(Solid $solid, float $x, float $y, float $turnDeg): array
    {
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        $both = $shape = $hidden = 0;
        foreach ($this->x as $i => $px) {
            [$dx, $dy] = [$px - $x, $this->y[$i] - $y];
            if (! is_nan($solid->frontMm($dx * $c + $dy * $s, $dy * $c - $dx * $s))) {
                $seen = $this->seen[$i];
                $both += $seen > 0 ? 1 : 0;
                $shape += $seen === 0 ? 1 : 0;
                $hidden += $seen < 0 ? 1 : 0;
            }
        }

        return [$both, $this->inBlob + $shape, $hidden];
    }

    /** How much ground the blob encloses, as a share of both together: 0 for a blob without a hole. */
    public function hollow(): float
    {
        $ground = array_filter($this->seen, static fn (int $s): bool => $s === 0);
        $open = [];
        foreach ($ground as $i => $_) {
            $column = $i % $this->across;
            if (
                $i < $this->across ||
                $i >= count($this->seen) - $this->across ||
                $column === 0 ||
                $column === $this->across - 1
            ) {
                $open[] = $i;
                unset($ground[$i]);
            }
        }
        while ($open !== []) {
            $i = array_pop($open);
            foreach ([$i - 1, $i + 1, $i - $this->across, $i + $this->across] as $j) {
                if (isset($ground[$j])) {
                    unset($ground[$j]);
                    $open[] = $j;
                }
            }
        }

        return count($ground) / max(1, count($ground) + $this->inBlob);
    }

    /**
     * Share of ground in what of a shape lies beyond the samples.
     *
     * @param  list<float>  $halfWidths
     */
    private function groundBeyond(array $halfWidths, float $width, float $height, float $x, float $y, float $turnDeg): float
    {
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        $last = count($this->x) - 1;
        $beyond = $ground = 0;
        for ($k = 0; $k < self::BEYOND; $k++) {
            $along = ($k + 0.5) / self::BEYOND;
            $reach = ($width / 2) * $halfWidths[(int) ($along * count($halfWidths))];
            for ($j = 0; $j < self::BEYOND; $j++) {
                $across = $reach * ((2 * ($j + 0.5)) / self::BEYOND - 1);
                $px = $x + $across * $c - ($along - 0.5) * $height * $s;
                $py = $y + $across * $s + ($along - 0.5) * $height * $c;
                if ($px < $this->x[0] || $px > $this->x[$last] || $py < $this->y[0] || $py > $this->y[$last]) {
                    $column = (int) floor($px);
                    $inside = $column >= 0 && $column < $this->mapWidth;
                    $beyond++;
                    $ground += (int) (! $inside || ($this->map[(int) floor(-$py) * $this->mapWidth + $column] ?? -1) < 0);
                }
            }
        }

        return $ground / max(1, $beyond);
    }
}
