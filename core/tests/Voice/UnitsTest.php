<?php

declare(strict_types=1);

namespace Impa\Tests\Voice;

use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Tests\Support\Doors;
use Impa\Tests\Support\MetricWords;
use Impa\Tests\Support\Works;
use Impa\Voice\Language;
use Impa\Voice\Refusal;
use Impa\Voice\Units;
use Impa\Voice\Voice;

afterEach(fn () => Voice::speak(new Voice));

it('tells nothing in metric units at any door to somebody who thinks in inches and ounces', function (string $name) {
    Voice::speak(new Voice(Language::English, Units::Imperial));
    $told = [];
    foreach (Doors::all() as $door => $open) {
        try {
            $answer = $open(Works::demo($name));
        } catch (Refusal $refused) {
            $answer = $refused->getMessage();
        }
        foreach (array_unique(MetricWords::in($answer)) as $text) {
            $told[] = "$door: ".trim((string) preg_replace('/\s+/', ' ', $text));
        }
    }
    expect($told)->toBe([]);
})->with(['bobbin', 'lanto', 'sorrel', 'dusk', 'wick']);

it('prints a ruler in her units, a mark for each mm or sixteenth of an inch, as long as it says', function (
    Units $units,
    int $marks,
    string $said,
    float $mm,
) {
    Voice::speak(new Voice(Language::English, $units));
    $page = Page::of('', 'A page', Paper::Letter);
    preg_match_all('/M(\S+) (\S+)v\d/', $page, $at);
    expect($at[1])->toHaveCount($marks)
        ->and((float) end($at[1]) - (float) $at[1][0])->toEqualWithDelta($mm, 0.01)
        ->and($page)->toContain("This ruler is $said long");
})->with([
    [Units::Metric, 101, '100 mm', 100.0],
    [Units::Imperial, 65, '4 in', 101.6],
]);
