<?php

declare(strict_types=1);

namespace Impa\Tests\Edits;

use Impa\Figure\Document\FigureCheck;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Draft;
use Impa\Figure\Editing\Edited;
use Impa\Figure\Editing\EditRefused;
use Impa\Figure\Editing\Edits;
use Impa\Figure\Figure;
use Impa\Figure\Term\Side;
use Impa\Print\Page\Outlines;
use Impa\Render\View;
use Impa\Shape\ShapeKind;
use Impa\Tests\Support\Figures;
use stdClass;

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

/** @return list<string> every outline that is seen, whatever it is called */
function seen(Figure $figure, View $view): array
{
    preg_match_all('/ d="([^"]+)"/', Outlines::svg($figure, $view), $found);
    sort($found[1]);

    return $found[1];
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

it('gives each of a pair that is parted a name, its numbers mirrored', function () {
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

it('adds with a core what is 25 mm thick, and where the one below stands', function () {
    $figure = Figures::read(Figures::document([Figures::part('body', 'ball', 40, 44, 40, 7, 22, -5, ['colour' => 'white'])]));
    $ball = members(Edits::add($figure, ShapeKind::Ball), 'parts')['ball'];
    $cord = members(Edits::add($figure, ShapeKind::Cord, 'body'), 'parts')['cord'];
    expect($ball)
        ->toMatchArray(['name' => 'Ball', 'core' => 'core-wool', 'colour' => 'white', 'join' => ['to' => 'body', 'by' => 'fluff']])
        ->and($ball['at'])
        ->toEqual(['xMm' => 7, 'yMm' => 44, 'zMm' => -5])
        ->and($ball['shape'])
        ->toEqual(['kind' => 'ball', 'widthMm' => 30, 'heightMm' => 30, 'depthMm' => 30])
        ->and($cord)
        ->toMatchArray(['name' => 'Cord', 'core' => 'none']);
    $twice = Edits::add(Figure::fromDocument(Edits::add($figure, ShapeKind::Ball)->document), ShapeKind::Ball);
    expect([$twice->kind, $twice->key])->toBe(['part', 'ball-2']);
});

it('says what was changed, so that it can be chosen', function () {
    expect(Edits::paint(character(), true, ['ear', 'head'], '#102030', 'x'))
        ->toMatchObject(['kind' => 'part', 'key' => 'ear'])
        ->and(Edits::paint(character(), false, ['mouth'], '#102030', 'x'))
        ->toMatchObject(['kind' => 'detail', 'key' => 'mouth'])
        ->and(Edits::double(character(), true, 'ear'))
        ->toMatchObject(['kind' => 'part', 'key' => 'ear-2'])
        ->and(Edits::double(character(), false, 'mouth'))
        ->toMatchObject(['kind' => 'detail', 'key' => 'mouth-2'])
        ->and(Edits::mend(character(), 'eye', (object) [], [], []))
        ->toMatchObject(['kind' => 'detail', 'key' => 'eye'])
        ->and(Edits::parted(character(), 'mouth'))
        ->toMatchObject(['kind' => 'detail', 'key' => 'mouth']);
});

it('doubles a detail without a place 2 mm from the middle, and names a copy of a nameless one by its key', function () {
    $copy = members(Edits::double(character(), false, 'mouth'), 'details')['mouth-2'];
    expect($copy)->toMatchArray(['xMm' => 2, 'yMm' => 2, 'name' => 'mouth again']);
    $head = members(Edits::double(character(), true, 'head'), 'parts')['head-2'];
    expect($head['name'])->toBe('Head again')->and($head['join'])->toBe(['to' => 'body']);
});

it('parts a pair with its place, its holes and its name, and leaves the rest of the figure as it was', function () {
    $document = Figures::document(
        [Figures::part('head', 'ball', 50, 46, 48)],
        [
            [
                'key' => 'mask', 'name' => 'Mask', 'on' => 'head', 'kind' => 'patch', 'xMm' => 9, 'yMm' => 3, 'mirror' => true,
                'pointsMm' => [[-5, -4], [5, -4], [5, 4], [-5, 5]], 'holesMm' => [[[-2, -1], [1, -1], [0, 2]]], 'colour' => 'black',
            ],
        ],
    );
    $details = members(Edits::parted(Figures::read($document), 'mask'), 'details');
    expect(array_keys($details))
        ->toBe(['mask', 'mask-left'])
        ->and($details['mask'])
        ->toMatchArray(['name' => 'Mask, right', 'mirror' => false, 'xMm' => 9, 'pointsMm' => [[-5, -4], [5, -4], [5, 4], [-5, 5]]])
        ->and($details['mask-left'])
        ->toMatchArray([
            'name' => 'Mask, left',
            'mirror' => false,
            'xMm' => -9,
            'yMm' => 3,
            'pointsMm' => [[5, -4], [-5, -4], [-5, 4], [5, 5]],
            'holesMm' => [[[2, -1], [-1, -1], [0, 2]]],
        ]);
});

it('parts a pair that is laid from any side without anything that is seen changing', function (string $side) {
    $figure = Figures::read(Figures::document([Figures::part('head', 'egg', 50, 46, 48)], [[
        'key' => 'spot', 'on' => 'head', 'kind' => 'patch', 'xMm' => 6, 'yMm' => 3, 'mirror' => true, 'side' => $side, 'turnDeg' => 20,
        'pointsMm' => [[-5, -4], [5, -4], [5, 4], [-5, 5]], 'colour' => 'black',
    ]]));
    $parted = Figure::fromDocument(Edits::parted($figure, 'spot')->document);
    foreach (View::cases() as $view) {
        expect(seen($parted, $view))->toBe(seen($figure, $view));
    }
})->with(array_column(Side::cases(), 'value'));

it('leads the middle line elsewhere, and everything stays where it was drawn', function () {
    $document = Figures::document(
        [
            Figures::part('mask', 'plate', 80, 60, 3, 4, 40),
            Figures::part('ear', 'cone', 12, 16, 8, 18, 84, 0, ['join' => ['to' => 'mask']]),
        ],
        [['key' => 'nose', 'on' => 'mask', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 2, 'colour' => 'black']],
        [
            'wires' => [['key' => 'w', 'pointsMm' => [[-10, 30, 0], [12, 31, 2]]]],
            'base' => ['weights' => [['g' => 5, 'atMm' => [3, 4, 1]]]],
            'flat' => [
                'way' => 'sheet',
                'openings' => [['key' => 'hole', 'pointsMm' => [[1, 40], [9, 40], [5, 46]]]],
                'ribbon' => ['widthMm' => 6, 'lengthMm' => 200, 'holesMm' => [[-30, 40], [36, 40]]],
            ],
            'picture' => ['file' => 'a.png', 'widthPx' => 200, 'heightPx' => 200, 'mmPerPx' => 0.5, 'originPx' => [100, 190]],
        ],
    );
    $read = static fn (stdClass $whole): array => (array) json_decode((string) json_encode($whole), true);
    $was = $read(Figures::read($document)->document());
    $moved = $read(Edits::axisMoved(Figures::read($document), 3.5)->document);
    expect(array_column(array_column($moved['parts'], 'at'), 'xMm'))
        ->toEqual([0.5, 14.5])
        ->and($moved['details'])
        ->toEqual($was['details'])
        ->and($moved['wires'][0]['pointsMm'])
        ->toEqual([[-13.5, 30, 0], [8.5, 31, 2]])
        ->and($moved['base']['weights'][0]['atMm'])
        ->toEqual([-0.5, 4, 1])
        ->and($moved['flat']['openings'][0]['pointsMm'])
        ->toEqual([[-2.5, 40], [5.5, 40], [1.5, 46]])
        ->and($moved['flat']['ribbon']['holesMm'])
        ->toEqual([[-33.5, 40], [32.5, 40]])
        // 3.5 mm are seven pixels.
        ->and($moved['picture']['originPx'])
        ->toEqual([107, 190]);
    expect($read(Edits::axisMoved(Figures::read($moved), -3.5)->document))->toEqual($was);
});

it('takes the nearest colour within what passes, the same one always, and none beyond', function () {
    $draft = static fn (): Draft => Draft::of(character());
    expect($draft()->colourFor('#2F8F86', 'x'))
        ->toBe('teal')
        ->and($draft()->colourFor('#30908a', 'x', within: 5.0))
        ->toBe('teal')
        ->and($draft()->colourFor('#30908a', 'Sea', 'sea', 0.5))
        ->toBe('sea')
        ->and($draft()->colourFor('#30908a', 'Sea', 'teal'))
        ->toBe('teal-2')
        ->and($draft()->colourFor('#202022', 'x', within: 8.0))
        ->toBe('black');
});

it('gives the first key that is free', function (array $taken, string $key) {
    expect(Draft::besides($taken, 'eye'))->toBe($key);
})->with([[[], 'eye'], [['eye'], 'eye-2'], [['eye', 'eye-2', 'nose'], 'eye-3'], [['eye', 'eye-3'], 'eye-2']]);

it('gives what lay and hung on a part to the nearest of those that take its place, where it was', function () {
    $figure = Figures::read(
        Figures::document(
            [
                Figures::part('body', 'ball', 40, 80, 40, 0, 40),
                Figures::part('head', 'ball', 30, 30, 30, 0, 90, 0, ['join' => ['to' => 'body']]),
                Figures::part('foot', 'ball', 16, 16, 16, 0, 4, 0, ['join' => ['to' => 'body']]),
            ],
            [
                ['key' => 'bib', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 8, 'xMm' => 3, 'yMm' => 25, 'colour' => 'black'],
                ['key' => 'knee', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 8, 'xMm' => -2, 'yMm' => -22, 'colour' => 'black'],
            ],
        ),
    );
    $draft = Draft::of($figure);
    $half = static fn (string $key, float $y): object => json_decode(
        (string) json_encode(Figures::part($key, 'ball', 40, 40, 40, 0, $y)),
    );
    $draft->replacePart('body', [$half('low', 20), $half('high', 60)]);
    $document = json_decode((string) json_encode($draft->whole()), true);
    $parts = array_column($document['parts'], null, 'key');
    $details = array_column($document['details'], null, 'key');
    expect(array_keys($parts))
        ->toBe(['low', 'high', 'head', 'foot'])
        ->and([$parts['head']['join']['to'], $parts['foot']['join']['to']])
        ->toBe(['high', 'low'])
        ->and([$details['bib']['on'], $details['knee']['on']])
        ->toBe(['high', 'low'])
        // Seen where they were: 65 and 18 mm above the table.
        ->and([$details['bib']['xMm'], $details['bib']['yMm']])
        ->toEqualWithDelta([3, 5], 1e-9)
        ->and([$details['knee']['xMm'], $details['knee']['yMm']])
        ->toEqualWithDelta([-2, -2], 1e-9);
});

it('moves a detail to another part at the same place: its points where it has some, else, or where it is turned, its middle', function () {
    $at = static fn (float $x, float $y): object => (object) ['key' => "p{$x}", 'at' => (object) ['xMm' => $x, 'yMm' => $y]];
    $detail = static fn (array $more): object => json_decode((string) json_encode($more + ['on' => 'p0', 'xMm' => 1, 'yMm' => 2]));
    $patch = $detail(['pointsMm' => [[0, 0], [4, 0], [0, 3.333]], 'holesMm' => [[[1, 1], [2, 1], [1, 2]]]]);
    Draft::moveDetail($patch, $at(0, 60), $at(10, 20));
    expect($patch)
        ->on->toBe('p10')
        ->pointsMm->toEqual([[-10, 40], [-6, 40], [-10, 43.33]])
        ->holesMm->toEqual([[[-9, 41], [-8, 41], [-9, 42]]])
        ->xMm->toEqual(1);
    $turned = $detail(['pointsMm' => [[0, 0], [4, 0], [0, 3]], 'turnDeg' => 30]);
    Draft::moveDetail($turned, $at(0, 60), $at(10, 20));
    expect($turned)->pointsMm->toEqual([[0, 0], [4, 0], [0, 3]])->xMm->toEqual(-9)->yMm->toEqual(42);
    $disc = $detail([]);
    Draft::moveDetail($disc, $at(0, 60), $at(10, 20));
    expect($disc)->xMm->toEqual(-9)->yMm->toEqual(42);
    // Where no place is said it is the middle; places are kept to a hundredth.
    $middle = json_decode('{"on": "p0"}');
    Draft::moveDetail($middle, $at(0.123, 60.123), $at(10, 20));
    expect($middle)->xMm->toBe(-9.88)->yMm->toBe(40.12);
    $line = json_decode('{"on": "p0", "pointsMm": [[0, 0], [0.111, 0.222]]}');
    Draft::moveDetail($line, $at(0.123, 60.123), $at(10, 20));
    expect($line->pointsMm)->toBe([[-9.88, 40.12], [-9.77, 40.35]]);
});

it('counts as nearest what is so for its longer side, along either axis, from the middle of a line', function (bool $across) {
    $at = static fn (float $along, float $w, float $h): array => $across ? [$w, $h, $w, $along, 40.0] : [$h, $w, $w, 0.0, $along + 40.0];
    $heir = static fn (string $key, float $along, float $w, float $h): object => json_decode(
        (string) json_encode(Figures::part($key, 'ball', ...$at($along, $w, $h))),
    );
    $line = static fn (string $key, array $middle, array $ends): array => [
        'key' => $key, 'on' => 'body', 'kind' => 'line', 'widthMm' => 1, 'colour' => 'black',
        'xMm' => $middle[(int) ! $across], 'yMm' => $middle[(int) $across],
        'pointsMm' => array_map(static fn (array $p): array => $across ? $p : array_reverse($p), $ends),
    ];
    $cone = static fn (string $key, float $along): array => Figures::part(
        $key, 'cone', 4, 4, 4, $across ? $along : 0, $across ? 40 : 40 + $along, more: ['join' => ['to' => 'body']],
    );
    // 18 mm along: so far from the middle of what is 60 mm long, and 12 from that of what is 20, the first is nearer for its size; 24
    // mm along the second is.
    $draft = Draft::of(Figures::read(Figures::document(
        [Figures::part('body', 'ball', 80, 80, 80, 0, 40), $cone('ear', 18), $cone('horn', 24)],
        [
            $line('seam', [10, 1], [[6, -1], [10, -1]]),
            $line('tip', [12, 1], [[10, -1], [14, -1]]),
            ['key' => 'dot', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 3, 'colour' => 'black'],
        ],
    )));
    $draft->replacePart('body', [$heir('small', 30, 20, 20), $heir('long', 0, 10, 60)]);
    expect(array_map(static fn (string $key): string => $draft->detail($key)->on, ['seam', 'tip', 'dot']))
        ->toBe(['long', 'small', 'long'])
        ->and([$draft->part('ear')->join->to, $draft->part('horn')->join->to])
        ->toBe(['long', 'small']);
})->with([true, false]);

it('gives a copy that shares nothing, a number with its point as it was', function () {
    $one = json_decode('{"at": {"xMm": 4.0}, "list": []}');
    $copy = Draft::copy($one);
    $copy->at->xMm = 5;
    expect($one->at->xMm)->toBe(4.0)->and(Draft::copy($one))->toEqual($one)->and(Draft::copy($one)->at->xMm)->toBeFloat();
});

it('lets a part stand on its own that would hang on itself', function () {
    $draft = Draft::of(character());
    $draft->rehang('head', 'ear');
    expect($draft->part('ear'))->not->toHaveProperty('join')->and($draft->part('head')->join->to)->toBe('body');
});

/** A face of one thing that is two details, put on as one piece, and a patch that is drawn on one side alone. */
function faced(): Figure
{
    $eye = ['on' => 'head', 'kind' => 'disc', 'colour' => 'black', 'piece' => ['key' => 'eyes', 'kind' => 'open-eyes']];

    return Figures::read(Figures::document(
        [Figures::part('head', 'ball', 50, 46, 48, 2, 62, 4)],
        [
            ['key' => 'white', 'widthMm' => 6, 'xMm' => 9, 'yMm' => 1, 'mirror' => true] + $eye,
            ['key' => 'spark', 'name' => 'Spark', 'widthMm' => 2, 'xMm' => -8, 'yMm' => 2, 'mirror' => false] + $eye,
            ['key' => 'pupil', 'widthMm' => 3, 'xMm' => 9, 'mirror' => true, 'turnDeg' => 12] + $eye,
            ['key' => 'bare', 'on' => 'head', 'kind' => 'patch', 'colour' => 'white', 'pointsMm' => [[0, 0], [4, 0], [1, 5]]],
        ],
    ));
}

it('doubles one thing as one: each of its details by 2 mm, mirrored ones the other way, under a piece of its own', function () {
    $edited = Edits::double(faced(), false, 'white', ['pupil' => 1, 'spark' => -1]);
    $details = members($edited, 'details');
    $added = array_diff_key($details, array_flip(['white', 'spark', 'pupil', 'bare']));
    expect(array_keys($added))->toBe(['white-2', 'pupil-2', 'spark-2'])->and($edited->key)->toBe('white-2')
        ->and(array_map(static fn (array $d): array => [$d['xMm'], $d['yMm']], array_values($added)))->toEqual([[11, 3], [11, 2], [-10, 4]])
        ->and(array_column($added, 'name'))->toBe(['white again', 'pupil again', 'Spark again'])
        ->and(array_column(array_column($added, 'piece'), 'key'))->toBe(['eyes-2', 'eyes-2', 'eyes-2'])
        ->and($details['white']['piece']['key'])->toBe('eyes');
    $bare = members(Edits::double(faced(), false, 'bare'), 'details')['bare-2'];
    expect([$bare['xMm'], $bare['yMm'], $bare['name']])->toEqual([2, 2, 'bare again']);
});

it('makes one thing a pair, or one alone: what lay on the other half alone goes, what was mirrored to it is laid there', function () {
    $pair = members(Edits::twinned(faced(), 'white', true, ['pupil' => 1, 'spark' => -1]), 'details');
    expect([$pair['white']['mirror'], $pair['pupil']['mirror'], $pair['spark']['mirror']])->toBe([true, true, true])
        ->and($pair['spark']['xMm'])->toBe(-8);
    $alone = members(Edits::twinned(faced(), 'white', false, ['pupil' => -1, 'spark' => -1]), 'details');
    expect(array_keys($alone))->toBe(['white', 'pupil', 'bare'])
        ->and([$alone['white']['mirror'], $alone['white']['xMm']])->toBe([false, 9])
        ->and([$alone['pupil']['mirror'], $alone['pupil']['xMm'], $alone['pupil']['turnDeg']])->toEqual([false, -9, -12]);
    $bare = members(Edits::twinned(faced(), 'bare', true), 'details');
    expect([$bare['bare']['mirror'], $bare['spark']['mirror']])->toBe([true, false]);
});

it('parts a pair into two that say their sides, with what of one thing is a pair as well', function () {
    $details = members(Edits::parted(faced(), 'white', ['pupil' => -1, 'spark' => 1]), 'details');
    expect(array_keys($details))->toBe(['white', 'spark', 'pupil', 'bare', 'white-left', 'pupil-left'])
        ->and([$details['white']['name'], $details['white-left']['name']])->toBe(['white, right', 'white, left'])
        ->and([$details['pupil']['name'], $details['pupil-left']['name']])->toBe(['pupil, left', 'pupil, right'])
        ->and(array_column($details, 'mirror', 'key'))
        ->toBe(['white' => false, 'spark' => false, 'pupil' => false, 'white-left' => false, 'pupil-left' => false])
        ->and([$details['white-left']['xMm'], $details['pupil-left']['xMm'], $details['pupil-left']['turnDeg']])->toEqual([-9, -9, -12])
        ->and($details['spark'])->toBe(members(Edits::remove(faced(), false, ['bare']), 'details')['spark']);
});

it('adds a shape on top of a part in its colour, or on the table where there is none', function () {
    $parts = members(Edits::add(faced(), ShapeKind::Cone, 'head'), 'parts');
    $height = $parts['cone']['shape']['heightMm'];
    expect($parts['cone']['at'])->toEqual(['xMm' => 2, 'yMm' => 62 + 23, 'zMm' => 4])
        ->and([$parts['cone']['colour'], $parts['cone']['name']])->toBe(['teal', 'Cone'])
        ->and($parts['cone']['join'])->toBe(['to' => 'head', 'by' => 'fluff']);
    $empty = faced()->document();
    $empty->parts = $empty->details = [];
    $first = members(Edits::add(Figure::fromDocument($empty), ShapeKind::Cone), 'parts');
    expect($first['cone']['at'])->toEqual(['xMm' => 0, 'yMm' => $height / 2, 'zMm' => 0])
        ->and($first['cone']['colour'])->toBe('teal')->and(isset($first['cone']['join']))->toBeFalse();
});

it('mends a detail by what is set, with what comes and without what goes', function () {
    $more = (object) ['on' => 'head', 'kind' => 'disc', 'widthMm' => 1.5, 'colour' => 'white', 'role' => 'other'];
    $edited = Edits::mend(faced(), 'pupil', (object) ['widthMm' => 4, 'method' => 'bead', 'kind' => 'bead'], [$more], ['spark']);
    $details = members($edited, 'details');
    expect($edited->key)->toBe('pupil')->and(array_keys($details))->toBe(['white', 'pupil', 'bare', 'pupil-2'])
        ->and([$details['pupil']['widthMm'], $details['pupil']['method'], $details['pupil']['xMm']])->toBe([4, 'bead', 9])
        ->and($details['pupil-2']['widthMm'])->toBe(1.5);
});

it('moves the middle line by hundredths of a mm, and the drawing by its own pixels', function () {
    $picture = ['file' => 'a.png', 'widthPx' => 300, 'heightPx' => 400, 'mmPerPx' => 0.3, 'originPx' => [150, 380]];
    $document = faced()->document();
    $document->picture = json_decode((string) json_encode($picture));
    $moved = Edits::axisMoved(Figure::fromDocument($document), 1.2345)->document;
    expect($moved->parts[0]->at->xMm)->toBe(0.77)->and($moved->picture->originPx)->toEqual([154.12, 380])
        ->and($moved->parts[0]->at->yMm)->toBe(62);
});

it('says the height that the parts stand to a tenth of a mm, or lets them grow to the height that is said', function () {
    // A ball of 46 mm stands from 39 to 85 mm: 46 mm tall.
    $told = Edits::ofOneHeight(faced(), false)->document;
    expect($told->heightMm)->toBe(46.0)->and($told->parts[0]->shape->heightMm)->toBe(46);
    $grown = Edits::ofOneHeight(faced(), true)->document;
    expect($grown->heightMm)->toBe(100.0)->and($grown->parts[0]->shape->heightMm)->toEqualWithDelta(100.0, 1e-9);
    $odd = faced()->document();
    $odd->parts[0]->shape->heightMm = 46.26;
    expect(Edits::ofOneHeight(Figure::fromDocument($odd), false)->document->heightMm)->toBe(46.3);
});

it('brings a part half a mm before or behind the next one, and leaves the foremost and the hindmost where they are', function () {
    $at = static fn (float $z, string $key): array => Figures::part($key, 'ball', 9, 9, 9, more: [
        'at' => ['xMm' => 0, 'yMm' => 20, 'zMm' => $z],
    ]);
    $depth = static fn (string $key, bool $nearer, array $parts): float => Figure::fromDocument(
        Edits::reordered(Figures::read(Figures::document($parts)), $key, $nearer)->document,
    )->parts[$key]->stand->at[2];
    $parts = [$at(0, 'body'), $at(4, 'head'), $at(9, 'ear')];
    expect($depth('body', true, $parts))->toBe(4.5)
        ->and($depth('head', true, $parts))->toBe(9.5)
        ->and($depth('ear', true, $parts))->toBe(9.0)
        ->and($depth('ear', false, $parts))->toBe(3.5)
        ->and($depth('head', false, $parts))->toBe(-0.5)
        ->and($depth('body', false, $parts))->toBe(0.0)
        // Who lies at the same depth is the next one.
        ->and($depth('body', true, [$at(0, 'body'), $at(0, 'head')]))->toBe(0.5)
        ->and(static fn () => $depth('nobody', true, $parts))->toThrow(EditRefused::class);
});

it('guesses no depth of a part any more that she brings before or behind another, but of one that stayed where it was', function () {
    $seen = ['seen' => ['confidence' => 0.9, 'why' => 'A patch.', 'depth' => 'guessed']];
    $figure = Figures::read(Figures::document([
        Figures::part('body', 'ball', 9, 9, 9, 0, 20, 0, $seen),
        Figures::part('head', 'ball', 9, 9, 9, 0, 20, 4, $seen),
    ]));
    $guessed = static fn (string $key): array => array_map(
        static fn (stdClass $part): bool => isset($part->seen->depth),
        Edits::reordered($figure, $key, true)->document->parts,
    );
    expect($guessed('body'))->toBe([false, true])->and($guessed('head'))->toBe([true, true]);
});

it('sets one more point of a wire in the middle of its longest stretch', function () {
    $wire = ['key' => 'w', 'pointsMm' => [[0, 0, 0], [0, 10, 0], [20, 10, 4], [20, 12, 4]]];
    $figure = Figures::read(Figures::document([Figures::part('body', 'ball', 9, 9, 9)], [], ['wires' => [$wire]]));
    $points = Edits::pointed($figure, 'w')->document->wires[0]->pointsMm;
    expect(json_decode((string) json_encode($points), true))->toEqual([[0, 0, 0], [0, 10, 0], [10, 10, 2], [20, 10, 4], [20, 12, 4]])
        ->and(static fn () => Edits::pointed($figure, 'v'))->toThrow(EditRefused::class, 'There is no wire "v".');
});

it('takes all that was seen surely enough, and nothing else', function () {
    $document = Figures::document(
        [
            Figures::part('body', 'ball', 40, 44, 40, 0, 22, 0, ['seen' => ['confidence' => 0.8, 'why' => 'A patch.']]),
            Figures::part('head', 'ball', 50, 46, 48, 0, 62, 0, [
                'seen' => ['confidence' => 0.79, 'why' => ''],
                'join' => ['to' => 'body'],
            ]),
            Figures::part('hat', 'cone', 30, 30, 30, 0, 90, 0, ['join' => ['to' => 'head']]),
        ],
        [[
            'key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'colour' => 'black',
            'seen' => ['confidence' => 1, 'why' => ''],
        ]],
    );
    $taken = static fn (float $least): array => array_map(
        static fn (stdClass $m): ?bool => $m->seen->taken ?? null,
        [...($after = Edits::takeSurer(Figures::read($document), $least)->document)->parts, ...$after->details],
    );
    expect($taken(0.8))->toBe([true, null, null, true])
        ->and($taken(0.0))->toBe([true, true, null, true])
        ->and($taken(1.0))->toBe([null, null, null, true]);
});
