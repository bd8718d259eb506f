<?php

declare(strict_types=1);

namespace Impa\Tests\Chart;

use Impa\Surface\Chart;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Tests\Support\Figures;

/** @param  array<string, mixed>  $more */
function faceOf(string $kind, float $w, float $h, float $d, array $more = []): Surface
{
    return Surface::of(
        Figures::read(Figures::document([Figures::part('head', $kind, $w, $h, $d, 0, 0, 0, $more)]))->parts[
            'head'
        ]->placements()[0],
    );
}

it('marks a ball alike however it is turned: by its circles', function () {
    mt_srand(11);
    for ($n = 0; $n < 40; $n++) {
        $surface = faceOf('ball', 60, 60, 60, [
            'turnDeg' => ['x' => mt_rand(-60, 60), 'y' => mt_rand(-60, 60), 'z' => mt_rand(-60, 60)],
        ]);
        [$y, $share] = [mt_rand(-240, 240) / 10, mt_rand(-85, 85) / 100];
        $level = sqrt(30 ** 2 - $y ** 2);
        $mark = TapeMark::on($surface, $share * $level, $y);
        expect($mark->acrossMm)
            ->toEqualWithDelta($level * asin($share), 0.01)
            ->and($mark->downMm)
            ->toEqualWithDelta(30 * acos($y / 30), 0.01)
            ->and($mark->pinMm)
            ->toEqualWithDelta(2 * $level * sin(asin(abs($share)) / 2), 0.01);
    }
});

it('comes back within 0.01 mm to where it went from', function (string $kind, array $turn) {
    $chart = Chart::of(faceOf($kind, 52, 46, 48, ['turnDeg' => $turn]));
    foreach ([[0.0, 0.0], [9.0, -3.0], [-14.0, 6.0], [18.0, -9.0], [3.0, -15.0]] as [$x, $y]) {
        $mark = $chart->mark($x, $y);
        $seen = $chart->seen($mark->acrossMm, $mark->downMm);
        expect($seen)->not->toBeNull()->and($seen[0])->toEqualWithDelta($x, 0.01)->and($seen[1])->toEqualWithDelta($y, 0.01);
    }
})
    ->with(['ball', 'egg', 'drum', 'dome'])
    ->with([[['x' => 0, 'y' => 0, 'z' => 0]], [['x' => 20, 'y' => -15, 'z' => 10]]]);

it('says that a place lies round the edge, where it is not seen', function () {
    $chart = Chart::of(faceOf('ball', 60, 60, 60));
    // A quarter of the girth is 47.1 mm: what lies farther is on the back.
    expect($chart->seen(48.0, 47.1))
        ->toBeNull()
        ->and($chart->seen(0.0, 95.0))
        ->toBeNull()
        ->and($chart->seen(0.0, -1.0))
        ->toBeNull()
        ->and($chart->seen(46.0, 47.1))
        ->not->toBeNull();
});

it('pulls a tape taut along the great circle of a ball, from any mark to any other', function () {
    $chart = Chart::of(faceOf('ball', 60, 60, 60));
    mt_srand(4);
    for ($n = 0; $n < 12; $n++) {
        $points = [];
        while (count($points) < 2) {
            [$x, $y] = [mt_rand(-24, 24), mt_rand(-24, 24)];
            if (hypot($x, $y) < 25.5) {
                $points[] = [(float) $x, (float) $y];
            }
        }
        [$a, $b] = $points;
        $angle = acos(
            max(
                -1.0,
                min(
                    1.0,
                    ($a[0] * $b[0] + $a[1] * $b[1] + sqrt(900 - $a[0] ** 2 - $a[1] ** 2) * sqrt(900 - $b[0] ** 2 - $b[1] ** 2)) /
                        900,
                ),
            ),
        );
        $found = $chart->between($a, $b);
        expect($found['pinMm'])
            ->toEqualWithDelta(60 * sin($angle / 2), 1e-9)
            ->and($found['tapeMm'])
            ->toEqualWithDelta(30 * $angle, 0.1)
            ->and($chart->between($b, $a)['tapeMm'])
            ->toEqualWithDelta($found['tapeMm'], 0.02);
    }
});

it('unrolls a can: the tape between two marks is the straight line on the unrolled sheet', function () {
    // The middle of a sausage is a cylinder of 10 mm radius.
    $chart = Chart::of(faceOf('sausage', 20, 100, 20));
    foreach ([[[-6.0, -10.0], [7.0, 15.0]], [[0.0, 0.0], [8.0, 20.0]]] as [$a, $b]) {
        $around = 10 * abs(asin($b[0] / 10) - asin($a[0] / 10));
        expect($chart->between($a, $b)['tapeMm'])->toEqualWithDelta(hypot($around, $b[1] - $a[1]), 0.05);
    }
});

it('measures nothing to where the piece is not, and nothing from a place to itself', function () {
    $chart = Chart::of(faceOf('ball', 40, 40, 40));
    expect($chart->between([0.0, 0.0], [30.0, 0.0]))
        ->toBeNull()
        ->and($chart->between([5.0, 5.0], [5.0, 5.0]))
        ->toEqual(['pinMm' => 0.0, 'tapeMm' => 0.0]);
});

it('never says that the tape is shorter than the pins, and both grow with the head', function () {
    mt_srand(8);
    for ($n = 0; $n < 8; $n++) {
        [$x, $y] = [mt_rand(-15, 15), mt_rand(-12, 12)];
        $one = Chart::of(faceOf('egg', 52, 56, 48))->between([2.0, 3.0], [(float) $x, (float) $y]);
        $two = Chart::of(faceOf('egg', 104, 112, 96))->between([4.0, 6.0], [2.0 * $x, 2.0 * $y]);
        expect($one['tapeMm'])
            ->toBeGreaterThanOrEqual($one['pinMm'])
            ->and($two['tapeMm'])
            ->toEqualWithDelta(2 * $one['tapeMm'], 0.02)
            ->and($two['pinMm'])
            ->toEqualWithDelta(2 * $one['pinMm'], 1e-9);
    }
});

it('lies taut on a ball where the straight way as seen is much longer, to 0.02 mm', function (array $from, array $to) {
    $high = static fn (array $p): float => sqrt(900 - $p[0] ** 2 - $p[1] ** 2);
    $arc = 30 * acos(($from[0] * $to[0] + $from[1] * $to[1] + $high($from) * $high($to)) / 900);
    $surface = faceOf('ball', 60, 60, 60);
    $tape = Chart::of($surface)->between($from, $to)['tapeMm'];
    expect($tape)
        ->toEqualWithDelta($arc, 0.02)
        ->and(TapeMark::straightMm($surface, $from, $to) - $tape)
        ->toBeGreaterThan(0.9);
})->with([
    [[-20.0, 15.0], [20.0, 15.0]],
    [[-18.0, -18.0], [-18.0, 18.0]],
    [[25.0, 0.0], [-10.0, 20.0]],
    [[-14.0, 22.0], [14.0, 22.0]],
]);

it('spans a gap through the air, as from horn to horn', function () {
    $horns = [[-30, -30], [30, -30], [30, 30], [20, 30], [20, -20], [-20, -20], [-20, 30], [-30, 30]];
    $part = Figures::part('head', 'plate', 60, 60, 6);
    $part['shape']['outline'] = $horns;
    $surface = Surface::of(Figures::read(Figures::document([$part]))->parts['head']->placements()[0]);
    expect(Chart::of($surface)->between([-25.0, 25.0], [25.0, 25.0]))->toEqual(['pinMm' => 50.0, 'tapeMm' => 50.0]);
});

it('knows the level at each length of tape, from the crown of a ball to its foot', function () {
    $chart = Chart::of(faceOf('ball', 60, 60, 60));
    foreach ([1.0, 20.0, 47.0, 70.0] as $down) {
        expect($chart->levelMm($down))->toEqualWithDelta(30 * cos($down / 30), 0.002);
    }
    expect($chart->levelMm(0.0))
        ->toEqualWithDelta(30.0, 1e-4)
        ->and($chart->levelMm(94.3))
        ->toBeNull()
        ->and($chart->levelMm(-0.1))
        ->toBeNull();
});

it('looks as far as a piece reaches on either side, and no farther', function () {
    // A flat piece that reaches 30 mm to the right of its middle and 20 to the left: across by tape is across as seen.
    $part = Figures::part('head', 'plate', 60, 40, 6);
    $part['shape']['outline'] = [[-30, -20], [30, -20], [30, 20], [-10, 20]];
    $surface = Surface::of(Figures::read(Figures::document([$part]))->parts['head']->placements()[0]);
    $chart = Chart::of($surface);
    $down = $chart->mark(0.0, 0.0)->downMm;
    expect($chart->seen(27.0, $down)[0])
        ->toEqualWithDelta(27.0, 0.5)
        ->and($chart->seen(-17.0, $down)[0])
        ->toEqualWithDelta(-17.0, 0.5)
        ->and($chart->seen(34.0, $down))
        ->toBeNull()
        ->and($chart->seen(-26.0, $down))
        ->toBeNull();
});
