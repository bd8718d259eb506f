<?php

declare(strict_types=1);

namespace Impa\Seeing\Assembly;

use Closure;
use Impa\Raster\Blob;
use Impa\Seeing\Decomposition\Completion;
use Impa\Seeing\Decomposition\PartExtraction;
use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Fitting\Candidates;
use Impa\Seeing\Fitting\Fitting;
use Impa\Seeing\Fitting\Samples;
use Impa\Seeing\Segmentation\Extent;
use Impa\Seeing\Segmentation\Region;
use Impa\Shape\ShapeKind;

/**
 * All pieces seen once more together (analysis by synthesis): each is pulled, turned, seen as another kind or as two, brought in front,
 * made its twin's mirror image or left out wherever what is then seen agrees better with the drawing for the numbers that it costs
 * (minimum description length, Rissanen 1978). Coarse to fine, by coordinate search.
 */
final class Synthesis
{
    /** Rounds of pulling: by which share of its size each edge is moved, and by how many degrees it is turned. */
    private const PULLS = [[0.04, 3.0], [0.02, 1.5], [0.01, 0.8]];

    /** A pull is worth so many cells at least, and a piece is pulled at most so often in a round. */
    private const LEAST = 0.5;

    private const MOVES = 8;

    /** What is thinner than so many cells stays as it was seen. */
    private const THICK = 3.0;

    /** A piece that shows so much of itself wrongly may be of another kind. */
    private const ODD = 0.06;

    /** Two may be twins when their middles mirror to this share of the figure's height, and the smaller is so much of the larger. */
    private const BESIDE = 0.12;

    private const ALIKE = 0.6;

    /** A piece stands on the middle line when its own middle lies so near to it, as a share of its width. */
    private const ON_AXIS = 0.06;

    /** What was one is two when the two lie over each other by no more than this, and clear so much of what showed wrongly. */
    private const APART = 0.15;

    private const CLEARED = 0.5;

    /** Samples each way by which it is told how well a shape covers what is seen, and so many times its box; of what is partly hidden. */
    private const LOOKS = 24;

    private const MARGINS = [1.2, 1.6];

    /** @var array<int, int> what was left out, and on what it lay */
    private array $gone = [];

    /** @param  Closure(float): mixed  $progress */
    private function __construct(private Scene $scene, private readonly Closure $progress)
    {
    }

    /**
     * @param  array<int, Piece>  $pieces  in place and joined
     * @param  callable(float $share): mixed  $progress  told how much is behind, 0 to 1; may throw to stop
     * @return array{array<int, Piece>, PartExtraction} the pieces that stay, and what lay on the others now on them
     */
    public static function of(array $pieces, PartExtraction $extraction, int $width, float $axis, callable $progress): array
    {
        $seen = new self(clone new Scene($pieces, $extraction->map, $width, $axis), $progress(...));
        $seen->pullAll(0, 0.0);
        $coarse = $seen->coarse();
        foreach ($coarse as $i => $k) {
            $progress(0.2 + (0.2 * $i) / count($coarse));
            if ($seen->scene->wrong($k) > self::ODD * $seen->scene->size($k)) {
                $seen->otherKind($k);
                $seen->halve($k);
            }
        }
        $seen->reorder();
        $seen->leaveOut();
        $seen->mirror();
        $seen->pullAll(1, 0.6);
        $seen->pullAll(2, 0.8);

        $areas = array_map(static fn (Piece $p): int => $p->blob->area(), $extraction->pieces);
        foreach ($seen->scene->pieces as $k => $piece) {
            // Pulling shortens what nobody sees.
            if ($piece->isPartlyHidden && $piece->fringe === null) {
                $piece->fit = Completion::of($piece->fit, $piece->blob, $k, $extraction->map, $areas);
            }
            if ($piece->fit !== $pieces[$k]->fit) {
                $margin = $piece->isPartlyHidden ? self::MARGINS[1] : self::MARGINS[0];
                $piece->fit = $piece->fit->measured(Samples::of($piece->blob, $extraction->map, self::LOOKS, $margin));
            }
        }

        return [$seen->scene->pieces, $extraction->withMarksMoved($seen->gone)];
    }

    /** @return list<int> pieces that are thick enough to be told by cells, not whiskers; and whose shape is all that is seen of them */
    private function coarse(): array
    {
        $least = self::THICK * $this->scene->cellPx;

        return array_keys(
            array_filter(
                $this->scene->pieces,
                static fn (Piece $p): bool => $p->fit->kind !== ShapeKind::Cord
                    && $p->fringe === null
                    && min($p->fit->widthPx, $p->fit->heightPx) >= $least,
            ),
        );
    }

    /** @param  float  $behind  how much of all is done */
    private function pullAll(int $round, float $behind): void
    {
        $coarse = $this->coarse();
        foreach ($coarse as $i => $k) {
            ($this->progress)($behind + (0.2 * $i) / count($coarse));
            self::pull($this->scene, $k, $round);
        }
    }

    /** Moves each edge out and in, and turns, as long as what is seen agrees better. */
    private static function pull(Scene $scene, int $k, int $round): void
    {
        $isBetter = true;
        for ($moves = 0; $isBetter && $moves < self::MOVES; $moves++) {
            $isBetter = false;
            foreach (Fitting::neighbours($scene->pieces[$k]->fit, ...self::PULLS[$round]) as $tried) {
                if ($scene->gain($k, $tried) > self::LEAST) {
                    $scene->lay($k, $tried);
                    $isBetter = true;
                    break;
                }
            }
        }
    }

    /** Takes what was tried where it costs less by so much at least. */
    private function takeIfBetter(Scene $tried, float $by = 0.0): bool
    {
        $isBetter = $tried->cost() < $this->scene->cost() - $by;
        $this->scene = $isBetter ? $tried : $this->scene;

        return $isBetter;
    }

    /** Another kind of shape in the same box. */
    private function otherKind(int $k): void
    {
        $fit = $this->scene->pieces[$k]->fit;
        if (isset($fit->options['outline'])) {
            return;
        }
        $best = [0.0, $fit];
        foreach (Candidates::inBox([$fit->widthPx, $fit->heightPx, $fit->x, $fit->y], $fit->turnDeg, true) as $tried) {
            $gain = $this->scene->gain($k, $tried) - $this->scene->price($tried->numbers() - $fit->numbers());
            $best = $gain > $best[0] ? [$gain, $tried] : $best;
        }
        $this->scene->lay($k, $best[1]);
        self::pull($this->scene, $k, 1);
    }

    /** What stands on the middle line may be two beside each other, such as legs that touch. */
    private function halve(int $k): void
    {
        $piece = $this->scene->pieces[$k];
        $width = $piece->blob->width;
        $axis = $this->scene->axis;
        $right = array_filter($piece->blob->pixels, static fn (int $i): bool => ($i % $width) + 0.5 > $axis, ARRAY_FILTER_USE_KEY);
        $isOnAxis = abs($piece->fit->x - $axis) < self::ON_AXIS * $piece->fit->widthPx;
        // What all else stands on is no twin.
        if ($piece->mirror || $piece->joinTo < 0 || ! $isOnAxis || 3 * count($right) < $piece->blob->area()) {
            return;
        }
        $half = Blob::of($right, $width);
        $one = new Piece($piece->region, $half, Fitting::rough($half, $this->scene->map), $piece->neckPx, $piece->colours);
        [$one->mirror, $one->twin] = [true, $piece->twin];
        [$one->joinTo, $one->zPx, $one->isPartlyHidden] = [$piece->joinTo, $piece->zPx, $piece->isPartlyHidden];
        $tried = clone $this->scene;
        $tried->replace($k, $one);
        self::pull($tried, $k, 0);
        if ($tried->doubled($k) < self::APART) {
            $this->takeIfBetter($tried, self::CLEARED * $this->scene->wrong($k));
        }
    }

    /** Where two shapes overlap, the one that is drawn there comes in front. */
    private function reorder(): void
    {
        $order = $this->scene->order();
        foreach ($order as $at => $front) {
            ($this->progress)(0.4 + (0.1 * $at) / count($order));
            foreach (array_slice($order, $at + 1) as $back) {
                if ($this->scene->gainBehind($front, $back) > 0.0) {
                    $tried = clone $this->scene;
                    $tried->bringBefore($back, $front);
                    $this->takeIfBetter($tried);
                }
            }
        }
    }

    /** What has the colour of what bears it, and shows too little to be worth its numbers, is part of that. */
    private function leaveOut(): void
    {
        foreach (array_reverse($this->coarse()) as $k) {
            $to = $this->scene->pieces[$k]->joinTo;
            if ($to >= 0 && $this->scene->sameColour($to, $k) && $this->scene->gain($k, null) + $this->scene->worth($k) > 0.0) {
                $this->scene->merge($k, $to);
                $this->gone[$k] = $to;
            }
        }
    }

    /** Two that could be twins become one and its mirror image where what is seen is worth no second set of numbers. */
    private function mirror(): void
    {
        $near = self::BESIDE * Extent::of(array_map(static fn (Piece $p): Region => $p->region, $this->scene->pieces))->heightPx();
        $numbers = $this->coarse();
        foreach ($numbers as $at => $i) {
            ($this->progress)(0.5 + (0.1 * $at) / count($numbers));
            foreach ($numbers as $j) {
                if ($i !== $j && $this->couldBeTwins($i, $j, $near)) {
                    $this->pairUp($i, $j);
                }
            }
        }
    }

    private function couldBeTwins(int $i, int $j, float $near): bool
    {
        [$right, $left] = [$this->scene->pieces[$i] ?? null, $this->scene->pieces[$j] ?? null];
        if ($right === null || $left === null || $right->mirror || $left->mirror || ! $this->scene->sameColour($i, $j)) {
            return false;
        }
        if ($right->joinTo < 0 || $left->joinTo < 0) {
            return false;
        }
        $axis = $this->scene->axis;
        $sizes = [$this->scene->size($i), $this->scene->size($j)];

        return $right->fit->x > $axis &&
            $left->fit->x < $axis &&
            hypot($right->fit->x + $left->fit->x - 2 * $axis, $right->fit->y - $left->fit->y) < $near &&
            min($sizes) > self::ALIKE * max($sizes);
    }

    private function pairUp(int $i, int $j): void
    {
        [$right, $left] = [$this->scene->pieces[$i]->fit, $this->scene->pieces[$j]->fit->mirrored($this->scene->axis)];
        $before = $this->scene;
        foreach ([$right, $left, $right->mean($left)] as $fit) {
            $tried = clone $before;
            $tried->merge($j, $i);
            [$tried->pieces[$i]->mirror, $tried->pieces[$i]->twin] = [true, $j];
            $tried->lay($i, $fit);
            self::pull($tried, $i, 1);
            $this->takeIfBetter($tried);
        }
    }
}
