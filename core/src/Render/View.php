<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Figure\Term\Side;

/** The pictures made of a figure. The side is seen from the viewer's right. */
enum View: string
{
    case Front = 'front';
    case Side = 'side';
    case Back = 'back';
    case Top = 'top';

    public function side(): Side
    {
        return match ($this) {
            self::Front => Side::Front,
            self::Side => Side::Right,
            self::Back => Side::Back,
            self::Top => Side::Top,
        };
    }
}
