<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Check\Photo\Marks;
use Impa\Check\Photo\PhotoGround;
use Impa\Check\Photo\PhotoPose;
use Impa\Check\Photo\SheetPlane;
use Impa\Geometry\Homography;
use Impa\Geometry\LeastSquares;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\DistanceTransform;
use Impa\Render\Bench\MarkerSheet;

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
    public static function on(array $seen, PhotoGround $ground): self
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
     * @param  list<array{float, float, float}>  $outline  places of the plan's outline against the ground, mm, and how near they are
     * @param  ?float  $pxPerMm  where it is known
     */
    public function fit(Expected $plan, array $outline, ?Marks $marks, ?float $pxPerMm = null): PhotoPose
    {
        $best = null;
        $least = INF;
        foreach (self::STARTS as $turn) {
            $pose = $this->start($plan, $marks, $turn, $pxPerMm);
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

        return $best ?? $this->start($plan, $marks, 0.0, $pxPerMm);
    }

    /**
     * Intersection over union of a figure and what is seen, both on a lattice of places of the plan.
     *
     * @param  ?callable(float, float): int  $figure  the layer at a place; nothing: as planned
     * @param  int  $places  along its longer side
     */
    public function overlap(PhotoPose $pose, Expected $plan, ?callable $figure = null, int $places = 160): float
    {
        $figure ??= $plan->label(...);
        $side = max($plan->box->width(), $plan->box->height());
        $step = $side / $places;
        $both = $any = 0;
        $beside = 0.075 * $side;
        for ($y = $plan->box->low - $beside; $y <= $plan->box->high + $beside; $y += $step) {
            // Beside a piece it is looked at as near as that piece is.
            $labels = $towards = [];
            for ($x = $plan->box->left - $beside; $x <= $plan->box->right + $beside; $x += $step) {
                $label = $figure($x, $y);
                $labels[] = [$x, $label];
                $towards[] = $label === Expected::GROUND ? ($towards === [] ? null : end($towards)) : $plan->towardsMm($label);
            }
            $next = $plan->middleTowardsMm();
            foreach (array_reverse($labels, true) as $k => [$x, $label]) {
                $next = $label === Expected::GROUND ? $next : $plan->towardsMm($label);
                [$px, $py] = $pose->at($x, $y, $towards[$k] ?? $next);
                [$i, $j] = [(int) floor($px / PhotoGround::CELL), (int) floor($py / PhotoGround::CELL)];
                $isSeen = $i >= 0 && $j >= 0 && $i < $this->width && $j < $this->height && isset($this->seen[$j * $this->width + $i]);
                // A detail that is not seen to stand there may have the ground's colour.
                $isTold = $isSeen || ($plan->layers[$plan->label($x, $y)] ?? null)?->detail === null;
                $both += (int) ($label !== Expected::GROUND && $isSeen);
                $any += (int) ($isSeen || $label !== Expected::GROUND && $isTold);
            }
        }

        return $any > 0 ? $both / $any : 0.0;
    }

    private function start(Expected $plan, ?Marks $marks, float $turn, ?float $pxPerMm): PhotoPose
    {
        [$low, $high, $left, $right] = [INF, -INF, INF, -INF];
        foreach ($this->seen as $i => $_) {
            [$x, $y] = [$i % $this->width, intdiv($i, $this->width)];
            [$low, $high, $left, $right] = [min($low, $y), max($high, $y), min($left, $x), max($right, $x)];
        }
        $middle = $plan->box->middle();
        $seen = [PhotoGround::CELL * ($left + $right + 1) / 2, PhotoGround::CELL * ($low + $high + 1) / 2];
        if ($marks !== null) {
            $sheet = Homography::onto($marks->corners);
            $pose = new PhotoPose(0.0, 0.0, 1.0, $turn, $middle, sheet: new SheetPlane($sheet, MarkerSheet::for($plan->box)));
            $axis = self::brought($pose, $middle, $this->middle());
            $pose = self::brought($pose, $middle, $seen);

            return $pose->seenWith(self::askew($pose, $axis, $sheet, MarkerSheet::for($plan->box)));
        }
        $scale = $pxPerMm ?? PhotoGround::CELL * sqrt(
            ($right - $left + 1) * ($high - $low + 1) / ($plan->box->width() * $plan->box->height()),
        );
        $pose = new PhotoPose($seen[0], -$seen[1], $scale, $turn, $middle, isHeld: $pxPerMm !== null);
        // What is seen beside the middle of the picture is seen from the side.
        [$x, $y] = $pose->alongPlan(($seen[0] - $this->middle()[0]) / $scale, ($this->middle()[1] - $seen[1]) / $scale);

        return $pose->seenWith([1 / PhotoPose::AWAY_MM, $x / PhotoPose::AWAY_MM, $y / PhotoPose::AWAY_MM]);
    }

    /** @return array{float, float} of the picture, in pixels */
    private function middle(): array
    {
        return [PhotoGround::CELL * $this->width / 2, PhotoGround::CELL * $this->height / 2];
    }

    /**
     * The parallax of a camera that looks at a sheet from askew: its foot lies on the side on which the sheet is nearer.
     *
     * @param  PhotoPose  $axis  where the plan's middle would be in the middle of the picture
     * @return array{float, float, float}
     */
    private static function askew(PhotoPose $pose, PhotoPose $axis, Homography $sheet, MarkerSheet $marks): array
    {
        [$across, $down] = $sheet->falls();
        [$x, $y] = $pose->alongPlan(
            ($pose->x - $axis->x) / PhotoPose::AWAY_MM + PhotoPose::AWAY_MM * $across / $marks->wideMm,
            ($pose->y - $axis->y) / PhotoPose::AWAY_MM - PhotoPose::AWAY_MM * $down / $marks->highMm,
        );

        return [1 / PhotoPose::AWAY_MM, $x, $y];
    }

    /**
     * Moved on the sheet until the plan's middle is seen where the figure's is (Newton's method).
     *
     * @param  array{float, float}  $middle
     * @param  array{float, float}  $seen
     */
    private static function brought(PhotoPose $pose, array $middle, array $seen): PhotoPose
    {
        for ($i = 0; $i < 8; $i++) {
            [$x, $y] = $pose->at($middle[0], $middle[1], 0.0);
            [$ax, $ay] = $pose->moved(1.0, 0.0, 0.0, 1.0)->at($middle[0], $middle[1], 0.0);
            [$bx, $by] = $pose->moved(0.0, 1.0, 0.0, 1.0)->at($middle[0], $middle[1], 0.0);
            $move = LeastSquares::fit([[$ax - $x, $bx - $x], [$ay - $y, $by - $y]], [$seen[0] - $x, $seen[1] - $y]);
            $pose = $move === null ? $pose : $pose->moved($move[0], $move[1], 0.0, 1.0);
        }

        return $pose;
    }

    /** @param  list<array{float, float, float}>  $outline */
    private function step(PhotoPose $pose, array $outline, float $limit): ?PhotoPose
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
     * @param  list<array{float, float, float}>  $outline
     * @return list<float> cells
     */
    private function distances(PhotoPose $pose, array $outline): array
    {
        $distances = [];
        foreach ($outline as [$x, $y, $towards]) {
            [$px, $py] = $pose->at($x, $y, $towards);
            $u = max(0.0, min($this->width - 1.001, $px / PhotoGround::CELL - 0.5));
            $v = max(0.0, min($this->height - 1.001, $py / PhotoGround::CELL - 0.5));
            [$i, $j] = [(int) $u, (int) $v];
            [$s, $t] = [$u - $i, $v - $j];
            $k = $j * $this->width + $i;
            $distances[] = (1 - $t) * ((1 - $s) * $this->field[$k] + $s * $this->field[$k + 1])
                + $t * ((1 - $s) * $this->field[$k + $this->width] + $s * $this->field[$k + $this->width + 1]);
        }

        return $distances;
    }

    /** @param  list<array{float, float, float}>  $outline */
    private function off(PhotoPose $pose, array $outline): float
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
