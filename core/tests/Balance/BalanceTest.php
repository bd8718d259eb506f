<?php

declare(strict_types=1);

namespace Impa\Tests\Balance;

use Impa\Balance\Balance;
use Impa\Balance\Footprint;
use Impa\Figure\Part;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Hull;
use Impa\Material\Densities;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger\Ledger;

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
                ($top->centreMm[1] - $top->footprint->tableMm - $cut),
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

it('hides no more and no less weight low in the base than makes it stand firmly', function (float $ahead) {
    $top = balance([
        Figures::part('body', 'drum', 26, 44, 26, 5, 52, -3),
        Figures::part('head', 'ball', 52, 52, 52, 5, 98, $ahead - 3, ['join' => ['to' => 'body']]),
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
        ->toBeLessThanOrEqual(ceil($top->massG))
        ->and($tipsAt($g))
        ->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG)
        ->and($tipsAt($g - 1.0))
        ->toBeLessThan(Balance::TOUCHY_DEG);
})->with([0.4, 0.8, 1.2, 1.6, 2.0, 2.3, 2.6, 2.9, 3.2, 3.5]);

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
    $none = balance([]);
    expect($none->massG)
        ->toBe(0.0)
        ->and($none->centreMm)
        ->toBe([0.0, 0.0, 0.0])
        ->and($none->footprint->tableMm)
        ->toBe(0.0)
        ->and($none->footprint->hull)
        ->toBe([])
        ->and($none->footprint->marginMm(0, 0))
        ->toBe(0.0)
        ->and($none->stands())
        ->toBeTrue();
});

it('finds the table under the lowest piece, wherever that stands, and its foot where it is', function () {
    $footprint = Footprint::of(
        Figures::read(
            Figures::document([
                Figures::part('high', 'ball', 80, 80, 80, 60, 120, 40),
                Figures::part('low', 'ball', 60, 60, 60, 20, 55, -12),
            ]),
        ),
    );
    // The chord of a circle again: a ball of radius 30 cut 6 mm up touches in a circle of radius 18.
    $box = Box::around($footprint->flattened(6)->hull);
    expect($footprint->tableMm)
        ->toEqualWithDelta(25.0, 1e-6)
        ->and($footprint->middle())
        ->toEqualWithDelta([20.0, -12.0], 0.05)
        ->and([$box->left, $box->right, $box->low, $box->high])
        ->toEqualWithDelta([2.0, 38.0, -30.0, 6.0], 0.35)
        ->and($footprint->flattened(6)->marginMm(30, -12))
        ->toEqualWithDelta(8.0, 0.35)
        ->and($footprint->flattened(6)->marginMm(20, -40))
        ->toEqualWithDelta(-10.0, 0.35);
});

it('spans the feet of everything that is flat on the table, and nothing that is above it', function () {
    $feet = fn (float $hind): Box => Box::around(
        Footprint::of(
            Figures::read(
                Figures::document([
                    Figures::part('fore', 'ball', 20, 20, 20, 15, 10, 8, ['mirror' => true]),
                    Figures::part('hind', 'ball', 20, 20, 20, 15, 10 + $hind, -30, ['mirror' => true]),
                ]),
            ),
        )->flattened(2)->hull,
    );
    // Circles of radius sqrt(2 * 10 * 2 - 4) = 6 about (15, 8) and (15, -30), and their mirror images.
    expect([$feet(0)->left, $feet(0)->right, $feet(0)->low, $feet(0)->high])
        ->toEqualWithDelta([-21.0, 21.0, -36.0, 14.0], 0.15)
        ->and([$feet(3)->low, $feet(3)->high])
        ->toEqualWithDelta([2.0, 14.0], 0.15);
});

it('flattens a low figure by at most 4 mm, a tall one by at most a twelfth', function (float $height, float $most) {
    expect(Footprint::mostMm($height))->toEqualWithDelta($most, 1e-9);
})->with([[20, 4.0], [50, 4.0], [100, 8.0], [150, 12.0]]);

it('weighs what its ledger weighs finished, each detail with the part it lies on', function () {
    $balls = [Figures::part('a', 'ball', 20, 20, 20, 50, 10), Figures::part('b', 'ball', 20, 20, 20, -50, 10, 0)];
    $disc = ['key' => 'd', 'on' => 'a', 'kind' => 'disc', 'widthMm' => 12, 'heightMm' => 12, 'colour' => 'black'];
    $figure = Figures::read(Figures::document($balls, [$disc]));
    $ledger = Ledger::of($figure, Densities::house());
    $ball = $ledger->wool['a']->finishedG();
    $detail = $ledger->ofDetail('d')->allG();
    $balance = Balance::of($ledger);
    expect($detail)
        ->toBeGreaterThan(0.01)
        ->and($balance->massG)
        ->toEqualWithDelta(2 * $ball + $detail, 1e-9)
        ->and($balance->centreMm[0])
        ->toEqualWithDelta((50 * $detail) / (2 * $ball + $detail), 1e-9);
    $pair = Figures::document([['mirror' => true] + $balls[0]], [$disc]);
    $both = Ledger::of(Figures::read($pair), Densities::house());
    expect($both->ofDetail('d')->pieces)
        ->toBe(2)
        ->and(Balance::of($both)->massG)
        ->toEqualWithDelta(2 * $both->wool['a']->finishedG() + $both->ofDetail('d')->allG(), 1e-9);
});

it('leans as far wherever its table is', function () {
    $at = fn (float $y): float => balance([Figures::part('a', 'drum', 40, 60, 40, 0, $y, 0, ['core' => 'none'])])->tipDeg();
    expect($at(90))->toEqualWithDelta($at(30), 1e-9)->and($at(0))->toEqualWithDelta($at(30), 1e-9);
});

it('falls below five degrees and is touchy below ten, as near to them as can be told', function () {
    $seen = [];
    foreach (range(0, 90) as $tenths) {
        $post = balance([
            Figures::part('foot', 'drum', 24, 30, 24, 0, 15),
            Figures::part('head', 'ball', 44, 44, 44, $tenths / 10, 50, 0, ['join' => ['to' => 'foot']]),
        ]);
        $seen[] = [$post->tipDeg(), $post->stands(), $post->isTouchy()];
    }
    $said = fn (int $what, bool $is): array => array_column(array_filter($seen, static fn ($s): bool => $s[$what] === $is), 0);
    expect(min($said(1, true)))
        ->toBeGreaterThanOrEqual(5.0)
        ->toBeLessThan(5.6)
        ->and(max($said(1, false)))
        ->toBeLessThan(5.0)
        ->toBeGreaterThan(4.4)
        ->and(min($said(2, false)))
        ->toBeGreaterThanOrEqual(10.0)
        ->toBeLessThan(10.6)
        ->and(max($said(2, true)))
        ->toBeLessThan(10.0)
        ->toBeGreaterThan(9.4);
});

it('hides no weight where even its own weight again would not do', function () {
    $post = balance([
        Figures::part('foot', 'drum', 14, 80, 14, 0, 40),
        Figures::part('head', 'ball', 60, 60, 60, 12, 106, 0, ['join' => ['to' => 'foot']]),
    ]);
    expect($post->isTouchy())
        ->toBeTrue()
        ->and($post->weightLowG())
        ->toBe(0.0)
        ->and($post->flattenMm())
        ->toBe(0.0);
});

it('has its weight where a mesh library has it, for every kind of shape, turned and put together', function () {
    // Volumes and centres of mass of the pieces' meshes by the npm package @jscad/modeling (bench/mass-fixture.mjs).
    $fixture = json_decode((string) file_get_contents(__DIR__.'/../fixtures/centres-jscad.json'), true);
    expect(count($fixture))->toBe(40);
    foreach ($fixture as ['figure' => $document, 'volumeCm3' => $volume, 'centreMm' => $centre]) {
        $figure = Figures::read($document);
        $own = array_sum(array_map(static fn (Part $p): float => $p->count() * $p->solid->volumeCm3(), $figure->parts));
        // A mesh of flat pieces lies inside its shape: by up to a fiftieth of the volume where it is coarse.
        expect($own)->toEqualWithDelta($volume, 0.02 * $volume)
            ->and(Balance::of(Ledger::of($figure, Densities::house()))->centreMm)->toEqualWithDelta($centre, 0.5);
    }
});
