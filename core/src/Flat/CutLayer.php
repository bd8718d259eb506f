<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Difference;
use Impa\Geometry\Outline\Polygon;
use Impa\Shape\Loft;

/**
 * A layer of felt with what is cut right through it, for the views in the round: its solid, piece by piece. A hole is reached over a bridge
 * of no width, so that each ring of the loft stays one loop.
 *
 * @phpstan-import-type Cut from Difference
 */
final class CutLayer
{
    /**
     * In the round all cuts of all layers have so many corners together, each so many at least: a stencil of hundreds of openings, of which
     * that makes no more than specks, stays closed there.
     */
    private const MOST_POINTS = 2_500;

    private const LEAST_POINTS = 8;

    /**
     * @return ?list<Loft> in the piece's own frame, one for each piece that is left of it; null where nothing is cut through it
     */
    public static function of(Figure $figure, Placement $placement): ?array
    {
        $solid = $placement->part->solid;
        $cuts = $figure->flat->isFlat() && $solid->kind()->isFlat() && $placement->turn->keepsFront() ? $figure->flat->cutThrough() : [];
        $outline = $solid->front()[0];
        $own = static fn (array $p): array => array_slice(
            $placement->own($p[0] - $placement->at[0], $p[1] - $placement->at[1], 0.0),
            0,
            2,
        );
        $most = intdiv(self::MOST_POINTS, max(1, count($cuts) * count($figure->parts)));
        if ($most < self::LEAST_POINTS) {
            return null;
        }
        $pieces = self::pieces($outline, array_map(
            static fn (array $cut): array => array_map($own, self::thinned($cut, $most)),
            $cuts,
        ));

        return $pieces === null ? null : array_map(static function (array $piece) use ($solid, $outline): Loft {
            [$loop, $holes] = $piece;
            // The rightmost first: from there the rim is seen, whatever the others hide.
            $rights = array_map(
                static fn (array $hole): float => max([-INF, ...array_map(static fn (array $p): float => $p[0], $hole)]),
                $holes,
            );
            arsort($rights);
            $holes = array_map(static fn (int $k): array => $holes[$k], array_keys($rights));
            while ($holes !== []) {
                $hole = array_shift($holes);
                $loop = self::bridged($loop, $hole, $holes);
            }

            return self::loft($solid->loft(), $outline, $loop);
        }, $pieces);
    }

    /**
     * Fewer corners of an outline, evenly left out.
     *
     * @param  list<array{float, float}>  $cut
     * @return list<array{float, float}>
     */
    private static function thinned(array $cut, int $most): array
    {
        $count = count($cut);

        return $count <= $most ? $cut : array_map(static fn (int $k): array => $cut[intdiv($k * $count, $most)], range(0, $most - 1));
    }

    /**
     * The rims of what is left of a flat piece, and of its holes: what lies within an odd number of them is felt.
     *
     * @param  list<array{float, float}>  $outline
     * @param  list<list<array{float, float}>>  $cuts
     * @return list<list<array{float, float}>> the outline alone where nothing is cut
     */
    public static function rims(array $outline, array $cuts): array
    {
        $pieces = self::pieces($outline, $cuts);
        $rims = $pieces === null ? [$outline] : [];
        foreach ($pieces ?? [] as [$rim, $holes]) {
            array_push($rims, self::places($rim), ...array_map(self::places(...), $holes));
        }

        return $rims;
    }

    /**
     * @param  Cut  $loop
     * @return list<array{float, float}>
     */
    private static function places(array $loop): array
    {
        return array_map(static fn (array $p): array => [$p[0], $p[1]], $loop);
    }

    /**
     * @param  list<array{float, float}>  $outline
     * @param  list<list<array{float, float}>>  $cuts
     * @return ?list<array{Cut, list<Cut>}> each piece that is left, and its holes; null where nothing is cut
     */
    private static function pieces(array $outline, array $cuts): ?array
    {
        $box = Box::around($outline);
        $cuts = array_filter($cuts, static fn (array $cut): bool => self::meets($box, Box::around($cut)));
        $pieces = [[array_map(static fn (array $p): array => [$p[0], $p[1], false], $outline), []]];
        $isCut = false;
        foreach ($cuts as $cut) {
            $left = [];
            foreach ($pieces as [$rim, $holes]) {
                ['left' => $rims, 'hole' => $hole] = Difference::of(self::places($rim), $cut);
                if ($hole !== null) {
                    $left[] = [$rim, [...$holes, $hole]];
                    $isCut = true;

                    continue;
                }
                $isCut = $isCut || count($rims) !== 1 || in_array(true, array_column($rims[0], 2), true);
                foreach ($rims as $loop) {
                    $around = self::places($loop);
                    $isIn = static fn (array $hole): bool => Polygon::has($around, $hole[0][0], $hole[0][1]);
                    $left[] = [$loop, array_values(array_filter($holes, $isIn))];
                }
            }
            $pieces = $left;
        }

        return $isCut ? $pieces : null;
    }

    private static function meets(Box $one, Box $two): bool
    {
        return $one->left < $two->right && $two->left < $one->right && $one->low < $two->high && $two->low < $one->high;
    }

    /**
     * One loop: along the rim, over to the hole, round it and back (Eberly, Triangulation by ear clipping).
     *
     * @param  Cut  $rim  anticlockwise
     * @param  Cut  $hole  clockwise
     * @param  list<Cut>  $others  that no bridge may cross
     * @return Cut
     */
    private static function bridged(array $rim, array $hole, array $others): array
    {
        if (Polygon::signedArea(self::places($rim)) < 0.0) {
            $rim = array_reverse($rim);
        }
        $to = self::rightmost($hole);
        $from = self::seenFrom($rim, $hole[$to], [$rim, ...$others]);
        $round = [...array_slice($hole, $to), ...array_slice($hole, 0, $to + 1)];

        return [...array_slice($rim, 0, $from + 1), ...$round, ...array_slice($rim, $from)];
    }

    /** @param  Cut  $loop */
    private static function rightmost(array $loop): int
    {
        $best = 0;
        foreach ($loop as $i => [$x]) {
            $best = $x > $loop[$best][0] ? $i : $best;
        }

        return $best;
    }

    /**
     * The nearest corner of the rim that is seen from a place: no wall lies between them.
     *
     * @param  Cut  $rim
     * @param  array{float, float, bool}  $place
     * @param  list<Cut>  $walls
     */
    private static function seenFrom(array $rim, array $place, array $walls): int
    {
        $hidden = [];
        $nearest = 0;
        do {
            [$nearest, $least] = [-1, INF];
            foreach ($rim as $i => [$x, $y]) {
                $far = ($x - $place[0]) ** 2 + ($y - $place[1]) ** 2;
                if ($far < $least && ! isset($hidden[$i])) {
                    [$nearest, $least] = [$i, $far];
                }
            }
            if ($nearest < 0) {
                return 0;
            }
            $hidden[$nearest] = true;
            [$x, $y] = $rim[$nearest];
        } while (array_filter($walls, static fn (array $w): bool => self::isCrossed($x, $y, $place[0], $place[1], $w)) !== []);

        return $nearest;
    }

    /** @param  Cut  $rim */
    private static function isCrossed(float $x, float $y, float $hx, float $hy, array $rim): bool
    {
        $side = static fn (float $ax, float $ay, float $bx, float $by, float $px, float $py): float => ($bx - $ax) * ($py - $ay)
            - ($by - $ay) * ($px - $ax);
        foreach ($rim as $i => [$ax, $ay]) {
            [$bx, $by] = $rim[($i + 1) % count($rim)];
            if (
                $side($ax, $ay, $bx, $by, $x, $y) * $side($ax, $ay, $bx, $by, $hx, $hy) < -1e-9
                && $side($x, $y, $hx, $hy, $ax, $ay) * $side($x, $y, $hx, $hy, $bx, $by) < -1e-9
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * The piece through the thickness of the layer: its own rim is rounded as the whole layer's is, what was cut is cut straight.
     *
     * @param  list<array{float, float}>  $outline  of the whole layer
     * @param  Cut  $piece
     */
    private static function loft(Loft $whole, array $outline, array $piece): Loft
    {
        [$cx, $cy] = Polygon::centroid($outline);
        // Where it shows best how far a ring is drawn in.
        $farthest = 0;
        foreach ($outline as $i => [$x, $y]) {
            [$fx, $fy] = $outline[$farthest];
            $farthest = hypot($x - $cx, $y - $cy) > hypot($fx - $cx, $fy - $cy) ? $i : $farthest;
        }
        $long = hypot($outline[$farthest][0] - $cx, $outline[$farthest][1] - $cy);
        $rings = [];
        foreach ($whole->rings as $ring) {
            $share = hypot($ring[3 * $farthest] - $cx, $ring[3 * $farthest + 1] - $cy) / $long;
            $flat = [];
            foreach ($piece as [$x, $y, $isCut]) {
                $s = $isCut ? 1.0 : $share;
                array_push($flat, $cx + ($x - $cx) * $s, $cy + ($y - $cy) * $s, $ring[2]);
            }
            $rings[] = $flat;
        }

        return Loft::of($rings, $whole->closed);
    }
}
