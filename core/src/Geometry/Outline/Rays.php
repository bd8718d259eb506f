<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

/**
 * An outline as a function of direction (its radial function): how far it reaches from its middle. Where every direction meets it once,
 * the edge is found by halving; an outline that folds back is searched edge by edge. Immutable.
 */
final readonly class Rays
{
    /**
     * @param  list<array{float, float}>  $points  from the middle, in the order of their angles if there are any
     * @param  list<float>  $angles  of the points, rising; empty for an outline that folds back
     */
    private function __construct(private array $points, private array $angles)
    {
    }

    /** @param  list<array{float, float}>  $outline  anticlockwise */
    public static function of(array $outline, float $cx, float $cy): self
    {
        $points = array_map(static fn (array $p): array => [$p[0] - $cx, $p[1] - $cy], $outline);
        $angles = array_map(static fn (array $p): float => atan2($p[1], $p[0]), $points);
        $first = $angles === [] ? 0 : (int) array_search(min($angles), $angles, true);
        $points = [...array_slice($points, $first), ...array_slice($points, 0, $first)];
        $angles = [...array_slice($angles, $first), ...array_slice($angles, 0, $first)];
        for ($i = 1, $n = count($angles); $i < $n; $i++) {
            if ($angles[$i] <= $angles[$i - 1]) {
                return new self($points, []);
            }
        }

        return new self($points, $angles);
    }

    /**
     * The share of the way from the middle to the outline at which a point lies, both measured from the middle: 1 on the
     * outline, more outside.
     */
    public function share(float $x, float $y): float
    {
        if ($this->angles === []) {
            return Polygon::reach($this->points, 0.0, 0.0, $x, $y);
        }
        $count = count($this->angles);
        $angle = atan2($y, $x);
        [$low, $high] = [0, $count];
        while ($high - $low > 1) {
            $middle = ($low + $high) >> 1;
            if ($this->angles[$middle] <= $angle) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
        // Before the first angle lies the edge that closes the outline.
        [$ax, $ay] = $this->points[$angle < $this->angles[0] ? $count - 1 : $low];
        [$bx, $by] = $this->points[$angle < $this->angles[0] ? 0 : ($low + 1) % $count];
        $cross = $ax * $by - $ay * $bx;

        return $cross !== 0.0 ? ($x * ($by - $ay) - $y * ($bx - $ax)) / $cross : INF;
    }
}
