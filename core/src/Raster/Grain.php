<?php

declare(strict_types=1);

namespace Impa\Raster;

use Impa\Voice\Message;

/**
 * The grain of a picture: how strong it is, told from the picture itself, and how it is smoothed away with edges kept. Film, sensors
 * and scanners leave it everywhere, compression beside edges.
 */
final class Grain
{
    /** Below this, of 255, there is none to speak of. */
    private const LEAST = 0.8;

    /** Compression leaves so much beside edges, whatever the rest of the picture says (common practice: JPEG of middling quality). */
    private const LOSSY = 3.0;

    /** Colours of two pixels of one flat patch differ by so many times the grain, their channels summed, hardly ever. */
    private const WITHIN = 7.0;

    /** One smoothing by nine pixels leaves so much of the grain. */
    private const LEFT = 0.45;

    private const PASSES = 3;

    /**
     * Its strength, as the standard deviation of one channel: by the mask of Immerkær, "Fast noise variance estimation" (1996), which
     * answers to nothing even, with the median in place of the mean, which answers to no edges.
     */
    public static function of(Raster $raster): float
    {
        $w = $raster->width;
        $green = array_map(static fn (int $pixel): int => ($pixel >> 8) & 255, $raster->pixels);
        $answers = [];
        for ($y = 1; $y < $raster->height - 1; $y++) {
            // Every other pixel, as on a chessboard, tells enough.
            for ($x = 1 + $y % 2, $i = $y * $w + $x; $x < $w - 1; $x += 2, $i += 2) {
                if ($raster->pixels[$i] >> 24 === 0) {
                    $corners = $green[$i - $w - 1] + $green[$i - $w + 1] + $green[$i + $w - 1] + $green[$i + $w + 1];
                    $sides = $green[$i - $w] + $green[$i - 1] + $green[$i + 1] + $green[$i + $w];
                    $answers[] = abs(4 * $green[$i] - 2 * $sides + $corners);
                }
            }
        }
        sort($answers);

        // The mask's norm is 6, and the median of a normal's absolute value 0.6745 of its deviation.
        return $answers === [] ? 0.0 : $answers[intdiv(count($answers), 2)] / 6 / 0.6745;
    }

    /** The picture with its grain smoothed away; the same one where there is none. */
    public static function smoothed(Raster $raster): Raster
    {
        $own = self::of($raster);
        $grain = max($own, $raster->isLossy ? self::LOSSY : 0.0);
        $pixels = $raster->pixels;
        for ($pass = 0; $pass < self::PASSES && $grain >= self::LEAST; $pass++) {
            $pixels = self::pass($pixels, $raster->width, $raster->height, (int) round(self::WITHIN * $grain));
            $grain *= self::LEFT;
        }

        return $own < self::LEAST
            ? $raster->withPixels($pixels)
            : $raster->withPixels($pixels, Message::of('raster.grain.the-picture-is-grainy'));
    }

    /**
     * Each pixel becomes the mean of those about it that are of its colour (the sigma filter of Lee, 1983).
     *
     * @param  list<int>  $p
     * @param  int  $within  sum of the channels' differences
     * @return list<int>
     */
    private static function pass(array $p, int $width, int $height, int $within): array
    {
        $made = $p;
        for ($y = 1; $y < $height - 1; $y++) {
            for ($x = 1, $i = $y * $width + 1; $x < $width - 1; $x++, $i++) {
                $own = $p[$i];
                $isEven = $own === $p[$i - 1] && $own === $p[$i + 1] && $own === $p[$i - $width] && $own === $p[$i + $width];
                if ($isEven || $own >> 24 !== 0) {
                    continue;
                }
                [$r, $g, $b] = [$own >> 16, ($own >> 8) & 255, $own & 255];
                [$sumR, $sumG, $sumB, $n] = [$r, $g, $b, 1];
                foreach ([-$width - 1, -$width, -$width + 1, -1, 1, $width - 1, $width, $width + 1] as $by) {
                    $q = $p[$i + $by];
                    $qr = $q >> 16;
                    $qg = ($q >> 8) & 255;
                    $qb = $q & 255;
                    if (abs($qr - $r) + abs($qg - $g) + abs($qb - $b) <= $within) {
                        $sumR += $qr;
                        $sumG += $qg;
                        $sumB += $qb;
                        $n++;
                    }
                }
                $half = $n >> 1;
                $made[$i] = (intdiv($sumR + $half, $n) << 16) | (intdiv($sumG + $half, $n) << 8) | intdiv($sumB + $half, $n);
            }
        }

        return array_values($made);
    }
}
