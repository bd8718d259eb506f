<?php

declare(strict_types=1);

namespace Impa\Stash;

use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;

/** Finds in the drawer what a colour of the figure can be felted from. */
final class NearestWool
{
    /** Up to this CIEDE2000 a wool passes for the drawn colour; beyond it, it is another colour (house choice). */
    public const PASSES = 10.0;

    /**
     * The nearest wool of the stash.
     *
     * @param  array<int|string, Srgb>  $wools  by the caller's own key
     * @return array{int|string, float}|array{} its key and the difference; empty where none passes
     */
    public static function nearest(Srgb $colour, array $wools): array
    {
        $best = [];
        $least = self::PASSES;
        foreach ($wools as $key => $wool) {
            $difference = Ciede2000::between($colour->lab(), $wool->lab());
            if ($difference <= $least) {
                $least = $difference;
                $best = [$key, $difference];
            }
        }

        return $best;
    }
}
