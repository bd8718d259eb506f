<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Geometry\Box;
use Impa\Render\FlatArea;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Said;

/** What a piece or a detail is called on a photo: of a pair, as the viewer sees it. */
final class Names
{
    public static function of(FlatArea $layer): Said
    {
        $name = new Name($layer->detail->name ?? $layer->piece->part->name);
        $isPair = $layer->piece->part->stand->mirror || ($layer->detail->lie->mirror ?? false);

        return match (true) {
            ! $isPair => $name,
            self::middle($layer)[0] < 0.0 => Message::of('check.names.left', name: $name),
            default => Message::of('check.names.right', name: $name),
        };
    }

    /** @return array{float, float} of its box, mm */
    public static function middle(FlatArea $layer): array
    {
        return Box::around($layer->loops[0])->middle();
    }
}
