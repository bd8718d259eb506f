<?php

declare(strict_types=1);

namespace Impa\Tests\Plan;

use Impa\Figure\Figure;
use Impa\Plan\Guidance;
use Impa\Plan\Plan;
use Impa\Plan\TradeWord;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Voice\Language;
use Impa\Voice\Voice;

afterEach(fn () => Voice::speak(new Voice));

/**
 * @param  list<string>  $done
 * @return array<string, string> what to do next, by its code
 */
function next(Figure $figure, string $station, string $wool = 'open', array $done = [], int $lacking = 0): array
{
    return array_map(strval(...), array_column(Guidance::of(Plan::of($figure), $station, $wool, $done, $lacking), 'text', 'code'));
}

it('says of every demo figure at every station something to do, and where it is done', function () {
    foreach (['bobbin', 'lanto', 'sorrel', 'dusk', 'wick'] as $name) {
        $plan = Plan::of(Works::demo($name));
        foreach (Guidance::STATIONS as $station) {
            $next = Guidance::of($plan, $station, 'open', [], 0);
            expect($next)->not->toBe([], "$name $station");
            foreach ($next as $one) {
                expect($one['station'])->toBeIn(Guidance::STATIONS)->and((string) $one['text'])->not->toBe('');
            }
        }
    }
});

it('sends a figure without parts to the shapes, from wherever it is asked', function () {
    $plan = Plan::of(Figures::read(Figures::document([])));
    foreach (Guidance::STATIONS as $station) {
        expect(array_column(Guidance::of($plan, $station, 'open', [], 0), 'station'))->toBe(['shapes']);
    }
});

it('counts the parts that touch nothing, and is quiet of them once they are joined', function () {
    $two = [Figures::part('body', 'ball', 40, 40, 40, 0, 20), Figures::part('hat', 'ball', 20, 20, 20, 60, 90)];
    expect(next(Figures::read(Figures::document([...$two, Figures::part('bag', 'ball', 9, 9, 9, -60, 30)])), 'shapes'))
        ->toHaveKey('loose', '2 parts touch nothing: say what it is joined to.');
    $joined = [$two[0], ['at' => ['xMm' => 0, 'yMm' => 48, 'zMm' => 0], 'join' => ['to' => 'body']] + $two[1]];
    expect(next(Figures::read(Figures::document($joined)), 'shapes'))->not->toHaveKey('loose');
});

it('misses eyes and a mouth as long as none is there, and names nothing missing of a whole face', function () {
    $head = [Figures::part('head', 'ball', 50, 50, 50, 0, 25)];
    $on = ['on' => 'head', 'colour' => 'black'];
    $eye = $on + ['key' => 'e', 'role' => 'eye', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 9, 'mirror' => true];
    $mouth = $on + ['key' => 'm', 'role' => 'mouth', 'kind' => 'line', 'widthMm' => 1.5, 'pointsMm' => [[-5, -8], [5, -8]]];
    expect(array_keys(next(Figures::read(Figures::document($head)), 'face')))->toBe(['no-eyes', 'no-mouth'])
        ->and(array_keys(next(Figures::read(Figures::document($head, [$eye])), 'face')))->toBe(['no-mouth'])
        ->and(array_keys(next(Figures::read(Figures::document($head, [$eye, $mouth])), 'face')))->toBe(['face-ready']);
});

it('follows the wool from short to set aside to taken', function () {
    $figure = Works::demo('bobbin');
    expect(array_keys(next($figure, 'wool', 'open', [], 2)))->toBe(['lacking', 'set-aside'])
        ->and(next($figure, 'wool', 'open', [], 2)['lacking'])->toContain('2 wools')
        ->and(array_keys(next($figure, 'wool')))->toBe(['set-aside'])
        ->and(array_keys(next($figure, 'wool', 'aside')))->toBe(['aside'])
        ->and(array_keys(next($figure, 'wool', 'used')))->toBe(['used']);
});

it('names the first step that is not done, and ends in Check', function () {
    $figure = Works::demo('bobbin');
    $steps = Plan::of($figure)->work()->steps;
    $keys = array_column($steps, 'key');
    expect(array_keys(next($figure, 'build')))->toBe(['set-aside', 'step'])
        ->and(next($figure, 'build')['step'])->toContain(count($steps).' steps are left')
        ->and(next($figure, 'build', 'aside', array_slice($keys, 0, -1))['step'])->toContain('One step is left')
        ->and(array_keys(next($figure, 'build', 'aside', $keys)))->toBe(['all-done'])
        ->and(array_keys(next($figure, 'check')))->toBe(['not-begun'])
        ->and(array_keys(next($figure, 'check', 'aside', [$keys[0]])))->toBe(['part-weigh', 'left'])
        ->and(array_keys(next($figure, 'check', 'aside', $keys)))->toBe(['photo', 'finish']);
});

it('knows of a hand how much is known of it, and of shelf, stash, set and house whether anything is there', function () {
    $codes = static fn (string $station, int ...$counts): array => array_map(
        static fn (int $n): string => Guidance::around($station, $n)[0]['code'],
        $counts,
    );
    expect($codes('hand', 0, 1, 4, 5, 40))->toBe(['practice', 'more-records', 'more-records', 'known-hand', 'known-hand'])
        ->and($codes('shelf', 0, 1))->toBe(['first-figure', 'open-one'])
        ->and($codes('stash', 0, 1))->toBe(['first-wool', 'weigh-in'])
        ->and($codes('set', 0, 1, 2))->toBe(['set-more', 'set-more', 'set-ready'])
        ->and($codes('house', 0, 1))->toBe(['copy', 'archive']);
});

it('says forty words and more of the trade, each with forms by which a sentence is searched, and no form of two', function () {
    expect(count(TradeWord::CODES))->toBeGreaterThanOrEqual(40);
    foreach (Language::cases() as $language) {
        Voice::speak(new Voice($language));
        $forms = [];
        foreach (TradeWord::all() as $word) {
            expect(mb_strlen((string) $word->means))->toBeGreaterThan(20)->toBeLessThan(140);
            foreach ($word->forms() as $form) {
                expect($form)->toMatch('/^[\p{L}-]+( [\p{L}-]+)*$/u');
                $forms[] = mb_strtolower($form);
            }
        }
        expect(array_keys(array_filter(array_count_values($forms), static fn (int $n): bool => $n > 1)))->toBe([]);
    }
});
