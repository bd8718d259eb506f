<?php

declare(strict_types=1);

namespace Impa\Geometry;

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
}
