<?php

declare(strict_types=1);

namespace Impa\Wool\Portion;

use Impa\Voice\Amount;
use Impa\Voice\Message;

/** A few milligrams in plain terms: a strand of tops, twisted between two fingers. */
final class Wisp
{
    /** Density of a strand twisted tight by hand, g/cm3 (house prior). */
    private const TWISTED_G_PER_CM3 = 0.3;

    private const LONG_MM = 30.0;

    /** Thickness in mm of a twisted strand of 30 mm that weighs so much. */
    public static function thickMm(float $mg): float
    {
        return sqrt(4 * $mg / 1000 / (M_PI * self::TWISTED_G_PER_CM3 * self::LONG_MM / 10)) * 10;
    }

    public static function words(float $mg): Message
    {
        $thick = self::thickMm($mg);
        $like = match (true) {
            $thick < 0.5 => Message::of('wool.like.sewing-thread'),
            $thick < 1.2 => Message::of('wool.like.string'),
            $thick < 2.6 => Message::of('wool.like.match'),
            $thick < 5.0 => Message::of('wool.like.straw'),
            default => Message::of('wool.like.pencil'),
        };

        return Message::of('wool.like.strand', long: Amount::mm(self::LONG_MM), thick: Amount::mm($thick), like: $like);
    }
}
