<?php

declare(strict_types=1);

namespace Impa\Geometry;

/** The convex hull of points in a plane. */
final class Hull
{
    /**
     * Andrew's monotone chain (1979).
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}> anticlockwise
     */
    public static function of(array $points): array
    {
        sort($points);

        return [...self::chain($points), ...self::chain(array_reverse($points))];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function chain(array $points): array
    {
        $chain = [];
        $size = 0;
        foreach ($points as $point) {
            while ($size >= 2 && self::turnsRight($chain[$size - 2], $chain[$size - 1], $point)) {
                array_pop($chain);
                $size--;
            }
            $chain[] = $point;
            $size++;
        }
        array_pop($chain);

        return $chain;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private static function turnsRight(array $a, array $b, array $c): bool
    {
        return ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]) <= 1e-12;
    }
}
