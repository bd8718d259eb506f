<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

use Impa\Colour\LabTable;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\Raster;

/**
 * Flat bodies on paper whose light falls off, and which somewhere has nearly their colour: a flood from the border would run into them
 * there. Paper follows its surface of colour and so does a shadow; what was drawn is of one colour throughout, within a crisp rim.
 */
final class PaleBodies
{
    /** Colours are counted in bins so wide (Lab); a colour of which there is less than this share of the picture bears no body. */
    private const BIN = 3.0;

    private const LEAST = 0.004;

    /** Looked at, at most. */
    private const COLOURS = 6;

    /** A pixel is of a colour where it lies so near to it (Lab), and so many times nearer to it than to the paper (squared). */
    private const NEAR = 3.5 ** 2;

    private const NEARER = 2.0 ** 2;

    /**
     * So many pixels beyond a crisp rim the colour has changed by as much as the body differs from the paper, or by this share of it at
     * least (squared); and so much of a body's rim is crisp.
     */
    private const BEYOND_PX = 3;

    private const CHANGED = 0.4;

    private const CRISP = 0.6;

    /**
     * @param  list<float>  $off  per pixel, how far its colour lies from the paper's there, squared, in Lab
     * @return list<array<int, true>> the pixels of each
     */
    public static function of(Raster $raster, PaperSurface $paper, array $off): array
    {
        $bodies = [];
        foreach (self::colours($raster, $paper, $off) as $colour) {
            $like = [];
            foreach ($off as $i => $square) {
                $from = LabTable::squared(LabTable::of($raster->pixels[$i]), $colour);
                if ($from < self::NEAR && self::NEARER * $from < $square) {
                    $like[$i] = true;
                }
            }
            foreach (ConnectedComponents::ofSet($like, $raster->width) as $patch) {
                if (count($patch) < self::LEAST * count($off)) {
                    break;
                }
                if (self::isCrisp($patch, $raster, $off)) {
                    $bodies[] = $patch;
                }
            }
        }

        return $bodies;
    }

    /**
     * The commonest colours that are no paper where they are seen, but would be elsewhere on the picture.
     *
     * @param  list<float>  $off
     * @return list<Lab3>
     */
    private static function colours(Raster $raster, PaperSurface $paper, array $off): array
    {
        $counts = $sums = [];
        foreach ($off as $i => $square) {
            if ($square < self::BIN ** 2) {
                continue;
            }
            $lab = LabTable::of($raster->pixels[$i]);
            $bin = implode(' ', array_map(static fn (float $v): int => (int) round($v / self::BIN), $lab));
            $counts[$bin] = ($counts[$bin] ?? 0) + 1;
            $sums[$bin] ??= [0.0, 0.0, 0.0];
            foreach ($lab as $c => $value) {
                $sums[$bin][$c] += $value;
            }
        }
        arsort($counts);
        $colours = [];
        foreach ($counts as $bin => $count) {
            if ($count < self::LEAST * count($off) || count($colours) === self::COLOURS) {
                break;
            }
            $colour = [$sums[$bin][0] / $count, $sums[$bin][1] / $count, $sums[$bin][2] / $count];
            $isKnown = array_filter($colours, static fn (array $c): bool => LabTable::squared($c, $colour) < self::NEAR) !== [];
            if (! $isKnown && $paper->mayBe($colour)) {
                $colours[] = $colour;
            }
        }

        return $colours;
    }

    /**
     * Whether, a few pixels beyond its rim, there is plain paper or something else that stands out.
     *
     * @param  array<int, true>  $patch
     * @param  list<float>  $off
     */
    private static function isCrisp(array $patch, Raster $raster, array $off): bool
    {
        $rim = $crisp = 0;
        foreach ($patch as $i => $_) {
            foreach ([-1, 1, -$raster->width, $raster->width] as $step) {
                $outside = $i + self::BEYOND_PX * $step;
                if (isset($patch[$i + $step]) || isset($patch[$outside]) || ! isset($off[$outside])) {
                    continue;
                }
                $rim++;
                $to = LabTable::squared(LabTable::of($raster->pixels[$i]), LabTable::of($raster->pixels[$outside]));
                $crisp += (int) ($to > self::CHANGED * $off[$i]);
            }
        }

        return $crisp >= self::CRISP * $rim;
    }
}
