<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

/** Sums on an open course of straight pieces (a polyline). */
final class Polyline
{
    /**
     * Arc length, in the unit of the points; 0 for fewer than two.
     *
     * @param  list<array{float, float}>  $points
     */
    public static function length(array $points): float
    {
        return array_sum(self::lengths($points));
    }

    /**
     * Length of each piece.
     *
     * @param  list<array{float, float}>  $points
     * @return list<float> one fewer than points
     */
    public static function lengths(array $points): array
    {
        $lengths = [];
        for ($i = 1, $n = count($points); $i < $n; $i++) {
            $lengths[] = hypot($points[$i][0] - $points[$i - 1][0], $points[$i][1] - $points[$i - 1][1]);
        }

        return $lengths;
    }

    /**
     * A closed line in even steps: as many as are nearest to the length that is asked for.
     *
     * @param  list<array{float, float}>  $points  three at least, the last not the first again
     * @return list<array{float, float}>
     */
    public static function closed(array $points, float $step): array
    {
        $points[] = $points[0];
        $lengths = self::lengths($points);
        $whole = array_sum($lengths);
        $count = max(3, (int) round($whole / $step));
        $even = [];
        $i = 0;
        $behind = 0.0;
        for ($k = 0; $k < $count; $k++) {
            $mark = $whole * $k / $count;
            while ($i < count($lengths) - 1 && $behind + $lengths[$i] < $mark) {
                $behind += $lengths[$i++];
            }
            $t = $lengths[$i] > 0.0 ? min(1.0, ($mark - $behind) / $lengths[$i]) : 0.0;
            $even[] = [
                $points[$i][0] + $t * ($points[$i + 1][0] - $points[$i][0]),
                $points[$i][1] + $t * ($points[$i + 1][1] - $points[$i][1]),
            ];
        }

        return $even;
    }
}
