<?php

declare(strict_types=1);

namespace Impa\Tests\Plan;

use Impa\Build\Schedule\Schedule;
use Impa\Build\Steps\Step;
use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;

/** A figure that leans: a body, a pair of arms, a head with eyes of wool and a bead for a nose. */
function leaning(): Figure
{
    return Figures::read(
        Figures::document(
            [
                Figures::part('body', 'drum', 40, 60, 30, 0, 30),
                Figures::part('head', 'ball', 50, 46, 48, 9, 80, 5, ['join' => ['to' => 'body']]),
                Figures::part('arm', 'sausage', 10, 26, 10, 24, 40, 0, ['mirror' => true, 'join' => ['to' => 'body']]),
            ],
            [
                ['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 6, 'xMm' => 10, 'mirror' => true, 'colour' => 'black'],
                ['key' => 'nose', 'on' => 'head', 'kind' => 'bead', 'method' => 'bead', 'widthMm' => 4, 'colour' => 'black'],
            ],
        ),
    );
}

it('tells of every part what its ledger tells, and all the minutes that are spent on it, its details apart', function () {
    $plan = Plan::of(leaning());
    $document = $plan->document();
    expect(array_column($document['parts'], 'key'))->toBe(['body', 'head', 'arm']);
    foreach ($document['parts'] as $part) {
        $wool = $plan->ledger->wool[$part['key']];
        $minutes = array_sum(
            array_map(
                static fn (Step $s): float => $s->time->minutes,
                array_filter(
                    $plan->work()->steps,
                    static fn (Step $s): bool => $s->about->part === $part['key'] && $s->about->detail === '',
                ),
            ),
        );
        expect([$part['volumeCm3'], $part['insideCm3'], $part['coreG'], $part['coverG'], $part['colourG'], $part['finishedG']])
            ->toBe([$wool->volumeCm3, $wool->insideCm3, $wool->coreG(), $wool->coverG(), $wool->colourG(), $wool->finishedG()])
            ->and($part['minutes'])
            ->toEqualWithDelta($minutes, 1e-9)
            ->toBeGreaterThan(1.0)
            ->and($part['areaCm2'])
            ->toEqualWithDelta($wool->areaCm2(), 1e-9)
            ->and($part['looseMm'])
            ->toBe(['w' => $wool->loose()->widthMm, 'h' => $wool->loose()->heightMm, 'd' => $wool->loose()->depthMm]);
    }
    $count = array_column($document['parts'], 'count', 'key');
    expect($count)->toBe(['body' => 1, 'head' => 1, 'arm' => 2]);
    // Nothing is spent on no part: portions and the look at the whole are left, and the details.
    $onParts = array_sum(array_column($document['parts'], 'minutes'));
    $others = array_filter($plan->work()->steps, static fn (Step $s): bool => $s->about->part === '' || $s->about->detail !== '');
    expect($document['minutes']['hands'])->toEqualWithDelta(
        $onParts + array_sum(array_map(static fn (Step $s): float => $s->time->minutes, $others)),
        1e-9,
    );
});

it('tells where the weight lies, across, up and towards the viewer', function () {
    $plan = Plan::of(leaning());
    $balance = $plan->document()['balance'];
    [$x, $y, $z] = $plan->balance->centreMm;
    expect($balance['centreMm'])
        ->toBe(['x' => $x, 'y' => $y, 'z' => $z])
        ->and(count(array_unique([round($x, 1), round($y, 1), round($z, 1)])))
        ->toBe(3)
        ->and($balance['tipDeg'])
        ->toBe($plan->balance->tipDeg())
        ->and($balance['massG'])
        ->toBe($plan->balance->massG)
        ->and([$balance['stands'], $balance['touchy']])
        ->toBe([$plan->balance->stands(), $plan->balance->isTouchy()]);
});

it('takes as long as its steps, with rests and drying; nothing takes none', function () {
    $plan = Plan::of(leaning());
    $minutes = $plan->document()['minutes'];
    expect($minutes['elapsed'])
        ->toBe(Schedule::inOneGo($plan->work()->steps)->elapsedMinutes())
        ->toBeGreaterThan($minutes['hands'])
        ->and(Plan::of(Figures::read(Figures::document([])))->document()['minutes'])
        ->toBe(['hands' => 0.0, 'elapsed' => 0.0]);
});

it('tells of every detail its milligrams, none for a bead, and how many pieces', function () {
    $plan = Plan::of(leaning());
    $details = array_column($plan->document()['details'], null, 'key');
    expect($details['eye']['woolMg'])
        ->toEqualWithDelta(1000 * $plan->ledger->ofDetail('eye')->g, 1e-9)
        ->and($details['eye']['count'])
        ->toBe(2)
        ->and($details['nose']['woolMg'])
        ->toBe(0.0)
        ->and($details['nose']['count'])
        ->toBe(1);
});

it('goes by the felter\'s own densities and needles where they are known', function () {
    $densities = Densities::house()->withYarns(['teal' => 7.0]);
    $looped = Figures::read(Figures::document([Figures::part('a', 'ball', 40, 40, 40, 0, 20, 0, ['covering' => ['way' => 'loops']])]));
    expect(Plan::of($looped, densities: $densities)->totalG())->toBeGreaterThan(2 * Plan::of($looped)->totalG());
    $small = Figures::read(
        Figures::document(
            [Figures::part('a', 'ball', 40, 40, 40, 0, 20)],
            [['key' => 'dot', 'on' => 'a', 'kind' => 'disc', 'widthMm' => 2.2, 'colour' => 'black']],
        ),
    );
    $coarse = Needles::of([32]);
    $crisp = static fn (?Needles $needles): string => Plan::of($small, $needles)->document()['details'][0]['crisp'];
    expect($crisp(null))->not->toBe('too-small')->and($crisp($coarse))->toBe('too-small');
});
