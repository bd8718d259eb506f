<?php

declare(strict_types=1);

namespace Impa\Tests\Draft;

use Impa\Figure\Editing\Draft;
use Impa\Figure\Figure;
use Impa\Figure\Term\Side;
use Impa\Tests\Support\Figures;
use stdClass;

/** @param  array<string, mixed>  $more */
function figure(array $more = []): Figure
{
    $spot = ['kind' => 'disc', 'widthMm' => 4, 'colour' => 'black'];

    return Figures::read(Figures::document(
        [
            Figures::part('body', 'ball', 40, 40, 40, 0, 20),
            Figures::part('head', 'ball', 30, 30, 30, 0, 52, 0, ['join' => ['to' => 'body']]),
        ],
        [
            ['key' => 'a', 'on' => 'head', 'piece' => ['key' => 'eyes', 'kind' => 'open-eyes']] + $spot,
            ['key' => 'b', 'on' => 'body'] + $spot,
            ['key' => 'c', 'on' => 'head', 'side' => 'back'] + $spot,
            ['key' => 'd', 'on' => 'head', 'side' => 'front', 'piece' => ['key' => 'mouth', 'kind' => 'smile']] + $spot,
        ],
        $more,
    ));
}

/** @return list<string> */
function keys(Draft $draft): array
{
    return array_column($draft->document->details, 'key');
}

it('has details even where there were none, and is a copy', function () {
    $document = figure()->document();
    unset($document->details);
    $bare = Figure::fromDocument($document);
    $draft = Draft::of($bare);
    expect($draft->document->details)->toBe([]);
    $draft->addDetail((object) ['key' => 'x', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 4, 'colour' => 'black', 'role' => 'other']);
    expect(isset($bare->document()->details))->toBeFalse()->and(count($draft->whole()->details))->toBe(1);
});

it('tells the details of a part, of one side where that is said', function () {
    $draft = Draft::of(figure());
    $of = static fn (string $part, ?Side $side = null): array => array_column($draft->detailsOn($part, $side), 'key');
    expect($of('head'))->toBe(['a', 'c', 'd'])->and($of('head', Side::Front))->toBe(['a', 'd'])
        ->and($of('head', Side::Back))->toBe(['c'])->and($of('body'))->toBe(['b'])->and($of('body', Side::Back))->toBe([])
        ->and(array_keys($draft->detailsOn('head', Side::Back)))->toBe([0]);
});

it('tells which pieces of faces are there', function () {
    expect(Draft::of(figure())->pieces())->toBe(['eyes', 'mouth']);
});

it('puts details in the place of others, where the first of those stood, or last', function (array $keys, array $all) {
    $draft = Draft::of(figure());
    $new = static fn (string $key): stdClass => (object) ['key' => $key, 'on' => 'body'];
    $draft->replaceDetails($keys, [$new('x'), $new('y')]);
    expect(keys($draft))->toBe($all);
})->with([
    [['b', 'd'], ['a', 'x', 'y', 'c']],
    [['d', 'b'], ['a', 'x', 'y', 'c']],
    [['a'], ['x', 'y', 'b', 'c', 'd']],
    [[], ['a', 'b', 'c', 'd', 'x', 'y']],
    [['not-there'], ['a', 'b', 'c', 'd', 'x', 'y']],
]);

it('keeps a list a list when one of it goes', function () {
    $draft = Draft::of(figure());
    $draft->removeDetails(['b']);
    expect(array_keys($draft->document->details))->toBe([0, 1, 2]);
    $draft->removePart('head');
    expect(array_keys($draft->document->parts))->toBe([0])->and($draft->document->details)->toBe([]);
});

it('hands out a member as it is, and an empty one where there was none', function () {
    $draft = Draft::of(figure(['base' => ['flattenMm' => 2]]));
    expect($draft->member('base')->flattenMm)->toBe(2)->and((array) $draft->member('school'))->toBe([]);
    $draft->member('school')->face = 'face-first';
    expect($draft->whole()->school->face)->toBe('face-first');
});

it('takes a colour for another only from below so much on', function () {
    // Teal, and the same a little lighter: they differ by 1.23 (CIEDE2000).
    $draft = Draft::of(figure());
    expect($draft->colourFor('#34928a', 'x', 'own', 1.5))->toBe('teal')
        ->and($draft->colourFor('#34928a', 'Lighter', 'own', 0.5))->toBe('own')
        ->and($draft->document->colours[3])->toEqual((object) ['key' => 'own', 'name' => 'Lighter', 'hex' => '#34928a'])
        ->and($draft->colourFor('#34938a', 'x', 'new'))->toBe('new');
});

it('mirrors a detail: what is laid from a side from the other one, where it says nothing in the middle', function () {
    $detail = json_decode('{"key": "d", "xMm": 3.5, "turnDeg": 20, "side": "left", "pointsMm": [[1, 2]], "holesMm": [[[3, 4], [-5, 6]]]}');
    assert($detail instanceof stdClass);
    $twin = Draft::mirrored($detail);
    expect([$twin->xMm, $twin->turnDeg, $twin->side, $twin->pointsMm, $twin->holesMm])
        ->toEqual([-3.5, -20, 'right', [[-1, 2]], [[[-3, 4], [5, 6]]]])
        ->and($detail->xMm)->toBe(3.5);
    $bare = Draft::mirrored((object) ['key' => 'e']);
    expect([$bare->xMm, $bare->turnDeg])->toBe([0, 0])->and(isset($bare->side))->toBeFalse();
});
