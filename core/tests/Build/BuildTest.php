<?php

declare(strict_types=1);

namespace Impa\Tests\Build;

use Impa\Build\Order\Order;
use Impa\Build\Steps\Hints;
use Impa\Build\Steps\NeedleChoice;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Build\Steps\Steps;
use Impa\Check\Mending\MendDesk;
use Impa\Check\Mending\Remedy;
use Impa\Check\Mending\Sign;
use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\Pace;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\Purpose;

/** @return list<Step> */
function steps(Figure $figure): array
{
    return Order::of(Steps::of(Ledger::of($figure, Densities::house()), Pace::house(), Needles::usual()), $figure);
}

function smallCharacter(string $school = 'loose-head'): Figure
{
    return Figures::read(
        Figures::document(
            [
                Figures::part('body', 'ball', 40, 44, 40, 0, 22),
                Figures::part('head', 'ball', 50, 46, 48, 0, 62, 0, ['join' => ['to' => 'body']]),
                Figures::part('arm', 'sausage', 10, 26, 10, 22, 26, 0, ['mirror' => true, 'join' => ['to' => 'body']]),
                Figures::part('ear', 'plate', 12, 16, 4, 18, 84, 0, [
                    'mirror' => true,
                    'core' => 'none',
                    'join' => ['to' => 'head', 'by' => 'slit'],
                ]),
            ],
            [
                [
                    'key' => 'white',
                    'on' => 'head',
                    'kind' => 'disc',
                    'widthMm' => 8,
                    'xMm' => 10,
                    'mirror' => true,
                    'colour' => 'white',
                    'layer' => 1,
                ],
                [
                    'key' => 'pupil',
                    'on' => 'head',
                    'kind' => 'disc',
                    'widthMm' => 4,
                    'xMm' => 10,
                    'mirror' => true,
                    'colour' => 'black',
                    'layer' => 2,
                ],
                ['key' => 'glass', 'on' => 'body', 'kind' => 'eye', 'widthMm' => 4, 'colour' => 'black'],
            ],
            ['school' => ['face' => $school]],
        ),
    );
}

/** @return array<string, int> place of each step in the order */
function places(Figure $figure): array
{
    return array_flip(array_map(static fn (Step $s): string => $s->key, steps($figure)));
}

it('puts every step after what it depends on', function () {
    foreach (range(1, 12) as $seed) {
        foreach (['loose-head', 'face-first', 'limbs-first'] as $school) {
            $figure = Figures::read(Figures::random($seed, 14, 14) + ['school' => ['face' => $school]]);
            $done = [];
            foreach (steps($figure) as $step) {
                expect(array_diff($step->order->after, $done))->toBe([]);
                $done[] = $step->key;
            }
            expect($done)->toHaveCount(count(array_unique($done)))->and(end($done))->toBe('inspect');
        }
    }
});

it('sets equal portions aside before a pair is felted', function () {
    $first = steps(smallCharacter())[0];
    expect($first->key)
        ->toBe('portion')
        ->and($first->uses->weighings)
        ->toHaveCount(3)
        ->and(array_map(static fn ($w): array => [$w->for->part, $w->purpose, $w->pieces], $first->uses->weighings))
        ->toBe([['arm', Purpose::Inside, 2], ['arm', Purpose::Cover, 2], ['ear', Purpose::Cover, 2]]);
});

it('follows the school: face on the loose head, face first, limbs first', function () {
    $loose = places(smallCharacter('loose-head'));
    expect($loose['detail:pupil'])
        ->toBeLessThan($loose['join:head'])
        ->and($loose['detail:white'])
        ->toBeLessThan($loose['detail:pupil'])
        // Common practice, docs/trade.md, What comes before what: ears show where the face has to go.
        ->and($loose['join:ear'])
        ->toBeLessThan($loose['detail:white']);
    $face = places(smallCharacter('face-first'));
    expect($face['join:head'])->toBeLessThan($face['detail:white'])->and($face['detail:pupil'])->toBeLessThan($face['join:arm']);
    $limbs = places(smallCharacter('limbs-first'));
    expect(max($limbs['join:arm'], $limbs['join:head'], $limbs['join:ear']))->toBeLessThan($limbs['detail:white']);
});

it('lets one part follow another school than the figure', function () {
    $document = json_decode(smallCharacter('loose-head')->toJson(), true);
    $document['parts'][1]['school'] = ['face' => 'limbs-first'];
    $at = places(Figures::read($document));
    expect($at['detail:glass'])->toBeLessThan($at['join:arm'])->and($at['join:arm'])->toBeLessThan($at['detail:white']);
});

it('hides a join after it is made, and cores before they are covered', function () {
    $at = places(smallCharacter());
    expect($at['join:arm'])
        ->toBeLessThan($at['hide:arm'])
        ->and($at['core:head'])
        ->toBeLessThan($at['cover:head'])
        ->and($at)
        ->not->toHaveKey('core:ear')
        ->and($at)
        ->not->toHaveKey('join:body');
});

it('takes the minutes that are usual', function () {
    // Common practice, docs/trade.md, Minutes: a small ball 5 to 10 minutes; smoothing a face 15 to 20; a small figure one to two hours.
    $ball = Figures::read(Figures::document([Figures::part('a', 'ball', 30, 30, 30)]));
    $minutes = array_sum(
        array_map(
            static fn (Step $s): float => $s->time->minutes,
            array_filter(steps($ball), static fn (Step $s): bool => $s->about->part === 'a'),
        ),
    );
    expect($minutes)
        ->toBeGreaterThan(5)
        ->toBeLessThan(10)
        ->and(Pace::house()->surface(74.4, true)->is)
        ->toBeGreaterThan(15)
        ->toBeLessThan(22)
        ->and(Plan::of(smallCharacter())->handsMinutes())
        ->toBeGreaterThan(60)
        ->toBeLessThan(150)
        ->and(Pace::house()->bulk(8, Firmness::Hard, 1)->is)
        ->toBeGreaterThan(Pace::house()->bulk(8, Firmness::Soft, 1)->is);
});

it('has nothing to do for a figure without parts', function () {
    expect(steps(Figures::read(Figures::document([]))))->toBe([]);
});

it('warns of a thin part, a limb that wants a wire, a wrong height and a loose part, with amounts', function () {
    $plan = Plan::of(
        Figures::read(
            Figures::document([
                Figures::part('body', 'ball', 40, 40, 40, 0, 20),
                Figures::part('wing', 'plate', 30, 20, 1.5, 0, 20, 0, ['name' => 'Wing', 'join' => ['to' => 'body']]),
                Figures::part('leg', 'sausage', 4, 60, 4, 0, 20, 0, ['name' => 'Leg']),
            ]),
        ),
    )->document();
    $notes = array_column($plan['notes'], 'text', 'code');
    expect($notes['thin'])
        ->toContain('1.5 mm thicker')
        ->and($notes['wire'])
        ->toContain('7.5 mm')
        ->and($notes['height'])
        ->toContain('60 mm tall')
        ->and($notes['loose-part'])
        ->toContain('Leg');
});

it('shows the caution for small parts', function () {
    expect(array_column(Plan::of(smallCharacter())->document()['notes'], 'code'))->toContain('small-parts');
});

it('says when a needle does not reach the middle, and what to start from', function () {
    $codes = static fn (float $mm): array => array_column(
        Plan::of(Figures::read(Figures::document([Figures::part('body', 'ball', $mm, $mm, $mm, 0, $mm / 2)])))->document()[
            'notes'
        ],
        'text',
        'code',
    );
    // Common practice: a usual needle works about 40 mm deep, from every side.
    expect($codes(78))
        ->not->toHaveKey('too-deep')
        ->and($codes(120)['too-deep'])
        ->toContain('120 mm thick')
        ->toContain('ball of 40 mm');
});

it('says where weight helps, seen from the front: across from where it leans', function (float $x, float $z, string $where) {
    $figure = Figures::read(
        Figures::document([
            Figures::part('foot', 'drum', 24, 20, 24, 0, 10),
            Figures::part('head', 'ball', 40, 40, 40, $x, 40, $z, ['join' => ['to' => 'foot']]),
        ]),
    );
    $notes = Plan::of($figure)->document()['notes'];
    $text = array_values(array_filter($notes, static fn (array $n): bool => in_array($n['code'], ['falls', 'touchy'], true)))[0]['text'];
    expect($text)->toContain($where);
})->with([[0, 14, 'at the back'], [0, -14, 'at the front'], [14, 0, 'at the left'], [-14, 0, 'at the right']]);

it('takes a third of the time for the bulk with three needles, from the weight and the breadth on at which they are used', function () {
    $pace = Pace::house();
    // Two minutes for a gram, less than twice as much for twice the wool.
    expect($pace->bulk(1.0, Firmness::Springy, 1)->is)->toBe(2.0)
        ->and($pace->bulk(1.49, Firmness::Springy, 1)->is)->toEqualWithDelta(2 * 1.49 ** 0.85, 1e-12)
        ->and($pace->bulk(1.5, Firmness::Springy, 3)->is)->toEqualWithDelta(2 * 1.5 ** 0.85 / 3, 1e-12)
        ->and($pace->bulk(4.0, Firmness::Firm, 3)->is)->toEqualWithDelta(2 * 1.3 * 4 ** 0.85 / 3, 1e-12)
        ->and([$pace->needles(1.49, 30), $pace->needles(1.5, 30), $pace->needles(1.5, 12), $pace->needles(50, 11.9)])
        ->toBe([1, 3, 3, 1]);
});

it('takes for what is laid on the time of each piece, for what is wound that of each metre', function () {
    $pace = Pace::house();
    expect($pace->covering(CoveringWay::Tufts, 100, 0.0)->is)->toEqualWithDelta(2 * $pace->covering(CoveringWay::Tufts, 50, 0.0)->is, 1e-12)
        ->and($pace->covering(CoveringWay::Wrap, 0, 3.0)->is)->toEqualWithDelta(12.0, 1e-12)
        ->and($pace->covering(CoveringWay::Film, 0, 0.0)->is)->toBe($pace->covering(CoveringWay::PreFelt, 7, 2.0)->is)
        ->and($pace->covering(CoveringWay::Felt, 9, 9.0)->is)->toBe(0.0);
});

it('gives each kind of work its needle', function () {
    $steps = array_column(
        array_map(static fn (Step $s): array => ['key' => $s->key, 'needle' => $s->uses->needle], steps(smallCharacter())),
        'needle',
        'key',
    );
    $told = static fn (string $key): array => [$steps[$key]->gauge, $steps[$key]->holder, $steps[$key]->stab];
    // Common practice, docs/trade.md, Needles.
    expect($told('core:head'))->toBe([36, 3, 'deep'])
        ->and($told('core:arm'))->toBe([36, 1, 'deep'])
        ->and($told('cover:head'))->toBe([40, 3, 'shallow, slanting'])
        ->and($told('cover:ear'))->toBe([38, 1, 'middling, slanting'])
        ->and($told('join:arm'))->toBe([36, 1, 'deep'])
        ->and($told('hide:arm'))->toBe([40, 1, 'shallow, slanting'])
        ->and($told('detail:white'))->toBe([42, 1, 'very shallow'])
        ->and($steps['detail:glass'])->toBeNull()
        ->and($steps['inspect'])->toBeNull();
});

/** @return array<string, Step> */
function byKey(Figure $figure): array
{
    return array_column(array_map(static fn (Step $s): array => ['key' => $s->key, 'step' => $s], steps($figure)), 'step', 'key');
}

it('knows of every step what it cannot be done without, whatever the school', function (string $school) {
    $after = array_map(static fn (Step $s): array => $s->order->after, byKey(smallCharacter($school)));
    $told = [
        'core:head' => [],
        'core:arm' => ['portion'],
        'cover:head' => ['core:head'],
        'cover:arm' => ['core:arm'],
        'compare:arm' => ['cover:arm'],
        // Of one piece, without a core.
        'cover:ear' => ['portion'],
        'join:head' => ['cover:head', 'cover:body'],
        'join:arm' => ['compare:arm', 'cover:body'],
        'steam:ear' => ['compare:ear'],
        'slit:ear' => ['steam:ear', 'cover:head'],
        'join:ear' => ['slit:ear'],
        'hide:arm' => ['join:arm'],
        'mark:head' => ['cover:head'],
        'detail:white' => ['mark:head'],
        'detail:pupil' => ['mark:head', 'detail:white'],
        // One alone needs no marks beside it.
        'detail:glass' => ['cover:body'],
        'trim' => ['hide:head', 'hide:arm', 'hide:ear', 'detail:pupil', 'detail:glass'],
        'inspect' => ['trim'],
    ];
    foreach ($told as $key => $before) {
        expect($after[$key])->toEqualCanonicalizing($before, $key);
    }
})->with(['loose-head', 'face-first', 'limbs-first']);

it('steams thin flat pieces to shape when all that lies on them is on, and nothing else', function () {
    $plate = static fn (string $key, float $thick, array $more): array => Figures::part($key, 'plate', 12, 20, $thick, 0, 60, 0, $more);
    $joined = ['join' => ['to' => 'body']];
    $document = Figures::document([
        Figures::part('body', 'ball', 60, 60, 60, 0, 30),
        $plate('pair', 4, $joined + ['mirror' => true, 'at' => ['xMm' => 20, 'yMm' => 60]]),
        $plate('one', 6, $joined),
        $plate('thick', 6.1, $joined),
        $plate('loose', 4, []),
        Figures::part('arm', 'sausage', 5, 30, 5, 0, 20, 0, $joined),
    ], [['key' => 'spot', 'on' => 'one', 'kind' => 'disc', 'widthMm' => 4, 'colour' => 'black']]);
    $steps = byKey(Figures::read($document));
    $steamed = array_filter($steps, static fn (Step $s): bool => $s->kind === StepKind::Steam);
    expect(array_keys($steamed))->toEqualCanonicalizing(['steam:pair', 'steam:one'])
        ->and($steps['steam:pair']->time->minutes)->toEqualWithDelta(2 * $steps['steam:one']->time->minutes, 1e-9)
        ->and($steps['steam:one']->order->after)->toContain('detail:spot')
        ->and($steps['join:one']->order->after)->toContain('steam:one')
        ->and($steps['join:thick']->order->after)->not->toContain('steam:thick')
        ->and(implode(' ', Hints::cautions($steps['steam:one'], Figures::read($document))))->toContain('Steam scalds');
    // In layers flat pieces stay flat, and are pressed.
    $flat = byKey(Figures::read(['flat' => ['way' => 'batting']] + $document));
    expect(array_filter($flat, static fn (Step $s): bool => $s->kind === StepKind::Steam))->toBe([]);
});

it('has every kind of work in the stage in which a felter sees it', function () {
    $stages = [];
    foreach (StepKind::cases() as $kind) {
        $stages[$kind->stage()->value][] = $kind->value;
    }
    // Common practice (docs/trade.md, The order of the work); what joins or hides a seam is joining, whatever it is made of.
    expect($stages)->toEqualCanonicalizing([
        'insides' => ['mix', 'portion', 'wire', 'core', 'thread', 'weight', 'loop'],
        'colour' => ['cover', 'felt', 'compare', 'covering', 'cut'],
        'face' => ['mark', 'detail'],
        'joining' => ['steam', 'slit', 'join', 'hide', 'press', 'stitch'],
        'last' => ['open', 'ribbon', 'flatten', 'trim', 'inspect'],
    ]);
});

it('finds the face where most details are', function () {
    $document = json_decode(smallCharacter()->toJson(), true);
    expect(Steps::facePart(Figures::read($document)))
        ->toBe('head')
        ->and(Steps::facePart(Figures::read(['details' => []] + $document)))
        ->toBe('');
});

it('threads a loop through what hangs, while only its inside is there', function () {
    $hung = byKey(Figures::read(json_decode(smallCharacter()->toJson(), true) + ['pose' => 'hang']));
    expect($hung['loop:head']->order->after)->toBe(['core:head'])->and(byKey(smallCharacter()))->not->toHaveKey('loop:head');
});

it('bends a wire before what is wound round it', function () {
    $document = Figures::document([
        Figures::part('arm', 'sausage', 14, 40, 14, 20, 40, 0, ['covering' => ['way' => 'wrap'], 'mirror' => true, 'core' => 'none']),
    ]);
    expect(byKey(Figures::read($document))['cover:arm']->order->after)->toEqualCanonicalizing(['portion', 'wire:arm']);
});

it('takes for a small ball five minutes at least, as is usual, and for a larger one what is reckoned', function () {
    $minutes = static fn (float $mm): float => byKey(Figures::read(Figures::document(
        [Figures::part('a', 'ball', $mm, $mm, $mm, more: ['core' => 'none'])],
    )))['cover:a']->time->minutes;
    // Common practice, docs/trade.md, Minutes: a small ball 5 to 10.
    foreach ([8.0, 14.0, 20.0, 26.0, 32.0] as $mm) {
        expect($minutes($mm))->toBeGreaterThanOrEqual(5.0)->toBeLessThanOrEqual(10.0);
    }
    expect($minutes(20.0))->toBe(5.0)->and($minutes(50.0))->toBeGreaterThan(15.0);
});

it('takes for each step the time of all its pieces', function () {
    $pace = Pace::house();
    $ledger = Ledger::of(smallCharacter(), Densities::house());
    $minutes = array_map(static fn (Step $s): float => $s->time->minutes, byKey(smallCharacter()));
    $springy = Firmness::Springy;
    $holder = static fn (string $key): int => $pace->needles(
        $ledger->wool[$key]->coreG(),
        $ledger->wool[$key]->inside?->size()->middleMm() ?? 0.0,
    );
    $over = static fn (string $key): int => $pace->needles(
        $ledger->wool[$key]->coverG(),
        smallCharacter()->parts[$key]->solid->size()->middleMm(),
    );
    $told = [
        'portion' => Pace::PORTION,
        'core:head' => $pace->bulk($ledger->wool['head']->coreG(), $springy, $holder('head'))->is,
        'core:arm' => 2 * $pace->bulk($ledger->wool['arm']->coreG(), $springy, $holder('arm'))->is,
        'cover:head' => $pace->bulk($ledger->wool['head']->coverG(), $springy, $over('head'))->is
            + $pace->surface($ledger->areaCm2('head'), true)->is,
        // An arm of a gram takes five minutes in all, its core among them.
        'cover:arm' => 2 * (5.0 - $pace->bulk($ledger->wool['arm']->coreG(), $springy, $holder('arm'))->is),
        'join:head' => Pace::JOIN,
        'join:arm' => 2 * Pace::JOIN,
        'hide:head' => Pace::HIDE,
        'hide:arm' => 2 * Pace::HIDE,
        'compare:arm' => Pace::COMPARE,
        'slit:ear' => 2 * Pace::SLIT,
        'mark:head' => Pace::MARK,
        'detail:white' => 2 * Pace::SPOT,
        'detail:glass' => Pace::FIXED,
        'inspect' => Pace::INSPECT,
    ];
    foreach ($told as $key => $time) {
        expect($minutes[$key])->toEqualWithDelta($time, 1e-9, $key);
    }
});

it('takes for a line, a spark, foam, and what is fixed on, each its own time; what is glued or painted on dries', function () {
    $disc = ['on' => 'head', 'colour' => 'black', 'kind' => 'disc', 'widthMm' => 5];
    $detail = static fn (string $key, array $more): array => ['key' => $key] + $more + $disc;
    $figure = Figures::read(
        Figures::document(
            [Figures::part('head', 'ball', 60, 60, 60, 0, 30, 0, ['core' => 'foam', 'mirror' => true])],
            [
                $detail('mouth', ['kind' => 'line', 'widthMm' => 1, 'pointsMm' => [[-5, -8], [5, -8]]]),
                $detail('pupil', ['widthMm' => 6, 'xMm' => 10, 'layer' => 1]),
                $detail('spark', ['widthMm' => 1.5, 'xMm' => 11, 'yMm' => 1, 'layer' => 2, 'colour' => 'white']),
                $detail('bead', ['method' => 'bead', 'xMm' => -10]),
                $detail('glass', ['method' => 'ready-made', 'xMm' => -10, 'yMm' => 8]),
                $detail('thread', ['method' => 'stitch', 'yMm' => 12]),
                $detail('paint', ['method' => 'paint', 'yMm' => 16]),
                $detail('pin', ['method' => 'pin', 'yMm' => 20]),
            ],
        ),
    );
    $pace = Pace::house();
    $steps = byKey($figure);
    expect(array_map(static fn (string $key): float => $steps['detail:'.$key]->time->minutes, ['mouth', 'pupil', 'spark', 'bead', 'pin']))
        ->toBe([2 * Pace::LINE, 2 * Pace::SPOT, 2 * Pace::SPARK, 2 * Pace::FIXED, 2 * Pace::FIXED])
        ->and(array_map(
            static fn (string $key): float => $steps['detail:'.$key]->time->waitMinutes,
            ['mouth', 'pupil', 'spark', 'bead', 'glass', 'thread', 'paint', 'pin'],
        ))
        ->toBe([0.0, 0.0, 0.0, 0.0, Pace::DRYING, 0.0, Pace::DRYING, Pace::DRYING])
        ->and($steps['core:head']->time->minutes)
        ->toBe(2 * Pace::FOAM)
        ->and(array_map(
            static fn (string $key): bool => $steps['detail:'.$key]->uses->needle === null,
            ['mouth', 'pupil', 'bead', 'glass', 'thread', 'paint', 'pin'],
        ))
        ->toBe([false, false, true, true, true, true, true]);
    // Foam is no wool to be divided; its cover is.
    expect(array_map(static fn ($w): Purpose => $w->purpose, $steps['portion']->uses->weighings))->toBe([Purpose::Cover]);
});

it('weighs out every line of the ledger once, in the step of its part or detail, whatever covers the parts', function () {
    foreach (range(1, 10) as $seed) {
        $figure = Figures::read(Figures::covered($seed));
        $ledger = Ledger::of($figure, Densities::house());
        $weighed = [];
        foreach (steps($figure) as $step) {
            foreach ($step->key === 'portion' ? [] : $step->uses->weighings as $line) {
                $weighed[] = $line;
                expect([$line->for->part, $line->for->detail])
                    ->toBe([$step->about->part, $step->about->detail])
                    ->and($step->kind)
                    ->toBe(
                        match ($line->purpose) {
                            Purpose::Inside => StepKind::Core,
                            Purpose::Cover => $ledger->wool[$line->for->part]->coreMaterial() === CoreMaterial::None
                                ? StepKind::Felt
                                : StepKind::Cover,
                            Purpose::Detail => StepKind::Detail,
                            default => StepKind::Covering,
                        },
                    );
            }
            expect(array_is_list($step->uses->weighings))->toBeTrue();
        }
        $told = static fn (array $lines): array => array_map(
            static fn (LedgerLine $l): string => implode(' ', [$l->for->part, $l->for->detail, $l->purpose->name, $l->g, $l->pieces]),
            $lines,
        );
        expect($told($weighed))->toEqualCanonicalizing($told($ledger->lines));
    }
});

it('lays loops, tufts, locks, curls and hair on last: after the part\'s face and its seams', function (string $way) {
    $parts = [
        Figures::part('body', 'ball', 40, 44, 40, 0, 22),
        Figures::part('head', 'ball', 50, 46, 48, 0, 62, 0, ['join' => ['to' => 'body'], 'covering' => ['way' => $way]]),
        Figures::part('ear', 'ball', 12, 16, 6, 18, 84, 0, ['join' => ['to' => 'head']]),
        Figures::part('tail', 'ball', 12, 16, 6, 0, 10, -20, ['join' => ['to' => 'body']]),
    ];
    $eye = ['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 6, 'colour' => 'black'];
    $steps = byKey(Figures::read(Figures::document($parts, [$eye])));
    expect($steps['covering:head']->order->after)
        ->toEqualCanonicalizing(['cover:head', 'detail:eye', 'join:head', 'join:ear'])
        ->and($steps['covering:head']->uses->needle->gauge)
        ->toBe(40)
        ->and($steps['covering:head']->time->minutes)
        ->toBeGreaterThan(1.0)
        ->and($steps)
        ->not->toHaveKey('covering:body');
})->with(['loops', 'tufts', 'locks', 'curls', 'hair']);

it('winds a ribbon round, or cuts a part out, in place of its cover', function (string $way, bool $isStabbed) {
    $document = static fn (bool $pair): array => Figures::document([
        Figures::part('arm', 'sausage', 14, 40, 14, 20, 40, 0, ['covering' => ['way' => $way], 'mirror' => $pair]),
    ]);
    [$one, $pair] = [byKey(Figures::read($document(false))), byKey(Figures::read($document(true)))];
    expect($one['cover:arm']->kind)
        ->toBe(StepKind::Covering)
        ->and($one)
        ->not->toHaveKey('covering:arm')
        ->and($one['cover:arm']->uses->needle !== null)
        ->toBe($isStabbed)
        ->and($pair['cover:arm']->time->minutes)
        ->toEqualWithDelta(2 * $one['cover:arm']->time->minutes, 1e-9)
        ->and($one['cover:arm']->order->after)
        ->toBe(match (true) {
            isset($one['core:arm']) => ['core:arm'],
            isset($one['wire:arm']) => ['wire:arm'],
            default => [],
        });
})->with([['wrap', true], ['pre-felt', false], ['plait', false]]);

describe('what is read at each step', function () {
    /** The words of the steps of one part and its join, of one detail on it. */
    function words(array $part = [], array $detail = []): array
    {
        $parts = [
            Figures::part('body', 'ball', 60, 60, 60, 0, 30, 0, ['name' => 'Body']),
            $part + Figures::part('limb', 'ball', 20, 20, 20, 40, 30, 0, ['name' => 'Limb', 'join' => ['to' => 'body']]),
        ];
        $disc = ['key' => 'd', 'name' => 'Dot', 'on' => 'limb', 'kind' => 'disc', 'widthMm' => 5, 'colour' => 'black'];
        $details = $detail === [] ? [] : [$detail + $disc];

        return array_map(static fn (Step $s): string => (string) $s->text, byKey(Figures::read(Figures::document($parts, $details))));
    }

    it('is two sentences of at most twenty words each, whatever the figure', function () {
        $joins = ['fluff', 'slit', 'neck', 'wrap', 'sandwich', 'sew', 'glue', 'wire'];
        $methods = ['felt', 'bead', 'ready-made', 'stitch', 'paint', 'pin'];
        foreach (range(1, 24) as $seed) {
            $document = ['pose' => 'hang'] + Figures::covered($seed);
            foreach ($document['parts'] as $i => &$part) {
                $part['name'] = 'A part with a name of very many words that nobody would ever want to read to the end of it';
                if (isset($part['join'])) {
                    $part['join']['by'] = $joins[($seed + $i) % 8];
                }
            }
            foreach ($document['details'] as $i => &$detail) {
                $detail['method'] = $methods[($seed + $i) % 6];
            }
            unset($part, $detail);
            $figure = Figures::read($document);
            foreach (steps($figure) as $step) {
                $sentences = preg_split('/(?<=[.?!]) /', (string) $step->text);
                expect($sentences)->toHaveCount(2, (string) $step->text);
                $wrong = Hints::wrong($step, $figure);
                $hints = array_map(strval(...), [Hints::look($step), ...array_values($wrong ?? []), ...Hints::cautions($step, $figure)]);
                foreach ([...$sentences, ...$hints] as $sentence) {
                    expect(count(preg_split('/\s+/', trim($sentence))))->toBeLessThanOrEqual(20, $sentence);
                }
            }
        }
    });

    it('leaves the end loose that will be joined by it', function () {
        expect(words()['cover:limb'])
            ->toContain('leave the end that will be joined loose')
            ->and(words()['cover:body'])
            ->not->toContain('loose')
            ->and(words(['join' => ['to' => 'body', 'by' => 'sew']])['cover:limb'])
            ->not->toContain('loose');
    });

    it('fills a part as its material wants it', function () {
        expect(words(['core' => 'foam', 'shape' => ['kind' => 'ball', 'widthMm' => 40, 'heightMm' => 40, 'depthMm' => 40]])['core:limb'])
            ->toContain('Take the foam shape that fits')
            ->and(words(['core' => 'stuffing'])['core:limb'])
            ->toContain('Roll the stuffing')
            ->and(words(['core' => 'scrap'])['core:limb'])
            ->toContain('small tight ball of scraps')
            ->and(words()['core:limb'])
            ->toContain('small tight ball');
    });

    it('felts flat, thin, long and round parts each its way', function (string $kind, array $size, string $how) {
        $shape = ['kind' => $kind, 'widthMm' => $size[0], 'heightMm' => $size[1], 'depthMm' => $size[2]];
        expect(words(['core' => 'none', 'shape' => $shape])['cover:limb'])->toContain($how);
    })->with([
        ['plate', [20, 24, 5], 'Lay the wool out flat, a little larger than its outline'],
        ['plate', [20, 24, 3], 'between two cards'],
        ['sausage', [8, 40, 8], 'Roll the wool tightly from one end'],
        ['ball', [20, 20, 20], 'into a small tight ball'],
    ]);

    it('lays or fixes a detail as its method wants it', function (array $detail, string $how) {
        expect(words([], $detail)['detail:d'])->toContain($how);
    })->with([
        [['method' => 'felt'], 'Take less wool than you think'],
        [['kind' => 'line', 'widthMm' => 1, 'pointsMm' => [[-3, 0], [3, 1]]], 'Twist a wisp of tops'],
        [['method' => 'bead'], 'Sew the bead on at its mark'],
        [['method' => 'ready-made'], 'let it dry before the piece is handled'],
        [['method' => 'stitch'], 'with one thread of the colour'],
        [['method' => 'paint'], 'with a fine brush'],
        [['method' => 'pin'], 'Its point must end inside'],
    ]);

    it('joins as the join wants it', function (string $by, string $how) {
        expect(words(['join' => ['to' => 'body', 'by' => $by]])['join:limb'])->toContain($how);
    })->with([
        ['fluff', 'spread its loose end'],
        ['slit', 'into the slit'],
        ['neck', 'Set it on the neck'],
        ['wrap', 'its join lies at the back'],
        ['sandwich', 'between two layers'],
        ['sew', 'small stitches'],
        ['glue', 'fresh air'],
        ['wire', 'Push its wire in'],
    ]);

    it('warns where it can hurt', function (string $key, array $part, array $detail, string $caution) {
        $parts = [
            Figures::part('body', 'ball', 60, 60, 60, 0, 30),
            $part + Figures::part('limb', 'ball', 34, 34, 34, 40, 30, 0, ['join' => ['to' => 'body']]),
        ];
        $disc = ['key' => 'd', 'on' => 'limb', 'kind' => 'disc', 'widthMm' => 5, 'colour' => 'black'];
        $figure = Figures::read(Figures::document($parts, [$detail + $disc]));
        expect(implode(' ', Hints::cautions(byKey($figure)[$key], $figure)))->toContain($caution);
    })->with([
        ['core:body', [], [], 'Several needles'],
        ['cover:limb', [], [], 'Eyes on the needle'],
        ['detail:d', [], ['method' => 'ready-made'], 'fresh air'],
        ['detail:d', [], ['method' => 'bead'], 'not a toy'],
        ['join:limb', ['join' => ['to' => 'body', 'by' => 'glue']], [], 'fresh air'],
        ['wire:limb', ['join' => ['to' => 'body', 'by' => 'wire']], [], 'from the side only'],
        ['slit:limb', ['join' => ['to' => 'body', 'by' => 'slit']], [], 'away from your fingers'],
        ['trim', [], [], 'lowest setting'],
        ['inspect', [], [], 'not safe yet'],
    ]);
});

it('advises the nearest needle at hand, of two as near the finer', function () {
    $gauge = static fn (array $box, NeedleChoice $needle): int => $needle->from(Needles::of($box))->gauge;
    expect($gauge([36, 38, 40, 42], NeedleChoice::face(20)))->toBe(42)
        ->and($gauge([36, 38], NeedleChoice::face(20)))->toBe(38)
        ->and($gauge([36, 40], NeedleChoice::shaping(20, 1)))->toBe(40)
        ->and($gauge([42], NeedleChoice::bulk(3, 40)))->toBe(42)
        ->and(NeedleChoice::bulk(3, 40)->from(Needles::of([42]))->wanted)->toBe(36)
        // Common practice: no deeper than 40 mm, past the middle from the other side.
        ->and([NeedleChoice::bulk(3, 40)->depthMm, NeedleChoice::bulk(3, 200)->depthMm])->toBe([20.0, 40.0]);
});

it('spreads minutes and stabs as lognormals', function () {
    $pace = Pace::house();
    [$low, $likely, $high] = $pace->spread([['core', 30.0], ['core', 30.0], ['join', 30.0]]);
    [, , $one] = $pace->spread([['core', 90.0]]);
    expect($likely)->toBe(90.0)
        ->and($low * $high)->toEqualWithDelta(90.0 ** 2, 1e-6)
        // What differs from step to step partly cancels out.
        ->and($high)->toBeLessThan($one)
        ->and($one)->toEqualWithDelta(90 * exp(1.2815515655 * sqrt(0.35 ** 2 + 0.15 ** 2 + 0.25 ** 2)), 1e-9)
        ->and($pace->stabs(0.0))->toBe([0.0, 0.0, 0.0])
        ->and($pace->stabs(2.0)[1])->toBe(2 * $pace->stabs(1.0)[1]);
});

it('trims the larger one of two that are cut from a sheet, and felts the larger one more of two that are felted', function () {
    $ears = static fn (array $more): Figure => Figures::read(Figures::document([
        Figures::part('body', 'ball', 60, 60, 60, 0, 30),
        Figures::part('ear', 'plate', 20, 30, 3, 20, 70, 0, $more + ['mirror' => true, 'join' => ['to' => 'body']]),
    ]));
    $said = static function (Figure $figure): string {
        $step = byKey($figure)['compare:ear'];
        $desk = MendDesk::remedies(Ledger::of($figure, Densities::house()), Sign::Twin, 'ear', ['more' => 0.2]);

        return $step->text.' '.(Hints::wrong($step, $figure)['cure'] ?? '').' '.implode(' ', array_merge(...array_map(
            static fn (Remedy $r): array => [$r->way, ...$r->steps],
            $desk,
        )));
    };
    expect($said($ears(['covering' => ['way' => 'pre-felt']])))->toContain('Trim the larger one')->not->toContain('elt the larger one')
        ->not->toContain('Pull a little off')
        ->and($said($ears([])))->toContain('Felt the larger one more')->not->toContain('Trim the larger');
});
