<?php

declare(strict_types=1);

namespace Impa\Tests\Voice;

use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Refusal;
use Impa\Tests\Support\Doors;
use Impa\Tests\Support\Works;
use Impa\Voice\Language;
use Impa\Voice\Units;
use Impa\Voice\Voice;

/** What looks like a metric length, weight, area, volume or density in running text. */
const METRIC = '~\d\s?(mm|cm|mg|g|kg|cm²|cm³|g/cm³|cm2|cm3)(?![\w/])~u';

/**
 * What is told in metric units within an answer. Grams in brackets behind ounces are meant: no kitchen scale shows less than a tenth of
 * an ounce. Attributes and styles of drawn pages are not read.
 *
 * @return list<string>
 */
function metricIn(mixed $answer): array
{
    if (is_array($answer) || is_object($answer)) {
        return array_merge([], ...array_map(metricIn(...), array_values((array) $answer)));
    }
    if (! is_string($answer)) {
        return [];
    }
    $text = (string) preg_replace(['~<style.*?</style>~s', '~<[^>]*>~', '~oz(</b>)? \([^)]*\)~'], [' ', ' ', 'oz'], $answer);

    return preg_match_all('~[^.;]{0,60}'.substr(METRIC, 1, -2).'~u', $text, $found) > 0 ? $found[0] : [];
}

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
        foreach (array_unique(metricIn($answer)) as $text) {
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
