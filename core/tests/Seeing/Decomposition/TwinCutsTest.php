<?php

declare(strict_types=1);

namespace Impa\Tests\TwinCuts;

use Impa\Seeing\Breakdown;
use Impa\Seeing\Decomposition\Lobe;
use Impa\Seeing\Decomposition\TwinCuts;
use Impa\Seeing\Segmentation\Region;
use Impa\Tests\Support\Pixels;

/** @param  callable(float, float): bool  $in */
function lobe(callable $in, float $neckPx = 0.0): Lobe
{
    return new Lobe(Pixels::blob(Pixels::where($in)), $neckPx);
}

/** @param  list<Lobe>  $lobes */
function region(int $index, array $lobes, int $label = 1): Region
{
    $region = new Region($index, $label);
    foreach ($lobes as $lobe) {
        foreach ($lobe->blob->pixels as $i => $_) {
            $region->add($i % $lobe->blob->width, intdiv($i, $lobe->blob->width));
        }
    }

    return $region;
}

/** @param  list<Lobe>  $lobes */
function areas(array $lobes): array
{
    return array_map(static fn (Lobe $l): int => $l->blob->area(), $lobes);
}

$wing = static fn (int $way, float $lift = 0.0): callable => Pixels::oval($way * 60, $lift, 40, 25);
$half = static fn (callable $in, bool $inner): callable => static fn (float $x, float $y): bool => $in($x, $y) && (abs($x) < 55) === $inner;

it('makes one of two where the twin is one', function () use ($wing, $half) {
    $cut = [4 => [lobe($wing(-1))], 7 => [lobe($half($wing(1), false)), lobe($half($wing(1), true), 12.0)]];
    $alike = TwinCuts::alike($cut, [4 => region(4, $cut[4]), 7 => region(7, $cut[7])]);
    expect(array_map(count(...), $alike))->toBe([4 => 1, 7 => 1])
        ->and($alike[7][0]->blob->area())->toBe(array_sum(areas($cut[7])))
        ->and($alike[7][0]->neckPx)->toBe(0.0);
});

it('cuts a twin in three where the other is cut in two, in the mirror of the two', function () use ($wing, $half) {
    $outer = $half($wing(1), false);
    $cut = [
        [lobe($half($wing(-1), false)), lobe($half($wing(-1), true), 30.0)],
        [
            lobe(static fn (float $x, float $y): bool => $outer($x, $y) && $y > 3),
            lobe(static fn (float $x, float $y): bool => $outer($x, $y) && $y <= 3, 9.0),
            lobe($half($wing(1), true), 30.0),
        ],
    ];
    $alike = TwinCuts::alike($cut, [region(0, $cut[0]), region(1, $cut[1])]);
    expect(areas($alike[1]))->toEqual(areas($cut[0]))
        ->and($alike[1][1]->neckPx)->toBe(30.0)
        ->and($alike[0])->toBe($cut[0]);
});

it('gives every pixel to a lobe, though the twins differ by a few at the rim', function () use ($wing, $half) {
    $larger = Pixels::oval(60, 0, 41.5, 25.8);
    $outer = $half($larger, false);
    $cut = [
        [lobe($half($wing(-1), false)), lobe($half($wing(-1), true))],
        [
            lobe($half($larger, true)),
            lobe(static fn (float $x, float $y): bool => $outer($x, $y) && $y > 0),
            lobe(static fn (float $x, float $y): bool => $outer($x, $y) && $y <= 0),
        ],
    ];
    $alike = TwinCuts::alike($cut, [region(0, $cut[0]), region(1, $cut[1])]);
    expect($alike[1])->toHaveCount(2)->and(array_sum(areas($alike[1])))->toBe(array_sum(areas($cut[1])));
});

it('leaves alone what is no twin: of another colour, height or size, or on the same side', function ($other, $label) use ($wing, $half) {
    $cut = [[lobe($wing(-1))], [lobe($half($other, false)), lobe($half($other, true))]];
    $alike = TwinCuts::alike($cut, [region(0, $cut[0]), region(1, $cut[1], $label)]);
    expect($alike)->toBe($cut);
})->with([
    'colour' => [fn () => Pixels::oval(60, 0, 40, 25), 2],
    'height' => [fn () => Pixels::oval(60, 30, 40, 25), 1],
    'size' => [fn () => Pixels::oval(60, 0, 30, 25), 1],
    'side' => [fn () => Pixels::oval(-50, 0, 40, 25), 1],
]);

it('sees a creature with twins of bent shapes: each is one part, and no sliver along a seam is a detail', function () {
    $seen = Breakdown::of((string) file_get_contents(__DIR__.'/../../../../demo/sorrel.png'), 110.0)->document;
    $pairs = array_filter($seen['parts'], static fn (array $p): bool => $p['mirror']);
    expect($seen['parts'])->toHaveCount(5)
        ->and(array_values(array_column($pairs, 'name')))->toBe(['Wing', 'Ear'])
        ->and(array_count_values(array_column($seen['details'], 'on')))->toBe(['body' => 1, 'ear' => 1, 'head' => 4]);
})->group('dear');
