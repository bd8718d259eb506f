<?php

declare(strict_types=1);

namespace Impa\Tests\WireRouting;

use Impa\Armature\Passage;
use Impa\Armature\WireAdvice;
use Impa\Build\Steps\Hints;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Build\Work;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Wire;
use Impa\Material\WireMaterial;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;

/**
 * A body with two long arms, a head with a nose, and the wires that are said.
 *
 * @param  list<Wire>  $wires
 * @param  array<string, mixed>  $body
 */
function wired(array $wires, array $body = []): Figure
{
    $eye = ['key' => 'eye', 'name' => 'Eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'heightMm' => 5, 'colour' => 'black'];

    return Choices::wired(Figures::read(Figures::document([
        Figures::part('body', 'ball', 40, 50, 40, 0, 25, 0, ['name' => 'Body'] + $body),
        Figures::part('head', 'ball', 40, 36, 40, 0, 66, 0, ['name' => 'Head', 'join' => ['to' => 'body']]),
        Figures::part('arm', 'sausage', 8, 50, 8, 42, 36, 0, [
            'name' => 'Arm',
            'mirror' => true,
            'turnDeg' => ['x' => 0, 'y' => 0, 'z' => 90],
            'join' => ['to' => 'body'],
        ]),
    ], [['xMm' => 8, 'yMm' => 0, 'mirror' => true] + $eye])), $wires);
}

function arms(): Wire
{
    return new Wire('arms', 'Wire of the arms', WireMaterial::PaperCovered, 0.9, [[64.0, 36.0, 0.0], [-64.0, 36.0, 0.0]]);
}

function whiskers(): Wire
{
    return new Wire('whisker', 'Whisker', WireMaterial::PipeCleaner, 0.5, [[0.0, 64.0, 14.0], [25.0, 66.0, 30.0]], mirror: true);
}

function tail(): Wire
{
    return new Wire('tail', 'Tail', WireMaterial::Steel, 1.0, [[10.0, 30.0, 0.0], [24.0, 30.0, 0.0]]);
}

/** @return array<string, int> the place of each step in the order */
function places(Work $work): array
{
    return array_flip($work->keys());
}

function step(Work $work, string $key): Step
{
    return $work->steps[places($work)[$key]];
}

it('makes arms round the wire that goes through the body, and the body is only gone through', function () {
    $passage = Passage::of(arms(), wired([arms()]));
    expect($passage->limbs)->toBe(['arm'])
        ->and(array_keys($passage->holes))->toBe(['body'])
        ->and($passage->isLoose())->toBeFalse();
    // At a height of 36 the body, a ball of 40 by 50 whose middle is at 25, is so wide.
    $half = 20 * sqrt(1 - (11 / 25) ** 2);
    expect(array_map(static fn (array $hole): float => abs($hole[0]), $passage->holes['body']))
        ->toEqualWithDelta([$half, $half], 1.1);
});

it('leads a limb\'s wire through the core of the body, before that is covered and the limb is made round it', function () {
    $work = Works::of(wired([arms()]));
    $at = places($work);
    expect($at['thread:arms'])->toBeGreaterThan($at['core:body'])
        ->and($at['thread:arms'])->toBeGreaterThan($at['wire:arm'])
        ->and($at['thread:arms'])->toBeLessThan($at['cover:body'])
        ->and($at['thread:arms'])->toBeLessThan($at['cover:arm'])
        ->and(step($work, 'thread:arms')->order->after)->toEqualCanonicalizing(['core:body', 'wire:arm'])
        ->and((string) step($work, 'thread:arms')->title)->toBe('Lead wire of the arms through body')
        ->and(step($work, 'thread:arms')->time->waitMinutes)->toBe(0.0);
});

it('leads it through once the body is felted, where that has no core', function () {
    $work = Works::of(wired([arms()], ['core' => 'none']));
    expect(step($work, 'thread:arms')->order->after)->toEqualCanonicalizing(['cover:body', 'wire:arm'])
        ->and(places($work)['thread:arms'])->toBeLessThan(places($work)['cover:arm']);
});

it('leads a wire through a head before its face is smoothed', function () {
    $horns = new Wire('horns', 'Wire of the horns', WireMaterial::Steel, 1.0, [[-60.0, 66.0, 0.0], [60.0, 66.0, 0.0]]);
    $document = json_decode(wired([])->toJson(), true);
    $document['parts'][] = Figures::part('horn', 'sausage', 7, 45, 7, 40, 66, 0, [
        'mirror' => true,
        'turnDeg' => ['x' => 0, 'y' => 0, 'z' => 90],
        'join' => ['to' => 'head'],
    ]);
    $work = Works::of(Choices::wired(Figures::read($document), [$horns]));
    expect(places($work)['thread:horns'])->toBeLessThan(places($work)['cover:head'])
        ->and(places($work)['thread:horns'])->toBeLessThan(places($work)['detail:eye']);
});

it('sets whiskers in after all that is done on the head, and lets their glue dry before the last look', function () {
    $work = Works::of(wired([whiskers()]));
    $at = places($work);
    $step = step($work, 'thread:whisker');
    expect(Passage::of(whiskers(), wired([]))->isLoose())->toBeTrue()
        ->and($step->kind)->toBe(StepKind::Thread)
        ->and((string) $step->title)->toBe('Set whisker into head')
        ->and($step->time->waitMinutes)->toBe(20.0)
        ->and($step->time->minutes)->toBe(6.0)
        ->and($at['thread:whisker'])->toBeGreaterThan(max($at['hide:head'], $at['detail:eye']))
        ->and($at['thread:whisker'])->toBeLessThan($at['trim'])
        ->and(implode(' ', Hints::cautions($step, wired([whiskers()]))))->toContain('fresh air')->toContain('near wire');
});

it('bends a wire that touches nothing all the same', function () {
    $far = new Wire('handle', 'Handle', WireMaterial::Steel, 1.0, [[200.0, 10.0, 0.0], [220.0, 30.0, 0.0]]);
    $work = Works::of(wired([$far]));
    expect((string) step($work, 'thread:handle')->title)->toBe('Bend handle')
        ->and(step($work, 'thread:handle')->order->after)->toBe([]);
});

it('needs no step of its own for a limb\'s wire that ends in the body: it is pushed in with the limb', function () {
    $one = new Wire('arm', 'Wire of the arm', WireMaterial::Steel, 1.0, [[64.0, 36.0, 0.0], [8.0, 34.0, 0.0]]);
    $work = Works::of(wired([$one]));
    expect(places($work))->toHaveKey('wire:arm')->not->toHaveKey('thread:arm');
});

it('makes a hole before what would stand over it, and says why', function () {
    // A broad collar that covers the whole height at which the arms' wire leaves the body.
    $document = json_decode(wired([])->toJson(), true);
    $document['parts'][] = Figures::part('cape', 'drum', 60, 44, 60, 0, 34, 0, ['name' => 'Cape', 'join' => ['to' => 'body']]);
    $work = Works::of(Choices::wired(Figures::read($document), [tail()]));
    expect(step($work, 'join:cape')->order->because['thread:tail'] ?? '')
        ->toBe('Before the cape: it would be in the way of the hole for the tail.');
});

it('finds what a wire goes through as it does by trying every place along it, for any figure and any course', function (int $seed) {
    mt_srand($seed);
    $figure = Figures::read(Figures::random($seed));
    $course = [];
    for ($i = 0; $i < 4; $i++) {
        $course[] = [mt_rand(-60, 60), mt_rand(0, 100), mt_rand(-30, 30)];
    }
    $course = array_map(static fn (array $p): array => array_map('floatval', $p), $course);
    foreach ($figure->parts as $part) {
        $inside = 0;
        $length = 0.0;
        foreach ([1, 2, 3] as $i) {
            [$a, $b] = [$course[$i - 1], $course[$i]];
            $far = sqrt(($a[0] - $b[0]) ** 2 + ($a[1] - $b[1]) ** 2 + ($a[2] - $b[2]) ** 2);
            $length += $far;
            for ($k = 0; $k < 2000; $k++) {
                $at = array_map(static fn (float $p, float $q): float => $p + ($q - $p) * ($k + 0.5) / 2000, $a, $b);
                foreach ($part->placements() as $piece) {
                    [$x, $y, $z] = $piece->own($at[0] - $piece->at[0], $at[1] - $piece->at[1], $at[2] - $piece->at[2]);
                    if (abs($z) <= $part->solid->frontMm($x, $y)) {
                        $inside += $far / 2000;
                        break;
                    }
                }
            }
        }
        expect(WireAdvice::insideMm($course, $part))->toEqualWithDelta($inside, 4.0);
    }
})->with([1, 2, 3, 4, 5, 6]);
