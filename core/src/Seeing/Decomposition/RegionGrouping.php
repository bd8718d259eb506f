<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Closure;
use Impa\Raster\Blob;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Fitting\Fitting;
use Impa\Seeing\Segmentation\Extent;
use Impa\Seeing\Segmentation\Region;
use Impa\Seeing\Segmentation\Regions;

/**
 * Who carries whom: which regions are only colour on the surface of another, and what the carriers look like with
 * all that lies on them. Immutable.
 */
final readonly class RegionGrouping
{
    /** A region that touches no ground and is smaller than this share of the figure is colour on its neighbour. */
    private const SMALL = 0.03;

    /** Surrounded by another region, it is colour on it up to this share of both. */
    private const SURROUNDED = 0.75;

    /** Two regions are one body in two colours if one simple shape covers both so well, and the smaller one so far. */
    private const ONE_BODY = 0.9;

    private const COVERED = 0.85;

    /** Several regions that fill a lobe of the silhouette are one body from this overlap on. */
    private const ONE_LOBE = 0.93;

    /** What a form in front parts is one from this overlap on, where the shape of both covers so much of the smaller one. */
    private const BEHIND = 0.88;

    private const MOSTLY = 0.75;

    /** What one shape less is worth in overlap. */
    private const ONE_LESS = 0.02;

    /** Neighbours touch along such a share of the smaller one's edge. */
    private const TOUCH = 0.2;

    /** A region that no simple shape covers so well is no shape of its own, if its neighbour can carry it. */
    private const NO_SHAPE = 0.84;

    /** A region of up to this share of both may be colour on one of its neighbour's lobes. */
    private const ON_LOBE = 0.3;

    /** So many regions of no shape are tried on lobes that they share with a neighbour, smallest first. */
    private const TRIES = 6;

    /** Of so many bases at most, all pairs are looked at. */
    private const MOST = 40;

    /** A form of its own is at least such a share of the figure, so long, and lies along the rim with such a share of its edge. */
    private const FORM = 0.008;

    private const FORM_LONG = 1.3;

    private const ALONG_RIM = 0.2;

    /** Every so-manieth pixel each way is looked at. */
    private const COARSE = 3;

    /**
     * @param  array<int, int>  $on  carrier by carried region
     * @param  array<int, array<int, true>>  $wholes  pixels by region, with all that it carries
     */
    private function __construct(public array $on, public array $wholes)
    {
    }

    /** @param  ?callable(float $share): mixed  $progress  told how much is behind, 0 to 1; may throw to stop */
    public static function of(Regions $regions, ?callable $progress = null): self
    {
        $told = static fn (float $from, float $to): Closure => static fn (int $i, int $of): mixed => $progress === null
            ? null
            : $progress($from + (($to - $from) * $i) / max(1, $of));
        // Bodies and pairs are looked for in a coarse copy: few pixels tell what one shape covers.
        $coarse = self::coarse($regions->map, $regions->width);
        $coarseWidth = intdiv($regions->width - 1, self::COARSE) + 1;
        $forms = self::forms($regions, $coarse, $coarseWidth, $told(0.0, 0.1));
        $on = array_diff_key(self::enclosed($regions), $forms);
        $on = self::bodies($coarse, $coarseWidth, $on, $forms, $told(0.1, 0.4));
        $on = self::behind($regions, $coarse, $coarseWidth, $on, $forms, $told(0.4, 0.5));
        $on = array_diff_key(self::pairs($regions, $coarse, $coarseWidth, $on, $forms, $told(0.5, 1.0)), $forms);
        $on = self::alike($regions, $coarse, $coarseWidth, $on);

        return new self($on, self::wholes(array_keys($regions->all), $regions->map, $on));
    }

    /**
     * What lies in front of something larger and is a form of its own, such as arms on a belly and drooping ears: long simple shapes
     * that come in twins. Of another colour than what they lie on, they lie along the rim; of the same colour, ink parts them from it,
     * which no mere colour needs.
     *
     * @param  list<int>  $coarse
     * @param  Closure(int, int): mixed  $tell  how many of how many are done
     * @return array<int, true>
     */
    private static function forms(Regions $regions, array $coarse, int $width, Closure $tell): array
    {
        $figure = array_sum(array_map(static fn (Region $r): int => $r->area, $regions->all));
        $extent = Extent::of($regions->all);
        $bySize = $regions->all;
        usort($bySize, static fn (Region $a, Region $b): int => $b->area <=> $a->area);
        if ($bySize === []) {
            return [];
        }
        $largest = $bySize[0];
        $forms = [];
        $done = 0;
        foreach ($regions->all as $i => $region) {
            $tell($done++, count($regions->all));
            $neighbour = $region->mainNeighbour();
            if ($neighbour < 0 || $region->area < self::FORM * $figure || $region === $largest) {
                continue;
            }
            $isParted = $regions->all[$neighbour]->label === $region->label;
            $alongRim = ($region->contact[-1] ?? 0) / max(1, $region->edge);
            $hasTwin = max(
                self::twin($regions, $i, $extent, $extent->middleX()),
                self::twin($regions, $i, $extent, ($largest->minX + $largest->maxX + 1) / 2),
            ) >= 0;
            if (! $hasTwin || ! $isParted && $alongRim < self::ALONG_RIM) {
                continue;
            }
            $pixels = array_map(static fn (): bool => true, array_filter($coarse, static fn (int $r): bool => $r === $i));
            if ($pixels === []) {
                continue;
            }
            $blob = Blob::of($pixels, $width);
            if ($blob->elongation() > self::FORM_LONG && Fitting::rough($blob, $coarse)->overlap > self::NO_SHAPE) {
                $forms[$i] = true;
            }
        }

        return $forms;
    }

    /**
     * @param  list<int>  $map
     * @return list<int>
     */
    private static function coarse(array $map, int $width): array
    {
        $coarse = [];
        $rows = intdiv(count($map), $width);
        for ($y = 0; $y < $rows; $y += self::COARSE) {
            for ($x = 0; $x < $width; $x += self::COARSE) {
                $coarse[] = $map[min($rows - 1, $y + 1) * $width + min($width - 1, $x + 1)];
            }
        }

        return $coarse;
    }

    /** @return array<int, int> */
    private static function enclosed(Regions $regions): array
    {
        $figure = array_sum(array_map(static fn (Region $r): int => $r->area, $regions->all));
        $on = [];
        $bySize = $regions->all;
        uasort($bySize, static fn (Region $a, Region $b): int => $a->area <=> $b->area);
        foreach ($bySize as $i => $region) {
            // What lies on it is no neighbour: a lens round an eye is surrounded by its frame.
            $own = array_filter(
                $region->contact,
                static fn (int $other): bool => ($on[$other] ?? -2) !== $i,
                ARRAY_FILTER_USE_KEY,
            );
            arsort($own);
            $around = (int) (array_key_first($own) ?? -1);
            $isSurrounded = $around >= 0 && $own[$around] >= Region::SURROUNDED * array_sum($own);
            $neighbour = $region->mainNeighbour();
            if ($isSurrounded && $region->area < self::SURROUNDED * ($regions->all[$around]->area + $region->area)) {
                $on[$i] = $around;
            } elseif (
                $neighbour >= 0 &&
                ! $region->touchesGround() &&
                $region->area < self::SMALL * $figure &&
                $regions->all[$neighbour]->area > $region->area
            ) {
                $on[$i] = $neighbour;
            }
        }

        return $on;
    }

    /**
     * Lobes of the silhouette that are simple, though they are made of several colours: one body each.
     *
     * @param  list<int>  $map  coarse
     * @param  array<int, int>  $on
     * @param  array<int, true>  $forms  what may lie before them
     * @param  Closure(int, int): mixed  $tell  how many of how many are done
     * @return array<int, int>
     */
    private static function bodies(array $map, int $width, array $on, array $forms, Closure $tell): array
    {
        $silhouette = array_map(static fn (): bool => true, array_filter($map, static fn (int $r): bool => $r >= 0));
        $wholes = array_diff_key(self::wholes(array_unique($map), $map, $on), $on);
        if (count($wholes) < 2) {
            return $on;
        }
        $blob = Blob::of($silhouette, $width);
        $flat = array_map(static fn (int $r): int => $r < 0 ? -1 : 0, $map);
        $taken = [];
        $lobes = Lobes::of($blob, $flat, 0.02 * $blob->area());
        foreach ($lobes as $n => $lobe) {
            $tell($n, count($lobes));
            $inside = [];
            $area = $before = 0;
            $apart = 0.0;
            foreach ($wholes as $i => $whole) {
                if (isset($forms[$i])) {
                    $before += count(array_intersect_key($whole, $lobe->blob->pixels));

                    continue;
                }
                $common = isset($taken[$i]) ? 0 : count(array_intersect_key($whole, $lobe->blob->pixels));
                if ($common > self::COVERED * count($whole)) {
                    $inside[] = $i;
                    $area += $common;
                    $apart += $common * Fitting::rough(Blob::of($whole, $width), $map)->overlap;
                }
            }
            $fit = Fitting::rough($lobe->blob, $flat);
            $sticksOut = array_filter(
                $inside,
                static fn (int $i): bool => $fit->covers(Blob::of($wholes[$i], $width)) < self::COVERED,
            );
            if (count($inside) < 2 || $sticksOut !== [] || $area + $before < 0.9 * $lobe->blob->area()) {
                continue;
            }
            $together = $fit->overlap;
            if ($together > self::ONE_LOBE && $together > $apart / $area - self::ONE_LESS * (count($inside) - 1)) {
                usort($inside, static fn (int $a, int $b): int => count($wholes[$b]) <=> count($wholes[$a]));
                foreach ($inside as $k => $i) {
                    $taken[$i] = true;
                    if ($k > 0) {
                        $on[$i] = $inside[0];
                    }
                }
            }
        }

        return $on;
    }

    /**
     * What forms in front part, such as a belly behind two arms, is one again where one simple shape covers it, going on behind them.
     *
     * @param  list<int>  $map  coarse
     * @param  array<int, int>  $on
     * @param  array<int, true>  $forms
     * @param  Closure(int, int): mixed  $tell  how many of how many are done
     * @return array<int, int>
     */
    private static function behind(Regions $regions, array $map, int $width, array $on, array $forms, Closure $tell): array
    {
        $touchForms = static fn (Region $r): bool => array_intersect_key($r->contact, $forms) !== [];
        $parted = array_filter(array_diff_key($regions->all, $on, $forms), $touchForms);
        uasort($parted, static fn (Region $a, Region $b): int => $b->area <=> $a->area);
        $wholes = array_intersect_key(self::wholes(array_unique($map), $map, $on), $parted);
        $done = 0;
        foreach ($parted as $i => $large) {
            $tell($done++, count($parted));
            if (isset($on[$i]) || ! isset($wholes[$i])) {
                continue;
            }
            $shares = static fn (Region $small, int $j): bool => $j !== $i && $small->label === $large->label
                && $small->area <= $large->area && ! isset($on[$j]) && isset($wholes[$j])
                && array_intersect_key($small->contact, $large->contact, $forms) !== [];
            $others = array_keys(array_filter($parted, $shares, ARRAY_FILTER_USE_BOTH));
            // All at once, as two sides of a belly are even only together; else one by one.
            foreach (count($others) > 1 ? [$others, ...array_chunk($others, 1)] : array_chunk($others, 1) as $group) {
                $all = array_replace($wholes[$i], ...array_map(static fn (int $j): array => $wholes[$j], $group));
                $fit = Fitting::rough(Blob::of($all, $width), $map);
                $hasAll = $fit->overlap > self::BEHIND;
                foreach ($group as $j) {
                    $hasAll = $hasAll && ! isset($on[$j]) && $fit->covers(Blob::of($wholes[$j], $width)) > self::MOSTLY;
                }
                if ($hasAll) {
                    $on = array_replace($on, array_fill_keys($group, $i));
                    $wholes[$i] = $all;
                }
            }
        }

        return $on;
    }

    /**
     * Two neighbours that one simple shape covers, or of which the smaller is no shape that a felter would make by
     * itself: the smaller is colour on the larger.
     *
     * @param  list<int>  $map  coarse
     * @param  array<int, int>  $on
     * @param  array<int, true>  $forms  that are no colour on anything
     * @param  Closure(int, int): mixed  $tell  how many of how many are done
     * @return array<int, int>
     */
    private static function pairs(Regions $regions, array $map, int $width, array $on, array $forms, Closure $tell): array
    {
        $wholes = array_diff_key(self::wholes(array_unique($map), $map, $on), $on);
        uasort($wholes, static fn (array $a, array $b): int => count($b) <=> count($a));
        $wholes = array_slice($wholes, 0, self::MOST, true);
        $overlaps = $lobes = [];
        $tries = self::TRIES;
        $overlap = static function (int $i) use (&$overlaps, &$wholes, $map, $width): float {
            return $overlaps[$i] ??= Fitting::rough(Blob::of($wholes[$i], $width), $map)->overlap;
        };
        foreach (array_reverse(array_keys(array_diff_key($wholes, $forms))) as $n => $small) {
            $tell($n, count($wholes));
            $touching = $regions->all[$small]->contact;
            arsort($touching);
            foreach ($touching as $large => $length) {
                if (
                    $large < 0 ||
                    isset($on[$large]) ||
                    isset($forms[$large]) ||
                    ! isset($wholes[$large]) ||
                    count($wholes[$large]) < count($wholes[$small]) ||
                    $length < self::TOUCH * $regions->all[$small]->edge
                ) {
                    continue;
                }
                $one = Blob::of($wholes[$small], $width);
                $both = Blob::of($wholes[$small] + $wholes[$large], $width);
                $fit = Fitting::rough($both, $map);
                $share = $one->area() / $both->area();
                $apart = $share * $overlap($small) + (1 - $share) * $overlap($large);
                $isOneBody =
                    $fit->overlap > self::ONE_BODY &&
                    $fit->overlap > $apart - self::ONE_LESS &&
                    $fit->covers($one) > self::COVERED;
                if (! $isOneBody && $one->area() < self::ON_LOBE * $both->area()) {
                    $lobes[$large] ??= self::lobes(Blob::of($wholes[$large], $width), $map);
                    $isOneBody = self::isOnLobe($one, $lobes[$large]);
                }
                if ($isOneBody || ($overlap($small) < self::NO_SHAPE && --$tries >= 0 && self::hasLobeFor($one, $both, $map))) {
                    $on[$small] = $large;
                    $wholes[$large] = $both->pixels;
                    unset($overlaps[$large]);
                    break;
                }
            }
        }

        return $on;
    }

    /**
     * Twins on both sides of the middle line are either both carried or both not: parts of their own where a simple shape
     * covers them, colour where none does.
     *
     * @param  list<int>  $map  coarse
     * @param  array<int, int>  $on
     * @return array<int, int>
     */
    private static function alike(Regions $regions, array $map, int $width, array $on): array
    {
        $extent = Extent::of($regions->all);
        foreach ($on as $i => $carrier) {
            $twin = self::twin($regions, $i, $extent, $extent->middleX());
            if ($twin < 0 || isset($on[$twin]) || ! isset($on[$i])) {
                continue;
            }
            $whole = self::wholes([$i], array_map(static fn (int $r): int => $r === $i ? $r : -1, $map), [])[$i] ?? [];
            if ($whole !== [] && Fitting::rough(Blob::of($whole, $width), $map)->overlap > self::NO_SHAPE) {
                unset($on[$i]);
            } elseif ($carrier !== $twin && ! self::hangsOn($carrier, $twin, $on)) {
                $on[$twin] = $carrier;
            }
        }

        return $on;
    }

    /** @param  array<int, int>  $on */
    private static function hangsOn(int $region, int $other, array $on): bool
    {
        for ($steps = 0; isset($on[$region]) && $steps < 20; $steps++) {
            $region = $on[$region];
            if ($region === $other) {
                return true;
            }
        }

        return false;
    }

    /** The region of the same colour and size in the same place on the other side of a middle line, or -1. */
    private static function twin(Regions $regions, int $i, Extent $extent, float $middleX): int
    {
        $one = $regions->all[$i];
        $near = 0.03 * $extent->heightPx();
        foreach ($regions->all as $j => $two) {
            if (
                $i !== $j &&
                $one->label === $two->label &&
                abs($one->area / $two->area - 1) < 0.15 &&
                abs($one->minX + $two->maxX + 1 - 2 * $middleX) < $near &&
                abs($one->maxX + $two->minX + 1 - 2 * $middleX) < $near &&
                abs($one->minY - $two->minY) < $near &&
                abs($one->maxY - $two->maxY) < $near
            ) {
                return $j;
            }
        }

        return -1;
    }

    /**
     * @param  list<int>  $map
     * @return list<array{Fit, int}> the shapes of a region's lobes, completed where others hide them, and their areas
     */
    private static function lobes(Blob $blob, array $map): array
    {
        return array_map(
            static fn (Lobe $lobe): array => [Fitting::rough($lobe->blob, $map), $lobe->blob->area()],
            Lobes::of($blob, $map, 0.02 * $blob->area()),
        );
    }

    /**
     * Whether a region lies within the completed shape of one of its neighbour's lobes.
     *
     * @param  list<array{Fit, int}>  $lobes
     */
    private static function isOnLobe(Blob $small, array $lobes): bool
    {
        foreach ($lobes as [$fit, $area]) {
            if ($small->area() < 0.6 * $area && $fit->overlap > self::NO_SHAPE && $fit->covers($small) > self::COVERED) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether the smaller of two regions lies on one simple lobe of both.
     *
     * @param  list<int>  $map
     */
    private static function hasLobeFor(Blob $small, Blob $both, array $map): bool
    {
        foreach (Lobes::of($both, $map, 0.02 * $both->area()) as $lobe) {
            $common = count(array_intersect_key($small->pixels, $lobe->blob->pixels));
            if ($common > self::COVERED * $small->area()) {
                return $lobe->blob->area() > 1.3 * $small->area() && Fitting::rough($lobe->blob, $map)->overlap > self::ONE_BODY;
            }
        }

        return false;
    }

    /**
     * Each region's pixels with all that lies on it.
     *
     * @param  array<int>  $numbers  of the regions
     * @param  list<int>  $map
     * @param  array<int, int>  $on
     * @return array<int, array<int, true>>
     */
    private static function wholes(array $numbers, array $map, array $on): array
    {
        $bases = [];
        foreach ($numbers as $i) {
            $bases[$i] = [$i];
            // Upwards through all it lies on; a circle cannot arise, as carriers are larger, but is cut off all the same.
            for ($b = $i, $steps = 0; isset($on[$b]) && $steps < 20; $steps++) {
                $b = $on[$b];
                $bases[$i][] = $b;
            }
        }
        $wholes = [];
        foreach ($map as $pixel => $region) {
            foreach ($region >= 0 ? $bases[$region] : [] as $base) {
                $wholes[$base][$pixel] = true;
            }
        }

        return $wholes;
    }
}
