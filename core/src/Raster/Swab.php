<?php

declare(strict_types=1);

namespace Impa\Raster;

use Impa\Colour\Light;
use Impa\Colour\Srgb;

/**
 * The colour of a place in a photo: the middle one of each channel of linear light over a disc, so that glints and shadows
 * between fibres do not count.
 */
final class Swab
{
    /**
     * @param  float  $x  middle as a share of the width, 0 to 1, from the left
     * @param  float  $y  as a share of the height, from the top
     * @param  float  $radius  as a share of the shorter side
     */
    public static function at(Raster $raster, float $x, float $y, float $radius): Light
    {
        [$cx, $cy, $r] = [$x * $raster->width, $y * $raster->height, max(1.0, $radius * min($raster->width, $raster->height))];
        $red = $green = $blue = [];
        for ($row = (int) max(0, floor($cy - $r)); $row < min($raster->height, $cy + $r); $row++) {
            for ($column = (int) max(0, floor($cx - $r)); $column < min($raster->width, $cx + $r); $column++) {
                if (hypot($column + 0.5 - $cx, $row + 0.5 - $cy) <= $r) {
                    $pixel = $raster->pixels[$row * $raster->width + $column];
                    $red[] = ($pixel >> 16) & 255;
                    $green[] = ($pixel >> 8) & 255;
                    $blue[] = $pixel & 255;
                }
            }
        }

        return Light::of(self::middle($red), self::middle($green), self::middle($blue));
    }

    /** @param  list<int>  $values  0 to 255 */
    private static function middle(array $values): float
    {
        sort($values);

        return $values === [] ? 0.0 : Srgb::linear($values[intdiv(count($values), 2)]);
    }
}
