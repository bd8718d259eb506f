<?php

declare(strict_types=1);

namespace Impa\Tests\Rose;

use Impa\Balance\Balance;
use Impa\Balance\BalanceRefused;
use Impa\Balance\Cure;
use Impa\Balance\Cures;
use Impa\Build\Steps\Step;
use Impa\Geometry\Box;
use Impa\Material\Densities;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Voice\Amount;
use Impa\Wool\Ledger\Ledger;

/** @param  list<array<string, mixed>>  $parts */
function balance(array $parts, string $pose = 'stand'): Balance
{
    return Balance::of(Ledger::of(Figures::read(Figures::document($parts, [], ['pose' => $pose])), Densities::house()));
}

/** A head on a body, moved by so much; feet where asked. @return list<array<string, mixed>> */
function topHeavy(float $x = 0.0, float $z = 0.0, float $apartMm = 0.0): array
{
    $foot = Figures::part('foot', 'ball', 14, 8, 60, $apartMm / 2, 4, 0, ['mirror' => true, 'join' => ['to' => 'body']]);

    return [
        Figures::part('body', 'drum', 30, 44, 30, 0, $apartMm > 0.0 ? 28 : 22),
        Figures::part('head', 'ball', 50, 50, 50, $x, 74, $z, ['join' => ['to' => 'body']]),
        ...$apartMm > 0.0 ? [$foot] : [],
    ];
}

/** @return array<string, Cure> by kind */
function cures(Balance $balance): array
{
    return array_column(array_map(static fn (Cure $c): array => [$c->kind, $c], Cures::of($balance)), 1, 0);
}

/** @return array<int, float> the leans by direction */
function leans(Balance $balance): array
{
    return array_column($balance->rose(), 'tipDeg', 'towardsDeg');
}

it('leans as far to every side as the footprint reaches there', function () {
    // A block on the table: towards a side atan(half of its base / h), towards a corner by a rectangle's support function, w cos + d sin.
    $block = balance([Figures::part('a', 'block', 60, 50, 40, 0, 25, 0, ['core' => 'none'])]);
    $base = Box::around($block->footprint->hull);
    expect([$base->width() / 2, $base->height() / 2])->toEqualWithDelta([27.0, 16.0], 3.0);
    $leans = leans($block);
    expect(count($leans))->toBe(72);
    foreach ([0, 30, 45, 90, 180, 250, 315] as $deg) {
        $reach = $base->width() / 2 * abs(cos(deg2rad($deg))) + $base->height() / 2 * abs(sin(deg2rad($deg)));
        $lean = rad2deg(atan($reach / 25));
        // Its upright edges are round, so that its corners reach a little less far.
        expect($leans[$deg])->toBeLessThan($lean + 0.1)->toBeGreaterThan($lean - ($deg % 90 === 0 ? 0.1 : 5.0));
    }
    expect($block->weakestDeg() % 180)->toEqual(90);
});

it('never leans less to a side than to the nearest edge, and to some side hardly more', function (float $x, float $z) {
    $balance = balance(topHeavy($x, $z, 34));
    $least = min(leans($balance));
    expect($least)->toBeGreaterThanOrEqual($balance->tipDeg() - 1e-9)->toBeLessThan($balance->tipDeg() + 0.1);
})->with([[0.0, 0.0], [3.0, -2.0], [-5.0, 4.0], [0.0, 6.0]]);

it('turns with the figure', function () {
    $ahead = leans(balance(topHeavy(0.0, 3.0)));
    $aside = leans(balance(topHeavy(3.0, 0.0)));
    foreach ($ahead as $deg => $lean) {
        // +z is a quarter on from +x.
        expect($lean)->toEqualWithDelta($aside[($deg + 270) % 360], 0.05);
    }
});

it('never leans less for weight that moves towards the middle', function () {
    mt_srand(5);
    for ($n = 0; $n < 12; $n++) {
        [$x, $z] = [mt_rand(-80, 80) / 10, mt_rand(-80, 80) / 10];
        $out = balance(topHeavy($x, $z))->tipDeg();
        expect(balance(topHeavy(0.6 * $x, 0.6 * $z))->tipDeg())->toBeGreaterThanOrEqual($out - 1e-9);
    }
});

it('stands a push of as much of its weight as the tangent of its lean, and a shelf\'s edge less by what a fall takes', function () {
    $balance = balance([Figures::part('a', 'drum', 40, 60, 40, 0, 30, 0, ['core' => 'none'])]);
    $margin = $balance->footprint->marginMm(0, 0);
    expect($balance->shakeG())->toEqualWithDelta($margin / 30, 1e-9)
        ->and($balance->shelfMm())->toEqualWithDelta($margin - 30 * tan(deg2rad(5)), 1e-9)
        ->and(balance(topHeavy(0, 30))->shakeG())->toBe(0.0)
        ->and(balance(topHeavy(0, 30))->shelfMm())->toBe(0.0);
});

describe('cures', function () {
    it('are none for what stands firmly, or need not stand', function () {
        expect(Cures::of(balance([Figures::part('a', 'drum', 60, 30, 60, 0, 15)])))->toBe([])
            ->and(Cures::of(balance(topHeavy(0, 3), 'lie')))->toBe([]);
    });

    it('say what is carried and how far, and that is enough and no more', function (float $x, float $z, string $way) {
        $cure = cures(balance(topHeavy($x, $z)))['carry'];
        $towards = static fn (float $mm): Balance => balance(topHeavy($x - ($x <=> 0) * $mm, $z - ($z <=> 0) * $mm));
        expect($cure->text)->toBe(sprintf('set the head %.1f mm farther %s', $cure->amount, $way))
            ->and($towards($cure->amount)->tipDeg())->toEqualWithDelta($cure->tipDeg, 0.02)->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG)
            ->and($towards($cure->amount - 0.5)->tipDeg())->toBeLessThan(Balance::TOUCHY_DEG);
    })->with([[0.0, 5.0, 'back'], [0.0, -5.0, 'forwards'], [5.0, 0.0, 'to the left'], [-5.0, 0.0, 'to the right']]);

    it('set feet as far apart as is enough and no farther', function () {
        $narrow = balance(topHeavy(0, 0, 6));
        $cure = cures($narrow)['feet'] ?? null;
        expect($narrow->isTouchy())->toBeTrue()->and($cure)->not->toBeNull();
        expect(balance(topHeavy(0, 0, 6 + $cure->amount))->tipDeg())->toEqualWithDelta($cure->tipDeg, 1e-6)
            ->and($cure->tipDeg)->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG)
            ->and(balance(topHeavy(0, 0, 6 + $cure->amount - 1))->tipDeg())->toBeLessThan(Balance::TOUCHY_DEG);
    });

    it('hide the fewest washers, and weight on the far side where that takes less', function () {
        $ahead = balance(topHeavy(0, 4));
        $cures = cures($ahead);
        [$x, $z] = $ahead->footprint->middle();
        [$dx, $dz] = [-cos(deg2rad($ahead->weakestDeg())), -sin(deg2rad($ahead->weakestDeg()))];
        $far = 0.6 * $ahead->footprint->reachMm($x, $z, $dx, $dz);
        $back = [$x + $far * $dx, $z + $far * $dz];
        expect($ahead->weakestDeg())->toEqualWithDelta(90, 10)
            ->and($cures['washers']->tipDeg)->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG)
            ->and($ahead->tipWithDeg($cures['washers']->amount - Cures::WASHER_G, $back, 2.0))->toBeLessThan(Balance::TOUCHY_DEG)
            ->and($cures['washers']->amount)->toBe(6.0 * substr_count((string) $cures['washers']->text, 'a washer'))
            ->and($cures['weight']->text)->toContain('at the back')
            ->and($cures['weight']->amount)->toBeLessThan($ahead->weightLowG());
    });
});

it('stands lower by what is made flat, so that it leans farther: a ball cut off at 8 mm', function () {
    $parts = [Figures::part('a', 'ball', 80, 80, 80, 0, 40, more: ['core' => 'none'])];
    $flat = Balance::of(Ledger::of(Figures::read(Figures::document($parts, [], ['base' => ['flattenMm' => 8]])), Densities::house()));
    // The chord of a circle of 40, 8 below its rim (CRC); its middle then 32 above the table.
    $tipDeg = rad2deg(atan(sqrt(2 * 40 * 8 - 8 ** 2) / 32));
    expect($flat->footprint->tableMm)->toEqualWithDelta(8.0, 0.1)
        ->and($flat->tipDeg())->toEqualWithDelta($tipDeg, 1.0);
    foreach ($flat->rose() as ['tipDeg' => $towards]) {
        expect($towards)->toBeGreaterThanOrEqual($flat->tipDeg() - 1e-6);
    }
});

it('goes two ways at once where neither alone is enough, with as little of both as will do', function () {
    // A head of 72 mm, a little ahead, on a ball of 20 mm.
    $balance = balance([
        Figures::part('body', 'ball', 20, 20, 20, 0, 10),
        Figures::part('head', 'ball', 72, 72, 72, 0, 54, 2, ['join' => ['to' => 'body']]),
    ]);
    expect(array_column(Cures::of($balance), 'kind'))->toBe(['both']);
    $cure = Cures::of($balance)[0];
    $firm = static fn (float $mm, float $g): bool => $balance->flattened($mm)->tipWithDeg(
        $g,
        [$cure->mm[0], $cure->mm[2]],
        Balance::LOW_MM,
    ) >= Balance::TOUCHY_DEG;
    expect($cure->text)->toContain('flatten the base by')->toContain(sprintf('and hide %s more low', Amount::g($cure->g)))
        ->and($firm($cure->amount, $cure->g))->toBeTrue()
        ->and($firm($cure->amount, 0.0))->toBeFalse()
        ->and($firm($cure->amount, $cure->g - 1.0))->toBeFalse()
        ->and($firm(0.0, $balance->massG))->toBeFalse();
    $cured = Cures::tried($balance, 'both');
    $after = Balance::of(Ledger::of($cured, Densities::house()));
    expect($after->tipDeg())->toEqualWithDelta($cure->tipDeg, 0.25)->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG)
        ->and($after->massG - $balance->massG)->toEqualWithDelta($cure->g, 1e-6)
        ->and($cured->base->flattenMm)->toBe($cure->amount);
});

it('makes the figure stand as firmly as each cure says, when it is tried, and leaves all else as it was', function () {
    foreach ([topHeavy(2, 7), topHeavy(0, -6), topHeavy(0, 0, 6)] as $parts) {
        $balance = balance($parts);
        expect(Cures::of($balance))->not->toBe([]);
        foreach (Cures::of($balance) as $cure) {
            $cured = Cures::tried($balance, $cure->kind);
            $after = Balance::of(Ledger::of($cured, Densities::house()));
            expect($after->tipDeg())->toEqualWithDelta($cure->tipDeg, 0.25, $cure->kind)
                ->and($after->tipDeg())->toBeGreaterThan($balance->tipDeg())
                ->and(array_keys($cured->parts))->toBe(array_keys($balance->figure->parts))
                ->and($after->massG - $balance->massG)->toEqualWithDelta($cure->unit === 'g' ? $cure->amount : 0.0, 1e-6);
        }
    }
    expect(fn () => Cures::tried(balance(topHeavy()), 'prayer'))->toThrow(BalanceRefused::class, '"prayer" is no cure');
});

it('hides a weight in the part where it lies, and makes the base flat before the last look', function () {
    $balance = balance(topHeavy(0, 7));
    $weighted = Works::of(Cures::tried($balance, 'weight'));
    $steps = array_column(array_map(static fn (Step $s): array => [$s->key, $s], $weighted->steps), 1, 0);
    expect($steps['weight:low']->about->part)->toBe('body')->and($steps['weight:low']->order->after)->toBe(['core:body']);
    $keys = array_flip($weighted->keys());
    expect($keys['weight:low'])->toBeLessThan($keys['trim']);
    $flat = Works::of(Figures::read(Figures::document(topHeavy(), [], ['base' => ['flattenMm' => 3]])));
    $at = array_flip($flat->keys());
    expect($at['flatten'])->toBeLessThan($at['trim'])->and($at['hide:head'])->toBeLessThan($at['flatten']);
});

it('hides one weight more by a key of its own, and lets those that are there keep their places as keys', function () {
    $base = ['base' => ['weights' => [['g' => 0.5, 'atMm' => [0, 30, 0]], ['g' => 0.5, 'atMm' => [0, 32, 0]]]]];
    $balance = Balance::of(Ledger::of(Figures::read(Figures::document(topHeavy(0, 7), [], $base)), Densities::house()));
    $cured = Cures::tried($balance, 'weight');
    expect(array_column($cured->base->weights, 'key'))->toBe(['0', '1', 'low'])
        ->and(array_column($cured->document()->base->weights, 'key'))->toBe(['0', '1', 'low']);
});

it('hangs straight from right above its weight, and askew by its topmost place', function () {
    // Two balls of 40 beside each other: their weight lies between them, 20 below the tops and 20 from each.
    $two = balance([
        Figures::part('a', 'ball', 40, 40, 40, 0, 20),
        Figures::part('b', 'ball', 40, 40, 40, 40, 20, 0, ['join' => ['to' => 'a']]),
        Figures::part('roof', 'plate', 30, 12, 4, 20, 26, 0, ['join' => ['to' => 'a'], 'core' => 'none']),
    ], 'hang');
    $hang = $two->hang();
    expect($hang['atMm'][0])->toEqualWithDelta($two->centreMm[0], 1e-9)
        ->and($hang['atMm'][1])->toEqualWithDelta(32, 0.3)
        ->and($hang['askewDeg'])->toEqualWithDelta(45, 3);
    $ball = balance([Figures::part('a', 'ball', 40, 40, 40, 7, 20, -3)], 'hang')->hang();
    expect($ball['atMm'])->toEqualWithDelta([7.0, 40.0, -3.0], 0.3)->and($ball['askewDeg'])->toBeLessThan(1.0);
});
