<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Geometry\Outline\Polygon;
use Impa\Geometry\Outline\Polyline;

/**
 * The flat pieces of a figure from the ground up: what lies deeper first, of equals the larger (docs/trade.md, Flat work); what lies
 * on what; and whether each goes far enough beneath its neighbours. Immutable.
 */
final readonly class Layers
{
    /** Places along a rim, mm; places across an overlap. */
    private const STEP_MM = 2.0;

    private const DEEP = 6;

    /** A rim is looked at in so many places at most; so far outside it, mm. */
    private const MOST_PLACES = 160;

    private const OUT_MM = 0.3;

    /** So many pieces are laid on each other at most. */
    private const MOST = 100;

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
        if (count($pieces) > self::MOST) {
            throw FlatRefused::tooManyLayers(count($pieces), self::MOST);
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
        $short = [];
        foreach ($this->all as $i => $upper) {
            foreach ($this->overlaps($i) as $k => $mm) {
                if ($mm < $this->figure->flat->overlapMm - self::TOLERANCE_MM) {
                    $short[] = [
                        'upper' => $upper->name(),
                        'lower' => $this->all[$k]->name(),
                        'overlapMm' => $mm,
                        'wantedMm' => $this->figure->flat->overlapMm,
                    ];
                }
            }
        }

        return $short;
    }

    /**
     * How far what lies beneath a layer goes on under it, measured inwards from its rim: the least along each neighbour that reaches the
     * rim from outside, the uppermost one there. Places whose neighbours on the rim lie deeper are corners that are cut round, and do not
     * count.
     *
     * @return array<int, float> by number of the lower layer
     */
    private function overlaps(int $own): array
    {
        $upper = $this->all[$own];
        if ($this->under[$own] === []) {
            return [];
        }
        $wanted = $this->figure->flat->overlapMm;
        $rim = Polyline::closed($upper->outline, max(self::STEP_MM, $upper->rimMm / self::MOST_PLACES));
        $count = count($rim);
        $least = $before = [];
        foreach ($rim as $n => [$x, $y]) {
            [$ax, $ay] = $rim[($n + $count - 1) % $count];
            [$bx, $by] = $rim[($n + 1) % $count];
            $long = max(1e-9, hypot($bx - $ax, $by - $ay));
            // Anticlockwise: inwards is to the left.
            [$ix, $iy] = [-($by - $ay) / $long, ($bx - $ax) / $long];
            $lower = $this->uppermost($own, $x - self::OUT_MM * $ix, $y - self::OUT_MM * $iy);
            if ($lower === null) {
                continue;
            }
            $deep = 0.0;
            for ($step = 1; $step <= self::DEEP; $step++) {
                $in = $wanted * $step / self::DEEP;
                if (! $this->isHeld($own, $x + $in * $ix, $y + $in * $iy)) {
                    break;
                }
                $deep = $in;
            }
            $least[$lower] = min($least[$lower] ?? $wanted, max($deep, ...$before[$lower] ?? [$wanted, $wanted]));
            $before[$lower] = [($before[$lower] ?? [$wanted, $wanted])[1], $deep];
        }

        return $least;
    }

    /** The uppermost of what lies beneath a layer at a place; null where nothing does. */
    private function uppermost(int $own, float $x, float $y): ?int
    {
        for ($i = count($this->under[$own]) - 1; $i >= 0; $i--) {
            $k = $this->under[$own][$i];
            if ($this->all[$k]->has($x, $y)) {
                return $k;
            }
        }

        return null;
    }

    /** Whether anything lies beneath a place of a layer; where that itself is narrower, nothing needs to. */
    private function isHeld(int $own, float $x, float $y): bool
    {
        return $this->uppermost($own, $x, $y) !== null || ! $this->all[$own]->has($x, $y);
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
            foreach ([...Polyline::closed($a->outline, max(self::STEP_MM, $a->rimMm / self::MOST_PLACES)), [$cx, $cy]] as [$x, $y]) {
                // Drawn in a little, so that pieces that only touch do not lie on each other.
                $far = max(1e-9, hypot($cx - $x, $cy - $y));
                $in = min(1.0, self::OUT_MM / $far);
                if ($b->has($x + ($cx - $x) * $in, $y + ($cy - $y) * $in)) {
                    return true;
                }
            }
        }

        return false;
    }
}
