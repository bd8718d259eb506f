<?php

declare(strict_types=1);

namespace Impa\Wool\Portion;

use Impa\Voice\Amount;

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

    public static function words(float $mg): string
    {
        $thick = self::thickMm($mg);
        $like = match (true) {
            $thick < 0.5 => 'as thin as sewing thread',
            $thick < 1.2 => 'as thin as string',
            $thick < 2.6 => 'as thick as a match',
            $thick < 5.0 => 'as thick as a straw',
            default => 'as thick as a pencil',
        };

        return sprintf('a strand of %s, twisted %s thick: %s', Amount::mm(self::LONG_MM), Amount::mm($thick), $like);
    }
}
