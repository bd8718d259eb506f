<?php

declare(strict_types=1);

namespace Impa\Stash\Mixing;

use Impa\Colour\Blend;
use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;

/** Mixes as vectors from a wanted colour, so that the length of one is about how different it looks. */
final class LocalMetric
{
    /**
     * The wools as seen from the wanted colour under f, stretched so that lengths near it are CIEDE2000.
     *
     * @param  list<array{float, float, float}>  $points  f of each wool
     * @return list<array{float, float, float}>
     */
    public static function inDeltaE(Srgb $target, array $points): array
    {
        $at = Blend::point($target->light());
        $wanted = $target->lab();
        $square = static function (int ...$along) use ($at, $wanted): float {
            [$x, $y, $z] = array_map(
                static fn (int $c): float => $at[$c] + (in_array($c, $along, true) ? self::stepOf($at[$c]) : 0.0),
                [0, 1, 2],
            );

            return Ciede2000::between($wanted, Blend::light([$x, $y, $z])->lab()) ** 2;
        };
        $g = [];
        for ($i = 0; $i < 3; $i++) {
            $g[$i][$i] = $square($i) / self::stepOf($at[$i]) ** 2 + 1e-9;
            for ($j = 0; $j < $i; $j++) {
                $g[$i][$j] = ($square($i, $j) - $square($i) - $square($j)) / (2 * self::stepOf($at[$i]) * self::stepOf($at[$j]));
            }
        }
        // Cholesky: g = l l'; where g is hardly a square any more, the channels stand alone.
        $l00 = sqrt($g[0][0]);
        $l10 = $g[1][0] / $l00;
        $l11 = sqrt(max(1e-12, $g[1][1] - $l10 ** 2));
        $l20 = $g[2][0] / $l00;
        $l21 = ($g[2][1] - $l20 * $l10) / $l11;
        $l22 = sqrt(max(1e-12, $g[2][2] - $l20 ** 2 - $l21 ** 2));

        return array_map(static function (array $point) use ($at, $l00, $l10, $l11, $l20, $l21, $l22): array {
            [$x, $y, $z] = [$point[0] - $at[0], $point[1] - $at[1], $point[2] - $at[2]];

            return [$l00 * $x + $l10 * $y + $l20 * $z, $l11 * $y + $l21 * $z, $l22 * $z];
        }, $points);
    }

    /** A step that is about as visible whether the channel is dark or light. */
    private static function stepOf(float $f): float
    {
        return 0.02 * (1.0 + $f);
    }

    /**
     * The wools as seen from the wanted colour in CIE L*a*b*, chroma and hue weighed as CIEDE2000 does there: better than
     * the other where even the nearest mix is far.
     *
     * @param  list<array{float, float, float}>  $points  f of each wool
     * @return list<array{float, float, float}>
     */
    public static function inLab(Srgb $target, array $points): array
    {
        $wanted = $target->lab();
        $chroma = hypot($wanted->a, $wanted->b);
        [$c, $s] = $chroma > 1e-6 ? [$wanted->a / $chroma, $wanted->b / $chroma] : [1.0, 0.0];
        [$perC, $perH] = [1 + 0.045 * $chroma, 1 + 0.015 * $chroma];

        return array_map(static function (array $point) use ($wanted, $c, $s, $perC, $perH): array {
            $lab = Blend::light($point)->lab();
            [$a, $b] = [$lab->a - $wanted->a, $lab->b - $wanted->b];

            return [$lab->l - $wanted->l, ($a * $c + $b * $s) / $perC, ($b * $c - $a * $s) / $perH];
        }, $points);
    }
}
