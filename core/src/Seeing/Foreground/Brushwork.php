<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

use Impa\Colour\LabTable;
use Impa\Raster\DistanceTransform;
use Impa\Raster\Raster;
use Impa\Raster\TrappedBall;

/**
 * What the felter brushed over a drawing, and what it means for the pixels beside it. A dab is enough: what is like the colours under a
 * stroke and hangs together with it goes along (seeded region growing), unless that would be much more than was meant.
 */
final class Brushwork
{
    /** Like a colour under the stroke is what lies so near to it (Lab); a colour counts from such a share of the stroke. */
    private const LIKE = 6.0 ** 2;

    private const SHARE = 0.12;

    /** What goes along is at most such a share of the figure, or so many times what was brushed. */
    private const MOST_SHARE = 0.6;

    private const MOST_TIMES = 4;

    /** What is thinner than this share of the figure's side, were it a square, is a line. */
    private const LINE = 0.04;

    /** The smoothed rim of what is taken away is no wider. */
    private const RIM_PX = 1.5;

    /** Balls that find a room about the stroke where its line has gaps: radii as shares of the picture's longer side. */
    private const BALLS = [0.012, 0.025, 0.05, 0.09];

    /**
     * @param  list<bool>  $figure  per pixel, whether it was taken for the figure
     * @param  list<BrushStroke>  $strokes  in the order they were made
     * @return list<bool> the same as the felter says
     */
    public static function over(Raster $raster, array $figure, array $strokes): array
    {
        foreach ($strokes as $stroke) {
            if ($stroke->as === Brush::Ink) {
                continue;
            }
            $isWrong = $stroke->as === Brush::Paper;
            $under = array_filter(
                $stroke->pixels($raster->width, $raster->height),
                static fn (int $i): bool => $figure[$i] === $isWrong,
                ARRAY_FILTER_USE_KEY,
            );
            if ($under === []) {
                continue;
            }
            $meant = self::grown($raster, array_values($figure), $under);
            if ($stroke->as === Brush::Figure && self::reachesBorder($meant, $raster)) {
                $meant = self::room($raster, array_values($figure), $under);
            }
            $meant = $isWrong && self::isLine($meant, $figure, $raster->width) ? $under : $meant;
            $most = $isWrong ? self::MOST_SHARE * count(array_filter($figure)) : count($figure);
            $meant = count($meant) > max($most, self::MOST_TIMES * count($under)) ? $under : $meant;
            foreach ($meant as $i => $_) {
                $figure[$i] = ! $isWrong;
            }
            $figure = $isWrong ? self::withoutRim(array_values($figure), $meant, $raster->width) : $figure;
        }

        return array_values($figure);
    }

    /**
     * @param  list<BrushStroke>  $strokes
     * @return list<array<int, true>> what lies under each stroke that says *ink*
     */
    public static function inked(Raster $raster, array $strokes): array
    {
        $ink = array_filter($strokes, static fn (BrushStroke $s): bool => $s->as === Brush::Ink);

        return array_values(array_map(static fn (BrushStroke $s): array => $s->pixels($raster->width, $raster->height), $ink));
    }

    /**
     * @param  list<bool>  $figure
     * @param  non-empty-array<int, true>  $under
     * @return non-empty-array<int, true>
     */
    private static function grown(Raster $raster, array $figure, array $under): array
    {
        $side = $figure[array_key_first($under)];
        $colours = self::colours($raster, $under);
        $isLike = [];
        $open = array_keys($under);
        while ($open !== []) {
            $i = array_pop($open);
            $x = $i % $raster->width;
            foreach ([$x > 0 ? $i - 1 : -1, $x < $raster->width - 1 ? $i + 1 : -1, $i - $raster->width, $i + $raster->width] as $j) {
                if (($figure[$j] ?? ! $side) !== $side || isset($under[$j])) {
                    continue;
                }
                $lab = LabTable::of($raster->pixels[$j]);
                $isLike[$raster->pixels[$j]] ??= array_filter(
                    $colours,
                    static fn (array $c): bool => LabTable::squared($c, $lab) < self::LIKE,
                ) !== [];
                if ($isLike[$raster->pixels[$j]]) {
                    $under[$j] = true;
                    $open[] = $j;
                }
            }
        }

        return $under;
    }

    /**
     * What was taken away leaves its smoothed rim: so near to it, what no disc of the figure covers goes as well (morphological opening).
     *
     * @param  list<bool>  $figure
     * @param  array<int, true>  $gone
     * @return list<bool>
     */
    private static function withoutRim(array $figure, array $gone, int $width): array
    {
        $seeds = [];
        foreach (DistanceTransform::within($figure, $width) as $deep) {
            $seeds[] = $deep > DistanceTransform::SIDE * self::RIM_PX ? 0 : -1;
        }
        $fromDisc = DistanceTransform::from($seeds, $width)[0];
        $wasThere = array_fill(0, count($figure), -1);
        $fromGone = DistanceTransform::from(array_values(array_replace($wasThere, array_fill_keys(array_keys($gone), 0))), $width)[0];
        [$near, $far] = [DistanceTransform::SIDE * 2 * self::RIM_PX, DistanceTransform::SIDE * (self::RIM_PX + 1)];
        foreach ($figure as $i => $in) {
            $figure[$i] = $in && ! ($fromGone[$i] <= $near && $fromDisc[$i] > $far);
        }

        return $figure;
    }

    /**
     * The colours under a stroke, all but those of which there is little.
     *
     * @param  non-empty-array<int, true>  $under
     * @return list<Lab3>
     */
    private static function colours(Raster $raster, array $under): array
    {
        $colours = $counts = [];
        foreach ($under as $i => $_) {
            $lab = LabTable::of($raster->pixels[$i]);
            foreach ($colours as $n => $colour) {
                if (LabTable::squared($lab, $colour) < self::LIKE) {
                    $counts[$n]++;

                    continue 2;
                }
            }
            $colours[] = $lab;
            $counts[] = 1;
        }

        return array_values(
            array_filter($colours, static fn (int $n): bool => $counts[$n] >= self::SHARE * count($under), ARRAY_FILTER_USE_KEY),
        );
    }

    /**
     * Whether it is a line, or a network of them, for its width: a drawn outline would run on round everything.
     *
     * @param  array<int, true>  $pixels
     * @param  array<int, bool>  $figure
     */
    private static function isLine(array $pixels, array $figure, int $width): bool
    {
        $edge = 0;
        foreach ($pixels as $i => $_) {
            foreach ([$i - 1, $i + 1, $i - $width, $i + $width] as $j) {
                $edge += (int) ! isset($pixels[$j]);
            }
        }

        return 2 * count($pixels) < self::LINE * sqrt(count(array_filter($figure))) * $edge;
    }

    /**
     * What is shut off from the border by a line with gaps, about the stroke; the stroke alone where nothing is.
     *
     * @param  list<bool>  $figure
     * @param  non-empty-array<int, true>  $under
     * @return non-empty-array<int, true>
     */
    private static function room(Raster $raster, array $figure, array $under): array
    {
        $paper = array_map(static fn (bool $in): int => $in ? -1 : 0, $figure);
        foreach (self::BALLS as $share) {
            [$numbers] = TrappedBall::of($paper, $raster->width, $share * max($raster->width, $raster->height), 1.0);
            $rooms = [];
            foreach ($numbers as $i => $number) {
                $rooms[$number][$i] = true;
            }
            $met = array_count_values(array_map(static fn (int $i): int => $numbers[$i], array_keys($under)));
            arsort($met);
            $number = array_key_first($met);
            if ($number >= 0 && ! self::reachesBorder($rooms[$number], $raster)) {
                return $rooms[$number] + $under;
            }
        }

        return $under;
    }

    /** @param  array<int, true>  $pixels */
    private static function reachesBorder(array $pixels, Raster $raster): bool
    {
        foreach ($pixels as $i => $_) {
            $x = $i % $raster->width;
            if ($x === 0 || $x === $raster->width - 1 || $i < $raster->width || $i >= count($raster->pixels) - $raster->width) {
                return true;
            }
        }

        return false;
    }
}
