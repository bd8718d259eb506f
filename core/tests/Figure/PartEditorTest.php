<?php

declare(strict_types=1);

namespace Impa\Tests\PartEditor;

use Impa\Figure\Document\FigureCheck;
use Impa\Figure\Editing\Edited;
use Impa\Figure\Editing\Edits;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Seeing\Editing\PartEditor;
use Impa\Seeing\Editing\PartEditRefused;
use Impa\Tests\Support\Figures;

function cutFigure(): Figure
{
    return Figures::read(
        Figures::document(
            [
                Figures::part('body', 'sausage', 30, 80, 30, 0, 40, 0),
                Figures::part('head', 'ball', 40, 40, 40, 0, 95, 2, ['join' => ['to' => 'body']]),
                Figures::part('hat', 'ball', 20, 20, 20, 0, 118, 4, ['join' => ['to' => 'head']]),
                Figures::part('arm', 'sausage', 10, 30, 10, 22, 50, 0, ['join' => ['to' => 'body'], 'mirror' => true]),
            ],
            [
                [
                    'key' => 'eye',
                    'name' => 'Eye',
                    'on' => 'head',
                    'kind' => 'disc',
                    'widthMm' => 6,
                    'xMm' => 8,
                    'yMm' => 2,
                    'mirror' => true,
                    'colour' => 'black',
                ],
                [
                    'key' => 'knee',
                    'name' => 'Knee',
                    'on' => 'body',
                    'kind' => 'disc',
                    'widthMm' => 8,
                    'xMm' => 0,
                    'yMm' => -25,
                    'colour' => 'black',
                ],
                [
                    'key' => 'bib',
                    'name' => 'Bib',
                    'on' => 'body',
                    'kind' => 'patch',
                    'pointsMm' => [[-6, 10], [6, 10], [6, 25], [-6, 25]],
                    'colour' => 'black',
                ],
            ],
        ),
    );
}

/**
 * Intersection over union of what two sets of parts cover in the front view, on a grid of 1 mm.
 *
 * @param  array<Part>  $some
 * @param  array<Part>  $others
 */
function overlap(array $some, array $others): float
{
    $covers = static function (array $parts, float $x, float $y): bool {
        foreach ($parts as $part) {
            [$u, $v] = $part->stand->turn->undo($x - $part->stand->at[0], $y - $part->stand->at[1], 0.0);
            if (! is_nan($part->solid->frontMm($u, $v))) {
                return true;
            }
        }

        return false;
    };
    $both = $either = 0;
    for ($x = -60; $x <= 70; $x++) {
        for ($y = -40; $y <= 120; $y++) {
            [$one, $two] = [$covers($some, $x, $y), $covers($others, $x, $y)];
            $both += (int) ($one && $two);
            $either += (int) ($one || $two);
        }
    }

    return $both / max(1, $either);
}

/** @return array<string, array<string, mixed>> parts or details by key, the document proved to be whole */
function membersOf(Edited $edited, string $list = 'parts'): array
{
    $figure = Figure::fromDocument(json_decode(json_encode($edited->document)));

    return array_column(json_decode($figure->toJson(), true)[$list], null, 'key');
}

it('splits a part along a line: sizes add up, details and joins go to the nearer side', function () {
    $edited = PartEditor::split(cutFigure(), 'body', [-40.0, 30.0], [40.0, 30.0]);
    $parts = membersOf($edited);
    $details = membersOf($edited, 'details');
    [$upper, $lower] = [$parts['body'], $parts['body-2']];
    expect($edited->key)
        ->toBe('body-2')
        ->and($parts)
        ->toHaveCount(5)
        ->and($upper['at']['yMm'])
        ->toBeGreaterThan($lower['at']['yMm'])
        ->and($upper['shape']['widthMm'])
        ->toEqualWithDelta(30, 1.5)
        ->and($lower['shape']['widthMm'])
        ->toEqualWithDelta(30, 1.5)
        ->and($lower['join']['to'])
        ->toBe('body')
        ->and($parts['head']['join']['to'])
        ->toBe('body')
        ->and($details['knee']['on'])
        ->toBe('body-2')
        ->and($details['bib']['on'])
        ->toBe('body');
    // The knee stays where it was in the figure.
    expect($lower['at']['yMm'] + $details['knee']['yMm'])
        ->toEqualWithDelta(15, 0.1)
        ->and($lower['at']['xMm'] + $details['knee']['xMm'])
        ->toEqualWithDelta(0, 0.1);
});

it('merges what was split to much the same part again', function () {
    $split = Figure::fromDocument(PartEditor::split(cutFigure(), 'body', [-40.0, 30.0], [40.0, 30.0])->document);
    $merged = PartEditor::merge($split, ['body-2', 'body']);
    $parts = membersOf($merged);
    expect($merged->key)
        ->toBe('body')
        ->and($parts)
        ->toHaveCount(4)
        ->and($parts['body']['shape']['widthMm'])
        ->toEqualWithDelta(30, 1.5)
        ->and($parts['body']['shape']['heightMm'])
        ->toEqualWithDelta(80, 4)
        ->and($parts['body']['at']['yMm'])
        ->toEqualWithDelta(40, 2)
        ->and(membersOf($merged, 'details')['knee']['on'])
        ->toBe('body');
});

it('merges across a join and keeps the tree whole', function () {
    $parts = membersOf(PartEditor::merge(cutFigure(), ['head', 'hat', 'body']));
    expect(array_keys($parts))
        ->toEqualCanonicalizing(['body', 'arm'])
        ->and($parts['body']['join'] ?? null)
        ->toBeNull()
        ->and($parts['arm']['join']['to'])
        ->toBe('body')
        ->and($parts['body']['shape']['heightMm'])
        ->toBeGreaterThan(110.0);
});

it('makes a part of what was drawn round, in front of what it lies on', function () {
    $parts = membersOf($edited = PartEditor::lasso(cutFigure(), [[-6.0, 88.0], [6.0, 88.0], [6.0, 100.0], [-6.0, 100.0]]));
    $new = $parts[$edited->key];
    expect($new['join']['to'])
        ->toBe('head')
        ->and($new['shape']['widthMm'])
        ->toEqualWithDelta(12, 0.8)
        ->and($new['at']['yMm'])
        ->toEqualWithDelta(94, 0.5)
        ->and($new['at']['zMm'])
        ->toEqualWithDelta(22, 0.5);
});

it('takes from the drawing the main colour inside the line', function () {
    $image = imagecreatetruecolor(200, 200);
    imagefill($image, 0, 0, 0xFFFFFF);
    imagefilledellipse($image, 100, 100, 160, 160, 0xC04050);
    imagefilledellipse($image, 100, 120, 40, 30, 0x2040A0);
    ob_start();
    imagepng($image);
    $png = (string) ob_get_clean();
    $document = Figures::document([Figures::part('head', 'ball', 80, 80, 80, 0, 40, 0)]);
    $document['picture'] = ['file' => 'a.png', 'widthPx' => 200, 'heightPx' => 200, 'mmPerPx' => 0.5, 'originPx' => [100, 180]];
    $edited = PartEditor::lasso(Figures::read($document), [[-13.0, 18.0], [13.0, 18.0], [13.0, 42.0], [-13.0, 42.0]], $png);
    $new = membersOf($edited)[$edited->key];
    // The oval is 40 by 30 pixels, at half a millimetre each.
    expect($new['shape']['kind'])
        ->toBe('ball')
        ->and($new['shape']['widthMm'])
        ->toEqualWithDelta(20, 0.8)
        ->and($new['shape']['heightMm'])
        ->toEqualWithDelta(15, 0.8)
        ->and([$new['at']['xMm'], $new['at']['yMm']])
        ->toEqualWithDelta([0.0, 30.0], 0.4);
    expect(array_column(json_decode(json_encode($edited->document), true)['colours'], 'hex'))->toContain('#2040a0');
});

it('makes a part colour on what it is joined to, and that a part again in its place', function () {
    $detail = PartEditor::toDetail(cutFigure(), 'hat');
    $details = membersOf($detail, 'details');
    expect(membersOf($detail))
        ->toHaveCount(3)
        ->and($details['hat']['on'])
        ->toBe('head')
        ->and($details['hat']['kind'])
        ->toBe('patch');
    $back = PartEditor::toPart(Figure::fromDocument($detail->document), 'hat');
    $hat = membersOf($back)[$back->key];
    expect($hat['shape']['kind'])
        ->toBe('ball')
        ->and($hat['shape']['widthMm'])
        ->toEqualWithDelta(20, 0.7)
        ->and([$hat['at']['xMm'], $hat['at']['yMm']])
        ->toEqualWithDelta([0.0, 118.0], 0.4)
        ->and($hat['join']['to'])
        ->toBe('head');
    $eye = PartEditor::toPart(cutFigure(), 'eye');
    $made = membersOf($eye)[$eye->key];
    expect($made['mirror'])
        ->toBeTrue()
        ->and($made['at']['xMm'])
        ->toEqualWithDelta(8, 0.2)
        ->and($made['at']['zMm'])
        ->toBeGreaterThan(15.0);
});

it('refuses in words what cannot be cut', function (callable $do, string $words) {
    expect(fn () => $do(cutFigure()))->toThrow(PartEditRefused::class, $words);
})->with([
    'a line beside the part' => [fn (Figure $f) => PartEditor::split($f, 'body', [-40.0, 200.0], [40.0, 200.0]), 'in one piece'],
    'no such part' => [fn (Figure $f) => PartEditor::split($f, 'nose', [0.0, 0.0], [1.0, 1.0]), 'no part "nose"'],
    'one part merged' => [fn (Figure $f) => PartEditor::merge($f, ['body', 'body']), 'two parts'],
    'two points drawn round' => [fn (Figure $f) => PartEditor::lasso($f, [[0.0, 0.0], [1.0, 1.0]]), 'too small'],
    'the root made colour' => [fn (Figure $f) => PartEditor::toDetail($f, 'body'), 'carries the others'],
    'no such detail' => [fn (Figure $f) => PartEditor::toPart($f, 'nose'), 'no detail "nose"'],
]);

it('splits any part along any line through it: the two cover seven tenths of what either covers', function () {
    mt_srand(21);
    foreach (['ball', 'egg', 'sausage', 'drum', 'cone', 'dome'] as $kind) {
        foreach (range(1, 2) as $_) {
            $turn = mt_rand(-80, 80);
            $figure = Figures::read(
                Figures::document([Figures::part('one', $kind, 40, 60, 40, 5, 40, 0, ['turnDeg' => ['z' => $turn]])]),
            );
            $angle = mt_rand(0, 179);
            $reach = [90 * cos(deg2rad($angle)), 90 * sin(deg2rad($angle))];
            $parts = membersOf(PartEditor::split($figure, 'one', [5 - $reach[0], 40 - $reach[1]], [5 + $reach[0], 40 + $reach[1]]));
            expect($parts)->toHaveCount(2);
            $halves = Figures::read(Figures::document(array_values($parts)))->parts;
            expect(overlap([$figure->parts['one']], $halves))->toBeGreaterThan(0.7);
        }
    }
});

it('leaves a document that passes its own check after every act, members unknown to us included', function () {
    $document = json_decode(cutFigure()->toJson());
    $document->parts[0]->maker = 'kept';
    $document->remark = ['kept', 'too'];
    $figure = Figure::fromDocument($document);
    $acts = [
        PartEditor::split($figure, 'head', [-40.0, 96.0], [40.0, 96.0]),
        PartEditor::merge($figure, ['hat', 'head']),
        PartEditor::lasso($figure, [[-5.0, 40.0], [5.0, 40.0], [0.0, 52.0]]),
        PartEditor::toDetail($figure, 'arm'),
        PartEditor::toPart($figure, 'bib'),
    ];
    foreach ($acts as $edited) {
        $again = json_decode(Figure::fromDocument(json_decode(json_encode($edited->document)))->toJson());
        expect($again->remark)
            ->toBe(['kept', 'too'])
            ->and(array_column($again->parts, 'maker'))
            ->toBe(['kept']);
    }
});

it('changes nothing of the figure it was given', function () {
    $figure = cutFigure();
    $before = $figure->toJson();
    PartEditor::split($figure, 'body', [-40.0, 30.0], [40.0, 30.0]);
    PartEditor::merge($figure, ['hat', 'head']);
    PartEditor::toDetail($figure, 'hat');
    expect($figure->toJson())->toBe($before);
});

it('keeps the name of what bears the other, though that is the larger by a little: a cut undone by hand', function () {
    $document = Figures::document([
        Figures::part('body', 'ball', 40, 40, 40, 0, 20),
        Figures::part('head', 'ball', 40, 30, 40, 0, 60, 0, ['join' => ['to' => 'body']]),
        Figures::part('half', 'ball', 40, 31, 40, 0, 75, 0, ['join' => ['to' => 'head']]),
    ]);
    foreach ([['head', 'half'], ['half', 'head']] as $keys) {
        $parts = membersOf(PartEditor::merge(Figures::read($document), $keys));
        expect(array_keys($parts))->toBe(['body', 'head'])->and($parts['head']['join']['to'])->toBe('body');
    }
});

it('makes the twins of a pair one pair when both are merged with pairs', function () {
    $document = Figures::document([
        Figures::part('body', 'ball', 40, 40, 40, 0, 20),
        Figures::part('arm', 'sausage', 10, 30, 10, 26, 24, 0, [
            'mirror' => true,
            'turnDeg' => ['z' => 60],
            'join' => ['to' => 'body'],
        ]),
        Figures::part('hand', 'ball', 12, 12, 12, 38, 17, 0, ['mirror' => true, 'join' => ['to' => 'arm']]),
    ]);
    $parts = membersOf(PartEditor::merge(Figures::read($document), ['arm', 'hand']));
    expect($parts)
        ->toHaveCount(2)
        ->and($parts['arm']['mirror'])
        ->toBeTrue()
        ->and($parts['arm']['at']['xMm'])
        ->toBeGreaterThan(20.0)
        ->and($parts['arm']['join']['to'])
        ->toBe('body');
});

it('makes any two parts of the demo\'s figures one, and leaves a figure that can be saved', function (string $name) {
    $figure = Figure::fromJson((string) file_get_contents(__DIR__."/../../../demo/$name.impa.json"));
    $keys = array_keys($figure->parts);
    foreach ($keys as $i => $one) {
        // Each with the one it is joined to, and with the next: across joins and along them.
        foreach (array_unique([$figure->parts[$one]->join->to ?: $keys[0], $keys[($i + 1) % count($keys)]]) as $other) {
            try {
                $merged = $one === $other ? null : PartEditor::merge($figure, [$one, $other]);
            } catch (PartEditRefused) {
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
                0 => PartEditor::merge($figure, array_slice($keys, 0, mt_rand(2, 3))),
                1 => PartEditor::toDetail($figure, $keys[0]),
                2 => Edits::remove($figure, true, [$keys[0]]),
            };
        } catch (PartEditRefused) {
            continue;
        }
        expect(FigureCheck::faults($edited->document))->toBe([]);
        $figure = Figure::fromDocument($edited->document);
    }
})->with(range(1, 6));
