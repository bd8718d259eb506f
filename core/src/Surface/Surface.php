<?php

declare(strict_types=1);

namespace Impa\Surface;

use Impa\Figure\Placement;
use Impa\Figure\Term\Side;
use Impa\Geometry\Bisection;
use Impa\Geometry\Box;
use Impa\Shape\Solid;

/**
 * The surface of a piece as seen from one side, measured from the middle of the piece: how far it stands out
 * at each point, and where its outermost line (the crown) and its edge lie. Immutable, but for remembering its crown.
 */
final class Surface
{
    /** Steps of the first search along a line of sight through the piece's box. */
    private const STEPS = 20;

    /** The skin is found to this, in so many rounds at most. */
    private const FINE_MM = 0.0001;

    private const ROUNDS = 60;

    /** Halvings of a step where the deepest place on a line of sight is looked for: a thousandth of it. */
    private const HALVINGS = 10;

    /**
     * The crown is found to this. A tape runs steeply there: what is missed of a head of radius R grows to the square root of 2 R
     * times it, here to 0.003 mm.
     */
    private const CROWN_MM = 1e-7;

    /** Next to a known height the skin is first looked for within this share of the piece's size. */
    private const NEARBY = 0.02;

    /** @var ?array{float, float} y and height */
    private ?array $crown = null;

    /** @var ?array{float, float} */
    private ?array $extentMm = null;

    /** @var array<array-key, float> by level */
    private array $known = [];

    /**
     * @param  bool  $plain  seen straight from the front or back, the shape knows its own skin; else it is searched for
     * @param  Vec3  $right  what is seen to the right, up and towards the viewer, in the shape's own frame
     * @param  Vec3  $up
     * @param  Vec3  $towards
     * @param  Vec3  $half  half the shape's box
     */
    private function __construct(
        private readonly Solid $solid,
        private readonly bool $plain,
        private readonly array $right,
        private readonly array $up,
        private readonly array $towards,
        private readonly array $half,
    ) {
    }

    public static function of(Placement $piece, Side $side = Side::Front): self
    {
        $box = Box::around($piece->part->solid->front()[0]);

        return new self(
            $piece->part->solid,
            $piece->turn->keepsFront() && in_array($side, [Side::Front, Side::Back], true),
            $piece->own(...$side->place(1.0, 0.0, 0.0)),
            $piece->own(...$side->place(0.0, 1.0, 0.0)),
            $piece->own(...$side->place(0.0, 0.0, 1.0)),
            [max($box->right, -$box->left), max($box->high, -$box->low), $piece->part->solid->size()->depthMm / 2],
        );
    }

    /**
     * How far the skin stands towards the viewer at x, y (mm from the middle); NAN off the piece.
     *
     * @param  float  $nextToMm  a height known close by, which makes the search short
     */
    public function heightMm(float $x, float $y, float $nextToMm = NAN): float
    {
        $from = $this->from($x, $y);
        if ($this->plain) {
            return $this->solid->frontMm($from[0], $from[1]);
        }
        $nearby = self::NEARBY * ($this->half[0] + $this->half[1]);
        if (! is_nan($nextToMm) && $this->inside($from, $nextToMm - $nearby) && ! $this->inside($from, $nextToMm + $nearby)) {
            return $this->skin($from, $nextToMm - $nearby, $nextToMm + $nearby);
        }
        [$in, $out] = $this->met($from);

        return is_nan($in) ? NAN : $this->skin($from, $in, $out);
    }

    /** Whether the piece is seen at x, y at all. */
    public function has(float $x, float $y): bool
    {
        $from = $this->from($x, $y);

        return ! is_nan($this->plain ? $this->solid->frontMm($from[0], $from[1]) : $this->met($from)[0]);
    }

    /**
     * Where the line of sight through x, y passes the middle of the piece, in the shape's own frame.
     *
     * @return Vec3
     */
    private function from(float $x, float $y): array
    {
        return [
            $x * $this->right[0] + $y * $this->up[0],
            $x * $this->right[1] + $y * $this->up[1],
            $x * $this->right[2] + $y * $this->up[2],
        ];
    }

    /**
     * The first step along a line of sight that lies within the skin, and the one before it; not a number where it misses.
     *
     * @param  Vec3  $from
     * @return array{float, float}
     */
    private function met(array $from): array
    {
        [$at, $depth, $before] = $this->deepest($from, true);

        return $depth >= 0.0 ? [$at, $before] : [NAN, NAN];
    }

    /**
     * Where a line of sight lies deepest within the skin, how deep, and the step before: negative where it passes before or behind
     * the skin, not a number where it passes beside.
     *
     * @param  Vec3  $from
     * @param  bool  $isAnyEnough  the first step within the skin will do
     * @return Vec3
     */
    private function deepest(array $from, bool $isAnyEnough = false): array
    {
        [$near, $far] = $this->through($from);
        $step = ($near - $far) / self::STEPS;
        [$best, $most] = [NAN, -INF];
        for ($i = 0; $i <= self::STEPS && $near > $far; $i++) {
            $depth = $this->depthMm($from, $near - $i * $step);
            if ($depth > $most) {
                [$best, $most] = [$near - $i * $step, $depth];
            }
            if ($isAnyEnough && $most >= 0.0) {
                return [$best, $most, $best + $step];
            }
        }
        if (is_nan($best)) {
            return [NAN, NAN, NAN];
        }

        // Near the edge less than a step of the line may lie within.
        return [...$this->deeper($from, $best, $most, $step), $best + $step];
    }

    /**
     * The deepest place within a step of one, and how deep: half as far to either side, a quarter, and so on.
     *
     * @param  Vec3  $from
     * @return array{float, float}
     */
    private function deeper(array $from, float $best, float $most, float $step): array
    {
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $step /= 2;
            foreach ([$best - $step, $best + $step] as $at) {
                $depth = $this->depthMm($from, $at);
                if ($depth > $most) {
                    [$best, $most] = [$at, $depth];
                }
            }
        }

        return [$best, $most];
    }

    /** y of the crown: the highest point of the piece on its middle line, seen from this side. */
    public function crownMm(): float
    {
        return ($this->crown ??= $this->searchCrown())[0];
    }

    /** How far the crown itself stands towards the viewer: on a flat top its middle, from which a tape starts, not its near edge. */
    public function crownHeightMm(): float
    {
        return ($this->crown ??= $this->searchCrown())[1];
    }

    /**
     * A length that belongs to a level of this surface, measured the first time that it is asked for.
     *
     * @param  callable(): float  $measure
     */
    public function once(float $yMm, callable $measure): float
    {
        return $this->known[(string) $yMm] ??= $measure();
    }

    /** @return array{float, float} how wide and how high it is seen through its middle; 0 where its middle is not on it */
    public function extentMm(): array
    {
        return $this->extentMm ??= array_map(
            fn (array $way): float => $this->reachMm($way[0], $way[1]) + $this->reachMm(-$way[0], -$way[1]),
            [[1.0, 0.0], [0.0, 1.0]],
        );
    }

    /** Whether it is seen so far from its middle to either side, and up and down, at least; told without a search for its edge. */
    public function reaches(float $asideMm, float $upMm): bool
    {
        return $this->has($asideMm, 0.0) && $this->has(-$asideMm, 0.0) && $this->has(0.0, $upMm) && $this->has(0.0, -$upMm);
    }

    private function reachMm(float $right, float $up): float
    {
        return Bisection::of(fn (float $mm): bool => $this->has($right * $mm, $up * $mm));
    }

    /** @return array{float, float} y and height */
    private function searchCrown(): array
    {
        if (! $this->has(0.0, 0.0)) {
            return [0.0, 0.0];
        }
        $depth = $this->plain
            ? fn (float $y): float => $this->has(0.0, $y) ? 1.0 : -1.0
            : fn (float $y): float => $this->deepest($this->from(0.0, $y))[1];
        [$y] = self::edge($depth, 0.0, hypot(...array_slice($this->half, 0, 2)) + $this->half[2], self::CROWN_MM);

        // What keeps its front to the viewer is as deep behind as before.
        return [$y, $this->plain ? 0.0 : $this->deepest($this->from(0.0, $y))[0]];
    }

    /**
     * Where a line of sight enters and leaves the shape's box: the slab method (Kay and Kajiya 1986).
     *
     * @param  Vec3  $from
     * @return array{float, float} nearest and farthest; the first smaller where it misses
     */
    private function through(array $from): array
    {
        [$near, $far] = [INF, -INF];
        foreach ($this->towards as $axis => $slope) {
            if (abs($slope) < 1e-12) {
                if (abs($from[$axis]) > $this->half[$axis]) {
                    return [0.0, 1.0];
                }

                continue;
            }
            $one = (-$this->half[$axis] - $from[$axis]) / $slope;
            $two = ($this->half[$axis] - $from[$axis]) / $slope;
            $near = min($near, max($one, $two));
            $far = max($far, min($one, $two));
        }

        return [$near, $far];
    }

    /** @param  Vec3  $from */
    private function inside(array $from, float $along): bool
    {
        return $this->depthMm($from, $along) >= 0.0;
    }

    /**
     * How far a point of the line of sight lies within the skin, along the shape's own depth; not a number beside it.
     *
     * @param  Vec3  $from
     */
    private function depthMm(array $from, float $along): float
    {
        return $this->solid->frontMm($from[0] + $along * $this->towards[0], $from[1] + $along * $this->towards[1]) -
            abs($from[2] + $along * $this->towards[2]);
    }

    /**
     * Where the line of sight leaves the skin between a place within and one without.
     *
     * @param  Vec3  $from
     */
    private function skin(array $from, float $in, float $out): float
    {
        return array_sum(self::edge(fn (float $at): float => $this->depthMm($from, $at), $in, $out, self::FINE_MM)) / 2;
    }

    /**
     * Where a depth ends between a place within and one without: the secant's guess where both depths are known (the Illinois
     * rule keeps both ends moving), halves elsewhere.
     *
     * @param  callable(float): float  $depthMm  0 or more within; negative or not a number without
     * @return array{float, float} the last place within and the first without, so close together
     */
    private static function edge(callable $depthMm, float $in, float $out, float $fineMm): array
    {
        $inDepth = $depthMm($in);
        $outDepth = $depthMm($out);
        $side = 0;
        for ($i = 0; $i < self::ROUNDS && abs($out - $in) > $fineMm; $i++) {
            $share = is_nan($outDepth) || $inDepth <= $outDepth ? 0.5 : max(0.02, min(0.98, $inDepth / ($inDepth - $outDepth)));
            $next = $in + ($out - $in) * $share;
            $depth = $depthMm($next);
            if ($depth >= 0.0) {
                if ($depth < $fineMm / 10) {
                    return [$next, $next];
                }
                [$in, $inDepth] = [$next, $depth];
                $outDepth = $side > 0 ? $outDepth / 2 : $outDepth;
                $side = 1;
            } else {
                [$out, $outDepth] = [$next, $depth];
                $inDepth = $side < 0 ? $inDepth / 2 : $inDepth;
                $side = -1;
            }
        }

        return [$in, $out];
    }
}
