<?php

declare(strict_types=1);

namespace Impa\Tests\Figure;

use Impa\Figure\Detail;
use Impa\Figure\Document\Fault;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\Side;
use Impa\Figure\Upgrade\Upgrade;
use Impa\Material\CoreMaterial;
use Impa\Material\Firmness;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;
use Impa\Voice\Message;
use Opis\JsonSchema\Validator;

/** @return list<string> pointers of all faults */
function pointers(callable $read): array
{
    try {
        $read();
    } catch (FigureRefused $refused) {
        return array_map(static fn (Fault $f): string => $f->pointer, $refused->faults);
    }

    return [];
}

it('survives a round trip unchanged, unknown members included', function () {
    $json =
        '{"format":"impa-figure","version":2,"name":"Ünder / '
            .'\"quoted\"","heightMm":110.0,"x-mine":{"empty":{},"list":[],"n":1.50,"deep":[{"a":null}]},'.
        '"colours":[{"key":"c","hex":"#aabbcc","dyeLot":"7b"}],'
            .'"parts":[{"key":"a","shape":{"kind":"ball","widthMm":10,"heightMm":10.5,"depthMm":10,"mood":[]},'.
        '"at":{"xMm":0,"yMm":5},"colour":"c"}]}';
    expect(json_decode(Figure::fromJson($json)->toJson()))
        ->toEqual(json_decode($json))
        ->and(Figure::fromJson($json)->toJson())
        ->toContain('"empty":{}')
        ->toContain('"list":[]');
    foreach (range(1, 10) as $seed) {
        $document = json_encode(Figures::random($seed));
        expect(json_decode(Figure::fromJson($document)->toJson()))->toEqual(Upgrade::newest(json_decode($document)));
    }
});

it('fills in the defaults of the house and lets a part override them', function () {
    $figure = Figures::read(
        Figures::document(
            [
                Figures::part('a', 'ball', 40, 40, 40),
                Figures::part('b', 'plate', 10, 10, 3, 0, 0, 0, [
                    'core' => 'none',
                    'firmness' => 'hard',
                    'coverMm' => 1.5,
                    'join' => ['to' => 'a', 'by' => 'slit'],
                ]),
            ],
            [],
            ['firmness' => 'soft', 'coverMm' => 2, 'core' => 'stuffing'],
        ),
    );
    expect($figure->parts['a']->made)
        ->firmness->toBe(Firmness::Soft)
        ->coverMm->toBe(2.0)
        ->core->toBe(CoreMaterial::Stuffing)
        ->and($figure->parts['b']->made)
        ->firmness->toBe(Firmness::Hard)
        ->coverMm->toBe(1.5)
        ->core->toBe(CoreMaterial::None)
        ->and($figure->parts['b']->join->by)->toBe(JoinBy::Slit);
    $plain = Figures::read(Figures::document([Figures::part('a', 'ball', 40, 40, 40)]));
    expect($plain->parts['a']->made)->firmness->toBe(Firmness::Springy)->coverMm->toBe(3.0)->core->toBe(CoreMaterial::CoreWool);
});

it('names ten faults at once, each with its place', function () {
    $broken = Figures::document(
        [
            Figures::part('a', 'ball', 0.1, 10, 10),
            Figures::part('a', 'blob', 10, 10, 10),
            Figures::part('b', 'egg', 10, 10, 10, more: ['colour' => 'mauve', 'join' => ['to' => 'nobody']]),
            Figures::part('c', 'ring', 20, 20, 15, more: ['join' => ['to' => 'd']]),
            Figures::part('d', 'ball', 10, 10, 10, more: ['join' => ['to' => 'c']]),
        ],
        [
            ['key' => 'eye', 'on' => 'ghost', 'kind' => 'disc', 'widthMm' => 2, 'colour' => 'black'],
            ['key' => 'm', 'on' => 'd', 'kind' => 'patch', 'colour' => 'black', 'pointsMm' => [[0, 0], [1, 1]]],
        ],
        ['heightMm' => 5000],
    );
    unset($broken['name']);
    expect(pointers(fn () => Figures::read($broken)))->toEqualCanonicalizing([
        '/name',
        '/heightMm',
        '/parts/0/shape/widthMm',
        '/parts/1/key',
        '/parts/1/shape/kind',
        '/parts/2/colour',
        '/parts/2/join/to',
        '/parts/3/shape',
        '/parts/3/join/to',
        '/details/0/on',
        '/details/1/pointsMm',
    ]);
});

it('refuses what is no figure, in words', function (string $json, string $words) {
    expect(fn () => Figure::fromJson($json))->toThrow(FigureRefused::class);
    try {
        Figure::fromJson($json);
    } catch (FigureRefused $refused) {
        expect($refused->faults[0]->line())->toContain($words);
    }
})->with([
    'nothing' => ['', 'not readable as JSON'],
    'a broken text' => ['{"format":', 'not readable as JSON'],
    'a list' => ['[]', 'must be an object'],
    'a number' => ['7', 'must be an object'],
    'another format' => [
        '{"format":"other","version":1,"name":"n","heightMm":10,"colours":[],"parts":[]}',
        'must be "impa-figure"',
    ],
    'a wrong type' => [
        '{"format":"impa-figure","version":1,"name":"n","heightMm":"tall","colours":[],"parts":[]}',
        'must be a number, not "tall"',
    ],
    'depth without end' => [str_repeat('[', 100).str_repeat(']', 100), 'not readable as JSON'],
]);

it('escapes a key in a pointer as RFC 6901 says', function () {
    expect(Fault::at(['a/b', 0, 'm~n'], Message::of('figure.figure-form.this-is-missing'))->pointer)->toBe('/a~1b/0/m~0n');
});

it('scales every volume with the cube of the height, every area with the square, and keeps the rest', function () {
    foreach (range(1, 6) as $seed) {
        $figure = Figures::read(Figures::random($seed));
        $k = 1 + $seed / 5;
        $scaled = Scaling::to($figure, $figure->heightMm * $k);
        foreach ($figure->parts as $key => $part) {
            $twice = $scaled->parts[$key];
            expect($twice->solid->volumeCm3() / $part->solid->volumeCm3())
                ->toEqualWithDelta($k ** 3, 1e-6)
                ->and($twice->solid->areaCm2() / $part->solid->areaCm2())
                ->toEqualWithDelta($k ** 2, 1e-6)
                ->and($twice->stand->at[1])
                ->toEqualWithDelta($part->stand->at[1] * $k, 1e-9)
                ->and($twice->made->coverMm)
                ->toBe($part->made->coverMm);
        }
        $marks = static fn (Detail $d): array => $d->middle();
        foreach ($figure->details as $key => $detail) {
            expect($marks($scaled->details[$key]))->toEqualWithDelta(
                array_map(static fn (float $mm): float => $mm * $k, $marks($detail)),
                1e-9,
            );
        }
    }
});

it('sees and places points from every side alike', function (Side $side) {
    expect($side->place(...$side->see(3.0, -4.0, 5.0)))->toBe([3.0, -4.0, 5.0]);
})->with(Side::cases());

it('writes plans that keep to their own schema', function () {
    $validator = new Validator();
    $validator
        ->resolver()
        ->registerFile(
            'https://impa.invalid/formats/impa-plan-1.schema.json',
            __DIR__.'/../../../formats/impa-plan-1.schema.json',
        );
    foreach (range(1, 8) as $seed) {
        $plan = json_decode(json_encode(Plan::of(Figures::read(Figures::random($seed)))->document(), JSON_THROW_ON_ERROR));
        $result = $validator->validate($plan, 'https://impa.invalid/formats/impa-plan-1.schema.json');
        expect($result->isValid())->toBeTrue((string) json_encode($result->error()?->args()));
    }
});

it('knows how high and low a turned piece reaches', function () {
    $reach = static function (array $part): array {
        $piece = Figures::read(Figures::document([$part]))->parts[$part['key']]->placements()[0];

        return $piece->levelsMm();
    };
    // An ellipsoid's support function (CRC): sqrt of the sum of (half-axis x direction)^2.
    $tilt = deg2rad(35);
    $half = hypot(20 * cos($tilt), 12 * sin($tilt));
    expect($reach(Figures::part('a', 'ball', 30, 40, 24, 0, 50, 0, ['turnDeg' => ['x' => 35]])))
        ->toEqualWithDelta([50 - $half, 50 + $half], 0.1)
        ->and($reach(Figures::part('a', 'cone', 20, 30, 20, 0, 15)))
        ->toEqualWithDelta([0.0, 30.0], 1e-9)
        ->and($reach(Figures::part('a', 'sausage', 10, 40, 10, 0, 0, 0, ['turnDeg' => ['z' => 90]])))
        ->toEqualWithDelta([-5.0, 5.0], 0.1);
});

it('reads what a colour is mixed from and how a part is covered, and grows only what grows', function () {
    $document = Figures::document([
        Figures::part('head', 'ball', 50, 50, 50, more: ['covering' => ['way' => 'wrap', 'ribbonMm' => 8, 'lengthMm' => 20]]),
        Figures::part('body', 'ball', 50, 50, 50, more: ['finish' => 'tufts']),
    ]);
    $document['colours'][0]['mix'] = [['wool' => 'Snow', 'percent' => 40], ['wool' => 'Deep', 'percent' => 60]];
    $figure = Figures::read($document);
    expect($figure->colours['teal']->mix)
        ->toBe(['Snow' => 40, 'Deep' => 60])
        ->and($figure->parts['head']->made->covering->way)
        ->toBe(\Impa\Material\CoveringWay::Wrap)
        ->and($figure->parts['body']->made->covering->way)
        ->toBe(\Impa\Material\CoveringWay::Tufts);
    $twice = Scaling::to($figure, 200.0);
    expect($twice->parts['head']->made->covering->ribbonMm)
        ->toBe(8.0)
        ->and($twice->parts['head']->made->covering->lengthMm)
        ->toBe(40.0);
});

it('refuses mixes and coverings that make no sense, each with its place', function (array $colour, array $part, string $pointer) {
    $document = Figures::document([Figures::part('head', 'ball', 50, 50, 50, more: $part)]);
    $document['colours'][0] += $colour;
    try {
        Figures::read($document);
        $pointers = [];
    } catch (\Impa\Figure\Document\FigureRefused $e) {
        $pointers = array_map(static fn ($f): string => $f->pointer, $e->faults);
    }
    expect($pointers)->toContain($pointer);
})->with([
    [['mix' => [['wool' => 'Snow', 'percent' => 140]]], [], '/colours/0/mix/0/percent'],
    [['mix' => [['wool' => '', 'percent' => 40]]], [], '/colours/0/mix/0/wool'],
    [[], ['covering' => ['way' => 'knitted']], '/parts/0/covering/way'],
    [[], ['covering' => ['way' => 'wrap', 'overlap' => 3]], '/parts/0/covering/overlap'],
    [[], ['covering' => ['way' => 'tufts', 'perCm2' => 0]], '/parts/0/covering/perCm2'],
]);
