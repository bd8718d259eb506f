<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

use Impa\Voice\Message;

/** How thin plates come to their bend (docs/trade.md, Schools). */
enum PlateSchool: string
{
    case Steamed = 'steam';
    case Dry = 'dry';

    /** What it is called. */
    public function title(): Message
    {
        return match ($this) {
            self::Steamed => Message::of('figure.plate-school.steamed-to-shape'),
            self::Dry => Message::of('figure.plate-school.bent-dry'),
        };
    }

    /** Why some work so. */
    public function reason(): Message
    {
        return match ($this) {
            self::Steamed => Message::of('figure.plate-school.they-bend-round-what'),
            self::Dry => Message::of('figure.plate-school.no-kettle-and-nothing'),
        };
    }
}
