<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

/** What a line of the ledger is for. */
enum Purpose: string
{
    case Inside = 'inside';
    case Cover = 'cover';
    case Covering = 'covering';
    case Film = 'film';
    case Detail = 'detail';

    /** What its grams are asked for by, where a felter wants to know how they came about (Plan/Numbers). */
    public function number(): string
    {
        return match ($this) {
            self::Inside => 'core',
            self::Cover => 'cover',
            self::Covering => 'covering',
            self::Film => 'film',
            self::Detail => 'wisp',
        };
    }
}
