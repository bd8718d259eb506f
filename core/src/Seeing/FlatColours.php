<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Colour\LabTable;
use Impa\Colour\Srgb;
use Impa\Raster\LabelPropagation;
use Impa\Raster\Raster;

/**
 * Sorts the figure's pixels into a few flat colours. Pixels mixed by anti-aliasing belong to none by
 * themselves; they follow their neighbours. Immutable.
 */
final readonly class FlatColours
{
    /** More colours than anybody keeps wools for in one figure. */
    private const MOST = 24;

    /** Two shades nearer than this in Lab are one colour of wool, by the strength of merging from 0 to 1. */
    private const APART = [4.5, 26.0];

    /** Compression stains what lies beside an edge by so much: nearer shades are none of the drawing's. */
    private const STAINED = 12.0;

    private const STAIN_PX = 6;

    /** A pixel farther than this from every colour is a mixture. */
    private const SURE = 9.0;

    /**
     * Two of one hue that run into each other are one colour in two shades up to this far apart in Lab, by the strength of merging; and
     * run into each other where so much of the border between them is no edge.
     */
    private const SHADED = [8.0, 60.0];

    private const SOFT = 0.6;

    /** One hue: within so many degrees, or too grey to have one. */
    private const HUE_DEG = 18.0;

    private const GREY = 9.0;

    /** When more than this share of the figure is a mixture of colours, it is no flat drawing. */
    private const RUNNING = 0.2;

    /** A colour needs so much of the figure, in flat places. */
    private const LEAST_SHARE = 0.0003;

    /**
     * @param  list<Srgb>  $colours
     * @param  list<int>  $labels  per pixel: index of its colour, -1 for the ground
     * @param  list<string>  $notices
     */
    private function __construct(public array $colours, public array $labels, public array $notices)
    {
    }

    /** @param  float  $shades  how strongly near shades are merged, 0 to 1 */
    public static function of(Raster $raster, Background $ground, float $shades = 0.2): self
    {
        $apart = self::APART[0] + $shades * (self::APART[1] - self::APART[0]);
        $apart = $raster->isLossy ? max($apart, self::STAINED) : $apart;
        $colours = self::cluster($raster, $ground, $apart ** 2);
        $sureWithin = max(self::SURE, $apart) ** 2;
        $centres = array_map(static fn (Srgb $c): array => LabTable::of(($c->red << 16) | ($c->green << 8) | $c->blue), $colours);
        $labels = [];
        $sure = [];
        $known = [];
        foreach ($raster->pixels as $i => $pixel) {
            if (! $ground->figure[$i]) {
                $labels[] = -1;

                continue;
            }
            [$label, $near] = $known[$pixel & 0xFFFFFF] ??= self::nearest(LabTable::of($pixel), $centres, $sureWithin);
            $labels[] = $near ? $label : -2;
            if ($near) {
                $sure[] = $i;
            }
        }

        $notices =
            count($sure) < (1 - self::RUNNING) * $ground->count || count($colours) >= self::MOST
                ? [
                    'The colours run into each other, as in a photo or a shaded drawing. Merge near shades '
                        .'more strongly, or use a drawing in flat colours.',
                ]
                : [];

        $labels = LabelPropagation::into($labels, $sure, $raster->width);
        $shaded = self::SHADED[0] + $shades * (self::SHADED[1] - self::SHADED[0]);

        return new self(...self::withoutShading($colours, $labels, $raster, $shaded ** 2), notices: $notices);
    }

    /**
     * Soft shading and soft highlights are no colours of their own: what runs into a colour of its hue takes that.
     *
     * @param  non-empty-list<Srgb>  $colours  largest first
     * @param  list<int>  $labels
     * @return array{colours: list<Srgb>, labels: list<int>}
     */
    private static function withoutShading(array $colours, array $labels, Raster $raster, float $shaded): array
    {
        $soft = $border = [];
        foreach ($labels as $i => $one) {
            if ($one < 0 || (($labels[$i + 1] ?? -1) === $one && ($labels[$i + $raster->width] ?? -1) === $one)) {
                continue;
            }
            foreach ([$i + 1, $i + $raster->width] as $j) {
                $two = $labels[$j] ?? -1;
                if ($two >= 0 && $two !== $one) {
                    [$larger, $smaller] = [min($one, $two), max($one, $two)];
                    $border[$smaller][$larger] = ($border[$smaller][$larger] ?? 0) + 1;
                    $soft[$smaller][$larger] = ($soft[$smaller][$larger] ?? 0)
                        + (int) self::alike($raster->pixels[$i], $raster->pixels[$j]);
                }
            }
        }
        // The largest first: what a smaller one runs into may be a shade of a larger one itself, and is no way round to another hue.
        $into = array_keys($colours);
        ksort($border);
        foreach ($border as $smaller => $others) {
            arsort($others);
            foreach ($others as $larger => $length) {
                $runsIn = $soft[$smaller][$larger] >= self::SOFT * $length;
                if ($runsIn && self::isShade($colours[$smaller], $colours[$into[$larger]], $shaded)) {
                    $into[$smaller] = $into[$larger];
                    break;
                }
            }
        }
        $kept = array_values(array_unique($into));
        $number = array_flip($kept);
        $sums = array_fill(0, count($kept), [0, 0, 0, 0]);
        foreach (array_count_values(array_filter($labels, static fn (int $label): bool => $label >= 0)) as $label => $count) {
            $sum = $sums[$number[$into[$label]]];
            [$red, $green, $blue] = [$colours[$label]->red, $colours[$label]->green, $colours[$label]->blue];
            $sums[$number[$into[$label]]] = [
                $sum[0] + $count, $sum[1] + $count * $red, $sum[2] + $count * $green, $sum[3] + $count * $blue,
            ];
        }
        $shades = array_count_values($into);

        return [
            // What has no shades is exactly as it is drawn.
            'colours' => array_map(
                static fn (int $k, array $sum): Srgb => $shades[$k] > 1 && $sum[0] > 0 ? self::colour($sum) : $colours[$k],
                $kept,
                $sums,
            ),
            'labels' => array_map(static fn (int $label): int => $label < 0 ? $label : $number[$into[$label]], $labels),
        ];
    }

    private static function isShade(Srgb $shade, Srgb $of, float $within): bool
    {
        [$one, $two] = [$shade->lab(), $of->lab()];
        $turned = abs(rad2deg(atan2($one->a * $two->b - $one->b * $two->a, $one->a * $two->a + $one->b * $two->b)));

        return LabTable::squared([$one->l, $one->a, $one->b], [$two->l, $two->a, $two->b]) < $within
            && ($turned < self::HUE_DEG || min(hypot($one->a, $one->b), hypot($two->a, $two->b)) < self::GREY);
    }

    /** @return non-empty-list<Srgb> */
    private static function cluster(Raster $raster, Background $ground, float $apart): array
    {
        $bins = [];
        $reach = $raster->isLossy ? self::STAIN_PX : 1;
        foreach ($raster->pixels as $i => $pixel) {
            // Only where the right and lower neighbours look alike is the colour flat.
            if (
                $ground->figure[$i] &&
                self::alike($pixel, $raster->pixels[$i + $reach] ?? $pixel) &&
                self::alike($pixel, $raster->pixels[$i + $reach * $raster->width] ?? $pixel)
            ) {
                $key = $pixel & 0xF8F8F8;
                $bin = $bins[$key] ?? [0, 0, 0, 0];
                $bins[$key] = [
                    $bin[0] + 1,
                    $bin[1] + (($pixel >> 16) & 255),
                    $bin[2] + (($pixel >> 8) & 255),
                    $bin[3] + ($pixel & 255),
                ];
            }
        }
        usort($bins, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        /** @var list<array{float, float, float}> $centres */
        $centres = [];
        /** @var array<int, array{int, int, int, int}> $sums */
        $sums = [];
        foreach ($bins as $bin) {
            $lab = LabTable::of(self::mean($bin));
            $best = null;
            $least = $apart;
            foreach ($centres as $g => $centre) {
                $distance = LabTable::squared($lab, $centre);
                if ($distance < $least) {
                    [$least, $best] = [$distance, $g];
                }
            }
            if ($best !== null) {
                $sums[$best] = [
                    $sums[$best][0] + $bin[0],
                    $sums[$best][1] + $bin[1],
                    $sums[$best][2] + $bin[2],
                    $sums[$best][3] + $bin[3],
                ];
            } elseif (count($centres) < 4 * self::MOST) {
                $centres[] = $lab;
                $sums[] = $bin;
            }
        }
        $enough = array_filter($sums, static fn (array $sum): bool => $sum[0] >= max(4, self::LEAST_SHARE * $ground->count));
        usort($enough, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $colours = array_map(self::colour(...), array_slice($enough, 0, self::MOST));

        return $colours === [] ? [self::meanOfAll($raster, $ground)] : $colours;
    }

    private static function meanOfAll(Raster $raster, Background $ground): Srgb
    {
        $sum = [0, 0, 0, 0];
        foreach ($raster->pixels as $i => $p) {
            if ($ground->figure[$i]) {
                $sum = [$sum[0] + 1, $sum[1] + (($p >> 16) & 255), $sum[2] + (($p >> 8) & 255), $sum[3] + ($p & 255)];
            }
        }

        return self::colour($sum);
    }

    /** @param  array{int, int, int, int}  $sum  count and sums of red, green and blue */
    private static function colour(array $sum): Srgb
    {
        $mean = self::mean($sum);

        return Srgb::of($mean >> 16, ($mean >> 8) & 255, $mean & 255);
    }

    private static function alike(int $one, int $two): bool
    {
        return abs((($one >> 16) & 255) - (($two >> 16) & 255)) +
            abs((($one >> 8) & 255) - (($two >> 8) & 255)) +
            abs(($one & 255) - ($two & 255)) <
            12;
    }

    /** @param  array{int, int, int, int}  $bin count and sums of red, green and blue */
    private static function mean(array $bin): int
    {
        return (intdiv($bin[1], $bin[0]) << 16) | (intdiv($bin[2], $bin[0]) << 8) | intdiv($bin[3], $bin[0]);
    }

    /**
     * @param  array{float, float, float}  $lab
     * @param  non-empty-list<array{float, float, float}>  $centres
     * @return array{int, bool}
     */
    private static function nearest(array $lab, array $centres, float $sureWithin): array
    {
        $best = 0;
        $least = INF;
        foreach ($centres as $c => $centre) {
            $distance = LabTable::squared($lab, $centre);
            if ($distance < $least) {
                [$least, $best] = [$distance, $c];
            }
        }

        return [$best, $least < $sureWithin];
    }
}
