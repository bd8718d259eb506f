<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

/**
 * Finds what is told in metric units. Grams in brackets behind ounces are meant: no kitchen scale shows less than a tenth of an ounce.
 * Attributes and styles of drawn pages are not read.
 */
final class MetricWords
{
    private const METRIC = '~[^.;]{0,60}\d\s?(mm|cm|mg|g|kg|cm²|cm³|g/cm³|cm2|cm3)(?![\w/])~u';

    /** @return list<string> what is told, with a few words before it */
    public static function in(mixed $answer): array
    {
        if (is_array($answer) || is_object($answer)) {
            return array_merge([], ...array_map(self::in(...), array_values((array) $answer)));
        }
        if (! is_string($answer)) {
            return [];
        }
        $text = (string) preg_replace(['~<style.*?</style>~s', '~<[^>]*>~', '~oz(</b>)? \([^)]*\)~'], [' ', ' ', 'oz'], $answer);

        return preg_match_all(self::METRIC, $text, $found) > 0 ? $found[0] : [];
    }
}
