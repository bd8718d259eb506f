<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

/** Sums on a closed outline of straight edges (a simple polygon), given by its corners. */
final class Polygon
{
    /**
     * Area by the shoelace formula (Meister 1769, Gauss), positive when anticlockwise; unit of the points, squared.
     *
     * @param  list<array{float, float}>  $points
     */
    public static function signedArea(array $points): float
    {
        $twice = 0.0;
        $before = $points[count($points) - 1];
        foreach ($points as $point) {
            $twice += $before[0] * $point[1] - $point[0] * $before[1];
            $before = $point;
        }

        return $twice / 2;
    }

    /** @param  list<array{float, float}>  $points */
    public static function perimeter(array $points): float
    {
        return Polyline::length([...$points, ...array_slice($points, 0, 1)]);
    }

    /**
     * Centre of the area; the middle of the points where they enclose none.
     *
     * @param  list<array{float, float}>  $points
     * @return array{float, float}
     */
    public static function centroid(array $points): array
    {
        $area = self::signedArea($points);
        if (abs($area) < 1e-12) {
            return [array_sum(array_column($points, 0)) / count($points), array_sum(array_column($points, 1)) / count($points)];
        }
        $x = $y = 0.0;
        $before = $points[count($points) - 1];
        foreach ($points as $point) {
            $cross = $before[0] * $point[1] - $point[0] * $before[1];
            $x += ($before[0] + $point[0]) * $cross;
            $y += ($before[1] + $point[1]) * $cross;
            $before = $point;
        }

        return [$x / 6 / $area, $y / 6 / $area];
    }

    /**
     * Whether a place lies within a closed outline: an odd number of its edges lies to the right (even-odd rule).
     *
     * @param  list<array{float, float}>  $points
     */
    public static function has(array $points, float $x, float $y): bool
    {
        $isIn = false;
        [$bx, $by] = $points[count($points) - 1] ?? [0.0, 0.0];
        foreach ($points as [$ax, $ay]) {
            if (($ay > $y) !== ($by > $y) && $x < ($bx - $ax) * ($y - $ay) / ($by - $ay) + $ax) {
                $isIn = ! $isIn;
            }
            [$bx, $by] = [$ax, $ay];
        }

        return $isIn;
    }

    /**
     * The share of the way from a middle to the outline at which a point lies: 0 in the middle, 1 on
     * the outline, more outside, where an outline is crossed several times the outermost counts.
     *
     * @param  list<array{float, float}>  $points
     */
    public static function reach(array $points, float $cx, float $cy, float $x, float $y): float
    {
        [$dx, $dy] = [$x - $cx, $y - $cy];
        if ($dx === 0.0 && $dy === 0.0) {
            return 0.0;
        }
        $farthest = 0.0;
        [$bx, $by] = $points[count($points) - 1];
        foreach ($points as [$px, $py]) {
            $cross = $dx * ($py - $by) - $dy * ($px - $bx);
            if ($cross !== 0.0) {
                $along = (($bx - $cx) * ($py - $by) - ($by - $cy) * ($px - $bx)) / $cross;
                $onEdge = (($bx - $cx) * $dy - ($by - $cy) * $dx) / $cross;
                if ($onEdge >= 0.0 && $onEdge <= 1.0 && $along > $farthest) {
                    $farthest = $along;
                }
            }
            [$bx, $by] = [$px, $py];
        }

        return $farthest > 0.0 ? 1 / $farthest : INF;
    }
}
