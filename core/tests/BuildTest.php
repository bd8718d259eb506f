<?php

declare(strict_types=1);

namespace Impa\Tests\Build;

use Impa\Build\Order;
use Impa\Build\Step;
use Impa\Build\StepKind;
use Impa\Build\Steps;
use Impa\Figure\Figure;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\Pace;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger;
use Impa\Wool\Purpose;

/** @return list<Step> */
function steps(Figure $figure): array
{
    return Steps::of(Ledger::of($figure, Densities::house()), Pace::house());
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
                expect(array_diff($step->after, $done))->toBe([]);
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
        ->and($first->weighings)
        ->toHaveCount(3)
        ->and(array_map(static fn ($w): array => [$w->part, $w->purpose, $w->pieces], $first->weighings))
        ->toBe([['arm', Purpose::Inside, 2], ['arm', Purpose::Cover, 2], ['ear', Purpose::Cover, 2]]);
});

it('follows the school: face on the loose head, face first, limbs first', function () {
    $loose = places(smallCharacter('loose-head'));
    expect($loose['detail:pupil'])
        ->toBeLessThan($loose['join:head'])
        ->and($loose['detail:white'])
        ->toBeLessThan($loose['detail:pupil']);
    $face = places(smallCharacter('face-first'));
    expect($face['join:head'])->toBeLessThan($face['detail:white'])->and($face['detail:pupil'])->toBeLessThan($face['join:arm']);
    $limbs = places(smallCharacter('limbs-first'));
    expect(max($limbs['join:arm'], $limbs['join:head'], $limbs['join:ear']))->toBeLessThan($limbs['detail:white']);
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
            static fn (Step $s): float => $s->minutes,
            array_filter(steps($ball), static fn (Step $s): bool => $s->part === 'a'),
        ),
    );
    expect($minutes)
        ->toBeGreaterThan(5)
        ->toBeLessThan(10)
        ->and(Pace::house()->surface(74.4, true))
        ->toBeGreaterThan(15)
        ->toBeLessThan(22)
        ->and(Plan::of(smallCharacter())->handsMinutes())
        ->toBeGreaterThan(60)
        ->toBeLessThan(150)
        ->and(Pace::house()->bulk(8, Firmness::Hard))
        ->toBeGreaterThan(Pace::house()->bulk(8, Firmness::Soft));
});

it('reckons rests into the whole, and lets glue dry while the work goes on', function () {
    $figure = smallCharacter();
    $steps = steps($figure);
    $hands = array_sum(array_map(static fn (Step $s): float => $s->minutes, $steps));
    $elapsed = Order::elapsed($steps);
    expect($elapsed)
        ->toBeGreaterThan($hands + floor($hands / 30) * 5 - 0.01)
        ->toBeLessThan($hands + ceil($hands / 30) * 5 + Pace::house()->drying);
    $waits = array_filter($steps, static fn (Step $s): bool => $s->waitMinutes > 0);
    expect(array_values($waits)[0]->key)->toBe('detail:glass');
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

it('says which way to bring the weight, seen by who stands before the figure', function (float $x, float $z, string $way) {
    $notes = Plan::of(
        Figures::read(
            Figures::document([
                Figures::part('foot', 'drum', 24, 20, 24, 0, 10),
                Figures::part('head', 'ball', 40, 40, 40, $x, 40, $z, ['join' => ['to' => 'foot']]),
            ]),
        ),
    )->document()['notes'];
    $text = array_values(array_filter($notes, static fn (array $n): bool => in_array($n['code'], ['falls', 'touchy'], true)))[0]['text'];
    expect($text)->toContain('mm '.$way);
})->with([[0, 14, 'back'], [0, -14, 'forwards'], [14, 0, 'to the left'], [-14, 0, 'to the right']]);

it('takes half the time for the bulk with three needles, from the weight on at which they are used', function () {
    $pace = Pace::house();
    // Two minutes for a gram, less than twice as much for twice the wool.
    expect($pace->bulk(1.0, Firmness::Springy))->toBe(2.0)
        ->and($pace->bulk(1.49, Firmness::Springy))->toEqualWithDelta(2 * 1.49 ** 0.85, 1e-12)
        ->and($pace->bulk(1.5, Firmness::Springy))->toEqualWithDelta(1.5 ** 0.85, 1e-12)
        ->and($pace->bulk(4.0, Firmness::Firm))->toEqualWithDelta(1.3 * 4 ** 0.85, 1e-12)
        ->and([Pace::needles(1.49), Pace::needles(1.5)])->toBe([1, 3]);
});

it('takes for what is laid on the time of each piece, for what is wound that of each metre', function () {
    $pace = Pace::house();
    expect($pace->covering(CoveringWay::Tufts, 100, 0.0))->toEqualWithDelta(2 * $pace->covering(CoveringWay::Tufts, 50, 0.0), 1e-12)
        ->and($pace->covering(CoveringWay::Wrap, 0, 3.0))->toEqualWithDelta(12.0, 1e-12)
        ->and($pace->covering(CoveringWay::Film, 0, 0.0))->toBe($pace->covering(CoveringWay::PreFelt, 7, 2.0))
        ->and($pace->covering(CoveringWay::Felt, 9, 9.0))->toBe(0.0);
});

it('gives each kind of work its needle', function () {
    $steps = array_column(
        array_map(static fn (Step $s): array => ['key' => $s->key, 'needle' => $s->needle], steps(smallCharacter())),
        'needle',
        'key',
    );
    $told = static fn (string $key): array => [$steps[$key]->gauge, $steps[$key]->holder, $steps[$key]->stab];
    // Common practice, docs/trade.md, Needles.
    expect($told('core:head'))->toBe([36, 3, 'deep'])
        ->and($told('core:arm'))->toBe([36, 1, 'deep'])
        ->and($told('cover:head'))->toBe([40, 1, 'shallow, slanting'])
        ->and($told('cover:ear'))->toBe([38, 1, 'middling'])
        ->and($told('join:arm'))->toBe([36, 1, 'deep'])
        ->and($told('hide:arm'))->toBe([40, 1, 'shallow, slanting'])
        ->and($told('detail:white'))->toBe([42, 1, 'very shallow'])
        ->and($steps['detail:glass'])->toBeNull()
        ->and($steps['inspect'])->toBeNull();
});

it('reckons a rest after every half hour of work, and waits for what dries only where nothing else can be done', function () {
    $step = static fn (string $key, float $minutes, array $after = [], float $wait = 0.0): Step => new Step(
        key: $key,
        kind: StepKind::Detail,
        minutes: $minutes,
        text: '',
        after: $after,
        waitMinutes: $wait,
    );
    // 20 and 20 minutes with one rest between; 70 minutes with two.
    expect(Order::elapsed([$step('a', 20), $step('b', 20)]))->toBe(45.0)
        ->and(Order::elapsed([$step('a', 29)]))->toBe(29.0)
        ->and(Order::elapsed([$step('a', 35), $step('b', 35)]))->toBe(80.0)
        // Glue dries 20 minutes: alone it is waited for, beside 12 minutes of other work for the rest of it.
        ->and(Order::elapsed([$step('glue', 3, [], 20), $step('next', 5, ['glue'])]))->toBe(28.0)
        ->and(Order::elapsed([$step('glue', 3, [], 20), $step('other', 12), $step('next', 5, ['glue'])]))->toBe(28.0)
        ->and(Order::elapsed([$step('other', 12), $step('glue', 3, [], 20)]))->toBe(35.0);
});

/** @return array<string, Step> */
function byKey(Figure $figure): array
{
    return array_column(array_map(static fn (Step $s): array => ['key' => $s->key, 'step' => $s], steps($figure)), 'step', 'key');
}

it('knows of every step what must come before it', function (string $school, array $head, array $arm, array $ear, array $white) {
    $after = array_map(static fn (Step $s): array => $s->after, byKey(smallCharacter($school)));
    $told = [
        'core:head' => [],
        'core:arm' => ['portion'],
        'cover:head' => ['core:head'],
        'cover:arm' => ['core:arm'],
        // Of one piece, without a core.
        'cover:ear' => ['portion'],
        'join:head' => ['cover:head', 'cover:body', ...$head],
        'join:arm' => ['cover:arm', 'cover:body', ...$arm],
        'join:ear' => ['cover:ear', 'cover:head', ...$ear],
        'hide:arm' => ['join:arm'],
        'detail:white' => ['cover:head', ...$white],
        'detail:pupil' => ['cover:head', 'detail:white', ...$white],
    ];
    foreach ($told as $key => $before) {
        expect($after[$key])->toEqualCanonicalizing($before, $key);
    }
    expect($after['inspect'])->toEqualCanonicalizing(array_diff(array_keys($after), ['inspect']));
})->with([
    ['loose-head', ['detail:white', 'detail:pupil'], ['detail:white', 'detail:pupil'], ['detail:white', 'detail:pupil'], []],
    ['face-first', [], ['detail:white', 'detail:pupil'], ['detail:white', 'detail:pupil'], ['join:head']],
    ['limbs-first', [], [], [], ['join:head', 'join:arm', 'join:ear']],
]);

it('lays a detail of a part on before that part is joined, where the head is made loose, though the face is elsewhere', function () {
    $document = Figures::document(
        [
            Figures::part('body', 'ball', 40, 44, 40, 0, 22),
            Figures::part('head', 'ball', 50, 46, 48, 0, 62, 0, ['join' => ['to' => 'body']]),
            Figures::part('arm', 'sausage', 10, 26, 10, 22, 26, 0, ['join' => ['to' => 'body']]),
        ],
        [
            ['key' => 'spot', 'on' => 'arm', 'kind' => 'disc', 'widthMm' => 3, 'colour' => 'black'],
            ['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 6, 'colour' => 'black'],
            ['key' => 'nose', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 4, 'yMm' => -6, 'colour' => 'black'],
        ],
        ['school' => ['face' => 'loose-head']],
    );
    $figure = Figures::read($document);
    expect(Steps::facePart($figure))
        ->toBe('head')
        ->and(byKey($figure)['join:arm']->after)
        ->toEqualCanonicalizing(['cover:arm', 'cover:body', 'detail:spot', 'detail:eye', 'detail:nose'])
        ->and(byKey($figure)['join:head']->after)
        ->toEqualCanonicalizing(['cover:head', 'cover:body', 'detail:eye', 'detail:nose'])
        ->and(Steps::facePart(Figures::read(['details' => []] + $document)))
        ->toBe('');
});

it('takes for each step the time of all its pieces', function () {
    $pace = Pace::house();
    $ledger = Ledger::of(smallCharacter(), Densities::house());
    $minutes = array_map(static fn (Step $s): float => $s->minutes, byKey(smallCharacter()));
    $springy = Firmness::Springy;
    $told = [
        'portion' => $pace->portion,
        'core:head' => $pace->bulk($ledger->wool['head']->coreG(), $springy),
        'core:arm' => 2 * $pace->bulk($ledger->wool['arm']->coreG(), $springy),
        'cover:head' => $pace->bulk($ledger->wool['head']->coverG(), $springy) + $pace->surface($ledger->areaCm2('head'), true),
        'cover:arm' => 2 * ($pace->bulk($ledger->wool['arm']->coverG(), $springy) + $pace->surface($ledger->areaCm2('arm'), false)),
        'join:head' => $pace->join,
        'join:arm' => 2 * $pace->join,
        'hide:head' => $pace->hide,
        'hide:arm' => 2 * $pace->hide,
        'detail:white' => 2 * $pace->spot,
        'detail:glass' => $pace->fixed,
        'inspect' => $pace->inspect,
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
    expect(array_map(static fn (string $key): float => $steps['detail:'.$key]->minutes, ['mouth', 'pupil', 'spark', 'bead', 'pin']))
        ->toBe([2 * $pace->line, 2 * $pace->spot, 2 * $pace->spark, 2 * $pace->fixed, 2 * $pace->fixed])
        ->and(array_map(
            static fn (string $key): float => $steps['detail:'.$key]->waitMinutes,
            ['mouth', 'pupil', 'spark', 'bead', 'glass', 'thread', 'paint', 'pin'],
        ))
        ->toBe([0.0, 0.0, 0.0, 0.0, $pace->drying, 0.0, $pace->drying, $pace->drying])
        ->and($steps['core:head']->minutes)
        ->toBe(2 * $pace->foam)
        ->and(array_map(
            static fn (string $key): bool => $steps['detail:'.$key]->needle === null,
            ['mouth', 'pupil', 'bead', 'glass', 'thread', 'paint', 'pin'],
        ))
        ->toBe([false, false, true, true, true, true, true]);
    // Foam is no wool to be divided; its cover is.
    expect(array_map(static fn ($w): Purpose => $w->purpose, $steps['portion']->weighings))->toBe([Purpose::Cover]);
});

it('weighs out every line of the ledger once, in the step of its part or detail, whatever covers the parts', function () {
    foreach (range(1, 10) as $seed) {
        $figure = Figures::read(Figures::covered($seed));
        $ledger = Ledger::of($figure, Densities::house());
        $weighed = [];
        foreach (steps($figure) as $step) {
            foreach ($step->key === 'portion' ? [] : $step->weighings as $line) {
                $weighed[] = $line;
                expect([$line->part, $line->detail])
                    ->toBe([$step->part, $step->detail])
                    ->and($step->kind)
                    ->toBe(
                        match ($line->purpose) {
                            Purpose::Inside => StepKind::Core,
                            Purpose::Cover => $ledger->wool[$line->part]->coreMaterial() === CoreMaterial::None
                                ? StepKind::Felt
                                : StepKind::Cover,
                            Purpose::Detail => StepKind::Detail,
                            default => StepKind::Covering,
                        },
                    );
            }
            expect(array_is_list($step->weighings))->toBeTrue();
        }
        $told = static fn (array $lines): array => array_map(
            static fn ($l): string => implode(' ', [$l->part, $l->detail, $l->purpose->name, $l->g, $l->pieces]),
            $lines,
        );
        expect($told($weighed))->toEqualCanonicalizing($told($ledger->lines));
    }
});

it('lays loops, tufts, locks and hair on last: after the part\'s face and its seams', function (string $way) {
    $parts = [
        Figures::part('body', 'ball', 40, 44, 40, 0, 22),
        Figures::part('head', 'ball', 50, 46, 48, 0, 62, 0, ['join' => ['to' => 'body'], 'covering' => ['way' => $way]]),
        Figures::part('ear', 'ball', 12, 16, 6, 18, 84, 0, ['join' => ['to' => 'head']]),
        Figures::part('tail', 'ball', 12, 16, 6, 0, 10, -20, ['join' => ['to' => 'body']]),
    ];
    $eye = ['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 6, 'colour' => 'black'];
    $steps = byKey(Figures::read(Figures::document($parts, [$eye])));
    expect($steps['covering:head']->after)
        ->toEqualCanonicalizing(['cover:head', 'detail:eye', 'join:head', 'join:ear'])
        ->and($steps['covering:head']->needle->gauge)
        ->toBe(40)
        ->and($steps['covering:head']->minutes)
        ->toBeGreaterThan(1.0)
        ->and($steps)
        ->not->toHaveKey('covering:body');
})->with(['loops', 'tufts', 'locks', 'hair']);

it('winds a ribbon round, or cuts a part out, in place of its cover', function (string $way, bool $isStabbed) {
    $document = static fn (bool $pair): array => Figures::document([
        Figures::part('arm', 'sausage', 14, 40, 14, 20, 40, 0, ['covering' => ['way' => $way], 'mirror' => $pair]),
    ]);
    [$one, $pair] = [byKey(Figures::read($document(false))), byKey(Figures::read($document(true)))];
    expect($one['cover:arm']->kind)
        ->toBe(StepKind::Covering)
        ->and($one)
        ->not->toHaveKey('covering:arm')
        ->and($one['cover:arm']->needle !== null)
        ->toBe($isStabbed)
        ->and($pair['cover:arm']->minutes)
        ->toEqualWithDelta(2 * $one['cover:arm']->minutes, 1e-9)
        ->and($one['cover:arm']->after)
        ->toBe(isset($one['core:arm']) ? ['core:arm'] : []);
})->with([['wrap', true], ['pre-felt', false], ['plait', false]]);

it('ranks the kinds of work: portions, cores, covers, faces, joins, coverings, and a look at the whole', function () {
    $ranks = array_map(static fn (StepKind $kind): int => $kind->rank(), StepKind::cases());
    expect(array_combine(array_map(static fn (StepKind $k): string => $k->value, StepKind::cases()), $ranks))->toBe([
        'portion' => 0,
        'core' => 1,
        'cover' => 2,
        'felt' => 2,
        'covering' => 5,
        'detail' => 3,
        'join' => 4,
        'hide' => 4,
        'inspect' => 6,
    ]);
});

it('takes no time for nothing, and does not wait for what is not there', function () {
    expect(Order::elapsed([]))
        ->toBe(0.0)
        ->and(Order::elapsed([new Step(key: 'a', kind: StepKind::Detail, minutes: 0.5, text: '', after: ['gone'])]))
        ->toBe(0.5);
});

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

        return array_map(static fn (Step $s): string => $s->text, byKey(Figures::read(Figures::document($parts, $details))));
    }
    $both = ' Make both side by side and compare as you go.';
    $fluff = ' Leave the end that will be joined unfelted.';

    it('names the part and how it is made, that a pair is made at once, that a fluff end stays loose', function () use ($both, $fluff) {
        $one = words();
        $pair = words(['mirror' => true]);
        expect($one['core:limb'])
            ->toStartWith('Limb: the core. Make a small tight ball first')
            ->toEndWith('Stab from all sides until it springs back and keeps its shape.')
            ->and($pair['core:limb'])
            ->toBe($one['core:limb'].$both)
            ->and($one['cover:limb'])
            ->toStartWith('Limb: the cover. Tease the colour into a thin even layer')
            ->toEndWith('no lumps. Fix it with shallow slanting stabs until no core shows; roll it in warm hands.'.$fluff)
            ->and($pair['cover:limb'])
            ->toBe(substr($one['cover:limb'], 0, -strlen($fluff)).$both.$fluff)
            ->and($one['cover:body'])
            ->not->toContain($fluff)
            ->and(words(['join' => ['to' => 'body', 'by' => 'sew']])['cover:limb'])
            ->not->toContain($fluff);
    });

    it('fills a part as its material wants it', function () {
        expect(words(['core' => 'foam', 'shape' => ['kind' => 'ball', 'widthMm' => 40, 'heightMm' => 40, 'depthMm' => 40]])['core:limb'])
            ->toContain('Take the foam shape that fits')
            ->and(words(['core' => 'stuffing'])['core:limb'])
            ->toContain('Roll the stuffing firmly')
            ->and(words(['core' => 'scrap'])['core:limb'])
            ->toContain('small tight ball');
    });

    it('felts flat, long and round parts each its way', function () use ($fluff) {
        $shape = static fn (string $kind, float $w, float $h, float $d): string => words([
            'core' => 'none',
            'shape' => ['kind' => $kind, 'widthMm' => $w, 'heightMm' => $h, 'depthMm' => $d],
        ])['cover:limb'];
        expect($shape('plate', 20, 24, 5))
            ->toStartWith('Limb: solid colour. Lay the wool out flat to the outline')
            ->toEndWith('both sides with slanting stabs, fold the rim in and firm it, turning the piece often.'.$fluff)
            ->and($shape('sausage', 8, 40, 8))
            ->toContain('Roll the wool tightly from one end')
            ->and($shape('ball', 20, 20, 20))
            ->toBe('Limb: solid colour. Roll the wool tightly, then stab from all sides until it is even and firm.'.$fluff);
    });

    it('lays or fixes a detail as its method wants it', function (array $detail, string $starts, string $ends) {
        $text = words([], $detail)['detail:d'];
        expect($text)->toStartWith('Dot: '.$starts)->toEndWith($ends);
        $pair = words([], $detail + ['mirror' => true, 'xMm' => 4])['detail:d'];
        expect($pair)->toBe($text.' Make both, and compare them level before you go on.');
    })->with([
        [['method' => 'felt'], 'Take less wool than you think.', 'right and left, then stab round the rim, the middle last.'],
        [
            ['kind' => 'line', 'widthMm' => 1, 'pointsMm' => [[-3, 0], [3, 1]]],
            'Twist a wisp of tops. Fix it at the start, lay it along the marks',
            'then push it straight with slanting stabs.',
        ],
        [['method' => 'bead'], 'Prick the mark, sew the bead on', 'pull the thread in.'],
        [['method' => 'ready-made'], 'Prick the mark, make a small hole with the needle, glue', 'dry before the piece is handled.'],
        [['method' => 'stitch'], 'Stitch it along the marks', 'with one thread of the colour.'],
        [['method' => 'paint'], 'Paint it on the marks', 'let it dry.'],
        [['method' => 'pin'], 'Push the pin in', 'its point must end inside.'],
    ]);

    it('joins as the join wants it, and hides the seam in the part\'s colour', function (string $by, string $how) {
        $one = words(['join' => ['to' => 'body', 'by' => $by]]);
        expect($one['join:limb'])
            ->toStartWith('Join the limb to the body. Hold it in place and look from all sides first. ')
            ->toContain($how)
            ->and(words(['mirror' => true, 'join' => ['to' => 'body', 'by' => $by]])['join:limb'])
            ->toStartWith('Join the limb to the body, both sides alike. Hold it')
            ->and($one['hide:limb'])
            ->toBe('Hide the join of the limb: lay a thin wisp of its colour over the seam and stab it in, shallow.');
    })->with([
        ['fluff', 'Spread its fluff end'],
        ['slit', 'Snip a small slit'],
        ['neck', 'Set it on the neck'],
        ['wrap', 'Wrap the end round'],
        ['sandwich', 'between two layers'],
        ['sew', 'small stitches'],
        ['glue', 'Fresh air'],
        ['wire', 'Push its wire in'],
    ]);
});
