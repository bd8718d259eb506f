<?php

declare(strict_types=1);

namespace Impa\Geometry;

/** Sums on an ellipse given by its two half-axes. */
final class Ellipse
{
    /** Perimeter by Ramanujan's second approximation (1914); same unit as the half-axes. */
    public static function perimeter(float $a, float $b): float
    {
        if ($a + $b <= 0.0) {
            return 0.0;
        }
        $h = (($a - $b) / ($a + $b)) ** 2;

        return M_PI * ($a + $b) * (1 + 3 * $h / (10 + sqrt(4 - 3 * $h)));
    }
}
