<?php

declare(strict_types=1);

namespace Impa\Tests\Fringe;

use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Geometry\Outline\Polygon;
use Impa\Render\Tufts;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Decomposition\Fringe;
use Impa\Seeing\Fitting\Fit;
use Impa\Shape\ShapeKind;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Pixels;
use Impa\Tests\Support\Sketch;

const BODY_PX = 60.0;

/**
 * A round body with teeth, about the middle of the picture.
 *
 * @param  callable(int): float  $lengthPx  of each tooth
 */
function toothed(int $teeth, callable $lengthPx, float $fromDeg = 0.0, float $toDeg = 360.0): ?Fringe
{
    return Fringe::of(Pixels::blob(Pixels::where(static function (float $x, float $y) use ($teeth, $lengthPx, $fromDeg, $toDeg): bool {
        $deg = fmod(rad2deg(atan2($y, $x)) + 360.0, 360.0);
        $along = $deg / 360 * $teeth;
        $isToothed = $deg >= $fromDeg && $deg <= $toDeg;

        return hypot($x, $y) < BODY_PX + ($isToothed ? $lengthPx((int) $along) * (1 - abs(2 * fmod($along, 1.0) - 1)) : 0.0);
    })));
}

/** A hedgehog of so many spines, its body's rim at 100 px and their tips at so many more. */
function hedgehog(int $spines, float $lengthPx): Sketch
{
    $rim = [];
    for ($k = 0; $k < 2 * $spines; $k++) {
        $reach = 100 + $k % 2 * $lengthPx;
        $rim[] = [200 + $reach * sin(M_PI * $k / $spines), 200 + $reach * cos(M_PI * $k / $spines)];
    }

    return (new Sketch)->polygon($rim, 0x6A5A50)->oval(180, 190, 14, 18, 0x181818)->oval(220, 190, 14, 18, 0x181818);
}

it('is found round a body, all its teeth and how far they stand out', function (int $teeth, float $lengthPx) {
    $fringe = toothed($teeth, static fn (): float => $lengthPx);
    $body = new Fit(ShapeKind::Ball, 2 * BODY_PX, 2 * BODY_PX, [], Pixels::SIZE / 2, -Pixels::SIZE / 2);
    expect(count($fringe->tips))->toBe($teeth)
        ->and($fringe->isOfTufts)->toBeTrue()
        ->and($fringe->beyondPx($body))->toEqualWithDelta($lengthPx, 2.0)
        // The disc dips into the feet of the teeth, which half of their length would not be.
        ->and(sqrt($fringe->body->area() / M_PI))->toBeGreaterThan(BODY_PX - 1)->toBeLessThan(BODY_PX + 0.25 * $lengthPx);
})->with([[9, 20.0], [12, 18.0], [16, 14.0], [20, 20.0]]);

it('is none where there are few teeth, or short ones, or each is another, or they line a side alone', function (?Fringe $found) {
    expect($found)->toBeNull();
})->with([
    'a disc' => [fn () => toothed(12, static fn (): float => 0.0)],
    'a star' => [fn () => toothed(5, static fn (): float => 30.0)],
    'ripples' => [fn () => toothed(16, static fn (): float => 4.0)],
    'a blot' => [fn () => toothed(12, static fn (int $k): float => [8.0, 44.0, 12.0, 30.0][$k % 4])],
    'a brow' => [fn () => toothed(20, static fn (): float => 18.0, 20.0, 170.0)],
]);

it('is the tufts of a plain body: one part, as long and as close as they are drawn, in a mirror as well', function () {
    $hedgehog = imagecreatefromstring(hedgehog(14, 28)->png());
    foreach ([false, true] as $isTurned) {
        if ($isTurned) {
            imageflip($hedgehog, IMG_FLIP_HORIZONTAL);
        }
        ob_start();
        imagepng($hedgehog);
        $document = Breakdown::of((string) ob_get_clean(), 100.0)->document;
        expect($document['parts'])->toHaveCount(1);
        [$part, $mmPerPx] = [$document['parts'][0], $document['picture']['mmPerPx']];
        expect($part['shape']['kind'])->toBe('ball')
            ->and($part['shape']['widthMm'])->toEqualWithDelta(200 * $mmPerPx, 14 * $mmPerPx)
            ->and($part['covering']['way'])->toBe('tufts')
            ->and($part['shape']['widthMm'] / 2 + $part['covering']['lengthMm'])->toEqualWithDelta(128 * $mmPerPx, 2 * $mmPerPx)
            ->and($part['seen']['why'])->toContain('its 14 teeth are tufts');
        // Drawn again there are as many.
        $drawn = Figure::fromJson((string) json_encode($document))->parts[$part['key']];
        expect(count(Tufts::along($drawn, Silhouette::of(Placement::of($drawn), Side::Front))[0]))->toBe(2 * 14);
    }
});

it('is the outline of a plate where tufts would not make it: one leaf, and not a part for each of its lobes', function () {
    $rim = [];
    for ($k = 0; $k < 32; $k++) {
        $reach = 80 + $k % 2 * 90;
        $rim[] = [200 + $reach * sin(M_PI * $k / 16), 200 + $reach * cos(M_PI * $k / 16)];
    }
    $parts = Breakdown::of((new Sketch)->polygon($rim, 0xC1694F)->png(), 100.0)->document['parts'];
    expect($parts)->toHaveCount(1)
        ->and($parts[0]['shape']['kind'])->toBe('plate')
        ->and(count($parts[0]['shape']['outline']))->toBeGreaterThanOrEqual(32)
        ->and($parts[0])->not->toHaveKey('covering');
});

describe('tufts', function () {
    $loops = static function (array $covering): array {
        $part = Figures::read(Figures::document([Figures::part('a', 'ball', 40, 40, 40, 0, 20, 0, ['covering' => $covering])]))->parts['a'];
        $bare = Silhouette::of(Placement::of($part), Side::Front);

        return [$bare, Tufts::along($part, $bare)];
    };

    it('show as a star of so many points: n r (r + length) sin(pi / n)', function (float $perCm2, float $lengthMm) use ($loops) {
        [$bare, $tufted] = $loops(['way' => 'tufts', 'lengthMm' => $lengthMm, 'perCm2' => $perCm2]);
        $points = (int) round(Polygon::perimeter($bare[0]) / 10 * sqrt($perCm2));
        $area = $points * 20 * (20 + $lengthMm) * sin(M_PI / $points);
        expect(abs(Polygon::signedArea($tufted[0])))->toEqualWithDelta($area, 0.01 * $area)
            ->and(max(array_column($tufted[0], 1)))->toEqualWithDelta(20 + $lengthMm, 0.1);
    })->with([[1.0, 6.0], [4.0, 12.0], [0.5, 9.0]]);

    it('are no felt', function () use ($loops) {
        [$bare, $same] = $loops(['way' => 'felt']);
        expect($same)->toBe($bare);
    });
});
