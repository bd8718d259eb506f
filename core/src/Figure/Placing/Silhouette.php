<?php

declare(strict_types=1);

namespace Impa\Figure\Placing;

use Impa\Figure\Placement;
use Impa\Figure\Term\Side;
use Impa\Geometry\Outline\Hull;
use Impa\Shape\Body;
use Impa\Shape\Solid\Stack;

/** The outline of one placed piece, seen from a side. */
final class Silhouette
{
    /** Directions in which a turned piece's hull is felt for, and ellipses of it that are looked at. */
    private const DIRECTIONS = 56;

    private const LEVELS = 32;

    /**
     * Closed loops of [right, up] in mm, measured from the middle of the piece; a second loop is a hole.
     * A piece turned out of the picture plane is drawn by the hull of it.
     *
     * @param  ?Body  $body  what lies in its shape's frame and is drawn in its stead
     * @return non-empty-list<list<array{float, float}>>
     */
    public static function of(Placement $piece, Side $from, ?Body $body = null): array
    {
        $body ??= $piece->part->solid;
        $facing = in_array($from, [Side::Front, Side::Back], true);
        if ($facing && $piece->turn->keepsFront()) {
            return self::placed($body->front(), $piece, $from);
        }
        if (in_array($from, [Side::Left, Side::Right], true) && $piece->turn->isNone()) {
            return $body->side();
        }
        if ($body instanceof Stack) {
            return [self::stack($body, $piece, $from)];
        }
        [[$rx, $ry, $rz], [$ux, $uy, $uz]] = self::axes($piece, $from);
        $seen = [];
        foreach ($body->loft()->rings as $ring) {
            for ($i = 0, $n = count($ring); $i < $n; $i += 3) {
                [$x, $y, $z] = [$ring[$i], $ring[$i + 1], $ring[$i + 2]];
                $seen[] = [$x * $rx + $y * $ry + $z * $rz, $x * $ux + $y * $uy + $z * $uz];
            }
        }

        return [Hull::of($seen)];
    }

    /** @return array{Vec3, Vec3} right and up of the view in the shape's own frame */
    private static function axes(Placement $piece, Side $from): array
    {
        return [$piece->own(...$from->place(1.0, 0.0, 0.0)), $piece->own(...$from->place(0.0, 1.0, 0.0))];
    }

    /**
     * @param  non-empty-list<list<array{float, float}>>  $loops
     * @return non-empty-list<list<array{float, float}>>
     */
    private static function placed(array $loops, Placement $piece, Side $from): array
    {
        $placed = [];
        foreach ($loops as $loop) {
            $points = [];
            foreach ($loop as [$x, $y]) {
                [$px, $py] = $piece->turn->apply($piece->isTwin ? -$x : $x, $y, 0.0);
                [$right, $up] = $from->see($px, $py, 0.0);
                $points[] = [$right, $up];
            }
            $placed[] = $points;
        }

        return $placed;
    }

    /**
     * The hull of a stack of ellipses: in every direction of the view, the point of it that reaches farthest (its support
     * function). All ellipses of a stack are alike, so that this is the point of its profile that reaches farthest up and out.
     *
     * @return list<array{float, float}>
     */
    private static function stack(Stack $solid, Placement $piece, Side $from): array
    {
        [$profile, $size] = [self::profile($solid), $solid->size()];
        [$halfWidth, $halfDepth] = [$size->widthMm / 2, $size->depthMm / 2];
        [[$rx, $ry, $rz], [$ux, $uy, $uz]] = self::axes($piece, $from);
        $hull = [];
        // From one direction to the next the farthest point moves along the profile by a step or two.
        [$k, $last] = [0, count($profile) - 1];
        for ($i = 0; $i < self::DIRECTIONS; $i++) {
            [$cos, $sin] = [cos(2 * M_PI * $i / self::DIRECTIONS), sin(2 * M_PI * $i / self::DIRECTIONS)];
            [$dx, $dy, $dz] = [$cos * $rx + $sin * $ux, $cos * $ry + $sin * $uy, $cos * $rz + $sin * $uz];
            $out = hypot($halfWidth * $dx, $halfDepth * $dz);
            while ($k < $last && self::rise($profile[$k], $profile[$k + 1], $dy, $out) > 0.0) {
                $k++;
            }
            while ($k > 0 && self::rise($profile[$k], $profile[$k - 1], $dy, $out) > 0.0) {
                $k--;
            }
            [$y, $inwards] = $profile[$k];
            $across = $out > 0.0 ? -$inwards / $out : 0.0;
            [$x, $z] = [$across * $halfWidth ** 2 * $dx, $across * $halfDepth ** 2 * $dz];
            $hull[] = [$x * $rx + $y * $ry + $z * $rz, $x * $ux + $y * $uy + $z * $uz];
        }

        return $hull;
    }

    /**
     * What of a stack's profile can reach farthest: its convex hull from the bottom to the top.
     *
     * @return list<array{float, float}> height in mm, and minus the share of the full width
     */
    private static function profile(Stack $solid): array
    {
        $points = [];
        for ($k = 0; $k <= self::LEVELS; $k++) {
            // Closer together towards both ends, where the width changes most.
            $t = (1 - cos(M_PI * $k / self::LEVELS)) / 2;
            $points[] = [$solid->size()->heightMm * ($t - 0.5), -$solid->profile($t)];
        }

        return Hull::below($points);
    }

    /**
     * How much farther one point of a profile reaches than another.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private static function rise(array $from, array $to, float $up, float $out): float
    {
        return ($to[0] - $from[0]) * $up - ($to[1] - $from[1]) * $out;
    }
}
