<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Geometry\Box;
use Impa\Render\FlatArea;

/** What a piece or a detail is called on a photo: of a pair, as the viewer sees it. */
final class Names
{
    public static function of(FlatArea $layer): string
    {
        $name = mb_strtolower($layer->detail->name ?? $layer->piece->part->name);
        $isPair = $layer->piece->part->stand->mirror || ($layer->detail->lie->mirror ?? false);

        return ($isPair ? (self::middle($layer)[0] < 0.0 ? 'left ' : 'right ') : '').$name;
    }

    /** @return array{float, float} of its box, mm */
    public static function middle(FlatArea $layer): array
    {
        return Box::around($layer->loops[0])->middle();
    }
}
