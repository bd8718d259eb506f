<?php

declare(strict_types=1);

namespace Impa\Tests\Face;

use Impa\Face\Advice\Guides;
use Impa\Figure\Term\Side;
use Impa\Plan\Plan;
use Impa\Surface\Surface;
use Impa\Surface\TapeGrid;
use Impa\Surface\TapeMark;
use Impa\Tests\Support\Figures;

function surface(array $part, Side $side = Side::Front): Surface
{
    return Surface::of(Figures::read(Figures::document([$part]))->parts[$part['key']]->placements()[0], $side);
}

/** Arc of an ellipse x = a sin, z = b cos from the top to the angle, by Simpson's rule with 2000 steps. */
function ellipseArc(float $a, float $b, float $angle): float
{
    $f = static fn (float $t): float => hypot($a * cos($t), $b * sin($t));
    $sum = $f(0) + $f($angle);
    for ($i = 1; $i < 2000; $i++) {
        $sum += ($i % 2 === 1 ? 4 : 2) * $f(($angle * $i) / 2000);
    }

    return ($sum * $angle) / 6000;
}

it('marks the eye of docs/trade.md, Sums: 9.2 mm across and 39.9 mm down', function () {
    $mark = TapeMark::on(surface(Figures::part('head', 'ball', 52, 46, 48)), 9, -3);
    expect($mark->acrossMm)->toEqualWithDelta(9.2, 0.05)->and($mark->downMm)->toEqualWithDelta(39.9, 0.05);
});

it('measures great circles on a ball', function () {
    $ball = surface(Figures::part('head', 'ball', 60, 60, 60));
    foreach ([0.2, 0.5, 0.85] as $share) {
        // On the equator of a ball of radius 30: arc = r asin(x / r).
        expect(TapeMark::on($ball, 30 * $share, 0)->acrossMm)
            ->toEqualWithDelta(30 * asin($share), 0.1)
            ->and(TapeMark::on($ball, -30 * $share, 0)->acrossMm)
            ->toEqualWithDelta(-30 * asin($share), 0.1)
            ->and(TapeMark::on($ball, 0, -30 * $share)->downMm)
            ->toEqualWithDelta(30 * (M_PI / 2 + asin($share)), 0.1)
            ->and(TapeMark::on($ball, 30 * $share, 0)->pinMm)
            ->toEqualWithDelta(60 * sin(asin($share) / 2), 0.05);
    }
});

it('agrees with an elliptic integral on an oval', function () {
    // Abramowitz and Stegun, chapter 17: arcs of an ellipse, here integrated by Simpson's rule.
    $oval = surface(Figures::part('head', 'ball', 52, 46, 40));
    foreach ([5, 12, 20, 22] as $x) {
        expect(TapeMark::on($oval, $x, 0)->acrossMm)->toEqualWithDelta(ellipseArc(26, 20, asin($x / 26)), 0.1);
    }
    expect(TapeMark::on($oval, 0, 0)->downMm)->toEqualWithDelta(ellipseArc(20, 23, M_PI / 2), 0.1);
});

it('agrees with the tables of elliptic integrals', function (float $m, float $e) {
    // Abramowitz and Stegun, table 17.1: the complete integral of the second kind E(m), written from memory.
    // Half a height of 30 mm and half a depth of 30 sqrt(1 - m): from crown to equator it is a quarter of that ellipse, 30 E(m).
    $oval = surface(Figures::part('head', 'ball', 50, 60, 60 * sqrt(1 - $m)));
    expect(TapeMark::on($oval, 0, 0)->downMm)->toEqualWithDelta(30 * $e, 0.02);
})->with([[0.0, M_PI / 2], [0.25, 1.46746221], [0.5, 1.35064388], [0.75, 1.21105603]]);

it('lies on the mesh that is drawn: heights and straight distances', function (string $kind, array $turn) {
    $figure = Figures::read(Figures::document([Figures::part('head', $kind, 52, 58, 46, 0, 0, 0, ['turnDeg' => $turn])]));
    $piece = $figure->parts['head']->placements()[0];
    $surface = Surface::of($piece);
    $rings = $piece->rings();
    // The height of the mesh over x, y: the nearest of its triangles that a line of sight meets.
    $meshMm = static function (float $x, float $y) use ($rings): float {
        $best = -INF;
        for ($i = 0; $i + 1 < count($rings); $i++) {
            for ($j = 0, $n = count($rings[$i]); $j < $n; $j++) {
                [$a, $b, $c, $d] = [$rings[$i][$j], $rings[$i][($j + 1) % $n], $rings[$i + 1][$j], $rings[$i + 1][($j + 1) % $n]];
                foreach ([[$a, $b, $c], [$b, $d, $c]] as [$p, $q, $r]) {
                    $area = ($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0]);
                    if (abs($area) < 1e-9) {
                        continue;
                    }
                    $u = (($x - $p[0]) * ($r[1] - $p[1]) - ($y - $p[1]) * ($r[0] - $p[0])) / $area;
                    $v = (($q[0] - $p[0]) * ($y - $p[1]) - ($q[1] - $p[1]) * ($x - $p[0])) / $area;
                    if ($u >= 0.0 && $v >= 0.0 && $u + $v <= 1.0) {
                        $best = max($best, $p[2] + $u * ($q[2] - $p[2]) + $v * ($r[2] - $p[2]));
                    }
                }
            }
        }

        return $best;
    };
    $points = [[0.0, 0.0], [11.0, -4.0], [-9.0, 8.0], [5.0, -13.0]];
    foreach ($points as [$x, $y]) {
        // A mesh of flat pieces lies a little under the skin.
        expect($meshMm($x, $y))->toEqualWithDelta($surface->heightMm($x, $y), 0.35);
    }
    [[$x, $y], [$u, $v]] = [$points[1], $points[2]];
    $pin = \Impa\Surface\Chart::of($surface)->between($points[1], $points[2])['pinMm'];
    expect(sqrt(($x - $u) ** 2 + ($y - $v) ** 2 + ($meshMm($x, $y) - $meshMm($u, $v)) ** 2))->toEqualWithDelta($pin, 0.2);
})
    ->with(['ball', 'egg', 'drum', 'dome', 'drumstick'])
    ->with([[['x' => 0, 'y' => 0, 'z' => 0]], [['x' => 20, 'y' => -25, 'z' => 10]]]);

it('unrolls a cone and a can', function () {
    $can = surface(Figures::part('a', 'sausage', 20, 100, 20));
    expect(TapeMark::on($can, 8, 0)->acrossMm)->toEqualWithDelta(10 * asin(0.8), 0.05);
});

it('finds the skin of a turned piece where it is', function () {
    $upright = surface(Figures::part('a', 'ball', 30, 50, 40));
    $lying = surface(Figures::part('a', 'ball', 50, 30, 40, more: ['turnDeg' => ['z' => 90]]));
    expect($lying->heightMm(6, 11))->toEqualWithDelta($upright->heightMm(6, 11), 1e-6);
    // A ball looks the same however it is turned, and the search must find what the formula knows.
    $turned = surface(Figures::part('a', 'ball', 40, 40, 40, more: ['turnDeg' => ['x' => 25, 'y' => -40, 'z' => 10]]));
    expect($turned->heightMm(7, -9))
        ->toEqualWithDelta(sqrt(400 - 49 - 81), 0.001)
        ->and(surface(Figures::part('a', 'ball', 30, 40, 60), Side::Left)->heightMm(15, 0))
        ->toEqualWithDelta(15 * sqrt(1 - 0.25), 0.001);
});

it('gives mirrored details equal marks, and grows marks with the head', function () {
    mt_srand(5);
    for ($i = 0; $i < 20; $i++) {
        [$x, $y] = [mt_rand(1, 18), mt_rand(-15, 15)];
        $head = surface(Figures::part('a', 'egg', 52, 56, 48));
        $big = surface(Figures::part('a', 'egg', 104, 112, 96));
        [$right, $left, $twice] = [TapeMark::on($head, $x, $y), TapeMark::on($head, -$x, $y), TapeMark::on($big, 2 * $x, 2 * $y)];
        expect($left->acrossMm)
            ->toEqualWithDelta(-$right->acrossMm, 1e-9)
            ->and($left->downMm)
            ->toBe($right->downMm)
            ->and($twice->acrossMm)
            ->toEqualWithDelta(2 * $right->acrossMm, 1e-6)
            ->and($twice->downMm)
            ->toEqualWithDelta(2 * $right->downMm, 1e-4);
    }
});

it('tells a detail that lies off its part', function () {
    $plan = Plan::of(
        Figures::read(
            Figures::document(
                [Figures::part('head', 'ball', 40, 40, 40, 0, 20)],
                [
                    [
                        'key' => 'eye',
                        'name' => 'Eye',
                        'on' => 'head',
                        'kind' => 'disc',
                        'widthMm' => 4,
                        'xMm' => 30,
                        'yMm' => 0,
                        'colour' => 'black',
                    ],
                ],
            ),
        ),
    )->document();
    expect($plan['details'][0]['marks'])->toBeNull()->and(array_column($plan['notes'], 'code'))->toContain('off-part');
});

it('lays a tape grid whose lines are as long as they say', function () {
    $surface = surface(Figures::part('head', 'ball', 60, 60, 60));
    $grid = TapeGrid::of($surface);
    expect($grid['crownMm'])
        ->toEqualWithDelta(30, 0.01)
        ->and($grid['footMm'])
        ->toEqualWithDelta(-30, 0.01);
    foreach ($grid['across'] as $line) {
        foreach ($line['points'] as [$x, $y]) {
            // Close to the edge a hundredth of a millimetre in x is far by tape.
            if ($x < 0.95 * sqrt(900 - $y * $y)) {
                expect(TapeMark::on($surface, $x, $y)->acrossMm)->toEqualWithDelta($line['mm'], 0.15);
            }
        }
    }
    foreach ($grid['down'] as $line) {
        expect(30 * acos($line['points'][0][1] / 30))->toEqualWithDelta($line['mm'], 0.15);
    }
});

it('says when felt is too coarse or a colour lost', function () {
    $plan = Plan::of(
        Figures::read(
            Figures::document(
                [Figures::part('head', 'ball', 52, 46, 48, 0, 23)],
                [
                    [
                        'key' => 'eye',
                        'name' => 'Eye',
                        'on' => 'head',
                        'kind' => 'disc',
                        'widthMm' => 6,
                        'xMm' => 9,
                        'colour' => 'black',
                        'layer' => 1,
                    ],
                    [
                        'key' => 'pupil',
                        'name' => 'Pupil',
                        'on' => 'head',
                        'kind' => 'disc',
                        'widthMm' => 3,
                        'xMm' => 9,
                        'colour' => 'charcoal',
                        'layer' => 2,
                    ],
                    [
                        'key' => 'spark',
                        'name' => 'Spark',
                        'on' => 'head',
                        'kind' => 'disc',
                        'widthMm' => 0.8,
                        'xMm' => 9,
                        'colour' => 'white',
                        'layer' => 3,
                    ],
                    [
                        'key' => 'dot',
                        'name' => 'Dot',
                        'on' => 'head',
                        'kind' => 'disc',
                        'widthMm' => 1.9,
                        'xMm' => -9,
                        'colour' => 'black',
                    ],
                    [
                        'key' => 'bead',
                        'name' => 'Bead',
                        'on' => 'head',
                        'kind' => 'bead',
                        'widthMm' => 1.9,
                        'xMm' => -9,
                        'colour' => 'black',
                    ],
                ],
                [
                    'colours' => [
                        ['key' => 'teal', 'hex' => '#2f8f86'],
                        ['key' => 'black', 'hex' => '#000000'],
                        ['key' => 'charcoal', 'hex' => '#1c1c1e'],
                        ['key' => 'white', 'hex' => '#ffffff'],
                    ],
                ],
            ),
        ),
    )->document();
    // The pupil is judged against the eye below it, not against the head.
    expect(array_column($plan['details'], 'crisp', 'key'))->toBe([
        'eye' => 'crisp',
        'pupil' => 'lost',
        'spark' => 'too-small',
        'dot' => 'too-small',
        'bead' => 'crisp',
    ]);
});

it('guides a cute face into the lower half, a baby\'s lower still, a gruff one\'s eyes above it', function () {
    $guides = array_column(Guides::on(30.0, -30.0, static fn (float $y): float => 30.0), 'bands', 'key');
    $eyes = array_map(static fn (array $bands): array => [$bands[0]['highMm'], $bands[0]['lowMm']], $guides);
    // docs/trade.md, Faces (common practice): cute figures carry eyes and nose in the lower half.
    expect($eyes['cute'][0])
        ->toBeLessThan(0.0)
        ->and($eyes['baby'][0])
        ->toBeLessThan($eyes['cute'][0])
        ->and($eyes['grown-up'][0])
        ->toBeGreaterThan(0.0)
        ->and($eyes['grown-up'][1])
        ->toBeLessThan(0.0)
        ->and($eyes['gruff'][1])
        ->toBeGreaterThan(0.0);
    foreach ($guides as $bands) {
        expect(array_column($bands, 'name'))->toBe(['eyes', 'nose', 'mouth']);
        foreach ($bands as $i => $band) {
            expect($band['highMm'])->toBeGreaterThan($band['lowMm']);
            if ($i > 0) {
                expect($band['highMm'])->toBeLessThan($bands[$i - 1]['highMm']);
            }
        }
    }
    // Grown-up eyes stand one eye's width apart, five across: their middles at two fifths of the half width (common practice).
    $apart = array_column(Guides::on(30.0, -30.0, static fn (float $y): float => 30.0), 'eyes', 'key');
    expect($apart['grown-up']['fromMm'])
        ->toBeLessThan(12.0)
        ->and($apart['grown-up']['toMm'])
        ->toBeGreaterThan(12.0)
        ->and($apart['gruff']['toMm'])
        ->toBeLessThan($apart['baby']['fromMm']);
    // They grow with the head.
    expect(Guides::on(60.0, -60.0, static fn (float $y): float => 60.0)[0]['bands'][0]['highMm'])->toEqualWithDelta(
        2 * $guides['cute'][0]['highMm'],
        1e-9,
    );
});
