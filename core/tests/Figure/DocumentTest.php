<?php

declare(strict_types=1);

namespace Impa\Tests\Document;

use Impa\Figure\Document\Fault;
use Impa\Figure\Document\FigureCheck;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Editing\Sizing;
use Impa\Figure\Editing\SizingRefused;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Finish;
use Impa\Figure\Term\Keep;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\Pose;
use Impa\Figure\Term\Side;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Voice\Message;

/** @return array<string, string> what is amiss, by its place */
function faults(array $document): array
{
    $faults = FigureCheck::faults(json_decode((string) json_encode($document)));

    return array_column(array_map(static fn (Fault $f): array => ['p' => $f->pointer, 't' => $f->text], $faults), 't', 'p');
}

function two(array $first = [], array $second = [], array $details = [], array $more = []): array
{
    return Figures::document(
        [$first + Figures::part('a', 'ball', 40, 40, 40, 0, 20), $second + Figures::part('b', 'ball', 20, 20, 20, 0, 50)],
        $details,
        $more,
    );
}

function detail(array $more): array
{
    return $more + ['key' => 'd', 'on' => 'a', 'kind' => 'disc', 'widthMm' => 4, 'colour' => 'black'];
}

it('finds nothing amiss with a whole document', function () {
    expect(faults(two(['join' => ['to' => 'b']], [], [detail([])])))->toBe([]);
});

it('says of what makes no sense where it stands, and what to do', function (array $document, array $told) {
    expect(faults($document))->toBe($told);
})->with([
    'a key twice among the parts' => [
        fn () => two([], ['key' => 'a']),
        ['/parts/1/key' => 'There is another part with the key "a"; give this one its own.'],
    ],
    'a key twice among the details' => [
        fn () => two([], [], [detail([]), detail([])]),
        ['/details/1/key' => 'There is another detail with the key "d"; give this one its own.'],
    ],
    'a key twice among the colours' => [
        fn () => two([], [], [], ['colours' => [['key' => 'teal', 'hex' => '#2f8f86'], ['key' => 'teal', 'hex' => '#000000']]]),
        ['/colours/1/key' => 'There is another colour with the key "teal"; give this one its own.'],
    ],
    'a part in a colour that is not there' => [
        fn () => two([], ['colour' => 'mauve']),
        ['/parts/1/colour' => 'There is no colour with the key "mauve" in this figure.'],
    ],
    'a detail on a part that is not there, in a colour that is not' => [
        fn () => two([], [], [detail(['on' => 'tail', 'colour' => 'mauve'])]),
        [
            '/details/0/colour' => 'There is no colour with the key "mauve" in this figure.',
            '/details/0/on' => 'There is no part with the key "tail" in this figure.',
        ],
    ],
    'a part joined to nobody' => [
        fn () => two([], ['join' => ['to' => 'tail']]),
        ['/parts/1/join/to' => 'There is no part with the key "tail" in this figure.'],
    ],
    'a part joined to itself' => [
        fn () => two([], ['join' => ['to' => 'b']]),
        ['/parts/1/join/to' => 'A part cannot be joined to itself.'],
    ],
    'two parts joined to each other' => [
        fn () => two(['join' => ['to' => 'b']], ['join' => ['to' => 'a']]),
        ['/parts/0/join/to' => 'These parts are joined in a circle: a -> b -> a. One of them must stand on its own.'],
    ],
    'a shape that cannot be felted' => [
        fn () => two([], ['shape' => ['kind' => 'ring', 'widthMm' => 20, 'heightMm' => 20, 'depthMm' => 12]]),
        ['/parts/1/shape' => 'A ring 20 mm across cannot be made from a roll 12 mm thick: the roll is at most half of it.'],
    ],
    'a patch of two points' => [
        fn () => two([], [], [detail(['kind' => 'patch', 'pointsMm' => [[0, 0], [4, 0]]])]),
        ['/details/0/pointsMm' => 'A patch needs at least three points.'],
    ],
    'a line without points' => [
        fn () => two([], [], [detail(['kind' => 'line'])]),
        ['/details/0/pointsMm' => 'A line needs at least two points.'],
    ],
    'a width too few' => [
        fn () => two([], [], [detail(['kind' => 'line', 'pointsMm' => [[0, 0], [4, 0], [8, 1]], 'widthsMm' => [1, 2]])]),
        ['/details/0/widthsMm' => 'A line of 3 points has 2 widths here: give one for each point.'],
    ],
    'a disc without a width' => [
        fn () => two([], [], [array_diff_key(detail([]), ['widthMm' => 1])]),
        ['/details/0' => '"widthMm" is missing here: a disc needs its width.'],
    ],
]);

it('takes a patch of three points without a width, and a line of two with as many', function () {
    $patch = detail(['key' => 'p', 'kind' => 'patch', 'pointsMm' => [[0, 0], [4, 0], [2, 3]]]);
    $line = detail(['key' => 'l', 'kind' => 'line', 'pointsMm' => [[0, 0], [4, 0]], 'widthsMm' => [1, 2]]);
    expect(faults(two([], [], [array_diff_key($patch, ['widthMm' => 1]), $line])))->toBe([]);
});

it('says a fault in one line: where, and what', function () {
    expect(Fault::at(['parts', 0, 'a/b'], Message::of('figure.figure-form.this-is-missing'))->line())
        ->toBe('/parts/0/a~1b: This is missing.')
        ->and(Fault::at([], Message::of('figure.figure-form.this-is-missing'))->line())
        ->toBe('the document: This is missing.');
});

it('tells of what has the wrong form and makes no sense at once, whatever stands there', function (array $shape) {
    $told = faults(two(['colour' => 'mauve', 'shape' => $shape + ['kind' => 'ball', 'widthMm' => 4, 'heightMm' => 4, 'depthMm' => 4]]));
    expect($told)->toHaveKey('/parts/0/colour')->and(count($told))->toBeGreaterThan(1);
})->with([[['kind' => 7]], [['widthMm' => 'wide']], [['outline' => [['x'], 'y', []]]], [['outline' => 4]], [['bendDeg' => []]]]);

it('tells of numbers that no text can hold, wherever they stand, once and with their place', function () {
    $document = '{"format": "impa-figure", "version": 1, "name": "A", "heightMm": 60, "colours": [{"key": "c", "hex": "#102030"}], '
        .'"parts": [], "x-mine": {"list": [1.5, 1e400, {"deep": [-1e999]}], "fine": 2.5}, "x-own": 1e400}';
    $told = array_map(static fn (Fault $f): string => $f->line(), FigureCheck::faults(json_decode($document)));
    expect($told)->toBe([
        '/x-mine/list/1: This number is too large to be kept.',
        '/x-mine/list/2/deep/0: This number is too large to be kept.',
        '/x-own: This number is too large to be kept.',
    ]);
    expect(array_map(static fn (Fault $f): string => $f->pointer, FigureCheck::faults([1])))->toBe(['']);
});

it('is not told twice of what has the wrong form already, itself or inside, and is told of its neighbours', function () {
    $told = faults(two(['join' => ['to' => 7], 'colour' => 'mauve'], ['join' => ['to' => 'tail']]));
    expect(array_keys($told))->toBe(['/parts/0/join/to', '/parts/0/colour', '/parts/1/join/to']);
});

it('refuses a document in one sentence, its faults counted', function () {
    $why = static function (string $json): string {
        try {
            Figure::fromJson($json);
        } catch (FigureRefused $refused) {
            return $refused->getMessage();
        }

        return '';
    };
    expect($why(json_encode(two([], ['colour' => 'mauve']))))
        ->toBe('The figure has a fault.')
        ->and($why(json_encode(two(['colour' => 'mauve'], ['colour' => 'mauve']))))
        ->toBe('The figure has 2 faults.')
        ->and($why('{'))
        ->toBe('This is not readable as JSON (syntax error). An impa-figure file is a JSON text.')
        ->and($why('[]'))
        ->toBe('The figure has a fault.');
});

it('tells of one circle once, and of no chain at all', function () {
    $part = static fn (string $key, string $to): array => Figures::part($key, 'ball', 20, 20, 20, more: ['join' => ['to' => $to]]);
    $circle = Figures::document([$part('a', 'b'), $part('b', 'c'), $part('c', 'a'), $part('d', 'a')]);
    $chain = Figures::document([$part('a', 'b'), $part('b', 'c'), Figures::part('c', 'ball', 20, 20, 20)]);
    expect(faults($circle))
        ->toBe(['/parts/0/join/to' => 'These parts are joined in a circle: a -> b -> c -> a. One of them must stand on its own.'])
        ->and(faults($chain))
        ->toBe([]);
});

it('reads every member of a part, and leaves to the house what is not said', function () {
    $figure = Figures::read(
        two(
            [
                'name' => 'Body', 'mirror' => true, 'core' => 'scrap', 'coverMm' => 2.5, 'firmness' => 'hard', 'finish' => 'tufts',
                'group' => 'lantern', 'turnDeg' => ['x' => 10, 'y' => -20, 'z' => 30], 'at' => ['xMm' => 1, 'yMm' => 22, 'zMm' => -3],
            ],
            ['join' => ['to' => 'a', 'by' => 'sew'], 'covering' => ['way' => 'wrap', 'ribbonMm' => 7, 'overlap' => 0.4]],
            more: ['pose' => 'sit', 'school' => ['face' => 'limbs-first', 'join' => 'slit', 'plates' => 'dry']],
        ),
    );
    [$a, $b] = array_values($figure->parts);
    expect($a)
        ->name->toBe('Body')
        ->stand->mirror->toBeTrue()
        ->made->core->toBe(CoreMaterial::Scrap)
        ->made->coverMm->toBe(2.5)
        ->made->finish->toBe(Finish::Tufts)
        ->stand->group->toBe('lantern')
        ->stand->at->toBe([1.0, 22.0, -3.0])
        ->join->to->toBe('')
        ->count()->toBe(2)
        ->and($a->made->covering->way)
        ->toBe(CoveringWay::Tufts)
        ->and($a->stand->turn->apply(1, 2, 3))
        ->toEqualWithDelta(\Impa\Geometry\Turn::of(10, -20, 30)->apply(1, 2, 3), 1e-12)
        ->and($b)
        ->name->toBe('b')
        ->stand->mirror->toBeFalse()
        ->join->to->toBe('a')
        ->count()->toBe(1)
        ->and([$b->join->by->value, $b->made->covering->way, $b->made->covering->ribbonMm, $b->made->covering->overlap])
        ->toBe(['sew', CoveringWay::Wrap, 7.0, 0.4])
        ->and([$figure->pose, $figure->school->face->value, $figure->school->plates->value])
        ->toBe([Pose::Sit, 'limbs-first', 'dry'])
        ->and(Figures::read(two(['covering' => ['way' => 'wrap']]))->parts['a']->made->covering->overlap)
        ->toBe(0.3)
        ->and(Figures::read(two([], ['join' => ['to' => 'a']], more: ['school' => ['join' => 'slit']]))->parts['b']->join->by->value)
        ->toBe('slit')
        ->and(Figures::read(two()))
        ->pose->toBe(Pose::Stand)
        ->school->face->value->toBe('loose-head')
        ->school->plates->value->toBe('steam')
        ->picture->toBeNull();
});

it('reads every member of a detail, and leaves to the house what is not said', function () {
    $figure = Figures::read(
        two(
            details: [
                detail([
                    'name' => 'Eye', 'heightMm' => 6, 'xMm' => 9, 'yMm' => -2, 'turnDeg' => 15, 'layer' => 3, 'mirror' => true,
                    'method' => 'stitch', 'side' => 'back', 'keep' => 'size', 'meant' => ['uneven'],
                ]),
                detail(['key' => 'bead', 'kind' => 'bead']),
                detail(['key' => 'glass', 'kind' => 'eye']),
                detail([
                    'key' => 'patch', 'kind' => 'patch', 'pointsMm' => [[0, 0], [9, 0], [4, 8]], 'smooth' => true,
                    'holesMm' => [[[3, 1], [5, 1], [4, 3]]],
                ]),
                detail(['key' => 'line', 'kind' => 'line', 'pointsMm' => [[0, 0], [5, 1]], 'widthsMm' => [1, 2.5]]),
            ],
        ),
    );
    expect($figure->details['d'])
        ->name->toBe('Eye')
        ->drawn->heightMm->toBe(6.0)
        ->lie->xMm->toBe(9.0)
        ->lie->yMm->toBe(-2.0)
        ->lie->turnDeg->toBe(15.0)
        ->lie->layer->toBe(3)
        ->lie->mirror->toBeTrue()
        ->method->toBe(Method::Stitch)
        ->lie->side->toBe(Side::Back)
        ->lie->keep->toBe(Keep::InSize)
        ->meaning->meant->toBe(['uneven'])
        ->and($figure->details['bead'])
        ->name->toBe('bead')
        ->drawn->kind->toBe(DetailKind::Bead)
        ->drawn->heightMm->toBe(4.0)
        ->lie->layer->toBe(1)
        ->lie->mirror->toBeFalse()
        ->method->toBe(Method::Bead)
        ->lie->side->toBe(Side::Front)
        ->lie->keep->toBe(Keep::Unsaid)
        ->drawn->smooth->toBeFalse()
        ->and($figure->details['glass']->method)
        ->toBe(Method::ReadyMade)
        ->and($figure->details['patch'])
        ->drawn->smooth->toBeTrue()
        ->drawn->pointsMm->toBe([[0.0, 0.0], [9.0, 0.0], [4.0, 8.0]])
        ->drawn->holesMm->toBe([[[3.0, 1.0], [5.0, 1.0], [4.0, 3.0]]])
        ->and($figure->details['line']->drawn->widthsMm)
        ->toBe([1.0, 2.5]);
});

it('reads where its drawing lies, and what a colour is mixed from', function () {
    $figure = Figures::read(
        two(
            more: [
                'picture' => ['file' => 'a.png', 'widthPx' => 300, 'heightPx' => 400, 'mmPerPx' => 0.25, 'originPx' => [150, 380]],
                'colours' => [
                    ['key' => 'teal', 'name' => 'Sea', 'hex' => '#2f8f86', 'mix' => [
                        ['wool' => 'Lagoon', 'percent' => 60], ['wool' => 'Snow', 'percent' => 30], ['wool' => 'Lagoon', 'percent' => 10],
                    ]],
                    ['key' => 'plain', 'hex' => '#101010'],
                ],
            ],
        ),
    );
    expect($figure->picture)
        ->widthPx->toBe(300)
        ->heightPx->toBe(400)
        ->mmPerPx->toBe(0.25)
        ->and([$figure->picture->originXPx, $figure->picture->originYPx])
        ->toBe([150.0, 380.0])
        ->and($figure->colours['teal'])
        ->name->toBe('Sea')
        ->mix->toBe(['Lagoon' => 70, 'Snow' => 30])
        ->and($figure->colours['plain'])
        ->name->toBe('plain')
        ->mix->toBe([]);
});

it('scales pictures, wires, points and places, and neither covers, ribbons nor what is no length', function () {
    $document = two(
        ['coverMm' => 2, 'covering' => ['way' => 'wrap', 'ribbonMm' => 8, 'overlap' => 0.3], 'turnDeg' => ['z' => 30]],
        [],
        [detail(['kind' => 'line', 'pointsMm' => [[1, 2], [3, -4]], 'widthsMm' => [1, 2]])],
        [
            'picture' => ['file' => 'a.png', 'widthPx' => 300, 'heightPx' => 400, 'mmPerPx' => 0.25, 'originPx' => [150, 380]],
            'sidePicture' => ['file' => 'b.png', 'widthPx' => 300, 'heightPx' => 400, 'mmPerPx' => 0.5, 'originPx' => [150, 380]],
            'x-note' => ['lengthMm' => 7],
        ],
    );
    $scaled = json_decode(Scaling::to(Figures::read($document), 150.0)->toJson(), true);
    [$a, $b] = $scaled['parts'];
    expect($scaled['heightMm'])
        ->toEqual(150)
        ->and([$a['shape']['widthMm'], $a['at']['yMm'], $b['at']['yMm'], $a['coverMm'], $a['turnDeg']['z']])
        ->toEqual([60, 30, 75, 2, 30])
        ->and([$a['covering']['ribbonMm'], $a['covering']['overlap']])
        ->toEqual([8, 0.3])
        ->and([$scaled['details'][0]['pointsMm'], $scaled['details'][0]['widthsMm'], $scaled['details'][0]['widthMm']])
        ->toEqual([[[1.5, 3], [4.5, -6]], [1.5, 3], 6])
        ->and([$scaled['picture']['mmPerPx'], $scaled['sidePicture']['mmPerPx'], $scaled['picture']['widthPx']])
        ->toEqual([0.375, 0.75, 300])
        ->and($scaled['x-note'])
        ->toBe(['lengthMm' => 7]);
});

it('sizes to a height, to a part\'s width, and through an opening, from ten millimetres to two metres', function () {
    $figure = Figures::read(two());
    $ball = Figures::read(Figures::document([Figures::part('a', 'ball', 40, 50, 40, 9, 25, -7)]));
    expect(Sizing::toHeight($figure, 150.0))
        ->heightMm->toBe(150.0)
        ->factor->toBe(1.5)
        ->and(Sizing::toPartWidth($figure, 'b', 30.0)->factor)
        ->toEqualWithDelta(1.5, 1e-12)
        ->and(Sizing::toFit($ball, 60.0)->factor)
        ->toEqualWithDelta(1.5, 0.01)
        ->and(Sizing::toFit($ball, 60.0, 60.0)->factor)
        ->toEqualWithDelta(1.2, 0.01)
        ->and(Sizing::toHeight($figure, 10.0)->heightMm)
        ->toBe(10.0)
        ->and(Sizing::toHeight($figure, 2000.0)->heightMm)
        ->toBe(2000.0);
    foreach (
        [
            fn () => Sizing::toHeight($figure, 9.9),
            fn () => Sizing::toHeight($figure, 2000.1),
            fn () => Sizing::toPartWidth($figure, 'tail', 30.0),
            fn () => Sizing::toPartWidth($figure, 'b', 0.0),
            fn () => Sizing::toFit($figure, 0.0),
            fn () => Sizing::toFit($figure, 50.0, -1.0),
            fn () => Sizing::toFit(Figures::read(Figures::document([])), 50.0),
        ] as $refused
    ) {
        expect($refused)->toThrow(SizingRefused::class);
    }
});

it('reads what a shape is besides its size', function (string $kind, array $options) {
    $size = ['kind' => $kind, 'widthMm' => 20, 'heightMm' => 60, 'depthMm' => 8];
    expect(Figures::read(two(['shape' => $options + $size]))->parts['a']->solid->options())->toBe($options);
})->with([
    ['drumstick', ['topMm' => 9.0, 'bottomMm' => 15.0]],
    ['egg', ['taper' => 0.4]],
    ['arc', ['bendDeg' => 70.0]],
]);

it('gives the details of a part from the lowest layer up', function () {
    $layers = ['d' => 3, 'e' => 1, 'f' => 2];
    $details = array_map(fn (string $key, int $layer) => detail(['key' => $key, 'layer' => $layer]), array_keys($layers), $layers);
    $figure = Figures::read(two(details: $details));
    expect(array_map(static fn ($d): string => $d->key, $figure->detailsOn('a')))->toBe(['e', 'f', 'd']);
});

it('shows one part alone with what lies on it, and counts the pieces of its details', function () {
    $figure = Figures::read(
        two(['mirror' => true], [], [detail(['mirror' => true]), detail(['key' => 'e', 'on' => 'b']), detail(['key' => 'f'])]),
    );
    $alone = $figure->onlyPart('a');
    expect(array_keys($alone->parts))
        ->toBe(['a'])
        ->and(array_keys($alone->details))
        ->toBe(['d', 'f'])
        ->and($alone->picture)
        ->toBeNull()
        ->and(array_map(fn (string $key): int => $figure->pieces($figure->details[$key]), ['d', 'e', 'f']))
        ->toBe([4, 1, 2]);
});

it('says how thick a limb must be to hold itself, and of nothing but limbs', function () {
    $part = static fn (string $kind, float $w, float $h, float $d) => Figures::read(
        Figures::document([Figures::part('a', $kind, $w, $h, $d)]),
    )->parts['a'];
    expect($part('sausage', 9, 64, 7)->holdsItselfFromMm())
        ->toBe(8.0)
        ->and($part('sausage', 9, 64, 7)->thickMm())
        ->toBe(7.0)
        ->and($part('sausage', 9, 64, 7)->wantsWire())
        ->toBeTrue()
        ->and($part('sausage', 9, 64, 8)->wantsWire())
        ->toBeFalse()
        ->and($part('ball', 5, 64, 5)->wantsWire())
        ->toBeFalse();
});

it('reads what was kept as it reads anew, and says every fault of what is not what was kept', function () {
    $json = Works::demo('wick')->toJson();
    expect(Figure::kept($json))->toEqual(Figure::fromJson($json))
        ->and(fn () => Figure::kept('{"format": "impa-figure", "parts": [7]}'))->toThrow(FigureRefused::class)
        ->and(fn () => Figure::kept('not at all'))->toThrow(FigureRefused::class)
        ->and(fn () => Figure::kept('[]'))->toThrow(FigureRefused::class);
});
