<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

use Impa\Geometry\Box;

/** What of an outline or a course lies within an upright box. */
final class Clip
{
    /**
     * A closed outline, edge by edge of the box (Sutherland and Hodgman 1974); what of it runs outside follows the box's rim.
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}> empty where nothing is within
     */
    public static function polygon(array $points, Box $box): array
    {
        foreach ([[0, $box->left, 1], [0, $box->right, -1], [1, $box->low, 1], [1, $box->high, -1]] as [$axis, $edge, $way]) {
            $kept = [];
            $count = count($points);
            foreach ($points as $i => $point) {
                $before = $points[($i + $count - 1) % $count];
                [$is, $was] = [$way * ($point[$axis] - $edge) >= 0.0, $way * ($before[$axis] - $edge) >= 0.0];
                if ($is !== $was) {
                    $kept[] = self::between($before, $point, ($edge - $before[$axis]) / ($point[$axis] - $before[$axis]));
                }
                if ($is) {
                    $kept[] = $point;
                }
            }
            $points = $kept;
        }

        return $points;
    }

    /**
     * An open course, piece by piece (Liang and Barsky 1984); where it leaves the box and comes back it falls into several.
     *
     * @param  list<array{float, float}>  $points
     * @return list<non-empty-list<array{float, float}>>
     */
    public static function polyline(array $points, Box $box): array
    {
        $courses = $course = [];
        for ($i = 1, $n = count($points); $i < $n; $i++) {
            [$from, $to] = [$points[$i - 1], $points[$i]];
            [$enter, $leave] = self::within($from, $to, $box);
            if ($course !== [] && ($enter > $leave || $enter > 0.0)) {
                $courses[] = $course;
                $course = [];
            }
            if ($enter <= $leave) {
                $course = $course === [] ? [self::between($from, $to, $enter)] : $course;
                $course[] = self::between($from, $to, $leave);
            }
        }

        return $course === [] ? $courses : [...$courses, $course];
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return array{float, float} the shares of the way at which it enters and leaves the box; the first larger where it misses
     */
    private static function within(array $from, array $to, Box $box): array
    {
        [$enter, $leave] = [0.0, 1.0];
        foreach ([[0, $box->left, $box->right], [1, $box->low, $box->high]] as [$axis, $low, $high]) {
            $step = $to[$axis] - $from[$axis];
            if ($step === 0.0) {
                $leave = $from[$axis] >= $low && $from[$axis] <= $high ? $leave : -1.0;

                continue;
            }
            [$one, $two] = [($low - $from[$axis]) / $step, ($high - $from[$axis]) / $step];
            $enter = max($enter, min($one, $two));
            $leave = min($leave, max($one, $two));
        }

        return [$enter, $leave];
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return array{float, float}
     */
    private static function between(array $from, array $to, float $share): array
    {
        return [$from[0] + $share * ($to[0] - $from[0]), $from[1] + $share * ($to[1] - $from[1])];
    }
}
