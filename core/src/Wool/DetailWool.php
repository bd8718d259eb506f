<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Figure\Detail;
use Impa\Figure\Method;
use Impa\Material\Densities;

/** The wisp that one detail takes. */
final class DetailWool
{
    /** Milligrams of wool for one piece; 0 for what is not felted. */
    public static function mg(Detail $detail, Densities $densities): float
    {
        return $detail->method === Method::Felt ? $detail->areaMm2() * $densities->wispMgPerMm2 : 0.0;
    }
}
