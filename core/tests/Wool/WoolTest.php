<?php

declare(strict_types=1);

namespace Impa\Tests\Wool;

use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Material\CoreMaterial;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Plan\Plan;
use Impa\Stash\NearestWool;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger\DetailWool;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\PartWool;
use Impa\Wool\Spread;

function wool(array $part, array $figure = []): PartWool
{
    return PartWool::of(Figures::read(Figures::document([$part], [], $figure))->parts[$part['key']], Densities::house());
}

it('weighs the example head: core 6.25 g, cover 3.18 g', function () {
    $head = wool(Figures::part('head', 'ball', 52, 46, 48));
    expect($head->volumeCm3)->toEqualWithDelta(60.1, 0.05)
        ->and(round($head->areaCm2(), 1))->toBe(74.4)
        ->and($head->coreG())->toEqualWithDelta(6.25, 0.02)
        ->and($head->coverG())->toEqualWithDelta(3.18, 0.02)
        ->and([$head->loose()->widthMm, $head->loose()->heightMm, $head->loose()->depthMm])->toEqualWithDelta([71.0, 62.0, 65.0], 0.5);
});

it('takes six to seven grams for a squishy oval of 60 by 50 mm in one colour', function () {
    // Common practice, docs/trade.md, Sums.
    $oval = wool(Figures::part('a', 'ball', 60, 50, 50, more: ['core' => 'none', 'firmness' => 'squishy']));
    expect($oval->coverG())->toBeGreaterThan(6.0)->toBeLessThan(7.0)->and($oval->coreG())->toBe(0.0);
});

it('takes about a quarter of an ounce of colour for a ball body with four limbs', function () {
    // Common practice, docs/trade.md, Sums: 7 to 8 g.
    $figure = Figures::read(Figures::document([
        Figures::part('body', 'ball', 65, 65, 65),
        Figures::part('arm', 'sausage', 12, 30, 12, more: ['mirror' => true, 'core' => 'none']),
        Figures::part('leg', 'sausage', 12, 30, 12, more: ['mirror' => true, 'core' => 'none']),
    ]));
    $colour = array_values(array_filter(Plan::of($figure)->document()['wool'], static fn (array $w): bool => $w['colour'] === 'teal'));
    expect($colour[0]['g'])->toBeGreaterThan(7.0)->toBeLessThan(8.0);
});

it('makes a part solid where the cover leaves nothing inside', function (float $coverMm, bool $hollow) {
    $limb = wool(Figures::part('a', 'sausage', 12, 30, 12, more: ['coverMm' => $coverMm]));
    expect($limb->coreMaterial() !== CoreMaterial::None)->toBe($hollow);
})->with([[5.9, true], [6.0, false], [9.0, false]]);

it('halves nothing and doubles nothing: cover and inside are the whole', function () {
    foreach (range(1, 10) as $seed) {
        foreach (Figures::read(Figures::random($seed))->parts as $part) {
            $wool = PartWool::of($part, Densities::house());
            expect($wool->insideCm3)->toBeLessThan($wool->volumeCm3)
                ->and($wool->finishedG())->toBeLessThanOrEqual($wool->volumeCm3 * Densities::FIBRE_G_PER_CM3)
                ->and($wool->finishedG())->toBeLessThan($wool->coreG() + $wool->coverG());
        }
    }
});

it('sums the parts and details to the whole, and weighs mirrored parts alike', function () {
    foreach (range(1, 8) as $seed) {
        $document = Figures::random($seed);
        foreach ($document['parts'] as &$part) {
            // An arc bends to the right, wherever it stands: its mirror image is another shape.
            $part['shape']['kind'] = $part['shape']['kind'] === 'arc' ? 'sausage' : $part['shape']['kind'];
        }
        unset($part);
        $plan = Plan::of(Figures::read($document))->document();
        $parts = array_sum(array_map(static fn (array $p): float => $p['count'] * ($p['coreG'] + $p['coverG']), $plan['parts']));
        $wisps = array_sum(array_map(static fn (array $d): float => $d['count'] * $d['woolMg'] / 1000, $plan['details']));
        expect(array_sum(array_column($plan['wool'], 'g')))->toEqualWithDelta($parts + $wisps, 1e-9);

        $mirrored = $document;
        foreach ($mirrored['parts'] as &$part) {
            $part['at']['xMm'] *= -1;
            $part['turnDeg'] = ['x' => $part['turnDeg']['x'], 'y' => -$part['turnDeg']['y'], 'z' => -$part['turnDeg']['z']];
        }
        unset($part);
        foreach ($mirrored['details'] as &$detail) {
            $detail['xMm'] = -($detail['xMm'] ?? 0);
            $detail['turnDeg'] = -($detail['turnDeg'] ?? 0);
            if (isset($detail['pointsMm'])) {
                $detail['pointsMm'] = array_map(static fn (array $p): array => [-$p[0], $p[1]], $detail['pointsMm']);
            }
        }
        unset($detail);
        expect(Plan::of(Figures::read($mirrored))->document()['balance']['massG'])->toEqualWithDelta($plan['balance']['massG'], 1e-6);
    }
});

it('never gives a bigger part less wool', function () {
    foreach (['ball', 'egg', 'drum', 'cone', 'plate', 'ring'] as $kind) {
        $last = 0.0;
        foreach ([20, 24, 31, 45, 70] as $mm) {
            $wool = wool(Figures::part('a', $kind, $mm, $mm, $kind === 'ring' ? $mm / 4 : $mm));
            expect($wool->coreG() + $wool->coverG())->toBeGreaterThan($last);
            $last = $wool->coreG() + $wool->coverG();
        }
    }
});

it('knows the densities of the house, all below pressed felt and fibre', function () {
    $house = Densities::house();
    // SAE J314 / ASTM D2475: F-1 felt about 0.34 g/cm3; values from memory.
    foreach (Firmness::cases() as $firmness) {
        expect($house->feltGPerCm3($firmness))->toBeLessThan(0.34)
            ->and($house->insideGPerCm3(CoreMaterial::Stuffing, $firmness))->toEqualWithDelta(0.6 * $house->feltGPerCm3($firmness), 1e-12)
            ->and($house->insideGPerCm3(CoreMaterial::Foam, $firmness))->toBe(0.025);
    }
});

it('spreads a weight so that four in five lie between low and high', function () {
    mt_srand(11);
    $spread = Spread::around(10.0, 0.25);
    $inside = 0;
    for ($i = 0; $i < 20000; $i++) {
        // Box and Muller (1958).
        $normal = sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        $hand = 10.0 * exp(0.25 * $normal);
        $inside += (int) ($hand >= $spread->lowG && $hand <= $spread->highG);
    }
    expect($inside / 20000)->toEqualWithDelta(0.8, 0.01)
        ->and(sqrt($spread->lowG * $spread->highG))->toEqualWithDelta(10.0, 1e-9);
});

it('takes eleven milligrams for an eye of 5 by 6 mm, and none for a bead', function () {
    $figure = Figures::read(Figures::document([Figures::part('head', 'ball', 52, 46, 48)], [
        ['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'heightMm' => 6, 'colour' => 'black'],
        ['key' => 'bead', 'on' => 'head', 'kind' => 'bead', 'widthMm' => 3, 'colour' => 'black'],
        ['key' => 'mouth', 'on' => 'head', 'kind' => 'line', 'widthMm' => 1.2, 'pointsMm' => [[-4, 0], [4, 0]], 'colour' => 'black'],
        ['key' => 'patch', 'on' => 'head', 'kind' => 'patch', 'pointsMm' => [[0, 0], [0, 4], [5, 4], [5, 0]], 'colour' => 'black'],
    ]));
    $mg = static fn (string $key): ?float => ($how = DetailWool::g($figure->details[$key], null)) === null ? null : 1000 * $how->is;
    expect($mg('eye'))->toEqualWithDelta(11, 0.5)
        ->and($mg('bead'))->toBeNull()
        ->and($mg('mouth'))->toEqualWithDelta(8 * 1.2 * 0.45, 1e-9)
        ->and($mg('patch'))->toEqualWithDelta(20 * 0.45, 1e-9);
});

it('finds the nearest wool of the stash, and none where none passes', function () {
    $wools = ['sea' => Srgb::hex('#2f8f86'), 'pine' => Srgb::hex('#1f5a3a'), 'snow' => Srgb::hex('#f8f4ec')];
    expect(NearestWool::nearest(Srgb::hex('#30908a'), $wools)[0])->toBe('sea')
        ->and(NearestWool::nearest(Srgb::hex('#c02030'), $wools))->toBe([])
        ->and(NearestWool::nearest(Srgb::hex('#c02030'), []))->toBe([]);
});

it('takes no colour and no minus under no cover at all', function () {
    foreach (['ball', 'drop', 'sausage', 'egg', 'cone', 'plate'] as $kind) {
        $figure = Figures::read(Figures::document([Figures::part('a', $kind, 37.3, 41.7, 29.9, more: ['coverMm' => 0])]));
        $plan = Plan::of($figure)->document();
        expect($plan['parts'][0]['coverG'])->toEqualWithDelta(0.0, 1e-9)->toBeGreaterThanOrEqual(0.0)
            ->and(is_finite($plan['minutes']['hands']))->toBeTrue();
    }
});

it('has its middle of mass between those of its core and its cover, by their weights', function (string $kind, array $more) {
    $part = Figures::read(Figures::document([Figures::part('a', $kind, 50, 60, 40, more: $more)]))->parts['a'];
    $house = Densities::house();
    $wool = PartWool::of($part, $house);
    $whole = $part->solid->middleOfMass();
    $core = $part->solid->within($part->made->coverMm);
    $felt = $house->feltGPerCm3($part->made->firmness);
    $coreG = $core->volumeCm3() * $house->insideGPerCm3($part->made->core, $part->made->firmness);
    // The cover's own middle, from the whole's and the inside's volumes (Archimedes' law of the lever).
    $coverCm3 = $wool->volumeCm3 - $core->volumeCm3();
    foreach ([0, 1, 2] as $axis) {
        $cover = ($wool->volumeCm3 * $whole[$axis] - $core->volumeCm3() * $core->middleOfMass()[$axis]) / $coverCm3;
        $middle = ($coverCm3 * $felt * $cover + $coreG * $core->middleOfMass()[$axis]) / ($coverCm3 * $felt + $coreG);
        expect($wool->middleOfMass()[$axis])->toEqualWithDelta($middle, 1e-6);
    }
    expect($wool->finishedG())->toEqualWithDelta($coverCm3 * $felt + $coreG, 1e-6);
})->with(['egg', 'cone', 'dome', 'drop'])->with([[['core' => 'stuffing']], [['core' => 'core-wool', 'firmness' => 'hard']]]);

it('is as heavy on one side as its solid where it is filled with foam, is of one piece, or is a covering on a core', function () {
    $middle = static function (array $more): array {
        $part = Figures::read(Figures::document([Figures::part('a', 'cone', 60, 80, 60, more: $more)]))->parts['a'];

        return [PartWool::of($part, Densities::house())->middleOfMass(), $part->solid->middleOfMass(), $part];
    };
    [$solid, $whole] = $middle(['core' => 'none']);
    [$foam, $own] = $middle(['core' => 'foam']);
    expect($solid)->toBe($whole)->and($foam[1])->toEqualWithDelta($own[1], 1e-9);
    // A sheet round a core: its own weight lies about the whole's middle, the core about its own.
    [$wound, $about, $part] = $middle(['core' => 'core-wool', 'covering' => ['way' => 'pre-felt']]);
    $wool = PartWool::of($part, Densities::house());
    $inside = $part->solid->within(3.0)->middleOfMass();
    $coreG = $wool->insideCm3 * 0.15;
    expect($wound[1])->toEqualWithDelta(
        ($wool->covering->finishedG * $about[1] + $coreG * $inside[1]) / ($wool->covering->finishedG + $coreG),
        1e-6,
    );
});

it('takes for a detail the wool of the skin it covers, not of what is seen of it', function () {
    $figure = static fn (array $detail): Figure => Figures::read(Figures::document(
        [Figures::part('head', 'ball', 60, 60, 60, 0, 30), Figures::part('leaf', 'plate', 60, 60, 6, 0, 90)],
        [$detail + ['key' => 'd', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 8, 'heightMm' => 8, 'colour' => 'black']],
    ));
    $mg = static fn (array $detail): float => 1000 * Ledger::of($figure($detail), Densities::house())->ofDetail('d')->g;
    $flat = M_PI / 4 * 64 * Densities::WISP_MG_PER_MM2;
    foreach ([0.0, 10.0, 18.0, 24.0] as $x) {
        // On a ball the skin is R / z times what is seen (Archimedes, On the sphere and cylinder); summed up in rings and sectors.
        $sum = 0.0;
        for ($i = 0; $i < 200; $i++) {
            $r = 4 * sqrt(($i + 0.5) / 200);
            for ($j = 0; $j < 200; $j++) {
                $a = 2 * M_PI * ($j + 0.5) / 200;
                $sum += 30 / sqrt(900 - ($x + $r * cos($a)) ** 2 - ($r * sin($a)) ** 2) / 40_000;
            }
        }
        expect($mg(['xMm' => $x]) / $flat)->toEqualWithDelta($sum, 0.02 * $sum, "at {$x} mm");
        // From the side it is the same ball.
        expect($mg(['xMm' => $x, 'side' => 'left']))->toEqualWithDelta($mg(['xMm' => $x]), 0.01 * $flat);
        // What keeps its size lies on the wool as large as it is.
        expect($mg(['xMm' => $x, 'keep' => 'size']))->toEqualWithDelta($flat, 1e-9)
            ->and($mg(['on' => 'leaf', 'xMm' => $x]))->toEqualWithDelta($flat, 1e-9);
    }
    // A line along a level takes its length on the skin: an arc of the ball's great circle, its width its own.
    $line = ['kind' => 'line', 'widthMm' => 1, 'pointsMm' => array_map(static fn (int $x): array => [$x, 0], range(-24, 24))];
    expect($mg($line))->toEqualWithDelta(60 * asin(0.8) * Densities::WISP_MG_PER_MM2, 0.05);
});
