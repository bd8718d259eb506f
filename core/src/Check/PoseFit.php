<?php

declare(strict_types=1);

namespace Impa\Check;

use Impa\Geometry\Homography;
use Impa\Geometry\LeastSquares;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\DistanceTransform;
use Impa\Render\MarkerSheet;

/**
 * How the plan lies over what stands on a photo: the similarity that brings the plan's outline onto the seen one (iterative closest
 * points on a signed distance field, Gauss and Newton's steps, Tukey's weights), coarse to fine. Immutable.
 */
final readonly class PoseFit
{
    /** Rounds, and how many cells off a place of the outline may be until it counts for nothing. */
    private const ROUNDS = [[12, 30.0], [10, 10.0], [8, 4.0]];

    /** Turned at the start, radians: cameras are held askew. */
    private const STARTS = [0.0, 0.2, -0.2];

    /** A piece of which fewer places are seen counts less. */
    private const FEW = 15;

    /** Holes in what is seen, of so much of it, are what looks like the ground on the figure. */
    private const HOLE = 0.05;

    /**
     * @param  array<int, true>  $seen  cells of the figure
     * @param  list<float>  $field  signed distance from its outline at each cell, cells; below 0 within
     */
    private function __construct(public array $seen, private array $field, private int $width, private int $height)
    {
    }

    /** @param  array<int, true>  $seen  cells of the figure */
    public static function on(array $seen, Ground $ground): self
    {
        $seen = self::filled($seen, $ground->width, $ground->height);
        $inside = $outside = [];
        for ($i = 0, $n = $ground->width * $ground->height; $i < $n; $i++) {
            $inside[] = isset($seen[$i]);
            $outside[] = ! isset($seen[$i]);
        }
        $in = DistanceTransform::within($inside, $ground->width);
        $out = DistanceTransform::within($outside, $ground->width);
        $field = [];
        foreach ($in as $i => $deep) {
            $field[] = ($out[$i] - $deep) / DistanceTransform::SIDE + ($deep > 0 ? 0.5 : -0.5);
        }

        return new self($seen, $field, $ground->width, $ground->height);
    }

    /**
     * @param  list<array{float, float}>  $outline  places of the plan's outline against the ground, mm
     */
    public function fit(Expected $plan, array $outline, ?Marks $marks): Pose
    {
        $best = null;
        $least = INF;
        foreach (self::STARTS as $turn) {
            $pose = $this->start($plan, $marks, $turn);
            foreach (self::ROUNDS as [$rounds, $limit]) {
                for ($i = 0; $i < $rounds; $i++) {
                    $next = $this->step($pose, $outline, $limit);
                    if ($next === null) {
                        break;
                    }
                    $pose = $next;
                }
            }
            $off = $this->off($pose, $outline);
            if ($off < $least) {
                [$best, $least] = [$pose, $off];
            }
            if ($least < 2.0) {
                break;
            }
        }

        return $best ?? $this->start($plan, $marks, 0.0);
    }

    /** Intersection over union of plan and what is seen, both on a lattice of places of the plan. */
    public function overlap(Pose $pose, Expected $plan): float
    {
        $step = max($plan->box->width(), $plan->box->height()) / 160;
        $both = $any = 0;
        $beside = 12 * $step;
        for ($y = $plan->box->low - $beside; $y <= $plan->box->high + $beside; $y += $step) {
            for ($x = $plan->box->left - $beside; $x <= $plan->box->right + $beside; $x += $step) {
                $isPlanned = $plan->label($x, $y) !== Expected::GROUND;
                [$px, $py] = $pose->at($x, $y);
                [$i, $j] = [(int) floor($px / Ground::CELL), (int) floor($py / Ground::CELL)];
                $isSeen = $i >= 0 && $j >= 0 && $i < $this->width && $j < $this->height && isset($this->seen[$j * $this->width + $i]);
                $both += (int) ($isPlanned && $isSeen);
                $any += (int) ($isPlanned || $isSeen);
            }
        }

        return $any > 0 ? $both / $any : 0.0;
    }

    /**
     * The pose brought finely onto rims that were found: what goes with most of them, Tukey's weights; a piece that lies otherwise than
     * the rest moves nothing.
     *
     * @param  list<array{Rim, float}>  $edges
     */
    public static function refined(Pose $pose, Expected $plan, array $edges): Pose
    {
        [$mx, $my] = $plan->box->middle();
        // Every piece counts alike, however large: as few as can be then lie otherwise than planned.
        $counts = array_count_values(array_map(static fn (array $edge): int => $edge[0]->layer, $edges));
        $found = [0.0, 0.0, 0.0, 0.0];
        foreach ([8.0, 4.0, 2.0, 1.2, 0.9, 0.9] as $limit) {
            $rows = $values = [];
            foreach ($edges as [$rim, $off]) {
                [$nx, $ny] = $rim->normal;
                [$qx, $qy] = [$rim->x - $mx, $rim->y - $my];
                $row = [$nx, $ny, $ny * $qx - $nx * $qy, $nx * $qx + $ny * $qy];
                if ($pose->isMeasured()) {
                    array_pop($row);
                }
                $rest = $off;
                foreach ($row as $i => $x) {
                    $rest -= $x * $found[$i];
                }
                if (abs($rest) < $limit) {
                    $weight = (1 - ($rest / $limit) ** 2) / sqrt(max(self::FEW, $counts[$rim->layer]));
                    $rows[] = array_map(static fn (float $x): float => $weight * $x, $row);
                    $values[] = $weight * $off;
                }
            }
            $next = count($rows) < 12 ? null : LeastSquares::fit($rows, $values);
            if ($next === null) {
                break;
            }
            $found = [$next[0], $next[1], $next[2], $next[3] ?? 0.0];
        }

        return $pose->moved($found[0], $found[1], $found[2], 1 + $found[3]);
    }

    private function start(Expected $plan, ?Marks $marks, float $turn): Pose
    {
        [$low, $high, $left, $right] = [INF, -INF, INF, -INF];
        foreach ($this->seen as $i => $_) {
            [$x, $y] = [$i % $this->width, intdiv($i, $this->width)];
            [$low, $high, $left, $right] = [min($low, $y), max($high, $y), min($left, $x), max($right, $x)];
        }
        $middle = $plan->box->middle();
        $seen = [Ground::CELL * ($left + $right + 1) / 2, Ground::CELL * ($low + $high + 1) / 2];
        if ($marks !== null) {
            $pose = new Pose(0.0, 0.0, 1.0, $turn, $middle, Homography::onto($marks->corners), MarkerSheet::for($plan->box));

            return self::brought($pose, $middle, $seen);
        }
        $scale = Ground::CELL * sqrt(
            ($right - $left + 1) * ($high - $low + 1) / ($plan->box->width() * $plan->box->height()),
        );

        return new Pose($seen[0], -$seen[1], $scale, $turn, $middle);
    }

    /**
     * Moved on the sheet until the plan's middle is seen where the figure's is (Newton's method).
     *
     * @param  array{float, float}  $middle
     * @param  array{float, float}  $seen
     */
    private static function brought(Pose $pose, array $middle, array $seen): Pose
    {
        for ($i = 0; $i < 8; $i++) {
            [$x, $y] = $pose->at(...$middle);
            [$ax, $ay] = $pose->moved(1.0, 0.0, 0.0, 1.0)->at(...$middle);
            [$bx, $by] = $pose->moved(0.0, 1.0, 0.0, 1.0)->at(...$middle);
            $move = LeastSquares::fit([[$ax - $x, $bx - $x], [$ay - $y, $by - $y]], [$seen[0] - $x, $seen[1] - $y]);
            $pose = $move === null ? $pose : $pose->moved($move[0], $move[1], 0.0, 1.0);
        }

        return $pose;
    }

    /** @param  list<array{float, float}>  $outline */
    private function step(Pose $pose, array $outline, float $limit): ?Pose
    {
        // A step of each kind that moves the outline by about half a mm.
        $moves = [[0.5, 0.0, 0.0, 1.0], [0.0, 0.5, 0.0, 1.0], [0.0, 0.0, 0.01, 1.0]];
        if (! $pose->isMeasured()) {
            $moves[] = [0.0, 0.0, 0.0, 1.01];
        }
        $here = $this->distances($pose, $outline);
        $there = array_map(fn (array $move): array => $this->distances($pose->moved(...$move), $outline), $moves);
        $rows = $values = [];
        foreach ($here as $j => $d) {
            $weight = abs($d) < $limit ? (1 - ($d / $limit) ** 2) : 0.0;
            if ($weight > 0.0) {
                $rows[] = array_map(static fn (array $at): float => $weight * ($at[$j] - $d), $there);
                $values[] = -$weight * $d;
            }
        }
        $found = count($rows) < 8 ? null : LeastSquares::fit($rows, $values);
        if ($found === null) {
            return null;
        }
        // No step goes farther than what the field tells of.
        [$x, $y, $turn] = array_map(static fn (float $f): float => max(-8.0, min(8.0, $f)), array_slice($found, 0, 3));
        $factor = 1 + 0.01 * max(-8.0, min(8.0, $found[3] ?? 0.0));
        $isStill = abs($x) + abs($y) + abs($turn) + abs($factor - 1) < 1e-3;

        return $isStill ? null : $pose->moved(0.5 * $x, 0.5 * $y, 0.01 * $turn, $factor);
    }

    /**
     * @param  list<array{float, float}>  $outline
     * @return list<float> cells
     */
    private function distances(Pose $pose, array $outline): array
    {
        $distances = [];
        foreach ($outline as [$x, $y]) {
            [$px, $py] = $pose->at($x, $y);
            $u = max(0.0, min($this->width - 1.001, $px / Ground::CELL - 0.5));
            $v = max(0.0, min($this->height - 1.001, $py / Ground::CELL - 0.5));
            [$i, $j] = [(int) $u, (int) $v];
            [$s, $t] = [$u - $i, $v - $j];
            $k = $j * $this->width + $i;
            $distances[] = (1 - $t) * ((1 - $s) * $this->field[$k] + $s * $this->field[$k + 1])
                + $t * ((1 - $s) * $this->field[$k + $this->width] + $s * $this->field[$k + $this->width + 1]);
        }

        return $distances;
    }

    /** @param  list<array{float, float}>  $outline */
    private function off(Pose $pose, array $outline): float
    {
        $distances = array_map(abs(...), $this->distances($pose, $outline));

        return $distances === [] ? INF : array_sum(array_map(static fn (float $d): float => min($d, 20.0), $distances)) / count($distances);
    }

    /**
     * @param  array<int, true>  $seen
     * @return array<int, true>
     */
    private static function filled(array $seen, int $width, int $height): array
    {
        $free = [];
        for ($i = 0, $n = $width * $height; $i < $n; $i++) {
            $free[] = isset($seen[$i]) ? -1 : 0;
        }
        [$map] = ConnectedComponents::ofLabels($free, $width);
        $sizes = array_count_values($map);
        $limit = self::HOLE * count($seen);
        foreach ($map as $i => $component) {
            if ($component > 0 && $sizes[$component] < $limit && ! isset($seen[$i])) {
                $seen[$i] = true;
            }
        }

        return $seen;
    }
}
