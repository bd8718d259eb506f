<?php

declare(strict_types=1);

namespace Impa\Seeing\Views;

use Impa\Raster\ConnectedComponents;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Segmentation\FiguresApart;
use Impa\Seeing\Segmentation\Regions;
use Impa\Seeing\SheetView;

/**
 * Whether several figures on one picture are one character from several sides, and which is which: they are as tall and have the same
 * colours. Front and back are even about their middle, and the front has a face; of the others the narrowest is the side, and looks to
 * where its eye is.
 */
final class Turnaround
{
    /** Views of one character are as tall as each other, give or take, and share so much of their colours. */
    private const AS_TALL = 0.12;

    private const SAME_COLOURS = 0.62;

    private const MOST = 5;

    /** Even about the middle is what is its own mirror image by such a share. */
    private const EVEN = 0.88;

    /**
     * A face is of patches so small, as shares of the figure, in its upper half. A front has more pairs of them than a back, such as
     * eyes, or as many and so much more of it all.
     */
    private const PATCH = [0.001, 0.03];

    private const FACE_MORE = 1.6;

    /** Two patches are a pair where one lies as the other's mirror image, give or take such a share of the figure's width. */
    private const AS_FAR = 0.06;

    private const AS_LARGE = 0.6;

    /**
     * @return list<SheetView> of each figure from the left; none where they are not told apart for sure
     */
    public static function of(Background $whole, FiguresApart $figures, Regions $regions): array
    {
        $count = count($figures->boxes);
        if ($count < 2 || $count > self::MOST) {
            return [];
        }
        $shares = $faces = $pairs = $even = $wide = $looks = [];
        $seen = array_map(static fn (int $r): int => $r < 0 ? -1 : $regions->all[$r]->label, $regions->map);
        foreach ($figures->boxes as $n => $box) {
            $height = $box[3] - $box[1] + 1;
            $first = $figures->boxes[0][3] - $figures->boxes[0][1] + 1;
            $mask = $figures->only($n + 1, $whole)->figure;
            $labels = array_map(static fn (int $label, bool $in): int => $in ? $label : -1, $seen, $mask);
            $shares[] = self::shares($labels);
            $even[] = self::evenness($labels, $regions->width, $box);
            $wide[] = $box[2] - $box[0] + 1;
            [$pairs[], $faces[], $looks[]] = self::face(array_values($labels), $regions->width, $box);
            if (abs($height / $first - 1) > self::AS_TALL || self::common($shares[0], $shares[$n]) < self::SAME_COLOURS) {
                return [];
            }
        }
        $upright = array_keys(array_filter($even, static fn (float $e): bool => $e >= self::EVEN));
        $turned = array_keys(array_filter($even, static fn (float $e): bool => $e < self::EVEN));
        usort($upright, static fn (int $a, int $b): int => [$pairs[$b], $faces[$b]] <=> [$pairs[$a], $faces[$a]]);
        usort($turned, static fn (int $a, int $b): int => $wide[$a] <=> $wide[$b]);
        [$first, $second] = [$upright[0] ?? null, $upright[1] ?? null];
        $isClear = $first !== null && count($upright) <= 2 && ($second === null || $pairs[$first] > $pairs[$second] ||
            $faces[$first] > self::FACE_MORE * $faces[$second]);
        if (! $isClear) {
            return [];
        }

        return array_map(static fn (int $n): SheetView => match ($n) {
            $first => SheetView::Front,
            $second => SheetView::Back,
            $turned[0] ?? -1 => $looks[$n],
            default => SheetView::None,
        }, range(0, $count - 1));
    }

    /**
     * @param  array<int, int>  $labels
     * @return array<int, float> of each colour
     */
    private static function shares(array $labels): array
    {
        $counts = array_count_values(array_filter($labels, static fn (int $l): bool => $l >= 0));
        $all = array_sum($counts);

        return array_map(static fn (int $n): float => $n / max(1, $all), $counts);
    }

    /**
     * What two spectra of colours have in common (histogram intersection).
     *
     * @param  array<int, float>  $one
     * @param  array<int, float>  $two
     */
    private static function common(array $one, array $two): float
    {
        $common = 0.0;
        foreach ($one as $label => $share) {
            $common += min($share, $two[$label] ?? 0.0);
        }

        return $common;
    }

    /**
     * How far a figure is its own mirror image, colours and all, about the best axis near the middle of its box.
     *
     * @param  array<int, int>  $labels
     * @param  array{int, int, int, int}  $box
     */
    private static function evenness(array $labels, int $width, array $box): float
    {
        [$left, $top, $right, $bottom] = $box;
        $reach = (int) ceil(0.04 * ($right - $left + 1));
        $best = 0.0;
        for ($shift = -$reach; $shift <= $reach; $shift++) {
            $same = $either = 0;
            for ($y = $top; $y <= $bottom; $y += 2) {
                for ($x = $left; $x <= $right; $x += 2) {
                    $other = $left + $right + $shift - $x;
                    $one = $labels[$y * $width + $x];
                    $two = $other < $left || $other > $right ? -1 : $labels[$y * $width + $other];
                    $either += (int) ($one >= 0 || $two >= 0);
                    $same += (int) ($one >= 0 && $one === $two);
                }
            }
            $best = max($best, $same / max(1, $either));
        }

        return $best;
    }

    /**
     * How much of a face there is: small patches in the upper half; and to which side of the figure they lie.
     *
     * @param  list<int>  $labels
     * @param  array{int, int, int, int}  $box
     * @return array{int, float, SheetView} pairs of patches, and all of them as a share of the figure
     */
    private static function face(array $labels, int $width, array $box): array
    {
        [$map, $labelOf] = ConnectedComponents::ofLabels($labels, $width);
        $area = array_fill_keys(array_keys($labelOf), 0);
        $x = $y = $area;
        foreach ($map as $i => $number) {
            if ($number >= 0) {
                $area[$number]++;
                $x[$number] += $i % $width;
                $y[$number] += intdiv($i, $width);
            }
        }
        $all = max(1, array_sum($area));
        $middle = array_sum($x) / $all;
        $patches = [];
        foreach ($area as $number => $n) {
            if ($n >= self::PATCH[0] * $all && $n <= self::PATCH[1] * $all && $y[$number] / $n < ($box[1] + $box[3]) / 2) {
                $patches[] = [$labelOf[$number], $n, $x[$number] / $n, $y[$number] / $n];
            }
        }
        $side = array_sum(array_map(static fn (array $p): float => $p[1] * ($p[2] - $middle), $patches));

        return [
            self::pairs($patches, $box),
            array_sum(array_column($patches, 1)) / $all,
            $side < 0 ? SheetView::Left : SheetView::Right,
        ];
    }

    /**
     * @param  list<array{int, int, float, float}>  $patches  colour, area, x and y
     * @param  array{int, int, int, int}  $box
     */
    private static function pairs(array $patches, array $box): int
    {
        $near = self::AS_FAR * ($box[2] - $box[0] + 1);
        $pairs = 0;
        foreach ($patches as $i => [$label, $area, $x, $y]) {
            foreach (array_slice($patches, $i + 1) as [$other, $itsArea, $itsX, $itsY]) {
                $pairs += (int) ($label === $other && abs($y - $itsY) < $near && abs($x + $itsX - $box[0] - $box[2]) < $near
                    && min($area, $itsArea) > self::AS_LARGE * max($area, $itsArea));
            }
        }

        return $pairs;
    }
}
