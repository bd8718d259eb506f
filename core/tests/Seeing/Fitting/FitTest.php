<?php

declare(strict_types=1);

namespace Impa\Tests\Fit;

use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Fitting\Fitting;
use Impa\Seeing\Fitting\Samples;
use Impa\Seeing\Result\ShapeWriting;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Tests\Support\Pixels;

/** @param  array<int, true>  $pixels */
function fitOf(array $pixels): Fit
{
    return Fitting::best(Pixels::blob($pixels), Pixels::map($pixels), false);
}

it('covers what every shape of the catalogue draws, turned as it is drawn', function (ShapeKind $kind, float $deg) {
    $options = $kind === ShapeKind::Drumstick ? ['topMm' => 34.0, 'bottomMm' => 70.0] : [];
    $fit = fitOf(Pixels::of(Catalogue::solid($kind, Size::of(70, 120, 70), $options), $deg, 8, -5));
    expect($fit->overlap)
        ->toBeGreaterThan(0.94)
        ->and($fit->x)
        ->toEqualWithDelta(Pixels::SIZE / 2 + 8, 12)
        ->and($fit->y)
        ->toEqualWithDelta(-Pixels::SIZE / 2 - 5, 12);
})
    ->with([
        ShapeKind::Ball,
        ShapeKind::Egg,
        ShapeKind::Sausage,
        ShapeKind::Drum,
        ShapeKind::Drumstick,
        ShapeKind::Cone,
        ShapeKind::Drop,
        ShapeKind::Dome,
    ])
    ->with([0.0, 35.0, -70.0]);

it('tells a ball, a drum, a sausage and a cone apart', function (ShapeKind $kind, float $width, float $height) {
    expect(fitOf(Pixels::of(Catalogue::solid($kind, Size::of($width, $height, $width))))->kind)->toBe($kind);
})->with([
    [ShapeKind::Ball, 90, 90],
    [ShapeKind::Ball, 120, 70],
    [ShapeKind::Drum, 90, 110],
    [ShapeKind::Sausage, 40, 140],
    [ShapeKind::Cone, 90, 120],
    [ShapeKind::Dome, 130, 65],
]);

it('finds the thin end of an egg', function (float $taper) {
    $fit = fitOf(Pixels::of(Catalogue::solid(ShapeKind::Egg, Size::of(90, 120, 90), ['taper' => $taper])));
    expect($fit->kind)->toBe(ShapeKind::Egg);
    // The same egg may be seen upside down with its taper the other way.
    $seen = ($fit->options['taper'] ?? 0.0) * (abs($fit->turnDeg) > 90 ? -1 : 1);
    expect($seen)->toEqualWithDelta($taper, 0.12);
})->with([-0.45, 0.45]);

it('finds an arc again: its bend, thickness and length', function (float $bendDeg, float $turnDeg) {
    $fit = fitOf(Pixels::of(Catalogue::solid(ShapeKind::Arc, Size::of(22, 160, 22), ['bendDeg' => $bendDeg]), $turnDeg));
    expect($fit->kind)
        ->toBe(ShapeKind::Arc)
        ->and($fit->overlap)
        ->toBeGreaterThan(0.75)
        ->and($fit->options['bendDeg'] ?? 0)
        ->toEqualWithDelta($bendDeg, 30)
        ->and($fit->widthPx)
        ->toEqualWithDelta(22, 5)
        ->and($fit->heightPx)
        ->toEqualWithDelta(160, 22);
})
    ->with([90.0, 160.0])
    ->with([0.0, 50.0, 180.0]);

it('finds a ring again: its width, its height, how thick its roll is', function (
    float $width,
    float $height,
    float $thick,
    float $deg,
) {
    $fit = fitOf(Pixels::of(Catalogue::solid(ShapeKind::Ring, Size::of($width, $height, $thick)), $deg));
    expect($fit->kind)
        ->toBe(ShapeKind::Ring)
        ->and($fit->overlap)
        ->toBeGreaterThan(0.9)
        ->and(max($fit->widthPx, $fit->heightPx))
        ->toEqualWithDelta(max($width, $height), 5)
        ->and(min($fit->widthPx, $fit->heightPx))
        ->toEqualWithDelta(min($width, $height), 5)
        ->and($fit->depthPx())
        ->toEqualWithDelta($thick, 0.12 * $thick + 2)
        ->and($fit->flattened())
        ->toBe($fit);
})->with([[120, 120, 24, 0.0], [150, 100, 30, 35.0], [160, 160, 60, 0.0], [90, 150, 16, -60.0]]);

it('takes no open bow and no filled disc for a ring', function () {
    $open = Pixels::where(
        static fn (float $x, float $y): bool => hypot($x, $y) < 70 && hypot($x, $y) > 45 && ! ($x > 0 && abs($y) < 14),
    );
    $filled = Pixels::where(static fn (float $x, float $y): bool => hypot($x, $y) < 70 && hypot($x, $y) > 6);
    expect(fitOf($open)->kind)->not->toBe(ShapeKind::Ring)->and(fitOf($filled)->kind)->toBe(ShapeKind::Ball);
});

it('gives an outline of its own to what no simple shape covers', function () {
    $heart = Catalogue::solid(ShapeKind::Plate, Size::of(140, 130, 10), ['outline' => 'heart']);
    $cross = Pixels::where(
        static fn (float $x, float $y): bool => (abs($x) < 18 && abs($y) < 80) || (abs($y) < 18 && abs($x) < 80),
    );
    expect(fitOf(Pixels::of($heart))->overlap)->toBeGreaterThan(0.85);
    $fit = fitOf($cross);
    expect($fit->kind)
        ->toBe(ShapeKind::Plate)
        ->and($fit->options['outline'] ?? null)
        ->toBeArray();
});

it('goes on behind its neighbours, and not over the ground', function () {
    $whole = Pixels::where(Pixels::oval(0, 0, 60, 60));
    $map = Pixels::map($whole);
    $seen = $whole;
    foreach ($whole as $i => $_) {
        // Its right third is hidden by something else.
        if ($i % Pixels::SIZE > Pixels::SIZE / 2 + 20) {
            unset($seen[$i]);
            $map[$i] = 1;
        }
    }
    $fit = Fitting::best(Pixels::blob($seen), $map, true);
    expect($fit->widthPx)
        ->toBeGreaterThan(100.0)
        ->and($fit->heightPx)
        ->toEqualWithDelta(120, 8)
        ->and($fit->x + $fit->widthPx / 2)
        ->toBeLessThan(Pixels::SIZE / 2 + 75.0);
});

it('is seen in a mirror, and mirrored again is itself', function (ShapeKind $kind) {
    $options = $kind === ShapeKind::Arc ? ['bendDeg' => 120.0] : [];
    $pixels = Pixels::of(Catalogue::solid($kind, Size::of(30, 120, 30), $options), 30, 25, 10);
    $fit = fitOf($pixels);
    $mirrored = $fit->mirrored(Pixels::SIZE / 2);
    $flipped = [];
    foreach ($pixels as $i => $_) {
        $flipped[intdiv($i, Pixels::SIZE) * Pixels::SIZE + Pixels::SIZE - 1 - ($i % Pixels::SIZE)] = true;
    }
    $covers = static fn (Fit $f, array $set): float => ($k = Samples::of(Pixels::blob($set), Pixels::map($set), 40, 1.2)->coverBy(
        $f->solid(),
        $f->x,
        $f->y,
        $f->turnDeg,
    ))[0] / $k[1];
    expect($covers($mirrored, $flipped))->toEqualWithDelta($covers($fit, $pixels), 0.03);
    $again = $mirrored->mirrored(Pixels::SIZE / 2);
    expect([$again->x, $again->y])
        ->toEqualWithDelta([$fit->x, $fit->y], 1e-9)
        ->and(fmod($again->turnDeg - $fit->turnDeg + 720, 360.0))
        ->toEqualWithDelta(0, 1e-9);
})->with([ShapeKind::Cone, ShapeKind::Sausage, ShapeKind::Arc]);

it('makes twins equal, half-way between the two', function () {
    $one = fitOf(Pixels::of(Catalogue::solid(ShapeKind::Ball, Size::of(60, 80, 60)), 0, 40));
    $two = fitOf(Pixels::of(Catalogue::solid(ShapeKind::Ball, Size::of(64, 84, 60)), 0, 44));
    $mean = $one->mean($two);
    expect($mean->widthPx)
        ->toEqualWithDelta(62, 1.5)
        ->and($mean->heightPx)
        ->toEqualWithDelta(82, 1.5)
        ->and($mean->x)
        ->toEqualWithDelta(Pixels::SIZE / 2 + 42, 1);
});

it('felts flat what is asked flat, in the same outline', function () {
    $flat = fitOf(Pixels::of(Catalogue::solid(ShapeKind::Cone, Size::of(60, 90, 60))))->flattened();
    expect($flat->kind)
        ->toBe(ShapeKind::Plate)
        ->and($flat->options['outline'] ?? '')
        ->toBe('triangle')
        ->and($flat->isFlat())
        ->toBeTrue();
});

describe('ShapeWriting', function () {
    it('writes pixels as millimetres, with the shape\'s own numbers', function () {
        $fit = fitOf(
            Pixels::of(Catalogue::solid(ShapeKind::Drumstick, Size::of(60, 150, 60), ['topMm' => 28.0, 'bottomMm' => 60.0])),
        );
        $shape = ShapeWriting::of($fit, 0.5, false);
        expect($shape['widthMm'])
            ->toEqualWithDelta(30, 1.5)
            ->and($shape['heightMm'])
            ->toEqualWithDelta(75, 2)
            ->and(min($shape['topMm'] ?? 99, $shape['bottomMm'] ?? 99))
            ->toEqualWithDelta(14, 3);
    });

    it('keeps thin plates within what is felted, and makes a cushion of a large one', function () {
        $cross = fitOf(
            Pixels::where(
                static fn (float $x, float $y): bool => (abs($x) < 18 && abs($y) < 80) || (abs($y) < 18 && abs($x) < 80),
            ),
        );
        expect(ShapeWriting::of($cross, 0.1, false)['depthMm'])
            ->toEqualWithDelta(3.2, 0.3)
            ->and(ShapeWriting::of($cross, 0.5, true)['depthMm'])
            ->toBeLessThanOrEqual(6.0)
            ->and(ShapeWriting::of($cross, 0.5, false)['depthMm'])
            ->toBeGreaterThan(20.0);
    });

    it('leaves a hole in a ring, whatever its sizes are rounded to', function () {
        $thick = fitOf(Pixels::of(Catalogue::solid(ShapeKind::Ring, Size::of(140, 140, 52))));
        $shape = ShapeWriting::of($thick, 0.07, false, 10.0);
        expect($thick->kind)
            ->toBe(ShapeKind::Ring)
            ->and($shape['widthMm'])
            ->toBe(10.0)
            ->and(2 * $shape['depthMm'])
            ->toBeLessThan(10.0);
    });

    it('rounds sizes to steps, and never to nothing', function () {
        $ball = fitOf(Pixels::where(Pixels::oval(0, 0, 31, 44)));
        expect(ShapeWriting::of($ball, 0.5, false, 5.0))
            ->toMatchArray(['widthMm' => 30.0, 'heightMm' => 45.0])
            ->and(ShapeWriting::of($ball, 0.02, false, 5.0)['widthMm'])
            ->toBe(5.0);
    });
});
