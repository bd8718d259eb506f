<?php

declare(strict_types=1);

namespace Impa\Tests\Build;

use Impa\Build\Order;
use Impa\Build\Step;
use Impa\Build\StepKind;
use Impa\Build\Steps;
use Impa\Figure\Figure;
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
