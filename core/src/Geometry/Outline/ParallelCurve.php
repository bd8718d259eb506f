<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

/**
 * An outline moved outwards by an even distance: straight beside straight, round about outward corners (Steiner's parallel body), to the
 * mitre at inward ones.
 */
final class ParallelCurve
{
    /** Round a corner in steps of so much. */
    private const STEP = M_PI / 12;

    /** An inward corner is followed no farther than so many distances. */
    private const MITRE = 2.0;

    /**
     * @param  list<array{float, float}>  $outline  anticlockwise
     * @param  float  $by  0 or more
     * @return list<array{float, float}>
     */
    public static function outside(array $outline, float $by): array
    {
        if ($by <= 0.0) {
            return $outline;
        }
        $count = count($outline);
        $out = [];
        foreach ($outline as $i => [$x, $y]) {
            [$ax, $ay] = $outline[($i + $count - 1) % $count];
            [$cx, $cy] = $outline[($i + 1) % $count];
            // Of the way here and the way on, what lies to the right: outwards.
            $in = atan2($ax - $x, $y - $ay);
            $on = atan2($x - $cx, $cy - $y);
            $turn = fmod($on - $in + 3 * M_PI, 2 * M_PI) - M_PI;
            if ($turn >= 0.0) {
                $steps = max(1, (int) ceil($turn / self::STEP));
                for ($k = 0; $k <= $steps; $k++) {
                    $a = $in + $turn * $k / $steps;
                    $out[] = [$x + $by * cos($a), $y + $by * sin($a)];
                }
            } else {
                $a = $in + $turn / 2;
                $far = min(self::MITRE, 1 / max(1e-6, cos($turn / 2))) * $by;
                $out[] = [$x + $far * cos($a), $y + $far * sin($a)];
            }
        }

        return $out;
    }
}
