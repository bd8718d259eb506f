<?php

declare(strict_types=1);

namespace Impa\Shape;

/** Closed flat outlines in a box of 1 x 1 around the origin, and sums on any closed outline. */
final class Outline
{
    /** Names a document may give for a plate's outline, besides its own points. */
    public const NAMES = ['disc', 'triangle', 'leaf', 'heart', 'rectangle'];

    private const POINTS = 48;

    /**
     * @return list<array{float, float}> anticlockwise, filling the box from -0.5 to 0.5 both ways
     *
     * @throws ShapeRefused if there is no such outline
     */
    public static function named(string $name): array
    {
        static $known = [];

        return $known[$name] ??= self::filling(match ($name) {
            'disc' => self::round(static fn (float $a): array => [cos($a), sin($a)]),
            'rectangle' => self::softened([[-1.0, -1.0], [1.0, -1.0], [1.0, 1.0], [-1.0, 1.0]], 0.12),
            'triangle' => self::softened([[-1.0, -1.0], [1.0, -1.0], [0.0, 1.0]], 0.12),
            // A vesica whose tips are blunted: as sharp as wool goes.
            'leaf' => self::round(static fn (float $a): array => [cos($a) * (0.5 + 0.5 * abs(cos($a))), sin($a)]),
            'heart' => self::round(static fn (float $a): array => [
                sin($a) ** 3,
                (13 * cos($a) - 5 * cos(2 * $a) - 2 * cos(3 * $a) - cos(4 * $a)) / 16,
            ]),
            default => throw ShapeRefused::unknownOutline($name),
        }, 1.0, 1.0);
    }

    /**
     * The outline moved and stretched to fill a box around the origin.
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}> anticlockwise
     *
     * @throws ShapeRefused if there are fewer than three points, or they enclose nothing
     */
    public static function filling(array $points, float $width, float $height): array
    {
        if (count($points) < 3) {
            throw ShapeRefused::outlineNeedsThreePoints(count($points));
        }
        $box = Box::around($points);
        if ($box->width() <= 0.0 || $box->height() <= 0.0) {
            throw ShapeRefused::sizeMustBePositive(Size::of($box->width(), $box->height(), 1.0));
        }
        $filled = [];
        foreach ($points as [$x, $y]) {
            $filled[] = [(($x - $box->left) / $box->width() - 0.5) * $width, (($y - $box->low) / $box->height() - 0.5) * $height];
        }

        return self::signedArea($filled) < 0.0 ? array_reverse($filled) : $filled;
    }

    /**
     * Area by the shoelace formula, positive when anticlockwise; unit of the points, squared.
     *
     * @param  list<array{float, float}>  $points
     */
    public static function signedArea(array $points): float
    {
        $twice = 0.0;
        $before = $points[count($points) - 1];
        foreach ($points as $point) {
            $twice += $before[0] * $point[1] - $point[0] * $before[1];
            $before = $point;
        }

        return $twice / 2;
    }

    /** @param  list<array{float, float}>  $points */
    public static function perimeter(array $points): float
    {
        $sum = 0.0;
        $before = $points[count($points) - 1];
        foreach ($points as $point) {
            $sum += hypot($point[0] - $before[0], $point[1] - $before[1]);
            $before = $point;
        }

        return $sum;
    }

    /**
     * Centre of the area; the middle of the points where they enclose none.
     *
     * @param  list<array{float, float}>  $points
     * @return array{float, float}
     */
    public static function centroid(array $points): array
    {
        $area = self::signedArea($points);
        if (abs($area) < 1e-12) {
            return [array_sum(array_column($points, 0)) / count($points), array_sum(array_column($points, 1)) / count($points)];
        }
        $x = $y = 0.0;
        $before = $points[count($points) - 1];
        foreach ($points as $point) {
            $cross = $before[0] * $point[1] - $point[0] * $before[1];
            $x += ($before[0] + $point[0]) * $cross;
            $y += ($before[1] + $point[1]) * $cross;
            $before = $point;
        }

        return [$x / 6 / $area, $y / 6 / $area];
    }

    /**
     * The share of the way from a middle to the outline at which a point lies: 0 in the middle, 1 on
     * the outline, more outside, where an outline is crossed several times the outermost counts.
     *
     * @param  list<array{float, float}>  $points
     */
    public static function reach(array $points, float $cx, float $cy, float $x, float $y): float
    {
        [$dx, $dy] = [$x - $cx, $y - $cy];
        if ($dx === 0.0 && $dy === 0.0) {
            return 0.0;
        }
        $farthest = 0.0;
        [$bx, $by] = $points[count($points) - 1];
        foreach ($points as [$px, $py]) {
            $cross = $dx * ($py - $by) - $dy * ($px - $bx);
            if ($cross !== 0.0) {
                $along = (($bx - $cx) * ($py - $by) - ($by - $cy) * ($px - $bx)) / $cross;
                $onEdge = (($bx - $cx) * $dy - ($by - $cy) * $dx) / $cross;
                if ($onEdge >= 0.0 && $onEdge <= 1.0 && $along > $farthest) {
                    $farthest = $along;
                }
            }
            [$bx, $by] = [$px, $py];
        }

        return $farthest > 0.0 ? 1 / $farthest : INF;
    }

    /**
     * @param  callable(float): array{float, float}  $at
     * @return list<array{float, float}>
     */
    private static function round(callable $at): array
    {
        $points = [];
        for ($i = 0; $i < self::POINTS; $i++) {
            $points[] = $at(2 * M_PI * $i / self::POINTS);
        }

        return $points;
    }

    /**
     * Corners cut round: each corner becomes a short quadratic curve.
     *
     * @param  list<array{float, float}>  $corners
     * @return list<array{float, float}>
     */
    private static function softened(array $corners, float $share): array
    {
        $points = [];
        $count = count($corners);
        foreach ($corners as $i => $corner) {
            $before = $corners[($i + $count - 1) % $count];
            $after = $corners[($i + 1) % $count];
            for ($step = 0; $step <= 8; $step++) {
                $s = $step / 8;
                $in = $share * (1 - $s) ** 2;
                $out = $share * $s ** 2;
                $points[] = [
                    $corner[0] + $in * ($before[0] - $corner[0]) + $out * ($after[0] - $corner[0]),
                    $corner[1] + $in * ($before[1] - $corner[1]) + $out * ($after[1] - $corner[1]),
                ];
            }
        }

        return $points;
    }
}
