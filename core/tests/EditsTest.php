<?php

declare(strict_types=1);

namespace Impa\Tests\Edits;

use Impa\Figure\Edited;
use Impa\Figure\EditRefused;
use Impa\Figure\Edits;
use Impa\Figure\Figure;
use Impa\Figure\FigureCheck;
use Impa\Figure\FigureRefused;
use Impa\Seeing\Recut;
use Impa\Seeing\RecutRefused;
use Impa\Shape\ShapeKind;
use Impa\Tests\Support\Figures;

/** A body, a head on it, an ear on the head, and eyes; members that Impa does not know. */
function character(): Figure
{
    return Figures::read(
        Figures::document(
            [
                Figures::part('body', 'ball', 40, 44, 40, 0, 22, 0, ['x-mine' => 'kept']),
                Figures::part('head', 'ball', 50, 46, 48, 0, 62, 0, ['name' => 'Head', 'join' => ['to' => 'body']]),
                Figures::part('ear', 'cone', 12, 16, 8, 18, 84, 0, ['mirror' => true, 'join' => ['to' => 'head', 'by' => 'slit']]),
            ],
            [
                ['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 9, 'mirror' => true, 'colour' => 'black'],
                [
                    'key' => 'mouth', 'on' => 'head', 'kind' => 'line', 'widthMm' => 1.2, 'pointsMm' => [[2, -9], [5, -11]],
                    'colour' => 'black', 'mirror' => true, 'turnDeg' => 10,
                ],
            ],
        ),
    );
}

/** @return array<string, array<string, mixed>> members of a list by key, the document proved to be whole */
function members(Edited $edited, string $list): array
{
    expect(FigureCheck::faults($edited->document))->toBe([]);
    $document = json_decode((string) json_encode($edited->document), true);

    return array_column($document[$list], null, 'key');
}

it('takes a part away with what lies on it, and hangs what hung on it where it hung', function () {
    $edited = Edits::remove(character(), true, ['head']);
    expect(array_keys(members($edited, 'parts')))->toBe(['body', 'ear'])
        ->and(members($edited, 'parts')['ear']['join'])->toBe(['to' => 'body', 'by' => 'slit'])
        ->and(members($edited, 'parts')['body']['x-mine'])->toBe('kept')
        ->and(members($edited, 'details'))->toBe([])
        ->and([$edited->kind, $edited->key])->toBe(['', '']);
    $rootless = Edits::remove(character(), true, ['body']);
    expect(members($rootless, 'parts')['head'])->not->toHaveKey('join');
});

it('takes several away at once, and details alone', function () {
    expect(array_keys(members(Edits::remove(character(), true, ['body', 'head']), 'parts')))->toBe(['ear'])
        ->and(array_keys(members(Edits::remove(character(), false, ['eye']), 'details')))->toBe(['mouth']);
});

it('doubles a part and a detail beside themselves, under keys of their own', function () {
    $once = Edits::double(character(), true, 'ear');
    $twice = Edits::double(Figure::fromDocument($once->document), true, 'ear');
    expect([$once->key, $twice->key])->toBe(['ear-2', 'ear-3'])
        ->and(members($once, 'parts')['ear-2'])->toMatchArray(['name' => 'ear again', 'mirror' => true])
        ->and(members($once, 'parts')['ear-2']['at'])->toEqual(['xMm' => 24, 'yMm' => 90, 'zMm' => 0]);
    $eye = Edits::double(character(), false, 'eye');
    expect(members($eye, 'details')['eye-2'])->toMatchArray(['on' => 'head', 'xMm' => 11, 'yMm' => 2]);
});

it('paints with a colour that is there, whatever its capitals, and else with a new one', function () {
    $known = Edits::paint(character(), true, ['ear', 'head'], '#1B1B1D', 'Picked');
    expect(array_column(members($known, 'parts'), 'colour', 'key'))->toBe(['body' => 'teal', 'head' => 'black', 'ear' => 'black'])
        ->and(members($known, 'colours'))->toHaveCount(3);
    $new = Edits::paint(character(), false, ['eye'], '#102030', 'Picked');
    expect(members($new, 'details')['eye']['colour'])->toBe('colour')
        ->and(members($new, 'colours')['colour'])->toEqual(['key' => 'colour', 'name' => 'Picked', 'hex' => '#102030']);
});

it('adds a shape on top of the part that is chosen, joined to it, and on the table where there is none', function () {
    $on = Edits::add(character(), ShapeKind::Cone, 'head');
    expect(members($on, 'parts')['cone'])->toMatchArray(['colour' => 'teal', 'join' => ['to' => 'head', 'by' => 'fluff']])
        ->and(members($on, 'parts')['cone']['at']['yMm'])->toEqual(62 + 23);
    $empty = Edits::add(Figures::read(Figures::document([])), ShapeKind::Ball);
    $ball = members($empty, 'parts')['ball'];
    expect($ball)->not->toHaveKey('join')->and($ball['at']['yMm'])->toEqual($ball['shape']['heightMm'] / 2);
});

it('parts a mirrored pair into two that lie where they were seen', function () {
    $details = members(Edits::parted(character(), 'mouth'), 'details');
    expect($details['mouth'])->toMatchArray(['mirror' => false, 'name' => 'mouth, right', 'turnDeg' => 10])
        ->and($details['mouth-left'])->toMatchArray([
            'mirror' => false, 'name' => 'mouth, left', 'turnDeg' => -10, 'pointsMm' => [[-2, -9], [-5, -11]],
        ]);
});

it('mends as advised: sets, adds under a free key, takes away; and refuses what would leave a fault', function () {
    $rim = (object) ['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 7, 'colour' => 'white'];
    $edited = Edits::mend(character(), 'eye', (object) ['layer' => 2], [$rim], ['mouth']);
    expect(array_keys(members($edited, 'details')))->toBe(['eye', 'eye-2'])
        ->and(members($edited, 'details')['eye']['layer'])->toBe(2);
    Edits::mend(character(), 'eye', (object) ['widthMm' => -3], [], []);
})->throws(FigureRefused::class, 'a fault');

it('refuses in words what is not there', function (callable $edit, string $words) {
    expect(fn () => $edit(character()))->toThrow(EditRefused::class, $words);
})->with([
    [fn (Figure $f) => Edits::remove($f, true, ['tail']), 'no part "tail"'],
    [fn (Figure $f) => Edits::remove($f, false, ['tail']), 'no detail "tail"'],
    [fn (Figure $f) => Edits::remove($f, true, []), 'Nothing is chosen'],
    [fn (Figure $f) => Edits::double($f, false, 'tail'), 'no detail "tail"'],
    [fn (Figure $f) => Edits::paint($f, true, ['tail'], '#102030', 'x'), 'no part "tail"'],
    [fn (Figure $f) => Edits::add($f, ShapeKind::Ball, 'tail'), 'no part "tail"'],
    [fn (Figure $f) => Edits::parted($f, 'tail'), 'no detail "tail"'],
]);

it('makes any two parts of the demo\'s figures one, and leaves a figure that can be saved', function (string $name) {
    $figure = Figure::fromJson((string) file_get_contents(__DIR__."/../../demo/$name.impa.json"));
    $keys = array_keys($figure->parts);
    foreach ($keys as $i => $one) {
        // Each with the one it is joined to, and with the next: across joins and along them.
        foreach (array_unique([$figure->parts[$one]->joinTo ?: $keys[0], $keys[($i + 1) % count($keys)]]) as $other) {
            try {
                $merged = $one === $other ? null : Recut::merge($figure, [$one, $other]);
            } catch (RecutRefused) {
                continue;
            }
            expect($merged === null ? [] : FigureCheck::faults($merged->document))->toBe([]);
        }
    }
})->with(['bobbin', 'lanto']);

it('leaves a figure that can be saved, whatever is merged, taken away or made colour', function (int $seed) {
    mt_srand(100 + $seed);
    $document = Figures::random($seed, 7, 6);
    foreach ($document['parts'] as &$part) {
        $part['turnDeg'] = ['z' => $part['turnDeg']['z']];
    }
    unset($part);
    $figure = Figures::read($document);
    for ($n = 0; $n < 6 && count($figure->parts) > 2; $n++) {
        $keys = array_keys($figure->parts);
        shuffle($keys);
        try {
            $edited = match ($n % 3) {
                0 => Recut::merge($figure, array_slice($keys, 0, mt_rand(2, 3))),
                1 => Recut::toDetail($figure, $keys[0]),
                2 => Edits::remove($figure, true, [$keys[0]]),
            };
        } catch (RecutRefused) {
            continue;
        }
        expect(FigureCheck::faults($edited->document))->toBe([]);
        $figure = Figure::fromDocument($edited->document);
    }
})->with(range(1, 6));
