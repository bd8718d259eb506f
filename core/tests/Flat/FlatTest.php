<?php

declare(strict_types=1);

namespace Impa\Tests\Flat;

use Impa\Build\Steps\Step;
use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Figure\Term\Stitch;
use Impa\Flat\EyeHoles;
use Impa\Flat\FeltSheet;
use Impa\Flat\FlatPlan;
use Impa\Flat\FlatRefused;
use Impa\Flat\Layer;
use Impa\Flat\Layers;
use Impa\Flat\Nesting;
use Impa\Flat\Ribbon;
use Impa\Flat\Stitching;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;
use Impa\Geometry\Outline\Polyline;
use Impa\Material\Densities;
use Impa\Material\Pace;
use Impa\Print\Page\Paper;
use Impa\Print\Template\LayerTemplates;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Wool\Ledger\Ledger;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A layer by its corners.
 *
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function square(string $key, float $left, float $low, float $right, float $high, float $z, array $more = []): array
{
    return [
        'key' => $key,
        'shape' => [
            'kind' => 'plate', 'widthMm' => $right - $left, 'heightMm' => $high - $low, 'depthMm' => 1.5,
            'outline' => [[0, 0], [1, 0], [1, 1], [0, 1]],
        ],
        'at' => ['xMm' => ($left + $right) / 2, 'yMm' => ($low + $high) / 2, 'zMm' => $z],
        'colour' => 'teal',
    ] + $more;
}

/**
 * @param  list<array<string, mixed>>  $parts
 * @param  array<string, mixed>  $flat
 * @param  list<array<string, mixed>>  $details
 */
function layered(array $parts, array $flat = [], array $details = []): Figure
{
    return Figures::read(Figures::document($parts, $details, ['flat' => $flat + ['way' => 'sheet']]));
}

function dusk(): Figure
{
    return Works::demo('dusk');
}

/** @return list<string> */
function stepsOf(Figure $figure): array
{
    $work = Work::of(Ledger::of($figure, Densities::house()), Pace::house(), Needles::usual());

    return array_map(static fn (Step $s): string => $s->key, $work->steps);
}

describe('layers', function () {
    it('lie from the ground up, of equals the larger first, each on what it lies over', function () {
        $layers = Layers::of(layered([
            square('spot', 10, 10, 20, 20, 4.5),
            square('small', 5, 5, 30, 30, 2.25),
            square('ground', 0, 0, 100, 60, 0.75),
            square('large', 40, 5, 95, 55, 2.25),
        ]));
        expect(array_map(static fn (Layer $l): string => $l->part->key, $layers->all))->toBe(['ground', 'large', 'small', 'spot'])
            ->and(array_map(static fn (Layer $l): int => $l->level, $layers->all))->toBe([0, 1, 1, 2])
            ->and($layers->under)->toBe([[], [0], [0], [0, 2]]);
    });

    it('that only touch do not lie on each other', function () {
        $layers = Layers::of(layered([square('a', 0, 0, 50, 50, 0.75), square('b', 50, 0, 100, 50, 0.75)]));
        expect($layers->all[1]->level)->toBe(0)->and($layers->under[1])->toBe([]);
    });

    it('of a pair are two, mirrored about the middle line', function () {
        $layers = Layers::of(layered([square('ground', -50, 0, 50, 60, 0.75), square('eye', 10, 20, 30, 40, 2.25, ['mirror' => true])]));
        [, $right, $left] = $layers->all;
        expect($left->isTwin)->toBeTrue()->and($left->box->left)->toEqualWithDelta(-30.0, 1e-9)
            ->and($left->box->right)->toEqualWithDelta(-10.0, 1e-9)
            ->and($left->areaMm2)->toEqualWithDelta($right->areaMm2, 1e-9)
            ->and(Polygon::signedArea($left->outline))->toBeGreaterThan(0.0)
            ->and([$right->name(), $left->name()])->toBe(['eye, right', 'eye, left']);
    });

    it('that go too little beneath a neighbour are told, by how much in the narrowest place', function (float $beneath, ?float $told) {
        // The lower one ends so far beneath the upper one's left rim.
        $layers = Layers::of(layered([square('lower', 0, 0, 50 + $beneath, 40, 0.75), square('upper', 50, 0, 90, 40, 2.25)]));
        $short = $layers->shortSeams();
        if ($told === null) {
            expect($short)->toBe([]);
        } else {
            expect($short)->toHaveCount(1)->and($short[0]['upper'])->toBe('upper')->and($short[0]['lower'])->toBe('lower')
                ->and($short[0]['overlapMm'])->toEqualWithDelta($told, 0.5);
        }
    })->with([[1.0, 1.0], [2.0, 2.0], [4.0, null], [40.0, null]]);

    it('lie on what they cross, reach into or hide, however they are turned; not beside it', function (array $upper, bool $isOn) {
        $layers = Layers::of(layered([square('lower', 0, 0, 60, 20, 0.75), $upper]));
        expect($layers->under[1])->toBe($isOn ? [0] : [])->and($layers->all[1]->level)->toBe($isOn ? 1 : 0);
    })->with([
        'a bar across it' => [square('upper', 28, -30, 32, 50, 2.25), true],
        'one that hides it' => [square('upper', -10, -10, 70, 30, 2.25), true],
        'one within it' => [square('upper', 28, 8, 32, 12, 2.25), true],
        'a corner that reaches in' => [square('upper', 58, 18, 90, 40, 2.25), true],
        'one above it' => [square('upper', 0, 20.5, 60, 40, 2.25), false],
        'one below it' => [square('upper', 0, -40, 60, -0.5, 2.25), false],
        'one to its left' => [square('upper', -40, 0, -0.5, 20, 2.25), false],
        'a turned one that its box alone reaches' => [square('upper', 60, 22, 100, 62, 2.25, ['turnDeg' => ['z' => 45]]), false],
        'a turned one that reaches it' => [square('upper', 40, 10, 80, 50, 2.25, ['turnDeg' => ['z' => 45]]), true],
    ]);

    it('hold a place where an odd number of rims lies beyond it, in an outline with bays and slants', function () {
        $arrow = ['shape' => ['kind' => 'plate', 'widthMm' => 60, 'heightMm' => 60, 'depthMm' => 1.5,
            'outline' => [[0, 0], [30, 20], [60, 0], [40, 40], [30, 60], [20, 40]]]];
        $layer = Layers::of(layered([$arrow + square('arrow', 0, 0, 60, 60, 0.75)]))->all[0];
        $random = new Randomizer(new Mt19937(5));
        for ($i = 0; $i < 400; $i++) {
            [$x, $y] = [$random->getInt(-100, 700) / 10 + 0.03, $random->getInt(-100, 700) / 10 + 0.07];
            // The angle that the outline goes round the place (winding number).
            $turned = 0.0;
            foreach ($layer->outline as $k => [$ax, $ay]) {
                [$bx, $by] = $layer->outline[($k + 1) % count($layer->outline)];
                $turn = atan2($by - $y, $bx - $x) - atan2($ay - $y, $ax - $x);
                $turned += $turn > M_PI ? $turn - 2 * M_PI : ($turn < -M_PI ? $turn + 2 * M_PI : $turn);
            }
            expect($layer->has($x, $y))->toBe(abs($turned) > M_PI);
        }
    });

    it('are measured across a slanting seam as across a straight one, each pair by itself', function () {
        // The upper one stands on its corner; the lower one ends so far beneath its left corner's two rims.
        $upper = square('upper', 0, 0, 40, 40, 2.25, ['turnDeg' => ['z' => 45]]);
        $figure = layered([square('lower', -60, 0, 20 - 20 * M_SQRT2 + 2, 40, 0.75), $upper]);
        $short = Layers::of($figure)->shortSeams();
        expect($short)->toHaveCount(1)->and($short[0]['overlapMm'])->toBeLessThan(2.0)->and($short[0]['wantedMm'])->toBe(3.0);
        $two = Layers::of(layered([
            square('left', -40, 0, 2, 40, 0.75), square('right', 39, 0, 80, 40, 0.75), square('upper', 0, 0, 40, 40, 2.25),
        ]))->shortSeams();
        $by = array_column($two, 'overlapMm', 'lower');
        expect($by['left'])->toEqualWithDelta(2.0, 0.5)->and($by['right'])->toEqualWithDelta(1.0, 0.5);
    });

    it('of the demo mask lie well on its ground', function () {
        $layers = Layers::of(dusk());
        expect($layers->shortSeams())->toBe([])->and($layers->all)->toHaveCount(10)
            ->and($layers->all[0]->part->key)->toBe('ground')
            ->and(max(array_map(static fn (Layer $l): int => $l->level, $layers->all)))->toBe(3);
    });

    it('are refused where there are none, and where the figure is made in the round', function () {
        expect(fn () => Layers::of(Figures::read(Figures::document([Figures::part('a', 'ball', 40, 40, 40)]))))
            ->toThrow(FlatRefused::class, 'no flat parts')
            ->and(fn () => FlatPlan::of(Works::demo('bobbin'), FeltSheet::usual()))->toThrow(FlatRefused::class, 'made in the round');
    });
});

describe('thread', function () {
    /**
     * The course of a thread, point by point: x along the rim, y away from it, z up through the felt.
     *
     * @return list<array{float, float, float}>
     */
    $course = static function (Stitch $stitch, int $count, float $pitch, float $thick): array {
        $points = [];
        for ($i = 0; $i < $count; $i++) {
            $x = $i * $pitch;
            $on = match ($stitch) {
                Stitch::Running => [[$x, 0, 0], [$x, 0, $thick], [$x + $pitch / 2, 0, $thick], [$x + $pitch / 2, 0, 0]],
                Stitch::Back => [[$x, 0, 0], [$x, 0, $thick], [$x - $pitch, 0, $thick], [$x - $pitch, 0, 0]],
                Stitch::Whip => [[$x, $pitch, 0], [$x, $pitch, $thick], [$x, 0, $thick], [$x, 0, 0]],
                Stitch::Blanket => [[$x, 0, $thick], [$x, $pitch, $thick], [$x, $pitch, 0], [$x, 0, 0], [$x, 0, $thick]],
                Stitch::None => [],
            };
            array_push($points, ...$on);
        }
        $x = $count * $pitch;
        $points[] = match ($stitch) {
            Stitch::Whip => [$x, $pitch, 0],
            Stitch::Blanket => [$x, 0, $thick],
            default => [$x, 0, 0],
        };

        return $points;
    };

    it('is as long as its course, stitch by stitch', function (Stitch $stitch) use ($course) {
        $random = new Randomizer(new Mt19937(3));
        for ($n = 0; $n < 20; $n++) {
            [$count, $pitch, $thick] = [$random->getInt(1, 60), $random->getInt(10, 60) / 10, $random->getInt(5, 60) / 10];
            $points = $course($stitch, $count, $pitch, $thick);
            $long = 0.0;
            for ($i = 1; $i < count($points); $i++) {
                $long += sqrt(array_sum(array_map(static fn (float $a, float $b): float => ($a - $b) ** 2, $points[$i], $points[$i - 1])));
            }
            $stitching = Stitching::along($stitch, $count * $pitch, $pitch, $thick);
            expect($stitching->count)->toBe($count)->and($stitching->workingMm)->toEqualWithDelta($long, 1e-6);
        }
    })->with([Stitch::Running, Stitch::Back, Stitch::Whip, Stitch::Blanket]);

    it('comes out even: the stitch nearest to the wish that divides the rim', function () {
        $stitching = Stitching::along(Stitch::Running, 100.0, 3.2, 2.0);
        expect($stitching->count)->toBe(31)->and($stitching->workingMm)->toEqualWithDelta(100.0 + 31 * 4.0, 1e-9);
    });

    it('is threaded anew before it runs out, a tail lost each time', function () {
        $stitching = Stitching::along(Stitch::Back, 1000.0, 3.0, 2.0);
        $room = Stitching::NEEDLEFUL_MM - Stitching::TAIL_MM;
        expect($stitching->needlefuls() * $room)->toBeGreaterThanOrEqual($stitching->workingMm)
            ->and(($stitching->needlefuls() - 1) * $room)->toBeLessThan($stitching->workingMm)
            ->and($stitching->threadMm())->toEqualWithDelta($stitching->workingMm + $stitching->needlefuls() * Stitching::TAIL_MM, 1e-9)
            ->and(Stitching::along(Stitch::None, 100.0, 3.0, 2.0)->threadMm())->toBe(0.0);
    });

    it('takes more for closer stitches, thicker felt and a longer rim', function (Stitch $stitch) {
        $mm = static fn (float $rim, float $pitch, float $thick): float => Stitching::along($stitch, $rim, $pitch, $thick)->threadMm();
        expect($mm(120, 2, 2))->toBeGreaterThan($mm(120, 4, 2))
            ->and($mm(120, 3, 4))->toBeGreaterThan($mm(120, 3, 2))
            ->and($mm(240, 3, 2))->toBeGreaterThan($mm(120, 3, 2));
    })->with([Stitch::Running, Stitch::Back, Stitch::Whip, Stitch::Blanket]);
});

describe('what is cut', function () {
    it('is larger by what it draws in, and comes out as drawn', function (float $shrink) {
        $figure = layered([square('ground', 0, 0, 80, 60, 0.75)], ['way' => 'batting', 'shrink' => $shrink]);
        $plan = FlatPlan::of($figure, FeltSheet::usual());
        $layer = $plan->layers->all[0];
        $box = Box::around($plan->cut($layer));
        expect($box->width() * (1 - $shrink))->toEqualWithDelta(80.0, 1e-9)
            ->and($box->height() * (1 - $shrink))->toEqualWithDelta(60.0, 1e-9)
            ->and($box->middle())->toEqual($layer->box->middle());
    })->with([0.0, 0.08, 0.3]);

    it('draws in by the house\'s share where nothing is said, and a bought sheet not at all', function () {
        expect(layered([square('a', 0, 0, 9, 9, 1)], ['way' => 'batting'])->flat->shrink)->toBe(0.08)
            ->and(layered([square('a', 0, 0, 9, 9, 1)])->flat->shrink)->toBe(0.0);
    });

    it('draws in by what a piece was measured to, in place of what was said or assumed', function (array $measured, float $shrink) {
        $figure = layered([square('a', 0, 0, 9, 9, 1)], ['way' => 'batting', 'shrink' => 0.3, 'measured' => $measured]);
        expect($figure->flat->shrink)->toEqualWithDelta($shrink, 1e-9);
    })->with([
        [['laidMm' => 120, 'cameMm' => 108], 0.1],
        [['laidMm' => 100, 'cameMm' => 104], 0.0],
        [['laidMm' => 100, 'cameMm' => 20], 0.5],
    ]);

    it('lies on the sheets within the sheet, no piece over another, turned only where there is no grain', function (bool $hasGrain) {
        $plan = FlatPlan::of(dusk(), FeltSheet::of(210, 297, $hasGrain));
        foreach ($plan->nested() as $colour => $nesting) {
            expect($nesting)->toBeInstanceOf(Nesting::class);
            $boxes = [];
            foreach ($nesting->placed as $placed) {
                $box = Box::around($placed['outline']);
                expect($box->left)->toBeGreaterThanOrEqual(-1e-6)->and($box->right)->toBeLessThanOrEqual(210 + 1e-6)
                    ->and($box->high)->toBeLessThanOrEqual(297 + 1e-6);
                $cut = $plan->cut($plan->byColour()[$colour][$placed['piece']]);
                expect(abs(Polygon::signedArea($placed['outline'])))->toEqualWithDelta(abs(Polygon::signedArea($cut)), 1e-6);
                if ($hasGrain) {
                    expect($box->width())->toEqualWithDelta(Box::around($cut)->width(), 1e-6);
                }
                foreach ($boxes as $other) {
                    expect($other->right <= $box->left + 1e-6 || $box->right <= $other->left + 1e-6
                        || $other->high <= $box->low + 1e-6 || $box->high <= $other->low + 1e-6)->toBeTrue();
                }
                $boxes[] = $box;
            }
        }
    })->with([true, false]);

    it('wastes what is no piece of the felt that is used, over all sheets', function () {
        $piece = static fn (float $w, float $h): array => ['Piece', [[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]]];
        $one = Nesting::of([$piece(90, 40)], FeltSheet::of(100, 200));
        expect($one->sheets)->toBe(1)->and(min($one->lengthMm, 90.0))->toBe($one->lengthMm)
            ->and($one->waste)->toEqualWithDelta(1 - 90 * 40 / (100 * $one->lengthMm), 1e-9);
        // Two go on a sheet, with room for the scissors between them: three take one and a part of another.
        $three = Nesting::of([$piece(90, 60), $piece(90, 60), $piece(90, 60)], FeltSheet::of(90, 130));
        expect($three->sheets)->toBe(2)->and($three->lengthMm)->toEqualWithDelta(60.0, 1e-9)
            ->and($three->waste)->toEqualWithDelta(1 - 3 * 90 * 60 / (90 * (130 + 60)), 1e-9)
            ->and(Nesting::of([$piece(90, 60), $piece(90, 60)], FeltSheet::of(90, 121))->sheets)->toBe(2)
            ->and(Nesting::of([$piece(90, 60), $piece(90, 60)], FeltSheet::of(90, 122))->sheets)->toBe(1);
    });

    it('goes on a sheet that is just as large, on its side where that has no grain, and on no smaller one', function () {
        $strip = ['Strip', [[0.0, 0.0], [120.0, 0.0], [120.0, 30.0], [0.0, 30.0]]];
        $on = static fn (float $w, float $h, bool $grain): bool => Nesting::of([$strip], FeltSheet::of($w, $h, $grain))->sheets === 1;
        expect($on(120, 30, true))->toBeTrue()->and($on(120, 30, false))->toBeTrue()->and($on(30, 120, false))->toBeTrue();
        foreach ([[30, 120, true], [119, 30, true], [120, 29, true], [119, 30, false], [120, 29, false], [29, 120, false]] as $small) {
            expect(static fn () => Nesting::of([$strip], FeltSheet::of(...$small)))->toThrow(FlatRefused::class);
        }
        $placed = Nesting::of([$strip], FeltSheet::of(30, 120))->placed[0]['outline'];
        expect(Box::around($placed)->width())->toEqualWithDelta(30.0, 1e-9)->and(Box::around($placed)->low)->toEqualWithDelta(0.0, 1e-9);
    });

    it('lies on a sheet of A4 without a grain where nothing is said', function () {
        $usual = FeltSheet::usual();
        expect([$usual->widthMm, $usual->heightMm, $usual->hasGrain])->toBe([210.0, 297.0, false])
            ->and(FeltSheet::said(' 20x3000 ', false)->heightMm)->toBe(3000.0)
            ->and(fn () => FeltSheet::of(19.9, 100))->toThrow(FlatRefused::class)
            ->and(fn () => FeltSheet::of(100, 3001))->toThrow(FlatRefused::class);
    });

    it('is turned into its smallest box: a square on its corner takes no more felt than one on its side', function () {
        $diamond = [[0.0, -30.0], [30.0, 0.0], [0.0, 30.0], [-30.0, 0.0]];
        $nesting = Nesting::of([['Diamond', $diamond]], FeltSheet::of(100, 100));
        $grained = Nesting::of([['Diamond', $diamond]], FeltSheet::of(100, 100, true));
        expect($nesting->lengthMm)->toEqualWithDelta(30 * M_SQRT2, 1e-6)->and($grained->lengthMm)->toEqualWithDelta(60.0, 1e-6)
            ->and($nesting->waste)->toBeLessThan($grained->waste);
    });

    it('that is larger than the sheet is told with its size and a way on, and the rest is planned', function () {
        $plan = FlatPlan::of(dusk(), FeltSheet::of(100, 100));
        $notes = array_column($plan->notes(), 'text', 'code');
        expect($notes['sheet-too-small'])->toContain('Ground')->toContain('189 x 105 mm')->toContain('larger sheet')
            ->and(array_filter($plan->nested(), static fn (mixed $n): bool => $n instanceof Nesting))->toHaveCount(3)
            ->and(fn () => FeltSheet::of(5, 100))->toThrow(FlatRefused::class)
            ->and(fn () => FeltSheet::said('wide', false))->toThrow(FlatRefused::class)
            ->and(FeltSheet::said('300 x 400.5', true)->heightMm)->toBe(400.5);
    });
});

describe('a ribbon', function () {
    it('is held by holes with felt all round, and told where one would tear or lies off the felt', function () {
        $holes = static fn (array ...$at): Figure => layered(
            [square('ground', 0, 0, 100, 60, 0.75)],
            ['ribbon' => ['widthMm' => 8, 'lengthMm' => 300, 'holesMm' => $at]],
        );
        $torn = static fn (Figure $f): array => Ribbon::torn(Layers::of($f));
        // A hole of 4 mm wants 8 mm of felt: its middle 10 from the rim.
        expect($torn($holes([10.2, 30], [50, 49.8])))->toBe([])
            ->and($torn($holes([9, 30]))[0]['rimMm'])->toEqualWithDelta(7.0, 0.05)
            ->and($torn($holes([50, 30], [-4, 30])))->toHaveCount(1)
            ->and($torn($holes([-4, 30]))[0]['rimMm'])->toBeLessThan(0.0)
            ->and(Ribbon::lengthMm(Layers::of($holes([20, 30], [80, 30]))))->toBe(2 * (300.0 + Ribbon::KNOT_MM));
    });

    it('is suggested a fifth farther in than it must be: halfway up, or as high as the openings; at the top in the middle', function () {
        $suggested = static fn (array $flat, float $wide): array => Ribbon::suggested(
            Layers::of(layered([square('ground', 0, 0, 100, 60, 0.75)], $flat)),
            $wide,
        );
        // 8 mm of ribbon: a hole of 4, 8 mm of felt and a fifth more, and half the hole: 11.6, in steps of a half.
        expect($suggested([], 8.0))->toEqual(['ties' => [[12.0, 30.0], [88.0, 30.0]], 'top' => [[50.0, 48.0]]]);
        // 2 mm of ribbon: no hole is smaller than 2, and 6 mm stay: 8.2.
        expect($suggested([], 2.0)['ties'][0])->toEqual([8.5, 30.0]);
        $opening = [['key' => 'eye', 'pointsMm' => [[45, 10], [55, 10], [55, 20], [45, 20]]]];
        expect($suggested(['openings' => $opening], 8.0)['ties'][0])->toEqual([12.0, 15.0])
            // So broad a ribbon finds no place to hold it beside the opening.
            ->and($suggested(['openings' => $opening], 100.0)['ties'])->toBe([]);
    });

    it('is suggested in a sheet of two metres where it is in a small one: as far from its rim', function () {
        $large = Layers::of(layered([square('ground', 0, 0, 2000, 1600, 0.75)]));
        expect(Ribbon::suggested($large, 8.0))->toEqual(['ties' => [[12.0, 800.0], [1988.0, 800.0]], 'top' => [[1000.0, 1588.0]]])
            // No place in it leaves a metre of felt all round.
            ->and(Ribbon::suggested($large, 900.0))->toEqual(['ties' => [], 'top' => []]);
    });

    it('tears beside an opening as beside a rim', function () {
        $flat = [
            'openings' => [['key' => 'eye', 'pointsMm' => [[40, 20], [60, 20], [60, 40], [40, 40]]]],
            'ribbon' => ['widthMm' => 8, 'lengthMm' => 300, 'holesMm' => [[66, 30], [75, 30], [50, 30]]],
        ];
        $torn = Ribbon::torn(Layers::of(layered([square('ground', 0, 0, 100, 60, 0.75)], $flat)));
        expect(array_column($torn, 'hole'))->toBe([0, 2])->and($torn[0]['rimMm'])->toEqualWithDelta(4.0, 0.05)
            ->and($torn[1]['rimMm'])->toBeLessThan(0.0);
    });

    it('is suggested where it holds: ties level with each other, one at the top in the middle', function () {
        $layers = Layers::of(dusk());
        $suggested = Ribbon::suggested($layers, 8.0);
        [[$lx, $ly], [$rx, $ry]] = $suggested['ties'];
        expect($ly)->toBe($ry)->and($lx)->toEqualWithDelta(-$rx, 1.5)->and($suggested['top'])->toHaveCount(1);
        $document = dusk()->document();
        foreach ($suggested as $holes) {
            $document->flat->ribbon->holesMm = $holes;
            expect(Ribbon::torn(Layers::of(Figure::fromDocument($document))))->toBe([]);
        }
    });
});

describe('eye holes', function () {
    it('are suggested as far apart as eyes are, within the felt, or not at all', function () {
        $pair = EyeHoles::suggested(Layers::of(layered([square('ground', -90, 0, 90, 100, 0.75)])));
        $boxes = array_map(static fn (array $o): Box => Box::around($o['pointsMm']), $pair);
        expect($boxes)->toHaveCount(2)
            ->and($boxes[0]->middle())->toEqual([31.5, 50.0])->and($boxes[1]->middle())->toEqual([-31.5, 50.0])
            ->and($boxes[0]->width())->toEqualWithDelta(32.0, 0.01)->and($boxes[0]->height())->toEqualWithDelta(24.0, 0.01)
            ->and(EyeHoles::suggested(Layers::of(layered([square('ground', -40, 0, 40, 100, 0.75)]))))->toBe([]);
    });

    it('too near or too far for most adults are told on what is tied on, and nothing else is', function (float $apart, bool $isTold) {
        $hole = static fn (string $key, float $x): array => [
            'key' => $key, 'pointsMm' => [[$x - 10, 40], [$x + 10, 40], [$x + 10, 60], [$x - 10, 60]],
        ];
        $ribbon = ['widthMm' => 4, 'lengthMm' => 300, 'holesMm' => [[-80, 50], [80, 50]]];
        $flat = ['openings' => [$hole('a', $apart / 2), $hole('b', -$apart / 2)]];
        $ground = [square('ground', -95, 0, 95, 100, 0.75)];
        $codes = static fn (array $f): array => array_column(FlatPlan::of(layered($ground, $f), FeltSheet::usual())->notes(), 'code');
        expect(in_array('eyes-apart', $codes($flat + ['ribbon' => $ribbon]), true))->toBe($isTold)
            ->and(in_array('eyes-apart', $codes($flat), true))->toBeFalse();
    })->with([[45.0, true], [63.0, false], [80.0, true]]);

    it('are two that are level and alike, or none', function () {
        $at = static fn (float $x, float $y, float $w): array => [[$x, $y], [$x + $w, $y], [$x + $w, $y + 10], [$x, $y + 10]];
        expect(EyeHoles::apartMm(['a' => $at(0, 0, 10), 'b' => $at(60, 0, 10)]))->toBe(60.0)
            ->and(EyeHoles::apartMm(['a' => $at(0, 0, 10)]))->toBeNull()
            ->and(EyeHoles::apartMm(['a' => $at(0, 0, 10), 'b' => $at(60, 20, 10)]))->toBeNull()
            ->and(EyeHoles::apartMm(['a' => $at(0, 0, 10), 'b' => $at(60, 0, 30)]))->toBeNull();
    });
});

it('reckons a cord\'s wool as the ledger does, and its ends over each other', function () {
    $ring = [[-40, -20], [40, -20], [40, 20], [-40, 20], [-40, -20]];
    $cord = ['key' => 'cord', 'on' => 'ground', 'kind' => 'line', 'widthMm' => 3, 'pointsMm' => $ring, 'colour' => 'black'];
    $figure = layered([square('ground', -45, 0, 45, 50, 0.75)], [], [$cord]);
    $told = FlatPlan::of($figure, FeltSheet::usual())->cords()[0];
    expect($told['lengthMm'])->toEqualWithDelta(240.0 + FlatPlan::CORD_JOIN_MM, 1e-9)
        ->and($told['mg'] / 1000)->toEqualWithDelta(Ledger::of($figure, Densities::house())->ofDetail('cord')->g ?? 0.0, 1e-9);
});

it('says what is too narrow to be cut, and what lies on nothing', function () {
    $codes = static fn (Figure $f): array => array_column(FlatPlan::of($f, FeltSheet::usual())->notes(), 'text', 'code');
    $ground = square('ground', 0, 0, 100, 60, 0.75);
    $strip = static fn (float $wide): Figure => layered([$ground, square('strip', 5, 5, 95, 5 + $wide, 2.25)]);
    expect($codes($strip(3.5)))->toHaveKey('narrow')->and($codes($strip(4.2)))->not->toHaveKey('narrow')
        ->and($codes($strip(3.5))['narrow'])->toContain('strip is about 3.');
    $disc = static fn (float $wide): Layer => Layers::of(layered([Figures::part('dot', 'plate', $wide, $wide, 1.5)]))->all[0];
    expect($disc(12.0)->acrossMm())->toEqualWithDelta(12.0, 0.1);
    $loose = layered([$ground, square('loose', 120, 0, 140, 20, 2.25, ['join' => ['to' => 'ground']])]);
    $apart = layered([$ground, square('apart', 120, 0, 140, 20, 2.25)]);
    expect($codes($loose)['off-ground'])->toContain('loose lies on nothing')->and($codes($apart))->not->toHaveKey('off-ground');
});

it('stitches lines along, spots round, and knots what is no larger than a knot, on every piece of a pair', function () {
    $stitched = static fn (array $more): array => $more + ['on' => 'eye', 'colour' => 'black', 'method' => 'stitch'];
    $parts = [square('ground', -50, 0, 50, 60, 0.75), square('eye', 10, 20, 40, 50, 2.25, ['mirror' => true])];
    $figure = layered($parts, ['stitchMm' => 5], [
        $stitched(['key' => 'line', 'kind' => 'line', 'widthMm' => 1, 'pointsMm' => [[0, 0], [6, 8]]]),
        $stitched(['key' => 'ring', 'kind' => 'disc', 'widthMm' => 10, 'heightMm' => 10]),
        $stitched(['key' => 'knot', 'kind' => 'disc', 'widthMm' => 4, 'heightMm' => 4]),
        $stitched(['key' => 'patch', 'kind' => 'patch', 'pointsMm' => [[0, 0], [3, 0], [3, 4]]]),
        ['key' => 'felted', 'on' => 'eye', 'kind' => 'disc', 'widthMm' => 4, 'colour' => 'black'],
    ]);
    $by = [];
    foreach (FlatPlan::of($figure, FeltSheet::usual())->embroidery() as $one) {
        $by[$one['detail']->key] = $one;
    }
    expect(array_keys($by))->toBe(['line', 'ring', 'knot', 'patch'])
        ->and($by['line']['stitching']->lengthMm)->toEqualWithDelta(20.0, 1e-9)
        // Stitches of a line are no longer than 3 mm, whatever the rims have.
        ->and($by['line']['stitching']->count)->toBe(7)
        ->and($by['ring']['stitching']->lengthMm)->toEqualWithDelta(2 * M_PI * 10, 1e-9)->and($by['ring']['isKnot'])->toBeFalse()
        ->and($by['knot']['isKnot'])->toBeTrue()->and($by['knot']['stitching']->count)->toBe(2)
        ->and($by['patch']['stitching']->lengthMm)->toEqualWithDelta(24.0, 1e-9)
        // Two turns round 1.5 mm, and through both layers of 1.5 mm and back.
        ->and($by['knot']['stitching']->workingMm)->toEqualWithDelta(2 * (3 * M_PI + 2 * 3.0), 1e-9);
});

it('tells everything of two layers by hand', function () {
    $figure = layered(
        [square('ground', 0, 0, 100, 60, 0.75), square('mark', 10, 10, 30, 30, 2.25)],
        [
            'overlapMm' => 2, 'stitch' => 'whip', 'stitchMm' => 5, 'shrink' => 0.2,
            'openings' => [['key' => 'eye', 'pointsMm' => [[60, 20], [80, 20], [80, 40], [60, 40]]]],
            'ribbon' => ['widthMm' => 6, 'lengthMm' => 150, 'holesMm' => [[50, 50]]],
        ],
        [
            ['key' => 'cord', 'name' => 'Rim', 'on' => 'ground', 'kind' => 'line', 'widthMm' => 2, 'pointsMm' => [[0, 0], [30, 0]],
                'colour' => 'black'],
            ['key' => 'vein', 'name' => 'Vein', 'on' => 'mark', 'kind' => 'line', 'widthMm' => 1, 'pointsMm' => [[0, 0], [9, 0]],
                'colour' => 'white', 'method' => 'stitch'],
        ],
    );
    $whip = 16 * (5 + 5 * M_SQRT2 + 6.0);
    $back = 3 * (3 * 3.0 + 6.0);
    $told = FlatPlan::of($figure, FeltSheet::of(200, 300, true))->document();
    // The ground with the eye and the hole of the ribbon, round which a 16th of the way is a corner; the mark whole.
    $areas = array_map(
        static fn (array $rims): array => array_map(Polygon::signedArea(...), $rims),
        array_column($told['layers'], 'rimsMm'),
    );
    expect($areas[0])->toEqualWithDelta([6000.0, -400.0, -8 * sin(M_PI / 8) * 1.5 ** 2], 1e-9)
        ->and($areas[1])->toEqualWithDelta([400.0], 1e-9);
    foreach ($told['layers'] as &$layer) {
        unset($layer['rimsMm']);
    }
    unset($layer);
    expect(array_diff_key($told, ['eyeHoles' => 1, 'sheets' => 1]))->toEqualWithDelta([
        'format' => 'impa-flat', 'version' => 1, 'figure' => 'Test', 'way' => 'sheet',
        'shrink' => 0.2, 'laidTimes' => 1.25, 'overlapMm' => 2.0,
        'layers' => [
            ['part' => 'ground', 'name' => 'ground', 'isTwin' => false, 'colour' => 'teal', 'level' => 0,
                'areaCm2' => 60.0, 'rimMm' => 320.0,
                'outlineMm' => [[0.0, 0.0], [100.0, 0.0], [100.0, 60.0], [0.0, 60.0]], 'laidMm' => [125.0, 75.0], 'on' => [],
                'stitches' => 0, 'threadMm' => 0.0],
            ['part' => 'mark', 'name' => 'mark', 'isTwin' => false, 'colour' => 'teal', 'level' => 1, 'areaCm2' => 4.0, 'rimMm' => 80.0,
                'outlineMm' => [[10.0, 10.0], [30.0, 10.0], [30.0, 30.0], [10.0, 30.0]], 'laidMm' => [25.0, 25.0], 'on' => ['ground'],
                'stitches' => 16, 'threadMm' => $whip + 100],
        ],
        'openings' => [['key' => 'eye', 'outlineMm' => [[60.0, 20.0], [80.0, 20.0], [80.0, 40.0], [60.0, 40.0]], 'rimMm' => 80.0]],
        // 1.5 mm at 0.2 g/cm3, and half as much again.
        'cords' => [['detail' => 'cord', 'name' => 'Rim', 'colour' => 'black', 'widthMm' => 2.0, 'lengthMm' => 30.0, 'mg' => 60 * 0.45]],
        'embroidery' => [
            ['detail' => 'vein', 'name' => 'Vein', 'colour' => 'white', 'isKnot' => false, 'stitches' => 3, 'threadMm' => $back + 100],
        ],
        'thread' => ['stitch' => 'whip', 'stitchMm' => 5.0, 'stitches' => 19, 'threadMm' => $whip + $back + 200, 'needlefuls' => 2],
        'ribbon' => ['widthMm' => 6.0, 'lengthMm' => 150.0, 'holeMm' => 3.0, 'holesMm' => [[50.0, 50.0]], 'totalMm' => 190.0,
            // A hole of 3 mm wants 6 and a fifth more, and half of itself: 8.7, in steps of a half; as high as the opening.
            'suggested' => ['ties' => [[9.0, 30.0], [91.0, 30.0]], 'top' => [[50.0, 51.0]]]],
        'sheet' => ['widthMm' => 200.0, 'heightMm' => 300.0, 'hasGrain' => true],
        'notes' => [],
    ], 1e-9);
    $sheet = $told['sheets'][0];
    expect($told['sheets'])->toHaveCount(1)->and(array_column($told['eyeHoles'], 'key'))->toBe(['eye-right', 'eye-left'])
        ->and([$sheet['colour'], $sheet['trouble'], $sheet['sheets']])->toBe(['teal', null, 1])
        ->and($sheet['lengthMm'])->toEqualWithDelta(75.0, 1e-9)
        ->and($sheet['waste'])->toEqualWithDelta(1 - (125 * 75 + 25 * 25) / (200 * 75), 1e-9)
        ->and(array_map(static fn (array $p): array => [$p['name'], $p['sheet'], count($p['outlineMm'])], $sheet['placed']))
        ->toBe([['ground', 0, 4], ['mark', 0, 4]]);
    $small = FlatPlan::of($figure, FeltSheet::of(100, 50))->document()['sheets'][0];
    expect([$small['sheets'], $small['lengthMm'], $small['waste'], $small['placed']])->toBe([0, 0.0, 0.0, []]);
});

it('tells of a mask what its parts tell: stitches, thread, sheets and cords by their sums', function () {
    $plan = FlatPlan::of(dusk(), FeltSheet::usual());
    $told = $plan->document();
    $rims = array_sum(array_column($told['layers'], 'stitches'));
    expect($told['thread']['stitches'])->toBe($rims + array_sum(array_column($told['embroidery'], 'stitches')))
        ->and($told['thread']['threadMm'])->toEqualWithDelta(
            array_sum(array_column($told['layers'], 'threadMm')) + array_sum(array_column($told['embroidery'], 'threadMm')),
            1e-6,
        )
        ->and($told['layers'][0]['stitches'])->toBe(0)->and($told['layers'][1]['on'])->toBe(['Ground'])
        ->and(array_column($told['sheets'], 'colour'))->toBe(array_map(strval(...), array_keys($plan->byColour())))
        ->and(array_sum(array_map(static fn (array $s): int => count($s['placed']), $told['sheets'])))->toBe(10)
        ->and($told['ribbon']['holeMm'])->toEqual(4.0)->and($told['laidTimes'])->toEqual(1.0);
});

describe('the work on layers', function () {
    it('goes from the ground up, each pressed and stitched before the next; embroidery and ribbon are last', function () {
        $figure = dusk();
        $steps = stepsOf($figure);
        $at = array_flip($steps);
        $layers = Layers::of($figure);
        foreach ($layers->all as $i => $layer) {
            foreach ($layers->under[$i] as $k) {
                $lower = $layers->all[$k];
                $first = $lower->level > 0 ? 'stitch:'.$lower->part->key : 'cover:ground';
                expect($at['join:'.$layer->part->key])->toBeGreaterThan($at[$first]);
            }
        }
        expect($at['press:1'])->toBeLessThan($at['join:eyespot'])
            ->and($at['press:2'])->toBeLessThan($at['join:pupil'])
            ->and($at['detail:vein'])->toBeGreaterThan($at['open'])
            ->and(array_slice($steps, -3))->toBe(['ribbon', 'trim', 'inspect'])
            ->and(in_array('portion', $steps, true))->toBeFalse();
    });

    it('of batting is felted and laid without thread, large before small on one level', function () {
        $figure = layered([
            square('ground', 0, 0, 100, 60, 1.5),
            square('small', 5, 5, 20, 20, 4.5),
            square('large', 40, 5, 95, 55, 4.5),
        ], ['way' => 'batting']);
        $at = array_flip(stepsOf($figure));
        expect($at['join:large'])->toBeLessThan($at['join:small'])
            ->and(array_filter(array_keys($at), static fn (string $k): bool => str_starts_with($k, 'stitch:')))->toBe([]);
    });
});

it('refuses more layers than can be laid on each other, and still knows how such a figure is worked', function () {
    $figure = layered(array_map(static fn (int $i): array => square('l'.$i, $i, 0, $i + 5, 5, 0.75 + 1.5 * $i), range(0, 100)));
    expect(fn () => Layers::of($figure))->toThrow(FlatRefused::class, '101 layers')->and(stepsOf($figure))->toContain('cover:l100');
});

describe('templates', function () {
    it('are of true size, mirrored where they are for the back', function () {
        $figure = layered([square('ground', 0, 0, 80, 60, 0.75), square('mark', 5, 5, 25, 15, 2.25)]);
        $plan = FlatPlan::of($figure, FeltSheet::usual());
        $xs = static function (bool $mirrored) use ($figure, $plan): array {
            $page = LayerTemplates::pages($figure, $plan, Paper::A4, $mirrored)[0];
            preg_match_all('/<path d="M([^"]+)Z" fill="none" stroke="#3a2a20" stroke-width="0\.(?:35|2)"/', $page, $found);
            $box = static function (string $d): Box {
                return Box::around(array_map(static fn (string $p): array => array_map(floatval(...), explode(' ', $p)), explode('L', $d)));
            };

            return array_map($box, $found[1]);
        };
        [$ground, $mark] = $xs(false);
        [, $turned] = $xs(true);
        expect($ground->width())->toEqualWithDelta(80.0, 0.01)->and($ground->height())->toEqualWithDelta(60.0, 0.01)
            ->and($mark->left - $ground->left)->toEqualWithDelta(5.0, 0.01)
            ->and($ground->right - $turned->right)->toEqualWithDelta(5.0, 0.01);
    });

    it('larger than a page come on as many as it takes, each with the crosses of its neighbours', function () {
        $figure = layered([square('ground', 0, 0, 300, 300, 0.75)]);
        $pages = LayerTemplates::pages($figure, FlatPlan::of($figure, FeltSheet::of(400, 400)), Paper::A4);
        // 190 x 255 mm a page, 10 of them shared: 2 x 2.
        expect($pages)->toHaveCount(4);
        foreach (['1Aa' => [0, 1], '2Aa' => [2, 3], 'A1a' => [0, 2], 'B1a' => [1, 3]] as $cross => $on) {
            foreach ($pages as $i => $page) {
                expect(str_contains($page, '>'.$cross.'<'))->toBe(in_array($i, $on, true));
            }
        }
    });

    it('of more pages than anybody joins are refused', function () {
        $figure = layered([square('ground', 0, 0, 1800, 1900, 0.75)]);
        $large = layered([square('ground', 0, 0, 2000, 2000, 0.75)], ['way' => 'batting', 'shrink' => 0.5]);
        $pages = static fn (Figure $f): array => LayerTemplates::pages($f, FlatPlan::of($f, FeltSheet::of(3000, 3000)), Paper::A4);
        expect($pages($figure))->toHaveCount(80)->and(fn () => $pages($large))->toThrow(FlatRefused::class, 'ground alone would take');
    });

    it('of a figure without layers are refused, not empty', function () {
        expect(fn () => FlatPlan::of(layered([Figures::part('a', 'ball', 40, 40, 40)]), FeltSheet::usual()))->toThrow(FlatRefused::class);
    });
});

it('keeps even steps round a closed line, corners cut by no more than a step', function () {
    $even = Polyline::closed([[0.0, 0.0], [30.0, 0.0], [30.0, 20.0], [0.0, 20.0]], 2.5);
    expect($even)->toHaveCount(40)->and(Polygon::perimeter($even))->toEqualWithDelta(100.0, 2.5);
});
