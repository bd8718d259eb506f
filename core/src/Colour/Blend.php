<?php

declare(strict_types=1);

namespace Impa\Colour;

/**
 * What wools look like when they are teased into one: the relation of Stearns and Noechel, "Spectrophotometric
 * prediction of color of wool blends", American Dyestuff Reporter 33 (1944), with their M = 0.15 for wool, applied to
 * the three channels of linear light in place of a spectrum (docs/trade.md, Colours). Under f, blends are straight lines.
 */
final class Blend
{
    public const M = 0.15;

    /** A ramp is walked in so many small steps. */
    private const FINE = 200;

    /** f(R) = (1 - R) / (M (R - 0.01) + 0.01) for a reflectance of 0 to 1. */
    public static function f(float $reflectance): float
    {
        return (1 - $reflectance) / (self::M * ($reflectance - 0.01) + 0.01);
    }

    /** The reflectance that has this f. */
    public static function reflectance(float $f): float
    {
        return (1 - 0.01 * (1 - self::M) * $f) / (1 + self::M * $f);
    }

    /** @return array{float, float, float} f of the three channels */
    public static function point(Light $light): array
    {
        return [self::f($light->red), self::f($light->green), self::f($light->blue)];
    }

    /** @param  array{float, float, float}  $point */
    public static function light(array $point): Light
    {
        return Light::of(self::reflectance($point[0]), self::reflectance($point[1]), self::reflectance($point[2]));
    }

    /**
     * The blend of wools in shares by weight that sum to 1.
     *
     * @param  list<Light>  $wools
     * @param  list<float>  $shares
     */
    public static function of(array $wools, array $shares): Light
    {
        $sum = [0.0, 0.0, 0.0];
        foreach ($wools as $i => $wool) {
            foreach (self::point($wool) as $channel => $f) {
                $sum[$channel] += $shares[$i] * $f;
            }
        }

        return self::light($sum);
    }

    /**
     * From one wool to another in even steps by eye: the shares are chosen so that neighbours differ alike by CIEDE2000.
     *
     * @param  int  $steps  2 at least, both ends included
     * @return list<array{share: float, light: Light}> the share is that of the second wool
     */
    public static function ramp(Light $from, Light $to, int $steps): array
    {
        // Distances along the way, by small steps.
        $way = [0.0];
        $before = $from->lab();
        for ($k = 1; $k <= self::FINE; $k++) {
            $lab = self::of([$from, $to], [1 - $k / self::FINE, $k / self::FINE])->lab();
            $way[] = $way[$k - 1] + Ciede2000::between($before, $lab);
            $before = $lab;
        }
        $ramp = [];
        $k = 0;
        for ($i = 0; $i < $steps; $i++) {
            $wanted = $way[self::FINE] * $i / ($steps - 1);
            while ($k < self::FINE && $way[$k] < $wanted) {
                $k++;
            }
            $step = $k > 0 ? $way[$k] - $way[$k - 1] : 0.0;
            $share = $i === $steps - 1 ? 1.0 : ($step > 0.0 ? ($k - ($way[$k] - $wanted) / $step) / self::FINE : $k / self::FINE);
            $ramp[] = ['share' => $share, 'light' => self::of([$from, $to], [1 - $share, $share])];
        }

        return $ramp;
    }
}
