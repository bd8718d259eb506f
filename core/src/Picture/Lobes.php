<?php

declare(strict_types=1);

namespace Impa\Picture;

/**
 * Cuts a blob at its necks into the lobes that a felter would make one by one: a head from its ears, a body from its limbs.
 * The blob is opened by discs of several sizes: where a disc cannot go, something narrower sticks out, or two wide places
 * are held together by a neck. The cut whose lobes are simple shapes wins, if it explains more than the blob as a whole.
 */
final class Lobes
{
    /** The blob is looked at on a grid of so many cells along its longer side. */
    private const CELLS = 110;

    /** Discs tried, as shares of the widest that fits into the blob. */
    private const DISCS = [0.9, 0.75, 0.6, 0.45, 0.32, 0.2];

    /** What sticks out counts as a lobe from this share of the blob and so many disc radii beyond it. */
    private const LEAST_SHARE = 0.012;

    private const STICKS_OUT = 0.55;

    /** A blob that a simple shape covers so well is not cut; one more lobe must bring at least so much overlap. */
    private const SIMPLE_ENOUGH = 0.93;

    private const PER_LOBE = 0.011;

    /** At most so many lobes from one blob, and cuts of cuts. */
    private const MOST = 9;

    private const DEEPEST = 2;

    /**
     * @param  list<int>  $map  region per pixel, -1 for the ground
     * @return list<Lobe> the blob itself where it is simple; largest first
     */
    public static function of(Blob $blob, array $map, float $leastPx, int $depth = 0): array
    {
        $whole = Fit::rough($blob, $map);
        $alone = [new Lobe($blob, 0.0)];
        if ($whole->overlap >= self::SIMPLE_ENOUGH || $blob->area() < 4 * $leastPx) {
            return $alone;
        }
        $best = $alone;
        $most = $whole->overlap;
        foreach (self::cuts($blob, max($leastPx, self::LEAST_SHARE * $blob->area())) as $cut) {
            $worth = self::worth($cut, $blob, $map);
            if ($worth > $most + self::PER_LOBE) {
                [$most, $best] = [$worth, $cut];
            }
        }
        if (count($best) === 1 || $depth >= self::DEEPEST) {
            return $best;
        }
        $lobes = [];
        foreach ($best as $lobe) {
            foreach (self::of($lobe->blob, self::without($map, $blob, $lobe->blob), $leastPx, $depth + 1) as $i => $part) {
                $lobes[] = $i === 0 ? new Lobe($part->blob, $lobe->neckPx) : $part;
            }
        }
        usort($lobes, static fn (Lobe $a, Lobe $b): int => $b->blob->area() <=> $a->blob->area());

        return array_slice($lobes, 0, self::MOST);
    }

    /**
     * @param  list<Lobe>  $cut
     * @param  list<int>  $map
     */
    private static function worth(array $cut, Blob $blob, array $map): float
    {
        $sum = 0.0;
        foreach ($cut as $lobe) {
            $sum += Fit::rough($lobe->blob, self::without($map, $blob, $lobe->blob))->overlap * $lobe->blob->area();
        }

        return $sum / $blob->area() - self::PER_LOBE * (count($cut) - 1);
    }

    /**
     * The map on which the blob's other lobes may hide what goes on behind them.
     *
     * @param  list<int>  $map
     * @return list<int>
     */
    private static function without(array $map, Blob $blob, Blob $lobe): array
    {
        foreach ($blob->pixels as $pixel => $_) {
            if (! isset($lobe->pixels[$pixel])) {
                $map[$pixel] = PHP_INT_MAX;
            }
        }

        return array_values($map);
    }

    /** @return iterable<list<Lobe>> each way of cutting it, of two lobes at least */
    private static function cuts(Blob $blob, float $leastPx): iterable
    {
        $grid = Grid::of($blob, self::CELLS);
        $deep = DistanceField::within($grid->inside, $grid->width);
        $widest = max($deep);
        $seen = [];
        foreach (self::DISCS as $share) {
            $radius = (int) floor($share * $widest);
            if ($radius < 2 * DistanceField::SIDE) {
                continue;
            }
            $lobes = self::opened($blob, $grid, $deep, $radius, $leastPx);
            // Two discs that cut alike are looked at once.
            $sizes = implode(' ', array_map(static fn (Lobe $l): int => $l->blob->area(), $lobes));
            if (count($lobes) > 1 && count($lobes) <= self::MOST && ! isset($seen[$sizes])) {
                $seen[$sizes] = true;
                yield $lobes;
            }
        }
    }

    /**
     * Cores: where the disc's middle can go, and all it sweeps. Lobes: cores, and large enough pieces of what is left.
     *
     * @param  list<int>  $deep
     * @return list<Lobe>
     */
    private static function opened(Blob $blob, Grid $grid, array $deep, int $radius, float $leastPx): array
    {
        $cores = $grid->pieces(array_map(static fn (int $d): bool => $d > $radius, $deep));
        [$far, $near] = DistanceField::from($cores, $grid->width);
        $swept = $radius + DistanceField::SIDE;
        $rest = [];
        foreach ($grid->inside as $i => $in) {
            $rest[] = $in && $far[$i] > $swept;
        }
        $left = $grid->pieces($rest);
        $cellsLeast = $leastPx / $grid->pxPerCell ** 2;
        $farthest = $count = [];
        foreach ($left as $i => $piece) {
            if ($piece >= 0) {
                $count[$piece] = ($count[$piece] ?? 0) + 1;
                $farthest[$piece] = max($farthest[$piece] ?? 0, $far[$i] - $swept);
            }
        }
        $owner = [];
        foreach ($grid->inside as $i => $in) {
            $piece = $left[$i];
            $sticksOut = $piece >= 0 && $count[$piece] >= $cellsLeast && $farthest[$piece] > self::STICKS_OUT * sqrt($count[$piece]) * DistanceField::SIDE * 0.5;
            $owner[] = ! $in ? -1 : ($sticksOut ? 1000 + $piece : $near[$i]);
        }

        // Cells that the blob only brushes go to the lobe nearest to them.
        return self::lobes($blob, $grid, DistanceField::from($owner, $grid->width)[1], $owner, $leastPx);
    }

    /**
     * @param  list<int>  $nearest  per cell, any number from 0 for a lobe
     * @param  list<int>  $owner  the same, -1 outside the blob
     * @return list<Lobe>
     */
    private static function lobes(Blob $blob, Grid $grid, array $nearest, array $owner, float $leastPx): array
    {
        $pixels = [];
        foreach ($blob->pixels as $pixel => $_) {
            $pixels[$nearest[$grid->cell($pixel)]][$pixel] = true;
        }
        uasort($pixels, static fn (array $a, array $b): int => count($b) <=> count($a));
        $small = array_filter($pixels, static fn (array $set): bool => count($set) < $leastPx);
        $main = array_key_first($pixels);
        foreach ($small as $k => $set) {
            if ($k !== $main && $main !== null) {
                $pixels[$main] += $set;
                unset($pixels[$k]);
            }
        }
        $necks = self::necks($grid, $owner);
        $lobes = [];
        foreach ($pixels as $k => $set) {
            $lobes[] = new Lobe(Blob::of($set, $blob->width), $k === $main ? 0.0 : ($necks[$k] ?? 0) * $grid->pxPerCell);
        }

        return $lobes;
    }

    /**
     * How many cells wide each lobe's border to the others is.
     *
     * @param  list<int>  $owner
     * @return array<int, float>
     */
    private static function necks(Grid $grid, array $owner): array
    {
        $boxes = [];
        foreach ($owner as $i => $one) {
            foreach ([($i + 1) % $grid->width > 0 ? $i + 1 : -1, $i + $grid->width] as $j) {
                $two = $owner[$j] ?? -1;
                if ($one >= 0 && $two >= 0 && $one !== $two) {
                    foreach ([$one, $two] as $k) {
                        $x = $i % $grid->width;
                        $y = intdiv($i, $grid->width);
                        $b = $boxes[$k] ?? [$x, $y, $x, $y];
                        $boxes[$k] = [min($b[0], $x), min($b[1], $y), max($b[2], $x), max($b[3], $y)];
                    }
                }
            }
        }

        return array_map(static fn (array $b): float => hypot($b[2] - $b[0] + 1, $b[3] - $b[1] + 1), $boxes);
    }
}
