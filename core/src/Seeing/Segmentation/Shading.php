<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

use Impa\Colour\LabTable;
use Impa\Colour\Srgb;
use Impa\Raster\Raster;

/** Soft shading and soft highlights are no colours of their own: what runs into a colour of its hue is that (region merging). */
final class Shading
{
    /** So far apart in Lab two of one hue may be, by the strength of merging from 0 to 1. */
    private const APART = [8.0, 60.0];

    /** They run into each other where so much of the border between them is no edge. */
    private const SOFT = 0.6;

    /** One hue: within so many degrees, or too grey to have one. */
    private const HUE_DEG = 18.0;

    private const GREY = 9.0;

    /** Neighbours that differ by so much, summed over red, green and blue, have an edge between them. */
    private const EDGE = 12;

    /** Whether there is no edge between two neighbouring pixels. */
    public static function runInto(int $one, int $two): bool
    {
        return abs((($one >> 16) & 255) - (($two >> 16) & 255)) +
            abs((($one >> 8) & 255) - (($two >> 8) & 255)) +
            abs(($one & 255) - ($two & 255)) <
            self::EDGE;
    }

    /**
     * @param  non-empty-list<Srgb>  $colours  largest first
     * @param  list<int>  $labels  per pixel: index of its colour, -1 for the ground
     * @param  float  $shades  how strongly near shades are merged, 0 to 1
     * @return array{list<Srgb>, list<int>} the same with each shade as a part of its colour, which is the mean of them
     */
    public static function merged(array $colours, array $labels, Raster $raster, float $shades): array
    {
        $into = self::into($colours, $labels, $raster, (self::APART[0] + $shades * (self::APART[1] - self::APART[0])) ** 2);
        $kept = array_values(array_unique($into));
        $number = array_flip($kept);
        $sums = array_fill(0, count($kept), [0, 0, 0, 0]);
        foreach (array_count_values(array_filter($labels, static fn (int $label): bool => $label >= 0)) as $label => $count) {
            $sum = &$sums[$number[$into[$label]]];
            $sum[0] += $count;
            $sum[1] += $count * $colours[$label]->red;
            $sum[2] += $count * $colours[$label]->green;
            $sum[3] += $count * $colours[$label]->blue;
            unset($sum);
        }
        $shadesOf = array_count_values($into);
        $mean = static fn (array $sum): Srgb => Srgb::of(intdiv($sum[1], $sum[0]), intdiv($sum[2], $sum[0]), intdiv($sum[3], $sum[0]));

        return [
            // What has no shades is exactly as it is drawn.
            array_map(static fn (int $k, array $sum): Srgb => $shadesOf[$k] > 1 && $sum[0] > 0 ? $mean($sum) : $colours[$k], $kept, $sums),
            array_map(static fn (int $label): int => $label < 0 ? $label : $number[$into[$label]], $labels),
        ];
    }

    /**
     * @param  non-empty-list<Srgb>  $colours
     * @param  list<int>  $labels
     * @param  float  $within  so far apart in Lab, squared
     * @return non-empty-array<int, int> by colour, the one that it is a shade of, or itself
     */
    private static function into(array $colours, array $labels, Raster $raster, float $within): array
    {
        [$border, $soft] = self::borders($labels, $raster);
        // The largest first: what a smaller one runs into may be a shade of a larger one itself, and is no way round to another hue.
        $into = array_keys($colours);
        ksort($border);
        foreach ($border as $smaller => $others) {
            arsort($others);
            foreach ($others as $larger => $length) {
                $runsIn = ($soft[$smaller][$larger] ?? 0) >= self::SOFT * $length;
                if ($runsIn && self::isShade($colours[$smaller], $colours[$into[$larger]], $within)) {
                    $into[$smaller] = $into[$larger];
                    break;
                }
            }
        }

        return $into;
    }

    /**
     * @param  list<int>  $labels
     * @return array{array<int, array<int, int>>, array<int, array<int, int>>} how long the border of a colour with a larger one is, and
     *     how much of it is no edge
     */
    private static function borders(array $labels, Raster $raster): array
    {
        $border = $soft = [];
        foreach ($labels as $i => $one) {
            if ($one < 0 || (($labels[$i + 1] ?? -1) === $one && ($labels[$i + $raster->width] ?? -1) === $one)) {
                continue;
            }
            foreach ([$i + 1, $i + $raster->width] as $j) {
                $two = $labels[$j] ?? -1;
                if ($two >= 0 && $two !== $one) {
                    [$larger, $smaller] = [min($one, $two), max($one, $two)];
                    $border[$smaller][$larger] = ($border[$smaller][$larger] ?? 0) + 1;
                    if (self::runInto($raster->pixels[$i], $raster->pixels[$j])) {
                        $soft[$smaller][$larger] = ($soft[$smaller][$larger] ?? 0) + 1;
                    }
                }
            }
        }

        return [$border, $soft];
    }

    private static function isShade(Srgb $shade, Srgb $of, float $within): bool
    {
        [$one, $two] = [$shade->lab(), $of->lab()];
        $turned = abs(rad2deg(atan2($one->a * $two->b - $one->b * $two->a, $one->a * $two->a + $one->b * $two->b)));

        return LabTable::squared([$one->l, $one->a, $one->b], [$two->l, $two->a, $two->b]) < $within
            && ($turned < self::HUE_DEG || min(hypot($one->a, $one->b), hypot($two->a, $two->b)) < self::GREY);
    }
}
