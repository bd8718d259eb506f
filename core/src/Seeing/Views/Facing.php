<?php

declare(strict_types=1);

namespace Impa\Seeing\Views;

use Impa\Raster\Raster;
use Impa\Seeing\Foreground\Background;

/**
 * Which way a drawing faces. Every drawing is looked at with its heavier side to the left, and the answer turned back, so
 * that a drawing and its mirror image are seen alike.
 */
final class Facing
{
    public static function isHeavyRight(Raster $raster, Background $ground): bool
    {
        $count = $middle = $mass = 0.0;
        foreach ($ground->figure as $i => $in) {
            if ($in) {
                $count++;
                $middle += $i % $raster->width;
            }
        }
        $middle /= $count;
        // Odd moments about the middle: the plain one is 0 there, so the cube and the brightness decide.
        foreach ($ground->figure as $i => $in) {
            if ($in) {
                $away = ($i % $raster->width - $middle) / $raster->width;
                $mass += $away ** 3 + $away * ($raster->pixels[$i] >> 8 & 255) / 2550;
            }
        }

        return $mass > 0.0;
    }
}
