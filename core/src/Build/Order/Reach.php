<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use Impa\Armature\Passage;
use Impa\Figure\Figure;
use Impa\Material\CoveringWay;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;
use WeakMap;

/**
 * What later work would take out of a needle's reach (visibility from a cone of directions, by ray casting). A place of the skin can
 * be worked when a needle stands within 45 degrees of the way the skin looks there, and meets nothing.
 *
 * @phpstan-type Ball array{float, float, float, float, float}
 * @phpstan-type View array{ways: list<Vec3>, own: list<int>, balls: array<int, Ball>, over: array<string, true>}
 */
final class Reach
{
    /** How far a needle may lean from the skin's normal, and how many ways to lean are tried at each angle. */
    public const CONE_DEG = 45.0;

    private const TRIED = [[22.5, 5], [45.0, 8]];

    /** So far above the skin it is asked what lies over a point, mm. */
    private const OVER_MM = 2.0;

    /** @return list<Hindrance> everything that must be done before something else is there; of one figure looked for once */
    public static function of(Figure $figure): array
    {
        /** @var WeakMap<Figure, list<Hindrance>> $known */
        static $known = new WeakMap;

        return $known[$figure] ??= self::hindrances($figure);
    }

    /** @return list<Hindrance> */
    private static function hindrances(Figure $figure): array
    {
        [$obstacles, $at] = self::obstacles($figure);
        $hindrances = [];
        foreach (self::places($figure, $at, $obstacles) as $place) {
            foreach (self::hindering($place, $obstacles) as [$part, $isCovering]) {
                $hindrances[] = new Hindrance($place->step, $place->name, $part, $isCovering, $place->hosts);
            }
        }

        return $hindrances;
    }

    /**
     * How much of the place that a step works a needle still reaches when all of the figure is there: of several such places, where
     * it reaches least. Null where the step works no place that anything can hide.
     *
     * @return ?array{share: Traced, needed: float} needed: a share as well
     */
    public static function left(Figure $figure, string $step): ?array
    {
        [$obstacles, $at] = self::obstacles($figure);
        $least = null;
        foreach (self::places($figure, $at, $obstacles) as $place) {
            if ($place->step !== $step) {
                continue;
            }
            $near = self::near($place, $obstacles);
            $reached = 0;
            foreach ($place->points as [$from, $normal]) {
                $view = self::view($from, $normal, $place->pieces, $near);
                $reached += self::met($view, $near, [], isAnyEnough: true) === [] ? 1 : 0;
            }
            $share = Traced::quotient(
                'reach',
                Measure::Share,
                Traced::plain('reached', $reached, Source::Shapes),
                Traced::plain('looked-at', count($place->points), Source::House),
            );
            if ($least === null || $share->is < $least['share']->is) {
                $least = ['share' => $share, 'needed' => $place->share];
            }
        }

        return $least;
    }

    /**
     * @return array{list<Obstacle>, array<string, non-empty-list<int>>} every piece, as it stands in the finished figure, and what is
     *     laid on it; the places of each part's bare pieces
     */
    public static function obstacles(Figure $figure): array
    {
        $obstacles = $coverings = $at = [];
        foreach ($figure->parts as $key => $part) {
            $way = $part->made->covering->way;
            $isThick = $way !== CoveringWay::Felt && ! $way->replacesCover();
            foreach ($part->placements() as $placement) {
                $at[$key][] = count($obstacles);
                $obstacles[] = Obstacle::of($placement);
                if ($isThick) {
                    // What lies down is not as thick as it is long.
                    $thick = $part->made->covering->lengthMm * ($way->liesDown() ? 0.25 : 1.0);
                    $coverings[] = Obstacle::of($placement, $thick);
                }
            }
        }

        return [[...$obstacles, ...$coverings], $at];
    }

    /**
     * @param  array<string, non-empty-list<int>>  $at
     * @param  list<Obstacle>  $obstacles
     * @return list<WorkPlace>
     */
    public static function places(Figure $figure, array $at, array $obstacles): array
    {
        $places = [];
        foreach ($figure->details as $detail) {
            array_push($places, ...WorkPlace::ofDetail($detail, $figure->parts[$detail->on], $at));
        }
        foreach ($figure->parts as $part) {
            array_push($places, ...WorkPlace::ofSeam($figure, $part, $at, $obstacles));
        }
        foreach (Passage::all($figure) as $passage) {
            array_push($places, ...WorkPlace::ofHoles($passage, $at, $obstacles));
        }

        return $places;
    }

    /**
     * The parts without which enough of a place is reached: those that stand in the freest way to one point of it, then to the next that
     * is still out of reach (a hitting set, chosen greedily).
     *
     * @param  list<Obstacle>  $obstacles
     * @return list<array{string, bool}> part, and whether only what is laid on it is in the way
     */
    private static function hindering(WorkPlace $place, array $obstacles): array
    {
        $near = self::near($place, $obstacles);
        $away = $blocked = [];
        $reached = 0;
        foreach ($place->points as [$from, $normal]) {
            $view = self::view($from, $normal, $place->pieces, $near);
            if (self::met($view, $near, $away, isAnyEnough: true) === []) {
                $reached++;
            } else {
                $blocked[] = $view;
            }
        }
        while ($reached < $place->needed()) {
            $next = array_shift($blocked);
            $away += $next === null ? [] : self::met($next, $near, $away, isAnyEnough: false);
            $reached++;
            foreach ($blocked as $i => $view) {
                if (self::met($view, $near, $away, isAnyEnough: true) === []) {
                    unset($blocked[$i]);
                    $reached++;
                }
            }
        }

        return array_map(static fn (string $key): array => [substr($key, 1), $key[0] === '+'], array_keys($away));
    }

    /**
     * What a needle can come near to at all, from anywhere on a place.
     *
     * @param  list<Obstacle>  $obstacles
     * @return array<int, Obstacle>
     */
    private static function near(WorkPlace $place, array $obstacles): array
    {
        $near = [];
        [[$x, $y, $z]] = $place->points[0];
        $spread = 0.0;
        foreach ($place->points as [$p]) {
            $spread = max($spread, abs($p[0] - $x) + abs($p[1] - $y) + abs($p[2] - $z));
        }
        foreach ($obstacles as $i => $o) {
            $far = sqrt(($o->at[0] - $x) ** 2 + ($o->at[1] - $y) ** 2 + ($o->at[2] - $z) ** 2);
            if ($far < Obstacle::NEEDLE_MM + $o->radiusMm + $spread) {
                $near[$i] = $o;
            }
        }

        return $near;
    }

    /**
     * What a needle at a point could meet: the ways it could stand, and whatever lies about them.
     *
     * @param  Vec3  $from
     * @param  Vec3  $normal
     * @param  list<int>  $own  places of the bearers
     * @param  array<int, Obstacle>  $near
     * @return View
     */
    private static function view(array $from, array $normal, array $own, array $near): array
    {
        [$u, $v] = WorkPlace::perpendicular($normal);
        $ways = [];
        foreach (self::leans() as [$on, $cos, $sin]) {
            $ways[] = [
                $on * $normal[0] + $cos * $u[0] + $sin * $v[0],
                $on * $normal[1] + $cos * $u[1] + $sin * $v[1],
                $on * $normal[2] + $cos * $u[2] + $sin * $v[2],
            ];
        }

        $balls = self::inCone($from, $normal, $near);
        // What lies right over the point stands in every way.
        $over = [];
        $above = static fn (int $axis): float => $from[$axis] + self::OVER_MM * $normal[$axis];
        foreach ($balls as $i => [, , , $square, $reach]) {
            if ($square < $reach && ! in_array($i, $own, true) && $near[$i]->holds($above(0), $above(1), $above(2))) {
                $over[$near[$i]->key] = true;
            }
        }

        return ['ways' => $ways, 'own' => $own, 'balls' => $balls, 'over' => $over];
    }

    /**
     * What stands in the freest way: nothing where some way is free, or where the bearer itself leaves none.
     *
     * @param  View  $view
     * @param  array<int, Obstacle>  $near
     * @param  array<string, true>  $away  what is not there yet
     * @param  bool  $isAnyEnough  whether it is only asked if anything stands in every way
     * @return array<string, true>
     */
    private static function met(array $view, array $near, array $away, bool $isAnyEnough): array
    {
        $over = array_diff_key($view['over'], $away);
        if ($over !== [] && $isAnyEnough) {
            return $over;
        }
        $away += $over;
        $freest = [];
        $most = $isAnyEnough ? 1 : PHP_INT_MAX;
        // What bears the place ends a way at once.
        $balls = array_intersect_key($view['balls'], array_flip($view['own'])) + $view['balls'];
        $points = [];
        foreach ($balls === [] ? [] : $view['ways'] as $way) {
            $met = [];
            foreach ($balls as $i => [$x, $y, $z, $square, $reach]) {
                $along = $x * $way[0] + $y * $way[1] + $z * $way[2];
                $nearest = $along < 0.0 ? 0.0 : ($along > Obstacle::NEEDLE_MM ? Obstacle::NEEDLE_MM : $along);
                if ($square - $nearest * (2 * $along - $nearest) > $reach || isset($away[$near[$i]->key])) {
                    continue;
                }
                $points[$i] ??= $near[$i]->own(-$x, -$y, -$z);
                if (! $near[$i]->isMet($points[$i], $way)) {
                    continue;
                }
                if (in_array($i, $view['own'], true)) {
                    continue 2;
                }
                $met[$near[$i]->key] = true;
                if (count($met) >= $most) {
                    // Another way is as free: what stands in this one is asked first in the next, where it often stands too.
                    $balls = [$i => $balls[$i]] + $balls;
                    $freest = $freest === [] ? $met : $freest;

                    continue 2;
                }
            }
            if ($met === []) {
                return $over;
            }
            [$freest, $most] = [$met, count($met)];
        }

        return $freest + $over;
    }

    /**
     * The bounding balls of what lies within the cone in which a needle may stand, or near enough for the fingers.
     *
     * @param  Vec3  $from
     * @param  Vec3  $normal
     * @param  array<int, Obstacle>  $near
     * @return array<int, Ball> the way to its middle, the square of that, and of its radius
     */
    private static function inCone(array $from, array $normal, array $near): array
    {
        $slope = tan(deg2rad(self::CONE_DEG));
        $apart = 1 / cos(deg2rad(self::CONE_DEG));
        $balls = [];
        foreach ($near as $i => $o) {
            [$x, $y, $z] = [$o->at[0] - $from[0], $o->at[1] - $from[1], $o->at[2] - $from[2]];
            $along = $x * $normal[0] + $y * $normal[1] + $z * $normal[2];
            $square = $x * $x + $y * $y + $z * $z;
            $radius = $o->radiusMm + Obstacle::FINGERS_MM / 2;
            // A ball meets a cone where its middle is no farther from the cone's side than its radius.
            if (sqrt(max(0.0, $square - $along * $along)) - $slope * $along < $radius * $apart) {
                $balls[$i] = [$x, $y, $z, $square, $radius ** 2];
            }
        }

        return $balls;
    }

    /**
     * Straight on, then leaning farther and farther: the share of the normal, and of two directions across it.
     *
     * @return list<Vec3>
     */
    private static function leans(): array
    {
        static $leans = [];
        if ($leans === []) {
            $leans[] = [1.0, 0.0, 0.0];
            foreach (self::TRIED as [$deg, $count]) {
                [$on, $off] = [cos(deg2rad($deg)), sin(deg2rad($deg))];
                for ($k = 0; $k < $count; $k++) {
                    $leans[] = [$on, $off * cos(2 * M_PI * $k / $count), $off * sin(2 * M_PI * $k / $count)];
                }
            }
        }

        return $leans;
    }
}
