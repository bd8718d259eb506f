<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Geometry\Outline\Polygon;
use Impa\Geometry\Outline\Polyline;

/** Ties and ribbons: where their holes are punched, whether felt is left round them, and how much ribbon is cut. */
final class Ribbon
{
    /** Felt between a hole and any rim: twice the hole, and never less than this, mm (common practice). */
    public const LEAST_RIM_MM = 6.0;

    /** What a knot or a bow's fold takes of each end, mm (common practice). */
    public const KNOT_MM = 40.0;

    /** Places along a rim, mm. */
    private const STEP_MM = 1.0;

    /** Places from the rim inwards, mm. */
    private const TRIED_MM = 0.5;

    /** How far from the rim ties are suggested, as a share more than what must be left. */
    private const AMPLE = 1.2;

    /** Ribbon in all, mm: each end with its knot. */
    public static function lengthMm(Layers $layers): float
    {
        $flat = $layers->figure->flat;

        return count($flat->ties->at) * ($flat->ties->lengthMm + self::KNOT_MM);
    }

    /** Felt that must stay between a hole and any rim. */
    public static function rimMm(float $holeMm): float
    {
        return max(self::LEAST_RIM_MM, 2 * $holeMm);
    }

    /**
     * Holes that lie off the felt, or so near a rim that they would tear.
     *
     * @return list<array{hole: int, rimMm: float}> rimMm is what is left: below 0 where the hole lies off the felt
     */
    public static function torn(Layers $layers): array
    {
        $flat = $layers->figure->flat;
        $torn = [];
        $rims = $flat->ties->at === [] ? [] : self::rims($layers);
        foreach ($flat->ties->at as $i => [$x, $y]) {
            $left = self::leftMm($layers, $rims, $x, $y) - $flat->ties->holeMm() / 2;
            if ($left < self::rimMm($flat->ties->holeMm()) - 1e-6) {
                $torn[] = ['hole' => $i, 'rimMm' => $left];
            }
        }

        return $torn;
    }

    /**
     * Where ties go: at either side as far out as leaves enough felt, as high as the openings, or else in the middle of the height; and
     * where one ribbon goes: in the middle, as near to the top.
     *
     * @param  float  $ribbonMm  how wide it is
     * @return array{ties: list<array{float, float}>, top: list<array{float, float}>}
     */
    public static function suggested(Layers $layers, float $ribbonMm): array
    {
        $hole = max(2.0, $ribbonMm / 2);
        $wanted = self::AMPLE * self::rimMm($hole) + $hole / 2;
        $ground = $layers->all[0];
        $rims = self::rims($layers);
        $openings = array_merge(...array_values($layers->figure->flat->openings));
        $y = $openings === []
            ? ($ground->box->low + $ground->box->high) / 2
            : array_sum(array_column($openings, 1)) / count($openings);
        $right = self::inwards($layers, $rims, [$ground->box->right, $y], [-1.0, 0.0], $ground->box->width(), $wanted);
        $left = self::inwards($layers, $rims, [$ground->box->left, $y], [1.0, 0.0], $ground->box->width(), $wanted);
        $middle = ($ground->box->left + $ground->box->right) / 2;
        $top = self::inwards($layers, $rims, [$middle, $ground->box->high], [0.0, -1.0], $ground->box->height(), $wanted);

        return ['ties' => $left === [] || $right === [] ? [] : [$left, $right], 'top' => $top === [] ? [] : [$top]];
    }

    /**
     * @param  list<array{float, float}>  $rims
     * @param  array{float, float}  $from
     * @param  array{float, float}  $way
     * @return array{}|array{float, float} the first place that leaves enough felt
     */
    private static function inwards(Layers $layers, array $rims, array $from, array $way, float $most, float $wanted): array
    {
        for ($mm = 0.0; $mm < $most;) {
            $at = [$from[0] + $mm * $way[0], $from[1] + $mm * $way[1]];
            $left = self::leftMm($layers, $rims, ...$at);
            if ($left >= $wanted) {
                return [round($at[0], 1), round($at[1], 1)];
            }
            // Over so much no place can leave enough: what is left changes by no more than the way that is gone, and a step of the rim.
            $mm += max(self::TRIED_MM, self::TRIED_MM * floor(($wanted - $left - self::STEP_MM) / self::TRIED_MM));
        }

        return [];
    }

    /**
     * Places along the rims of the grounds and of the openings.
     *
     * @return list<array{float, float}>
     */
    private static function rims(Layers $layers): array
    {
        $rims = [];
        foreach ($layers->all as $layer) {
            if ($layer->level === 0) {
                array_push($rims, ...Polyline::closed($layer->outline, self::STEP_MM));
            }
        }
        foreach ($layers->figure->flat->openings as $opening) {
            array_push($rims, ...Polyline::closed($opening, self::STEP_MM));
        }

        return $rims;
    }

    /**
     * From a place to the nearest rim, mm; below 0 off the felt.
     *
     * @param  list<array{float, float}>  $rims
     */
    private static function leftMm(Layers $layers, array $rims, float $x, float $y): float
    {
        $square = INF;
        foreach ($rims as [$rx, $ry]) {
            $square = min($square, ($rx - $x) ** 2 + ($ry - $y) ** 2);
        }
        $isOn = array_filter($layers->all, static fn (Layer $l): bool => $l->level === 0 && $l->has($x, $y)) !== []
            && array_filter($layers->figure->flat->openings, static fn (array $o): bool => Polygon::has($o, $x, $y)) === [];

        return ($isOn ? 1 : -1) * sqrt($square);
    }
}
