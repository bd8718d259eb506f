<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use Closure;
use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoGround;

/** Photos that are painted pixel by pixel, so that all that is on them is known; and what of them stands on the ground, cell by cell. */
final class Painted
{
    public const WIDTH = 360;

    public const HEIGHT = 300;

    /** In cells of the ground. */
    public const CELLS_WIDE = 120;

    public const CELLS_HIGH = 100;

    /** @param  Closure(int, int): array{int|float, int|float, int|float}  $colour  of a pixel: red, green, blue, rounded here */
    public static function photo(Closure $colour, int $width = self::WIDTH, int $height = self::HEIGHT): Photo
    {
        return self::squares($colour, $width, $height, 1);
    }

    /**
     * By cells of the ground, each of one colour.
     *
     * @param  Closure(int, int): ?array{int|float, int|float, int|float}  $colour  of a cell; nothing where it is ground
     * @param  array{int, int, int}  $ground
     */
    public static function cells(Closure $colour, array $ground = [200, 190, 170]): Photo
    {
        $at = static fn (int $x, int $y): array => $colour($x, $y) ?? $ground;

        return self::squares($at, self::CELLS_WIDE, self::CELLS_HIGH, PhotoGround::CELL);
    }

    /** @param  Closure(int, int): array{int|float, int|float, int|float}  $colour  of a square of so many pixels */
    private static function squares(Closure $colour, int $wide, int $high, int $px): Photo
    {
        $image = imagecreatetruecolor(max(1, $wide * $px), max(1, $high * $px));
        for ($y = 0; $y < $high; $y++) {
            for ($x = 0; $x < $wide; $x++) {
                [$r, $g, $b] = array_map(static fn (int|float $c): int => max(0, min(255, (int) round($c))), $colour($x, $y));
                $rgb = $r << 16 | $g << 8 | $b;
                imagefilledrectangle($image, $x * $px, $y * $px, $x * $px + $px - 1, $y * $px + $px - 1, $rgb);
            }
        }
        ob_start();
        imagepng($image, null, 1);

        return Photo::of((string) ob_get_clean());
    }

    /**
     * The cells of a box: columns from, to; rows from, to, all of them in it.
     *
     * @return list<int> sorted
     */
    public static function box(int $left, int $right, int $top, int $bottom): array
    {
        $cells = [];
        for ($y = $top; $y <= $bottom; $y++) {
            for ($x = $left; $x <= $right; $x++) {
                $cells[] = $y * self::CELLS_WIDE + $x;
            }
        }

        return $cells;
    }

    public static function isIn(int $x, int $y, int $left, int $right, int $top, int $bottom): bool
    {
        return $x >= $left && $x <= $right && $y >= $top && $y <= $bottom;
    }

    /**
     * @param  array<int, true>  $cells
     * @return list<int> sorted
     */
    public static function sorted(array $cells): array
    {
        $keys = array_keys($cells);
        sort($keys);

        return $keys;
    }
}
