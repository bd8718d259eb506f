<?php

declare(strict_types=1);

namespace Impa\Tests\Schedule;

use DateTimeImmutable;
use Impa\Build\Schedule\Evenings;
use Impa\Build\Schedule\Schedule;
use Impa\Build\Schedule\ScheduleRefused;
use Impa\Build\Schedule\Sitting;
use Impa\Build\ScheduleSheet;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Build\Steps\StepOrder;
use Impa\Build\Steps\StepTime;
use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Material\HandModel;
use Impa\Material\Pace;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Wool\Ledger\Ledger;

/** @param  list<string>  $after */
function piece(string $key, float $minutes, array $after = [], float $wait = 0.0, StepKind $kind = StepKind::Detail): Step
{
    return new Step(
        key: $key,
        kind: $kind,
        title: $key,
        text: '',
        time: StepTime::usual(1, $minutes, $wait),
        order: new StepOrder($after),
    );
}

/** @param  list<Step>  $steps */
function elapsed(array $steps): float
{
    return Schedule::inOneGo($steps)->elapsedMinutes();
}

/**
 * The least time of all orders (branch and bound over what is free), with rests and waits as the schedule has them.
 *
 * @param  list<Step>  $left
 * @param  list<Step>  $row
 */
function best(array $left, array $row = [], float $bound = INF): float
{
    if ($left === []) {
        return elapsed($row);
    }
    $done = array_map(static fn (Step $s): string => $s->key, $row);
    foreach ($left as $i => $step) {
        if (array_diff($step->order->after, $done) === []) {
            $rest = $left;
            unset($rest[$i]);
            $bound = min($bound, best($rest, [...$row, $step], $bound));
        }
    }

    return $bound;
}

it('rests after every half hour of work, and waits for what dries only where nothing else can be done', function () {
    // 20 and 20 minutes with one rest between; 70 minutes that can be put down with two.
    expect(elapsed([piece('a', 20), piece('b', 20)]))->toBe(45.0)
        ->and(elapsed([piece('a', 29)]))->toBe(29.0)
        ->and(elapsed([piece('a', 35, [], 0.0, StepKind::Felt), piece('b', 35, [], 0.0, StepKind::Felt)]))->toBe(80.0)
        // Glue dries 20 minutes: alone it is waited for, beside 12 minutes of other work for the rest of it.
        ->and(elapsed([piece('glue', 3, [], 20), piece('next', 5, ['glue'])]))->toBe(28.0)
        ->and(elapsed([piece('glue', 3, [], 20), piece('other', 12), piece('next', 5, ['glue'])]))->toBe(28.0)
        ->and(elapsed([piece('other', 12), piece('glue', 3, [], 20)]))->toBe(15.0)
        ->and(elapsed([]))->toBe(0.0);
});

it('never has two steps in one pair of hands, nor a step before what it needs is done and dry', function (string $name, float $length) {
    $steps = str_starts_with($name, 'random')
        ? Works::of(Figures::read(Figures::covered((int) substr($name, 6), 10)))->steps
        : Works::of(Works::demo($name))->steps;
    $schedule = Schedule::of($steps, max($length, Schedule::leastMinutes($steps)));
    $minutes = $ended = [];
    foreach ($schedule->sittings as $n => $sitting) {
        $clock = 0.0;
        $worked = 0.0;
        foreach ($sitting->bouts as $bout) {
            expect($bout['startMinute'])->toBeGreaterThanOrEqual($clock - 1e-6);
            // No half hour of work without a rest.
            $worked = 5 - 1e-6 <= $bout['startMinute'] - $clock ? 0.0 : $worked;
            $worked += $bout['endMinute'] - $bout['startMinute'];
            expect($worked)->toBeLessThanOrEqual(30 + 1e-6);
            $clock = $bout['endMinute'];
            $minutes[$bout['key']] = ($minutes[$bout['key']] ?? 0.0) + $bout['endMinute'] - $bout['startMinute'];
            $ended[$bout['key']] = [$n, $clock];
            $step = array_values(array_filter($steps, static fn (Step $s): bool => $s->key === $bout['key']))[0];
            foreach ($step->order->after as $before) {
                [$when, $at] = $ended[$before];
                $wait = array_values(array_filter($steps, static fn (Step $s): bool => $s->key === $before))[0]->time->waitMinutes;
                expect($when < $n || $at + $wait <= $bout['startMinute'] + 1e-6)->toBeTrue($bout['key'].' before '.$before);
            }
        }
        // The last of all may take five minutes more, where another sitting would be for no more than those.
        $more = $n === count($schedule->sittings) - 1 ? 5.0 : 0.0;
        expect($sitting->minutes())->toBeLessThanOrEqual(max($length, Schedule::leastMinutes($steps)) + $more + 1e-6)
            ->and(array_filter($sitting->rests, static fn (array $rest): bool => $rest['startMinute'] >= $clock - 1e-6))->toBe([]);
    }
    foreach ($steps as $step) {
        expect($minutes[$step->key])->toEqualWithDelta($step->time->minutes, 1e-6);
    }
    expect($schedule->elapsedMinutes())->toBeGreaterThanOrEqual($schedule->lowerBoundMinutes() - 1e-6)
        ->and($schedule->handsMinutes())->toEqualWithDelta(
            array_sum(array_map(static fn (Step $s): float => $s->time->minutes, $steps)),
            1e-6,
        );
})->with(['lanto', 'bobbin', 'sorrel', 'random3', 'random8'])->with([45.0, 90.0, 700.0]);

/** Figures joined and laid in every way, by chance; more than half of them have something that dries. */
function anyhow(int $seed): Figure
{
    mt_srand($seed);
    $document = ['pose' => ['stand', 'hang', 'sit'][$seed % 3]] + Figures::covered($seed);
    foreach ($document['parts'] as &$part) {
        if (isset($part['join'])) {
            $part['join']['by'] = ['fluff', 'slit', 'neck', 'wrap', 'sandwich', 'sew', 'glue', 'wire'][mt_rand(0, 7)];
        }
    }
    foreach ($document['details'] as &$detail) {
        $detail['method'] = ['felt', 'bead', 'ready-made', 'stitch', 'paint', 'pin'][mt_rand(0, 5)];
    }
    unset($part, $detail);

    return Figures::read($document);
}

it('comes within 3 % of the lower bound in one go, within 4 % or one rest in sittings, on 200 figures and the demo', function (int $from) {
    $figures = $from === 0
        ? array_map(Works::demo(...), ['lanto', 'bobbin', 'sorrel', 'wick', 'dusk'])
        : array_map(anyhow(...), range($from, $from + 39));
    foreach ($figures as $figure) {
        $steps = Works::of($figure)->steps;
        $go = Schedule::inOneGo($steps);
        expect($go->elapsedMinutes() / $go->lowerBoundMinutes())->toBeLessThan(1.03, $figure->name);
        foreach ([60, 90, 180] as $length) {
            $schedule = Schedule::of($steps, $length);
            $bound = $schedule->lowerBoundMinutes();
            expect($schedule->elapsedMinutes())->toBeLessThanOrEqual(max(1.04 * $bound, $bound + 5.0) + 1e-6, "{$figure->name}, {$length}")
                ->toBeGreaterThanOrEqual($bound - 1e-6);
        }
    }
})->with([0, 1, 41, 81, 121, 161])->group('dear');

it('does first what dries where nothing stops it, so that nobody waits for it beside other work', function () {
    // Three hours of work beside a lamp that is glued to an arm that nothing else needs.
    $figure = Works::demo('wick');
    $schedule = Schedule::inOneGo(Works::of($figure)->steps);
    expect(array_filter(Works::of($figure)->steps, static fn (Step $s): bool => $s->time->waitMinutes > 0.0))->not->toBe([])
        ->and($schedule->elapsedMinutes())->toBeLessThanOrEqual($schedule->lowerBoundMinutes() + 5.0 + 1e-6);
});

it('does the last few minutes at the end of a sitting, not in one of their own, and rests after none', function () {
    $felt = static fn (string $key, float $minutes): Step => piece($key, $minutes, [], 0.0, StepKind::Felt);
    $three = Schedule::of([$felt('a', 30), $felt('b', 20), $felt('c', 3)], 56);
    expect($three->sittings)->toHaveCount(1)->and($three->sittings[0]->minutes())->toBe(58.0)
        ->and(Schedule::of([$felt('a', 30), $felt('b', 20), $felt('c', 9)], 56)->sittings)->toHaveCount(2);
    // What dries at the end is not waited for, and glue that nothing follows is no rest.
    $glued = Schedule::of([piece('a', 20), piece('glue', 3, [], 20.0), piece('next', 30, ['glue'])], 45);
    expect($glued->sittings)->toHaveCount(2)->and($glued->sittings[0]->rests)->toBe([])->and($glued->sittings[0]->minutes())->toBe(23.0);
});

it('has a bound that the best of all orders does not fall below, and is near that best itself', function () {
    mt_srand(21);
    foreach (range(1, 12) as $round) {
        $steps = [];
        for ($i = 0; $i < 6; $i++) {
            $after = $i > 1 && mt_rand(0, 1) === 1 ? ['s'.mt_rand(0, $i - 1)] : [];
            $steps[] = piece('s'.$i, mt_rand(2, 14), $after, mt_rand(0, 2) === 0 ? 20.0 : 0.0);
        }
        $schedule = Schedule::inOneGo($steps);
        $best = best($steps);
        expect($schedule->lowerBoundMinutes())->toBeLessThanOrEqual($best + 1e-6)
            ->and($schedule->elapsedMinutes())->toBeGreaterThanOrEqual($best - 1e-6);
    }
});

it('puts down at the end of a sitting only what can be put down', function () {
    $steps = [piece('a', 20), piece('b', 8), piece('felt', 20, [], 0.0, StepKind::Felt), piece('c', 12)];
    $keys = array_map(static fn (Sitting $s): array => array_column($s->bouts, 'key'), Schedule::of($steps, 30)->sittings);
    expect($keys)->toBe([['a', 'b'], ['felt'], ['c']])
        ->and(Schedule::canBeCut(piece('loops', 31)))->toBeTrue()
        ->and(Schedule::canBeCut(piece('eye', 30)))->toBeFalse();
});

it('refuses a sitting that is too short for a step, or no sitting at all, and says what is enough', function () {
    $steps = [piece('a', 22)];
    expect(fn () => Schedule::of($steps, 3.0))->toThrow(ScheduleRefused::class, 'at least 22 minutes')
        ->and(fn () => Schedule::of([], 3.0))->toThrow(ScheduleRefused::class, 'at least 15 minutes')
        ->and(fn () => Schedule::of($steps, 5000.0))->toThrow(ScheduleRefused::class, '12 h at most')
        ->and(Schedule::of($steps, 22.0)->sittings)->toHaveCount(1);
});

describe('evenings', function () {
    it('fall on the days that the felter has', function () {
        // 26 November 2026 is a Thursday.
        $days = Evenings::of(['Tue', 'thu'], '2026-11-26', at: '19:30')->beginnings(3);
        expect(array_map(static fn (DateTimeImmutable $d): string => $d->format('D Y-m-d H:i'), $days))
            ->toBe(['Thu 2026-11-26 19:30', 'Tue 2026-12-01 19:30', 'Thu 2026-12-03 19:30']);
    });

    it('are counted up to the day on which it is to be ready, that day included', function () {
        expect(Evenings::of(['tue', 'thu'], '2026-11-26', by: '2026-12-03')->sittingsInTime())->toBe(3)
            ->and(Evenings::of(['mon'], '2026-11-26', by: '2026-11-27')->sittingsInTime())->toBe(0);
    });

    it('are refused in plain words', function (array $given, string $words) {
        expect(fn () => Evenings::of(...$given + ['days' => ['mon'], 'today' => '2026-11-26']))->toThrow(ScheduleRefused::class, $words);
    })->with([
        [['days' => ['moonday']], '"moonday" is no day'],
        [['days' => []], 'on which days'],
        [['by' => '2026-11-25'], '2026-11-25 is gone already'],
        [['from' => '2020-01-01'], 'gone already'],
        [['from' => '2026-12-05', 'by' => '2026-12-01'], 'before you begin'],
        [['by' => '2026-02-30'], 'is no date'],
        [['by' => "2026-12-01\n"], 'is no date'],
        [['from' => '99999-12-01'], 'is no date'],
        [['at' => '25:00'], 'is no time'],
    ]);
});

it('says what helps where it is not ready in time, with the minutes that each way saves', function () {
    $evenings = Evenings::of(['tue'], '2026-11-26', by: '2026-12-02');
    $sheet = ScheduleSheet::of(Works::of(Works::demo('sorrel')), Needles::usual(), 60, $evenings);
    $gains = array_column($sheet['helps'], 'gainMinutes', 'kind');
    expect($sheet['sittingsMissing'])->toBe(2)
        ->and(array_key_last($gains))->toBe('sittings')
        ->and($gains['softer'])->toBeGreaterThan(2)->toBeLessThan(30)
        ->and($sheet['lowMinutes'])->toBeLessThan($sheet['handsMinutes'])
        ->and($sheet['highMinutes'])->toBeGreaterThan($sheet['handsMinutes']);
    $roomy = ScheduleSheet::of(Works::of(Works::demo('sorrel')), Needles::usual(), 60, Evenings::of(['tue'], '2026-11-26'));
    expect([$roomy['helps'], $roomy['sittingsMissing'], $roomy['by']])->toBe([[], 0, null]);
});

it('offers a hand that is three times slower three times the gain', function () {
    $evenings = Evenings::of(['tue'], '2026-11-26', by: '2026-11-26');
    $figure = Works::demo('sorrel');
    // A hand that is slow in everything alike: no kind of step, no piece differs.
    $slow = HandModel::prior(handSigma: 1.0, groupSigma: 1e-6, scatter: 1e-6)->after('core', log(3));
    $hand = Work::of(Ledger::of($figure, Densities::house()), Pace::house()->ofHand($slow), Needles::usual());
    $gains = static fn (Work $work): array => array_column(
        ScheduleSheet::of($work, Needles::usual(), 90, $evenings)['helps'],
        'gainMinutes',
        'kind',
    );
    $house = $gains(Works::of($figure));
    foreach ($gains($hand) as $kind => $minutes) {
        // What is no minute of the house's may be one of hers, and is offered to her alone.
        expect($minutes)->toEqualWithDelta(3 * ($house[$kind] ?? 0.5), isset($house[$kind]) ? 1e-3 * $minutes : 1.5);
    }
    expect(count($house))->toBeGreaterThan(1);
    // Where many parts have room for them, three needles are worth having.
    $ball = static fn (int $i): array => Figures::part('p'.$i, 'ball', 26, 26, 26, 30 * $i, 13, more: ['core' => 'none']);
    expect($gains(Works::of(Figures::read(Figures::document(array_map($ball, range(0, 9))))))['needles'])->toBeGreaterThan(3);
});

it('lays what is left into evenings: what is done takes no minute, and helps no more', function () {
    $work = Works::of(Works::demo('sorrel'));
    $evenings = Evenings::of(['tue'], '2026-11-26', by: '2026-11-26');
    $minutes = $work->minutes();
    $done = array_slice($work->keys(), 0, 12);
    $sheet = static fn (array $done): array => ScheduleSheet::of($work, Needles::usual(), 15, $evenings, $done);
    $laid = array_merge(...array_column($sheet($done)['sittings'], 'steps'));
    expect($sheet($done)['handsMinutes'])->toEqualWithDelta(array_sum(array_diff_key($minutes, array_flip($done))), 1e-9)
        ->and(array_values(array_unique(array_column($laid, 'key'))))->toEqualCanonicalizing(array_values(array_diff($work->keys(), $done)))
        ->and($sheet($work->keys())['sittings'])->toBe([])
        ->and($sheet(['no-such-step'])['handsMinutes'])->toEqualWithDelta(array_sum($minutes), 1e-9);
    // A part that is begun is not felted otherwise any more.
    $gain = static fn (array $done): float => array_column($sheet($done)['helps'], 'gainMinutes', 'kind')['softer'] ?? 0.0;
    $made = array_filter($work->keys(), static fn (string $key): bool => preg_match('/^(core|cover):/', $key) === 1);
    expect($gain([]))->toBeGreaterThan(1.0)->and($gain(array_values($made)))->toBe(0.0);
});

it('says a bound that the evening keeps where the last minutes run over its end, however full it is', function (float $minutes) {
    $steps = array_map(static fn (int $i): Step => piece("s{$i}", $minutes / 20), range(1, 20));
    $schedule = Schedule::of($steps, 180);
    expect($schedule->lowerBoundMinutes())->toBeLessThanOrEqual($schedule->elapsedMinutes() + 1e-6)
        ->toBeGreaterThanOrEqual($minutes);
})->with([150.0, 154.0, 156.0, 157.4, 158.0, 170.0]);
