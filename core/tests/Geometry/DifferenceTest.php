<?php

declare(strict_types=1);

namespace Impa\Tests\Difference;

use Impa\Geometry\Outline\Difference;
use Impa\Geometry\Outline\Polygon;

/** A star of so many corners, as round or as ragged as chance has it. */
function star(int $seed, float $x, float $y, float $r, int $corners): array
{
    mt_srand($seed);
    $points = [];
    for ($k = 0; $k < $corners; $k++) {
        $far = $r * (0.4 + 0.6 * mt_rand() / mt_getrandmax());
        $points[] = [$x + $far * cos(2 * M_PI * $k / $corners), $y + $far * sin(2 * M_PI * $k / $corners)];
    }

    return $points;
}

/** @param  list<array{float, float, bool}>  $loop */
function places(array $loop): array
{
    return array_map(static fn (array $p): array => [$p[0], $p[1]], $loop);
}

it('holds a place if and only if it lies in the one and not in the other, for 400 ragged pairs', function () {
    $crossed = 0;
    foreach (range(1, 400) as $seed) {
        $one = star($seed, 0, 0, 30, 5 + $seed % 17);
        $two = star(1000 + $seed, $seed % 41 - 20, $seed % 23 - 11, 6 + $seed % 25, 4 + $seed % 11);
        ['left' => $left, 'hole' => $hole] = Difference::of($one, $two);
        $loops = array_map(places(...), $left);
        mt_srand($seed);
        for ($i = 0; $i < 60; $i++) {
            [$x, $y] = [60 * mt_rand() / mt_getrandmax() - 30, 60 * mt_rand() / mt_getrandmax() - 30];
            $isLeft = array_filter($loops, static fn (array $loop): bool => Polygon::has($loop, $x, $y)) !== []
                && ($hole === null || ! Polygon::has(places($hole), $x, $y));
            expect($isLeft)->toBe(Polygon::has($one, $x, $y) && ! Polygon::has($two, $x, $y), "pair {$seed} at {$x}, {$y}");
        }
        foreach ($loops as $loop) {
            expect(Polygon::signedArea($loop))->toBeGreaterThan(0.0);
        }
        $crossed += (int) (count($left) > 1);
    }
    // Some of them fall into several pieces.
    expect($crossed)->toBeGreaterThan(20);
});

it('takes corners that lie on the other rim: a square out of the corner of a square leaves three quarters', function () {
    $square = static fn (float $x, float $y, float $s): array => [[$x, $y], [$x + $s, $y], [$x + $s, $y + $s], [$x, $y + $s]];
    ['left' => $left] = Difference::of($square(0, 0, 10), $square(5, 5, 5));
    expect($left)->toHaveCount(1)->and(Polygon::signedArea(places($left[0])))->toEqualWithDelta(75.0, 1e-2);
    // The same square leaves nothing but a hair.
    $area = array_sum(array_map(
        static fn (array $loop): float => Polygon::signedArea(places($loop)),
        Difference::of($square(0, 0, 10), $square(0, 0, 10))['left'],
    ));
    expect($area)->toBeLessThan(0.01);
});

it('leaves a hole, clockwise and marked as the rim that was cut, where one lies wholly within', function () {
    $outer = [[0, 0], [20, 0], [20, 20], [0, 20]];
    $inner = [[5, 5], [10, 5], [10, 10], [5, 10]];
    ['left' => $left, 'hole' => $hole] = Difference::of($outer, $inner);
    expect(array_column($left[0], 2))->toBe([false, false, false, false])
        ->and(array_column($hole, 2))->toBe([true, true, true, true])
        ->and(Polygon::signedArea(places($hole)))->toEqualWithDelta(-25.0, 1e-9)
        ->and(Difference::of($inner, $outer))->toBe(['left' => [], 'hole' => null]);
});
