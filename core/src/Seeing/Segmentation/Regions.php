<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

use Impa\Colour\Lab;
use Impa\Colour\LabTable;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\DistanceTransform;
use Impa\Raster\LabelPropagation;
use Impa\Raster\Raster;
use Impa\Raster\TrappedBall;
use Impa\Seeing\Foreground\Background;

/** The connected patches of a sorted picture, specks and drawn outlines given to their neighbours. Immutable. */
final readonly class Regions
{
    /** Patches smaller than this share of the figure are specks. */
    private const SPECK_SHARE = 0.0002;

    private const SPECK_PX = 10;

    private const LEAST_SPECK_PX = 4;

    /**
     * A seam of mixed colour is at most so wide, touches its second neighbour along such a share, and lies so nearly
     * between both colours.
     */
    private const SEAM_PX = 2.6;

    private const SEAM_SHARE = 0.2;

    private const BETWEEN = 1.12;

    /** Compression leaves wider seams, and its halos lie beside the way from one colour to the other. */
    private const LOSSY_SEAM_PX = 4.5;

    private const LOSSY_BETWEEN = 1.5;

    /** A gap in a line is no wider than so many of its widths; what it parts has room for so many squares of that width. */
    private const GAP = 1.6;

    private const ROOM = 12.0;

    /** A figure is outlined where such a share of its rim is ink; a line there is at most so many times the mean width. */
    private const OUTLINED = 0.6;

    private const LINE = 2.0;

    /** A region thinner than this share of the figure's height is a line, where the felter says ink; a colour counts from such a share. */
    private const SAID_SHARE = 0.06;

    private const SAID_LEAST = 0.1;

    /**
     * @param  array<int, Region>  $all  by index
     * @param  list<int>  $map  per pixel, index of its region, -1 for the ground
     * @param  list<Region>  $dropped  the specks that were given away, largest first
     */
    private function __construct(public array $all, public array $map, public int $width, public array $dropped)
    {
    }

    /** @param  list<array<int, true>>  $inked  pixels that the felter says are outlines, stroke by stroke */
    public static function of(FlatColours $flat, Raster $raster, Background $ground, array $inked = []): self
    {
        $labels = $flat->labels;
        $speck = $ground->keepsUnsure ? self::LEAST_SPECK_PX : max(self::SPECK_PX, self::SPECK_SHARE * $ground->count);
        [$all, $map] = self::connected($labels, $raster->width);
        $small = array_filter($all, static fn (Region $r): bool => $r->area < $speck);
        // Crumbs of a few pixels are left by anti-aliasing everywhere, and not worth a word.
        $dropped = array_values(array_filter($small, static fn (Region $r): bool => $r->area > 8));
        usort($dropped, static fn (Region $a, Region $b): int => $b->area <=> $a->area);
        $mixed = array_filter($all, static fn (Region $r): bool => self::isMixture($r, $all, $flat, $ground, $raster->isLossy));
        // Array union: keys are region indices.
        $gone = $small + $mixed;
        if ($gone !== [] && count($gone) < count($all)) {
            [$all, $map] = self::connected(self::without($gone, $labels, $map, $raster->width), $raster->width);
            $labels = self::labelsOf($map, $all);
        }
        [$all, $map, $said] = self::said($inked, $all, $map, $flat, $raster->width);
        // Array union: keys are region indices.
        $ink = $said + Ink::outlines($all, $flat);
        if ($ink !== [] && count($ink) < count($all)) {
            [$all, $map] = self::parted($ink, $said, $all, $map, $raster->width);
        }

        return new self($all, $map, $raster->width, $dropped);
    }

    /**
     * A seam a pixel or two wide between two regions, of a colour between theirs: what smoothing and
     * compression leave along an edge.
     *
     * @param  array<int, Region>  $all
     */
    private static function isMixture(Region $seam, array $all, FlatColours $flat, Background $ground, bool $isLossy): bool
    {
        $contact = $seam->contact;
        arsort($contact);
        if ($seam->strokePx() > ($isLossy ? self::LOSSY_SEAM_PX : self::SEAM_PX) || count($contact) < 2) {
            return false;
        }
        [$one, $two] = array_keys($contact);
        if ($contact[$two] < self::SEAM_SHARE * $seam->edge) {
            return false;
        }
        $labOf = static fn (int $i): ?Lab => $i < 0 ? $ground->colour : $flat->colours[$all[$i]->label]->lab();
        [$a, $b] = [$labOf($one), $labOf($two)];
        if ($a === null || $b === null) {
            return true;
        }
        $own = $flat->colours[$seam->label]->lab();
        $far = static fn (Lab $p, Lab $q): float => sqrt(LabTable::squared([$p->l, $p->a, $p->b], [$q->l, $q->a, $q->b]));

        return $far($a, $own) + $far($own, $b) < ($isLossy ? self::LOSSY_BETWEEN : self::BETWEEN) * $far($a, $b) + 4;
    }

    /**
     * @param  array<int, Region>  $gone
     * @param  list<int>  $labels
     * @param  list<int>  $map
     * @return list<int>
     */
    private static function without(array $gone, array $labels, array $map, int $width): array
    {
        $from = [];
        foreach ($map as $i => $region) {
            if (isset($gone[$region])) {
                $labels[$i] = -2;
            } elseif ($region >= 0) {
                $from[] = $i;
            }
        }

        return LabelPropagation::into(array_values($labels), $from, $width);
    }

    /**
     * What the felter says is ink: of what lies under each stroke the darkest colour that there is more than a little of. A thin region
     * is ink as a whole; of any other, what was brushed.
     *
     * @param  list<array<int, true>>  $inked
     * @param  array<int, Region>  $all
     * @param  list<int>  $map
     * @return array{array<int, Region>, list<int>, array<int, Region>} regions, their numbers per pixel, and those that are ink
     */
    private static function said(array $inked, array $all, array $map, FlatColours $flat, int $width): array
    {
        if ($inked === [] || $all === []) {
            return [$all, $map, []];
        }
        $thin = self::SAID_SHARE * Extent::of($all)->heightPx();
        $labels = array_map(static fn (Region $r): int => $r->label, $all);
        $whole = $cut = [];
        foreach ($inked as $under) {
            $under = array_filter(array_intersect_key($map, $under), static fn (int $r): bool => $r >= 0);
            $counts = array_count_values(array_map(static fn (int $r): int => $labels[$r], $under));
            $enough = array_filter($counts, static fn (int $n): bool => $n >= self::SAID_LEAST * count($under));
            $byDarkness = array_keys($enough);
            usort($byDarkness, static fn (int $a, int $b): int => $flat->colours[$a]->lab()->l <=> $flat->colours[$b]->lab()->l);
            $number = count($labels);
            foreach ($under as $pixel => $region) {
                if ($labels[$region] !== ($byDarkness[0] ?? -1)) {
                    continue;
                }
                if (isset($all[$region]) && $all[$region]->strokePx() < $thin) {
                    $whole[$region] = true;
                } else {
                    $map[$pixel] = $number;
                    $labels[$number] = $labels[$region];
                    $cut[$number] = true;
                }
            }
        }
        // A region that was brushed through is two.
        [$numbers, $from] = ConnectedComponents::ofLabels(array_values($map), $width);
        $all = self::drawnBy($numbers, array_map(static fn (int $region): int => $labels[$region], $from), $width);

        return [$all, $numbers, array_filter($all, static fn (Region $r): bool => isset(($whole + $cut)[$from[$r->index]]))];
    }

    /**
     * Without drawn outlines: each of their pixels goes to a region beside it, and what they parted stays apart, also where both sides
     * have one colour, as an arm before a belly, and where the line has a gap. Strokes that bound nothing stay.
     *
     * @param  non-empty-array<int, Region>  $ink
     * @param  array<int, Region>  $said  those of which the felter says so: they are no strokes of their own
     * @param  array<int, Region>  $all
     * @param  list<int>  $map
     * @return array{array<int, Region>, list<int>} as of `connected`
     */
    private static function parted(array $ink, array $said, array $all, array $map, int $width): array
    {
        $labelOf = array_values(array_map(static fn (Region $r): int => $r->label, $all));
        $own = $map;
        $seen = array_diff_key($ink, $said);
        $free = $seen === [] ? [] : Ink::free($seen, $map, $width);
        foreach ($free as $stroke) {
            $number = count($labelOf);
            $labelOf[] = $labelOf[$map[(int) array_key_first($stroke)]];
            $own = array_replace($own, array_fill_keys(array_keys($stroke), $number));
        }
        $own = self::gapsClosed(array_values($own), $ink, $labelOf, $width);
        $outer = array_fill_keys(array_keys(self::outerHalf($map, $ink, $free, $all, $width)), -1);
        $own = array_values(array_replace($own, $outer));
        [$numbers, $regionOf] = ConnectedComponents::ofLabels(self::without($ink, $own, $own, $width), $width);
        $labels = array_map(static fn (int $region): int => $labelOf[$region], $regionOf);
        [$numbers, $lines] = $seen === [] ? [$numbers, []] : self::lines($seen, $map, $numbers, $labels, $width);
        foreach ($lines as $stroke) {
            $number = count($labels);
            $labels[] = $labelOf[$map[(int) array_key_first($stroke)]];
            $numbers = array_replace($numbers, array_fill_keys(array_keys($stroke), $number));
        }
        $numbers = array_values($numbers);

        return [self::drawnBy($numbers, $labels, $width), $numbers];
    }

    /**
     * Strokes that are drawn on what they lie on: those with one region on both sides, and nets of them.
     *
     * @param  non-empty-array<int, Region>  $ink
     * @param  list<int>  $map  region per pixel, ink included
     * @param  list<int>  $numbers  the same after the ink was given away
     * @param  array<int, int>  $labels  colour by number
     * @return array{list<int>, list<non-empty-array<int, true>>} the numbers, what a net parts made one; the strokes
     */
    private static function lines(array $ink, array $map, array $numbers, array $labels, int $width): array
    {
        $lines = Ink::within($ink, $map, $numbers, $width);
        $isInk = array_map(static fn (int $r): bool => isset($ink[$r]), $map);
        foreach (LineNets::of(self::drawnBy($numbers, $labels, $width), $numbers, $width) as $net) {
            array_push($lines, ...LineNets::lines($net, $numbers, $isInk, $width, Ink::widthPx($ink)));
            $one = (int) array_key_first($net);
            $numbers = array_map(static fn (int $n): int => isset($net[$n]) ? $one : $n, $numbers);
        }

        return [$numbers, $lines];
    }

    /**
     * A shape ends in the middle of the line round it: where the figure is outlined, the outer half of a line between it and the ground
     * is ground, but where a stroke that stands free springs from it.
     *
     * @param  list<int>  $map
     * @param  non-empty-array<int, Region>  $ink
     * @param  list<array<int, true>>  $free
     * @param  array<int, Region>  $all
     * @return array<int, true> pixels
     */
    private static function outerHalf(array $map, array $ink, array $free, array $all, int $width): array
    {
        $rim = static fn (array $of): int => array_sum(array_map(static fn (Region $r): int => $r->contact[-1] ?? 0, $of));
        if ($rim($ink) < self::OUTLINED * $rim($all)) {
            return [];
        }
        $wide = Ink::widthPx($ink) * DistanceTransform::SIDE;
        $free = array_replace([], ...$free);
        $ways = [
            static fn (int $r, int $i): bool => $r < 0,
            static fn (int $r, int $i): bool => $r >= 0 && ! isset($ink[$r]),
            static fn (int $r, int $i): bool => isset($free[$i]),
        ];
        [$out, $in, $near] = array_map(static fn (callable $is): array => DistanceTransform::from(
            array_map(static fn (int $r, int $i): int => $is($r, $i) ? 0 : -1, $map, array_keys($map)),
            $width,
        )[0], $ways);
        $outer = [];
        foreach ($map as $i => $region) {
            $isOuter = isset($ink[$region]) && $out[$i] <= $in[$i] && self::LINE * $wide > $out[$i] + $in[$i];
            if ($isOuter && $near[$i] > Ink::SPRINGS * $wide) {
                $outer[$i] = true;
            }
        }

        return $outer;
    }

    /**
     * What a line with a gap was meant to part gets numbers of its own, unless the neck lies along the ground: a wrist is no gap.
     *
     * @param  list<int>  $map
     * @param  non-empty-array<int, Region>  $ink
     * @param  list<int>  $labelOf  colour by region; grows
     * @return list<int>
     */
    private static function gapsClosed(array $map, array $ink, array &$labelOf, int $width): array
    {
        $wide = Ink::widthPx($ink);
        $ball = self::GAP * $wide / 2;
        [$rooms, $regionOf] = TrappedBall::of(
            array_map(static fn (int $r): int => isset($ink[$r]) ? -1 : $r, $map),
            $width,
            $ball,
            self::ROOM * $wide ** 2,
        );
        $byRegion = array_count_values($regionOf);
        if (max([0, ...$byRegion]) < 2) {
            return $map;
        }
        $reach = (int) ceil($ball + $wide + 1);
        $isNeck = [];
        foreach ($map as $i => $region) {
            foreach ([$i + 1, $i + $width] as $j) {
                $one = $rooms[$i];
                $two = $rooms[$j] ?? -1;
                if ($one >= 0 && $two >= 0 && $one !== $two && $map[$j] === $region) {
                    $pair = min($one, $two).' '.max($one, $two);
                    $isNeck[$pair] ??= true;
                    foreach ([-$reach, $reach, -$reach * $width, $reach * $width] as $way) {
                        $isNeck[$pair] = $isNeck[$pair] && ($map[$i + $way] ?? -1) >= 0;
                    }
                }
            }
        }
        // Rooms of one region that meet anywhere but in a gap are one after all (union-find).
        $head = range(0, count($regionOf) - 1);
        $find = static function (int $room) use (&$head): int {
            while ($head[$room] !== $room) {
                $room = $head[$room];
            }

            return $room;
        };
        foreach ($isNeck as $pair => $isGap) {
            if (! $isGap) {
                [$one, $two] = array_map(intval(...), explode(' ', $pair));
                $head[$find($one)] = $find($two);
            }
        }
        $numberOf = $first = [];
        foreach ($regionOf as $room => $region) {
            $root = $find($room);
            if (! isset($numberOf[$root])) {
                $numberOf[$root] = isset($first[$region]) ? count($labelOf) : $region;
                if (isset($first[$region])) {
                    $labelOf[] = $labelOf[$region];
                }
                $first[$region] = true;
            }
        }
        foreach ($rooms as $i => $room) {
            if ($room >= 0) {
                $map[$i] = $numberOf[$find($room)];
            }
        }

        return array_values($map);
    }

    /**
     * @param  list<int>  $map
     * @param  array<int, Region>  $all
     * @return list<int>
     */
    private static function labelsOf(array $map, array $all): array
    {
        return array_map(static fn (int $r): int => $r < 0 ? -1 : $all[$r]->label, $map);
    }

    /**
     * The connected patches of a picture (connected components of one colour each).
     *
     * @param  list<int>  $labels  per pixel, below 0 for the ground
     * @return array{array<int, Region>, list<int>} the patches, and their numbers per pixel
     */
    public static function connected(array $labels, int $width): array
    {
        [$map, $labelOf] = ConnectedComponents::ofLabels($labels, $width);
        $all = array_map(static fn (int $index, int $label): Region => new Region($index, $label), array_keys($labelOf), $labelOf);
        foreach ($map as $i => $index) {
            if ($index >= 0) {
                $all[$index]->add($i % $width, intdiv($i, $width));
            }
        }
        self::touch($all, $map, $width);

        return [$all, $map];
    }

    /**
     * The patches that a map of numbers draws, whether connected or not.
     *
     * @param  list<int>  $map  per pixel, a number from 0, or -1 for the ground
     * @param  array<int, int>  $labels  colour by number
     * @return array<int, Region> by number
     */
    public static function drawnBy(array $map, array $labels, int $width): array
    {
        $all = [];
        foreach ($map as $pixel => $number) {
            if ($number >= 0) {
                $all[$number] ??= new Region($number, $labels[$number]);
                $all[$number]->add($pixel % $width, intdiv($pixel, $width));
            }
        }
        self::touch($all, $map, $width);

        return $all;
    }

    /**
     * @param  array<int, Region>  $all
     * @param  array<int, int>  $map
     */
    private static function touch(array $all, array $map, int $width): void
    {
        $size = count($map);
        foreach ($map as $i => $one) {
            $right = ($i + 1) % $width > 0 ? $map[$i + 1] : -1;
            $below = $i + $width < $size ? $map[$i + $width] : -1;
            if ($one !== $right) {
                self::meet($all, $one, $right);
            }
            if ($one !== $below) {
                self::meet($all, $one, $below);
            }
            // The picture's own left and upper border counts as ground.
            if ($one >= 0 && ($i % $width === 0 || $i < $width)) {
                self::meet($all, $one, -1);
            }
        }
    }

    /** @param  array<int, Region>  $all */
    private static function meet(array $all, int $one, int $two): void
    {
        if ($one >= 0) {
            $all[$one]->meet($two);
        }
        if ($two >= 0) {
            $all[$two]->meet($one);
        }
    }
}
