<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

use Impa\Colour\LabTable;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\Raster;
use Impa\Raster\TrappedBall;

/**
 * Patches of paper that an ink line was meant to enclose, though the flood got in by a gap in it: a white body on white paper. A ball that
 * is wider than the gap does not get in (TrappedBall). Where the gap is wide, the line must end on both sides of it: round a bay, as
 * between an arm and a body, it goes on.
 */
final class OpenOutlines
{
    /** Ink is so much darker than the paper (L), and there is at least such a share of the picture of it. */
    private const INK_DARKER = 40.0;

    private const LEAST_INK = 0.004;

    /** A narrow gap is no wider than this share of the picture's longer side, a wide one than this share of the figure's height. */
    private const GAP = 0.02;

    private const WIDE_GAPS = [0.05, 0.075];

    /** What a gap lets in is no smaller than this share of the picture, and the line is open for no more than this share of its length. */
    private const LEAST_ROOM = 0.003;

    private const OPEN = 0.12;

    /** A line is no wider than this share of the figure's height; what a wide gap lets in is bare of it along so much of its rim at most. */
    private const THICK = 0.05;

    private const BARE = 0.5;

    /** A line ends where, so many of its widths round about, it is met once. */
    private const ROUND = 2.2;

    private const RING_PX = 3.0;

    /** Ink lies on a gap's bank when it is so near. */
    private const BANK_PX = 3.5;

    /**
     * @param  list<bool>  $isPaper
     * @param  list<bool>  $figure  what the flood from the border left
     * @return array{array<int, true>, array<int, true>} pixels that are enclosed, and those that may be
     */
    public static function of(Raster $raster, PaperSurface $paper, array $isPaper, array $figure): array
    {
        $isInk = [];
        foreach ($figure as $i => $in) {
            if ($in && ! $isPaper[$i] && LabTable::of($raster->pixels[$i])[0] < $paper->at($i)[0] - self::INK_DARKER) {
                $isInk[$i] = true;
            }
        }
        if ($isInk === [] || count($isInk) < self::LEAST_INK * count($isPaper)) {
            return [[], []];
        }
        $narrowPx = self::GAP * max($raster->width, $raster->height);
        $closed = $doubtful = [];
        foreach (self::rooms($raster, $isInk, $figure, $narrowPx) as [$room, , $open]) {
            $open < self::OPEN && $closed += $room;
        }
        $rows = array_map(static fn (int $i): int => intdiv($i, $raster->width), array_keys($isInk));
        $linePx = self::wide($isInk, $raster->width);
        $tall = max($rows) - min($rows) + 1;
        // What is dark all over has no line round it that could be open.
        foreach ($linePx > self::THICK * $tall ? [] : self::WIDE_GAPS as $share) {
            $widePx = $share * $tall;
            $inside = array_values(array_replace($figure, $closed));
            foreach ($widePx > $narrowPx ? self::rooms($raster, $isInk, $inside, $widePx) : [] as [$room, $mouth, $open]) {
                if ($open > self::BARE) {
                    continue;
                }
                if (self::isBetweenEnds($mouth, $isInk, $raster->width, $linePx)) {
                    $closed += $room;
                } else {
                    $doubtful += $room;
                }
            }
        }

        return [$closed, array_diff_key($doubtful, $closed)];
    }

    /**
     * Patches that a ball as wide as a gap does not get into, and that are bounded nearly all round.
     *
     * @param  array<int, true>  $isInk
     * @param  list<bool>  $figure
     * @return list<array{non-empty-array<int, true>, array<int, true>, float}> the pixels of each, those of them where it is open, and the
     *     share of its rim along which there is no ink
     */
    private static function rooms(Raster $raster, array $isInk, array $figure, float $gapPx): array
    {
        $size = count($figure);
        // Where the flood did not get, nothing needs to be shut out.
        $flooded = array_map(static fn (bool $in): int => $in ? -1 : 0, $figure);
        [$numbers] = TrappedBall::of($flooded, $raster->width, $gapPx / 2, self::LEAST_ROOM * $size);
        $open = $rooms = $rim = $bare = $mouths = [];
        foreach ($numbers as $i => $number) {
            if ($number < 0) {
                continue;
            }
            $rooms[$number][$i] = true;
            $x = $i % $raster->width;
            foreach ([$x > 0 ? $i - 1 : -1, $x < $raster->width - 1 ? $i + 1 : -1, $i - $raster->width, $i + $raster->width] as $j) {
                if ($j < 0 || $j >= $size) {
                    $open[$number] = true;
                } elseif ($numbers[$j] !== $number) {
                    // The line's rim is smoothed: its ink begins a pixel or two further on.
                    $isLine = isset($isInk[$j]) || isset($isInk[2 * $j - $i]) || isset($isInk[3 * $j - 2 * $i]);
                    $rim[$number] = ($rim[$number] ?? 0) + 1;
                    $bare[$number] = ($bare[$number] ?? 0) + (int) ! ($figure[$j] && $isLine);
                    $figure[$j] || $mouths[$number][$i] = true;
                }
            }
        }
        $closed = [];
        foreach ($rooms as $n => $room) {
            if (! isset($open[$n]) && count($mouths[$n] ?? []) < self::OPEN * ($rim[$n] ?? 0)) {
                $closed[] = [$room, $mouths[$n] ?? [], ($bare[$n] ?? 0) / max(1, $rim[$n] ?? 0)];
            }
        }

        return $closed;
    }

    /**
     * Mean width of the ink's strokes, pixels.
     *
     * @param  non-empty-array<int, true>  $isInk
     */
    private static function wide(array $isInk, int $width): float
    {
        $edge = 0;
        foreach ($isInk as $i => $_) {
            $edge += 4 - count(array_intersect_key([$i - 1 => 0, $i + 1 => 0, $i - $width => 0, $i + $width => 0], $isInk));
        }

        return 2 * count($isInk) / max(1, $edge);
    }

    /**
     * Whether, where a room is open, the line mostly ends on both sides.
     *
     * @param  array<int, true>  $mouth
     * @param  array<int, true>  $isInk
     */
    private static function isBetweenEnds(array $mouth, array $isInk, int $width, float $linePx): bool
    {
        $ends = $goesOn = 0;
        foreach (ConnectedComponents::ofSet($mouth, $width) as $gap) {
            $banks = [];
            foreach ($gap as $i => $_) {
                $banks += array_intersect_key($isInk, self::disc($i, self::BANK_PX, $width));
            }
            foreach (ConnectedComponents::ofSet($banks, $width) as $bank) {
                $met = self::met((int) array_key_first($bank), $isInk, $width, max(5.0, self::ROUND * $linePx));
                $ends += (int) ($met <= 1);
                $goesOn += (int) ($met > 1);
            }
        }

        return $ends > $goesOn;
    }

    /**
     * How often a ring about a pixel of the line meets the line that it lies on.
     *
     * @param  array<int, true>  $isInk
     */
    private static function met(int $from, array $isInk, int $width, float $px): int
    {
        $disc = self::disc($from, $px, $width);
        foreach (ConnectedComponents::ofSet(array_intersect_key($isInk, $disc), $width) as $line) {
            if (isset($line[$from])) {
                $ring = array_filter($line, static fn (bool $is, int $i): bool => $disc[$i] > $px - self::RING_PX, ARRAY_FILTER_USE_BOTH);

                return count(ConnectedComponents::ofSet($ring, $width));
            }
        }

        return 0;
    }

    /** @return array<int, float> the pixels within a distance of one, and how far each is */
    private static function disc(int $from, float $px, int $width): array
    {
        $disc = [];
        [$x, $reach] = [$from % $width, (int) ceil($px)];
        for ($dy = -$reach; $dy <= $reach; $dy++) {
            for ($dx = max(-$x, -$reach); $dx <= min($width - 1 - $x, $reach); $dx++) {
                if (hypot($dx, $dy) <= $px) {
                    $disc[$from + $dy * $width + $dx] = hypot($dx, $dy);
                }
            }
        }

        return $disc;
    }
}
