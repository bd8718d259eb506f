<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

/**
 * What is left of a simple polygon when another is cut out of it (Greiner and Hormann 1998: both rims are walked from crossing to
 * crossing). Where a corner of one lies on a rim of the other, the cut is moved by less than a hair.
 *
 * A loop's places are x, y, and whether they lie on the rim of what was cut out alone.
 *
 * @phpstan-type Cut list<array{float, float, bool}>
 */
final class Difference
{
    private const TRIES = 12;

    /** The first move, mm: a hundred thousandth. */
    private const HAIR_MM = 1e-5;

    private const ON_RIM = 1e-9;

    private const SLOTS = 48;

    /**
     * @param  list<array{float, float}>  $from  either way round
     * @param  list<array{float, float}>  $cut
     * @return array{left: list<Cut>, hole: ?Cut} loops that are left, anticlockwise; a hole in the one that is, clockwise, where the cut
     *     lies wholly within
     */
    public static function of(array $from, array $cut): array
    {
        [$a, $b] = [self::anticlockwise($from), self::anticlockwise($cut)];
        $crossings = self::crossings($a, $b);
        for ($try = 0; $crossings === null && $try < self::TRIES; $try++) {
            $hair = self::HAIR_MM * 2 ** $try;
            $b = array_map(static fn (array $p): array => [$p[0] + $hair, $p[1] + 0.618 * $hair], $b);
            $crossings = self::crossings($a, $b);
        }
        $whole = array_map(static fn (array $p): array => [$p[0], $p[1], false], $a);
        if ($crossings === null || $crossings === []) {
            return match (true) {
                Polygon::has($a, ...$b[0]) => [
                    'left' => [$whole],
                    'hole' => array_map(static fn (array $p): array => [$p[0], $p[1], true], array_reverse($b)),
                ],
                Polygon::has($b, ...$a[0]) => ['left' => [], 'hole' => null],
                default => ['left' => [$whole], 'hole' => null],
            };
        }

        return ['left' => self::walked(self::rim($a, $crossings, 0), self::rim($b, $crossings, 1), $crossings), 'hole' => null];
    }

    /**
     * @param  list<array{float, float}>  $a
     * @param  list<array{float, float}>  $b
     * @return ?list<array{int, float, int, float, bool}> edge of a and share of it, edge of b and share, whether a goes out of b there;
     *     null where a corner lies on a rim
     */
    private static function crossings(array $a, array $b): ?array
    {
        $crossings = [];
        [$slots, $left, $wide] = self::slots($b);
        $counts = [count($a), count($b)];
        foreach ($a as $i => [$ax, $ay]) {
            [$bx, $by] = $a[($i + 1) % $counts[0]];
            $first = max(0, (int) floor((min($ax, $bx) - $left) / $wide) - 1);
            $last = min(self::SLOTS - 1, (int) floor((max($ax, $bx) - $left) / $wide) + 1);
            $near = [];
            for ($slot = $first; $slot <= $last; $slot++) {
                $near += $slots[$slot] ?? [];
            }
            foreach ($near as $j => $true) {
                [$cx, $cy] = $b[$j];
                [$dx, $dy] = $b[($j + 1) % $counts[1]];
                if (max($cy, $dy) < min($ay, $by) - 1e-6 || min($cy, $dy) > max($ay, $by) + 1e-6) {
                    continue;
                }
                $det = (float) (($bx - $ax) * ($dy - $cy) - ($by - $ay) * ($dx - $cx));
                if ($det === 0.0) {
                    continue;
                }
                $s = (($cx - $ax) * ($dy - $cy) - ($cy - $ay) * ($dx - $cx)) / $det;
                $t = (($cx - $ax) * ($by - $ay) - ($cy - $ay) * ($bx - $ax)) / $det;
                $isOn = static fn (float $v): bool => abs($v) < self::ON_RIM || abs($v - 1) < self::ON_RIM;
                if ($s > -self::ON_RIM && $s < 1 + self::ON_RIM && $t > -self::ON_RIM && $t < 1 + self::ON_RIM) {
                    if ($isOn($s) || $isOn($t)) {
                        return null;
                    }
                    // b is anticlockwise: its inside lies to the left of its edges.
                    $crossings[] = [$i, $s, $j, $t, $det > 0.0];
                }
            }
        }

        return $crossings;
    }

    /**
     * The edges of an outline by where they lie from left to right, so that only those near are asked.
     *
     * @param  list<array{float, float}>  $points
     * @return array{array<int, array<int, true>>, float, float} numbers of edges by slot, where the slots begin, how wide each is
     */
    private static function slots(array $points): array
    {
        [$left, $right] = [INF, -INF];
        foreach ($points as [$x]) {
            [$left, $right] = [min($left, $x), max($right, $x)];
        }
        $wide = max(1e-9, ($right - $left) / self::SLOTS);
        $slots = [];
        foreach ($points as $j => [$x]) {
            $next = $points[($j + 1) % count($points)][0];
            $last = min(self::SLOTS - 1, (int) ((max($x, $next) - $left) / $wide));
            for ($slot = min(self::SLOTS - 1, (int) ((min($x, $next) - $left) / $wide)); $slot <= $last; $slot++) {
                $slots[$slot][$j] = true;
            }
        }

        return [$slots, $left, $wide];
    }

    /**
     * A rim with its crossings, in order.
     *
     * @param  list<array{float, float}>  $points
     * @param  list<array{int, float, int, float, bool}>  $crossings
     * @param  int  $which  0 of a, 1 of b
     * @return array{list<array{float, float}>, list<int>, array<int, int>} places; number of the crossing at each, -1 at a corner;
     *     and where each crossing lies
     */
    private static function rim(array $points, array $crossings, int $which): array
    {
        $on = [];
        foreach ($crossings as $n => $crossing) {
            [$edge, $share] = $which === 0 ? [$crossing[0], $crossing[1]] : [$crossing[2], $crossing[3]];
            $on[$edge][$n] = $share;
        }
        $places = $numbers = $at = [];
        foreach ($points as $i => [$x, $y]) {
            $places[] = [$x, $y];
            $numbers[] = -1;
            [$nx, $ny] = $points[($i + 1) % count($points)];
            $along = $on[$i] ?? [];
            asort($along);
            foreach ($along as $n => $share) {
                $at[$n] = count($places);
                $places[] = [$x + $share * ($nx - $x), $y + $share * ($ny - $y)];
                $numbers[] = $n;
            }
        }

        return [$places, $numbers, $at];
    }

    /**
     * From where a comes out of b along it, and back along b within a, until it is round.
     *
     * @param  array{list<array{float, float}>, list<int>, array<int, int>}  $a
     * @param  array{list<array{float, float}>, list<int>, array<int, int>}  $b
     * @param  list<array{int, float, int, float, bool}>  $crossings
     * @return list<Cut>
     */
    private static function walked(array $a, array $b, array $crossings): array
    {
        [$onA, $numbersA, $atA] = $a;
        [$onB, $numbersB, $atB] = $b;
        $loops = [];
        $waiting = array_filter($crossings, static fn (array $c): bool => $c[4]);
        while ($waiting !== []) {
            $start = $n = (int) array_key_first($waiting);
            $loop = [];
            do {
                unset($waiting[$n]);
                for ($i = $atA[$n]; ; $i = ($i + 1) % count($onA)) {
                    if ($numbersA[$i] >= 0 && $numbersA[$i] !== $n) {
                        $n = $numbersA[$i];
                        break;
                    }
                    $loop[] = [...$onA[$i], false];
                }
                for ($i = $atB[$n]; ; $i = ($i - 1 + count($onB)) % count($onB)) {
                    if ($numbersB[$i] >= 0 && $numbersB[$i] !== $n) {
                        $n = $numbersB[$i];
                        break;
                    }
                    $loop[] = [...$onB[$i], $numbersB[$i] < 0];
                }
            } while ($n !== $start && isset($waiting[$n]));
            $loops[] = $loop;
        }

        return $loops;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function anticlockwise(array $points): array
    {
        return Polygon::signedArea($points) < 0.0 ? array_reverse($points) : $points;
    }
}
