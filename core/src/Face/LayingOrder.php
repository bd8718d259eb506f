<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Figure\Detail;
use Impa\Figure\Figure;

/** In which order details are laid: underlays first, then big before small, the middle line before the sides, light before dark. */
final class LayingOrder
{
    /** So close to the middle line is on it, mm. */
    private const ON_LINE_MM = 1.0;

    /**
     * @param  list<Detail>  $details
     * @return list<Detail>
     */
    public static function of(Figure $figure, array $details): array
    {
        $ranks = array_map(static fn (Detail $d): array => self::rank($figure, $d), $details);
        asort($ranks);

        return array_map(static fn (int $i): Detail => $details[$i], array_keys($ranks));
    }

    /** @return array{int, int, bool, float} */
    private static function rank(Figure $figure, Detail $detail): array
    {
        return [
            $detail->lie->layer,
            // Alike is what differs by less than half in area.
            -(int) round(log(max(0.01, $detail->drawn->areaMm2()), 2)),
            abs($detail->middle()[0]) > self::ON_LINE_MM,
            -$figure->colours[$detail->colour]->srgb->lab()->l,
        ];
    }
}
