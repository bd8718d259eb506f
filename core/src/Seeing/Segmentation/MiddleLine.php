<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

use Impa\Raster\Blob;

/** The line about which a figure is most even, and what lies on which side of it. */
final class MiddleLine
{
    /** So many likely ones are tried. */
    private const TRIED = 8;

    /**
     * Middle line in pixels: of a few likely ones, the one about which the silhouette is most even.
     *
     * @param  array<int, float>  $middles  of the pieces, the largest's first
     */
    public static function of(array $middles, Regions $regions): float
    {
        $middles[] = Extent::of($regions->all)->middleX();
        $best = 0.0;
        $most = -1.0;
        foreach (array_slice($middles, 0, self::TRIED) as $axis) {
            $even = self::evenness($regions, $axis);
            if ($even > $most) {
                [$most, $best] = [$even, $axis];
            }
        }

        return $best;
    }

    /** Share of a blob that lies to the right of a line. */
    public static function rightOf(Blob $blob, float $axis): float
    {
        return count(array_filter(array_keys($blob->pixels), static fn (int $i): bool => ($i % $blob->width) + 0.5 > $axis)) /
            $blob->area();
    }

    /** Share of a sample of the figure's pixels whose mirror image belongs to the figure too. */
    private static function evenness(Regions $regions, float $axis): float
    {
        $hits = $all = 0;
        for ($i = 0, $n = count($regions->map); $i < $n; $i += 7) {
            if ($regions->map[$i] >= 0) {
                $all++;
                $x = (int) floor(2 * $axis - ($i % $regions->width) - 0.5);
                if ($x >= 0 && $x < $regions->width) {
                    $hits += (int) ($regions->map[intdiv($i, $regions->width) * $regions->width + $x] >= 0);
                }
            }
        }

        return $hits / max(1, $all);
    }
}
