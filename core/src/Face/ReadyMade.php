<?php

declare(strict_types=1);

namespace Impa\Face;

/** Beads and ready-made eyes in the sizes that are sold: whole and half millimetres (common practice). */
final class ReadyMade
{
    public const SMALLEST_MM = 2.0;

    public const LARGEST_MM = 12.0;

    public static function nearest(float $mm): float
    {
        return max(self::SMALLEST_MM, min(self::LARGEST_MM, round(2 * $mm) / 2));
    }

    public static function isSold(float $mm): bool
    {
        return abs($mm - self::nearest($mm)) < 1e-6;
    }
}
