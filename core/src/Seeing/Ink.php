<?php

declare(strict_types=1);

namespace Impa\Seeing;

/**
 * Drawn outlines: dark strokes that run between other regions and along the ground. They are known by their width and given
 * away; a stroke inside one region (a mouth, a brow, a whisker) is a drawn line and stays.
 */
final class Ink
{
    /** A drawn outline is narrower than this share of the figure's height, and this dark (L). */
    private const SHARE = 0.03;

    private const LIGHTNESS = 45.0;

    /** What fills more of its box than this is no outline. */
    private const FILLS = 0.35;

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

        return array_filter($all, static fn (Region $r): bool => $r->strokePx() < self::SHARE * $figureHeight
            && $flat->colours[$r->label]->lab()->l < self::LIGHTNESS
            && $r->touchesGround()
            && $r->area < self::FILLS * $r->widthPx() * $r->heightPx());
    }
}
