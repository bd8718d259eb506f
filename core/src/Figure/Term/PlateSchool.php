<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** How thin plates come to their bend (docs/trade.md, Schools). */
enum PlateSchool: string
{
    case Steamed = 'steam';
    case Dry = 'dry';

    /** What it is called. */
    public function title(): string
    {
        return match ($this) {
            self::Steamed => 'steamed to shape',
            self::Dry => 'bent dry',
        };
    }

    /** Why some work so. */
    public function reason(): string
    {
        return match ($this) {
            self::Steamed => 'They bend round what bears them, and keep it.',
            self::Dry => 'No kettle, and nothing that scalds: bend them as you join them, and stab along the inside of the bend.',
        };
    }
}
