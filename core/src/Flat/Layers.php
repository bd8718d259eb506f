<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Geometry\Polygon;
use Impa\Geometry\Polyline;

/**
 * The flat pieces of a figure from the ground up: what lies deeper first, of equals the larger (docs/trade.md, Flat work); what lies
 * on what; and whether each goes far enough beneath its neighbours. Immutable.
 */
final readonly class Layers
{
    /** Places along a rim, mm; places across an overlap. */
    private const STEP_MM = 2.0;

    private const DEEP = 6;

    /** A seam may be so much shorter in one place: scissors are no finer, mm. */
    private const TOLERANCE_MM = 0.6;

    /**
     * @param  list<Layer>  $all  from the ground up
     * @param  array<int, list<int>>  $under  numbers of the layers that each lies on, uppermost last
     */
    private function __construct(public Figure $figure, public array $all, public array $under)
    {
    }

    /** @throws FlatRefused if there are none */
    public static function of(Figure $figure): self
    {
        $pieces = [];
        foreach ($figure->parts as $part) {
            foreach ($part->solid->kind()->isFlat() ? $part->placements() : [] as $placement) {
                $outline = array_map(
                    static fn (array $p): array => array_slice($placement->place($p[0], $p[1], 0.0), 0, 2),
                    $part->solid->front()[0],
                );
                $area = Polygon::signedArea($outline);
                $pieces[] = [$placement, $area < 0.0 ? array_reverse($outline) : $outline, abs($area)];
            }
        }
        if ($pieces === []) {
            throw FlatRefused::noLayers();
        }
        $order = static fn (array $p): array => [round($p[0]->at[2], 1), -round($p[2], 1), $p[0]->isTwin];
        usort($pieces, static fn (array $a, array $b): int => $order($a) <=> $order($b));
        $all = $under = [];
        foreach ($pieces as [$placement, $outline, $area]) {
            $own = self::layer($placement, $outline, $area, 0);
            $beneath = array_values(array_filter(array_keys($all), static fn (int $k): bool => self::overlap($own, $all[$k])));
            $under[] = $beneath;
            $level = $beneath === [] ? 0 : 1 + max(array_map(static fn (int $k): int => $all[$k]->level, $beneath));
            $all[] = self::layer($placement, $outline, $area, $level);
        }

        return new self($figure, $all, $under);
    }

    /**
     * Where a layer's rim hangs over a neighbour that does not go far enough beneath it.
     *
     * @return list<array{upper: string, lower: string, overlapMm: float, wantedMm: float}> the narrowest place of each such pair
     */
    public function shortSeams(): array
    {
        $wanted = $this->figure->flat->overlapMm;
        $short = [];
        foreach ($this->all as $i => $upper) {
            $rim = Polyline::closed($upper->outline, self::STEP_MM);
            foreach ($this->under[$i] as $k) {
                $least = $this->leastOverlap($upper, $this->all[$k], $rim, $i, $wanted);
                if ($least < $wanted - self::TOLERANCE_MM) {
                    $short[] = ['upper' => $upper->name(), 'lower' => $this->all[$k]->name(), 'overlapMm' => $least, 'wantedMm' => $wanted];
                }
            }
        }

        return $short;
    }

    /**
     * How far a lower layer goes on beneath an upper one where it ends there and nothing else lies between: measured inwards from the
     * upper one's rim.
     *
     * @param  list<array{float, float}>  $rim
     */
    private function leastOverlap(Layer $upper, Layer $lower, array $rim, int $own, float $wanted): float
    {
        $least = $wanted;
        $count = count($rim);
        // Beneath a few places in a row, so that a corner that is cut round does not count.
        $before = [$wanted, $wanted];
        foreach ($rim as $n => [$x, $y]) {
            [$ax, $ay] = $rim[($n + $count - 1) % $count];
            [$bx, $by] = $rim[($n + 1) % $count];
            $long = max(1e-9, hypot($bx - $ax, $by - $ay));
            // Anticlockwise: inwards is to the left.
            [$ix, $iy] = [-($by - $ay) / $long, ($bx - $ax) / $long];
            if (! $lower->has($x - 0.3 * $ix, $y - 0.3 * $iy)) {
                continue;
            }
            $deep = 0.0;
            for ($step = 1; $step <= self::DEEP; $step++) {
                $at = [$x + $ix * $wanted * $step / self::DEEP, $y + $iy * $wanted * $step / self::DEEP];
                if (! $this->isHeld($at, $own)) {
                    break;
                }
                $deep = $wanted * $step / self::DEEP;
            }
            $least = min($least, max($deep, ...$before));
            $before = [$before[1], $deep];
        }

        return $least;
    }

    /**
     * Whether anything lies beneath a place of a layer.
     *
     * @param  array{float, float}  $at
     */
    private function isHeld(array $at, int $own): bool
    {
        foreach ($this->under[$own] as $k) {
            if ($this->all[$k]->has(...$at)) {
                return true;
            }
        }

        // Where the upper one itself is narrower than that, nothing needs to lie there.
        return ! $this->all[$own]->has(...$at);
    }

    /** @param  list<array{float, float}>  $outline */
    private static function layer(Placement $placement, array $outline, float $area, int $level): Layer
    {
        return new Layer($placement->part, $outline, $area, Polygon::perimeter($outline), $level, $placement->isTwin);
    }

    /** Whether two outlines have more in common than a shared rim. */
    private static function overlap(Layer $one, Layer $two): bool
    {
        if (
            $one->box->left > $two->box->right || $two->box->left > $one->box->right
            || $one->box->low > $two->box->high || $two->box->low > $one->box->high
        ) {
            return false;
        }
        foreach ([[$one, $two], [$two, $one]] as [$a, $b]) {
            [$cx, $cy] = Polygon::centroid($a->outline);
            foreach ([...Polyline::closed($a->outline, self::STEP_MM), [$cx, $cy]] as [$x, $y]) {
                // Drawn in a little, so that pieces that only touch do not lie on each other.
                $far = max(1e-9, hypot($cx - $x, $cy - $y));
                $in = min(1.0, 0.3 / $far);
                if ($b->has($x + ($cx - $x) * $in, $y + ($cy - $y) * $in)) {
                    return true;
                }
            }
        }

        return false;
    }
}
