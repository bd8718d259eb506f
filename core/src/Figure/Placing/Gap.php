<?php

declare(strict_types=1);

namespace Impa\Figure\Placing;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Term\JoinBy;
use Impa\Shape\Solid\Stack;

/**
 * How far a part floats from what it is joined to: the distance of their convex hulls, found by walking towards the nearest point of
 * their difference (Frank and Wolfe 1956; Gilbert 1966). It is told from below, so that what touches is never said to float.
 */
final class Gap
{
    /** So much wool is teased across a gap without a thought (house choice), mm. */
    public const TOUCHES_MM = 2.0;

    private const STEPS = 24;

    private const NEAR_MM = 0.2;

    /** @return array<string, float> mm by the key of each part that does not reach what it is joined to */
    public static function all(Figure $figure): array
    {
        $gaps = [];
        foreach ($figure->parts as $key => $part) {
            $gaps[(string) $key] = self::of($figure, $part);
        }

        return array_filter($gaps);
    }

    /** The same of one of them; 0 where it reaches. */
    public static function of(Figure $figure, Part $part): float
    {
        // A wire bridges what the wool does not, and layers are laid where they go.
        if (! $part->isJoined() || $part->join->by === JoinBy::Wire || $figure->flat->isFlat()) {
            return 0.0;
        }
        $mm = min(array_map(
            static fn (Placement $to): float => self::between(Placement::of($part), $to),
            $figure->parts[$part->join->to]->placements(),
        ));

        return $mm > self::TOUCHES_MM ? $mm : 0.0;
    }

    /** @return float mm between two pieces, 0 where their hulls touch */
    public static function between(Placement $one, Placement $two): float
    {
        // The middle of a piece's box lies in its hull: most pieces that are joined hold each other's.
        if ($two->holds(...$one->at) || $one->holds(...$two->at)) {
            return 0.0;
        }
        $v = self::less($one->at, $two->at);
        $least = 0.0;
        for ($step = 0; $step < self::STEPS; $step++) {
            $length = sqrt(self::dot($v, $v));
            if ($length < self::NEAR_MM) {
                return 0.0;
            }
            $a = self::farthest($one, [-$v[0], -$v[1], -$v[2]]);
            $b = self::farthest($two, $v);
            if ($step === 0 && ($two->holds(...$a) || $one->holds(...$b))) {
                return 0.0;
            }
            $w = self::less($a, $b);
            $least = max($least, self::dot($v, $w) / $length);
            if ($length - $least < self::NEAR_MM) {
                break;
            }
            $along = self::less($w, $v);
            $square = self::dot($along, $along);
            if ($square < 1e-12) {
                break;
            }
            $share = max(0.0, min(1.0, -self::dot($v, $along) / $square));
            $v = [$v[0] + $share * $along[0], $v[1] + $share * $along[1], $v[2] + $share * $along[2]];
        }

        return $least;
    }

    /**
     * The point of a piece that lies farthest along a direction.
     *
     * @param  Vec3  $way
     * @return Vec3
     */
    private static function farthest(Placement $piece, array $way): array
    {
        [$x, $y, $z] = $piece->own(...$way);
        $solid = $piece->part->solid;
        $size = $solid->size();
        $deep = $size->depthMm / $size->widthMm;
        $isStack = $solid instanceof Stack;
        $out = hypot($x, $z * $deep);
        $best = -INF;
        $at = [0.0, 0.0, 0.0];
        foreach ($solid->front()[0] as [$px, $py]) {
            $far = $py * $y + ($isStack ? abs($px) * $out : $px * $x);
            if ($far > $best) {
                $best = $far;
                $at = $isStack
                    ? [abs($px) * ($out > 0.0 ? $x / $out : 0.0), $py, abs($px) * $deep * ($out > 0.0 ? $z * $deep / $out : 0.0)]
                    : [$px, $py, ($z <=> 0.0) * $size->depthMm / 2];
            }
        }

        return $piece->place(...$at);
    }

    /**
     * @param  Vec3  $a
     * @param  Vec3  $b
     * @return Vec3
     */
    private static function less(array $a, array $b): array
    {
        return [$a[0] - $b[0], $a[1] - $b[1], $a[2] - $b[2]];
    }

    /**
     * @param  Vec3  $a
     * @param  Vec3  $b
     */
    private static function dot(array $a, array $b): float
    {
        return $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
    }
}
