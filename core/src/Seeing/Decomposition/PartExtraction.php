<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Raster\Blob;
use Impa\Raster\ConnectedComponents;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Fitting\Fitting;
use Impa\Seeing\Segmentation\Region;
use Impa\Seeing\Segmentation\Regions;
use Impa\Voice\Message;

/** Sorts regions into pieces, cut at their necks and seen as simple shapes, and marks that are colour on one. Immutable. */
final readonly class PartExtraction
{
    /** At most so many parts and details; the rest are told. */
    private const MOST_PIECES = 60;

    private const MOST_MARKS = 120;

    /** A lobe is at least this share of the figure. */
    private const LEAST_LOBE = 0.006;

    /** Pieces below this share of the figure are taken as they are seen: completing them would show little. */
    private const WORTH_COMPLETING = 0.004;

    /** A simple shape covers so much of the body within a saw-toothed rim, or that takes an outline of its own. */
    private const BODY = 0.9;

    /** Below this share of the figure seven teeth would be specks. */
    private const WORTH_FRINGING = 0.02;

    /** A piece may go on behind others when such a share of its edge runs along them. */
    private const HIDDEN_EDGE = 0.08;

    /**
     * @param  array<int, Piece>  $pieces  by number, largest first
     * @param  list<int>  $map  piece per pixel, -1 for the ground
     * @param  list<Mark>  $marks  largest first
     * @param  list<Message>  $notices
     * @param  list<Region>  $dropped  regions beyond what is kept, largest first
     */
    private function __construct(
        public array $pieces,
        public array $map,
        public array $marks,
        public array $notices,
        public array $dropped,
    ) {
    }

    /** @param  callable(float $share): mixed  $progress  told how much is behind, 0 to 1; may throw to stop */
    public static function of(Regions $regions, callable $progress): self
    {
        $grouping = RegionGrouping::of($regions, static fn (float $share) => $progress(0.3 * $share));
        $progress(0.3);
        $bases = array_diff_key($regions->all, $grouping->on);
        uasort($bases, static fn (Region $a, Region $b): int => $b->area <=> $a->area);
        $notices = $dropped = [];
        if (count($bases) > self::MOST_PIECES) {
            $notices[] = Message::of('seeing.part-extraction.the-picture-falls-into', bases: count($bases), mostPieces: self::MOST_PIECES);
            $dropped = array_values(array_slice($bases, self::MOST_PIECES));
            $bases = array_slice($bases, 0, self::MOST_PIECES, true);
        }
        $figure = count(array_filter($regions->map, static fn (int $r): bool => $r >= 0));
        $cut = $fringes = [];
        foreach ($bases as $i => $_) {
            $progress(0.3 + (0.3 * count($cut)) / count($bases));
            $whole = Blob::of($grouping->wholes[$i], $regions->width);
            $fringes[$i] = $whole->area() > self::WORTH_FRINGING * $figure ? Fringe::of($whole) : null;
            $cut[$i] = $fringes[$i] === null ? Lobes::of($whole, $regions->map, self::LEAST_LOBE * $figure) : [new Lobe($whole, 0.0)];
        }
        $lobes = $base = [];
        foreach (TwinCuts::alike($cut, $bases) as $i => $own) {
            foreach ($own as $lobe) {
                $base[] = $i;
                $lobes[] = $lobe;
            }
        }
        $toothed = array_map(static fn (): bool => true, array_filter($fringes));
        [$lobes, $base] = PartedLimbs::of($lobes, $base, $regions, $toothed);
        $progress(0.6);
        $map = array_fill(0, count($regions->map), -1);
        $labels = $colours = [];
        foreach ($lobes as $k => $lobe) {
            foreach ($lobe->blob->pixels as $pixel => $_) {
                $map[$pixel] = $k;
            }
            [$labels[$k], $colours[$k]] = self::colour($lobe->blob, $regions);
        }
        $map = array_values($map);
        $seen = Regions::drawnBy($map, $labels, $regions->width);
        $areas = array_map(static fn (Lobe $lobe): int => $lobe->blob->area(), $lobes);
        $pieces = [];
        foreach ($lobes as $k => $lobe) {
            $progress(0.6 + (0.4 * $k) / count($lobes));
            $hidden = $seen[$k]->area > self::WORTH_COMPLETING * $figure && self::edgeAlongOthers($seen[$k]) > self::HIDDEN_EDGE;
            [$fit, $fringe] = self::fitted($lobe->blob, $fringes[$base[$k]], $map, $hidden);
            if ($hidden) {
                $fit = Completion::of($fit, $fringe->body ?? $lobe->blob, $k, $map, $areas);
            }
            $pieces[$k] = new Piece($seen[$k], $lobe->blob, $fit, $lobe->neckPx, $colours[$k], $fringe);
            $pieces[$k]->isPartlyHidden = $hidden;
        }
        uasort($pieces, static fn (Piece $a, Piece $b): int => $b->blob->area() <=> $a->blob->area());
        $marks = self::marks($regions, $grouping, $map, $labels, $base);
        if (count($marks) > self::MOST_MARKS) {
            $notices[] = Message::of('seeing.part-extraction.details-were-seen', marks: count($marks), mostMarks: self::MOST_MARKS);
            $marks = array_slice($marks, 0, self::MOST_MARKS);
        }

        return new self($pieces, $map, $marks, $notices, $dropped);
    }

    /**
     * What is saw-toothed is a simple shape with tufts round it where one covers its body; teeth that tufts would not make, and a body
     * that is not simple, take an outline of their own.
     *
     * @param  list<int>  $map
     * @return array{Fit, ?Fringe}
     */
    private static function fitted(Blob $blob, ?Fringe $fringe, array $map, bool $hidden): array
    {
        if ($fringe !== null && $fringe->isOfTufts) {
            $fit = Fitting::simple($fringe->body, $map, $hidden);
            if ($fit->overlap >= self::BODY) {
                return [$fit, $fringe];
            }
        }

        return [Fitting::best($blob, $map, $hidden), null];
    }

    /** @param  list<Mark>  $more */
    public function withMarks(array $more): self
    {
        return new self($this->pieces, $this->map, [...$this->marks, ...$more], $this->notices, $this->dropped);
    }

    /**
     * The same with what lay on some pieces now on others.
     *
     * @param  array<int, int>  $onto  the piece that bears it now, by number of the one that did
     */
    public function withMarksMoved(array $onto): self
    {
        $moved = static function (Mark $mark) use ($onto): Mark {
            for ($on = $mark->on; isset($onto[$on]); $on = $onto[$on]);

            return new Mark($mark->label, $mark->blob, $on, $mark->layer, $mark->edgePx);
        };

        return new self($this->pieces, $this->map, array_map($moved, $this->marks), $this->notices, $this->dropped);
    }

    /**
     * The colour that a lobe's ground has: what is seen along its rim counts as much as twice what is seen within.
     *
     * @return array{int, int} the colour, and how many colours share the lobe
     */
    private static function colour(Blob $blob, Regions $regions): array
    {
        $area = $rim = [];
        foreach ($blob->pixels as $i => $_) {
            $label = $regions->all[$regions->map[$i]]->label;
            $area[$label] = ($area[$label] ?? 0) + 1;
            if (
                ! isset(
                    $blob->pixels[$i - 1],
                    $blob->pixels[$i + 1],
                    $blob->pixels[$i - $blob->width],
                    $blob->pixels[$i + $blob->width],
                )
            ) {
                $rim[$label] = ($rim[$label] ?? 0) + 1;
            }
        }
        $whole = array_sum($rim);
        $weight = [];
        foreach ($area as $label => $n) {
            $weight[$label] = (0.5 * $n) / $blob->area() + ($rim[$label] ?? 0) / max(1, $whole);
        }
        arsort($weight);

        return [(int) array_key_first($weight), count(array_filter($area, static fn (int $n): bool => $n > 0.2 * $blob->area()))];
    }

    private static function edgeAlongOthers(Region $region): float
    {
        $others = 0;
        foreach ($region->contact as $other => $length) {
            $others += $other >= 0 ? $length : 0;
        }

        return $others / max(1, $region->edge);
    }

    /**
     * @param  list<int>  $map
     * @param  array<int, int>  $labels  colour by piece
     * @param  list<int>  $base  base region by piece
     * @return list<Mark> largest first
     */
    private static function marks(Regions $regions, RegionGrouping $grouping, array $map, array $labels, array $base): array
    {
        $marks = [];
        foreach ($grouping->on as $i => $carrier) {
            $layer = 1;
            for ($c = $carrier; isset($grouping->on[$c]) && $layer < 20; $c = $grouping->on[$c]) {
                $layer++;
            }
            foreach (self::shares($grouping->wholes[$i], $map) as $k => $pixels) {
                // Where the base itself is a mark on its piece, what it surrounds lies on that mark.
                $onMark =
                    $layer === 1 &&
                    $regions->all[$base[$k]]->label !== $labels[$k] &&
                    $regions->all[$i]->surroundedBy() === $base[$k];
                if ($regions->all[$i]->label !== $labels[$k] || $layer > 1 || $onMark) {
                    array_push($marks, ...self::marked($pixels, $regions->all[$i], $k, $layer + (int) $onMark, $regions->width));
                }
            }
        }
        // A lobe that is mostly covered by another colour takes that for its own; its base shows through as a mark.
        foreach ($base as $k => $i) {
            if ($regions->all[$i]->label !== $labels[$k]) {
                $own = array_filter(
                    $grouping->wholes[$i],
                    static fn (int $pixel): bool => $map[$pixel] === $k && $regions->map[$pixel] === $i,
                    ARRAY_FILTER_USE_KEY,
                );
                array_push($marks, ...self::marked($own, $regions->all[$i], $k, 1, $regions->width));
            }
        }
        usort($marks, static fn (Mark $a, Mark $b): int => $b->blob->area() <=> $a->blob->area());

        return $marks;
    }

    /**
     * A mark for each connected piece that is more than a crumb of the whole.
     *
     * @param  array<int, true>  $pixels
     * @return list<Mark>
     */
    private static function marked(array $pixels, Region $region, int $on, int $layer, int $width): array
    {
        $marks = [];
        foreach (ConnectedComponents::ofSet($pixels, $width) as $piece) {
            if (count($piece) > 0.04 * count($pixels)) {
                $marks[] = new Mark($region->label, Blob::of($piece, $width), $on, $layer, $region->edge);
            }
        }

        return $marks;
    }

    /**
     * A mark's pixels by the piece they lie on; crumbs go to where most lie.
     *
     * @param  array<int, true>  $pixels
     * @param  list<int>  $map
     * @return array<int, non-empty-array<int, true>>
     */
    private static function shares(array $pixels, array $map): array
    {
        $shares = [];
        foreach ($pixels as $pixel => $_) {
            if ($map[$pixel] >= 0) {
                $shares[$map[$pixel]][$pixel] = true;
            }
        }
        $most = $shares === [] ? 0 : max(array_map(count(...), $shares));

        return array_filter($shares, static fn (array $share): bool => count($share) > 0.15 * $most);
    }
}
