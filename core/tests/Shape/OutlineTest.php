<?php

declare(strict_types=1);

namespace Impa\Tests\Outline;

use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;
use Impa\Shape\Outline;
use Impa\Shape\ShapeRefused;

/** The share of its box that a closed curve encloses, from many points of it. */
function shareOfBox(callable $at): float
{
    $points = array_map(static fn (int $i): array => $at((2 * M_PI * $i) / 20_000), range(0, 19_999));
    $box = Box::around($points);

    return abs(Polygon::signedArea($points)) / ($box->width() * $box->height());
}

it('fills its box with every named outline, anticlockwise, no point twice', function (string $name) {
    $outline = Outline::reckoned($name);
    $box = Box::around($outline);
    expect([$box->left, $box->right, $box->low, $box->high])
        ->toEqualWithDelta([-0.5, 0.5, -0.5, 0.5], 1e-12)
        ->and(Polygon::signedArea($outline))
        ->toBeGreaterThan(0.0)
        ->and(Outline::named($name))
        ->toBe($outline);
    foreach ($outline as $i => [$x, $y]) {
        [$nextX, $nextY] = $outline[($i + 1) % count($outline)];
        expect(hypot($nextX - $x, $nextY - $y))->toBeGreaterThan(1e-4);
    }
})->with(Outline::NAMES);

it('draws a disc, a leaf and a heart by their curves', function (string $name, callable $curve, float $share) {
    // Forty-eight points lie on the curve; what they leave out is less than two in a hundred.
    $outline = Outline::reckoned($name);
    expect($outline)
        ->toHaveCount(48)
        ->and(shareOfBox($curve))
        ->toEqualWithDelta($share, 1e-4)
        ->and(Polygon::signedArea($outline))
        ->toEqualWithDelta($share, 0.02 * $share);
    $dense = Outline::filling(array_map(static fn (int $i): array => $curve((2 * M_PI * $i) / 4800), range(0, 4799)), 1.0, 1.0);
    foreach ($outline as [$x, $y]) {
        $nearest = min(array_map(static fn (array $p): float => hypot($p[0] - $x, $p[1] - $y), $dense));
        expect($nearest)->toBeLessThan(0.004);
    }
})->with([
    ['disc', fn (float $a): array => [cos($a), sin($a)], M_PI / 4],
    // Four times the integral of cos^2 a (1 + cos a) / 2 from 0 to a right angle, in a box of 2 by 2.
    ['leaf', fn (float $a): array => [cos($a) * (0.5 + 0.5 * abs(cos($a))), sin($a)], (M_PI / 2 + 4 / 3) / 4],
    // The heart curve of 16 sin^3: its area is 180 pi (Weisstein, MathWorld, from memory), its width 32, its height 28.9233 by search.
    [
        'heart',
        fn (float $a): array => [16 * sin($a) ** 3, 13 * cos($a) - 5 * cos(2 * $a) - 2 * cos(3 * $a) - cos(4 * $a)],
        (180 * M_PI) / (32 * 28.9233),
    ],
]);

it('rounds the corners of a rectangle and a triangle by a parabola over an eighth of each side', function (string $name, array $corners) {
    // Between a corner and a quadratic Bezier curve lies a third of the triangle of its three points (Archimedes' quadrature).
    $count = count($corners);
    $area = Polygon::signedArea($corners);
    $curves = [];
    foreach ($corners as $i => $corner) {
        $towards = static fn (array $p): array => [$corner[0] + 0.12 * ($p[0] - $corner[0]), $corner[1] + 0.12 * ($p[1] - $corner[1])];
        [$in, $out] = [$towards($corners[($i + $count - 1) % $count]), $towards($corners[($i + 1) % $count])];
        $area -= abs(Polygon::signedArea([$in, $corner, $out])) / 3;
        foreach (range(0, 8) as $step) {
            // De Casteljau: half-way points of half-way points, here by eighths.
            $s = $step / 8;
            $mix = static fn (array $p, array $q): array => [$p[0] + $s * ($q[0] - $p[0]), $p[1] + $s * ($q[1] - $p[1])];
            $curves[] = $mix($mix($in, $corner), $mix($corner, $out));
        }
    }
    $box = Box::around($curves);
    expect(Outline::reckoned($name))
        ->toEqualWithDelta(Outline::filling($curves, 1.0, 1.0), 1e-12)
        ->and(Polygon::signedArea(Outline::reckoned($name)))
        ->toEqualWithDelta($area / ($box->width() * $box->height()), 0.001);
})->with([
    ['rectangle', [[-1.0, -1.0], [1.0, -1.0], [1.0, 1.0], [-1.0, 1.0]]],
    ['triangle', [[-1.0, -1.0], [1.0, -1.0], [0.0, 1.0]]],
]);

it('stretches an outline into any box, and turns it anticlockwise', function () {
    $clockwise = [[3.0, 1.0], [3.0, 5.0], [7.0, 1.0]];
    expect(Outline::filling($clockwise, 10.0, 4.0))->toEqualWithDelta([[5.0, -2.0], [-5.0, 2.0], [-5.0, -2.0]], 1e-12);
    $anticlockwise = array_reverse($clockwise);
    expect(Outline::filling($anticlockwise, 10.0, 4.0))->toEqualWithDelta([[5.0, -2.0], [-5.0, 2.0], [-5.0, -2.0]], 1e-12);
    mt_srand(5);
    for ($i = 0; $i < 50; $i++) {
        [$width, $height] = [mt_rand(3, 20_000) / 10, mt_rand(3, 20_000) / 10];
        $round = array_map(static fn (int $k): array => [(3 + mt_rand(0, 9)) * cos($k), (3 + mt_rand(0, 9)) * sin($k)], range(0, 5));
        $filling = Outline::filling($i % 2 === 0 ? $round : array_reverse($round), $width, $height);
        $box = Box::around($filling);
        expect([$box->left, $box->right, $box->low, $box->high])
            ->toEqualWithDelta([-$width / 2, $width / 2, -$height / 2, $height / 2], 1e-9)
            ->and(Polygon::signedArea($filling))->toBeGreaterThan(0.0);
    }
});

it('refuses an outline that has no width, no height, or encloses nothing', function (array $points, string $words) {
    expect(fn () => Outline::filling($points, 8.0, 6.0))->toThrow(ShapeRefused::class, $words);
})->with([
    [[[0.0, 0.0], [0.0, 5.0], [0.0, 9.0]], 'more than 0'],
    [[[0.0, 2.0], [5.0, 2.0], [9.0, 2.0]], 'more than 0'],
    [[[-10.0, -10.0], [10.0, 10.0], [10.0, -10.0], [-10.0, 10.0]], 'crosses itself'],
    [[[0.0, 0.0], [1.0, 1.0]], 'three points'],
]);

it('takes the thinnest of slivers that still encloses a five-hundredth of its box, and none that encloses less', function () {
    $sliver = static fn (float $share): array => [[0.0, 0.0], [1.0, 1.0], [1.0 - 2 * $share, 1.0]];
    expect(Polygon::signedArea(Outline::filling($sliver(0.0021), 8.0, 6.0)))
        ->toEqualWithDelta(0.0021 * 48, 1e-9)
        ->and(fn () => Outline::filling($sliver(0.0019), 8.0, 6.0))
        ->toThrow(ShapeRefused::class);
});
