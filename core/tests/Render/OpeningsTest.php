<?php

declare(strict_types=1);

namespace Impa\Tests\Openings;

use Impa\Figure\Figure;
use Impa\Flat\CutLayer;
use Impa\Flat\FeltSheet;
use Impa\Flat\FlatPlan;
use Impa\Geometry\Outline\Polygon;
use Impa\Print\Page\Paper;
use Impa\Print\Template\LayerTemplates;
use Impa\Render\Board;
use Impa\Render\Glb;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Shape\Loft;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;

/** A mask of a disc with two eye holes and the holes of a ribbon; brows over their rims; a patch that one eye goes through. */
function mask(): Figure
{
    $ring = static fn (float $x, float $y, float $r): array => array_map(
        static fn (int $k): array => [$x + $r * cos($k * M_PI / 12), $y + $r * sin($k * M_PI / 12)],
        range(0, 23),
    );
    $on = static fn (string $to): array => ['join' => ['to' => $to], 'colour' => 'black', 'covering' => ['way' => 'pre-felt']];

    return Figures::read(Figures::document(
        [
            Figures::part('ground', 'plate', 160, 110, 3, 0, 60, 0, ['covering' => ['way' => 'pre-felt']]),
            Figures::part('brow', 'plate', 40, 22, 3, 32, 82, 3, ['mirror' => true] + $on('ground')),
            Figures::part('patch', 'plate', 56, 50, 3, -32, 60, 3, $on('ground')),
        ],
        [],
        ['flat' => [
            'way' => 'sheet',
            'openings' => [
                ['key' => 'right', 'pointsMm' => $ring(32, 62, 14)],
                ['key' => 'left', 'pointsMm' => $ring(-32, 62, 14)],
            ],
            'ribbon' => ['widthMm' => 8, 'lengthMm' => 400, 'holesMm' => [[-72, 60], [72, 60]]],
        ]],
    ));
}

/** Whether felt lies at a place, by all pieces of a loft seen from the front: even and odd over its foremost ring. */
function isFelt(Loft $loft, float $x, float $y): bool
{
    $ring = array_chunk($loft->rings[intdiv(count($loft->rings), 2)], 3);

    return Polygon::has(array_map(static fn (array $p): array => [$p[0], $p[1]], $ring), $x, $y);
}

it('is open in each layer in the round exactly where the layer and no opening is, by chance and place', function () {
    $figure = mask();
    mt_srand(4);
    $felt = $open = 0;
    foreach ($figure->parts as $part) {
        foreach ($part->placements() as $placement) {
            $lofts = CutLayer::of($figure, $placement) ?? [$part->solid->loft()];
            $outline = $part->solid->front()[0];
            for ($i = 0; $i < 1500; $i++) {
                [$x, $y] = [160 * mt_rand() / mt_getrandmax() - 80, 110 * mt_rand() / mt_getrandmax() - 55];
                [$fx, $fy] = $placement->place($x, $y, 0.0);
                $isCut = array_filter($figure->flat->cutThrough(), static fn (array $c): bool => Polygon::has($c, $fx, $fy)) !== [];
                $is = array_filter($lofts, static fn (Loft $l): bool => isFelt($l, $x, $y)) !== [];
                if ($is !== (Polygon::has($outline, $x, $y) && ! $isCut)) {
                    // A rounded rim draws the ring in by less than the felt is thick.
                    $near = min(array_map(static fn (array $p): float => hypot($p[0] - $x, $p[1] - $y), $outline));
                    expect($near)->toBeLessThan(12.0);
                }
                $felt += (int) $is;
                $open += (int) ($isCut && Polygon::has($outline, $x, $y) && ! $is);
            }
        }
    }
    expect($felt)->toBeGreaterThan(500)->and($open)->toBeGreaterThan(100);
})->group('dear');

it('takes the felt of the openings out of the solid: their area times its thickness', function () {
    $figure = mask();
    $ground = $figure->parts['ground'];
    [$loft] = CutLayer::of($figure, $ground->placements()[0]);
    $openMm2 = array_sum(array_map(static fn (array $c): float => abs(Polygon::signedArea($c)), $figure->flat->cutThrough()));
    expect($loft->signedVolumeCm3())
        ->toEqualWithDelta($ground->solid->loft()->signedVolumeCm3() - $openMm2 * 3 / 1000, 0.02 * $openMm2 * 3 / 1000);
});

it('is open at every door: flat picture, round view, glTF, layers, sheets, templates', function () {
    $figure = mask();
    $plan = FlatPlan::of($figure, FeltSheet::usual())->document();
    $turning = Board::turning($figure);
    $sheets = array_merge(...array_column($plan['sheets'], 'placed'));
    $counts = array_map(count(...), array_column($sheets, 'cutsMm', 'name'));
    $rims = array_map(count(...), array_column($plan['layers'], 'rimsMm', 'name'));
    $picture = imagecreatefromstring(Painter::png($figure, View::Front, 400));
    $clear = static fn (int $x, int $y): bool => imagecolorsforindex($picture, imagecolorat($picture, $x, $y))['alpha'] === 127;
    // Of the ground four holes; the patch has one; the brows are notched.
    expect($rims['ground'])->toBe(5)
        ->and($rims['patch'])->toBe(2)
        ->and($rims['brow, right'])->toBe(1)
        ->and($counts['ground'])->toBe(4)
        ->and($counts['patch'])->toBe(1)
        ->and($counts['brow, right'])->toBe(1)
        ->and($turning['parts']['ground']['cut'])->toHaveCount(1)
        ->and($turning['parts']['brow']['cut'])->toHaveCount(2)
        ->and($turning['parts']['patch']['cut'][0][0][0])->not->toBe($turning['parts']['patch']['rings'][0])
        ->and(substr_count(implode('', LayerTemplates::pages($figure, FlatPlan::of($figure, FeltSheet::usual()), Paper::A4)), '<path'))
        ->toBeGreaterThan(8)
        ->and($clear(200, 200))->toBeFalse()
        ->and(strlen(Glb::of($figure)))->toBeGreaterThan(strlen(Glb::of(closed($figure))));
    // Where an eye looks through, nothing is painted: 32 mm beside the middle of a picture of 160 mm over nearly all of 400 px.
    $mm = 400 * 0.96 / 160;
    $isOpen = array_filter(range(150, 250), static fn (int $y): bool => $clear((int) (200 + 32 * $mm), $y));
    expect(count($isOpen))->toBeGreaterThan(20);
});

/** The same mask without a hole. */
function closed(Figure $figure): Figure
{
    $document = $figure->document();
    unset($document->flat->openings, $document->flat->ribbon);

    return Figure::fromDocument($document);
}

it('lies on the sheet where it lies on the layer: as far from its corners', function () {
    $figure = mask();
    $plan = FlatPlan::of($figure, FeltSheet::usual());
    foreach ($plan->document()['sheets'] as $sheet) {
        foreach ($sheet['placed'] as $placed) {
            foreach ($placed['cutsMm'] as $cut) {
                [$layer] = array_values(array_filter($plan->layers->all, static fn ($l): bool => $l->name() === $placed['name']));
                $far = static fn (array $points, array $at): array => array_map(
                    static fn (array $p): float => round(hypot($p[0] - $at[0], $p[1] - $at[1]), 6),
                    $points,
                );
                $own = $plan->cut($layer);
                $is = $far($placed['outlineMm'], $cut[0]);
                $fits = array_filter(
                    $figure->flat->cutThrough(),
                    static fn (array $c): bool => $far($own, $plan->laid($c, $layer)[0]) === $is,
                );
                expect($fits)->toHaveCount(1);
            }
        }
    }
});

it('changes nothing of a figure without openings', function () {
    $figure = Works::demo('bobbin');
    foreach ($figure->parts as $part) {
        expect(CutLayer::of($figure, $part->placements()[0]))->toBeNull();
    }
});
