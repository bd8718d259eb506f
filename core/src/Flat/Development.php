<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Geometry\Ellipse;
use Impa\Geometry\Outline\Polygon;
use Impa\Shape\Solid\Stack;

/**
 * Surfaces laid flat: cones and frusta unroll truly, triangle by triangle about their tip; what curves both ways falls into gores, each
 * as long as the way over the outside and as broad as its share of the girth there (true for round shapes; of oval ones by mean girth).
 */
final class Development
{
    /** Points round a rim, and along a gore. */
    private const ROUND = 144;

    private const ALONG = 96;

    /**
     * The side of a straight cone or frustum on an ellipse, the wide rim outside.
     *
     * @param  float  $widthMm  of the wider end; its depth likewise
     * @param  float  $share  the narrower end as a share of the wider: 0 for a cone, below 1
     * @param  float  $heightMm  between the ends
     * @return list<array{float, float}> anticlockwise, its middle straight up
     */
    public static function frustum(float $widthMm, float $depthMm, float $heightMm, float $share): array
    {
        // From the tip, where the sides would meet.
        $tipMm = $heightMm / (1 - $share);
        [$a, $b] = [$widthMm / 2, $depthMm / 2];
        $at = static fn (int $i): array => [$a * sin(2 * M_PI * $i / self::ROUND), $b * cos(2 * M_PI * $i / self::ROUND)];
        $angle = 0.0;
        $rays = [];
        for ($i = 0; $i <= self::ROUND; $i++) {
            [$x, $z] = $at($i);
            $long = sqrt($x * $x + $z * $z + $tipMm * $tipMm);
            if ($i > 0) {
                [$ox, $oz] = $at($i - 1);
                $before = sqrt($ox * $ox + $oz * $oz + $tipMm * $tipMm);
                $step = ($x - $ox) ** 2 + ($z - $oz) ** 2;
                $angle += acos(max(-1.0, min(1.0, ($long * $long + $before * $before - $step) / (2 * $long * $before))));
            }
            $rays[] = [$angle, $long];
        }
        $place = static fn (array $ray, float $times): array => [
            $times * $ray[1] * cos(M_PI / 2 + $ray[0] - $angle / 2),
            $times * $ray[1] * sin(M_PI / 2 + $ray[0] - $angle / 2),
        ];
        $outer = array_map(static fn (array $ray): array => $place($ray, 1.0), $rays);
        $inner = $share > 0.0
            ? array_map(static fn (array $ray): array => $place($ray, $share), array_reverse($rays))
            : [[0.0, 0.0]];

        return self::anticlockwise([...$outer, ...$inner]);
    }

    /** @return list<array{float, float}> the side of a straight tube */
    public static function tube(float $widthMm, float $depthMm, float $heightMm): array
    {
        $half = Ellipse::perimeter($widthMm / 2, $depthMm / 2) / 2;

        return [[-$half, 0.0], [$half, 0.0], [$half, $heightMm], [-$half, $heightMm]];
    }

    /**
     * One of so many alike gores of a shape that turns round its axis.
     *
     * @return list<array{float, float}> anticlockwise, from the foot up
     */
    public static function gore(Stack $solid, int $count): array
    {
        $size = $solid->size();
        $right = [];
        $along = 0.0;
        $before = null;
        for ($i = 0; $i <= self::ALONG; $i++) {
            // Close together at both ends, where the outline turns in.
            $t = (1 - cos(M_PI * $i / self::ALONG)) / 2;
            $p = $solid->profile($t);
            $girth = Ellipse::perimeter($size->widthMm / 2 * $p, $size->depthMm / 2 * $p);
            $here = [$girth / (2 * M_PI), $t * $size->heightMm];
            $along += $before === null ? 0.0 : hypot($here[0] - $before[0], $here[1] - $before[1]);
            $before = $here;
            $right[] = [$girth / (2 * $count), $along];
        }
        $left = array_map(static fn (array $p): array => [-$p[0], $p[1]], array_reverse($right));

        return self::anticlockwise(self::distinct([...$right, ...$left]));
    }

    /** @return list<array{float, float}> an ellipse */
    public static function disc(float $widthMm, float $depthMm): array
    {
        return array_map(
            static fn (int $i): array => [
                $widthMm / 2 * cos(2 * M_PI * $i / self::ROUND),
                $depthMm / 2 * sin(2 * M_PI * $i / self::ROUND),
            ],
            range(0, self::ROUND - 1),
        );
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function anticlockwise(array $points): array
    {
        return Polygon::signedArea($points) < 0.0 ? array_reverse($points) : $points;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}> without the same place twice in a row
     */
    private static function distinct(array $points): array
    {
        $distinct = [];
        foreach ($points as $point) {
            $last = $distinct[count($distinct) - 1] ?? $points[count($points) - 1];
            if (hypot($point[0] - $last[0], $point[1] - $last[1]) > 1e-6) {
                $distinct[] = $point;
            }
        }

        return $distinct;
    }
}
