<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;
use Impa\Figure\Picture;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\FineRaster;
use Impa\Raster\Raster;

/**
 * What of a drawing lies inside a line that the felter drew: the pixels of the main colour there. The colour along the line is
 * what she drew round it on, and not meant, unless there is hardly anything else.
 */
final class DrawnInside
{
    /** A colour inside the line is what is meant from this share on. */
    private const MEANT = 0.08;

    /** A pixel of the drawing belongs to what was drawn round when it is so near to its main colour. */
    private const LIKE = 16.0;

    /**
     * @param  array<int, true>  $inside
     * @param  string  $picture  the drawing's file
     * @return array{array<int, true>, string} the pixels, and the colour
     *
     * @throws PictureRefused if it cannot be read
     */
    public static function of(Picture $own, FineRaster $sheet, array $inside, string $picture): array
    {
        $raster = Raster::decode($picture);
        $ground = Background::of($raster);
        $pixelAt = static function (int $pixel) use ($sheet, $own, $raster): int {
            [$x, $y] = $sheet->mm($pixel);
            $px = (int) floor(($own->originXPx + $x / $own->mmPerPx) / $raster->ownPerPx());
            $py = (int) floor(($own->originYPx - $y / $own->mmPerPx) / $raster->ownPerPx());

            return $px < 0 || $py < 0 || $px >= $raster->width || $py >= $raster->height ? -1 : $py * $raster->width + $px;
        };
        $bins = $rim = $at = [];
        foreach ($inside as $pixel => $_) {
            $i = $pixelAt($pixel);
            if ($i >= 0 && $ground->figure[$i]) {
                $at[$pixel] = $raster->pixels[$i] & 0xFFFFFF;
                $bin = $at[$pixel] & 0xF0F0F0;
                $bins[$bin] = ($bins[$bin] ?? 0) + 1;
                $rim[$bin] =
                    ($rim[$bin] ?? 0) +
                    (int) ! isset(
                        $inside[$pixel - 1],
                        $inside[$pixel + 1],
                        $inside[$pixel - $sheet->width],
                        $inside[$pixel + $sheet->width],
                    );
            }
        }
        if ($at === []) {
            return [[], '#999999'];
        }
        arsort($bins);
        arsort($rim);
        $surround = max([0, ...$rim]) > 0.4 * array_sum($rim) ? (int) array_key_first($rim) : -1;
        $meant = array_filter(
            $bins,
            static fn (int $n, int $bin): bool => $bin !== $surround && $n > self::MEANT * count($at),
            ARRAY_FILTER_USE_BOTH,
        );
        $common = (int) array_key_first($meant === [] ? $bins : $meant);
        $main = array_values(array_filter($at, static fn (int $p): bool => ($p & 0xF0F0F0) === $common));
        $mean = static fn (int $shift): int => (int) round(
            array_sum(array_map(static fn (int $p): int => ($p >> $shift) & 255, $main)) / count($main),
        );
        $colour = Srgb::of($mean(16), $mean(8), $mean(0));
        $like = [];
        $known = [];
        foreach ($at as $pixel => $p) {
            if (
                $known[$p] ??=
                    Ciede2000::between($colour->lab(), Srgb::of($p >> 16, ($p >> 8) & 255, $p & 255)->lab()) < self::LIKE
            ) {
                $like[$pixel] = true;
            }
        }

        return [$like, $colour->toHex()];
    }
}
