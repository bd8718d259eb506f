<?php

declare(strict_types=1);

namespace Impa\Surface;

use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;

/** How much skin lies under what is seen of a piece: round its edge more than it seems. */
final class Skin
{
    /** Cells across and up. */
    private const CELLS = 8;

    /**
     * The skin under an outline, as so many times the area that is seen; 1 or more. What is seen beside the piece counts as seen.
     *
     * @param  non-empty-list<array{float, float}>  $outline  as seen, in mm from the middle of the piece
     */
    public static function under(Surface $surface, array $outline): float
    {
        $box = Box::around($outline);
        [$w, $h] = [$box->width() / self::CELLS, $box->height() / self::CELLS];
        if ($w <= 0.0 || $h <= 0.0) {
            return 1.0;
        }
        $at = [];
        for ($j = 0; $j <= self::CELLS; $j++) {
            for ($i = 0; $i <= self::CELLS; $i++) {
                $at[$j][$i] = $surface->heightMm($box->left + $i * $w, $box->low + $j * $h, $at[$j][$i - 1] ?? $at[$j - 1][$i] ?? NAN);
            }
        }
        [$seen, $skin] = [0, 0.0];
        for ($j = 0; $j < self::CELLS; $j++) {
            for ($i = 0; $i < self::CELLS; $i++) {
                if (! Polygon::has($outline, $box->left + ($i + 0.5) * $w, $box->low + ($j + 0.5) * $h)) {
                    continue;
                }
                $seen++;
                // A cell by its two diagonals; one over the edge by those of its corners that are on the piece.
                [$a, $b, $c, $d] = [$at[$j][$i], $at[$j][$i + 1], $at[$j + 1][$i], $at[$j + 1][$i + 1]];
                $acrossRise = is_nan($b - $a) ? $d - $c : (is_nan($d - $c) ? $b - $a : ($b - $a + $d - $c) / 2);
                $upRise = is_nan($c - $a) ? $d - $b : (is_nan($d - $b) ? $c - $a : ($c - $a + $d - $b) / 2);
                $slope = ($acrossRise / $w) ** 2 + ($upRise / $h) ** 2;
                $skin += is_nan($slope) ? 1.0 : sqrt(1 + $slope);
            }
        }

        return $seen > 0 ? $skin / $seen : 1.0;
    }
}
