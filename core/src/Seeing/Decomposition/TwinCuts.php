<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Raster\Blob;
use Impa\Seeing\Segmentation\Region;

/** Two patches that are drawn alike, left and right, are cut alike: chance in a pixel is no reason for two parts here and one there. */
final class TwinCuts
{
    /** Twins are as large as each other, and lie and end as high, give or take such a share of the larger one's height. */
    private const AS_LARGE = 0.88;

    private const AS_HIGH = 0.12;

    /** And lie in each other's mirror image by so much (intersection over union). */
    private const ALIKE = 0.8;

    /**
     * @param  array<int, list<Lobe>>  $cut  lobes by region
     * @param  array<int, Region>  $regions  the same, by number
     * @return array<int, list<Lobe>> the same, of twins that were cut otherwise both as the one in fewer
     */
    public static function alike(array $cut, array $regions): array
    {
        foreach ($cut as $i => $own) {
            foreach ($cut as $j => $others) {
                if ($i < $j && count($own) !== count($others) && self::mayBe($regions[$i], $regions[$j])) {
                    [$from, $to] = count($own) < count($others) ? [$i, $j] : [$j, $i];
                    $cut[$to] = self::mirrored($cut[$from], $cut[$to]) ?? $cut[$to];
                }
            }
        }

        return $cut;
    }

    private static function mayBe(Region $one, Region $two): bool
    {
        $near = self::AS_HIGH * max($one->heightPx(), $two->heightPx());

        return $one->label === $two->label
            && min($one->area, $two->area) > self::AS_LARGE * max($one->area, $two->area)
            && abs($one->minY - $two->minY) < $near
            && abs($one->maxY - $two->maxY) < $near
            && ($one->maxX < $two->minX || $two->maxX < $one->minX);
    }

    /**
     * A twin's lobes in the mirror, for the pixels of the other.
     *
     * @param  list<Lobe>  $lobes
     * @param  list<Lobe>  $others
     * @return ?list<Lobe> null where they are no mirror images
     */
    private static function mirrored(array $lobes, array $others): ?array
    {
        $numbers = $pixels = [];
        foreach ($lobes as $n => $lobe) {
            $numbers += array_fill_keys(array_keys($lobe->blob->pixels), $n);
        }
        foreach ($others as $lobe) {
            $pixels += $lobe->blob->pixels;
        }
        if ($lobes === [] || $numbers === [] || $pixels === []) {
            return null;
        }
        $width = $lobes[0]->blob->width;
        $one = array_map(static fn (int $i): int => $i % $width, array_keys($numbers));
        $two = array_map(static fn (int $i): int => $i % $width, array_keys($pixels));
        // Twice the axis: left edge meets right edge.
        $axis = intdiv(min($one) + max($one) + min($two) + max($two), 2);
        $parts = $lost = [];
        foreach ($pixels as $i => $_) {
            $number = $numbers[$i - 2 * ($i % $width) + $axis] ?? null;
            if ($number === null) {
                $lost[$i] = true;
            } else {
                $parts[$number][$i] = true;
            }
        }
        $both = count($pixels) - count($lost);
        if (count($parts) !== count($lobes) || $both < self::ALIKE * (count($pixels) + count($numbers) - $both)) {
            return null;
        }
        // What the mirror misses by a pixel or two goes to the lobe that lies nearest.
        while ($lost !== []) {
            $taken = [];
            foreach ($lost as $i => $_) {
                foreach ($parts as $number => $part) {
                    if (isset($part[$i - 1]) || isset($part[$i + 1]) || isset($part[$i - $width]) || isset($part[$i + $width])) {
                        $taken[$i] = $number;
                        break;
                    }
                }
            }
            if ($taken === []) {
                return null;
            }
            foreach ($taken as $i => $number) {
                $parts[$number][$i] = true;
                unset($lost[$i]);
            }
        }
        ksort($parts);

        return array_map(
            static fn (array $part, Lobe $lobe): Lobe => new Lobe(Blob::of($part, $width), $lobe->neckPx),
            array_values($parts),
            $lobes,
        );
    }
}
