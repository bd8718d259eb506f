<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Figure\Detail;
use Impa\Figure\Method;

/** The wisp that one detail takes. */
final class DetailWool
{
    /** Thickness that lies on the surface, its density, and how much more is driven in (design.md, section 4). */
    private const THICK_MM = 1.5;

    private const G_PER_CM3 = 0.2;

    private const DRIVEN_IN = 1.5;

    /** Milligrams of wool for one piece; 0 for what is not felted. */
    public static function mg(Detail $detail): float
    {
        return $detail->method === Method::Felt
            ? $detail->areaMm2() * self::THICK_MM * self::G_PER_CM3 * self::DRIVEN_IN
            : 0.0;
    }
}
