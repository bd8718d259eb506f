<?php

declare(strict_types=1);

namespace Impa\Raster;

/** The outer outline of a blob, followed pixel edge by pixel edge and drawn with few points. */
final class Contour
{
    /** As many points as a document takes, less a few (formats/impa-figure-2.schema.json). */
    private const MOST_POINTS = 390;

    /**
     * A blob's rounded outline, y up; of many corners, the tolerance is widened until a document takes them. Of a blob in
     * several pieces, the largest is followed.
     *
     * @param  float  $mostPx  corners are cut no farther from their tips than this
     * @return list<array{float, float}>
     */
    public static function around(Blob $blob, float $tolerancePx, float $mostPx = INF): array
    {
        $whole = ConnectedComponents::ofSet($blob->pixels, $blob->width)[0];
        do {
            $outline = self::rounded(self::of($whole, $blob->width, $tolerancePx), $mostPx);
            $tolerancePx *= 1.5;
        } while (count($outline) > self::MOST_POINTS);

        return array_map(static fn (array $p): array => [$p[0], -$p[1]], $outline);
    }

    /**
     * @param  array<int, true>  $blob  set of pixel indices, connected
     * @return list<array{float, float}> corner points in pixels, y down, clockwise as seen
     */
    public static function of(array $blob, int $width, float $tolerancePx): array
    {
        if ($blob === []) {
            return [];
        }
        // Start at the top left corner of the first pixel in reading order, walking right with the blob at the right hand.
        $start = min(array_keys($blob));
        [$x, $y] = [$start % $width, intdiv($start, $width)];
        [$sx, $sy, $dir] = [$x, $y, 0];
        $points = [];
        $steps = [[1, 0], [0, 1], [-1, 0], [0, -1]];
        $has = static fn (int $px, int $py): bool => $px >= 0 && $px < $width && isset($blob[$py * $width + $px]);
        $limit = 8 * count($blob) + 16;
        do {
            $points[] = [(float) $x, (float) $y];
            // Try right, straight, left: the first whose right-hand pixel is in and left-hand pixel is out.
            foreach ([1, 0, 3, 2] as $turn) {
                $d = ($dir + $turn) % 4;
                [$inX, $inY, $outX, $outY] = match ($d) {
                    0 => [$x, $y, $x, $y - 1],
                    1 => [$x - 1, $y, $x, $y],
                    2 => [$x - 1, $y - 1, $x - 1, $y],
                    default => [$x, $y - 1, $x - 1, $y - 1],
                };
                if ($has($inX, $inY) && ! $has($outX, $outY)) {
                    $dir = $d;
                    break;
                }
            }
            $x += $steps[$dir][0];
            $y += $steps[$dir][1];
        } while (($x !== $sx || $y !== $sy) && --$limit > 0);

        return self::simplified($points, $tolerancePx);
    }

    /**
     * Douglas and Peucker (1973) on a closed line, split at its two farthest points.
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    public static function simplified(array $points, float $tolerance): array
    {
        if (count($points) < 4) {
            return $points;
        }
        $far = 0;
        $longest = -1.0;
        foreach ($points as $i => $p) {
            $length = hypot($p[0] - $points[0][0], $p[1] - $points[0][1]);
            if ($length > $longest) {
                [$longest, $far] = [$length, $i];
            }
        }
        $one = self::line(array_slice($points, 0, $far + 1), $tolerance);
        $two = self::line([...array_slice($points, $far), $points[0]], $tolerance);

        return [...array_slice($one, 0, -1), ...array_slice($two, 0, -1)];
    }

    /**
     * Corners cut once (Chaikin 1974): wool has no sharp ones, and few points look smooth.
     *
     * @param  list<array{float, float}>  $points  a closed line
     * @param  float  $most  a corner is cut no farther from its tip than this
     * @return list<array{float, float}>
     */
    public static function rounded(array $points, float $most = INF): array
    {
        $rounded = [];
        $count = count($points);
        foreach ($points as $i => [$x, $y]) {
            foreach ([$points[($i + $count - 1) % $count], $points[($i + 1) % $count]] as [$ox, $oy]) {
                $share = min(0.2, $most / max(1e-9, hypot($ox - $x, $oy - $y)));
                $rounded[] = [$x + $share * ($ox - $x), $y + $share * ($oy - $y)];
            }
        }

        return $rounded;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    public static function line(array $points, float $tolerance): array
    {
        $last = count($points) - 1;
        if ($last < 2) {
            return $points;
        }
        [[$ax, $ay], [$bx, $by]] = [$points[0], $points[$last]];
        $length = hypot($bx - $ax, $by - $ay);
        $worst = 0.0;
        $at = 0;
        for ($i = 1; $i < $last; $i++) {
            [$px, $py] = $points[$i];
            $off =
                $length > 0 ? abs(($bx - $ax) * ($py - $ay) - ($by - $ay) * ($px - $ax)) / $length : hypot($px - $ax, $py - $ay);
            if ($off > $worst) {
                [$worst, $at] = [$off, $i];
            }
        }
        if ($worst <= $tolerance) {
            return [$points[0], $points[$last]];
        }

        return [
            ...array_slice(self::line(array_slice($points, 0, $at + 1), $tolerance), 0, -1),
            ...self::line(array_slice($points, $at), $tolerance),
        ];
    }
}
