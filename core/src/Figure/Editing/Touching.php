<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Gap;
use Impa\Figure\Term\JoinBy;

/**
 * Parts that do not touch what they are joined to, brought to it: in depth first, which a drawing from the front does not show, then
 * straight towards its middle. The smaller side of the join is what moves, with all that is joined to it.
 */
final class Touching
{
    /** What lies farther off than this does not touch, mm. */
    public const TOUCHES_MM = 0.5;

    /** A least way is found by so many halvings, the nearest place in depth by so many thirds. */
    private const HALVINGS = 14;

    private const THIRDS = 18;

    /** In depth it goes all but level with what it is joined to: who is painted in front stays in front. */
    private const ALL_BUT = 0.98;

    /**
     * @param  float  $mostMm  what would have to move farther than this over the picture is left: it may be meant to float
     * @return array{Figure, array<string, Vec3>} the figure with all parts touching, and how far each that did not was moved, mm, by key;
     *                                            what is moved in its place is what it is joined to
     */
    public static function all(Figure $figure, float $mostMm = INF): array
    {
        $moves = [];
        foreach (self::rootFirst($figure) as $key) {
            $move = self::move($figure, $figure->parts[$key]);
            if ($move !== null && hypot($move[1][0], $move[1][1]) <= $mostMm) {
                [$keys, $moves[$key]] = $move;
                $figure = Choices::moved($figure, $keys, $moves[$key]);
            }
        }

        return [$figure, $moves];
    }

    /**
     * One of them brought to what it is joined to.
     *
     * @throws EditRefused if it touches
     */
    public static function brought(Figure $figure, string $key): Edited
    {
        $part = $figure->parts[$key] ?? throw EditRefused::noSuchPart($key);
        [$keys, $mm] = self::move($figure, $part) ?? throw EditRefused::touchesAlready($part->name);

        return Edited::of(Draft::of(Choices::moved($figure, $keys, $mm)), 'part', $key);
    }

    /** How far a part lies from another over the picture, mm: whatever their depths are. */
    public static function besideMm(Part $part, Part $other): float
    {
        $piece = Placement::of($part);

        return min(array_map(
            static fn (Placement $to): float => Gap::between($piece->moved([0.0, 0.0, $to->at[2] - $piece->at[2]]), $to),
            $other->placements(),
        ));
    }

    /** @return ?array{list<string>, Vec3} which parts are moved, and by how many mm; null where it touches, or need not */
    private static function move(Figure $figure, Part $part): ?array
    {
        if (! $part->isJoined() || $part->join->by === JoinBy::Wire || $figure->flat->isFlat()) {
            return null;
        }
        $piece = Placement::of($part);
        $hosts = $figure->parts[$part->join->to]->placements();
        $off = static function (array $by) use ($piece, $hosts): float {
            /** @var Vec3 $by */
            $moved = $piece->moved($by);

            return min(array_map(static fn (Placement $to): float => Gap::between($moved, $to), $hosts));
        };
        if ($off([0.0, 0.0, 0.0]) <= self::TOUCHES_MM) {
            return null;
        }
        $by = self::way($off, self::towards($piece, $hosts));
        $branch = $figure->branchOf($part->key);
        $size = static fn (array $keys): float => array_sum(array_map(
            static fn (string $key): float => $figure->parts[$key]->count() * $figure->parts[$key]->solid->volumeCm3(),
            $keys,
        ));
        $rest = array_values(array_diff(array_map(strval(...), array_keys($figure->parts)), $branch));
        // A pair that is moved sideways moves both ways: what it is joined to cannot move in its place.
        $isRest = $size($rest) < $size($branch) && ! $part->stand->mirror;

        return $isRest ? [$rest, [-$by[0], -$by[1], -$by[2]]] : [$branch, $by];
    }

    /**
     * @param  non-empty-list<Placement>  $hosts
     * @return Vec3 from the piece's middle to that of the nearest one
     */
    private static function towards(Placement $piece, array $hosts): array
    {
        $ways = array_map(static fn (Placement $to): array => [
            $to->at[0] - $piece->at[0], $to->at[1] - $piece->at[1], $to->at[2] - $piece->at[2],
        ], $hosts);
        usort($ways, static fn (array $a, array $b): int => hypot($a[0], $a[1]) <=> hypot($b[0], $b[1]));

        return $ways[0];
    }

    /**
     * The least move that makes it touch. How far two convex hulls lie apart is convex along a line, so that thirds find the nearest place.
     *
     * @param  callable(Vec3): float  $off
     * @param  Vec3  $towards
     * @return Vec3
     */
    private static function way(callable $off, array $towards): array
    {
        $deep = static fn (float $t): array => [0.0, 0.0, $t * $towards[2]];
        [$low, $high] = [0.0, self::ALL_BUT];
        for ($i = 0; $i < self::THIRDS; $i++) {
            [$a, $b] = [$low + ($high - $low) / 3, $high - ($high - $low) / 3];
            [$low, $high] = $off($deep($a)) <= $off($deep($b)) ? [$low, $b] : [$a, $high];
        }
        $nearest = $deep($high);
        if ($off($nearest) <= self::TOUCHES_MM / 2) {
            return self::least($off, $nearest, [0.0, 0.0, 0.0]);
        }
        $nearest = abs($off($nearest) - $off([0.0, 0.0, 0.0])) < 0.1 ? [0.0, 0.0, 0.0] : $nearest;

        return self::least($off, [$towards[0], $towards[1], $nearest[2]], $nearest);
    }

    /**
     * The nearest to a place where it does not touch, on the way to one where it does, by bisection.
     *
     * @param  callable(Vec3): float  $off
     * @param  Vec3  $to
     * @param  Vec3  $from
     * @return Vec3
     */
    private static function least(callable $off, array $to, array $from): array
    {
        $at = static fn (float $t): array => [
            $from[0] + $t * ($to[0] - $from[0]), $from[1] + $t * ($to[1] - $from[1]), $from[2] + $t * ($to[2] - $from[2]),
        ];
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $off($at($middle)) <= self::TOUCHES_MM / 2 ? [$low, $middle] : [$middle, $high];
        }
        [$x, $y, $z] = $at($high);

        return [round($x, 2) + 0.0, round($y, 2) + 0.0, round($z, 2) + 0.0];
    }

    /** @return list<string> */
    private static function rootFirst(Figure $figure): array
    {
        $order = [];
        foreach ($figure->parts as $key => $part) {
            if (! $part->isJoined()) {
                array_push($order, ...$figure->branchOf((string) $key));
            }
        }

        return $order;
    }
}
