<?php

declare(strict_types=1);

namespace Impa\Check\Finish;

/**
 * The small-parts cylinder: 31.7 mm wide, its floor slanted from 25.4 to 57.1 mm deep (16 CFR 1501.4; EN 71-1 has the same; from
 * memory). What goes into it whole, in any direction and unpressed, can be swallowed by a small child.
 */
final class SmallParts
{
    public const WIDE_MM = 31.7;

    public const SHALLOW_MM = 25.4;

    public const DEEP_MM = 57.1;

    /** Whether something of three dimensions, rounded at its edges, goes in: its longest side upright, its thinnest along the slant. */
    public static function fits(float $aMm, float $bMm, float $cMm): bool
    {
        $sides = [$aMm, $bMm, $cMm];
        sort($sides);
        // At so far from the deep side the floor has risen by that share.
        $deep = self::DEEP_MM - (self::DEEP_MM - self::SHALLOW_MM) * $sides[0] / self::WIDE_MM;

        return $sides[1] <= self::WIDE_MM && $sides[2] <= $deep;
    }
}
