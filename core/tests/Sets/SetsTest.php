<?php

declare(strict_types=1);

namespace Impa\Tests\Sets;

use Impa\Build\Steps\Step;
use Impa\Build\Work;
use Impa\Colour\Oklch;
use Impa\Colour\Srgb;
use Impa\Face\Needles;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Material\Pace;
use Impa\Material\Preparation;
use Impa\Sets\Batch;
use Impa\Sets\Clashes;
use Impa\Sets\Colourways;
use Impa\Sets\FigureSet;
use Impa\Sets\Member;
use Impa\Sets\SetPlan;
use Impa\Sets\SetRefused;
use Impa\Sets\SetSupply;
use Impa\Stash\StashWool;
use Impa\Stash\Supply\Reserve;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Wool\Ledger\Ledger;

function wool(int $id, string $hex, float $freeG, string $material = 'wool'): StashWool
{
    return new StashWool($id, "Wool {$id}", Srgb::hex($hex), $material, Preparation::CardedBatting, $freeG);
}

/** A ball on a ball, with an eye: colours c1 (body), c2 (head), c3 (eye). */
function small(string $name = 'Small', string $head = '#d0a040'): Figure
{
    return Figures::read([
        'format' => 'impa-figure',
        'version' => 1,
        'name' => $name,
        'heightMm' => 70,
        'core' => 'none',
        'colours' => [
            ['key' => 'c1', 'name' => 'Slate', 'hex' => '#506070'],
            ['key' => 'c2', 'name' => 'Honey', 'hex' => $head],
            ['key' => 'c3', 'name' => 'Ink', 'hex' => '#201c20'],
        ],
        'parts' => [
            ['colour' => 'c1'] + Figures::part('body', 'ball', 40, 40, 40, 0, 20),
            ['colour' => 'c2', 'joinTo' => 'body'] + Figures::part('head', 'ball', 32, 32, 32, 0, 54),
        ],
        'details' => [[
            'key' => 'eye', 'name' => 'Eye', 'on' => 'head', 'kind' => 'disc', 'xMm' => 6, 'yMm' => 0,
            'widthMm' => 4, 'heightMm' => 4, 'colour' => 'c3', 'mirror' => true,
        ]],
    ]);
}

/** @return list<Work> */
function works(FigureSet $set): array
{
    return array_map(static fn (Member $m): Work => Work::of(
        Ledger::of($m->figure, Densities::house()),
        Pace::house(),
        Needles::usual(),
    ), $set->members);
}

describe('a set', function () {
    it('takes what its figures take, as often as they are in it, to the gram', function (int $seed) {
        mt_srand($seed);
        $names = ['sorrel', 'bobbin', 'lanto', 'wick'];
        $members = array_map(static fn (int $i): Member => Member::of(
            Works::demo($names[mt_rand(0, 3)]),
            "M{$i}",
            mt_rand(1, 4),
            heightMm: mt_rand(0, 1) === 0 ? null : mt_rand(60, 180) / 1.0,
        ), range(1, 4));
        $whole = array_sum(array_map(
            static fn (Member $m): float => $m->count * Ledger::of($m->figure, Densities::house())->totalG(),
            $members,
        ));
        $supply = SetSupply::of(FigureSet::of('All', $members), [], [], Reserve::Usual, Densities::house());
        expect($supply->totalG())->toEqualWithDelta($whole, 1e-9 * $whole)
            ->and(array_sum(array_column($supply->rows(), 'g')))->toEqualWithDelta($whole, 1e-9 * $whole);
    })->with([1, 2, 3]);

    it('weighs by the cube of its height', function () {
        // Everything that is felted through grows by the cube; covers are nought here.
        $g = static fn (float $mm): float => Ledger::of(Member::of(small(), heightMm: $mm)->figure, Densities::house())->totalG();
        expect($g(140.0) / $g(70.0))->toBeGreaterThan(7.7)->toBeLessThan(8.1);
    });

    it('counts for how many the stash is enough, and says what is short', function () {
        $of = static fn (array $stash, int $count): SetSupply => SetSupply::of(
            FigureSet::of('Choir', [Member::of(small(), count: $count)]),
            $stash,
            [],
            Reserve::Usual,
            Densities::house(),
        );
        $hexes = [1 => '#506070', 2 => '#d0a040', 3 => '#201c20'];
        $bare = array_map(static fn (int $id, string $hex): StashWool => wool($id, $hex, 0.0), array_keys($hexes), $hexes);
        $needs = array_column($of(array_combine([1, 2, 3], $bare), 1)->rows(), 'wantG', 'name');
        $stash = [
            1 => wool(1, '#506070', 100.0),
            2 => wool(2, '#d0a040', 5.5 * $needs['Wool 2']),
            3 => wool(3, '#201c20', 100.0),
        ];
        expect($of($stash, 7)->enough()['pieces'])->toBe(5)
            ->and($of($stash, 7)->text())->toMatch('/^The stash is enough for 5 of 7; short of \d+\.\d g wool 2\.$/')
            ->and($of($stash, 7)->enough()['short'][0]['g'])->toEqualWithDelta(1.5 * $needs['Wool 2'], 1e-6)
            ->and($of($stash, 5)->text())->toBe('The stash is enough for all of them.')
            ->and($of([], 7)->enough()['pieces'])->toBe(0);
    });

    it('is refused where there is none of it, too much, or no name', function (callable $make, string $why) {
        expect($make)->toThrow(SetRefused::class, $why);
    })->with([
        [static fn () => FigureSet::of('Empty', []), 'add a figure'],
        [static fn () => FigureSet::of(' ', [Member::of(small())]), 'wants a name'],
        [static fn () => FigureSet::of('Many', array_fill(0, 41, Member::of(small()))), 'At most 40'],
        [static fn () => Member::of(small(), count: 0), '1 to 1000'],
        [static fn () => Member::of(small(), count: 1001), '1 to 1000'],
        [static fn () => FigureSet::fromJson('{'), 'no JSON'],
        [static fn () => FigureSet::fromJson('{"format":"impa-figure"}'), 'no impa-set'],
        [static fn () => FigureSet::fromJson('{"format":"impa-set","version":2}'), 'another version'],
        [static fn () => FigureSet::fromJson('{"format":"impa-set","version":1,"name":"A","members":[3]}'), 'no member'],
        [
            static fn () => FigureSet::fromJson('{"format":"impa-set","version":1,"name":"A","members":[{"figure":{},"count":"x"}]}'),
            'whole number',
        ],
    ]);

    it('reads its document, and tells a figure with faults', function () {
        $document = ['format' => 'impa-set', 'version' => 1, 'name' => 'Two', 'members' => [
            ['figure' => small()->document(), 'count' => 3],
            ['figure' => small()->document(), 'name' => 'Red', 'colours' => ['c2' => '#b03030'], 'heightMm' => 35],
        ]];
        $set = FigureSet::fromJson((string) json_encode($document));
        expect($set->pieces())->toBe(4)
            ->and($set->members[1]->figure->colours['c2']->srgb->toHex())->toBe('#b03030')
            ->and($set->members[1]->figure->colours['c2']->name)->toContain('ed')
            ->and($set->members[1]->figure->heightMm)->toEqualWithDelta(35.0, 1e-9);
        $document['members'][0]['figure'] = ['format' => 'impa-figure'];
        expect(static fn () => FigureSet::fromJson((string) json_encode($document)))->toThrow(FigureRefused::class);
    });

    it('says where two come out alike, and where a colour no longer shows', function () {
        $twice = FigureSet::of('Twice', [Member::of(small(), 'One'), Member::of(small(), 'Other')])->notes();
        expect($twice)->toHaveCount(1)->and($twice[0])->toContain('One and Other come out alike');
        $dark = Member::of(small(), 'Night', hexes: ['c2' => '#221e22']);
        expect(Clashes::of($dark))->toHaveCount(1)
            ->and(Clashes::of($dark)[0])->toStartWith('Night: the eye no longer shows')
            ->and(Clashes::of(Member::of(small(), 'Day', hexes: ['c2' => '#f0e0c0'])))->toBe([]);
    });
});

describe('colourways', function () {
    it('turn hues in equal steps, as light as they were, the first unchanged', function () {
        $ways = Colourways::turned(small(), ['c2'], 6);
        $was = Oklch::of(Srgb::hex('#d0a040'));
        expect($ways)->toHaveCount(6)->and($ways[0]['c2'])->toBe('#d0a040');
        foreach ($ways as $i => $way) {
            $is = Oklch::of(Srgb::hex($way['c2']));
            $turn = fmod($is->hueDeg - $was->hueDeg - 60 * $i + 720.0 + 180.0, 360.0) - 180.0;
            expect(abs($turn))->toBeLessThan(1.5)->and($is->lightness)->toEqualWithDelta($was->lightness, 0.01);
        }
    });

    it('know OKLCH as its author gives it', function () {
        // Ottosson 2020, and CSS Color 4: red is oklch(0.628 0.258 29.2), from memory.
        $red = Oklch::of(Srgb::hex('#ff0000'));
        expect([$red->lightness, $red->chroma, $red->hueDeg])->toEqualWithDelta([0.628, 0.258, 29.2], 0.05)
            ->and(Oklch::of(Srgb::hex('#808080'))->chroma)->toBeLessThan(1e-4);
        foreach (['#123456', '#ffffff', '#000000', '#c0ffee', '#8f5f9f'] as $hex) {
            expect(Oklch::of(Srgb::hex($hex))->srgb()->toHex())->toBe($hex);
        }
    });

    it('let colours change places round a ring', function () {
        expect(Colourways::swapped(small(), ['c1', 'c2', 'c3']))->toBe([
            ['c1' => '#506070', 'c2' => '#d0a040', 'c3' => '#201c20'],
            ['c1' => '#d0a040', 'c2' => '#201c20', 'c3' => '#506070'],
            ['c1' => '#201c20', 'c2' => '#506070', 'c3' => '#d0a040'],
        ]);
    });

    it('choose of the stash what there is enough of, what shows, and what differs most', function () {
        $wanted = Colourways::wantedG(small(), 'c2', Densities::house());
        $stash = [
            1 => wool(1, '#cfa042', 2 * $wanted),
            2 => wool(2, '#c03030', 2 * $wanted),
            3 => wool(3, '#3050c0', 0.5 * $wanted),
            4 => wool(4, '#232024', 9 * $wanted),
            5 => wool(5, '#c63434', 9 * $wanted),
            6 => wool(6, '#30a060', 2 * $wanted),
            7 => wool(7, '#ffffff', 9 * $wanted, 'core-wool'),
        ];
        $ways = array_column(Colourways::fromStash(small(), 'c2', 5, $stash, Densities::house()), 'c2');
        // Too little blue; too dark for the eye; the second red is like the first; core wool covers nothing.
        expect($ways)->toHaveCount(3)->and($ways[0])->toBe('#cfa042')->and($ways)->toContain('#30a060')
            ->and(array_intersect($ways, ['#3050c0', '#232024', '#ffffff']))->toBe([])
            ->and(Colourways::fromStash(small(), 'c2', 5, [], Densities::house()))->toBe([]);
    });

    it('are refused of no colour and out of number', function (callable $make) {
        expect($make)->toThrow(SetRefused::class);
    })->with([
        [static fn () => Colourways::turned(small(), ['c9'], 3)],
        [static fn () => Colourways::turned(small(), [], 3)],
        [static fn () => Colourways::turned(small(), ['c1'], 0)],
        [static fn () => Colourways::turned(small(), ['c1'], 25)],
    ]);
});

describe('work on a set', function () {
    $choir = static fn (int $count): FigureSet => FigureSet::of('Choir', array_map(
        static fn (array $way): Member => Member::of(Works::demo('bobbin'), $way['c1'], 1, $way),
        Colourways::turned(Works::demo('bobbin'), ['c1'], $count),
    ));

    it('keeps every order that a figure for itself must keep, and does every step once', function () use ($choir) {
        $set = $choir(4);
        $works = works($set);
        $rows = Batch::of($set, $works)->rows();
        $steps = array_sum(array_map(static fn (Work $w): int => count($w->steps), $works));
        expect(array_sum(array_column($rows, 'pieces')))->toBe($steps);
        // Of each figure a row that needs another comes after it.
        $place = [];
        foreach ($rows as $r => $row) {
            foreach ($row['members'] as $i) {
                $place[$i][$row['title']][] = $r;
            }
        }
        foreach ($works as $i => $work) {
            $titles = array_column(array_map(static fn (Step $s): array => [$s->key, (string) $s->title], $work->steps), 1, 0);
            foreach ($work->steps as $step) {
                foreach ($step->order->after as $before) {
                    expect(min($place[$i][$titles[$before]]))->toBeLessThanOrEqual(max($place[$i][(string) $step->title]));
                }
            }
        }
    });

    it('makes like pieces together: all cores before the first cover, covers from light to dark', function () use ($choir) {
        $rows = Batch::of($choir(5), works($choir(5)))->rows();
        $kinds = array_column($rows, 'kind');
        $cores = array_keys($kinds, 'core', true);
        $covers = array_values(array_filter($rows, static fn (array $r): bool => $r['kind'] === 'cover'));
        expect(max($cores))->toBeLessThan(min(array_keys($kinds, 'cover', true)))
            ->and(array_filter($rows, static fn (array $r): bool => $r['title'] === 'Core: Head'))->toHaveCount(1);
        $light = array_map(static fn (array $r): float => round(Srgb::hex($r['hex'])->lab()->l, 1), $covers);
        $sorted = $light;
        rsort($sorted);
        expect($light)->toBe($sorted);
    });

    it('saves laying ready, the more the more there are, and no work itself', function () use ($choir) {
        $saved = static function (int $count) use ($choir): float {
            $batch = Batch::of($choir($count), works($choir($count)));

            return $batch->oneByOneMinutes() - $batch->minutes();
        };
        // Of one figure only what its own order changes.
        expect($saved(2))->toBeGreaterThan($saved(1))->and($saved(6))->toBeGreaterThan($saved(3));
        $batch = Batch::of($choir(3), works($choir(3)));
        $hands = array_sum(array_map(static fn (Work $w): float => array_sum($w->minutes()), works($choir(3))));
        expect(array_sum(array_column($batch->rows(), 'minutes')))->toEqualWithDelta($hands, 1e-6);
    });

    it('is laid into sittings in which nothing is lost', function () use ($choir) {
        $batch = Batch::of($choir(3), works($choir(3)));
        $sittings = $batch->sittings(90.0);
        $laid = array_sum(array_map(static fn (array $s): float => array_sum(array_column($s['rows'], 'minutes')), $sittings));
        $rows = $batch->rows();
        expect($laid)->toEqualWithDelta(array_sum(array_column($rows, 'minutes')) + Batch::LAYING_READY * count($rows), 1e-6);
        foreach ($sittings as $sitting) {
            expect($sitting['minutes'])->toBeLessThanOrEqual(90.0 + 1e-6);
        }
    });

    it('counts several of one figure as often as there are', function () {
        $one = FigureSet::of('One', [Member::of(small())]);
        $three = FigureSet::of('Three', [Member::of(small(), count: 3)]);
        $hands = static fn (FigureSet $set): float => array_sum(array_column(Batch::of($set, works($set))->rows(), 'minutes'));
        expect($hands($three))->toEqualWithDelta(3 * $hands($one), 1e-9)
            ->and(SetPlan::of($three)->document()['totalG'])->toEqualWithDelta(3 * SetPlan::of($one)->document()['totalG'], 1e-9);
    });
});
