<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use Impa\Figure\Placement;
use Impa\Geometry\Box;
use Impa\Shape\Solid;

/**
 * A piece that a needle may meet on its way to somewhere else: the piece itself, or the piece as thick as what is laid on it makes
 * it. Tested by its box first (the slab method, Kay and Kajiya 1986), then along the way within the box. Immutable.
 */
final readonly class Obstacle
{
    /** Length of a needle, from where the fingers hold it, and how thick they are, in mm (docs/trade.md, Needles). */
    public const NEEDLE_MM = 75.0;

    public const FINGERS_FROM_MM = 45.0;

    public const FINGERS_MM = 10.0;

    /** A needle is looked at from so far above the skin: nearer, it is in the wool that it works. */
    private const CLEAR_MM = 1.0;

    /** Within the box the way is looked at in steps of so many mm, in so many at least and at most. */
    private const STEP_MM = 2.0;

    private const STEPS = [4, 14];

    /** = or + and the key of its part: itself, or what is laid on it. */
    public string $key;

    /**
     * @param  string  $part  key of the part
     * @param  Vec3  $at
     * @param  array{Vec3, Vec3, Vec3}  $axes  the figure's x, y
     *     and z in the shape's own frame
     * @param  Vec3  $half  of its box
     */
    private function __construct(
        public string $part,
        public bool $isTwin,
        private Solid $solid,
        public array $at,
        private array $axes,
        private array $half,
        private float $thickerMm,
        public float $radiusMm,
    ) {
        // A minus and digits would be a number as the key of an array.
        $this->key = ($thickerMm > 0.0 ? '+' : '=').$part;
    }

    /** @param  float  $thickerMm  by what is laid on it; 0 for the bare piece */
    public static function of(Placement $piece, float $thickerMm = 0.0): self
    {
        $solid = $piece->part->solid;
        $box = Box::around($solid->front()[0]);
        $half = [max($box->right, -$box->left), max($box->high, -$box->low), $solid->size()->depthMm / 2];

        return new self(
            part: $piece->part->key,
            isTwin: $piece->isTwin,
            solid: $solid,
            at: $piece->at,
            axes: [$piece->own(1.0, 0.0, 0.0), $piece->own(0.0, 1.0, 0.0), $piece->own(0.0, 0.0, 1.0)],
            half: $half,
            thickerMm: $thickerMm,
            radiusMm: sqrt($half[0] ** 2 + $half[1] ** 2 + $half[2] ** 2) + $thickerMm,
        );
    }

    /** Whether a point of the figure lies within it, or so close to it. */
    public function holds(float $x, float $y, float $z, float $withinMm = 0.0): bool
    {
        return $this->isIn($this->own($x - $this->at[0], $y - $this->at[1], $z - $this->at[2]), $this->thickerMm + $withinMm);
    }

    /**
     * Which way its skin looks near a point, as if it were the ellipsoid of its box (the gradient of its quadratic form).
     *
     * @return Vec3 of length 1
     */
    public function normal(float $x, float $y, float $z): array
    {
        [$u, $v, $w] = $this->own($x - $this->at[0], $y - $this->at[1], $z - $this->at[2]);
        [$u, $v, $w] = [$u / $this->half[0] ** 2, $v / $this->half[1] ** 2, $w / $this->half[2] ** 2];
        $length = sqrt($u ** 2 + $v ** 2 + $w ** 2);
        if ($length < 1e-12) {
            return [0.0, 1.0, 0.0];
        }
        // The axes are perpendicular, so what they turn is turned back by their transpose.
        $back = fn (int $i): float => ($this->axes[$i][0] * $u + $this->axes[$i][1] * $v + $this->axes[$i][2] * $w) / $length;

        return [$back(0), $back(1), $back(2)];
    }

    /**
     * Whether a needle that stands at a point, and points away from it in a direction of length 1, meets it, or the fingers do.
     *
     * @param  Vec3  $own  the point in its own frame
     * @param  Vec3  $way  in the figure's
     */
    public function isMet(array $own, array $way): bool
    {
        $along = $this->own(...$way);
        [$near, $far] = $this->inBox($own, $along, self::CLEAR_MM, $this->thickerMm + self::FINGERS_MM / 2);
        if ($near >= $far) {
            return false;
        }
        $needle = $this->inBox($own, $along, self::CLEAR_MM, $this->thickerMm);

        return $this->crosses($own, $along, $needle[0], $needle[1], $this->thickerMm)
            || $this->crosses($own, $along, max($near, self::FINGERS_FROM_MM), $far, $this->thickerMm + self::FINGERS_MM / 2);
    }

    /**
     * From where to where the needle is within its box, as much larger as said.
     *
     * @param  Vec3  $from
     * @param  Vec3  $way
     * @return array{float, float} the first not smaller where it is not
     */
    private function inBox(array $from, array $way, float $near, float $growMm): array
    {
        $far = self::NEEDLE_MM;
        foreach ($way as $axis => $slope) {
            $half = $this->half[$axis] + $growMm;
            $at = $from[$axis];
            if ($slope > 1e-9 || $slope < -1e-9) {
                // Comparisons in place of min and max: this runs ten thousand times for one figure.
                $in = ($slope > 0.0 ? -$half - $at : $half - $at) / $slope;
                $out = ($slope > 0.0 ? $half - $at : -$half - $at) / $slope;
                $near = $in > $near ? $in : $near;
                $far = $out < $far ? $out : $far;
                if ($near >= $far) {
                    break;
                }
            } elseif ($at > $half || $at < -$half) {
                return [0.0, 0.0];
            }
        }

        return [$near, $far];
    }

    /**
     * @param  Vec3  $from
     * @param  Vec3  $way
     */
    private function crosses(array $from, array $way, float $near, float $far, float $growMm): bool
    {
        if ($near >= $far) {
            return false;
        }
        $steps = max(self::STEPS[0], min(self::STEPS[1], (int) ceil(($far - $near) / self::STEP_MM)));
        for ($i = 0; $i < $steps; $i++) {
            $at = $near + ($far - $near) * ($i + 0.5) / $steps;
            if ($this->isIn([$from[0] + $at * $way[0], $from[1] + $at * $way[1], $from[2] + $at * $way[2]], $growMm)) {
                return true;
            }
        }

        return false;
    }

    /** @param  Vec3  $own  a point in the shape's own frame */
    private function isIn(array $own, float $growMm): bool
    {
        // Grown by so much it is nearly itself, stretched by that share.
        return abs($own[2]) <= $growMm + $this->solid->frontMm(
            $own[0] * $this->half[0] / ($this->half[0] + $growMm),
            $own[1] * $this->half[1] / ($this->half[1] + $growMm),
        );
    }

    /**
     * A way from its middle, in its own frame.
     *
     * @return Vec3
     */
    public function own(float $x, float $y, float $z): array
    {
        [$a, $b, $c] = $this->axes;

        return [
            $x * $a[0] + $y * $b[0] + $z * $c[0],
            $x * $a[1] + $y * $b[1] + $z * $c[1],
            $x * $a[2] + $y * $b[2] + $z * $c[2],
        ];
    }
}
