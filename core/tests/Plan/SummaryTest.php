<?php

declare(strict_types=1);

namespace Impa\Tests\Summary;

use Impa\Plan\Plan;
use Impa\Plan\Summary;
use Impa\Tests\Support\Works;

/** What the rules of each version tell of the demo's figures: grams to a tenth of a mg, minutes to a hundredth, steps in their order. */
const TOLD = [1 => '747ee56d35e1b628'];

it('tells by one version of its rules one thing: where this changes, Summary::VERSION goes up by one and is told here', function () {
    $told = [];
    foreach (array_map(basename(...), glob(dirname(__DIR__, 3).'/demo/*.impa.json') ?: []) as $file) {
        $summary = Summary::of(Plan::of(Works::demo(basename($file, '.impa.json'))));
        $told[] = sprintf('%s %.4f %.2f %s', $file, $summary->totalG, $summary->handsMinutes, implode(',', $summary->steps));
    }
    expect(count($told))->toBeGreaterThan(4)
        ->and(substr(hash('sha256', implode("\n", $told)), 0, 16))->toBe(TOLD[Summary::VERSION] ?? null);
});

it('tells the same where a felter sees the same', function (Summary $other, bool $isSame) {
    expect((new Summary(2.5, 90.0, ['portion', 'core:head']))->tells($other))->toBe($isSame);
})->with([
    [new Summary(2.50004, 90.004, ['portion', 'core:head']), true], [new Summary(2.5001, 90.0, ['portion', 'core:head']), false],
    [new Summary(2.5, 90.01, ['portion', 'core:head']), false], [new Summary(2.5, 90.0, ['core:head', 'portion']), false],
]);
