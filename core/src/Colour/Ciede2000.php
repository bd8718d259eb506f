<?php

declare(strict_types=1);

namespace Impa\Colour;

/**
 * Colour difference CIEDE2000 with all weights 1, after Sharma, Wu and Dalal, "The CIEDE2000
 * color-difference formula", Color Research and Application 30 (2005): 1 is just visible
 * side by side, 100 is black against white.
 */
final class Ciede2000
{
    private const POW7_25 = 6103515625.0;

    public static function between(Lab $one, Lab $two): float
    {
        $meanC7 = ((hypot($one->a, $one->b) + hypot($two->a, $two->b)) / 2) ** 7;
        $g = 1.5 - 0.5 * sqrt($meanC7 / ($meanC7 + self::POW7_25));
        [$a1, $a2] = [$g * $one->a, $g * $two->a];
        [$c1, $c2] = [hypot($a1, $one->b), hypot($a2, $two->b)];
        [$h1, $h2] = [self::hueDeg($a1, $one->b), self::hueDeg($a2, $two->b)];

        $dL = $two->l - $one->l;
        $dC = $c2 - $c1;
        $turn = 0.0;
        if ($c1 * $c2 > 0.0) {
            $turn = $h2 - $h1;
            $turn += $turn > 180 ? -360 : ($turn < -180 ? 360 : 0);
        }
        $dH = 2 * sqrt($c1 * $c2) * sin(deg2rad($turn) / 2);

        $meanL = ($one->l + $two->l) / 2;
        $meanC = ($c1 + $c2) / 2;
        $meanH = self::meanHueDeg($h1, $h2, $c1 * $c2);
        $t = 1 - 0.17 * cos(deg2rad($meanH - 30)) + 0.24 * cos(deg2rad(2 * $meanH))
            + 0.32 * cos(deg2rad(3 * $meanH + 6)) - 0.20 * cos(deg2rad(4 * $meanH - 63));
        $c7 = $meanC ** 7;
        $rotation = -2 * sqrt($c7 / ($c7 + self::POW7_25)) * sin(deg2rad(60 * exp(-(($meanH - 275) / 25) ** 2)));
        $l50 = ($meanL - 50) ** 2;

        $l = $dL / (1 + 0.015 * $l50 / sqrt(20 + $l50));
        $c = $dC / (1 + 0.045 * $meanC);
        $h = $dH / (1 + 0.015 * $meanC * $t);

        return sqrt(max(0.0, $l * $l + $c * $c + $h * $h + $rotation * $c * $h));
    }

    private static function hueDeg(float $a, float $b): float
    {
        if ($a === 0.0 && $b === 0.0) {
            return 0.0;
        }
        $deg = rad2deg(atan2($b, $a));

        return $deg < 0 ? $deg + 360 : $deg;
    }

    private static function meanHueDeg(float $h1, float $h2, float $chroma): float
    {
        $sum = $h1 + $h2;
        if ($chroma <= 0.0) {
            return $sum;
        }
        if (abs($h1 - $h2) <= 180) {
            return $sum / 2;
        }

        return $sum < 360 ? ($sum + 360) / 2 : ($sum - 360) / 2;
    }
}
