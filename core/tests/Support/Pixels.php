<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use GdImage;
use Impa\Raster\Blob;
use Impa\Raster\Raster;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Segmentation\FlatColours;
use Impa\Seeing\Segmentation\Regions;
use Impa\Shape\Solid;

/** Small drawings and pixel sets for the tests of the picture rooms. */
final class Pixels
{
    public const SIZE = 240;

    /**
     * The pixels of a square sheet for which a test on x, y (middle of the pixel, y up from the middle of the sheet) holds.
     *
     * @param  callable(float, float): bool  $in
     * @return array<int, true>
     */
    public static function where(callable $in, int $size = self::SIZE): array
    {
        $set = [];
        for ($row = 0; $row < $size; $row++) {
            for ($column = 0; $column < $size; $column++) {
                if ($in($column + 0.5 - $size / 2, $size / 2 - $row - 0.5)) {
                    $set[$row * $size + $column] = true;
                }
            }
        }

        return $set;
    }

    /**
     * The pixels under a shape that is turned and moved about the middle of the sheet.
     *
     * @return array<int, true>
     */
    public static function of(Solid $solid, float $turnDeg = 0.0, float $x = 0.0, float $y = 0.0): array
    {
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];

        return self::where(static function (float $px, float $py) use ($solid, $c, $s, $x, $y): bool {
            [$dx, $dy] = [$px - $x, $py - $y];

            return ! is_nan($solid->frontMm($dx * $c + $dy * $s, $dy * $c - $dx * $s));
        });
    }

    /** @param  array<int, true>  $pixels */
    public static function blob(array $pixels, int $size = self::SIZE): Blob
    {
        return Blob::of($pixels, $size);
    }

    /**
     * A map on which the pixels are region 0 and all else is ground.
     *
     * @param  array<int, true>  $pixels
     * @return list<int>
     */
    public static function map(array $pixels, int $size = self::SIZE): array
    {
        $map = array_fill(0, $size * $size, -1);
        foreach ($pixels as $i => $_) {
            $map[$i] = 0;
        }

        return array_values($map);
    }

    /** @return callable(float, float): bool an oval about a place */
    public static function oval(float $x, float $y, float $halfWidth, float $halfHeight): callable
    {
        return static fn (float $px, float $py): bool => hypot(($px - $x) / $halfWidth, ($py - $y) / $halfHeight) <= 1;
    }

    /** @param  callable(GdImage): mixed  $draw */
    public static function png(callable $draw, int $width = 300, int $height = 300): string
    {
        $image = imagecreatetruecolor($width, $height);
        imagefill($image, 0, 0, 0xFFFFFF);
        $draw($image);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    /**
     * The regions of a drawing, and their colours.
     *
     * @param  callable(GdImage): mixed  $draw
     * @return array{Regions, FlatColours}
     */
    public static function regions(callable $draw): array
    {
        $raster = Raster::decode(self::png($draw));
        $ground = Background::of($raster);
        $flat = FlatColours::of($raster, $ground);

        return [Regions::of($flat, $raster, $ground), $flat];
    }
}
