<?php

declare(strict_types=1);

namespace Impa\Tests\Girth;

use Impa\Figure\Part;
use Impa\Geometry\Ellipse;
use Impa\Surface\Girth;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Tests\Support\Figures;

/** @param  array<string, mixed>  $shape  more of it */
function part(string $kind, float $w, float $h, float $d, array $shape = []): Part
{
    $part = Figures::part('a', $kind, $w, $h, $d);
    $part['shape'] += $shape;

    return Figures::read(Figures::document([$part]))->parts['a'];
}

it('is the circle of a ball at every level, and of an oval the ellipse', function (float $w, float $d) {
    $ball = part('ball', $w, 60, $d);
    foreach ([-29.0, -20.0, 0.0, 11.0, 27.5] as $y) {
        $round = sqrt(1 - ($y / 30) ** 2);
        $truth = Ellipse::perimeter($w / 2 * $round, $d / 2 * $round);
        // A chain of chords is never longer than the curve, and of so many hardly shorter.
        expect(Girth::atMm($ball, $y))->toBeLessThanOrEqual($truth * 1.0002)->toBeGreaterThan($truth * 0.9985);
    }
})->with([[60, 60], [60, 30], [34, 70]]);

it('is nothing above the crown and below the foot', function () {
    $ball = part('ball', 40, 40, 40);
    expect(Girth::atMm($ball, 20.5))->toBe(0.0)->and(Girth::atMm($ball, -20.5))->toBe(0.0);
});

it('goes round a piece that is not even: the strip along its front, and back along its back', function () {
    // A flat triangle, at its middle level from -15 mm to 0: once across and once back, its edges no more than as thick as it is.
    $plate = part('plate', 30, 20, 4, ['outline' => [[-15, -10], [15, -10], [-15, 10]]]);
    $girth = Girth::atMm($plate, 0.0);
    expect($girth)->toBeGreaterThanOrEqual(2 * 15 - 0.5)->toBeLessThan(2 * (15 + 4))
        ->and(Girth::atMm($plate, -5.0))->toEqualWithDelta($girth + 15, 1.0);
});

it('finds the widest level among so many, the first from below of those that are alike', function () {
    $ball = part('ball', 40, 60, 40);
    $surface = Surface::of($ball->placements()[0]);
    $widest = Girth::widest($ball, $surface, 30.0, -30.0);
    expect($widest['yMm'])->toEqualWithDelta(0.0, 1e-9)
        ->and($widest['mm'])->toBe(Girth::atMm($ball, 0.0))
        ->and($widest['downMm'])->toBe(TapeMark::downMm($surface, 0.0));
    // A box is as wide everywhere between its corners: a step from below, of 24.
    $box = part('block', 40, 60, 40);
    $widest = Girth::widest($box, Surface::of($box->placements()[0]), 20.0, -20.0);
    expect($widest['yMm'])->toEqualWithDelta(-20.0 + 40.0 / 24, 1e-9);
    // A cone stands on its widest end.
    $cone = part('cone', 40, 60, 40);
    $surface = Surface::of($cone->placements()[0]);
    $widest = Girth::widest($cone, $surface, 29.0, -29.0);
    expect($widest['yMm'])->toBeLessThan(-20.0)
        ->and($widest['mm'])->toBeGreaterThan(Girth::atMm($cone, $widest['yMm'] + 2 * 58 / 24))
        ->and($widest['mm'])->toBeGreaterThan(M_PI * 30);
});

it('looks at the whole height between crown and foot, wherever they are', function () {
    $egg = part('egg', 40, 60, 40);
    $surface = Surface::of($egg->placements()[0]);
    $levels = array_map(static fn (int $i): float => -30.0 + 60.0 * $i / 24, range(1, 23));
    $truth = max(array_map(static fn (float $y): float => Girth::atMm($egg, $y), $levels));
    $widest = Girth::widest($egg, $surface, 30.0, -30.0);
    expect($widest['mm'])->toEqualWithDelta($truth, 0.02)->and($levels)->toContain(round($widest['yMm'], 9));
    expect(Girth::widest($egg, $surface, 30.0, 14.0)['yMm'])->toEqualWithDelta(14.0 + 16.0 / 24, 1e-9);
});
