<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

use Impa\Colour\LabTable;
use Impa\Colour\Srgb;
use Impa\Raster\LabelPropagation;
use Impa\Raster\Raster;
use Impa\Seeing\Foreground\Background;
use Impa\Voice\Message;

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

    /** When more than this share of the figure is a mixture of colours, it is no flat drawing. */
    private const RUNNING = 0.2;

    /** A colour needs so much of the figure, in flat places. */
    private const LEAST_SHARE = 0.0003;

    /**
     * @param  list<Srgb>  $colours
     * @param  list<int>  $labels  per pixel: index of its colour, -1 for the ground
     * @param  list<Message>  $notices
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
                    Message::of('seeing.flat-colours.the-colours-run-into'),
                ]
                : [];

        $labels = LabelPropagation::into($labels, $sure, $raster->width);
        [$colours, $labels] = Shading::merged($colours, $labels, $raster, $shades);

        return new self($colours, $labels, $notices);
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
                Shading::runInto($pixel, $raster->pixels[$i + $reach] ?? $pixel) &&
                Shading::runInto($pixel, $raster->pixels[$i + $reach * $raster->width] ?? $pixel)
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
        /** @var list<Lab3> $centres */
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

    /** @param  array{int, int, int, int}  $bin count and sums of red, green and blue */
    private static function mean(array $bin): int
    {
        return (intdiv($bin[1], $bin[0]) << 16) | (intdiv($bin[2], $bin[0]) << 8) | intdiv($bin[3], $bin[0]);
    }

    /**
     * @param  Lab3  $lab
     * @param  non-empty-list<Lab3>  $centres
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
