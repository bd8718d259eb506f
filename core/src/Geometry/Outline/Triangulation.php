<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

/** A simple polygon cut into triangles by ear clipping (Meisters 1975); O(n2) at least, for outlines of some hundred points. */
final class Triangulation
{
    /**
     * @param  list<array{float, float}>  $points  of one loop that does not cross itself, either way round
     * @return list<array{int, int, int}> triangles by the points' numbers, each anticlockwise; n - 2 of them, fewer where points coincide
     */
    public static function of(array $points): array
    {
        if (count($points) < 3) {
            return [];
        }
        $left = array_keys($points);
        if (Polygon::signedArea($points) < 0.0) {
            $left = array_reverse($left);
        }
        $triangles = [];
        $waited = 0;
        for ($i = 0; count($left) > 3;) {
            $n = count($left);
            $i %= $n;
            [$a, $b, $c] = [$left[($i + $n - 1) % $n], $left[$i], $left[($i + 1) % $n]];
            $area = self::cross($points[$a], $points[$b], $points[$c]);
            // After a whole round without an ear what is left is numbers that do not matter: it is cut as it comes.
            $isEar = $area > 0.0 && ! self::holdsOne($points, $left, $a, $b, $c);
            if ($isEar || $waited > $n) {
                if ($area !== 0.0) {
                    $triangles[] = [$a, $b, $c];
                }
                array_splice($left, $i, 1);
                $waited = 0;
            } elseif ($area === 0.0) {
                array_splice($left, $i, 1);
            } else {
                $i++;
                $waited++;
            }
        }
        if (count($left) === 3 && self::cross($points[$left[0]], $points[$left[1]], $points[$left[2]]) !== 0.0) {
            $triangles[] = [$left[0], $left[1], $left[2]];
        }

        return $triangles;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  array<int>  $left
     */
    private static function holdsOne(array $points, array $left, int $a, int $b, int $c): bool
    {
        foreach ($left as $p) {
            if ($p === $a || $p === $b || $p === $c || $points[$p] === $points[$a] || $points[$p] === $points[$c]) {
                continue;
            }
            if (
                self::cross($points[$a], $points[$b], $points[$p]) >= 0.0 &&
                self::cross($points[$b], $points[$c], $points[$p]) >= 0.0 &&
                self::cross($points[$c], $points[$a], $points[$p]) >= 0.0
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Twice the area of a triangle, above 0 where it goes round anticlockwise.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private static function cross(array $a, array $b, array $c): float
    {
        return ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);
    }
}
