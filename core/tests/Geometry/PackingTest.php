<?php

declare(strict_types=1);

namespace Impa\Tests\Packing;

use Impa\Geometry\Outline\SkylinePacking;
use Impa\Tests\Support\CutUp;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * @param  list<array{float|int, float|int}>  $sizes
 * @return list<array{float, float}>
 */
function sizes(array $sizes): array
{
    return array_map(static fn (array $s): array => [(float) $s[0], (float) $s[1]], $sizes);
}

it('lays rectangles with a known optimum within 8 % of it', function (float $width, float $height, array $sizes) {
    $area = array_sum(array_map(static fn (array $s): float => $s[0] * $s[1], $sizes));
    // Written from memory: that they fill the sheet tells that they are whole.
    expect((float) $area)->toEqual($width * $height);
    $packing = SkylinePacking::of(sizes($sizes), $width, tries: SkylinePacking::THOROUGH);
    expect($packing->length)->toBeLessThanOrEqual(1.08 * $height)->toBeGreaterThanOrEqual($height - 1e-9);
})->with([
    // Hopper and Turton (2001), category 1, problems 1 to 3.
    'C1 P1' => [20, 20, [
        [2, 12], [7, 12], [8, 6], [3, 6], [3, 5], [5, 5], [3, 12], [3, 7], [5, 7], [2, 6], [3, 2], [4, 2], [3, 4], [4, 4], [9, 2], [11, 2],
    ]],
    'C1 P2' => [20, 20, [
        [4, 1], [4, 5], [9, 4], [3, 5], [3, 9], [1, 4], [5, 3], [4, 1], [5, 5], [7, 2], [9, 3], [3, 13], [2, 8], [15, 4], [5, 4], [10, 6],
        [7, 2],
    ]],
    'C1 P3' => [20, 20, [
        [4, 14], [5, 2], [2, 2], [9, 7], [5, 5], [2, 5], [7, 7], [3, 5], [6, 5], [3, 2], [6, 2], [4, 6], [6, 3], [10, 3], [6, 3], [10, 3],
    ]],
    // Moroń's squared rectangle (1925), Duijvestijn's simple perfect squared square of order 21 (1978).
    'nine squares' => [33, 32, array_map(static fn (int $a): array => [$a, $a], [18, 15, 14, 10, 9, 8, 7, 4, 1])],
    'twenty-one squares' => [112, 112, array_map(
        static fn (int $a): array => [$a, $a],
        [50, 35, 27, 8, 19, 15, 17, 11, 6, 24, 29, 25, 9, 2, 7, 18, 16, 42, 4, 37, 33],
    )],
]);

it('lays sixty pieces of a sheet that was cut up within 8 % of it', function (int $seed) {
    $packing = SkylinePacking::of(CutUp::of(200.0, 200.0, 60, $seed), 200.0, tries: SkylinePacking::THOROUGH);
    expect($packing->length)->toBeLessThanOrEqual(216.0);
})->with([11, 12, 13, 14]);

it('lays no piece over another or over the rim, on as many sheets as it takes', function (int $seed) {
    $random = new Randomizer(new Mt19937($seed));
    $sizes = [];
    for ($i = $random->getInt(2, 30); $i > 0; $i--) {
        $sizes[] = [(float) $random->getInt(5, 90), (float) $random->getInt(5, 90)];
    }
    $mayTurn = $seed % 2 === 0;
    $packing = SkylinePacking::of($sizes, 100.0, 120.0, $mayTurn);
    expect($packing->places)->toHaveCount(count($sizes))
        ->and($packing->sheets)->toBeGreaterThanOrEqual((int) ceil(array_sum(array_map(array_product(...), $sizes)) / 12_000));
    $boxes = [];
    foreach ($packing->places as $i => $at) {
        [$w, $h] = $at['isTurned'] ? [$sizes[$i][1], $sizes[$i][0]] : $sizes[$i];
        expect($at['x'])->toBeGreaterThanOrEqual(0.0)->and($at['x'] + $w)->toBeLessThanOrEqual(100.0 + 1e-6)
            ->and($at['y'] + $h)->toBeLessThanOrEqual(120.0 + 1e-6)->and($mayTurn || ! $at['isTurned'])->toBeTrue();
        foreach ($boxes as [$sheet, $x, $y, $ow, $oh]) {
            $apart = $sheet !== $at['sheet'] || $x + $ow <= $at['x'] + 1e-6 || $x + 1e-6 >= $at['x'] + $w
                || $y + $oh <= $at['y'] + 1e-6 || $y + 1e-6 >= $at['y'] + $h;
            expect($apart)->toBeTrue();
        }
        $boxes[] = [$at['sheet'], $at['x'], $at['y'], $w, $h];
    }
})->with(range(1, 12));

it('finds no place for what is larger than every sheet, and none is needed for nothing', function () {
    $few = SkylinePacking::of([[50.0, 130.0]], 100.0, 120.0, false);
    $many = SkylinePacking::of([...array_fill(0, 8, [10.0, 10.0]), [50.0, 130.0]], 100.0, 120.0, false);
    expect($few->places)->toBe([])->and($many->places)->toBe([])
        ->and(SkylinePacking::of([[50.0, 110.0]], 100.0, 60.0)->places)->toBe([])
        ->and(SkylinePacking::of([[50.0, 90.0]], 100.0, 60.0)->places[0]['isTurned'])->toBeTrue()
        ->and(SkylinePacking::of([], 100.0)->sheets)->toBe(0);
});
