<?php

declare(strict_types=1);

namespace Impa\Build;

/** The kinds of step, in the order of the work where nothing else decides (docs/trade.md, The order of the work). */
enum StepKind: string
{
    case Portion = 'portion';
    case Core = 'core';
    case Cover = 'cover';
    case Felt = 'felt';
    case Covering = 'covering';
    case Detail = 'detail';
    case Join = 'join';
    case Hide = 'hide';
    case Inspect = 'inspect';

    public function rank(): int
    {
        return match ($this) {
            self::Portion => 0,
            self::Core => 1,
            self::Cover, self::Felt => 2,
            self::Detail => 3,
            self::Join, self::Hide => 4,
            self::Covering => 5,
            self::Inspect => 6,
        };
    }
}
