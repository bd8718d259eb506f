<?php

declare(strict_types=1);

use Impa\Build\Minutes;
use Impa\Build\Order;
use Impa\Build\Step;
use Impa\Build\Steps;
use Impa\Figure\Figure;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;
use Impa\Wool\Firmness;
use Impa\Wool\PartWool;

/** @return list<Step> */
function steps(Figure $figure): array
{
    return Steps::of($figure, array_map(PartWool::of(...), $figure->parts));
}

function smallCharacter(string $school = 'loose-head'): Figure
{
    return Figures::read(Figures::document([
        Figures::part('body', 'ball', 40, 44, 40, 0, 22),
        Figures::part('head', 'ball', 50, 46, 48, 0, 62, 0, ['join' => ['to' => 'body']]),
        Figures::part('arm', 'sausage', 10, 26, 10, 22, 26, 0, ['mirror' => true, 'join' => ['to' => 'body']]),
        Figures::part('ear', 'plate', 12, 16, 4, 18, 84, 0, ['mirror' => true, 'core' => 'none', 'join' => ['to' => 'head', 'by' => 'slit']]),
    ], [
        ['key' => 'white', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 8, 'xMm' => 10, 'mirror' => true, 'colour' => 'white', 'layer' => 1],
        ['key' => 'pupil', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 4, 'xMm' => 10, 'mirror' => true, 'colour' => 'black', 'layer' => 2],
        ['key' => 'glass', 'on' => 'body', 'kind' => 'eye', 'widthMm' => 4, 'colour' => 'black'],
    ], ['school' => ['face' => $school]]));
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
    expect($first->key)->toBe('portion')->and($first->weighings)->toHaveCount(2)
        ->and(array_map(static fn ($w): int => $w->pieces, $first->weighings))->toBe([2, 2]);
});

it('follows the school: face on the loose head, face first, limbs first', function () {
    $loose = places(smallCharacter('loose-head'));
    expect($loose['detail:pupil'])->toBeLessThan($loose['join:head'])
        ->and($loose['detail:white'])->toBeLessThan($loose['detail:pupil']);
    $face = places(smallCharacter('face-first'));
    expect($face['join:head'])->toBeLessThan($face['detail:white'])->and($face['detail:pupil'])->toBeLessThan($face['join:arm']);
    $limbs = places(smallCharacter('limbs-first'));
    expect(max($limbs['join:arm'], $limbs['join:head'], $limbs['join:ear']))->toBeLessThan($limbs['detail:white']);
});

it('hides a join after it is made, and cores before they are covered', function () {
    $at = places(smallCharacter());
    expect($at['join:arm'])->toBeLessThan($at['hide:arm'])->and($at['core:head'])->toBeLessThan($at['cover:head'])
        ->and($at)->not->toHaveKey('core:ear')->and($at)->not->toHaveKey('join:body');
});

it('takes the minutes that are usual', function () {
    // Common practice, trade.md section 3: a small ball 5 to 10 minutes; smoothing a face 15 to 20; a small figure one to two hours.
    $ball = Figures::read(Figures::document([Figures::part('a', 'ball', 30, 30, 30)]));
    $minutes = array_sum(array_map(static fn (Step $s): float => $s->minutes, array_filter(steps($ball), static fn (Step $s): bool => $s->part === 'a')));
    expect($minutes)->toBeGreaterThan(5)->toBeLessThan(10)
        ->and(Minutes::surface(74.4, true))->toBeGreaterThan(15)->toBeLessThan(22)
        ->and(Plan::of(smallCharacter())->handsMinutes())->toBeGreaterThan(60)->toBeLessThan(150)
        ->and(Minutes::bulk(8, Firmness::Hard))->toBeGreaterThan(Minutes::bulk(8, Firmness::Soft));
});

it('reckons rests into the whole, and lets glue dry while the work goes on', function () {
    $figure = smallCharacter();
    $steps = steps($figure);
    $hands = array_sum(array_map(static fn (Step $s): float => $s->minutes, $steps));
    $elapsed = Order::elapsed($steps);
    expect($elapsed)->toBeGreaterThan($hands + floor($hands / 30) * 5 - 0.01)
        ->toBeLessThan($hands + ceil($hands / 30) * 5 + Minutes::DRYING);
    $waits = array_filter($steps, static fn (Step $s): bool => $s->waitMinutes > 0);
    expect(array_values($waits)[0]->key)->toBe('detail:glass');
});

it('has nothing to do for a figure without parts', function () {
    expect(steps(Figures::read(Figures::document([]))))->toBe([]);
});

it('warns of a thin part, a limb that wants a wire, a wrong height and a loose part, with amounts', function () {
    $plan = Plan::of(Figures::read(Figures::document([
        Figures::part('body', 'ball', 40, 40, 40, 0, 20),
        Figures::part('wing', 'plate', 30, 20, 1.5, 0, 20, 0, ['name' => 'Wing', 'join' => ['to' => 'body']]),
        Figures::part('leg', 'sausage', 4, 60, 4, 0, 20, 0, ['name' => 'Leg']),
    ])))->document();
    $notes = array_column($plan['notes'], 'text', 'code');
    expect($notes['thin'])->toContain('1.5 mm thicker')->and($notes['wire'])->toContain('7.5 mm')
        ->and($notes['height'])->toContain('60 mm tall')->and($notes['loose-part'])->toContain('Leg');
});

it('shows the caution for small parts', function () {
    expect(array_column(Plan::of(smallCharacter())->document()['notes'], 'code'))->toContain('small-parts');
});

it('says when a needle does not reach the middle, and what to start from', function () {
    $codes = static fn (float $mm): array => array_column(Plan::of(Figures::read(Figures::document([Figures::part('body', 'ball', $mm, $mm, $mm, 0, $mm / 2)])))->document()['notes'], 'text', 'code');
    // Common practice: a usual needle works about 40 mm deep, from every side.
    expect($codes(78))->not->toHaveKey('too-deep')->and($codes(120)['too-deep'])->toContain('120 mm thick')->toContain('ball of 40 mm');
});
