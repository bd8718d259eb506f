<?php

declare(strict_types=1);

namespace Impa\Tests\PartCheck;

use Impa\Check\CheckRefused;
use Impa\Check\Part\Measurement;
use Impa\Check\Part\PartCheck;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Shape\Size;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger\Ledger;

/** A ball on a ball, both solid; an ear twice. */
function small(array $body = []): Figure
{
    return Figures::read(Figures::document([
        Figures::part('body', 'ball', 40, 40, 40, 0, 20, 0, $body + ['name' => 'Body', 'core' => 'none']),
        Figures::part('head', 'ball', 30, 30, 30, 0, 52, 0, ['name' => 'Head', 'core' => 'none', 'join' => ['to' => 'body']]),
        Figures::part('ear', 'ball', 10, 14, 8, 14, 64, 0, [
            'name' => 'Ear',
            'core' => 'none',
            'mirror' => true,
            'join' => ['to' => 'head'],
        ]),
    ]));
}

/** @param  list<float>  $size */
function held(string $part, array $size, float $g, ?Measurement $twin = null): PartCheck
{
    return PartCheck::of(Ledger::of(small(), Densities::house()), $part, Measurement::of($size[0], $size[1], $size[2], $g), $twin);
}

/** Grams of a ball of so many mm, felted springy (CRC: pi d^3 / 6; the house's 0.15 g/cm3). */
function springy(float $mm): float
{
    return M_PI / 6 * ($mm / 10) ** 3 * 0.15;
}

it('reckons the density reached from what calipers and scale say, in closed form', function () {
    $check = held('body', [42, 42, 42], 5.0);
    expect($check->volumeCm3)->toEqualWithDelta(M_PI / 6 * 4.2 ** 3, 0.01)
        ->and($check->gPerCm3())->toEqualWithDelta(5.0 / (M_PI / 6 * 4.2 ** 3), 1e-4)
        ->and($check->plannedGPerCm3())->toEqualWithDelta(0.15, 1e-3);
});

it('says nothing is to be done where it is as planned', function () {
    $check = held('body', [40, 40, 40], springy(40));
    expect([$check->feltInMm, $check->addG])->toBe([0.0, 0.0])
        ->and($check->says)->toBe(['It has the size that was planned.', 'It is as firm as springy should be.']);
});

it('says how much firmer all round, where all wool is there and it is too large', function () {
    $check = held('body', [43, 43, 43], springy(40));
    expect($check->feltInMm)->toEqualWithDelta(1.5, 1e-9)
        ->and($check->addG)->toBe(0.0)
        ->and($check->says[0])->toBe('3 mm too wide, 3 mm too high, 3 mm too deep.')
        ->and($check->says[1])->toBe('Firm it 1.5 mm more all round: then it is as large as planned.');
});

it('says how many grams to add, waste included, where wool is missing even at the planned size', function () {
    $check = held('body', [40, 40, 40], 0.7 * springy(40));
    expect($check->addG)->toEqualWithDelta(0.3 * springy(40) * 1.08, 1e-3)
        ->and($check->says[1])->toBe('Even felted to size it lacks wool: weigh out 1.65 g more and lay it round.');
});

it('says how it differs from its twin, and which to felt more', function () {
    $twin = Measurement::of(10, 14, 8, 0.09);
    expect(held('ear', [11.5, 14, 8], 0.11, $twin)->says)
        ->toContain('It is 1.5 mm wider and 20 mg heavier than its twin: felt the new one more, or pull a little off it.')
        ->and(held('ear', [9.0, 12.5, 8], 0.08, $twin)->says)
        ->toContain('It is 1.5 mm lower and 10 mg lighter than its twin: felt the other one more, or pull a little off it.')
        ->and(held('ear', [10.2, 14, 8], 0.09, $twin)->says)->toContain('Its twin is alike.');
});

it('says whether it still reaches what it is joined to', function () {
    expect(held('head', [30, 30, 30], springy(30))->says)->toContain('It still meets the body where it is joined.')
        ->and(implode(' ', held('head', [22, 22, 22], springy(22))->says))->toContain('It no longer reaches the body');
});

it('asks where a digit slipped, and nothing where a hand is only dense', function (array $size, float $g, string $asks) {
    $doubt = held('body', $size, $g)->doubt();
    $asks === '' ? expect($doubt)->toBeNull() : expect($doubt)->toContain($asks);
})->with([
    [[40, 40, 40], 5.0, ''],
    [[42, 39, 41], 8.0, ''],
    [[4.0, 40, 40], 5.0, '4 mm wide, where 40 mm was planned: is that right?'],
    [[40, 400, 40], 5.0, '400 mm high'],
    [[40, 40, 40], 50.0, 'denser than wool itself'],
    [[40, 40, 40], 0.5, '0.50 g, where about 5.0 g were to be expected'],
]);

it('lets the plan follow: the part has the size that came out, all else is as it was', function () {
    $document = Figures::document([
        Figures::part('cup', 'cup', 40, 30, 40, 0, 15, 0, [
            'shape' => ['kind' => 'cup', 'widthMm' => 40, 'heightMm' => 30, 'depthMm' => 40, 'topMm' => 40, 'bottomMm' => 20],
        ]),
        Figures::part('body', 'ball', 40, 40, 40, 0, 40, 0),
    ]);
    $sized = Choices::sized(Figures::read($document), 'cup', Measurement::of(50, 32, 44, 1)->size);
    expect($sized->parts['cup']->solid->size()->widthMm)->toBe(50.0)
        ->and($sized->parts['cup']->solid->options()['bottomMm'])->toBe(25.0)
        ->and($sized->parts['body'])->toEqual(Figures::read($document)->parts['body']);
});

it('takes ends along with the width, corners and edges with the shortest side, as the screens do', function (array $case) {
    $document = Figures::document([Figures::part('a', $case['shape']['kind'], 1, 1, 1, 0, 30, 0, ['shape' => $case['shape']])]);
    $to = array_intersect_key($case, ['widthMm' => 0, 'heightMm' => 0]) + $case['shape'];
    $sized = Choices::sized(Figures::read($document), 'a', Size::of($to['widthMm'], $to['heightMm'], $to['depthMm']));
    expect((array) $sized->document()->parts[0]->shape)->toEqual($case['is'] + $case['shape']);
})->with(array_map(
    static fn (array $case): array => [$case],
    json_decode((string) file_get_contents(dirname(__DIR__, 3).'/tests/Support/resized.json'), true)['cases'],
));

it('refuses what is no measurement, in words', function (array $of, string $why) {
    expect(static fn () => Measurement::of(...$of))->toThrow(CheckRefused::class, $why);
})->with([
    [[0, 10, 10, 1], 'The width of '],
    [[10, NAN, 10, 1], 'The height of NaN mm'],
    [[10, 10, 5000, 1], 'The depth of 5.00 m'],
    [[10, 10, 10, -1], '-1.00 g is no weight'],
]);

it('refuses a part that is none', function () {
    expect(static fn () => held('horn', [1, 1, 1], 1))->toThrow(CheckRefused::class, 'There is no part "horn"');
});

it('learns nothing of the hand from foam or from what is cut out', function () {
    $of = static fn (array $more): bool => PartCheck::of(
        Ledger::of(small($more), Densities::house()),
        'body',
        Measurement::of(40, 40, 40, 5),
    )->teaches();
    expect($of([]))->toBeTrue()->and($of(['core' => 'foam']))->toBeFalse()->and($of(['covering' => ['way' => 'film']]))->toBeFalse();
});
