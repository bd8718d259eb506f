<?php

declare(strict_types=1);

namespace Impa\Picture;

/**
 * Who carries whom: which regions are only colour on the surface of another, and what the carriers look like with
 * all that lies on them. Immutable.
 */
final readonly class Carrying
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

    /** What one shape less is worth in overlap. */
    private const ONE_LESS = 0.02;

    /** Neighbours touch along such a share of the smaller one's edge. */
    private const TOUCH = 0.2;

    /** Of so many bases at most, all pairs are looked at. */
    private const MOST = 40;

    /**
     * @param  array<int, int>  $on  carrier by carried region
     * @param  array<int, array<int, true>>  $wholes  pixels by region, with all that it carries
     */
    private function __construct(
        public array $on,
        public array $wholes,
    ) {
    }

    public static function of(Regions $regions): self
    {
        $on = self::enclosed($regions);
        $on = self::bodies($regions, $on);
        $on = self::pairs($regions, $on);

        return new self($on, self::wholes($regions, $on));
    }

    /** @return array<int, int> */
    private static function enclosed(Regions $regions): array
    {
        $figure = array_sum(array_map(static fn (Region $r): int => $r->area, $regions->all));
        $on = [];
        foreach ($regions->all as $i => $region) {
            $around = $region->surroundedBy();
            $neighbour = $region->mainNeighbour();
            if ($around >= 0 && $region->area < self::SURROUNDED * ($regions->all[$around]->area + $region->area)) {
                $on[$i] = $around;
            } elseif ($neighbour >= 0 && ! $region->touchesGround() && $region->area < self::SMALL * $figure && $regions->all[$neighbour]->area > $region->area) {
                $on[$i] = $neighbour;
            }
        }

        return $on;
    }

    /**
     * Lobes of the silhouette that are simple, though they are made of several colours: one body each.
     *
     * @param  array<int, int>  $on
     * @return array<int, int>
     */
    private static function bodies(Regions $regions, array $on): array
    {
        $wholes = self::wholes($regions, $on);
        $bases = array_diff_key($regions->all, $on);
        if (count($bases) < 2) {
            return $on;
        }
        $silhouette = array_filter($regions->map, static fn (int $r): bool => $r >= 0);
        $blob = Blob::of(array_map(static fn (): bool => true, $silhouette), $regions->width);
        $flat = array_map(static fn (int $r): int => $r < 0 ? -1 : 0, $regions->map);
        $lobes = [new Lobe($blob, 0.0), ...Lobes::of($blob, $flat, 0.02 * $blob->area())];
        $taken = [];
        foreach ($lobes as $lobe) {
            $inside = [];
            $area = 0;
            $apart = 0.0;
            foreach ($bases as $i => $_) {
                $common = count(array_intersect_key($wholes[$i], $lobe->blob->pixels));
                if ($common > 0.85 * count($wholes[$i]) && ! isset($taken[$i])) {
                    $inside[] = $i;
                    $area += $common;
                    $apart += $common * Fit::rough(Blob::of($wholes[$i], $regions->width), $regions->map)->overlap;
                }
            }
            if (count($inside) < 2 || $area < 0.9 * $lobe->blob->area()) {
                continue;
            }
            $together = Fit::rough($lobe->blob, $flat)->overlap;
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
     * Two neighbours that one simple shape covers: the smaller is colour on the larger.
     *
     * @param  array<int, int>  $on
     * @return array<int, int>
     */
    private static function pairs(Regions $regions, array $on): array
    {
        $wholes = self::wholes($regions, $on);
        $bases = array_diff_key($regions->all, $on);
        uasort($bases, static fn (Region $a, Region $b): int => count($wholes[$b->index]) <=> count($wholes[$a->index]));
        $bases = array_slice($bases, 0, self::MOST, true);
        $overlaps = [];
        $overlap = static function (int $i) use (&$overlaps, &$wholes, $regions): float {
            return $overlaps[$i] ??= Fit::rough(Blob::of($wholes[$i], $regions->width), $regions->map)->overlap;
        };
        foreach (array_reverse(array_keys($bases)) as $small) {
            $touching = $regions->all[$small]->contact;
            arsort($touching);
            foreach ($touching as $large => $length) {
                if ($large < 0 || isset($on[$large]) || ! isset($bases[$large]) || count($wholes[$large]) < count($wholes[$small]) || $length < self::TOUCH * $regions->all[$small]->edge) {
                    continue;
                }
                $both = Blob::of($wholes[$small] + $wholes[$large], $regions->width);
                $fit = Fit::rough($both, $regions->map);
                $share = count($wholes[$small]) / $both->area();
                $apart = $share * $overlap($small) + (1 - $share) * $overlap($large);
                if ($fit->overlap > self::ONE_BODY && $fit->overlap > $apart - self::ONE_LESS && $fit->covers(Blob::of($wholes[$small], $regions->width)) > self::COVERED) {
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
     * Each region's pixels with all that lies on it.
     *
     * @param  array<int, int>  $on
     * @return array<int, array<int, true>>
     */
    private static function wholes(Regions $regions, array $on): array
    {
        $bases = [];
        foreach ($regions->all as $i => $_) {
            $bases[$i] = [$i];
            // Upwards through all it lies on; a circle cannot arise, as carriers are larger, but is cut off all the same.
            for ($b = $i, $steps = 0; isset($on[$b]) && $steps < 20; $steps++) {
                $b = $on[$b];
                $bases[$i][] = $b;
            }
        }
        $wholes = [];
        foreach ($regions->map as $pixel => $region) {
            foreach ($region >= 0 ? $bases[$region] : [] as $base) {
                $wholes[$base][$pixel] = true;
            }
        }

        return $wholes;
    }
}
