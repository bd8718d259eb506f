<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

use Impa\Raster\ConnectedComponents;
use Impa\Raster\DistanceTransform;

/**
 * Drawn outlines: dark strokes that run between other regions and along the ground, joined into a network. They are known by their width
 * and given away, but for two kinds of strokes in that network: those that leave what they bound and stand free (whiskers, feelers,
 * thin limbs), and those that have one region on both sides (a mouth, toes, a fold). A stroke inside one region that hangs on no outline
 * is a drawn line and no ink in the first place.
 */
final class Ink
{
    /** A drawn outline is narrower than this share of the figure's height, and this dark (L). */
    private const SHARE = 0.03;

    private const LIGHTNESS = 45.0;

    /** What fills more of its box than this is no outline. */
    private const FILLS = 0.35;

    /** A patch that a line goes round is at least this share of the figure. */
    private const ROUND = 0.02;

    /** Ink so many of its widths away from everything else stands free; it springs from so near. */
    private const FREE = 2.4;

    public const SPRINGS = 1.5;

    /** A stroke is so many times longer than wide. */
    private const LONG = 2.5;

    /** One that is drawn within a region counts from so many, for ends stick out by hand. */
    private const DRAWN = 4.0;

    /**
     * @param  array<int, Region>  $all
     * @return array<int, Region> those that are outlines
     */
    public static function outlines(array $all, FlatColours $flat): array
    {
        if ($all === []) {
            return [];
        }
        $figureHeight = Extent::of($all)->heightPx();
        $figure = array_sum(array_map(static fn (Region $r): int => $r->area, $all));

        return array_filter($all, static fn (Region $r): bool => $r->strokePx() < self::SHARE * $figureHeight
            && $flat->colours[$r->label]->lab()->l < self::LIGHTNESS
            && ($r->touchesGround() || self::isRound($r, $all, $figure))
            && $r->area < self::FILLS * $r->widthPx() * $r->heightPx());
    }

    /**
     * Whether a stroke goes round a large patch, such as a belly; round a small one it is kept, as the rim of an eye.
     *
     * @param  array<int, Region>  $all
     */
    private static function isRound(Region $stroke, array $all, int $figure): bool
    {
        foreach ($stroke->contact as $other => $length) {
            if ($other >= 0 && $all[$other]->area > self::ROUND * $figure && $length > Region::SURROUNDED * $all[$other]->edge) {
                return true;
            }
        }

        return false;
    }

    /**
     * Mean width of a network's strokes.
     *
     * @param  non-empty-array<int, Region>  $ink
     */
    public static function widthPx(array $ink): float
    {
        $area = array_sum(array_map(static fn (Region $r): int => $r->area, $ink));

        return 2 * $area / max(1, array_sum(array_map(static fn (Region $r): int => $r->edge, $ink)));
    }

    /**
     * Strokes of the network that leave what they bound.
     *
     * @param  non-empty-array<int, Region>  $ink
     * @param  list<int>  $map  region per pixel, -1 for the ground
     * @return list<non-empty-array<int, true>> the pixels of each, largest first
     */
    public static function free(array $ink, array $map, int $width): array
    {
        $wide = self::widthPx($ink);
        $far = DistanceTransform::from(array_map(static fn (int $r): int => $r >= 0 && ! isset($ink[$r]) ? 0 : -1, $map), $width)[0];
        $core = $near = [];
        foreach ($map as $i => $region) {
            if (isset($ink[$region])) {
                if ($far[$i] > DistanceTransform::SIDE * (self::FREE * $wide + 1)) {
                    $core[$i] = true;
                }
                if ($far[$i] > DistanceTransform::SIDE * self::SPRINGS * $wide) {
                    $near[$i] = true;
                }
            }
        }
        $free = [];
        foreach ($core === [] ? [] : ConnectedComponents::ofSet($near, $width) as $stroke) {
            if (array_intersect_key($stroke, $core) !== [] && self::isLong($stroke, self::LONG * $wide, $width)) {
                $free[] = $stroke;
            }
        }

        return $free;
    }

    /**
     * Strokes of the network with one region on both sides.
     *
     * @param  non-empty-array<int, Region>  $ink
     * @param  list<int>  $map  region per pixel, ink included
     * @param  list<int>  $spread  the same after the ink was given away
     * @return list<non-empty-array<int, true>>
     */
    public static function within(array $ink, array $map, array $spread, int $width): array
    {
        $wide = self::widthPx($ink);
        $reach = (int) ceil($wide) + 1;
        $around = [];
        foreach ([[1, 0], [1, 1], [0, 1], [-1, 1], [-1, 0], [-1, -1], [0, -1], [1, -1]] as [$x, $y]) {
            $around[] = $y * $reach * $width + $x * $reach;
        }
        $core = [];
        foreach ($map as $i => $region) {
            if (! isset($ink[$region]) || $spread[$i] < 0) {
                continue;
            }
            foreach ($around as $way) {
                if (($spread[$i + $way] ?? -1) !== $spread[$i]) {
                    continue 2;
                }
            }
            $core[$i] = true;
        }
        $within = [];
        foreach (ConnectedComponents::ofSet($core, $width) as $stroke) {
            if (self::isLong($stroke, self::DRAWN * $wide, $width)) {
                $within[] = $stroke;
            }
        }

        return $within;
    }

    /** @param  non-empty-array<int, true>  $stroke */
    private static function isLong(array $stroke, float $leastPx, int $width): bool
    {
        $columns = array_map(static fn (int $i): int => $i % $width, array_keys($stroke));
        $rows = array_map(static fn (int $i): int => intdiv($i, $width), array_keys($stroke));

        return max(max($columns) - min($columns), max($rows) - min($rows)) + 1 > $leastPx;
    }
}
