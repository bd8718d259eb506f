<?php

declare(strict_types=1);

namespace Impa\Voice;

/** A language that all words are there in: its folder in lang/, as IETF BCP 47 names it. */
enum Language: string
{
    case English = 'en';
    case German = 'de';

    /** A name in the middle of a sentence: German nouns keep their capital. */
    public function within(string $name): string
    {
        return $this === self::German ? $name : mb_strtolower($name);
    }
}
