<?php

declare(strict_types=1);

namespace Impa\Tests\Balance;

use Impa\Balance\Balance;
use Impa\Balance\Footprint;
use Impa\Geometry\Hull;
use Impa\Material\Densities;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger;

function balance(array $parts, array $more = []): Balance
{
    $figure = Figures::read(Figures::document($parts, [], $more));

    return Balance::of(Ledger::of($figure, Densities::house()));
}

it('knows centres of mass', function () {
    $solid = ['core' => 'none'];
    // CRC: half a ball 3r/8 above its base; a frustum h/4 (R^2 + 2Rr + 3r^2)/(R^2 + Rr + r^2); a cap 3(2r - h)^2/(4(3r -
    // h)) from the ball's middle.
    $tip = 0.15 * 20;
    $centre = 40 - $tip;
    $lean = acos($tip / hypot(20, $centre)) - atan2($centre, 20);
    [$r2, $h, $cap] = [$tip * cos($lean), $centre + $tip * sin($lean), $tip * (1 - sin($lean))];
    $frustum = ((M_PI * $h) / 3) * (400 + 20 * $r2 + $r2 ** 2);
    $end = (M_PI * $cap ** 2 * (3 * $tip - $cap)) / 3;
    $cone =
        (((($frustum * $h) / 4) * (400 + 40 * $r2 + 3 * $r2 ** 2)) / (400 + 20 * $r2 + $r2 ** 2) +
            $end * ($centre + (3 * (2 * $tip - $cap) ** 2) / (4 * (3 * $tip - $cap)))) /
        ($frustum + $end);
    expect(balance([Figures::part('a', 'dome', 40, 20, 40, 0, 10, 0, $solid)])->centreMm[1])
        ->toEqualWithDelta((3 / 8) * 20, 0.01)
        ->and(balance([Figures::part('a', 'cone', 40, 40, 40, 0, 20, 0, $solid)])->centreMm[1])
        ->toEqualWithDelta($cone, 0.02)
        ->and(balance([Figures::part('a', 'ball', 40, 30, 40, 3, 15, -2, $solid)])->centreMm)
        ->toEqualWithDelta([3.0, 15.0, -2.0], 1e-6);
    // A half circle of wire: 2r / pi from its middle; the roll bends to the right, its own middle at r/2.
    $r = 300 / M_PI;
    expect(
        balance([
            Figures::part('a', 'arc', 1, 301, 1, 0, 0, 0, [
                'core' => 'none',
                'shape' => ['kind' => 'arc', 'widthMm' => 1, 'heightMm' => 301, 'depthMm' => 1, 'bendDeg' => 180],
            ]),
        ])->centreMm[0],
    )->toEqualWithDelta($r - (2 * $r) / M_PI - $r / 2, 0.5);
});

it('weighs two pieces against each other, and a pair in the middle', function () {
    $two = balance([
        Figures::part('a', 'ball', 20, 20, 20, 0, 10, 0),
        Figures::part('b', 'ball', 40, 40, 40, 60, 10, 0, ['core' => 'none']),
        Figures::part('c', 'ball', 40, 40, 40, -60, 10, 0, ['core' => 'none']),
    ]);
    expect($two->centreMm[0])->toEqualWithDelta(0, 1e-9);
    expect(balance([Figures::part('a', 'ball', 20, 20, 20, 30, 10, 0, ['mirror' => true])])->centreMm[0])->toEqualWithDelta(
        0,
        1e-9,
    );
});

it('prints the foot of a ball as a circle of the right size', function () {
    // A ball of radius 30 flattened by 1 mm touches in a circle of radius sqrt(2 r f - f^2) (CRC, chord).
    $footprint = Footprint::of(Figures::read(Figures::document([Figures::part('a', 'ball', 60, 60, 60, 0, 30)])));
    // The loft is a polyhedron inside the ball near its pole, so the circle comes out up to 6 % small: on the safe side.
    expect($footprint->marginMm(0, 0))
        ->toBeLessThan(sqrt(59))
        ->toBeGreaterThan(0.94 * sqrt(59))
        ->and($footprint->marginMm(20, 0))
        ->toBeLessThan(0);
});

it('tips a can when its centre passes its edge', function () {
    // A cylinder of radius r and height h tips at atan(r / (h/2)); the drum's edge is rounded, so a little sooner.
    $drum = balance([Figures::part('a', 'drum', 40, 60, 40, 0, 30, 0, ['core' => 'none'])]);
    expect($drum->tipDeg())
        ->toBeLessThan(rad2deg(atan(20 / 30)))
        ->toBeGreaterThan(0.5 * rad2deg(atan(20 / 30)))
        ->and($drum->stands())
        ->toBeTrue()
        ->and($drum->isTouchy())
        ->toBeFalse();
});

it('flattens the base by no more and no less than makes it stand firmly', function (float $headMm) {
    $top = balance([
        Figures::part('body', 'ball', 44, 44, 44, 0, 22),
        Figures::part('head', 'ball', $headMm, $headMm, $headMm, 0, 40 + $headMm / 2, 1, ['join' => ['to' => 'body']]),
    ]);
    $mm = $top->flattenMm();
    $tipsAt = static fn (float $cut): float => rad2deg(
        atan(
            $top->footprint->flattened($cut)->marginMm($top->centreMm[0], $top->centreMm[2]) /
                ($top->centreMm[1] - $top->footprint->tableMm),
        ),
    );
    expect($top->isTouchy())
        ->toBeTrue()
        ->and($mm)
        ->toBeGreaterThan(1.0)
        ->toBeLessThanOrEqual(Footprint::mostMm(100))
        ->and($tipsAt($mm))
        ->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG)
        ->and($tipsAt($mm - 1.0))
        ->toBeLessThan(Balance::TOUCHY_DEG);
})->with([46, 52, 60]);

it('hides no more and no less weight low in the base than makes it stand firmly', function () {
    $top = balance([
        Figures::part('body', 'drum', 26, 44, 26, 0, 22),
        Figures::part('head', 'ball', 52, 52, 52, 0, 68, 2.5, ['join' => ['to' => 'body']]),
    ]);
    $g = $top->weightLowG();
    [$x, $z] = $top->footprint->middle();
    // Two masses: the centre divides the way between them by their weights (Archimedes' law of the lever).
    $tipsAt = static function (float $low) use ($top, $x, $z): float {
        $share = $low / ($top->massG + $low);
        $at = static fn (int $axis, float $own): float => (1 - $share) * $top->centreMm[$axis] + $share * $own;

        return rad2deg(
            atan(
                $top->footprint->marginMm($at(0, $x), $at(2, $z)) /
                    ($at(1, $top->footprint->tableMm + 4) - $top->footprint->tableMm),
            ),
        );
    };
    expect($top->isTouchy())
        ->toBeTrue()
        ->and($g)
        ->toBeGreaterThan(0.0)
        ->toBeLessThanOrEqual($top->massG)
        ->and($tipsAt($g))
        ->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG)
        ->and($tipsAt($g - 0.05 * $top->massG))
        ->toBeLessThan(Balance::TOUCHY_DEG);
});

it('needs to stand only where it is meant to', function (string $pose, bool $must) {
    $leaning = [Figures::part('foot', 'drum', 20, 20, 20, 0, 10), Figures::part('head', 'ball', 60, 60, 60, 40, 60)];
    expect(balance($leaning, ['pose' => $pose])->stands())
        ->toBe(! $must)
        ->and(balance($leaning, ['pose' => $pose])->isTouchy())
        ->toBe($must);
})->with([['stand', true], ['sit', true], ['lie', false], ['hang', false]]);

it('falls at once with its weight beside its foot', function () {
    $leaning = balance([Figures::part('foot', 'drum', 20, 20, 20, 0, 10), Figures::part('head', 'ball', 60, 60, 60, 40, 60)]);
    expect($leaning->tipDeg())->toBeLessThan(0.0)->and($leaning->stands())->toBeFalse();
});

it('wraps points in their convex hull', function () {
    mt_srand(2);
    $points = [[0.0, 0.0], [10.0, 0.0], [10.0, 10.0], [0.0, 10.0]];
    for ($i = 0; $i < 200; $i++) {
        $points[] = [mt_rand(1, 99) / 10, mt_rand(1, 99) / 10];
    }
    expect(Hull::of($points))->toBe([[0.0, 0.0], [10.0, 0.0], [10.0, 10.0], [0.0, 10.0]]);
});

it('stands on nothing without parts', function () {
    expect(balance([])->massG)->toBe(0.0)->and(balance([])->stands())->toBeTrue();
});
