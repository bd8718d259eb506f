<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Figure\Detail;
use Impa\Figure\DetailKind;
use Impa\Figure\Method;
use Impa\Wool\Firmness;

/** How long hands need, in minutes: house priors (design.md, section 4) until the felter's own log is known. */
final class Minutes
{
    public const JOIN = 4.0;

    public const HIDE = 2.0;

    public const DRYING = 20.0;

    public const PORTION = 3.0;

    public const INSPECT = 5.0;

    /** A rest after so much work, and how long (HSE INDG36: short and often; trade.md, section 8). */
    public const REST_AFTER = 30.0;

    public const REST = 5.0;

    /** From this weight a holder of three needles is used for the bulk, which halves the time. */
    public const HOLDER_FROM_G = 1.5;

    private const SURFACE_PER_CM2 = 0.15;

    private const FACE_PER_CM2 = 0.4;

    public static function bulk(float $g, Firmness $firmness): float
    {
        return 2 * $g ** 0.85 * $firmness->effort() / (self::holder($g) > 1 ? 2 : 1);
    }

    /** @param  bool  $bearsFace whether a face goes on its front half, which must be smoother */
    public static function surface(float $areaCm2, bool $bearsFace): float
    {
        return $areaCm2 * ($bearsFace ? (self::SURFACE_PER_CM2 + self::FACE_PER_CM2) / 2 : self::SURFACE_PER_CM2);
    }

    public static function detail(Detail $detail, bool $isSpark): float
    {
        return match (true) {
            $detail->method !== Method::Felt => 3.0,
            $detail->kind === DetailKind::Line => 5.0,
            $isSpark => 2.0,
            default => 4.0,
        };
    }

    /** Needles in the holder for so many grams. */
    public static function holder(float $g): int
    {
        return $g >= self::HOLDER_FROM_G ? 3 : 1;
    }
}
