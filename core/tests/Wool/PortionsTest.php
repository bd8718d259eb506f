<?php

declare(strict_types=1);

namespace Impa\Tests\Portions;

use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Tests\Support\Figures;
use Impa\Voice\Amount;
use Impa\Voice\Voice;
use Impa\Voice\Writer;
use Impa\Wool\Ledger\CoveringNeed;
use Impa\Wool\Ledger\Coverings;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\Purpose;
use Impa\Wool\Portion\Portion;
use Impa\Wool\Portion\Portions;
use Impa\Wool\Portion\PortionWords;
use Impa\Wool\Portion\SheetLayout;
use Impa\Wool\Portion\Wisp;
use Impa\Wool\WoolRefused;

/** A ball body and a limb joined to it. */
function ledger(array $limb = [], string $kind = 'sausage', float $w = 20, float $h = 40, float $d = 16): Ledger
{
    return Ledger::of(
        Figures::read(
            Figures::document([
                Figures::part('body', 'ball', 60, 60, 60),
                $limb + Figures::part('limb', $kind, $w, $h, $d, 40, 30, 0, ['name' => 'Limb', 'join' => ['to' => 'body']]),
            ]),
        ),
        Densities::house(),
    );
}

function portion(Ledger $ledger, string $part, Purpose $purpose, array $ropes = []): Portion
{
    return array_values(
        array_filter(
            Portions::of($ledger, $ropes),
            static fn (Portion $p): bool => $p->line->for->part === $part && $p->line->purpose === $purpose,
        ),
    )[0];
}

it('leaves a fluff end of 8 mm over seven tenths of the thinner one, felted at a twentieth of a gram', function () {
    // A disc of 0.7 x 16 mm across, 8 mm long, 0.05 g/cm3.
    $g = ((M_PI / 4) * (0.7 * 16) ** 2 * 8) / 1000 * 0.05;
    expect(portion(ledger(['core' => 'none']), 'limb', Purpose::Cover)->fluffG)
        ->toEqualWithDelta($g, 1e-12)
        ->and(portion(ledger(['core' => 'none', 'join' => ['to' => 'body', 'by' => 'slit']]), 'limb', Purpose::Cover)->fluffG)
        ->toEqualWithDelta($g, 1e-12)
        ->and(portion(ledger(['core' => 'none', 'join' => ['to' => 'body', 'by' => 'sew']]), 'limb', Purpose::Cover)->fluffG)
        ->toBe(0.0)
        ->and(portion(ledger(), 'body', Purpose::Cover)->fluffG)
        ->toBe(0.0)
        ->and(portion(ledger(), 'limb', Purpose::Inside)->fluffG)
        ->toBe(0.0);
    // On a short one a quarter of its height; of little wool a quarter.
    $short = ledger(['core' => 'none'], 'ball', 60, 20, 60);
    expect(portion($short, 'limb', Purpose::Cover)->fluffG)->toEqualWithDelta(((M_PI / 4) * 42 ** 2 * 5) / 1000 * 0.05, 1e-12);
    $thin = ledger(['coverMm' => 0.05], 'ball', 40, 40, 40);
    $line = portion($thin, 'limb', Purpose::Cover);
    expect($line->fluffG)->toEqualWithDelta(0.25 * $line->line->g, 1e-12);
});

it('lays what is thicker than 25 mm in a tight ball of 15 mm and wraps of 8 mm, up to seven of them', function (float $mm, int $layers) {
    $ledger = Ledger::of(
        Figures::read(Figures::document([Figures::part('a', 'ball', $mm, $mm, $mm, more: ['core' => 'none'])])),
        Densities::house(),
    );
    $portion = portion($ledger, 'a', Purpose::Cover);
    expect($portion->layersG)->toHaveCount($layers)->and(array_sum($portion->layersG))->toEqualWithDelta($portion->line->g, 1e-9);
    if ($layers > 1) {
        expect($portion->layersG[0] / $portion->line->g)->toEqualWithDelta((15 / $mm) ** 3, 1e-9);
    }
})->with([
    [25.0, 1],
    [26.0, 2],
    // (43 - 15) / 2 / 8 is 1.75: two wraps.
    [43.0, 3],
    [90.0, 6],
    [127.0, 8],
    [200.0, 8],
]);

it('gives a length of rope for a cover alone', function () {
    $ledger = ledger();
    expect(portion($ledger, 'limb', Purpose::Inside, ['teal' => 6.0])->cmEach)->toBe(0.0);
    $cover = portion($ledger, 'limb', Purpose::Cover, ['teal' => 6.0]);
    expect($cover->cmEach)
        ->toEqualWithDelta((100 * $cover->line->g) / 6, 1e-9)
        ->and(portion($ledger, 'limb', Purpose::Cover)->cmEach)
        ->toBe(0.0);
});

it('says each portion as a felter would weigh it', function () {
    $say = static fn (Ledger $ledger, string $part, Purpose $purpose, array $ropes = []): string => PortionWords::of(
        portion($ledger, $part, $purpose, $ropes),
        $ledger->figure,
    );
    $ledger = ledger(['core' => 'none', 'mirror' => true]);
    $limb = portion($ledger, 'limb', Purpose::Cover, ['teal' => 6.0]);
    expect($say($ledger, 'limb', Purpose::Cover, ['teal' => 6.0]))->toBe(
        sprintf(
            'Weigh %s teal. Split in two equal pieces of %s. That is %s of the rope each. Leave %s of it loose as the fluff end.',
            Amount::g(2 * $limb->line->g),
            Writer::of(Voice::current())->piece(2 * $limb->line->g, 2),
            Amount::mm(10 * $limb->cmEach),
            Amount::g($limb->fluffG),
        ),
    );
    $body = portion($ledger, 'body', Purpose::Inside);
    expect($say($ledger, 'body', Purpose::Inside))
        ->toBe(
            sprintf(
                'Weigh %s core wool. A tight ball of %s first, then wraps of %s.',
                Amount::g($body->line->g),
                Amount::g($body->layersG[0]),
                implode(', ', array_map(Amount::g(...), array_slice($body->layersG, 1))),
            ),
        )
        ->and($say($ledger, 'body', Purpose::Cover, ['teal' => 6.0]))
        ->toMatch('/^Weigh \S+ g teal\. That is \d+(\.5)? mm of the rope\.$/');
    $tufted = ledger(['covering' => ['way' => 'tufts']]);
    expect($say($tufted, 'limb', Purpose::Covering))->toMatch('/^Weigh \S+ g teal for the \d+ tufts of limb\.$/');
});

it('is told to the Wool station with its line, its length of rope, its fluff end and its layers', function () {
    $portion = portion(ledger(['core' => 'none', 'mirror' => true]), 'limb', Purpose::Cover, ['teal' => 6.0]);
    expect($portion->document())->toBe([
        'part' => 'limb',
        'purpose' => 'cover',
        'material' => 'wool',
        'colour' => 'teal',
        'g' => 2 * $portion->line->g,
        'pieces' => 2,
        'eachG' => $portion->line->g,
        'cmEach' => $portion->cmEach,
        'fluffG' => $portion->fluffG,
        'layersG' => $portion->layersG,
    ]);
});

it('puts twins before what is made once, and leaves foam and wisps out', function () {
    $ledger = Ledger::of(
        Figures::read(
            Figures::document(
                [
                    Figures::part('body', 'ball', 70, 70, 70, more: ['core' => 'foam']),
                    Figures::part('arm', 'sausage', 12, 30, 12, 40, 30, 0, ['mirror' => true, 'core' => 'none']),
                ],
                [['key' => 'eye', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 8, 'colour' => 'black']],
            ),
        ),
        Densities::house(),
    );
    expect(array_map(static fn (Portion $p): array => [$p->line->for->part, $p->line->purpose], Portions::of($ledger)))->toBe([
        ['arm', Purpose::Cover],
        ['body', Purpose::Cover],
    ]);
});

it('names every line of the ledger by what it becomes', function () {
    $ledger = ledger(['covering' => ['way' => 'loops'], 'name' => 'Long Limb']);
    $why = array_map(static fn (LedgerLine $l): string => (string) $l->why, $ledger->ofPart('limb'));
    expect($why[0])
        ->toBe('inside long limb')
        ->and($why[1])
        ->toBe('cover of long limb')
        ->and($why[2])
        ->toMatch('/^\d+ loops of long limb$/')
        ->and(ledger(['core' => 'none'])->ofPart('limb')[0]->why)
        ->toBe('all of limb');
    $wing = Figures::part('a', 'sheet', 44, 34, 2, more: ['name' => 'Wing', 'covering' => ['way' => 'film']]);
    $film = Ledger::of(Figures::read(Figures::document([$wing])), Densities::house());
    expect(array_map(static fn (LedgerLine $l): string => (string) $l->why, $film->lines))->toBe([
        'stiff sheet of wing',
        'between the layers of wing',
    ]);
});

it('tells a wisp by what it is as thick as', function (float $mm, string $like) {
    // A strand of 30 mm at 0.3 g/cm3.
    $mg = (M_PI / 4) * ($mm / 10) ** 2 * 3 * 0.3 * 1000;
    expect(Wisp::thickMm($mg))
        ->toEqualWithDelta($mm, 1e-9)
        ->and(Wisp::words($mg))
        ->toBe(sprintf('a strand of 30 mm, twisted %s thick: %s', Amount::mm($mm), $like));
})->with([
    [0.49, 'as thin as sewing thread'],
    [0.51, 'as thin as string'],
    [1.19, 'as thin as string'],
    [1.21, 'as thick as a match'],
    [2.59, 'as thick as a match'],
    [2.61, 'as thick as a straw'],
    [4.99, 'as thick as a straw'],
    [5.01, 'as thick as a pencil'],
]);

describe('what is not plain felt', function () {
    $need = static function (
        array $covering,
        string $kind = 'ball',
        float $w = 40,
        float $h = 40,
        float $d = 40,
        array $more = [],
    ): CoveringNeed {
        $part = Figures::part('a', $kind, $w, $h, $d, more: $more + ['covering' => $covering]);

        return Coverings::need(Figures::read(Figures::document([$part]))->parts['a'], Densities::house());
    };
    // A ball of 40 mm.
    $area = 16 * M_PI;

    it('says how loops, tufts, locks and curls are set', function () use ($need, $area) {
        $loops = $need(['way' => 'loops', 'lengthMm' => 5, 'perCm2' => 16]);
        expect($loops->count)
            ->toBe((int) ceil(16 * $area))
            ->and($loops->metres)
            ->toEqualWithDelta(($area * 16 * (10 + 2.5)) / 1000, 1e-3)
            ->and($loops->g)
            ->toEqualWithDelta($loops->metres * 0.4, 1e-12)
            ->and($loops->finishedG)
            ->toBe($loops->g)
            ->and($loops->text)
            ->toBe($loops->count.' loops of 5 mm: push the yarn in every 2.5 mm, leave a loop, go on. '.
                'Lay each over the same stick, so that all are alike.');
        $tufts = $need(['way' => 'tufts', 'lengthMm' => 9, 'perCm2' => 5, 'mgEach' => 14]);
        expect($tufts->count)
            ->toBe((int) ceil(5 * $area))
            ->and($tufts->g)
            ->toEqualWithDelta($tufts->count * 0.014, 1e-12)
            ->and($tufts->finishedG)
            ->toBe($tufts->g)
            ->and($tufts->text)
            ->toBe($tufts->count.' tufts of 14 mg and 9 mm: begin at the foot, each row over the last one\'s roots. '.
                'Stab each across its middle; trim them all together at the end.');
        foreach (['locks' => 'Stab only their roots, so that the curls stay open.', 'curls' => 'Wind each round a stick'] as $way => $how) {
            $set = $need(['way' => $way, 'perCm2' => 3, 'mgEach' => 30]);
            expect($set->count)->toBe((int) ceil(3 * $area))
                ->and($set->g)->toEqualWithDelta($set->count * 0.03, 1e-12)
                ->and($set->text)->toContain($set->count.' '.$way.' of 30 mg', $how);
        }
    });

    it('lays hair along a parting, or in rows from the neck upwards', function () use ($need, $area) {
        // Half the girth of 40 mm is 62.8 mm: eight lays of 8 mm. Half the surface is 25.1 cm2: under 60 mm of hair one row, under 10 four.
        $long = $need(['way' => 'hair', 'lengthMm' => 60, 'ribbonMm' => 8]);
        $short = $need(['way' => 'hair', 'lengthMm' => 10, 'ribbonMm' => 8]);
        $rows = (int) ceil((100 * $area) / 2 / (20 * M_PI * 10));
        expect($rows)
            ->toBe(4)
            ->and($long->count)
            ->toBe(8)
            ->and($short->count)
            ->toBe(32)
            ->and($long->metres)
            ->toEqualWithDelta(8 * 0.12, 1e-12)
            ->and($long->g)
            ->toEqualWithDelta(8 * 0.12 * 8 * 0.06, 1e-12)
            ->and($long->finishedG)
            ->toBe($long->g)
            ->and($long->text)
            ->toStartWith('8 lays of tops, 8 mm wide and 120 mm long, along the parting. Stab each across its middle')
            ->and($short->text)
            ->toStartWith('32 lays of tops, 8 mm wide and 20 mm long, in 4 rows from the neck upwards. ');
    });

    it('winds round the thinner way, with a fold-back of 10 mm at both ends, never more than nine tenths over', function () use ($need) {
        $wrap = $need(['way' => 'wrap', 'ribbonMm' => 10, 'overlap' => 0.3], 'sausage', 12, 50, 8);
        $metres = (70 / 7) * hypot(M_PI * 8, 7) / 1000;
        expect($wrap->metres)
            ->toEqualWithDelta($metres, 1e-12)
            ->and($wrap->g)
            ->toEqualWithDelta($metres * 10 * 0.06, 1e-12)
            ->and($wrap->text)
            ->toBe(
                sprintf(
                    'Wind %s of flat ribbon, 10 mm wide, round the wire, fold-backs included. '
                        .'Lay each turn 30%% over the last, not tight enough to bend the wire.',
                    Amount::mm(1000 * $metres),
                ),
            )
            ->and(Coverings::ribbonMetres(10.0, 70.0, 10.0, 0.97))
            ->toBe(Coverings::ribbonMetres(10.0, 70.0, 10.0, 0.9));
    });

    it('plaits three strands, a third longer than the plait', function () use ($need) {
        $plait = $need(['way' => 'plait', 'ribbonMm' => 6], 'sausage', 12, 90, 12);
        expect($plait->count)
            ->toBe(3)
            ->and($plait->metres)
            ->toEqualWithDelta(3 * 0.09 * 1.33, 1e-12)
            ->and($plait->g)
            ->toEqualWithDelta(3 * 0.09 * 1.33 * 6 * 0.06, 1e-12)
            ->and($plait->text)
            ->toStartWith('Plait three strands of 120 mm, 6 mm thick each: plaiting takes up a third. ');
    });

    it('cuts a flat piece as thick as it is, a sheet round others as thick as their cover, a fifth lost', function () use ($need, $area) {
        $round = $need(['way' => 'pre-felt'], more: ['coverMm' => 2.5]);
        expect($round->areaCm2)
            ->toEqualWithDelta(1.2 * $area, 0.01)
            ->and($round->g)
            ->toEqualWithDelta($round->areaCm2 * 0.25 * 0.12, 1e-9)
            ->and($round->finishedG)
            ->toEqualWithDelta($round->g / 1.2, 1e-12)
            ->and($round->filmG)
            ->toBe(0.0)
            ->and($round->text)
            ->toStartWith(sprintf('Cut from %.0f cm² of sheet by the template on its size card. ', $round->areaCm2))
            ->and($need(['way' => 'pre-felt'], more: ['coverMm' => 0.4])->g)
            ->toEqualWithDelta($need(['way' => 'pre-felt'], more: ['coverMm' => 1])->g, 1e-12);
        $film = $need(['way' => 'film'], 'sheet', 50, 40, 2);
        expect($film->filmG)
            ->toEqualWithDelta($film->areaCm2 * 0.004, 1e-12)
            ->and($film->g)
            ->toEqualWithDelta($film->areaCm2 * 0.2 * 0.12, 1e-12)
            ->and($film->finishedG)
            ->toEqualWithDelta(($film->g + $film->filmG) / 1.2, 1e-12)
            ->and($film->areaCm2)
            ->toBeGreaterThan(19.0 * 1.2)
            ->toBeLessThan(20.0 * 1.2)
            ->and($film->text)
            ->toStartWith(sprintf('Lay a thin sheet of %.0f cm², with film fibres between two layers. ', $film->areaCm2))
            ->toEndWith('melts them, and cut the shape out.');
    });

    it('is nothing for plain felt', function () use ($need) {
        $none = $need(['way' => 'felt']);
        expect([$none->g, $none->finishedG, $none->filmG, $none->metres, $none->count, $none->text])->toBe([0.0, 0.0, 0.0, 0.0, 0, null]);
    });

    it('is the whole piece as a plait, or as a flat piece that is cut', function (string $way, string $kind, bool $isWhole) {
        $part = Figures::read(
            Figures::document([Figures::part('a', $kind, 30, 40, $kind === 'plate' ? 3 : 30, more: ['covering' => ['way' => $way]])]),
        )->parts['a'];
        expect(Coverings::isWhole($part))->toBe($isWhole)->and($part->made->covering->way)->toBe(CoveringWay::from($way));
    })->with([
        ['plait', 'ball', true],
        ['film', 'plate', true],
        ['film', 'ball', false],
        ['pre-felt', 'plate', true],
        ['pre-felt', 'ball', false],
        ['wrap', 'ball', false],
        ['tufts', 'plate', false],
    ]);
});

describe('the layout of what is cut', function () {
    $piece = static fn (string $key, float $w, float $h): array => ['key' => $key, 'widthMm' => $w, 'heightMm' => $h];

    it('lays two pieces side by side with room for the scissors, and turns what lies lower on its side', function () use ($piece) {
        $two = SheetLayout::of([$piece('a', 40, 30), $piece('b', 50, 30)], 100.0);
        expect($two->lengthMm)
            ->toBe(30.0)
            ->and(array_map(static fn (array $p): float => $p['xMm'], $two->placed))
            ->toContain(0.0)
            ->and(max(array_map(static fn (array $p): float => $p['xMm'] + $p['widthMm'], $two->placed)))
            ->toBe(92.0)
            ->and($two->waste())
            ->toEqualWithDelta(1 - (90 * 30) / 3000, 1e-12);
        $turned = SheetLayout::of([$piece('a', 20, 90)], 100.0);
        expect($turned->lengthMm)->toBe(20.0)->and($turned->placed[0]['isTurned'])->toBeTrue();
        // 40 + 2 + 58 + 2 are wider than the sheet by two: one above the other, a margin between.
        expect(SheetLayout::of([$piece('a', 40, 40), $piece('b', 58, 58)], 100.0)->lengthMm)->toBe(100.0);
    });

    it('is empty for nothing, and refuses what is wider than the sheet both ways', function () use ($piece) {
        expect(SheetLayout::of([], 100.0)->lengthMm)
            ->toBe(0.0)
            ->and(SheetLayout::of([], 100.0)->waste())
            ->toBe(0.0)
            ->and(SheetLayout::of([$piece('a', 98, 300)], 100.0)->lengthMm)
            ->toBe(300.0)
            ->and(fn () => SheetLayout::of([$piece('Wing', 98.7, 120)], 100.0))
            ->toThrow(WoolRefused::class, 'Wing is 98.5 mm across, and the sheet only 100 mm wide');
    });

    it('never lays one piece over another, nor off the sheet, and each once', function (int $seed) use ($piece) {
        mt_srand($seed);
        $pieces = array_map(static fn (int $i): array => $piece('p'.$i, mt_rand(8, 70), mt_rand(8, 70)), range(1, 3 + $seed));
        $layout = SheetLayout::of($pieces, 120.0);
        expect(array_column($layout->placed, 'key'))->toEqualCanonicalizing(array_column($pieces, 'key'));
        foreach ($layout->placed as $i => $p) {
            $own = array_values(array_filter($pieces, static fn (array $q): bool => $q['key'] === $p['key']))[0];
            expect($p['isTurned'] ? [$p['heightMm'], $p['widthMm']] : [$p['widthMm'], $p['heightMm']])
                ->toEqual([$own['widthMm'], $own['heightMm']])
                ->and($p['xMm'])
                ->toBeGreaterThanOrEqual(0.0)
                ->and($p['xMm'] + $p['widthMm'])
                ->toBeLessThanOrEqual(118.0 + 1e-9)
                ->and($p['yMm'] + $p['heightMm'])
                ->toBeLessThanOrEqual($layout->lengthMm + 1e-9);
            foreach (array_slice($layout->placed, $i + 1) as $q) {
                $apart =
                    $p['xMm'] + $p['widthMm'] + 2 <= $q['xMm'] + 1e-9 ||
                    $q['xMm'] + $q['widthMm'] + 2 <= $p['xMm'] + 1e-9 ||
                    $p['yMm'] + $p['heightMm'] + 2 <= $q['yMm'] + 1e-9 ||
                    $q['yMm'] + $q['heightMm'] + 2 <= $p['yMm'] + 1e-9;
                expect($apart)->toBeTrue();
            }
        }
    })->with(range(1, 8));
});

it('shows equal pieces so that they add up to what the whole is shown as', function () {
    expect(Writer::of(Voice::current())->piece(2.13, 2))->toBe('1.07 g')
        ->and(Writer::of(Voice::current())->piece(0.029, 2))->toBe('15 mg')
        ->and(Writer::of(Voice::current())->piece(7.0, 3))->toBe('2.33 g')
        ->and(Writer::of(Voice::current())->piece(10.0, 4))->toBe('2.5 g');
    mt_srand(4);
    for ($i = 0; $i < 2_000; $i++) {
        [$g, $pieces] = [10 ** (mt_rand(-300, 200) / 100), mt_rand(2, 8)];
        $each = Writer::of(Voice::current())->piece($g, $pieces);
        $unit = str_ends_with($each, 'mg') ? 1000.0 : 1.0;
        expect((string) Amount::g((float) $each * $pieces / $unit))->toBe((string) Amount::g($g), "{$g} in {$pieces}");
    }
});
