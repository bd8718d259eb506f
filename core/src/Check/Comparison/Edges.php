<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoPose;

/**
 * Where the rims of the plan are seen on a photo: along each rim's normal, the step from the piece's colour to what lies beyond that
 * parts the two best (two-class change point), between the pixels by where it is halfway.
 */
final class Edges
{
    private const STEP_MM = 0.2;

    /** Colours that lie nearer to each other than this are no edge, grey values. */
    public const LEAST_APART = 22.0;

    /** So far off the line between both colours something is neither, as a share of how far they lie apart. */
    private const OFF = 0.5;

    /** What lies so much nearer to another colour than to its own is that. */
    private const SURELY = 0.4;

    /** Of one hue light alone tells them apart: felt ends by so much of the step within so few mm; shade on a round skin does not. */
    private const CRISP_MM = [0.4, 1.6];

    private const CRISP = 0.5;

    /** On either side of a rim so many steps are seen at least. */
    private const STEPS = 2;

    /** So surely must both sides be what they should be: the mean of what speaks for them, 0 to 1. */
    private const SURE = 0.7;

    /**
     * @param  list<Rim>  $rims  of the plan
     * @param  array<int, PieceFit>  $fits  about where pieces are seen rims are looked for: by layer
     * @return array<int, array{float, float}> by rim: how many mm farther out it is seen than planned, and how far it takes from one
     *     colour to the other (10 to 90 %); what is not seen surely is left out
     */
    public static function found(Photo $photo, PhotoPose $pose, Colours $colours, Expected $plan, array $rims, array $fits): array
    {
        $found = $behind = [];
        foreach ($rims as $i => $rim) {
            if ($colours->apart($rim->layer, $rim->outside) >= self::LEAST_APART) {
                $behind[$rim->layer] ??= self::behind($plan, $colours, $rim->layer);
                [$x, $y] = isset($fits[$rim->layer])
                    ? $fits[$rim->layer]->moved($plan->layers[$rim->layer]->piece, $plan->side, $rim->x, $rim->y)
                    : [0.0, 0.0];
                $edge = self::edge($photo, $pose, $colours, $behind[$rim->layer], $rim, [$rim->x + $x, $rim->y + $y]);
                if ($edge !== null) {
                    $found[$i] = [$edge[0] + $x * $rim->normal[0] + $y * $rim->normal[1], $edge[1]];
                }
            }
        }

        return $found;
    }

    /**
     * Colours of the ground and of pieces behind one, which are seen beside it where either lies otherwise than planned; none that it, its
     * details or what lies before it may have in some light.
     *
     * @return list<Rgb3>
     */
    private static function behind(Expected $plan, Colours $colours, int $label): array
    {
        $behind = [];
        foreach (array_keys($colours->of) as $other) {
            $isBehind = $other < $label && ($other < 0 || $plan->layers[$other]->detail === null);
            for ($before = $label; $isBehind && $before < count($plan->layers); $before++) {
                $isBehind = ! $colours->isOneHue($before, $other);
            }
            if ($isBehind) {
                $behind[] = $colours->of[$other];
            }
        }

        return $behind;
    }

    /**
     * @param  list<Rgb3>  $behind
     * @param  array{float, float}  $about
     * @return ?array{float, float}
     */
    private static function edge(Photo $photo, PhotoPose $pose, Colours $colours, array $behind, Rim $rim, array $about): ?array
    {
        [$inside, $outside] = [$colours->of[$rim->layer], $colours->of[$rim->outside]];
        [$from, $to] = [-$rim->inMm, $rim->outMm];
        $count = (int) floor(($to - $from) / self::STEP_MM);
        $speaks = [];
        for ($k = 0; $k <= $count; $k++) {
            $out = $from + $k * self::STEP_MM;
            $pixel = $photo->at(...$pose->at($about[0] + $out * $rim->normal[0], $about[1] + $out * $rim->normal[1], $rim->towardsMm));
            if (is_nan($pixel[0])) {
                return null;
            }
            // 1 where it is the piece, 0 where it is what lies beyond.
            [$share, $off] = Colours::between($pixel, $inside, $outside);
            // What lies off both colours is neither, and speaks for none, unless it is what lies behind.
            $speaks[] = match (true) {
                $off <= self::OFF => max(-0.25, min(1.25, $share)),
                self::isOneOf($behind, $pixel, Colours::away($pixel, $inside)) => 0.0,
                default => 0.5,
            };
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
        // At either end of the way there is no step: all of it is one.
        if (self::SURE - 0.5 > $best[0] / ($count + 1) || $k < self::STEPS || $count - $k < self::STEPS) {
            return null;
        }
        $half = 0.5;
        if ($colours->isOneHue($rim->layer, $rim->outside)) {
            [$in, $out] = self::beside($speaks, $k);
            if ($in - $out < self::CRISP) {
                return null;
            }
            // Where the light falls it is paler than all of it, in its shade darker: halfway is between what lies close by.
            $half = ($in + $out) / 2;
            $k = self::through($speaks, $k, $half);
        }
        [$a, $b] = [$speaks[$k], $speaks[$k + 1]];
        $between = $a - $b > 0.05 ? max(0.0, min(1.0, ($a - $half) / ($a - $b))) : 0.5;

        return [$from + ($k + $between) * self::STEP_MM, self::width($speaks, $k)];
    }

    /**
     * @param  list<Rgb3>  $colours
     * @param  Rgb3  $pixel
     */
    private static function isOneOf(array $colours, array $pixel, float $away): bool
    {
        foreach ($colours as $colour) {
            if (Colours::away($pixel, $colour) < self::SURELY * $away) {
                return true;
            }
        }

        return false;
    }

    /**
     * What speaks for a piece close within its rim, and close beyond.
     *
     * @param  list<float>  $speaks
     * @return array{float, float}
     */
    private static function beside(array $speaks, int $k): array
    {
        [$near, $far] = array_map(static fn (float $mm): int => (int) round($mm / self::STEP_MM), self::CRISP_MM);
        $in = array_slice($speaks, max(0, $k - $far), max(1, min($k, $far) - $near));
        $out = array_slice($speaks, min(count($speaks) - 1, $k + 1 + $near), $far - $near);

        return [array_sum($in) / count($in), array_sum($out) / count($out)];
    }

    /**
     * The place next to one at which they fall through a value.
     *
     * @param  list<float>  $speaks
     */
    private static function through(array $speaks, int $k, float $value): int
    {
        foreach ([0, 1, -1, 2, -2, 3, -3] as $step) {
            if (isset($speaks[$k + $step], $speaks[$k + $step + 1]) && $speaks[$k + $step] >= $value && $speaks[$k + $step + 1] < $value) {
                return $k + $step;
            }
        }

        return $k;
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
