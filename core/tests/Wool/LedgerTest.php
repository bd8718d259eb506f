<?php

declare(strict_types=1);

namespace Impa\Tests\Ledger;

use Impa\Figure\Figure;
use Impa\Geometry\Outline\Polygon;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Plan\Plan;
use Impa\Shape\Catalogue;
use Impa\Shape\Outline;
use Impa\Shape\ShapeKind;
use Impa\Stash\Supply\Supply;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\LedgerChange;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\Purpose;
use Impa\Wool\Portion\Portion;

/** @param  array<string, mixed>  $more  of a part with the key a */
function one(string $kind, float $w, float $h, float $d, array $more = []): Figure
{
    return Figures::read(Figures::document([Figures::part('a', $kind, $w, $h, $d, 0, $h / 2, 0, $more)]));
}

/** Grams of one piece for a purpose; 0 where there is no such line. */
function grams(Figure $figure, Purpose $purpose): float
{
    $lines = Ledger::of($figure, Densities::house())->lines;

    return array_sum(array_map(static fn (LedgerLine $l): float => $l->purpose === $purpose ? $l->g : 0.0, $lines));
}

it('is grouped by totals, supply, portions, steps, parts and details to the same grams, whatever the covering', function (
    int $seed,
) {
    $figure = Figures::read(Figures::covered($seed, 14));
    $plan = Plan::of($figure);
    $document = $plan->document();
    $supply = Supply::of($figure, []);
    $whole = array_sum(array_map(static fn (LedgerLine $l): float => $l->g * $l->pieces, $plan->ledger->lines));
    $near = static fn (float $g) => expect($g)->toEqualWithDelta($whole, 1e-9 * $whole);

    // The shelf's card, the plan's totals, what is needed of the stash.
    $near($plan->totalG());
    $near(array_sum(array_column($document['wool'], 'g')));
    $near(array_sum(array_column($supply->document()['needs'], 'g')));

    // What is weighed before felting, with what is no portion: foam, and the wisps of details.
    $foam = array_filter($plan->ledger->lines, static fn (LedgerLine $l): bool => $l->material === 'foam');
    $near(
        array_sum(array_map(static fn (Portion $p): float => $p->line->allG(), $supply->portions())) +
            array_sum(array_map(static fn (LedgerLine $l): float => $l->allG(), $foam)) +
            array_sum(array_map(static fn (array $w): float => ($w['count'] * $w['mg']) / 1000, $supply->wisps())),
    );

    // Every step's weighing; the first step only divides what later ones take.
    $weighed = 0.0;
    foreach ($document['steps'] as $step) {
        foreach ($step['kind'] === 'portion' ? [] : $step['weigh'] as $w) {
            $weighed += $w['g'] * $w['pieces'];
        }
    }
    $near($weighed);

    // Part by part and detail by detail; film is the only thing that has no colour and fills nothing.
    $film = array_sum(
        array_map(static fn (LedgerLine $l): float => $l->purpose === Purpose::Film ? $l->allG() : 0.0, $plan->ledger->lines),
    );
    $near(
        array_sum(array_map(static fn (array $p): float => $p['count'] * ($p['coreG'] + $p['colourG']), $document['parts'])) +
            array_sum(array_map(static fn (array $d): float => ($d['count'] * $d['woolMg']) / 1000, $document['details'])) +
            $film,
    );
    foreach ($document['parts'] as $part) {
        expect($part['colourG'])->toEqualWithDelta($part['coverG'] + $part['coveringG'], 1e-12);
    }
})->with(range(1, 9));

it('says of a ball covered with tufts the same everywhere: its felted cover, and the tufts on it', function () {
    $figure = one('ball', 60, 60, 60, ['covering' => ['way' => 'tufts']]);
    // 9 tufts of 12 mg on each of 4 pi 3^2 square centimetres; the cover is a shell of 3 mm, springy, with 8 % waste.
    $tufts = ceil(9 * 4 * M_PI * 9) * 0.012;
    $cover = (((M_PI / 6) * (60 ** 3 - 54 ** 3)) / 1000) * 0.15 * 1.08;
    expect(grams($figure, Purpose::Covering))
        ->toEqualWithDelta($tufts, 0.013)
        ->and(grams($figure, Purpose::Cover))
        ->toEqualWithDelta($cover, 0.001)
        ->and(Plan::of($figure)->document()['parts'][0]['colourG'])
        ->toEqualWithDelta($tufts + $cover, 0.014);
});

it('winds, cuts or plaits in place of the cover, and fills what is wound or cut round a core', function (
    string $way,
    bool $isFilled,
) {
    $figure = one('ball', 60, 60, 60, ['covering' => ['way' => $way]]);
    expect(grams($figure, Purpose::Cover))
        ->toBe(0.0)
        ->and(grams($figure, Purpose::Covering))
        ->toBeGreaterThan(0.05)
        ->toBeLessThan(7.0)
        ->and(grams($figure, Purpose::Inside) > 0.0)
        ->toBe($isFilled);
})->with([['wrap', true], ['pre-felt', true], ['film', true], ['plait', false]]);

it('cuts a sheet of 3 mm round a ball as a sheet, not as a block', function () {
    // 4 pi 3^2 square centimetres and a fifth for cutting, 3 mm thick at 0.12 g/cm3.
    expect(grams(one('ball', 60, 60, 60, ['covering' => ['way' => 'pre-felt']]), Purpose::Covering))->toEqualWithDelta(
        4 * M_PI * 9 * 1.2 * 0.3 * 0.12,
        0.01,
    );
});

it('takes nothing but the sheet for a flat piece that is cut out', function () {
    $figure = one('plate', 30, 60, 10, ['covering' => ['way' => 'pre-felt']]);
    $plan = Plan::of($figure)->document();
    expect(array_column($plan['wool'], 'material'))
        ->toBe(['wool'])
        ->and($plan['parts'][0]['coreG'])
        ->toBe(0.0)
        ->and($plan['parts'][0]['finishedG'])
        ->toEqualWithDelta($plan['parts'][0]['colourG'] / 1.2, 1e-9);
});

it('weighs loops by the yarn that was weighed, else by the usual one', function () {
    $figure = one('ball', 40, 40, 40, ['covering' => ['way' => 'loops']]);
    $usual = Ledger::of($figure, Densities::house());
    $thick = Ledger::of($figure, Densities::house()->withYarns(['teal' => 1.2]));
    $g = static fn (Ledger $l): float => array_values(
        array_filter($l->lines, static fn (LedgerLine $x): bool => $x->purpose === Purpose::Covering),
    )[0]->g;
    expect($g($thick))
        ->toEqualWithDelta(3 * $g($usual), 1e-9)
        ->and($g(Ledger::of($figure, Densities::house()->withYarns(['black' => 1.2, 'teal' => 0.0]))))
        ->toBe($g($usual));
});

it('weighs a twin as much again, and a larger part more, whatever the covering', function (CoveringWay $way) {
    foreach ([ShapeKind::Ball, ShapeKind::Sausage, ShapeKind::Plate, ShapeKind::Cone] as $kind) {
        $last = 0.0;
        foreach ([0.8, 1.0, 1.5, 2.4] as $times) {
            $size = Catalogue::usualSize($kind)->scaled($times);
            $more = ['covering' => ['way' => $way->value]];
            $one = one($kind->value, $size->widthMm, $size->heightMm, $size->depthMm, $more);
            $two = one($kind->value, $size->widthMm, $size->heightMm, $size->depthMm, $more + ['mirror' => true]);
            $g = Ledger::of($one, Densities::house())->totalG();
            expect($g)
                ->toBeGreaterThan($last)
                ->and(Ledger::of($two, Densities::house())->totalG())
                ->toEqualWithDelta(2 * $g, 1e-9);
            $last = $g;
        }
    }
})->with(CoveringWay::cases());

it('weighs in the balance what is left on the figure: all that was weighed, less what is lost', function (int $seed) {
    $plan = Plan::of(Figures::read(Figures::covered($seed)));
    $finished = array_sum(array_map(static fn (array $p): float => $p['count'] * $p['finishedG'], $plan->document()['parts']));
    $details = array_sum(
        array_map(static fn (LedgerLine $l): float => $l->for->detail === '' ? 0.0 : $l->allG(), $plan->ledger->lines),
    );
    expect($plan->balance->massG)
        ->toEqualWithDelta($finished + $details, 1e-9)
        ->and($plan->balance->massG)
        ->toBeLessThan($plan->totalG());
})->with([2, 5, 8]);

it('names every line, and has none of nothing', function () {
    foreach (Ledger::of(Figures::read(Figures::covered(3)), Densities::house())->lines as $line) {
        expect($line->g)
            ->toBeGreaterThan(0.0)
            ->and($line->why)
            ->not->toBe('')
            ->and($line->for->colour === '')
            ->toBe($line->purpose === Purpose::Inside || $line->purpose === Purpose::Film);
    }
});

it('weighs a wound ribbon by its helix, a plait by its strands, a lay of hair by its length, loops by their yarn', function () {
    // A rod of 10 mm over 50 mm and two fold-backs of 10: ten turns of an 8 mm ribbon that climb 5.6 mm each, 0.48 g a metre.
    $turns = 70 / 5.6;
    expect(grams(one('sausage', 10, 50, 10, ['covering' => ['way' => 'wrap']]), Purpose::Covering))
        ->toEqualWithDelta($turns * hypot(M_PI * 10, 5.6) / 1000 * 8 * 0.06, 1e-9)
        // Three strands of 4 mm, a third longer than 60 mm.
        ->and(grams(one('sausage', 10, 60, 10, ['covering' => ['way' => 'plait']]), Purpose::Covering))
        ->toEqualWithDelta(3 * 0.06 * 1.33 * 4 * 0.06, 1e-9);
    // A ball of 40 mm: 4 pi 2^2 square centimetres, half of them in rows 30 mm apart along partings of pi / 2 x 40 mm.
    $parting = M_PI / 2 * 40;
    $rows = ceil(100 * 4 * M_PI * 4 / 2 / ($parting * 30));
    expect(grams(one('ball', 40, 40, 40, ['covering' => ['way' => 'hair', 'lengthMm' => 30]]), Purpose::Covering))
        ->toEqualWithDelta($rows * ceil($parting / 6) * 0.06 * 6 * 0.06, 1e-9)
        // 16 loops of 5 mm on a square centimetre stand 2.5 mm apart: 16 x 12.5 mm of yarn of 0.4 g a metre.
        ->and(grams(one('ball', 40, 40, 40, ['covering' => ['way' => 'loops']]), Purpose::Covering))
        ->toEqualWithDelta(4 * M_PI * 4 * 16 * 0.0125 * 0.4, 0.005);
});

it('lays film fibres between the layers of a stiff sheet, four milligrams on a square centimetre', function () {
    $figure = one('sheet', 50, 40, 2, ['covering' => ['way' => 'film'], 'shape' => [
        'kind' => 'sheet', 'widthMm' => 50, 'heightMm' => 40, 'depthMm' => 2, 'outline' => 'rectangle',
    ]]);
    // Cut out of a sheet of 50 by 40, a fifth more for cutting; the outline's corners are round: two per thousand of it, drawn at 0.12.
    $area = Polygon::signedArea(Outline::filling(Outline::named('rectangle'), 50, 40)) / 100 * 1.2;
    expect($area)->toBeGreaterThan(0.97 * 24.0)->toBeLessThan(24.0);
    expect(grams($figure, Purpose::Film))->toEqualWithDelta($area * 0.004, 1e-9)
        ->and(grams($figure, Purpose::Covering))->toEqualWithDelta($area * 0.2 * 0.12, 1e-9);
});

it('stands beside an earlier one wool by wool: both sum up to their wholes, and what only one takes is nought in the other', function () {
    $of = static fn (Figure $figure): Ledger => Ledger::of($figure, Densities::house());
    $plain = Figures::read(Figures::document([Figures::part('a', 'ball', 40, 40, 40)]));
    $larger = Figures::read(Figures::document([
        Figures::part('a', 'ball', 50, 50, 50),
        Figures::part('b', 'ball', 30, 30, 30, 0, 40, 0, ['core' => 'stuffing']),
    ]));
    $rows = LedgerChange::between($of($plain), $of($larger));
    expect(array_sum(array_column($rows, 'wasG')))->toEqualWithDelta($of($plain)->totalG(), 1e-9)
        ->and(array_sum(array_column($rows, 'isG')))->toEqualWithDelta($of($larger)->totalG(), 1e-9)
        ->and(array_column($rows, 'wasG', 'name')['stuffing'])->toBe(0.0);
    foreach (LedgerChange::between($of($larger), $of($plain)) as $row) {
        expect($row['wasG'])->toBe(array_column($rows, 'isG', 'name')[$row['name']]);
    }
});

it('weighs what is cut from a sheet by the piece that is cut, whatever its rim', function (string $outline) {
    // The outline by the trapezoid rule, from points that are written down (Shape/Outline), at the sheet's own weight.
    foreach (['film', 'pre-felt'] as $way) {
        $figure = one('plate', 50, 40, 6, ['covering' => ['way' => $way], 'shape' => [
            'kind' => 'plate', 'widthMm' => 50, 'heightMm' => 40, 'depthMm' => 6, 'outline' => $outline,
        ]]);
        $mm2 = 0.0;
        $points = $figure->parts['a']->solid->front()[0];
        foreach ($points as $i => [$x, $y]) {
            [$nextX, $nextY] = $points[($i + 1) % count($points)];
            $mm2 += ($nextX + $x) * ($nextY - $y) / 2;
        }
        expect(grams($figure, Purpose::Covering))->toEqualWithDelta($mm2 / 100 * 0.6 * 0.12 * 1.2, 1e-9);
    }
})->with(['disc', 'triangle', 'leaf', 'heart', 'rectangle']);
