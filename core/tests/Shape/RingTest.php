<?php

declare(strict_types=1);

namespace Impa\Tests\Ring;

use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid\Ring;

/** How far a place is from an ellipse, by 8,000 places on it. */
function farFrom(float $x, float $y, float $a, float $b): float
{
    $least = INF;
    for ($i = 0; $i < 8_000; $i++) {
        $angle = (M_PI * $i) / 4_000;
        $least = min($least, hypot($x - $a * cos($angle), $y - $b * sin($angle)));
    }

    return $least;
}

it('stands out as far as its roll is round, wherever it is looked at', function (float $width, float $height, float $depth) {
    mt_srand(5);
    $ring = Ring::of(Size::of($width, $height, $depth));
    $seen = 0;
    for ($n = 0; $n < 60; $n++) {
        [$x, $y] = [($width * mt_rand(-520, 520)) / 1000, ($height * mt_rand(-520, 520)) / 1000];
        $square = ($depth / 2) ** 2 - farFrom($x, $y, ($width - $depth) / 2, ($height - $depth) / 2) ** 2;
        if (abs($square) > 0.05) {
            $seen += (int) ($square > 0.0);
            $square > 0.0
                ? expect($ring->frontMm($x, $y))->toEqualWithDelta(sqrt($square), 0.01)
                : expect($ring->frontMm($x, $y))->toBeNan();
        }
    }
    expect($seen)->toBeGreaterThan(8);
})->with([[40, 40, 9], [60, 40, 9], [36, 52, 12]]);

it('is highest on its middle line, and ends where its roll does', function () {
    $ring = Ring::of(Size::of(40.0, 30.0, 8.0));
    expect($ring->frontMm(16.0, 0.0))
        ->toEqualWithDelta(4.0, 1e-9)
        ->and($ring->frontMm(0.0, -11.0))
        ->toEqualWithDelta(4.0, 1e-9)
        ->and($ring->frontMm(20.0, 0.0))
        ->toEqualWithDelta(0.0, 1e-6)
        ->and($ring->frontMm(20.001, 0.0))
        ->toBeNan()
        ->and($ring->frontMm(0.0, 0.0))
        ->toBeNan()
        ->and($ring->middleOfMass())
        ->toBe([0.0, 0.0, 0.0]);
});

it('is seen as two loops, the hole the other way round, half the roll to either side of the middle line', function () {
    [$outer, $inner] = Ring::of(Size::of(44.0, 34.0, 8.0))->front();
    $sizes = static fn (array $loop): array => [Box::around($loop)->width(), Box::around($loop)->height()];
    expect([count($outer), count($inner)])
        ->toBe([48, 48])
        ->and($sizes($outer))
        ->toEqualWithDelta([44.0, 34.0], 1e-9)
        ->and($sizes($inner))
        ->toEqualWithDelta([28.0, 18.0], 1e-9)
        ->and(Polygon::signedArea($outer))
        ->toBeGreaterThan(0.0)
        ->and(Polygon::signedArea($inner))
        ->toBeLessThan(0.0);
    foreach ([...$outer, ...$inner] as [$x, $y]) {
        expect(farFrom($x, $y, 18.0, 13.0))->toEqualWithDelta(4.0, 0.002);
    }
    // Loops parallel to an ellipse differ by its length times their distance apart (Steiner): 48 points leave a little out.
    $length = M_PI * (3 * 31 - sqrt((3 * 18 + 13) * (18 + 3 * 13)));
    expect(Polygon::signedArea($outer) + Polygon::signedArea($inner))->toEqualWithDelta(8 * $length, 0.01 * 8 * $length);
});

it('may be as thick as half of it, and no thicker', function () {
    expect(Ring::of(Size::of(20.0, 24.0, 10.0))->thinnestMm())
        ->toBe(10.0)
        ->and(fn () => Ring::of(Size::of(20.0, 24.0, 10.1)))
        ->toThrow(ShapeRefused::class)
        ->and(fn () => Ring::of(Size::of(24.0, 20.0, 10.1)))
        ->toThrow(ShapeRefused::class);
});

it('is a mesh of forty turns of twelve, each turn round the middle line', function () {
    $loft = Ring::of(Size::of(44.0, 34.0, 8.0))->loft();
    expect($loft->rings)->toHaveCount(40)->and($loft->closed)->toBeTrue();
    // Drawn as polygons of the same area, so a little outside the circle: 2 pi / 12 over its sine.
    $r = 4.0 * sqrt(M_PI / 6 / sin(M_PI / 6));
    foreach ($loft->rings as $ring) {
        expect($ring)->toHaveCount(36);
        foreach (array_chunk($ring, 3) as [$x, $y, $z]) {
            expect(hypot(farFrom($x, $y, 18.0, 13.0), $z))->toEqualWithDelta($r, 0.002);
        }
    }
});
