<?php

declare(strict_types=1);

namespace Impa\Tests\Closing;

use Impa\Check\Finish\Closing;
use Impa\Check\Finish\SmallParts;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;

/** @return array<string, array{text: string, done: bool, safety: bool}> by kind */
function closing(string $name, ?array $done = null, int $tips = 0): array
{
    $work = Works::of(Works::demo($name));

    return array_column(Closing::left($work, $done ?? $work->keys(), $tips), null, 'kind');
}

it('knows the small-parts cylinder: 31.7 mm wide, 25.4 to 57.1 mm deep', function (array $mm, bool $fits) {
    // 16 CFR 1501.4 and EN 71-1, from memory.
    expect(SmallParts::fits(...$mm))->toBe($fits)->and(SmallParts::fits(...array_reverse($mm)))->toBe($fits);
})->with([
    'a bead' => [[4.0, 4.0, 4.0], true],
    'a ball that just goes in' => [[25.4, 25.4, 25.4], true],
    'a ball as wide as it' => [[31.7, 31.7, 25.4], true],
    'a ball that is too wide' => [[32.0, 32.0, 32.0], false],
    'a thin rod as long as it is deep' => [[0.0, 0.0, 57.1], true],
    'a longer rod' => [[2.0, 2.0, 57.2], false],
    'a thick rod' => [[20.0, 20.0, 50.0], false],
    'a disc that is too wide' => [[2.0, 40.0, 40.0], false],
]);

it('says what is not done, the unsafe first', function () {
    $steps = Works::of(Works::demo('sorrel'))->keys();
    $left = Closing::left(Works::of(Works::demo('sorrel')), array_slice($steps, 0, -4), 1);
    expect($left[0]['kind'])->toBe('needles')
        ->and($left[0]['text'])->toContain('not safe yet')
        ->and(closing('sorrel', array_slice($steps, 0, -4))['steps']['text'])->toStartWith('4 steps are not done: "')
        ->and(closing('sorrel', [])['loose-ends']['done'])->toBeFalse()
        ->and(closing('sorrel', [])['steps']['text'])->toContain(' and ');
});

it('is content with a figure of which every step is done', function () {
    $left = closing('sorrel');
    expect($left['steps'])->toBe(['kind' => 'steps', 'text' => 'Every step is done.', 'done' => true, 'safety' => false, 'look' => false])
        ->and($left['loose-ends']['done'])->toBeTrue()
        ->and($left['needles']['done'])->toBeTrue()
        ->and($left)->toHaveKeys(['trim', 'press'])
        ->and($left)->not->toHaveKey('wires');
});

it('warns of wires, and of what can be swallowed, with the words that belong there', function () {
    $left = closing('wick');
    expect($left['wires']['text'])->toContain('both ends are turned in')->toContain('not a toy')
        ->and($left['wires']['safety'])->toBeTrue()
        ->and($left['small-parts']['text'])->toContain('31.7 mm')->toContain('eye');
    $felted = Figures::read(Figures::document([Figures::part('body', 'ball', 40, 40, 40, 0, 20)]));
    expect(array_column(Closing::left(Works::of($felted), [], 0), 'kind'))->not->toContain('small-parts');
});

it('keeps what was looked at, and takes no tick for what it sees itself', function () {
    $work = Works::of(Works::demo('sorrel'));
    $of = static fn (array $looked): array => array_column(Closing::left($work, [], 1, $looked), 'done', 'kind');
    expect($of([])['trim'])->toBeFalse()
        ->and($of(['trim'])['trim'])->toBeTrue()
        ->and($of(['trim'])['press'])->toBeFalse()
        ->and($of(['needles', 'steps'])['needles'])->toBeFalse()
        ->and($of(['needles', 'steps'])['steps'])->toBeFalse();
});
