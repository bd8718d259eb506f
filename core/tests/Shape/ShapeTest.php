<?php

declare(strict_types=1);

namespace Impa\Tests\Shape;

use Impa\Geometry\Outline\Polygon;
use Impa\Geometry\Outline\Rays;
use Impa\Geometry\Turn;
use Impa\Shape\Catalogue;
use Impa\Shape\Outline;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;
use Impa\Shape\Solid\Cone;
use Impa\Shape\Solid\Plate;
use Impa\Shape\Solid\Roll;
use Impa\Shape\Solid\TangentSpheres;

function solid(string $kind, float $w, float $h, float $d, array $options = []): Solid
{
    return Catalogue::solid(ShapeKind::from($kind), Size::of($w, $h, $d), $options);
}

/** A frustum's volume and lateral area (CRC Standard Mathematical Tables). */
function frustum(float $r1, float $r2, float $h): array
{
    return [((M_PI * $h) / 3) * ($r1 ** 2 + $r1 * $r2 + $r2 ** 2), M_PI * ($r1 + $r2) * hypot($h, $r1 - $r2)];
}

/** A spherical zone or cap of height h on a ball of radius r: its lateral area, and the cap's volume (CRC). */
function cap(float $r, float $h): array
{
    return [(M_PI * $h ** 2 * (3 * $r - $h)) / 3, 2 * M_PI * $r * $h];
}

/** Two tangent balls and the frustum between their circles of touch, from caps and frustum (CRC). */
function drumstick(float $top, float $bottom, float $height): array
{
    $lean = ($bottom - $top) / ($height - $bottom - $top);
    $c = sqrt(1 - $lean ** 2);
    $low = cap($bottom, $bottom * (1 + $lean));
    $high = cap($top, $top * (1 - $lean));
    $middle = frustum($bottom * $c, $top * $c, $height - $bottom - $top - ($bottom - $top) * $lean);

    return [$low[0] + $middle[0] + $high[0], $low[1] + $middle[1] + $high[1]];
}

function spheroidArea(float $a, float $c): float
{
    if ($c > $a) {
        $e = sqrt(1 - $a ** 2 / $c ** 2);

        return 2 * M_PI * $a ** 2 * (1 + ($c / ($a * $e)) * asin($e));
    }
    $e = sqrt(1 - $c ** 2 / $a ** 2);

    return 2 * M_PI * $a ** 2 * (1 + ((1 - $e ** 2) / $e) * atanh($e));
}

/** Gamma function by Lanczos (g = 7); Numerical Recipes, coefficients from memory, checked on Gamma(1/2) below. */
function gammaOf(float $x): float
{
    $g = [
        0.99999999999980993,
        676.5203681218851,
        -1259.1392167224028,
        771.32342877765313,
        -176.61502916214059,
        12.507343278686905,
        -0.13857109526572012,
        9.9843695780195716e-6,
        1.5056327351493116e-7,
    ];
    $x--;
    $sum = $g[0];
    for ($i = 1; $i < 9; $i++) {
        $sum += $g[$i] / ($x + $i);
    }
    $t = $x + 7.5;

    return sqrt(2 * M_PI) * $t ** ($x + 0.5) * exp(-$t) * $sum;
}

/**
 * A convex body that a ball of radius r is rolled round (Steiner's formula): volume and area from its own volume, area and integral
 * of mean curvature (Santalo, Integral Geometry and Geometric Probability; from memory).
 */
function rolledRound(float $volume, float $area, float $meanCurvature, float $r): array
{
    return [
        $volume + $area * $r + $meanCurvature * $r ** 2 + (4 / 3) * M_PI * $r ** 3,
        $area + 2 * $meanCurvature * $r + 4 * M_PI * $r ** 2,
    ];
}

/** A cup is a frustum that a ball is rolled round; a frustum's edges turn by the angles to its side, its side by pi times its height. */
function cup(float $top, float $bottom, float $height, float $r): array
{
    [$t, $b, $h] = [$top - $r, $bottom - $r, $height - 2 * $r];
    [$volume, $side] = frustum($t, $b, $h);
    $atTop = M_PI - atan2($h, $t - $b);
    $mean = M_PI * $h + M_PI * ($t * $atTop + $b * (M_PI - $atTop));

    return rolledRound($volume, $side + M_PI * ($t ** 2 + $b ** 2), $mean, $r);
}

/** A block with all its edges alike is a box that a ball is rolled round. */
function block(float $w, float $h, float $d, float $r): array
{
    [$a, $b, $c] = [$w - 2 * $r, $h - 2 * $r, $d - 2 * $r];

    return rolledRound($a * $b * $c, 2 * ($a * $b + $b * $c + $c * $a), M_PI * ($a + $b + $c), $r);
}

it('weighs up every standing shape within 0.1 % of its closed form', function (Solid $shape, float $volumeMm3, ?float $areaMm2) {
    expect($shape->volumeCm3())->toEqualWithDelta($volumeMm3 / 1000, $volumeMm3 / 1e6);
    if ($areaMm2 !== null) {
        expect($shape->areaCm2())->toEqualWithDelta($areaMm2 / 100, $areaMm2 / 1e5);
    }
})->with([
    // Closed forms: CRC Standard Mathematical Tables.
    'a ball' => fn () => [solid('ball', 40, 40, 40), (4 / 3) * M_PI * 20 ** 3, 4 * M_PI * 20 ** 2],
    'a tall spheroid' => fn () => [solid('ball', 30, 60, 30), (4 / 3) * M_PI * 15 * 15 * 30, spheroidArea(15, 30)],
    'a flat spheroid' => fn () => [solid('ball', 60, 30, 60), (4 / 3) * M_PI * 30 * 30 * 15, spheroidArea(30, 15)],
    'a spheroid lying across' => fn () => [solid('ball', 60, 30, 30), (4 / 3) * M_PI * 30 * 15 * 15, spheroidArea(15, 30)],
    'a sausage' => fn () => [
        solid('sausage', 12, 30, 12),
        M_PI * 36 * 18 + (4 / 3) * M_PI * 216,
        2 * M_PI * 6 * 18 + 4 * M_PI * 36,
    ],
    'a drumstick' => fn () => [solid('drumstick', 14, 34, 14, ['topMm' => 8.0, 'bottomMm' => 14.0]), ...drumstick(4, 7, 34)],
    'a drop' => fn () => [solid('drop', 16, 26, 16), ...drumstick(8 * 0.15, 8, 26)],
    'a dome' => fn () => [solid('dome', 40, 20, 40), (2 / 3) * M_PI * 20 ** 3, 3 * M_PI * 20 ** 2],
    'a gumdrop: half a ball on a cylinder, and the base' => fn () => [
        solid('gumdrop', 30, 34, 30),
        M_PI * 15 ** 2 * 19 + (2 / 3) * M_PI * 15 ** 3,
        2 * M_PI * 15 * 19 + 3 * M_PI * 15 ** 2,
    ],
    'a gumdrop no higher than half its width: a dome' => fn () => [
        solid('gumdrop', 40, 20, 40),
        (2 / 3) * M_PI * 20 ** 3,
        3 * M_PI * 20 ** 2,
    ],
    'an egg' => fn () => [
        solid('egg', 30, 38, 28, ['taper' => 0.3]),
        // The integral of (1 - u^2)(1 - ku)^2 over u is 4/3 + 4k^2/15, by hand.
        (function () {
            $k = 0.3;
            $u = (1 - sqrt(1 + 8 * $k * $k)) / (4 * $k);
            $max = sqrt(1 - $u * $u) * (1 - $k * $u);

            return ((M_PI / 4) * 30 * 28 * 38 * (4 / 3 + (4 * $k * $k) / 15)) / 2 / $max ** 2;
        })(),
        null,
    ],
    'a cup, wider above' => fn () => [
        solid('cup', 30, 26, 30, ['topMm' => 30.0, 'bottomMm' => 20.0, 'edgeMm' => 3.0]),
        ...cup(15, 10, 26, 3),
    ],
    'a cup, wider below' => fn () => [
        solid('cup', 30, 26, 30, ['topMm' => 12.0, 'bottomMm' => 30.0, 'edgeMm' => 2.0]),
        ...cup(6, 15, 26, 2),
    ],
    'a cup with sharp rims' => fn () => [
        solid('cup', 30, 26, 30, ['topMm' => 30.0, 'bottomMm' => 20.0, 'edgeMm' => 0.0]),
        ...cup(15, 10, 26, 0),
    ],
    'a cup as flat as its rims are round' => fn () => [
        solid('cup', 30, 6, 30, ['topMm' => 30.0, 'bottomMm' => 20.0, 'edgeMm' => 9.0]),
        ...cup(15, 15, 6, 3),
    ],
    'a block' => fn () => [
        solid('block', 30, 40, 24, ['cornerMm' => 5.0, 'edgeMm' => 5.0]),
        ...block(30, 40, 24, 5),
    ],
    'a block with sharp edges' => fn () => [
        solid('block', 30, 40, 24, ['cornerMm' => 0.0, 'edgeMm' => 0.0]),
        30 * 40 * 24,
        2 * (30 * 40 + 40 * 24 + 24 * 30),
    ],
    'a block as round as it can be: a sausage' => fn () => [
        solid('block', 20, 44, 20, ['cornerMm' => 99.0, 'edgeMm' => 99.0]),
        M_PI * 100 * 24 + (4 / 3) * M_PI * 1000,
        2 * M_PI * 10 * 24 + 4 * M_PI * 100,
    ],
    'a block with round corners and sharp edges: a prism' => fn () => [
        solid('block', 30, 40, 24, ['cornerMm' => 6.0, 'edgeMm' => 0.0]),
        (30 * 40 - (4 - M_PI) * 36) * 24,
        2 * (30 * 40 - (4 - M_PI) * 36) + (2 * 70 - (8 - 2 * M_PI) * 6) * 24,
    ],
    'a block with sharp corners and round edges' => fn () => [
        solid('block', 30, 40, 24, ['cornerMm' => 0.0, 'edgeMm' => 4.0]),
        // Drawn in by 4 (1 - cos a) at 4 sin a: the integral of (30 - 2x)(40 - 2x) over the rounding, by hand.
        30 * 40 * 16 + 2 * ((22 * 32 * 4) + (22 + 32) * 2 * 16 * (M_PI / 4) + (4 * 64 * 2) / 3),
        null,
    ],
    'a drum' => fn () => [
        solid('drum', 28, 30, 26),
        ((M_PI / 4) * 28 * 26 * 30 * gammaOf(1 + 1 / 5) * gammaOf(1 + 2 / 5)) / gammaOf(1 + 3 / 5),
        null,
    ],
]);

it('knows the gamma function that the drum is checked by', function () {
    expect(gammaOf(0.5))->toEqualWithDelta(sqrt(M_PI), 1e-9);
});

it('makes a cone that is a frustum and a small cap', function () {
    $r = 9.0;
    $tip = Cone::TIP * $r;
    $centre = 26 - $tip;
    $lean = acos($tip / hypot($r, $centre)) - atan2($centre, $r);
    $body = frustum($r, $tip * cos($lean), $centre + $tip * sin($lean));
    $end = cap($tip, $tip * (1 - sin($lean)));
    expect(solid('cone', 18, 26, 18)->volumeCm3())
        ->toEqualWithDelta(($body[0] + $end[0]) / 1000, 0.003)
        ->and(solid('cone', 18, 26, 18)->areaCm2())
        ->toEqualWithDelta(($body[1] + $end[1] + M_PI * $r * $r) / 100, 0.02);
});

it('makes rings by Pappus', function () {
    // Torus: V = 2 pi^2 R r^2, A = 4 pi^2 R r (CRC).
    $ring = solid('ring', 34, 34, 6);
    expect($ring->volumeCm3())
        ->toEqualWithDelta((2 * M_PI ** 2 * 14 * 9) / 1000, 1e-6)
        ->and($ring->areaCm2())
        ->toEqualWithDelta((4 * M_PI ** 2 * 14 * 3) / 100, 1e-6);
});

it('says how far a block stands out from the picture plane: so much that its volume lies between', function (array $options) {
    $block = solid('block', 30, 40, 24, $options);
    $sum = 0.0;
    for ($x = -14.9; $x < 15; $x += 0.2) {
        for ($y = -19.9; $y < 20; $y += 0.2) {
            $out = $block->frontMm($x, $y);
            $sum += is_nan($out) ? 0.0 : (2 * $out * 0.04) / 1000;
        }
    }
    expect($block->volumeCm3())->toEqualWithDelta($sum, 0.002 * $sum);
})->with([
    'corners rounder than edges' => [['cornerMm' => 9.0, 'edgeMm' => 3.0]],
    'edges rounder than corners' => [['cornerMm' => 2.0, 'edgeMm' => 8.0]],
    'both sharp' => [['cornerMm' => 0.0, 'edgeMm' => 0.0]],
]);

it('draws a block as a rectangle with round corners, from the front and from the side', function () {
    $block = solid('block', 30, 40, 24, ['cornerMm' => 6.0, 'edgeMm' => 4.0]);
    // A polygon inside each corner's quarter circle lacks a little of it.
    expect(Polygon::signedArea($block->front()[0]))
        ->toEqualWithDelta(30 * 40 - (4 - M_PI) * 36, 1.0)
        ->and(Polygon::signedArea($block->side()[0]))
        ->toEqualWithDelta(24 * 40 - (4 - M_PI) * 16, 0.5);
});

it('makes each end of a cup as wide as it says', function () {
    $cup = solid('cup', 30, 26, 30, ['topMm' => 18.0, 'bottomMm' => 30.0, 'edgeMm' => 3.0]);
    $widths = array_map(static fn (array $p): float => 2 * abs($p[0]), $cup->front()[0]);
    expect(max($widths))->toEqualWithDelta(30.0, 0.05);
    // The upper rim's disc is 18 mm wide at the height of its middle; the slanting side leaves it a little above.
    expect($cup->profile(23 / 26) * 30)->toBeGreaterThan(18.0)->toBeLessThan(19.5);
    expect(max(array_map(static fn (array $p): float => $p[1] > 10.9 ? 2 * abs($p[0]) : 0.0, $cup->front()[0])))->toBeLessThan(18.5);
});

it('refuses a radius that is negative, and an end of nothing', function (string $kind, array $options, string $words) {
    expect(fn () => solid($kind, 30, 26, 30, $options))->toThrow(ShapeRefused::class, $words);
})->with([
    ['cup', ['edgeMm' => -1.0], 'rounded by 0 or more, not -1 mm'],
    ['block', ['cornerMm' => -2.0], 'rounded by 0 or more, not -2 mm'],
    ['block', ['edgeMm' => -2.0], 'rounded by 0 or more, not -2 mm'],
    ['cup', ['topMm' => 0.0], 'Both ends of a cup must be thicker than 0, not 0 mm'],
    ['drumstick', ['bottomMm' => 0.0], 'Both ends of a drumstick must be thicker than 0, not 0 mm'],
]);

it('keeps a bent roll as heavy as the straight one', function () {
    $straight = solid('sausage', 10, 44, 10);
    foreach ([0.0, 60.0, 180.0, 320.0] as $bend) {
        $arc = solid('arc', 10, 44, 10, ['bendDeg' => $bend]);
        expect($arc->volumeCm3())
            ->toEqualWithDelta($straight->volumeCm3(), 1e-9)
            ->and($arc->areaCm2())
            ->toEqualWithDelta($straight->areaCm2(), 1e-9);
    }
});

it('makes a disc plate with a half-round rim by the closed form of Steiner', function () {
    // A flat disc of radius R - r grown by a ball of radius r: Steiner's formula for parallel bodies.
    [$big, $r] = [18.0, 2.5];
    $in = $big - $r;
    $volume = 2 * $r * M_PI * $in ** 2 + ((M_PI * $r ** 2) / 2) * 2 * M_PI * $in + (4 / 3) * M_PI * $r ** 3;
    $area = 2 * M_PI * $in ** 2 + M_PI * $r * 2 * M_PI * $in + 4 * M_PI * $r ** 2;
    $disc = solid('plate', 36, 36, 5, ['outline' => 'disc']);
    expect($disc->volumeCm3())
        ->toEqualWithDelta($volume / 1000, ($volume / 1000) * 0.005)
        ->and($disc->areaCm2())
        ->toEqualWithDelta($area / 100, ($area / 100) * 0.005);
});

it('takes its own points for a plate and fills the box with them', function () {
    $plate = solid('plate', 20, 10, 2, ['outline' => [[0.0, 0.0], [0.0, 5.0], [5.0, 5.0], [5.0, 0.0]]]);
    $points = $plate->front()[0];
    expect(min(array_column($points, 0)))
        ->toBe(-10.0)
        ->and(max(array_column($points, 1)))
        ->toBe(5.0)
        ->and(Polygon::signedArea($points))
        ->toBe(200.0);
});

it('lofts every shape to its volume within 1 %', function (ShapeKind $kind) {
    $shape = Catalogue::solid($kind, Catalogue::usualSize($kind));
    expect($shape->loft()->signedVolumeCm3() / $shape->volumeCm3())->toEqualWithDelta(1.0, 0.01);
})->with(ShapeKind::cases());

it('lofts every named outline to its volume within 1 %', function (string $outline) {
    $plate = solid('plate', 24, 30, 6, ['outline' => $outline]);
    expect($plate->loft()->signedVolumeCm3() / $plate->volumeCm3())->toEqualWithDelta(1.0, 0.01);
})->with(Outline::NAMES);

it('agrees with a count of random points inside every shape', function (ShapeKind $kind) {
    mt_srand(7);
    $shape = Catalogue::solid($kind, Catalogue::usualSize($kind));
    $front = $shape->front()[0];
    $half = [
        max(array_map('abs', array_column($front, 0))) + 3,
        max(array_map('abs', array_column($front, 1))) + 3,
        $shape->size()->depthMm / 2,
    ];
    $inside = 0;
    $draw = static fn (float $h): float => $h * ((2 * mt_rand()) / mt_getrandmax() - 1);
    for ($i = 0; $i < 60000; $i++) {
        $inside += (int) (abs($draw($half[2])) <= $shape->frontMm($draw($half[0]), $draw($half[1])));
    }
    $counted = (($inside / 60000) * 8 * $half[0] * $half[1] * $half[2]) / 1000;
    expect($counted / $shape->volumeCm3())->toEqualWithDelta(1.0, 0.04);
})->with(ShapeKind::cases());

it('grows the volume with the cube and the area with the square', function (ShapeKind $kind) {
    $shape = Catalogue::solid($kind, Catalogue::usualSize($kind));
    foreach ([0.37, 1.9] as $k) {
        expect($shape->scaled($k)->volumeCm3() / $shape->volumeCm3())
            ->toEqualWithDelta($k ** 3, 1e-9)
            ->and($shape->scaled($k)->areaCm2() / $shape->areaCm2())
            ->toEqualWithDelta($k ** 2, 1e-9);
    }
})->with(ShapeKind::cases());

it('never lets a bigger shape take less room', function (ShapeKind $kind) {
    mt_srand(3);
    for ($i = 0; $i < 20; $i++) {
        $size = Size::of(mt_rand(100, 400) / 10, mt_rand(100, 600) / 10, mt_rand(20, 50) / 10);
        $bigger = Size::of($size->widthMm * 1.07, $size->heightMm * 1.07, $size->depthMm * 1.07);
        expect(Catalogue::solid($kind, $bigger)->volumeCm3())->toBeGreaterThan(Catalogue::solid($kind, $size)->volumeCm3());
    }
})->with(ShapeKind::cases());

it('bends a roll to the right and keeps its box in the middle', function () {
    $arc = Roll::of(ShapeKind::Arc, Size::of(10, 60, 10), 180);
    $xs = array_column($arc->front()[0], 0);
    expect(max($xs) + min($xs))->toEqualWithDelta(0, 5.01);
    $radius = 50 / M_PI;
    expect(max(array_column($arc->front()[0], 1)))->toEqualWithDelta($radius + 5, 0.1);
});

it('refuses what cannot be felted, in words', function (callable $make, string $words) {
    expect($make)->toThrow(ShapeRefused::class, $words);
})->with([
    [fn () => solid('ball', 0, 10, 10), 'more than 0'],
    [fn () => solid('egg', 10, 10, 10, ['taper' => 0.7]), 'taper'],
    [fn () => solid('ring', 20, 20, 12), 'thick'],
    [fn () => solid('arc', 5, 20, 5, ['bendDeg' => 400.0]), 'bent'],
    [fn () => solid('drumstick', 5, 20, 5, ['topMm' => 0.0]), 'ends'],
    [fn () => Plate::of(ShapeKind::Plate, Size::of(5, 5, 2), [[0.0, 0.0], [1.0, 1.0]]), 'three points'],
    [fn () => solid('plate', 5, 5, 2, ['outline' => 'star']), 'star'],
]);

it('turns about z, then x, then y, and back', function () {
    // A quarter turn about z takes x to y; then about x takes y to z; then about y takes z to x.
    expect(Turn::of(90, 90, 90)->apply(1, 0, 0))
        ->toEqualWithDelta([1.0, 0.0, 0.0], 1e-12)
        ->and(Turn::of(0, 0, 90)->apply(1, 0, 0))
        ->toEqualWithDelta([0.0, 1.0, 0.0], 1e-12)
        ->and(Turn::of(90, 0, 0)->apply(0, 1, 0))
        ->toEqualWithDelta([0.0, 0.0, 1.0], 1e-12)
        ->and(Turn::of(0, 90, 0)->apply(0, 0, 1))
        ->toEqualWithDelta([1.0, 0.0, 0.0], 1e-12);
    $turn = Turn::of(20, -35, 50);
    expect($turn->undo(...$turn->apply(3, -4, 5)))->toEqualWithDelta([3.0, -4.0, 5.0], 1e-12);
    [$x, $y, $z] = $turn->apply(3, -4, 5);
    expect($turn->mirrored()->apply(-3, -4, 5))->toEqualWithDelta([-$x, $y, $z], 1e-12);
});

it('finds how far an outline reaches, whether it folds back or not', function () {
    mt_srand(4);
    $star = [[10.0, 0.0], [4.0, 3.0], [0.0, 10.0], [-4.0, 3.0], [-10.0, 0.0], [-4.0, -3.0], [0.0, -10.0], [4.0, -3.0]];
    $hook = [[0.0, 0.0], [10.0, 0.0], [10.0, 10.0], [8.0, 10.0], [8.0, 2.0], [0.0, 2.0]];
    foreach ([Outline::named('leaf'), Outline::named('heart'), $star, $hook] as $outline) {
        [$cx, $cy] = Polygon::centroid($outline);
        $rays = Rays::of($outline, $cx, $cy);
        for ($i = 0; $i < 200; $i++) {
            [$x, $y] = [mt_rand(-1000, 1000) / 100, mt_rand(-1000, 1000) / 100];
            expect($rays->share($x, $y))->toEqualWithDelta(Polygon::reach($outline, $cx, $cy, $cx + $x, $cy + $y), 1e-9);
        }
    }
});

it('stands out evenly over the face of a plate and rounds off at the rim', function () {
    $disc = solid('plate', 40, 40, 6, ['outline' => 'disc']);
    // A disc of radius 20 with a half-round rim of radius 3: flat to 17, then a quarter circle.
    foreach ([[0, 3.0], [16.5, 3.0], [18.5, sqrt(9 - 1.5 ** 2)], [19.5, sqrt(9 - 2.5 ** 2)]] as [$x, $z]) {
        expect($disc->frontMm($x, 0.0))->toEqualWithDelta($z, 0.05)->and($disc->frontMm(0.0, -$x))->toEqualWithDelta($z, 0.05);
    }
    expect($disc->frontMm(20.5, 0.0))->toBeNan();
});

it('tells its own options, the usual filled in', function () {
    expect(solid('drumstick', 10, 30, 10)->options())
        ->toBe(['topMm' => 6.0, 'bottomMm' => 10.0])
        ->and(solid('egg', 10, 12, 10, ['taper' => -0.4])->options())
        ->toBe(['taper' => -0.4])
        ->and(solid('arc', 4, 30, 4)->options())
        ->toBe(['bendDeg' => 120.0])
        ->and(solid('ball', 4, 4, 4)->options())
        ->toBe([]);
});

it('stretches one smooth skin over two balls: a roll, a drumstick, and an oval where one ball swallows the other', function () {
    // A roll of radius 6: the ball's own circle at its end, its full width along the straight.
    $roll = static fn (float $y): float => TangentSpheres::profile($y / 40, 40, 6, 6);
    expect($roll(0))
        ->toBe(0.0)
        ->and($roll(2))
        ->toEqualWithDelta(sqrt(2 * 10) / 6, 1e-12)
        ->and($roll(6))
        ->toEqualWithDelta(1.0, 1e-12)
        ->and($roll(20))
        ->toEqualWithDelta(1.0, 1e-12)
        ->and($roll(38))
        ->toEqualWithDelta(sqrt(2 * 10) / 6, 1e-12)
        ->and($roll(40))
        ->toBe(0.0);
    // Balls of radius 10 and 4, their middles 26 apart: the skin leans by asin(6 / 26), and touches each ball square to that line.
    $stick = static fn (float $y): float => 10 * TangentSpheres::profile($y / 40, 40, 10, 4);
    $lean = 6 / 26;
    [$low, $high] = [[10 * (1 + $lean), 10 * sqrt(1 - $lean ** 2)], [40 - 4 * (1 - $lean), 4 * sqrt(1 - $lean ** 2)]];
    expect($stick($low[0]))
        ->toEqualWithDelta($low[1], 1e-9)
        ->and($stick($high[0]))
        ->toEqualWithDelta($high[1], 1e-9)
        ->and($stick(($low[0] + $high[0]) / 2))
        ->toEqualWithDelta(($low[1] + $high[1]) / 2, 1e-9)
        ->and($stick(4))
        ->toEqualWithDelta(sqrt(4 * 16), 1e-9)
        ->and($stick(39))
        ->toEqualWithDelta(sqrt(1 * 7), 1e-9)
        ->and(TangentSpheres::profile(0.1, 40, 4, 10))
        ->toEqualWithDelta(TangentSpheres::profile(0.9, 40, 10, 4), 1e-12);
    // The small ball lies within the large one up to a height of 20; at 27 it stands out, and the skin leans by asin(6 / 13).
    expect(TangentSpheres::profile(0.25, 20, 10, 4))
        ->toEqualWithDelta(sqrt(0.75), 1e-12)
        ->and(27 * TangentSpheres::profile(26 / 27, 27, 10, 4) / 2.7)
        ->toEqualWithDelta(sqrt(1 * 7), 1e-9)
        ->and(TangentSpheres::profile(1.0, 20, 10, 4))
        ->toBe(0.0);
});

it('ends a cone in a ball of 0.15 of its base that its side touches', function () {
    $cone = Cone::of(Size::of(40, 60, 40));
    // The ball of radius 3 has its middle at 57; from the rim its tangent leans as far as the right triangles say.
    $lean = acos(3 / hypot(20, 57)) - atan2(57, 20);
    [$touch, $out] = [57 + 3 * sin($lean), 3 * cos($lean)];
    expect(20 * $cone->profile(0.0))
        ->toEqualWithDelta(20.0, 1e-9)
        ->and(20 * $cone->profile(($touch - 1e-7) / 60))
        ->toEqualWithDelta($out, 1e-5)
        ->and(20 * $cone->profile(($touch + 1e-7) / 60))
        ->toEqualWithDelta($out, 1e-5)
        ->and(20 * $cone->profile($touch / 2 / 60))
        ->toEqualWithDelta((20 + $out) / 2, 1e-6)
        ->and(20 * $cone->profile(59 / 60))
        ->toEqualWithDelta(sqrt(1 * 5), 1e-9)
        ->and($cone->profile(1.0))
        ->toBe(0.0);
    // One of 4 mm has room for a ball of 2 alone.
    expect(20 * Cone::of(Size::of(40, 4, 40))->profile(0.995))->toEqualWithDelta(sqrt(0.02 * 3.98), 1e-9);
});

it('is as thin as its thinnest end', function () {
    $stick = solid('drumstick', 14, 40, 12, ['topMm' => 5.0, 'bottomMm' => 14.0]);
    expect($stick->thinnestMm())
        ->toBe(5.0)
        ->and(solid('drumstick', 14, 40, 12, ['topMm' => 14.0, 'bottomMm' => 6.0])->thinnestMm())
        ->toBe(6.0)
        ->and(solid('drumstick', 14, 40, 3, ['topMm' => 14.0, 'bottomMm' => 6.0])->thinnestMm())
        ->toBe(3.0)
        ->and(fn () => solid('drumstick', 14, 40, 12, ['topMm' => -2.0, 'bottomMm' => 14.0]))
        ->toThrow(ShapeRefused::class, '-2');
});

it('knows a usual first size of every kind, on a figure of about 110 mm', function (string $kind, array $size) {
    $usual = Catalogue::usualSize(ShapeKind::from($kind));
    expect([$usual->widthMm, $usual->heightMm, $usual->depthMm])->toEqual($size);
})->with([
    ['ball', [30, 30, 30]],
    ['egg', [30, 38, 28]],
    ['sausage', [12, 30, 12]],
    ['drum', [28, 30, 28]],
    ['drumstick', [14, 34, 14]],
    ['cone', [18, 26, 18]],
    ['drop', [16, 26, 16]],
    ['dome', [30, 15, 30]],
    ['gumdrop', [30, 34, 30]],
    ['cup', [30, 26, 30]],
    ['block', [30, 30, 24]],
    ['ring', [34, 34, 7]],
    ['arc', [10, 44, 10]],
    ['plate', [20, 24, 5]],
    ['cord', [4, 50, 4]],
    ['strip', [12, 60, 3]],
    ['sheet', [44, 34, 3]],
]);

it('draws a ball of three different sizes as its ellipses, from every side', function () {
    $ball = solid('ball', 30, 40, 20);
    [$front] = $ball->front();
    [$side] = $ball->side();
    // 29 levels, each with a left and a right point but the two poles.
    expect([count($front), count($side)])->toBe([56, 56]);
    foreach ($front as [$x, $y]) {
        expect(($x / 15) ** 2 + ($y / 20) ** 2)->toEqualWithDelta(1.0, 1e-9);
    }
    foreach ($side as [$x, $y]) {
        expect(($x / 10) ** 2 + ($y / 20) ** 2)->toEqualWithDelta(1.0, 1e-9);
    }
    expect(Polygon::signedArea($front))
        ->toEqualWithDelta(M_PI * 15 * 20, 0.01 * M_PI * 15 * 20)
        ->and($front[0])
        ->toEqualWithDelta([0.0, -20.0], 1e-9)
        ->and($front[28])
        ->toEqualWithDelta([0.0, 20.0], 1e-9);
});

it('stands out of the picture by the ellipsoid\'s own equation, and not at all beside it', function () {
    mt_srand(8);
    $ball = solid('ball', 30, 40, 20);
    for ($i = 0; $i < 200; $i++) {
        [$x, $y] = [mt_rand(-1700, 1700) / 100, mt_rand(-2200, 2200) / 100];
        $square = 1 - ($x / 15) ** 2 - ($y / 20) ** 2;
        $square >= 0.0
            ? expect($ball->frontMm($x, $y))->toEqualWithDelta(10 * sqrt($square), 1e-9)
            : expect($ball->frontMm($x, $y))->toBeNan();
    }
    $cone = solid('cone', 30, 40, 20);
    expect($cone->frontMm(0.0, -20.0))
        ->toEqualWithDelta(10.0, 1e-9)
        ->and($cone->frontMm(0.0, -20.001))
        ->toBeNan()
        ->and($cone->frontMm(0.0, 20.001))
        ->toBeNan()
        ->and($cone->frontMm(15.0, -20.0))
        ->toEqualWithDelta(0.0, 1e-6);
});

it('is a mesh of 21 levels of 24 points, each level an ellipse as large as the shape there', function () {
    $loft = solid('ball', 30, 40, 20)->loft();
    // A polygon of 24 corners has the area of its ellipse where it is larger by the root of an angle over its sine.
    $stretch = sqrt(M_PI / 12 / sin(M_PI / 12));
    expect($loft->rings)->toHaveCount(21)->and($loft->closed)->toBeFalse();
    foreach ($loft->rings as $i => $ring) {
        expect($ring)->toHaveCount(72);
        $level = -20 * cos((M_PI * $i) / 20);
        foreach (array_chunk($ring, 3) as $j => [$x, $y, $z]) {
            $half = $stretch * sqrt(max(0.0, 1 - ($level / 20) ** 2));
            expect([$x, $y, $z])->toEqualWithDelta(
                [15 * $half * cos((M_PI * $j) / 12), $level, -10 * $half * sin((M_PI * $j) / 12)],
                1e-6,
            );
        }
    }
});

it('keeps its middle of mass where the closed forms have it', function () {
    // CRC: half a ball 3/8 of its radius above the base. A ball in its own middle.
    expect(solid('dome', 40, 20, 40)->middleOfMass())
        ->toEqualWithDelta([0.0, (3 / 8) * 20 - 10, 0.0], 0.005)
        ->and(solid('ball', 40, 30, 20)->middleOfMass())
        ->toEqualWithDelta([0.0, 0.0, 0.0], 1e-9);
});
