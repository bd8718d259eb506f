<?php

declare(strict_types=1);

namespace Impa\Check;

/**
 * Where the rims of the plan are seen on a photo: along each rim's normal, the step from the piece's colour to what lies beyond that
 * parts the two best (two-class change point), between the pixels by where it is halfway.
 */
final class Edges
{
    private const STEP_MM = 0.2;

    /** Colours that lie nearer to each other than this are no edge, grey values. */
    private const LEAST_APART = 22.0;

    /** So far off the line between both colours something is neither, as a share of how far they lie apart. */
    private const OFF = 0.5;

    /** So surely must both sides be what they should be: the mean of what speaks for them, 0 to 1. */
    private const SURE = 0.7;

    /**
     * @param  list<Rim>  $rims
     * @return array<int, array{float, float}> by rim: how many mm farther out it is seen than planned, and how far it takes from one
     *     colour to the other (10 to 90 %); what is not seen surely is left out
     */
    public static function found(Photo $photo, Pose $pose, Colours $colours, array $rims): array
    {
        $found = [];
        foreach ($rims as $i => $rim) {
            if ($colours->apart($rim->layer, $rim->outside) >= self::LEAST_APART) {
                $edge = self::edge($photo, $pose, $colours, $rim);
                if ($edge !== null) {
                    $found[$i] = $edge;
                }
            }
        }

        return $found;
    }

    /** @return ?array{float, float} */
    private static function edge(Photo $photo, Pose $pose, Colours $colours, Rim $rim): ?array
    {
        [$inside, $outside] = [$colours->of[$rim->layer], $colours->of[$rim->outside]];
        [$from, $to] = [-$rim->inMm, $rim->outMm];
        $count = (int) floor(($to - $from) / self::STEP_MM);
        $speaks = [];
        for ($k = 0; $k <= $count; $k++) {
            $out = $from + $k * self::STEP_MM;
            $pixel = $photo->at(...$pose->at($rim->x + $out * $rim->normal[0], $rim->y + $out * $rim->normal[1], $rim->towardsMm));
            if (is_nan($pixel[0])) {
                return null;
            }
            // 1 where it is the piece, 0 where it is what lies beyond.
            [$share, $off] = Colours::between($pixel, $inside, $outside);
            // What lies off both colours is neither, and speaks for none.
            $speaks[] = $off > self::OFF ? 0.5 : max(-0.25, min(1.25, $share));
        }
        // The change point with the most for it on both sides.
        $sum = 0.0;
        $whole = array_sum($speaks);
        $best = [-INF, 0];
        foreach ($speaks as $k => $share) {
            $sum += $share;
            $for = ($sum - 0.5 * ($k + 1)) + (0.5 * ($count - $k) - ($whole - $sum));
            $best = $for > $best[0] ? [$for, $k] : $best;
        }
        $k = $best[1];
        if (self::SURE - 0.5 > $best[0] / ($count + 1) || $k >= $count) {
            return null;
        }
        [$a, $b] = [$speaks[$k], $speaks[$k + 1]];
        $between = $a - $b > 0.05 ? max(0.0, min(1.0, ($a - 0.5) / ($a - $b))) : 0.5;

        return [$from + ($k + $between) * self::STEP_MM, self::width($speaks, $k)];
    }

    /** @param  list<float>  $speaks */
    private static function width(array $speaks, int $k): float
    {
        $low = $high = $k;
        while ($low > 0 && $speaks[$low] < 0.9) {
            $low--;
        }
        while ($high < count($speaks) - 1 && $speaks[$high] > 0.1) {
            $high++;
        }

        return ($high - $low) * self::STEP_MM;
    }
}
