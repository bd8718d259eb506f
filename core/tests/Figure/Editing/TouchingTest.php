<?php

declare(strict_types=1);

namespace Impa\Tests\Touching;

use Impa\Figure\Editing\EditRefused;
use Impa\Figure\Editing\Touching;
use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Gap;
use Impa\Tests\Support\Figures;

/** @param  list<array<string, mixed>>  $more  parts that are joined to a ball of 40 mm whose middle is 20 mm above the table */
function ball(array ...$more): Figure
{
    return Figures::read(Figures::document([Figures::part('body', 'ball', 40, 40, 40, 0, 20), ...$more]));
}

/** @return array<string, mixed> a ball of 10 mm there */
function bead(string $key, float $x, float $y, float $z, string $to = 'body', bool $isPair = false): array
{
    $part = Figures::part($key, 'ball', 10, 10, 10, $x, $y);
    $part['at']['zMm'] = $z;

    return ['join' => ['to' => $to, 'by' => 'fluff'], 'mirror' => $isPair] + $part;
}

function gap(Figure $figure, string $key): float
{
    return min(array_map(
        static fn (Placement $to): float => Gap::between(Placement::of($figure->parts[$key]), $to),
        $figure->parts[$figure->parts[$key]->join->to]->placements(),
    ));
}

it('brings what floats behind straight forwards, by as much as is missing to where the two balls touch', function () {
    // Beside the middle line by 15 mm, two balls of 20 and 10 / 2 mm touch where their middles are 25 mm apart: 20 mm behind.
    [$figure, $moves] = Touching::all(ball(bead('tail', 15, 20, -32)));
    [$x, $y, $z] = $moves['tail'];
    expect([$x, $y])->toBe([0.0, 0.0])->and($z)->toEqualWithDelta(12.0, Touching::TOUCHES_MM)
        ->and(gap($figure, 'tail'))->toBeLessThanOrEqual(Touching::TOUCHES_MM);
});

it('brings what is drawn apart straight towards the middle, and a pair to both sides alike', function () {
    [$figure, $moves] = Touching::all(ball(bead('arm', 33, 20, 0, isPair: true)));
    [$x, $y, $z] = $moves['arm'];
    expect($x)->toEqualWithDelta(-8.0, Touching::TOUCHES_MM)->and([$y, $z])->toBe([0.0, 0.0])
        ->and(gap($figure, 'arm'))->toBeLessThanOrEqual(Touching::TOUCHES_MM);
});

it('takes along what is joined to it, and moves the smaller side of the join', function () {
    [$figure, $moves] = Touching::all(ball(bead('stalk', 0, 20, -40), bead('bobble', 0, 30, -40, 'stalk')));
    expect(array_keys($moves))->toBe(['stalk'])
        ->and($figure->parts['bobble']->stand->at[2] - $figure->parts['stalk']->stand->at[2])->toBe(0.0);
    // A large head that hangs on a bead: the bead goes to the head.
    $large = ['join' => ['to' => 'bead', 'by' => 'fluff']] + Figures::part('head', 'ball', 60, 60, 60, 0, 45);
    $small = array_diff_key(bead('bead', 0, 5, -60), ['join' => 0]);
    [$figure] = Touching::all(Figures::read(Figures::document([$small, $large])));
    expect($figure->parts['head']->stand->at[2])->toBe(0.0)->and($figure->parts['bead']->stand->at[2])->toBeGreaterThan(-60.0)
        ->and(gap($figure, 'head'))->toBeLessThanOrEqual(Touching::TOUCHES_MM);
});

it('leaves what lies too far off to be meant to touch', function () {
    $figure = ball(bead('drop', 33, 20, 0), bead('tail', 15, 20, -32));
    [$whole, $moves] = Touching::all($figure, 5.0);
    expect(array_keys($moves))->toBe(['tail'])->and($whole->parts['drop']->stand->at)->toBe($figure->parts['drop']->stand->at);
});

it('leaves alone what touches, and refuses to bring it', function () {
    $figure = ball(bead('nose', 0, 20, 22));
    [$same, $moves] = Touching::all($figure);
    expect($moves)->toBe([])->and($same)->toBe($figure)
        ->and(fn () => Touching::brought($figure, 'nose'))->toThrow(EditRefused::class, 'nose touches what it is joined to.')
        ->and(fn () => Touching::brought($figure, 'nobody'))->toThrow(EditRefused::class);
});

it('closes every gap of 60 figures whose parts are strewn about, mirrored as well, and none is moved farther than it lay off', function () {
    mt_srand(11);
    for ($n = 0; $n < 60; $n++) {
        $at = static fn (): float => mt_rand(-500, 500) / 10;
        $parts = [
            bead('one', $at(), 20 + $at(), $at()),
            bead('two', $at(), 20 + $at(), $at(), 'one'),
            bead('pair', abs($at()), 20, $at(), isPair: true),
        ];
        $figure = ball(...$parts);
        [$whole, $moves] = Touching::all($figure);
        foreach (['one', 'two', 'pair'] as $key) {
            expect(gap($whole, $key))->toBeLessThanOrEqual(Touching::TOUCHES_MM);
        }
        $across = static fn (array $p): array => ['at' => ['xMm' => -$p['at']['xMm']] + $p['at']] + $p;
        $turned = array_map($across, array_slice($parts, 0, 2));
        [, $mirrored] = Touching::all(ball(...$turned, ...[$parts[2]]));
        foreach (array_intersect_key($moves, ['one' => 1, 'two' => 1]) as $key => [$x, $y, $z]) {
            expect(array_map(abs(...), $mirrored[$key]))->toEqualWithDelta(array_map(abs(...), [$x, $y, $z]), 0.02);
        }
    }
});
