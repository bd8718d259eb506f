<?php

declare(strict_types=1);

namespace Impa\Colour;

/** Lab of pixels, remembered: a drawing has few colours and many pixels. */
final class LabTable
{
    /** Remembered at most, so that photographs do not fill the memory. */
    private const MOST = 65536;

    /** @var array<int, Lab3> */
    private static array $known = [];

    /** @return Lab3 l, a, b */
    public static function of(int $pixel): array
    {
        $rgb = $pixel & 0xFFFFFF;
        if (isset(self::$known[$rgb])) {
            return self::$known[$rgb];
        }
        if (count(self::$known) >= self::MOST) {
            self::$known = [];
        }
        $lab = Srgb::of($rgb >> 16, $rgb >> 8 & 255, $rgb & 255)->lab();

        return self::$known[$rgb] = [$lab->l, $lab->a, $lab->b];
    }

    /**
     * Squared plain distance in Lab: coarser than CIEDE2000, but quick.
     *
     * @param  Lab3  $one
     * @param  Lab3  $two
     */
    public static function squared(array $one, array $two): float
    {
        return ($one[0] - $two[0]) ** 2 + ($one[1] - $two[1]) ** 2 + ($one[2] - $two[2]) ** 2;
    }
}
