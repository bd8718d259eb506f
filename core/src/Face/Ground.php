<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Colour\Ciede2000;
use Impa\Figure\Detail;
use Impa\Figure\DetailKind;
use Impa\Figure\Figure;
use Impa\Shape\Outline;

/** What a detail really lies on: the topmost lower detail under its middle, else the part itself. */
final class Ground
{
    /** Key of the colour it lies on. */
    public static function colour(Figure $figure, Detail $detail): string
    {
        $colour = $figure->parts[$detail->on]->colour;
        [$x, $y] = $detail->middle();
        foreach ($figure->detailsOn($detail->on) as $lower) {
            if ($lower->layer < $detail->layer && $lower->side === $detail->side && $lower->kind !== DetailKind::Line) {
                $outline = $lower->outline();
                $twin = array_map(static fn (array $p): array => [-$p[0], $p[1]], $outline);
                foreach ($lower->mirror ? [$outline, $twin] : [$outline] as $loop) {
                    $colour = Outline::reach($loop, ...Outline::centroid($loop), ...[$x, $y]) <= 1.0 ? $lower->colour : $colour;
                }
            }
        }

        return $colour;
    }

    /** CIEDE2000 between a detail and what it lies on. */
    public static function difference(Figure $figure, Detail $detail): float
    {
        return Ciede2000::between($figure->colours[$detail->colour]->srgb->lab(), $figure->colours[self::colour($figure, $detail)]->srgb->lab());
    }
}
