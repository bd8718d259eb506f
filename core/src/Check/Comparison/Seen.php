<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoPose;
use Impa\Check\Photo\PhotoRefused;
use Impa\Check\Photo\Scale;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;

/**
 * What is measured on a photo over which the plan lies: how every piece and every detail differs from it. The pose is brought onto the
 * rims that are found, and these are looked for anew, by turns. Immutable.
 */
final readonly class Seen
{
    private const ROUNDS = 3;

    /** A piece's place must be so sure that its details are taken along with it, mm. */
    public const SURE_MM = 0.45;

    /** What lies farther off than this is looked for about where it is; so far apart are ways in which pieces are off, mm. */
    private const FAR_MM = 1.0;

    private const WAYS = ['across', 'level'];

    /** Of so many details it can be said what most of them have in common. */
    private const FACE = 3;

    /** A camera that is held askew as usual shifts a face on its head by up to so much; so near to each other details go together, mm. */
    private const ASKEW_MM = 1.6;

    private const ALIKE_MM = 0.7;

    /** Where a piece in front covers the outermost so much of one behind, mm, that one's rim is not seen there. */
    private const WITHIN_MM = 1.0;

    /** A piece of which fewer places of the rim are seen is not told of. */
    public const LEAST_PLACES = 6;

    /**
     * @param  array<string, array{PieceFit, int}>  $pieces  with their labels on the plan, by piece
     * @param  list<array{int, DetailFit}>  $details  with the label of each
     * @param  list<array{Rim, float}>  $edges  rims that are found, and how much farther out than planned, mm
     * @param  float  $edgeMm  how far it takes at the median from one colour to the other
     */
    private function __construct(
        public PhotoPose $pose,
        public Colours $colours,
        public array $pieces,
        public array $details,
        public array $edges,
        public float $edgeMm,
    ) {
    }

    /** @param  list<Rim>  $rims  of the plan */
    public static function on(Photo $photo, PhotoPose $pose, Expected $plan, array $rims): self
    {
        $before = $pose->parallax;
        for ($round = 1; true; $round++) {
            $colours = Colours::seen($photo, $pose, $plan);
            $moved = [];
            // What lies far off is looked for once more about where it is: there its rim has the same ways outwards.
            foreach ([1, 2] as $look) {
                $found = Edges::found($photo, $pose, $colours, $plan, $rims, $moved);
                $edges = self::paired($rims, $found);
                $edges = self::uncovered($plan, $colours, $edges, self::pieces($plan, $edges));
                $pieces = self::pieces($plan, $edges);
                $moved = self::farOff($pieces);
                if ($moved === []) {
                    break;
                }
            }
            // Details are found surely once the pose is near.
            $details = $round === 1 ? [] : self::details($photo, $pose, $plan, $colours, $pieces);
            if ($round === self::ROUNDS) {
                $details = self::besideEachOther($plan, $details, $pieces, $pose->isOnSheet());

                return new self($pose, $colours, $pieces, $details, $edges, self::median(array_column($found, 1)));
            }
            $pose = PoseRefinement::of($pose, $plan, $edges, self::raised($plan, $details, $pieces), $before, $pieces);
        }
    }

    /**
     * The pose by a part that was measured.
     *
     * @throws PhotoRefused if there is no such part, or its width is not seen surely
     */
    public function scaledBy(Scale $scale, Expected $plan): PhotoPose
    {
        [$fit, $label] = $this->pieces[$scale->part] ?? throw PhotoRefused::noScalePart();
        $piece = $plan->layers[$label]->piece;
        if ($fit->places < self::LEAST_PLACES || $fit->sigma['width'] > self::SURE_MM) {
            throw PhotoRefused::scalePartUnsure(mb_strtolower($piece->part->name));
        }

        return $this->pose->heldAt($this->pose->scale * ($piece->part->solid->size()->widthMm + $fit->off['width']) / $scale->mm);
    }

    /**
     * Which piece lies at a place of the plan where all lie as they were found: its layer, the foremost's, or the ground.
     *
     * @return callable(float, float): int
     */
    public function asFound(Expected $plan): callable
    {
        $pieces = [];
        foreach (array_reverse($this->pieces) as [$fit, $label]) {
            $loop = $plan->layers[$label]->loops[0];
            $pieces[] = [$fit, $label, $plan->layers[$label]->piece, $loop, Box::around($loop)];
        }

        return static function (float $x, float $y) use ($pieces, $plan): int {
            foreach ($pieces as [$fit, $label, $piece, $loop, $box]) {
                [$px, $py] = $fit->planned($piece, $plan->side, $x, $y);
                if ($box->has($px, $py) && Polygon::has($loop, $px, $py)) {
                    return $label;
                }
            }

            return Expected::GROUND;
        };
    }

    /** Which share of the rims that were found of a piece is told by lightness alone, for what lies beyond is of its own hue. */
    public function byLight(int $label): float
    {
        $own = array_filter($this->edges, static fn (array $edge): bool => $edge[0]->layer === $label);
        $alike = array_filter($own, fn (array $edge): bool => $this->colours->isOneHue($label, $edge[0]->outside));

        return $own === [] ? 0.0 : count($alike) / count($own);
    }

    /** What a piece is called among those that are seen. */
    public static function key(Expected $plan, int $label): string
    {
        $piece = $plan->layers[$label]->piece;

        return $piece->part->key.($piece->isTwin ? ' twin' : '');
    }

    /**
     * @param  list<array{Rim, float}>  $edges
     * @return array<string, array{PieceFit, int}>
     */
    private static function pieces(Expected $plan, array $edges): array
    {
        $of = [];
        foreach ($edges as $edge) {
            $of[$edge[0]->layer][] = $edge;
        }
        $pieces = [];
        foreach ($plan->layers as $label => $layer) {
            if ($layer->detail === null) {
                $pieces[self::key($plan, $label)] = [PieceFit::of($layer->piece, $plan->side, $of[$label] ?? []), $label];
            }
        }

        return $pieces;
    }

    /**
     * @param  array<string, array{PieceFit, int}>  $pieces
     * @return array<int, PieceFit> by layer
     */
    private static function farOff(array $pieces): array
    {
        $far = [];
        foreach ($pieces as [$fit, $label]) {
            if ($fit->places >= self::LEAST_PLACES && $fit->isOffBy(self::FAR_MM)) {
                $far[$label] = $fit;
            }
        }

        return $far;
    }

    /**
     * What is seen of rims where pieces lie as they were found: a piece that came out larger hides rims of those behind it, and where
     * one of the same colour lies beneath, it may be that one's rim that is seen.
     *
     * @param  list<array{Rim, float}>  $edges
     * @param  array<string, array{PieceFit, int}>  $pieces
     * @return list<array{Rim, float}>
     */
    private static function uncovered(Expected $plan, Colours $colours, array $edges, array $pieces): array
    {
        return array_values(array_filter($edges, static function (array $edge) use ($plan, $colours, $pieces): bool {
            [$rim, $off] = $edge;
            foreach ($pieces as [$fit, $label]) {
                $layer = $plan->layers[$label];
                $covers = static fn (float $within): bool => Polygon::has(
                    $layer->loops[0],
                    ...$fit->planned($layer->piece, $plan->side, ...$rim->within($within)),
                );
                // What is painted later lies in front; a rim is seen where what lies just within it is.
                $isInFront = $label > $rim->layer && $fit->places >= self::LEAST_PLACES;
                $isAlike = $label !== $rim->layer && $colours->apart($rim->layer, $label) < Edges::LEAST_APART;
                if ($isInFront && $covers(self::WITHIN_MM) || $isAlike && $covers(self::WITHIN_MM - $off)) {
                    return false;
                }
            }

            return true;
        }));
    }

    /**
     * @param  array<string, array{PieceFit, int}>  $pieces
     * @return list<array{int, DetailFit}>
     */
    private static function details(Photo $photo, PhotoPose $pose, Expected $plan, Colours $colours, array $pieces): array
    {
        $details = $carried = [];
        foreach ($plan->details() as $labels) {
            [$fit] = $pieces[self::key($plan, $labels[0])];
            $shift = array_map(static fn (string $way): float => $fit->isPlaced($way) ? $fit->off[$way] : 0.0, self::WAYS);
            // What lies on another detail goes along with that: a spark with its eye.
            [$x, $y] = $carried[DetailFit::host($plan, $labels)] ?? [0.0, 0.0];
            $found = DetailFit::of($photo, $pose, $plan, $colours, $labels, [$shift[0] + $x, $shift[1] + $y]);
            foreach ($labels as $label) {
                $carried[$label] = [$x + ($found->offMm[0] ?? 0.0), $y + ($found->offMm[1] ?? 0.0)];
            }
            $details[] = [$labels[0], $found];
        }

        return $details;
    }

    /**
     * Without a sheet nobody knows from where the camera looks: what most details of a piece have in common is that, or all of them
     * together, which is not told then. Nor is it where the place of the piece itself is not known.
     *
     * @param  list<array{int, DetailFit}>  $details
     * @param  array<string, array{PieceFit, int}>  $pieces
     * @return list<array{int, DetailFit}>
     */
    private static function besideEachOther(Expected $plan, array $details, array $pieces, bool $isOnSheet): array
    {
        $offs = [];
        foreach ($details as [$label, $fit]) {
            if ($fit->offMm !== null && $fit->isOnPiece) {
                $offs[self::key($plan, $label)][] = $fit->offMm;
            }
        }

        return array_map(static function (array $one) use ($plan, $offs, $pieces, $isOnSheet): array {
            [$label, $fit] = $one;
            $key = self::key($plan, $label);
            $all = $fit->isOnPiece ? $offs[$key] ?? [] : [];
            if ($all === []) {
                return $one;
            }
            $isSeenAskew = ! $isOnSheet && count($all) >= self::FACE;
            $isAcross = $isSeenAskew || ! $pieces[$key][0]->isPlaced('across');
            $isUp = $isSeenAskew || ! $pieces[$key][0]->isPlaced('level');
            $across = $isAcross ? self::common(array_column($all, 0)) : 0.0;
            $up = $isUp ? self::common(array_column($all, 1)) : 0.0;

            return [$label, $fit->less([$across, $up], [$isAcross, $isUp])];
        }, $details);
    }

    /**
     * The median, of two the nearer to nothing: of all where they go together, else of those that are no farther off than a camera does.
     *
     * @param  non-empty-list<float>  $values
     */
    private static function common(array $values): float
    {
        sort($values);
        if ($values[count($values) - 1] - $values[0] > self::ALIKE_MM) {
            $values = array_values(array_filter($values, static fn (float $value): bool => abs($value) <= self::ASKEW_MM)) ?: [0.0];
        }
        [$low, $high] = [$values[intdiv(count($values) - 1, 2)], $values[intdiv(count($values), 2)]];

        return abs($low) < abs($high) ? $low : $high;
    }

    /**
     * Details that lie on a piece itself, nearer to the camera than its rim: together they tell from where it looks.
     *
     * @param  list<array{int, DetailFit}>  $details
     * @param  array<string, array{PieceFit, int}>  $pieces
     * @return list<array{float, float, float, array{float, float}, array{float, float}}> place, how much nearer, how far off it is
     *     seen, and the middle of its piece, mm
     */
    private static function raised(Expected $plan, array $details, array $pieces): array
    {
        $raised = [];
        foreach ($details as [$label, $fit]) {
            [, $host] = $pieces[self::key($plan, $label)];
            [$px, $py] = $plan->side->see(...$plan->layers[$host]->piece->at);
            if ($fit->offMm !== null && $fit->isOnPiece) {
                [$x, $y] = Names::middle($plan->layers[$label]);
                $raised[] = [$x, $y, $plan->towardsMm($label) - $plan->towardsMm($host), $fit->offMm, [$px, $py]];
            }
        }

        return $raised;
    }

    /**
     * @param  list<Rim>  $rims
     * @param  array<int, array{float, float}>  $found  by rim
     * @return list<array{Rim, float}>
     */
    private static function paired(array $rims, array $found): array
    {
        $paired = [];
        foreach ($found as $i => [$off]) {
            $paired[] = [$rims[$i], $off];
        }

        return $paired;
    }

    /** @param  list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);

        return $values === [] ? 0.0 : $values[intdiv(count($values), 2)];
    }
}
