<?php

declare(strict_types=1);

namespace Impa\Armature;

/** American wire gauge and millimetres (ASTM B258): each number is 92^(1/39) times as thin as the one before. */
final class Gauge
{
    /** Thickness of number 36, mm. */
    private const THIN_MM = 0.127;

    private const STEP = 92;

    public static function mm(int $awg): float
    {
        return self::THIN_MM * self::STEP ** ((36 - $awg) / 39);
    }

    /** The nearest number. */
    public static function awg(float $mm): int
    {
        return (int) round(36 - 39 * log($mm / self::THIN_MM, self::STEP));
    }
}
