<?php

declare(strict_types=1);

namespace Impa\Check;

use Impa\Geometry\Box;
use Impa\Render\Layer;

/** What a piece or a detail is called on a photo: of a pair, as the viewer sees it. */
final class Names
{
    public static function of(Layer $layer): string
    {
        $name = mb_strtolower($layer->detail->name ?? $layer->piece->part->name);
        $isPair = $layer->piece->part->mirror || ($layer->detail->mirror ?? false);

        return ($isPair ? (self::middle($layer)[0] < 0.0 ? 'left ' : 'right ') : '').$name;
    }

    /** @return array{float, float} of its box, mm */
    public static function middle(Layer $layer): array
    {
        return Box::around($layer->loops[0])->middle();
    }
}
