<?php

declare(strict_types=1);

namespace Impa\Seeing\Layers;

use Impa\Geometry\Outline\Polygon;
use Impa\Raster\Blob;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\Contour;
use Impa\Raster\DistanceTransform;
use Impa\Raster\LabelPropagation;
use Impa\Raster\Stroke;
use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Segmentation\Region;
use Impa\Seeing\Segmentation\Regions;
use Impa\Voice\Amount;
use Impa\Voice\Message;

/**
 * A sorted picture as layers of felt on a ground: which regions are cut, which are too small for scissors and are laid or stitched on,
 * what stays open, and how far each layer goes on beneath those above it. Large lies below small. Pixels. Immutable.
 */
final readonly class FlatLayers
{
    /** Narrower than this is no piece at all, and goes to its neighbours (house choice), mm. */
    public const SLIVER_MM = 1.0;

    /** The smallest piece that scissors cut cleanly from felt, across (common practice), mm. */
    public const CUT_MM = 5.0;

    /** A gap in the figure so narrow closes when it is pressed, mm. */
    public const GAP_MM = 2.0;

    private const MOST_LAYERS = 60;

    private const MOST_SPOTS = 200;

    /**
     * @param  list<FlatLayer>  $layers  from the ground up
     * @param  list<Mark>  $spots  too small to be cut; `on` is the number of the layer
     * @param  list<Blob>  $openings  enclosed and open
     * @param  list<Message>  $notices
     */
    private function __construct(public array $layers, public array $spots, public array $openings, public array $notices)
    {
    }

    /** @param  float  $overlapMm  how far a layer goes on beneath those above it */
    public static function of(Regions $regions, float $mmPerPx, float $overlapMm): self
    {
        $width = $regions->width;
        [$isCut, $isSpot] = self::sorted($regions, $mmPerPx);
        $notices = [];
        $slivers = count(array_diff_key($regions->all, $isCut, $isSpot));
        if ($slivers > 0) {
            $notices[] = $slivers === 1
                ? Message::of('seeing.flat-layers.a-sliver-narrower-than', sliver: Amount::mm(self::SLIVER_MM))
                : Message::of('seeing.flat-layers.slivers-narrower-than-were', slivers: $slivers, sliver: Amount::mm(self::SLIVER_MM));
        }
        [$openings, $closed] = self::openings($regions, $mmPerPx);
        $map = self::given($regions, $isCut, $closed);
        $seen = [];
        foreach ($map as $pixel => $region) {
            if ($region >= 0) {
                $seen[$region][$pixel] = true;
            }
        }
        if (count($seen) > self::MOST_LAYERS) {
            $notices[] = Message::of('seeing.flat-layers.the-picture-falls-into', seen: count($seen), mostLayers: self::MOST_LAYERS);
        }
        $layers = self::laid($seen, $regions, $map, $overlapMm / $mmPerPx);
        $numbers = array_flip(array_map(static fn (FlatLayer $l): int => $l->region, $layers));
        $spots = [];
        foreach ($isSpot as $index => $_) {
            $blob = self::blob($regions, $index);
            $under = array_count_values(array_intersect_key($map, $blob->pixels));
            arsort($under);
            $on = $numbers[array_key_first($under)] ?? null;
            if ($on !== null) {
                $spots[] = new Mark($regions->all[$index]->label, $blob, $on, 1, $regions->all[$index]->edge);
            }
        }
        $lost = count($isSpot) - count($spots);
        if ($lost > 0) {
            $notices[] = Message::of('seeing.flat-layers.small-spots-stand-apart', lost: $lost);
        }
        usort($spots, static fn (Mark $a, Mark $b): int => $b->blob->area() <=> $a->blob->area());

        return new self($layers, array_slice($spots, 0, self::MOST_SPOTS), $openings, $notices);
    }

    /**
     * By how far a disc fits into each region: what scissors cut, and what is laid on.
     *
     * @return array{array<int, true>, array<int, true>} regions that are cut, and those that are spots or lines; the rest is slivers
     */
    private static function sorted(Regions $regions, float $mmPerPx): array
    {
        $deep = self::deep($regions->map, $regions->width);
        $radius = [];
        foreach ($regions->map as $pixel => $region) {
            if ($region >= 0) {
                $radius[$region] = max($radius[$region] ?? 0, $deep[$pixel]);
            }
        }
        $isCut = $isSpot = [];
        foreach ($radius as $region => $thirds) {
            // From the middle of a pixel on the rim to the middle of the deepest: a pixel more is as wide as it is.
            $acrossMm = (2 * $thirds / DistanceTransform::SIDE + 1) * $mmPerPx;
            if ($acrossMm >= self::CUT_MM) {
                $isCut[$region] = true;
            } elseif ($acrossMm >= self::SLIVER_MM || self::isLine($regions, $region, $mmPerPx)) {
                $isSpot[$region] = true;
            }
        }
        if ($isCut === [] && $radius !== []) {
            // However small it is, something is the ground.
            arsort($radius);
            $isCut[(int) array_key_first($radius)] = true;
            unset($isSpot[(int) array_key_first($radius)]);
        }

        return [$isCut, $isSpot];
    }

    /** A thin line that was drawn, not left over: it is long. */
    private static function isLine(Regions $regions, int $index, float $mmPerPx): bool
    {
        $region = $regions->all[$index];

        return max($region->widthPx(), $region->heightPx()) * $mmPerPx >= 2 * self::CUT_MM
            && Stroke::isOne(self::blob($regions, $index), $region->edge);
    }

    /**
     * How deep every pixel lies within its region, in thirds of a pixel.
     *
     * @param  list<int>  $map
     * @return list<int>
     */
    private static function deep(array $map, int $width): array
    {
        $size = count($map);
        $rim = [];
        foreach ($map as $i => $region) {
            $x = $i % $width;
            $isRim = $x === 0 || $x === $width - 1 || $i < $width || $i + $width >= $size
                || $map[$i - 1] !== $region || $map[$i + 1] !== $region || $map[$i - $width] !== $region || $map[$i + $width] !== $region;
            $rim[] = $isRim ? 0 : -1;
        }

        return DistanceTransform::from($rim, $width)[0];
    }

    private static function blob(Regions $regions, int $index): Blob
    {
        $region = $regions->all[$index];
        $pixels = [];
        for ($y = $region->minY; $y <= $region->maxY; $y++) {
            for ($x = $region->minX; $x <= $region->maxX; $x++) {
                if ($regions->map[$y * $regions->width + $x] === $index) {
                    $pixels[$y * $regions->width + $x] = true;
                }
            }
        }

        return Blob::of($pixels, $regions->width);
    }

    /**
     * Patches of the background that the figure goes all round: an eye hole, or a gap that closes.
     *
     * @return array{list<Blob>, array<int, true>} what stays open, and the pixels of what closes
     */
    private static function openings(Regions $regions, float $mmPerPx): array
    {
        $width = $regions->width;
        $size = count($regions->map);
        [$numbers, $labels] = ConnectedComponents::ofLabels(array_map(static fn (int $r): int => $r < 0 ? 0 : 1, $regions->map), $width);
        $open = [];
        foreach ($numbers as $pixel => $number) {
            if ($labels[$number] === 0) {
                $open[$number][$pixel] = true;
            }
        }
        $openings = [];
        $closed = [];
        $deep = null;
        foreach ($open as $pixels) {
            $isOutside = array_filter(array_keys($pixels), static fn (int $i): bool => $i < $width || $i + $width >= $size
                || $i % $width === 0 || $i % $width === $width - 1) !== [];
            if ($isOutside) {
                continue;
            }
            $deep ??= self::deep(array_map(static fn (int $r): int => min(0, $r), $regions->map), $width);
            $radius = max(0, ...array_values(array_intersect_key($deep, $pixels)));
            if ((2 * $radius / DistanceTransform::SIDE + 1) * $mmPerPx > self::GAP_MM) {
                $openings[] = Blob::of($pixels, $width);
            } else {
                // Array union: keys are pixels.
                $closed += $pixels;
            }
        }
        usort($openings, static fn (Blob $a, Blob $b): int => $b->area() <=> $a->area());

        return [array_slice($openings, 0, 40), $closed];
    }

    /**
     * The map with everything that is not cut given to what is, ring by ring.
     *
     * @param  array<int, true>  $isCut
     * @param  array<int, true>  $closed  gaps
     * @return list<int>
     */
    private static function given(Regions $regions, array $isCut, array $closed): array
    {
        $labels = $from = [];
        foreach ($regions->map as $i => $region) {
            $isSeed = isset($isCut[$region]);
            $labels[] = $isSeed ? $region : ($region >= 0 || isset($closed[$i]) ? -2 : -1);
            if ($isSeed) {
                $from[] = $i;
            }
        }

        return LabelPropagation::into($labels, $from, $regions->width);
    }

    /**
     * Each layer with what lies beneath its neighbours; the largest of what hangs together goes under all the rest.
     *
     * @param  array<int, non-empty-array<int, true>>  $seen  pixels by region
     * @param  list<int>  $map
     * @return list<FlatLayer>
     */
    private static function laid(array $seen, Regions $regions, array $map, float $overlapPx): array
    {
        $width = $regions->width;
        // Outlines go round what lies within: by them, what is inside another is always the smaller.
        $size = array_map(static fn (array $pixels): float => abs(Polygon::signedArea(Contour::of($pixels, $width, 0.0))), $seen);
        arsort($size);
        [$islands] = ConnectedComponents::ofLabels(array_map(static fn (int $r): int => $r < 0 ? -1 : 0, $map), $width);
        $rank = array_flip(array_keys($size));
        $drawn = Regions::drawnBy($map, array_map(static fn (Region $r): int => $r->label, $regions->all), $width);
        $layers = $cuts = $roots = [];
        foreach (array_keys($size) as $region) {
            if (count($layers) === self::MOST_LAYERS) {
                break;
            }
            $island = $islands[array_key_first($seen[$region])];
            if (! isset($roots[$island])) {
                $roots[$island] = count($layers);
                $cut = array_filter($islands, static fn (int $i): bool => $i === $island);
            } else {
                $cut = self::grown($seen[$region], $map, $rank, $rank[$region], $overlapPx, $width);
            }
            $cut = array_fill_keys(array_keys($cut), true);
            // It lies most on the one below that it borders longest; where it borders none, on the ground.
            $under = $roots[$island] < count($layers) ? $roots[$island] : -1;
            $longest = $level = 0;
            foreach ($layers as $k => $lower) {
                $level = array_intersect_key($cut, $cuts[$k]) === [] ? $level : max($level, $lower->level + 1);
                $border = $drawn[$region]->contact[$lower->region] ?? 0;
                [$under, $longest] = $border > $longest ? [$k, $border] : [$under, $longest];
            }
            $cuts[] = $cut;
            $layers[] = new FlatLayer(
                region: $region,
                label: $regions->all[$region]->label,
                seen: Blob::of($seen[$region], $width),
                cut: Blob::of($cut, $width),
                level: $level,
                under: $under,
            );
        }

        return $layers;
    }

    /**
     * A layer's pixels and, so far beyond them, those of the layers above it (breadth first, straight and round corners in turn).
     *
     * @param  non-empty-array<int, true>  $seen
     * @param  list<int>  $map
     * @param  array<int, int>  $rank  of each region from the ground up
     * @return non-empty-array<int, true>
     */
    private static function grown(array $seen, array $map, array $rank, int $own, float $overlapPx, int $width): array
    {
        $all = $seen;
        $front = array_keys($seen);
        for ($ring = 1; $ring <= $overlapPx && $front !== []; $ring++) {
            $ways = [-1, 1, -$width, $width, ...$ring % 2 === 0 ? [-$width - 1, -$width + 1, $width - 1, $width + 1] : []];
            $next = [];
            foreach ($front as $i) {
                foreach ($ways as $way) {
                    $j = $i + $way;
                    if (! isset($all[$j]) && ($map[$j] ?? -1) >= 0 && $rank[$map[$j]] > $own) {
                        $all[$j] = true;
                        $next[] = $j;
                    }
                }
            }
            $front = $next;
        }

        return $all;
    }
}
