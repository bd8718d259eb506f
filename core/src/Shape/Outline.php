<?php

declare(strict_types=1);

namespace Impa\Shape;

use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;

/** Closed flat outlines of plates, by name or by points, made to fill a box around the origin. */
final class Outline
{
    /** Names a document may give for a plate's outline, besides its own points. */
    public const NAMES = ['disc', 'triangle', 'leaf', 'heart', 'rectangle'];

    private const POINTS = 48;

    /** An outline that encloses less of its box than this encloses nothing: it crosses itself, as a bow tie does. */
    private const LEAST_SHARE = 0.002;

    /**
     * Memoised: every plate asks for one.
     *
     * @return list<array{float, float}> anticlockwise, filling the box from -0.5 to 0.5 both ways
     *
     * @throws ShapeRefused if there is no such outline
     */
    public static function named(string $name): array
    {
        static $known = [];

        return $known[$name] ??= self::reckoned($name);
    }

    /**
     * The same, reckoned anew.
     *
     * @return list<array{float, float}>
     *
     * @throws ShapeRefused if there is no such outline
     */
    public static function reckoned(string $name): array
    {
        return self::filling(match ($name) {
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

        $areaMm2 = Polygon::signedArea($filled);
        if (abs($areaMm2) < self::LEAST_SHARE * $width * $height) {
            throw ShapeRefused::outlineEnclosesNothing();
        }

        return $areaMm2 < 0.0 ? array_reverse($filled) : $filled;
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
