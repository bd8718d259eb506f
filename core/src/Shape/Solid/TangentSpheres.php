<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

/**
 * Two balls, one above the other, and the smooth skin stretched over both: the profile of
 * sausage (equal balls), drumstick (unequal) and drop (a very small one on top).
 */
final class TangentSpheres
{
    /**
     * Radius at a height, as a share of the larger ball's radius.
     *
     * @param  float  $t  0 (bottom) to 1 (top)
     * @param  float  $bottom  radius of the lower ball, > 0, same unit as the height
     * @param  float  $top  radius of the upper ball, > 0
     */
    public static function profile(float $t, float $height, float $bottom, float $top): float
    {
        $largest = max($bottom, $top);
        $between = $height - $bottom - $top;
        if ($between <= abs($bottom - $top)) {
            // One ball swallows the other: what is left is an oval.
            return sqrt(max(0.0, 1 - (2 * $t - 1) ** 2));
        }
        $y = $t * $height;
        $lean = ($bottom - $top) / $between;
        if ($y < $bottom + $bottom * $lean) {
            return sqrt(max(0.0, $y * (2 * $bottom - $y))) / $largest;
        }
        $fromTop = $height - $y;
        if ($fromTop < $top - $top * $lean) {
            return sqrt(max(0.0, $fromTop * (2 * $top - $fromTop))) / $largest;
        }

        return ($bottom - $lean * ($y - $bottom)) / sqrt(1 - $lean * $lean) / $largest;
    }
}
