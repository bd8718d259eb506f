<?php

declare(strict_types=1);

namespace Impa\Tests\Within;

use Impa\Shape\Catalogue;
use Impa\Shape\Outline;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Shape\Solid;

/**
 * The volume of what lies so deep within, and the height of its middle, counted: every shape is as thick before as behind the picture
 * plane, so that over a grid of places the least of "thickness there, less what a ball of that radius takes" is what is left (erosion
 * of a height field by a ball; Serra, Image Analysis and Mathematical Morphology, 1982).
 *
 * @return array{float, float, float} cm3, and the middle in mm; NAN where nothing is left
 */
function counted(Solid $solid, float $mm, float $step): array
{
    $size = $solid->size();
    $front = $solid->front()[0];
    [$halfW, $halfH] = [max(array_map(abs(...), array_column($front, 0))), $size->heightMm / 2];
    $halfH = max($halfH, max(array_map(abs(...), array_column($front, 1))));
    // A rim of nothing all round, as broad as the ball.
    $reach = (int) floor($mm / $step + 1e-9);
    [$columns, $rows] = [(int) ceil(2 * $halfW / $step - 1e-9) + 2 * $reach, (int) ceil(2 * $halfH / $step - 1e-9) + 2 * $reach];
    $thick = [];
    for ($j = 0; $j < $rows; $j++) {
        for ($i = 0; $i < $columns; $i++) {
            $there = $solid->frontMm(($i + 0.5 - $columns / 2) * $step, ($j + 0.5 - $rows / 2) * $step);
            $thick[] = is_nan($there) ? -INF : $there;
        }
    }
    $ball = [];
    for ($j = -$reach; $j <= $reach; $j++) {
        for ($i = -$reach; $i <= $reach; $i++) {
            $square = $mm ** 2 - ($i ** 2 + $j ** 2) * $step ** 2;
            if ($square > -1e-9) {
                $ball[$j * $columns + $i] = sqrt(max(0.0, $square));
            }
        }
    }
    [$sum, $x, $y] = [0.0, 0.0, 0.0];
    for ($j = $reach; $j < $rows - $reach; $j++) {
        for ($i = $reach; $i < $columns - $reach; $i++) {
            $at = $j * $columns + $i;
            $least = $thick[$at] - $mm;
            if ($least <= 0.0) {
                continue;
            }
            foreach ($ball as $off => $takes) {
                $left = $thick[$at + $off] - $takes;
                if ($left < $least) {
                    $least = $left;
                    if ($left <= 0.0) {
                        continue 2;
                    }
                }
            }
            $sum += $least;
            $x += $least * ($i + 0.5 - $columns / 2) * $step;
            $y += $least * ($j + 0.5 - $rows / 2) * $step;
        }
    }

    return $sum > 0.0 ? [2 * $sum * $step ** 2 / 1000, $x / $sum, $y / $sum] : [0.0, NAN, NAN];
}

/** @return array<string, Solid> every kind as usual, and deeper and flatter than round */
function solids(ShapeKind $kind): array
{
    $usual = Catalogue::usualSize($kind);
    $size = static fn (float $w, float $h, float $d): Size => Size::of(
        2 * ceil($usual->widthMm * $w / 2),
        2 * ceil($usual->heightMm * $h / 2),
        2 * ceil(max($usual->depthMm, 6.0) * $d / 2),
    );
    $solids = ['as usual' => Catalogue::solid($kind, $size(1.0, 1.0, 1.0))];
    if ($kind !== ShapeKind::Ring) {
        $solids += ['deep' => Catalogue::solid($kind, $size(1.2, 1.2, 2.0)), 'flat' => Catalogue::solid($kind, $size(1.5, 1.2, 0.8))];
    }
    if ($kind === ShapeKind::Plate) {
        foreach (Outline::NAMES as $name) {
            $solids[$name] = Catalogue::solid($kind, $size(1.4, 1.4, 2.0), ['outline' => $name]);
        }
    }

    return $solids;
}

it('is what is left at every depth, as counted on a grid', function (ShapeKind $kind) {
    foreach (solids($kind) as $which => $solid) {
        foreach ([1.0, 3.0, 6.0] as $mm) {
            // Between two places of the grid the ball touches nearer still: of two grids, the finer and what it still misses.
            [$coarse] = counted($solid, $mm, $mm === 1.0 ? 1 / 3 : $mm / 6);
            [$fine, $x, $y] = counted($solid, $mm, $mm === 1.0 ? 1 / 6 : $mm / 12);
            $cm3 = $fine - 0.7 * ($coarse - $fine);
            $within = $solid->within($mm);
            $said = "{$which}, {$mm} mm";
            // Where little is left, of the whole: the grid sees no better.
            expect($within?->volumeCm3() ?? 0.0)->toEqualWithDelta($cm3, 0.01 * $cm3 + 0.002 * $solid->volumeCm3(), $said);
            if ($within !== null && $cm3 > 0.05 * $solid->volumeCm3()) {
                expect($within->middleOfMass()[0])->toEqualWithDelta($x, 0.15, $said)
                    ->and($within->middleOfMass()[1])->toEqualWithDelta($y, 0.15, $said);
            }
        }
    }
})->with(ShapeKind::cases())->group('dear');

it('is the closed form where there is one', function () {
    $cm3 = static fn (string $kind, array $size, float $mm, array $options = []): float => Catalogue::solid(
        ShapeKind::from($kind),
        Size::of(...$size),
        $options,
    )->within($mm)?->volumeCm3() ?? 0.0;
    // A ball's, a tin's, a can with its rims, a torus' (Pappus), a hemisphere's: a cap of a smaller ball, cut off so far above its base.
    expect($cm3('ball', [40, 40, 40], 3))->toEqualWithDelta(4 / 3 * M_PI * 1.7 ** 3, 0.02)
        ->and($cm3('block', [30, 40, 20], 2, ['cornerMm' => 0.0, 'edgeMm' => 0.0]))->toEqualWithDelta(2.6 * 3.6 * 1.6, 1e-9)
        ->and($cm3('ring', [60, 60, 20], 4))->toEqualWithDelta(2 * M_PI ** 2 * 2.0 * 0.6 ** 2, 1e-9)
        ->and($cm3('dome', [40, 20, 40], 4))->toEqualWithDelta(M_PI * 1.2 ** 2 * (3 * 1.6 - 1.2) / 3, 0.02)
        // Of a gumdrop: a cylinder cut off so far above its base, and half a smaller ball.
        ->and($cm3('gumdrop', [40, 50, 40], 4))->toEqualWithDelta(M_PI * 1.6 ** 2 * 2.6 + 2 / 3 * M_PI * 1.6 ** 3, 0.02)
        ->and($cm3('sausage', [20, 60, 20], 3))->toEqualWithDelta(M_PI * 0.7 ** 2 * 4.0 + 4 / 3 * M_PI * 0.7 ** 3, 0.01);
    // A cone whose tip is a ball of 3 mm: 3 mm within its sides run through the middle of that ball, to a point.
    $slope = tan(acos(3 / hypot(20, 57)) - atan2(57, 20));
    expect($cm3('cone', [40, 60, 40], 3))->toEqualWithDelta(M_PI / 3 * (5.4 * $slope) ** 2 * 5.4, 0.01);
});

it('is the whole under no cover, less under more, nothing beyond the middle, in any size alike', function (ShapeKind $kind) {
    $solid = Catalogue::solid($kind, Catalogue::usualSize($kind));
    expect($solid->within(0.0)?->volumeCm3())->toEqualWithDelta($solid->volumeCm3(), 1e-9)
        ->and($solid->within($solid->size()->smallestMm() / 2 + 0.01))->toBeNull();
    $before = $solid->volumeCm3();
    foreach ([0.1, 0.2, 0.35] as $share) {
        $mm = $share * $solid->thinnestMm();
        $within = $solid->within($mm);
        $now = $within?->volumeCm3() ?? 0.0;
        $grown = $solid->scaled(1.7)->within(1.7 * $mm)?->volumeCm3() ?? 0.0;
        expect($now)->toBeLessThan($before)
            ->and($grown)->toEqualWithDelta(1.7 ** 3 * $now, 0.002 * $solid->volumeCm3());
        if ($within !== null) {
            [$inside, $whole] = [$within->size(), $solid->size()];
            // Of a roll the length along it, which the box of its bend is not.
            expect($inside->widthMm)->toBeLessThanOrEqual($whole->widthMm - 1.9 * $mm)
                ->and($inside->depthMm)->toBeLessThanOrEqual($whole->depthMm - 1.9 * $mm);
        }
        $before = $now;
    }
})->with(ShapeKind::cases());

it('draws what is left within the drawing of the whole', function (ShapeKind $kind) {
    foreach (solids($kind) as $solid) {
        $within = $solid->within(2.0);
        foreach ($within?->front()[0] ?? [] as [$x, $y]) {
            expect(is_nan($solid->frontMm(0.999 * $x, 0.999 * $y)))->toBeFalse();
        }
        foreach ($within?->loft()->rings ?? [] as $ring) {
            expect(count($ring))->toBe(count($within->loft()->rings[0]));
        }
    }
})->with(ShapeKind::cases());
