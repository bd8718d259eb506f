<?php

declare(strict_types=1);

namespace Impa\Wool;

/** When a weight is right. */
final class Grams
{
    /** A portion is right within this share of it, or what a pocket scale can show (house choice), g. */
    private const WITHIN = 0.05;

    private const SCALE_G = 0.02;

    /** How far a portion may be off and still be right, g. */
    public static function withinG(float $g): float
    {
        return max(self::SCALE_G, self::WITHIN * $g);
    }
}
