<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Raster\Blob;
use Impa\Raster\CellGrid;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\DistanceTransform;
use Impa\Raster\Stroke;
use Impa\Seeing\Fitting\Candidates;
use Impa\Seeing\Fitting\Fitting;

/**
 * Cuts a blob at its necks into the lobes that a felter would make one by one: a head from its ears, a body from its limbs.
 * The blob is opened by discs of several sizes (a morphological opening): where a disc cannot go, something narrower
 * sticks out, or two wide places
 * are held together by a neck. The cut whose lobes are simple shapes wins, if it explains more than the blob as a whole.
 */
final class Lobes
{
    /** The blob is looked at on a grid of so many cells along its longer side. */
    private const CELLS = 84;

    /** Discs tried, as shares of the widest that fits into the blob. */
    private const DISCS = [0.9, 0.81, 0.72, 0.55, 0.4, 0.26];

    /** What sticks out counts as a lobe from this share of the blob, if it sticks out by so many times the side of a square of its area. */
    private const LEAST_SHARE = 0.012;

    private const STICKS_OUT = 0.28;

    /** A blob that a simple shape covers so well is not cut; one more lobe must bring at least so much overlap. */
    private const SIMPLE_ENOUGH = 0.968;

    private const CLEARLY = 0.975;

    private const PER_LOBE = 0.009;

    /** What is so many times longer than wide may be a limb. */
    private const LIMB = 1.5;

    /** A roll is so many times longer than thick, and at its thickest so many times the mean. */
    private const ROLL = 2.2;

    private const EVEN = 1.5;

    /** Nowhere is it narrower than this share of its widest place. */
    private const NO_NECK = 0.75;

    /** Share of it that one course without branches covers. */
    private const ONE_COURSE = 0.88;

    /** A roll counts as covered so well. */
    private const AS_ROLL = 0.94;

    /** At most so many lobes from one blob, and cuts of cuts. */
    private const MOST = 12;

    private const DEEPEST = 2;

    /**
     * @param  list<int>  $map  region per pixel, -1 for the ground
     * @param  float  $leastPx  a lobe has at least so many pixels
     * @return list<Lobe> the blob itself where it is simple; largest first
     */
    public static function of(Blob $blob, array $map, float $leastPx): array
    {
        $alone = [new Lobe($blob, 0.0)];
        if ($blob->area() < 4 * $leastPx) {
            return $alone;
        }
        $rough = Fitting::rough($blob, $map);
        if ($rough->overlap >= self::SIMPLE_ENOUGH) {
            return $alone;
        }
        // Before anything is cut, every kind of the catalogue is tried, not the common ones only; it must be that kind clearly.
        // A limb may go on behind what hides its end.
        $isLimb = $blob->elongation() > self::LIMB;
        $enough = $isLimb ? self::SIMPLE_ENOUGH : self::CLEARLY;
        foreach ($isLimb ? [false, true] : [false] as $partlyHidden) {
            if (Fitting::simple($blob, $map, $partlyHidden)->overlap >= $enough) {
                return $alone;
            }
        }
        $grid = CellGrid::of($blob, self::CELLS);
        $cells = array_filter($grid->inside);
        if ($cells === []) {
            return $alone;
        }
        // The cuts are chosen on the grid, in cells, and only the chosen one is carried over to pixels.
        $whole = Blob::of($cells, $grid->width);
        $lobes = self::cut($whole, $grid->mapped($map), $leastPx / $grid->pxPerCell ** 2, $rough->score(), 0);
        $lobes = self::rejoined($lobes, $whole, $grid->mapped($map));
        if (count($lobes) === 1) {
            return $alone;
        }
        $owner = array_fill(0, count($grid->inside), -1);
        foreach ($lobes as $k => $lobe) {
            foreach ($lobe->blob->pixels as $cell => $_) {
                $owner[$cell] = $k;
            }
        }
        // Cells that the blob only brushes go to the lobe nearest to them.
        $owner = DistanceTransform::from(array_values($owner), $grid->width)[1];
        $pixels = [];
        foreach ($blob->pixels as $pixel => $_) {
            $pixels[$owner[$grid->cell($pixel)]][$pixel] = true;
        }
        $pixels = self::tidied($pixels, $blob->width, $leastPx);

        return array_values(
            array_map(
                static fn (array $set, int $k): Lobe => new Lobe(
                    Blob::of($set, $blob->width),
                    $lobes[$k]->neckPx * $grid->pxPerCell,
                ),
                $pixels,
                array_keys($pixels),
            ),
        );
    }

    /**
     * @param  list<int>  $map
     * @param  float  $most  how well one simple shape covers it, as below
     * @return list<Lobe> in cells
     */
    private static function cut(Blob $blob, array $map, float $least, float $most, int $depth): array
    {
        $best = [new Lobe($blob, 0.0)];
        $overlaps = [$most];
        if ($most >= self::SIMPLE_ENOUGH || $blob->area() < 4 * $least) {
            return $best;
        }
        foreach (self::cuts($blob, count($map), max($least, self::LEAST_SHARE * $blob->area())) as $lobes) {
            $covered = array_map(
                static fn (Lobe $lobe): float => self::covered($lobe->blob, self::without($map, $blob, $lobe->blob)),
                $lobes,
            );
            $worth =
                array_sum(array_map(static fn (Lobe $l, float $o): float => $o * $l->blob->area(), $lobes, $covered)) /
                    $blob->area() -
                self::PER_LOBE * (count($lobes) - 1);
            if ($worth > $most + self::PER_LOBE) {
                [$most, $best, $overlaps] = [$worth, $lobes, $covered];
            }
        }
        if (count($best) === 1 || $depth >= self::DEEPEST) {
            return $best;
        }
        $lobes = [];
        $count = count($best);
        foreach ($best as $k => $lobe) {
            $parts =
                $count < self::MOST
                    ? self::cut($lobe->blob, self::without($map, $blob, $lobe->blob), $least, $overlaps[$k], $depth + 1)
                    : [$lobe];
            $count += count($parts) - 1;
            foreach ($parts as $i => $part) {
                $lobes[] = $i === 0 ? new Lobe($part->blob, $lobe->neckPx) : $part;
            }
        }

        return $lobes;
    }

    /**
     * How well one simple shape covers it, less what that shape's numbers cost; a roll, however bent, is one.
     *
     * @param  list<int>  $map
     */
    private static function covered(Blob $blob, array $map): float
    {
        $score = Fitting::rough($blob, $map)->score();

        return $score < self::AS_ROLL && self::isRoll($blob) ? self::AS_ROLL : $score;
    }

    /**
     * Cuts of cuts are priced by what they were cut from. Seen from the whole, two neighbours that are hardly better
     * apart are one again: of all such pairs the most worthwhile first.
     *
     * @param  list<Lobe>  $lobes  in cells
     * @param  list<int>  $map
     * @return list<Lobe>
     */
    private static function rejoined(array $lobes, Blob $blob, array $map): array
    {
        $covered = array_map(
            static fn (Lobe $lobe): float => self::covered($lobe->blob, self::without($map, $blob, $lobe->blob)),
            $lobes,
        );
        $known = [];
        while (true) {
            [$most, $best] = [0.0, null];
            foreach (self::touching($lobes, $blob->width) as [$i, $j]) {
                $one = $lobes[$i]->blob;
                $two = $lobes[$j]->blob;
                [$both, $together] = $known[$i][$j] ??= self::asOne($one, $two, $map, $blob);
                $gain =
                    ($together * $both->area() - $covered[$i] * $one->area() - $covered[$j] * $two->area()) / $blob->area() +
                    self::PER_LOBE;
                if ($gain > $most) {
                    [$most, $best] = [$gain, [$i, $j, $both, $together]];
                }
            }
            if ($best === null) {
                return array_values($lobes);
            }
            [$i, $j, $both, $together] = $best;
            $lobes[$i] = new Lobe($both, $i === 0 ? 0.0 : max($lobes[$i]->neckPx, $lobes[$j]->neckPx));
            $covered[$i] = $together;
            unset($lobes[$j], $covered[$j], $known[$i]);
            foreach (array_keys($known) as $k) {
                unset($known[$k][$i]);
            }
        }
    }

    /**
     * @param  list<int>  $map
     * @return array{Blob, float} both as one, and how well a simple shape covers that
     */
    private static function asOne(Blob $one, Blob $two, array $map, Blob $whole): array
    {
        $both = Blob::of($one->pixels + $two->pixels, $whole->width);

        return [$both, self::covered($both, self::without($map, $whole, $both))];
    }

    /**
     * @param  array<int, Lobe>  $lobes
     * @return list<array{int, int}> pairs that share a border, the lower number first
     */
    private static function touching(array $lobes, int $width): array
    {
        $owner = $pairs = [];
        foreach ($lobes as $k => $lobe) {
            $owner += array_fill_keys(array_keys($lobe->blob->pixels), $k);
        }
        foreach ($owner as $i => $one) {
            foreach ([$i + 1, $i + $width] as $j) {
                $two = $owner[$j] ?? $one;
                if ($two !== $one && ($j !== $i + 1 || $j % $width > 0)) {
                    $pairs[min($one, $two).' '.max($one, $two)] = [min($one, $two), max($one, $two)];
                }
            }
        }

        return array_values($pairs);
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
    private static function cuts(Blob $blob, int $size, float $least): iterable
    {
        $inside = array_fill(0, $size, false);
        foreach ($blob->pixels as $cell => $_) {
            $inside[$cell] = true;
        }
        $inside = array_values($inside);
        $deep = DistanceTransform::within($inside, $blob->width);
        $widest = max([0, ...$deep]);
        if (self::isRoll($blob)) {
            return;
        }
        $seen = [];
        foreach (self::DISCS as $share) {
            $radius = (int) floor($share * $widest);
            if ($radius < 2 * DistanceTransform::SIDE) {
                continue;
            }
            $lobes = self::opened($blob, $inside, $deep, $radius, $least);
            // Two discs that cut alike are looked at once.
            $sizes = implode(' ', array_map(static fn (Lobe $l): int => $l->blob->area(), $lobes));
            if (count($lobes) > 1 && count($lobes) <= self::MOST && ! isset($seen[$sizes])) {
                $seen[$sizes] = true;
                yield $lobes;
            }
        }
    }

    /** A long bent blob of even thickness is one roll, however it is bent; a straight one is measured like any other shape. */
    private static function isRoll(Blob $blob): bool
    {
        $stroke = Stroke::of($blob);
        if (
            $stroke->lengthPx <= self::ROLL * $stroke->widthPx ||
            $stroke->bendDeg() < Candidates::BENT_DEG ||
            $stroke->evenness <= self::NO_NECK ||
            ! $stroke->covers($blob, self::ONE_COURSE)
        ) {
            return false;
        }
        $inside = array_fill(0, (intdiv(max([0, ...array_keys($blob->pixels)]), $blob->width) + 2) * $blob->width, false);
        foreach ($blob->pixels as $cell => $_) {
            $inside[$cell] = true;
        }
        $widest = max([0, ...DistanceTransform::within(array_values($inside), $blob->width)]) / DistanceTransform::SIDE;

        return 2 * $widest < self::EVEN * $stroke->widthPx;
    }

    /**
     * A morphological opening by a disc. Cores: where the disc's middle can go (the erosion), and all it sweeps (its
     * dilation). Lobes: cores, and large enough pieces of what is left.
     *
     * @param  list<bool>  $inside
     * @param  list<int>  $deep
     * @return list<Lobe>
     */
    private static function opened(Blob $blob, array $inside, array $deep, int $radius, float $least): array
    {
        $cores = ConnectedComponents::ofLabels(
            array_map(static fn (int $d): int => $d > $radius ? 0 : -1, $deep),
            $blob->width,
        )[0];
        [$far, $near] = DistanceTransform::from($cores, $blob->width);
        $swept = $radius + DistanceTransform::SIDE;
        $rest = [];
        foreach ($inside as $i => $in) {
            $rest[] = $in && $far[$i] > $swept ? 0 : -1;
        }
        $left = ConnectedComponents::ofLabels($rest, $blob->width)[0];
        $farthest = $count = [];
        foreach ($left as $i => $piece) {
            if ($piece >= 0) {
                $count[$piece] = ($count[$piece] ?? 0) + 1;
                $farthest[$piece] = max($farthest[$piece] ?? 0, $far[$i] - $swept);
            }
        }
        $cells = [];
        $owner = array_fill(0, count($inside), -1);
        foreach ($blob->pixels as $i => $_) {
            $piece = $left[$i];
            $sticksOut =
                $piece >= 0 &&
                $count[$piece] >= $least &&
                $farthest[$piece] > self::STICKS_OUT * sqrt($count[$piece]) * DistanceTransform::SIDE;
            $owner[$i] = $sticksOut ? 1000 + $piece : $near[$i];
            $cells[$owner[$i]][$i] = true;
        }
        $cells = self::tidied($cells, $blob->width, $least);
        $necks = self::necks(array_values($owner), $blob->width);
        $lobes = [];
        foreach ($cells as $k => $set) {
            $lobes[] = new Lobe(Blob::of($set, $blob->width), $lobes === [] ? 0.0 : $necks[$k] ?? 0.0);
        }

        return $lobes;
    }

    /**
     * Every lobe in one piece: crumbs go to a lobe that they touch, else to the largest.
     *
     * @param  array<int, array<int, true>>  $pixels  by lobe
     * @return array<int, array<int, true>> largest first
     */
    private static function tidied(array $pixels, int $width, float $leastPx): array
    {
        $whole = $crumbs = $owner = [];
        foreach ($pixels as $k => $set) {
            foreach (ConnectedComponents::ofSet($set, $width) as $i => $piece) {
                if ($i === 0 && count($piece) >= $leastPx) {
                    $whole[$k] = $piece;
                    $owner += array_fill_keys(array_keys($piece), $k);
                } else {
                    $crumbs[] = $piece;
                }
            }
        }
        if ($whole === []) {
            return $pixels;
        }
        uasort($whole, static fn (array $a, array $b): int => count($b) <=> count($a));
        foreach ($crumbs as $crumb) {
            $to = (int) array_key_first($whole);
            foreach ($crumb as $i => $_) {
                $touched = $owner[$i - 1] ?? ($owner[$i + 1] ?? ($owner[$i - $width] ?? ($owner[$i + $width] ?? -1)));
                if ($touched >= 0) {
                    $to = $touched;
                    break;
                }
            }
            $whole[$to] += $crumb;
        }

        return $whole;
    }

    /**
     * How many cells wide each lobe's border to the others is.
     *
     * @param  list<int>  $owner
     * @return array<int, float>
     */
    private static function necks(array $owner, int $width): array
    {
        $boxes = [];
        foreach ($owner as $i => $one) {
            foreach ([($i + 1) % $width > 0 ? $i + 1 : -1, $i + $width] as $j) {
                $two = $owner[$j] ?? -1;
                if ($one >= 0 && $two >= 0 && $one !== $two) {
                    foreach ([$one, $two] as $k) {
                        $x = $i % $width;
                        $y = intdiv($i, $width);
                        $b = $boxes[$k] ?? [$x, $y, $x, $y];
                        $boxes[$k] = [min($b[0], $x), min($b[1], $y), max($b[2], $x), max($b[3], $y)];
                    }
                }
            }
        }

        return array_map(static fn (array $b): float => hypot($b[2] - $b[0] + 1, $b[3] - $b[1] + 1), $boxes);
    }
}
