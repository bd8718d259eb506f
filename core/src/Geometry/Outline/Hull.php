<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

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
        // Numbers sort many times faster than pairs of them.
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        array_multisort($xs, $ys);
        $points = array_map(static fn (float $x, float $y): array => [$x, $y], $xs, $ys);

        return [...array_slice(self::below($points), 0, -1), ...array_slice(self::below(array_reverse($points)), 0, -1)];
    }

    /**
     * The lower half of the hull, from one end to the other.
     *
     * @param  list<array{float, float}>  $points  in order of their x, as it rises (or falls: then it is the upper half)
     * @return list<array{float, float}>
     */
    public static function below(array $points): array
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
