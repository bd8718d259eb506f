<?php

declare(strict_types=1);

namespace Impa\Picture;

/** Sorts regions into parts of their own, and details that lie on one. Immutable. */
final readonly class Sorting
{
    /** Regions below this share of the figure are taken as they are seen: completing them would show little. */
    private const WORTH_COMPLETING = 0.008;

    /**
     * @param  array<int, Piece>  $pieces  by region index
     * @param  array<int, array{Region, Blob, int, int}>  $details  by region index: itself, its whole, the piece it lies on, its layer
     * @param  list<string>  $notices
     */
    private function __construct(
        public array $pieces,
        public array $details,
        public array $notices,
    ) {
    }

    public static function of(Regions $regions, float $detailShare, float $patchShare, int $mostParts, int $mostDetails): self
    {
        $figure = array_sum(array_map(static fn (Region $r): int => $r->area, $regions->all));
        $on = [];
        foreach ($regions->all as $i => $region) {
            $around = $region->surroundedBy();
            $neighbour = $region->mainNeighbour();
            if ($around >= 0 && $region->area < $patchShare * ($regions->all[$around]->area + $region->area)) {
                $on[$i] = $around;
            } elseif ($neighbour >= 0 && ! $region->touchesGround() && $region->area < $detailShare * $figure && $regions->all[$neighbour]->area > $region->area) {
                $on[$i] = $neighbour;
            }
        }
        $wholes = self::wholes($regions, $on);
        $parts = array_filter($regions->all, static fn (Region $r): bool => ! isset($on[$r->index]));
        uasort($parts, static fn (Region $a, Region $b): int => $b->area <=> $a->area);
        $notices = [];
        if (count($parts) > $mostParts) {
            $notices[] = sprintf('The picture falls into %d parts; the %d largest were kept.', count($parts), $mostParts);
            $parts = array_slice($parts, 0, $mostParts, true);
        }
        $pieces = [];
        foreach ($parts as $i => $region) {
            $blob = Blob::of($wholes[$i], $regions->width);
            $pieces[$i] = new Piece($region, $blob, Fit::best($blob, $regions->map, $region->area > self::WORTH_COMPLETING * $figure && self::isPartlyHidden($region, $on)));
        }
        $details = self::details($regions, $on, $wholes, $pieces);
        if (count($details) > $mostDetails) {
            $notices[] = sprintf('%d details were seen; the %d largest were kept.', count($details), $mostDetails);
            $details = array_slice($details, 0, $mostDetails, true);
        }

        return new self($pieces, $details, $notices);
    }

    /**
     * Whether a good part of its edge runs along other parts, behind which it may go on.
     *
     * @param  array<int, int>  $on
     */
    private static function isPartlyHidden(Region $region, array $on): bool
    {
        $others = 0;
        foreach ($region->contact as $other => $length) {
            $others += $other >= 0 && ! isset($on[$other]) ? $length : 0;
        }

        return $others > 0.08 * $region->edge;
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
            // Upwards through all it lies on; a circle cannot arise, as areas grow, but is cut off all the same.
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

    /**
     * @param  array<int, int>  $on
     * @param  array<int, array<int, true>>  $wholes
     * @param  array<int, Piece>  $pieces
     * @return array<int, array{Region, Blob, int, int}> largest first
     */
    private static function details(Regions $regions, array $on, array $wholes, array $pieces): array
    {
        $details = [];
        foreach ($on as $i => $base) {
            $layer = 1;
            while (isset($on[$base]) && $layer < 20) {
                $base = $on[$base];
                $layer++;
            }
            if (isset($pieces[$base])) {
                $details[$i] = [$regions->all[$i], Blob::of($wholes[$i], $regions->width), $base, $layer];
            }
        }
        uasort($details, static fn (array $a, array $b): int => $b[0]->area <=> $a[0]->area);

        return $details;
    }
}
