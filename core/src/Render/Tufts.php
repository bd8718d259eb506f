<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Figure\Part;
use Impa\Geometry\Outline\Polygon;
use Impa\Material\Covering;
use Impa\Material\CoveringWay;

/** How tufts show along a part's outline: a row of teeth, each as wide as the tufts stand apart, straight out from the rim. */
final class Tufts
{
    /** Fewer would be a star. */
    private const LEAST = 3;

    /** More than that are a haze. */
    private const MOST = 400;

    /**
     * @param  non-empty-list<list<array{float, float}>>  $loops  of the bare part, mm
     * @return non-empty-list<list<array{float, float}>> the same where it has none
     */
    public static function along(Part $part, array $loops): array
    {
        if ($part->made->covering->way === CoveringWay::Tufts) {
            $loops[0] = self::row($loops[0], $part->made->covering);
        }

        return $loops;
    }

    /**
     * @param  list<array{float, float}>  $loop
     * @return list<array{float, float}>
     */
    private static function row(array $loop, Covering $covering): array
    {
        $rim = Polygon::perimeter($loop);
        $teeth = max(self::LEAST, min(self::MOST, (int) round($covering->alongRim($rim))));
        $out = Polygon::signedArea($loop) > 0 ? 1.0 : -1.0;
        // One stands at the very top, so that an even part looks even.
        $top = (int) array_search(max([-INF, ...array_column($loop, 1)]), array_column($loop, 1), true);
        $loop = [...array_slice($loop, $top), ...array_slice($loop, 0, $top)];
        $row = [];
        foreach (self::spread($loop, 2 * $teeth, $rim) as $k => [$x, $y, $alongX, $alongY]) {
            // Between two tips a foot; outwards is to the right of the way round against the clock.
            $reach = (1 - $k % 2) * $out * $covering->lengthMm;
            $row[] = [$x + $reach * $alongY, $y - $reach * $alongX];
        }

        return $row;
    }

    /**
     * Points at equal steps along a loop.
     *
     * @param  list<array{float, float}>  $loop
     * @return list<array{float, float, float, float}> a point, and the way on from there (of length 1)
     */
    private static function spread(array $loop, int $count, float $rim): array
    {
        $points = [];
        $behind = 0.0;
        foreach ($loop as $i => [$x, $y]) {
            [$nextX, $nextY] = $loop[($i + 1) % count($loop)];
            $edge = hypot($nextX - $x, $nextY - $y);
            while (count($points) < $count && ($step = count($points) * $rim / $count - $behind) < $edge) {
                [$alongX, $alongY] = [($nextX - $x) / $edge, ($nextY - $y) / $edge];
                $points[] = [$x + $step * $alongX, $y + $step * $alongY, $alongX, $alongY];
            }
            $behind += $edge;
        }

        return $points;
    }
}
