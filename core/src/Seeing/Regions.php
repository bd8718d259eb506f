<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Colour\Lab;
use Impa\Colour\LabTable;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\LabelPropagation;
use Impa\Raster\Raster;

/** The connected patches of a sorted picture, specks and drawn outlines given to their neighbours. Immutable. */
final readonly class Regions
{
    /** Patches smaller than this share of the figure are specks. */
    private const SPECK_SHARE = 0.0002;

    private const SPECK_PX = 10;

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

    /**
     * @param  array<int, Region>  $all  by index
     * @param  list<int>  $map  per pixel, index of its region, -1 for the ground
     * @param  list<Region>  $dropped  the specks that were given away, largest first
     */
    private function __construct(public array $all, public array $map, public int $width, public array $dropped)
    {
    }

    public static function of(FlatColours $flat, Raster $raster, Background $ground): self
    {
        $labels = $flat->labels;
        $speck = max(self::SPECK_PX, self::SPECK_SHARE * $ground->count);
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
        $ink = Ink::outlines($all, $flat);
        if ($ink !== [] && count($ink) < count($all)) {
            [$all, $map] = self::parted($ink, $all, $map, $raster->width);
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
     * Without drawn outlines: each of their pixels goes to a region beside it, and what they parted stays apart, also where both sides
     * have one colour, as an arm before a belly.
     *
     * @param  array<int, Region>  $ink
     * @param  array<int, Region>  $all
     * @param  list<int>  $map
     * @return array{array<int, Region>, list<int>} as of `connected`
     */
    private static function parted(array $ink, array $all, array $map, int $width): array
    {
        [$numbers, $regionOf] = ConnectedComponents::ofLabels(self::without($ink, $map, $map, $width), $width);

        return [self::drawnBy($numbers, array_map(static fn (int $region): int => $all[$region]->label, $regionOf), $width), $numbers];
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
