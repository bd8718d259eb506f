<?php

declare(strict_types=1);

namespace Impa\Stash;

/** A difference of two colours in words (house choice over CIEDE2000, of which 1 is just visible side by side). */
enum Nearness: string
{
    case Same = 'same';
    case Near = 'near';
    case SideBySide = 'seen side by side';
    case Different = 'different';
    case Nothing = 'nothing like it';

    public static function of(float $difference): self
    {
        return match (true) {
            $difference < 2.0 => self::Same,
            $difference < 5.0 => self::Near,
            $difference <= 10.0 => self::SideBySide,
            default => self::Different,
        };
    }
}
