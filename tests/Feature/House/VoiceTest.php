<?php

declare(strict_types=1);

use Impa\Voice\Language;
use Impa\Voice\Units;
use Impa\Voice\Voice;

/** What looks like a metric length, weight, area, volume or density in running text. */
const METRIC = '~\d\s?(mm|cm|mg|g|kg|cm²|cm³|g/cm³|cm2|cm3)(?![\w/])~u';

/**
 * Every text within an answer that is told in metric units. Grams in brackets behind ounces are meant: no kitchen scale shows less than a
 * tenth of an ounce.
 *
 * @return list<string>
 */
function metricIn(mixed $answer, string $at = ''): array
{
    if (is_string($answer)) {
        return preg_match(METRIC, (string) preg_replace('~oz \([^)]*\)~', 'oz', $answer)) === 1 ? ["$at: $answer"] : [];
    }
    $found = [];
    foreach (is_array($answer) ? $answer : [] as $key => $member) {
        array_push($found, ...metricIn($member, "$at/$key"));
    }

    return $found;
}

it('answers in the units and the language of Accept-Language, and says so', function () {
    $text = fn (string $header): string => (string) $this->postJson(
        '/api/part-check',
        [],
        ['Accept-Language' => $header],
    )->headers->get('Content-Language');
    expect($text('de-DE, en;q=0.5'))->toBe('de')
        ->and($text('fr, en;q=0.5, de;q=0.2'))->toBe('en')
        ->and($text('de;q=0.1, en-GB'))->toBe('en')
        ->and($text('de;q=0'))->toBe('en')
        ->and($text(''))->toBe('en')
        ->and($text(str_repeat('x,', 5000)))->toBe('en');
});

it('knows a voice by its tag, and its tag by the voice', function () {
    foreach (Language::cases() as $language) {
        foreach (Units::cases() as $units) {
            $voice = new Voice($language, $units);
            expect(Voice::byTag($voice->tag()))->toEqual($voice);
        }
    }
    expect(Voice::byTag('en-US-u-ca-gregory-ms-ussystem')?->units)->toBe(Units::Imperial)
        ->and(Voice::byTag('en-u-ms-metric')?->units)->toBe(Units::Metric)
        ->and(Voice::byTag('en-u-ms')?->units)->toBe(Units::Metric)
        ->and(Voice::byTag('tlh'))->toBeNull()
        ->and(Voice::byTag(''))->toBeNull();
});
