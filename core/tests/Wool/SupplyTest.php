<?php

declare(strict_types=1);

namespace Impa\Tests\Supply;

use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Material\CoreMaterial;
use Impa\Material\Covering;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Material\Preparation;
use Impa\Shape\ShapeKind;
use Impa\Stash\Matching;
use Impa\Stash\Nearness;
use Impa\Stash\StashWool;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Tests\Support\Figures;
use Impa\Wool\Inside\CoverAdvice;
use Impa\Wool\Ledger\Coverings;
use Impa\Wool\Ledger\Foam;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\PartWool;
use Impa\Wool\Portion\Portions;
use Impa\Wool\Portion\SheetLayout;
use Impa\Wool\Portion\Wisp;
use Impa\Wool\WoolRefused;

/** @param  array<string, string>  $hexes  by name; undyed where empty */
function stashOf(array $hexes, float $g = 100.0, Preparation $preparation = Preparation::CardedBatting): array
{
    $stash = [];
    foreach ($hexes as $name => $hex) {
        $id = count($stash) + 1;
        $stash[$id] = new StashWool(
            id: $id,
            name: $name,
            colour: $hex === '' ? null : Srgb::hex($hex),
            material: $hex === '' ? 'core-wool' : 'wool',
            preparation: $hex === '' ? Preparation::CoreBatting : $preparation,
            freeG: $g,
            pricePerG: 0.1,
        );
    }

    return $stash;
}

$one = static fn (array $part, array $more = []) => Figures::read(Figures::document([$part], [], $more));

describe('matching', function () {
    $figure = Figures::read(
        Figures::document(
            [
                Figures::part('head', 'ball', 50, 50, 50),
                Figures::part('ear', 'cone', 10, 15, 10, more: ['colour' => 'black', 'join' => ['to' => 'head']]),
            ],
            [['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'colour' => 'white']],
        ),
    );

    it('takes the nearest wool that passes, and none where none does', function () use ($figure) {
        $matches = Matching::of($figure, stashOf(['Teal' => '#308f87', 'Coal' => '#1b1b1d', 'Brick' => '#b3523b']));
        expect($matches['teal']->shares)
            ->toBe([1 => 1.0])
            ->and($matches['teal']->nearness())
            ->toBe(Nearness::Same)
            ->and($matches['black']->shares)
            ->toBe([2 => 1.0])
            ->and($matches['white']->shares)
            ->toBe([]);
    });

    it('keeps what the felter chose, mixes included, and says which wool is gone', function () {
        $document = Figures::document([Figures::part('head', 'ball', 50, 50, 50)]);
        $document['colours'][0]['mix'] = [['wool' => 'SNOW', 'percent' => 40], ['wool' => 'Deep', 'percent' => 60]];
        $document['colours'][1]['mix'] = [['wool' => 'Sold out', 'percent' => 100]];
        $matches = Matching::of(Figures::read($document), stashOf(['Snow' => '#f4efe4', 'Deep' => '#0f6f66']));
        expect($matches['teal']->shares)
            ->toEqual([1 => 0.4, 2 => 0.6])
            ->and($matches['teal']->isChosen)
            ->toBeTrue()
            ->and($matches['black']->gone)
            ->toBe(['Sold out'])
            ->and($matches['black']->shares)
            ->toBe([]);
    });

    it('tells of two colours that the drawing keeps apart and the wools do not', function () use ($figure) {
        // Teal and black are far apart; the stash's nearest to both is the same wool when it passes for both.
        $document = Figures::document(
            [
                Figures::part('head', 'ball', 50, 50, 50),
                Figures::part('ear', 'cone', 10, 15, 10, more: ['colour' => 'grey', 'join' => ['to' => 'head']]),
            ],
            [],
            ['colours' => [['key' => 'teal', 'hex' => '#2f8f86'], ['key' => 'grey', 'hex' => '#3f7f7c']]],
        );
        $near = Figures::read($document);
        $stash = stashOf(['Sea' => '#378882']);
        $conflicts = Matching::conflicts($near, Matching::of($near, $stash));
        expect($conflicts)
            ->toBe([])
            ->and(
                Matching::conflicts(
                    $figure,
                    Matching::of($figure, stashOf(['Teal' => '#308f87', 'Coal' => '#1b1b1d', 'Snow' => '#f8f4ec'])),
                ),
            )
            ->toBe([]);
        $document['colours'][1]['hex'] = '#2a5f5a';
        $document['colours'][1]['mix'] = [['wool' => 'Sea', 'percent' => 100]];
        $apart = Figures::read($document);
        $conflicts = Matching::conflicts($apart, Matching::of($apart, $stash));
        expect($conflicts)
            ->toHaveCount(1)
            ->and($conflicts[0]['drawn'])
            ->toBeGreaterThan(10.0)
            ->and($conflicts[0]['felted'])
            ->toEqualWithDelta(0.0, 1e-9);
    });

    it('tells it of a detail on its part and of joined parts, once for each pair, and not of what does not touch', function () {
        $one = ['mix' => [['wool' => 'Sea', 'percent' => 1]]];
        $colours = [['key' => 'teal', 'hex' => '#2f8f86'] + $one, ['key' => 'deep', 'hex' => '#2a5f5a'] + $one];
        $part = static fn (string $key, string $colour, array $more = []): array => Figures::part(
            $key, 'ball', 20, 20, 20, more: ['colour' => $colour] + $more,
        );
        $pairs = static function (array $parts, array $details) use ($colours): array {
            $figure = Figures::read(Figures::document($parts, $details, ['colours' => $colours]));

            $matches = Matching::of($figure, stashOf(['Sea' => '#378882', 'Undyed' => '']));

            return array_column(Matching::conflicts($figure, $matches), 'colours');
        };
        $dot = ['key' => 'dot', 'on' => 'a', 'kind' => 'disc', 'widthMm' => 4, 'colour' => 'deep'];
        $joined = $part('b', 'deep', ['join' => ['to' => 'a']]);
        expect($pairs([$part('a', 'teal')], [$dot]))
            ->toBe([['deep', 'teal']])
            ->and($pairs([$part('a', 'teal'), $joined], [$dot, ['key' => 'spot'] + $dot]))
            ->toBe([['deep', 'teal']])
            ->and($pairs([$part('a', 'teal'), $part('b', 'deep')], []))
            ->toBe([])
            ->and($pairs([$part('a', 'deep')], [$dot]))
            ->toBe([]);
    });

    it('knows the weight of a metre of yarn, of a colour that is one yarn alone', function () {
        $document = Figures::document([Figures::part('a', 'ball', 20, 20, 20)]);
        $document['colours'][1]['mix'] = [['wool' => 'Thick', 'percent' => 50], ['wool' => 'Thin', 'percent' => 50]];
        $stash = stashOf(['Thick' => '#2f8f86', 'Thin' => '#1b1b1d'], 50.0, Preparation::Yarn) + [
            3 => new StashWool(3, 'Batt', Srgb::hex('#f8f4ec'), 'wool', Preparation::CardedBatting, 50.0),
        ];
        $stash[1] = new StashWool(id: 1, name: 'Thick', colour: Srgb::hex('#2f8f86'), material: 'wool', preparation: Preparation::Yarn,
            freeG: 50.0, gPerM: 2.5);
        expect(Matching::yarns(Matching::of(Figures::read($document), $stash), $stash))->toBe(['teal' => 2.5]);
    });

    it('takes a wool that is gone for the drawn colour, and what was chosen as chosen, however bad it is', function () {
        $document = Figures::document([Figures::part('a', 'ball', 20, 20, 20)]);
        $document['colours'][0]['mix'] = [['wool' => 'Brick', 'percent' => 30]];
        $document['colours'][1]['mix'] = [['wool' => 'Gone', 'percent' => 50], ['wool' => 'Brick', 'percent' => 50]];
        $matches = Matching::of(Figures::read($document), stashOf(['Brick' => '#b3523b', 'Core' => '']));
        expect([$matches['teal']->shares, $matches['teal']->hex, $matches['teal']->isChosen])
            ->toBe([[1 => 1.0], '#b3523b', true])
            ->and($matches['teal']->difference)
            ->toBeGreaterThan(30.0)
            ->and([$matches['black']->shares, $matches['black']->hex, $matches['black']->difference, $matches['black']->isChosen])
            ->toBe([[], '#1b1b1d', null, true])
            ->and([$matches['white']->hex, $matches['white']->difference, $matches['white']->isChosen, $matches['white']->gone])
            ->toBe(['#f8f4ec', null, false, []]);
    });

    it('puts differences into words', function (float $difference, string $word) {
        expect(Nearness::of($difference)->value)->toBe($word);
    })->with([
        [0.0, 'same'],
        [1.9, 'same'],
        [2.0, 'near'],
        [5.0, 'seen side by side'],
        [10.0, 'seen side by side'],
        [10.1, 'different'],
    ]);
});

describe('foam', function () use ($one) {
    it('leaves the cover all round, and is the largest of the stock that does', function (ShapeKind $kind) {
        mt_srand(3);
        for ($n = 0; $n < 12; $n++) {
            $w = mt_rand(40, 120);
            $h = mt_rand(40, 150);
            $part = Figures::read(Figures::document([Figures::part('a', $kind->value, $w, $h, $w)]))->parts['a'];
            $foam = Foam::inside($part->solid, 3.0);
            if ($foam === null) {
                continue;
            }
            expect($foam->solid->size()->widthMm)
                ->toBeLessThanOrEqual($w - 6.0)
                ->and($foam->solid->size()->heightMm)
                ->toBeLessThanOrEqual($h - 6.0)
                ->and($foam->solid->volumeCm3())
                ->toBeLessThanOrEqual($part->solid->within(3.0)->volumeCm3() * 1.01);
        }
    })->with([ShapeKind::Ball, ShapeKind::Egg, ShapeKind::Drum, ShapeKind::Cone, ShapeKind::Sausage]);

    it('fits a ball of 60 mm with 5 mm of cover as the 50 mm ball, none into a plate or a thin limb', function () use ($one) {
        $solid = static fn (array $part) => $one($part)->parts['a']->solid;
        expect(Foam::inside($solid(Figures::part('a', 'ball', 60, 60, 60)), 5.0)?->name())
            ->toBe('foam ball 50 mm')
            ->and(Foam::inside($solid(Figures::part('a', 'plate', 60, 60, 5)), 1.0))
            ->toBeNull()
            ->and(Foam::inside($solid(Figures::part('a', 'ball', 12, 12, 12)), 3.0))
            ->toBeNull()
            ->and(Foam::inside($solid(Figures::part('a', 'egg', 60, 78, 60)), 3.0)?->name())
            ->toContain('egg');
    });

    it('has the cover reckoned over the real piece, not over the part drawn in', function () use ($one) {
        $part = $one(Figures::part('a', 'ball', 58, 58, 58, more: ['core' => 'foam', 'coverMm' => 3]))->parts['a'];
        $wool = PartWool::of($part, Densities::house());
        // The 50 mm ball is the largest below 52 mm.
        expect($wool->insideCm3)
            ->toEqualWithDelta((M_PI / 6) * 125, 0.1)
            ->and($wool->coverG())
            ->toEqualWithDelta((((M_PI / 6) * (58 ** 3 - 50 ** 3)) / 1000) * 0.15 * 1.08, 0.02)
            ->and($wool->coreG())
            ->toEqualWithDelta((M_PI / 6) * 125 * 0.025 * 1.03, 0.01);
    });

    it('becomes solid colour where no stock piece fits', function () use ($one) {
        $wool = PartWool::of(
            $one(Figures::part('a', 'ball', 16, 16, 16, more: ['core' => 'foam', 'coverMm' => 2]))->parts['a'],
            Densities::house(),
        );
        expect($wool->coreMaterial())->toBe(CoreMaterial::None)->and($wool->insideCm3)->toBe(0.0);
    });
});

describe('covers and insides', function () use ($one) {
    it('wants a thicker cover the more it differs from the core, most for pale over dark', function () {
        $mm = static fn (string $core, string $cover): float => CoverAdvice::of(Srgb::hex($core), Srgb::hex($cover))->coverMm;
        expect($mm('#efe6d2', '#efe6d2'))
            ->toBe(2.0)
            ->and($mm('#efe6d2', '#e6a940'))
            ->toBeGreaterThan(2.0)
            ->and($mm('#efe6d2', '#26202a'))
            ->toBe(4.0)
            ->and($mm('#26202a', '#efe6d2'))
            ->toBe(4.5);
    });

    it('is solid below 25 mm, core wool above, stuffing where large, and says the amounts', function (
        float $mm,
        string $colour,
        bool $carries,
        string $advised,
        string $word,
    ) use ($one) {
        $supply = Supply::of(
            $one(Figures::part('a', 'ball', $mm, $mm, $mm, more: $carries ? [] : ['group' => 'top']), [
                'colours' => [['key' => 'teal', 'hex' => $colour]],
            ]),
            [],
        );
        $row = $supply->document()['insides'][0];
        expect($row['advised'])
            ->toBe($advised)
            ->and($row['reason'])
            ->toContain($word)
            ->and($row['ways'][0]['material'])
            ->toBe($advised);
    })->with([
        [20, '#2f8f86', true, 'none', '20 mm'],
        [50, '#2f8f86', true, 'core-wool', 'weight low'],
        [50, '#2f8f86', false, 'core-wool', 'saves'],
        [90, '#2f8f86', false, 'stuffing', 'lighter'],
        [90, '#2f8f86', true, 'core-wool', 'weight low'],
        [50, '#101014', true, 'scrap', 'show through'],
    ]);

    it('asks for a wire in a long thin limb, and says what each way costs where prices are known', function () use ($one) {
        $row = static fn (array $part, array $stash): array => Supply::of($one($part), $stash)->document()['insides'][0];
        expect($row(Figures::part('a', 'sausage', 6, 60, 6), [])['reason'])->toContain('wire');
        $ways = array_column(
            $row(Figures::part('a', 'ball', 50, 50, 50), stashOf(['Teal' => '#2f8f86', 'Undyed' => '']))['ways'],
            null,
            'material',
        );
        expect($ways['core-wool']['cost'])
            ->toEqualWithDelta(0.1 * ($ways['core-wool']['insideG'] + $ways['core-wool']['coverG']), 1e-9)
            ->and($ways['none']['cost'])
            ->toBeGreaterThan($ways['core-wool']['cost'])
            ->and($ways['stuffing']['cost'])
            ->toBeNull();
    });

    it('notes a part that no foam fits', function () use ($one) {
        $codes = static fn (array $part): array => array_column(\Impa\Plan\Plan::of($one($part))->document()['notes'], 'code');
        expect($codes(Figures::part('a', 'ball', 16, 16, 16, 0, 8, 0, ['core' => 'foam', 'coverMm' => 2])))
            ->toContain('no-foam')
            ->and($codes(Figures::part('a', 'ball', 60, 60, 60, 0, 30, 0, ['core' => 'foam'])))
            ->not->toContain('no-foam');
    });

    it('reckons every way as the part itself would be with that inside', function (int $seed) {
        $document = Figures::random($seed);
        foreach (Supply::of(Figures::read($document), [])->document()['insides'] as $row) {
            foreach ($row['ways'] as $way) {
                $filled = $document;
                $at = array_search($row['part'], array_column($document['parts'], 'key'), true);
                $filled['parts'][$at]['core'] = $way['material'];
                $wool = Ledger::of(Figures::read($filled), Densities::house())->wool[$row['part']];
                expect([$way['insideG'], $way['coverG'], $way['finishedG']])->toEqualWithDelta(
                    [$wool->coreG(), $wool->coverG(), $wool->finishedG()],
                    1e-9,
                );
            }
        }
    })->with(range(1, 6))->group('dear');
});

describe('portions', function () use ($one) {
    it('sum to the part, pairs first, layers and fluff ends within', function (int $seed) {
        $figure = Figures::read(Figures::random($seed));
        $ledger = Ledger::of($figure, Densities::house());
        $wool = $ledger->wool;
        $portions = Portions::of($ledger);
        $sums = [];
        $before = INF;
        foreach ($portions as $p) {
            $sums[$p->line->for->part][$p->line->for->colour === '' ? 'core' : 'cover'] = $p->line->allG();
            expect($p->line->pieces)
                ->toBeLessThanOrEqual($before)
                ->and(array_sum($p->layersG))
                ->toEqualWithDelta($p->line->g, 1e-9)
                ->and(min($p->layersG))
                ->toBeGreaterThan(0.0)
                ->and($p->fluffG)
                ->toBeLessThanOrEqual(0.25 * $p->line->g + 1e-12);
            $before = $p->line->pieces;
        }
        foreach ($figure->parts as $key => $part) {
            expect($sums[$key]['cover'])->toEqualWithDelta($part->count() * $wool[$key]->coverG(), 1e-9);
            if ($wool[$key]->coreMaterial() !== CoreMaterial::Foam) {
                expect($sums[$key]['core'] ?? 0.0)->toEqualWithDelta($part->count() * $wool[$key]->coreG(), 1e-9);
            }
        }
    })->with([1, 2, 3, 4]);

    it('begin a core of 46 mm with a tight ball of 15 mm, and lay the rest on in wraps', function () use ($one) {
        $portion = Portions::of(Ledger::of($one(Figures::part('a', 'ball', 52, 52, 52)), Densities::house()))[0];
        // A ball within a ball: volumes as cubes.
        expect($portion->layersG)
            ->toHaveCount(3)
            ->and($portion->layersG[0] / $portion->line->g)
            ->toEqualWithDelta((15 / 46) ** 3, 1e-4)
            ->and(($portion->layersG[0] + $portion->layersG[1]) / $portion->line->g)
            ->toEqualWithDelta((30.5 / 46) ** 3, 1e-9);
    });

    it('are the same as lengths of the rope they are torn from', function () use ($one) {
        $figure = $one(Figures::part('a', 'sausage', 12, 30, 12, more: ['core' => 'none', 'mirror' => true]));
        $portion = Portions::of(Ledger::of($figure, Densities::house()), ['teal' => 6.0])[0];
        expect($portion->line->pieces)
            ->toBe(2)
            ->and(($portion->cmEach / 100) * 6.0)
            ->toEqualWithDelta($portion->line->g, 1e-12);
    });

    it('say what to weigh as a felter would', function () {
        $figure = Figures::read(
            Figures::document([
                Figures::part('body', 'ball', 52, 52, 52),
                Figures::part(
                    'arm',
                    'sausage',
                    12,
                    30,
                    12,
                    more: ['core' => 'none', 'mirror' => true, 'join' => ['to' => 'body']],
                ),
            ]),
        );
        $texts = static fn (Figure $figure, array $more = []): array => array_column(
            Supply::of($figure, stashOf(['Teal' => '#2f8f86'] + $more, 50.0, Preparation::Sliver))->document()['portions'],
            'text',
            'part',
        );
        expect($texts($figure)['arm'])->toMatch(
            '/^Weigh 0\.\d+ g teal\. Split in two equal pieces of 0\.\d+ g\. That is \d+(\.5)? mm of the rope '.
                'each\. Leave \d+ mg of it loose as the fluff end\.$/',
        );
        // A mix is teased before it is weighed: it is no rope any more.
        $mix = [['wool' => 'Teal', 'percent' => 50], ['wool' => 'Coal', 'percent' => 50]];
        $mixed = Figures::read(['colours' => [['key' => 'teal', 'hex' => '#2f8f86', 'mix' => $mix]]] + Figures::document(
            [Figures::part('arm', 'sausage', 12, 30, 12, more: ['core' => 'none'])],
        ));
        expect($texts($mixed, ['Coal' => '#1b1b1d'])['arm'])->not->toContain('rope');
    });

    it('are split by a ratio, and by nothing else', function () {
        expect(Portions::split(7.0, [3.0, 2.0, 2.0]))
            ->toEqualWithDelta([3.0, 2.0, 2.0], 1e-12)
            ->and(array_sum(Portions::split(0.1, [1.0, 0.3, 0.7])))
            ->toEqualWithDelta(0.1, 1e-15);
        foreach ([[1.0, 0.0], [-1.0], [INF], [NAN]] as $ratio) {
            expect(static fn () => Portions::split(1.0, $ratio))->toThrow(WoolRefused::class);
        }
        expect(static fn () => Portions::split(-1.0, [1.0]))->toThrow(WoolRefused::class);
    });

    it('group wisps of one colour on one part, cheeks equal and the nose a bit more', function () {
        $figure = Figures::read(
            Figures::document(
                [Figures::part('head', 'ball', 50, 50, 50)],
                [
                    [
                        'key' => 'cheek',
                        'on' => 'head',
                        'kind' => 'disc',
                        'widthMm' => 6,
                        'heightMm' => 6,
                        'xMm' => 12,
                        'colour' => 'black',
                        'mirror' => true,
                    ],
                    ['key' => 'nose', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 8, 'heightMm' => 6, 'colour' => 'black'],
                    ['key' => 'spark', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 1, 'colour' => 'white'],
                ],
            ),
        );
        $supply = Supply::of($figure, []);
        $g = static fn (string $key): float => $supply->ledger->ofDetail($key)->g;
        expect($supply->sets())
            ->toHaveCount(1)
            ->and($supply->sets()[0])
            ->toMatchArray(['on' => 'head', 'colour' => 'black', 'ratio' => [1.0, 1.0, 1.2], 'details' => ['cheek', 'cheek', 'nose']])
            ->and($supply->sets()[0]['mg'])
            ->toEqualWithDelta(1000 * (2 * $g('cheek') + $g('nose')), 1e-9)
            ->and($supply->wisps()[1])
            ->toBe([
                'detail' => 'nose', 'colour' => 'black', 'mg' => 1000 * $g('nose'), 'count' => 1,
                'text' => (string) Wisp::words(1000 * $g('nose')),
            ]);
    });

    it('leave out of what is divided by hand only what is less than a quarter of the largest, and what is no wool', function () {
        $like = ['on' => 'head', 'kind' => 'disc', 'colour' => 'black'];
        $disc = static fn (string $key, float $mm): array => ['key' => $key, 'widthMm' => $mm] + $like;
        $sets = static fn (array ...$discs): array => Supply::of(
            Figures::read(Figures::document([Figures::part('head', 'plate', 50, 50, 8)], $discs)),
            [],
        )->sets();
        // Half as wide is a quarter of the wool.
        expect($sets($disc('small', 4), $disc('large', 8))[0]['ratio'])
            ->toBe([1.0, 4.0])
            ->and($sets($disc('small', 3.9), $disc('large', 8)))
            ->toBe([])
            ->and($sets($disc('small', 3), $disc('one', 8), $disc('other', 7))[0]['details'])
            ->toBe(['one', 'other'])
            ->and($sets(['kind' => 'bead', 'widthMm' => 4] + $disc('bead', 4), $disc('one', 4)))
            ->toBe([]);
    });

    it('tell a wisp by a strand between the fingers', function () {
        expect(Wisp::thickMm(40.0))
            ->toEqualWithDelta(2 * Wisp::thickMm(10.0), 1e-9)
            ->and(Wisp::words(1.0))
            ->toContain('sewing thread')
            ->and(Wisp::words(10.0))
            ->toContain('string')
            ->and(Wisp::words(60.0))
            ->toContain('straw');
    });
});

describe('coverings', function () use ($one) {
    it('take yarn for loops as up, down and on', function () {
        // 25 loops of 4 mm on a square centimetre, 2 mm apart: 25 x (8 + 2) mm.
        expect(Coverings::loopMetresPerCm2(25.0, 4.0))->toEqualWithDelta(0.25, 1e-12);
    });

    it('wind a ribbon as a helix', function () {
        // A rod of 10 mm over 70 mm, ribbon 10 mm, 30 % over: ten turns that climb 7 mm each.
        expect(Coverings::ribbonMetres(10.0, 70.0, 10.0, 0.3))
            ->toEqualWithDelta((10 * hypot(10 * M_PI, 7)) / 1000, 1e-12)
            ->and(Coverings::ribbonMetres(10.0, 70.0, 10.0, 0.6))
            ->toBeGreaterThan(Coverings::ribbonMetres(10.0, 70.0, 10.0, 0.3));
    });

    it('are said by the finish or by the part itself, and come with their numbers', function (
        array $more,
        string $way,
        callable $right,
    ) use ($one) {
        $figure = $one(
            Figures::part(
                'a',
                $more['kind'] ?? 'ball',
                30,
                60,
                $more['kind'] ?? '' ? 2 : 30,
                more: array_diff_key($more, ['kind' => 1]),
            ),
        );
        $row = Supply::of($figure, [])->document()['coverings'][0];
        expect($row['way'])
            ->toBe($way)
            ->and($row['g'])
            ->toBeGreaterThan(0.0)
            ->and($row['text'])
            ->not->toBe('')
            ->and($right($row))
            ->toBeTrue();
    })->with([
        [['finish' => 'loops'], 'loops', static fn (array $r) => $r['metres'] > 1 && $r['pieces'] > 300],
        [['finish' => 'tufts'], 'tufts', static fn (array $r) => abs($r['g'] - $r['pieces'] * 0.012) < 1e-9],
        [
            ['covering' => ['way' => 'locks', 'mgEach' => 100]],
            'locks',
            static fn (array $r) => abs($r['g'] - $r['pieces'] * 0.1) < 1e-9,
        ],
        [
            ['covering' => ['way' => 'hair', 'lengthMm' => 50]],
            'hair',
            static fn (array $r) => abs($r['metres'] - $r['pieces'] * 0.1) < 1e-9,
        ],
        [['covering' => ['way' => 'wrap', 'ribbonMm' => 8]], 'wrap', static fn (array $r) => $r['metres'] > 0.5],
        [['covering' => ['way' => 'plait']], 'plait', static fn (array $r) => abs($r['metres'] - 3 * 0.06 * 1.33) < 1e-9],
        [
            ['kind' => 'sheet', 'covering' => ['way' => 'film']],
            'film',
            static fn (array $r) => $r['filmG'] > 0 && $r['areaCm2'] > 18,
        ],
        [
            ['kind' => 'plate', 'covering' => ['way' => 'pre-felt']],
            'pre-felt',
            static fn (array $r) => $r['filmG'] === 0.0 && $r['areaCm2'] > 14,
        ],
    ]);

    it('fill in the house\'s numbers where none are given', function () {
        expect(Covering::of(CoveringWay::Tufts)->perCm2)
            ->toBe(9.0)
            ->and(Covering::of(CoveringWay::Tufts, perCm2: 4.0)->perCm2)
            ->toBe(4.0)
            ->and(Covering::of(CoveringWay::Wrap, overlap: 0.0)->overlap)
            ->toBe(0.0);
    });
});

describe('a sheet', function () {
    $pieces = static fn (array $sizes): array => array_map(
        static fn (array $s, int $i): array => ['key' => "p$i", 'widthMm' => (float) $s[0], 'heightMm' => (float) $s[1]],
        $sizes,
        array_keys($sizes),
    );

    it('holds every piece once, none over another or over the edge', function (int $seed) use ($pieces) {
        mt_srand($seed);
        $sizes = array_map(static fn (): array => [mt_rand(8, 70), mt_rand(8, 90)], range(1, mt_rand(2, 24)));
        $layout = SheetLayout::of($pieces($sizes), 150.0);
        expect($layout->placed)->toHaveCount(count($sizes));
        foreach ($layout->placed as $i => $a) {
            expect($a['xMm'])
                ->toBeGreaterThanOrEqual(0.0)
                ->and($a['xMm'] + $a['widthMm'])
                ->toBeLessThanOrEqual(150.0)
                ->and($a['yMm'] + $a['heightMm'])
                ->toBeLessThanOrEqual($layout->lengthMm + 1e-9);
            foreach (array_slice($layout->placed, $i + 1) as $b) {
                $apart =
                    $a['xMm'] + $a['widthMm'] <= $b['xMm'] + 1e-9 ||
                    $b['xMm'] + $b['widthMm'] <= $a['xMm'] + 1e-9 ||
                    $a['yMm'] + $a['heightMm'] <= $b['yMm'] + 1e-9 ||
                    $b['yMm'] + $b['heightMm'] <= $a['yMm'] + 1e-9;
                expect($apart)->toBeTrue();
            }
        }
        expect($layout->waste())->toBeLessThan(0.6)->toBeGreaterThanOrEqual(0.0);
    })->with(range(1, 8));

    it('uses no more of it than brute force over a grid of places does', function (array $sizes, float $width) use ($pieces) {
        // Every place on a 1 mm grid, every turn, for the few pieces of small cases: the least length possible.
        $margin = SheetLayout::MARGIN_MM;
        $least = INF;
        $place = function (array $rest, array $taken, float $length) use (&$place, &$least, $width, $margin): void {
            if ($length >= $least) {
                return;
            }
            if ($rest === []) {
                $least = $length;

                return;
            }
            $piece = array_shift($rest);
            foreach ([[$piece[0], $piece[1]], [$piece[1], $piece[0]]] as [$w, $h]) {
                for ($x = 0; $x + $w + $margin <= $width; $x++) {
                    for ($y = 0; max($length, $y + $h) < $least; $y++) {
                        foreach ($taken as [$tx, $ty, $tw, $th]) {
                            if (
                                $x < $tx + $tw + $margin &&
                                $tx < $x + $w + $margin &&
                                $y < $ty + $th + $margin &&
                                $ty < $y + $h + $margin
                            ) {
                                continue 2;
                            }
                        }
                        $place($rest, [...$taken, [$x, $y, $w, $h]], max($length, $y + $h));
                        break;
                    }
                }
            }
        };
        $place($sizes, [], 0.0);
        expect(SheetLayout::of($pieces($sizes), $width)->lengthMm)->toBeLessThanOrEqual($least + 1e-6);
    })->with([
        [[[10, 6], [6, 10], [4, 4]], 20.0],
        [[[8, 8], [8, 8], [5, 3]], 22.0],
        [[[12, 4], [4, 12], [6, 6]], 18.0],
        [[[9, 5], [7, 3]], 14.0],
    ]);

    it('refuses a piece wider than itself, with its name', function () use ($pieces) {
        SheetLayout::of($pieces([[300, 400]]), 200.0);
    })->throws(WoolRefused::class, 'p0 is 300 mm');

    it('is not used where nothing is cut', function () {
        expect(SheetLayout::of([], 200.0)->lengthMm)
            ->toBe(0.0)
            ->and(Supply::of(Figures::read(Figures::random(1)), [])->layout(200.0))
            ->toBeNull();
    });
});

describe('needs', function () use ($one) {
    it('sum to what parts, coverings and details take, and each wool is asked for once', function (int $seed) {
        $figure = Figures::read(Figures::random($seed));
        $supply = Supply::of($figure, stashOf(['Teal' => '#2f8f86', 'Coal' => '#1b1b1d', 'Undyed' => '']));
        $grams = 0.0;
        foreach ($figure->parts as $key => $part) {
            $grams += $part->count() * ($supply->ledger->wool[$key]->coreG() + $supply->ledger->wool[$key]->coverG());
        }
        foreach ($supply->document()['wisps'] as $wisp) {
            $grams += ($wisp['count'] * $wisp['mg']) / 1000;
        }
        $ids = array_filter(array_map(static fn ($n): ?int => $n->wool?->id, $supply->needs));
        expect(array_sum(array_map(static fn ($n): float => $n->spread->likelyG, $supply->needs)))
            ->toEqualWithDelta($grams, 1e-9)
            ->and(count(array_unique($ids)))
            ->toBe(count($ids));
    })->with([1, 2, 3]);

    it('keep a reserve by how bad running out is: seven, nine and forty-nine times in ten, ten and fifty', function () {
        // Simulated hands: ln density is normal with the prior's sigma.
        mt_srand(9);
        $hands = array_map(
            static fn (): float => 5.0 *
                exp(
                    0.25 *
                        sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) *
                        cos((2 * M_PI * mt_rand()) / mt_getrandmax()),
                ),
            range(1, 20000),
        );
        foreach (Reserve::cases() as $reserve) {
            $enough = count(array_filter($hands, static fn (float $g): bool => $g <= $reserve->g(5.0, 0.25))) / 20000;
            expect($enough)->toEqualWithDelta($reserve->enough(), 0.012);
        }
    });

    it('split a mix over its wools, and cost what the wools cost', function () use ($one) {
        $colours = [
            ['key' => 'teal', 'hex' => '#2f8f86', 'mix' => [['wool' => 'A', 'percent' => 25], ['wool' => 'B', 'percent' => 75]]],
        ];
        $supply = Supply::of(
            $one(Figures::part('a', 'ball', 20, 20, 20, more: ['core' => 'none']), ['colours' => $colours]),
            stashOf(['A' => '#ffffff', 'B' => '#006655'], 0.1),
        );
        [$a, $b] = $supply->needs;
        expect($b->spread->likelyG)
            ->toEqualWithDelta(3 * $a->spread->likelyG, 1e-9)
            ->and(array_column(array_column($supply->document()['matches'], null, 'colour')['teal']['shares'], 'percent'))
            ->toEqualWithDelta([25, 75], 1e-9)
            ->and($b->lackG())
            ->toEqualWithDelta($b->wantG - 0.1, 1e-9)
            ->and($supply->cost())
            ->toEqualWithDelta(0.1 * ($a->spread->likelyG + $b->spread->likelyG), 1e-9)
            ->and($supply->wanted())
            ->toHaveCount(2)
            ->and($supply->wanted())
            ->toBe([1 => $a->wantG, 2 => $b->wantG])
            ->and($supply->likely())
            ->toBe([1 => $a->spread->likelyG, 2 => $b->spread->likelyG]);
    });

    it('take the fullest of several core wools, and say what is lacking where there is none', function () use ($one) {
        $figure = $one(Figures::part('a', 'ball', 50, 50, 50));
        $two = stashOf(['Old' => '', 'New' => '']);
        $two[2] = new StashWool(
            id: 2,
            name: 'New',
            colour: null,
            material: 'core-wool',
            preparation: Preparation::CoreBatting,
            freeG: 300.0,
        );
        expect(Supply::of($figure, $two)->needs[0]->wool?->name)
            ->toBe('New')
            ->and(Supply::fullest(stashOf(['Old' => '', 'As full' => '']), 'core-wool')?->name)
            ->toBe('Old')
            ->and(Supply::fullest(stashOf(['Used up' => ''], 0.0), 'core-wool')?->name)
            ->toBe('Used up')
            ->and(Supply::of($figure, [])->needs[0]->wool)
            ->toBeNull()
            ->and(Supply::of($figure, [])->document()['needs'][0]['name'])
            ->toBe('core wool');
    });

    it('give a document that can be sent as JSON, whatever the figure', function (int $seed) {
        expect(
            json_encode(
                Supply::of(Figures::read(Figures::random($seed, 20, 12)), stashOf(['Teal' => '#2f8f86']))->document(),
                JSON_THROW_ON_ERROR,
            ),
        )->toBeString();
    })->with([5, 6]);
});

it('says on its page how wide the spread is, and how much to have at hand, as closed form has it', function () {
    $page = (string) file_get_contents(__DIR__.'/../../../docs/wool.md');
    // Hand, firmness and piece are independent: their squares add up, and of 20 pieces the scatter of each is averaged. Points of the
    // standard normal: statistical tables.
    [$one, $twenty] = [sqrt(0.23 ** 2 + 0.10 ** 2 + 0.10 ** 2), sqrt(0.23 ** 2 + 0.10 ** 2 + 0.10 ** 2 / 20)];
    $points = ['four times in five' => 1.2816, '7 times in 10' => 0.5244, '9 times in 10' => 1.2816, '49 times in 50' => 2.0537];
    foreach ($points as $odds => $z) {
        expect($page)->toMatch(sprintf('/^.*%s.* %.3f \| %.3f \|$/m', $odds, exp($z * $one), exp($z * $twenty)));
    }
});
