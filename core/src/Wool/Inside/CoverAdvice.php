<?php

declare(strict_types=1);

namespace Impa\Wool\Inside;

use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;

/** How thick a cover must be for no core to show through: the more the two differ, the thicker (house choice). Immutable. */
final readonly class CoverAdvice
{
    /** Undyed core wool: a warm off-white (house value). */
    public const UNDYED = '#efe6d2';

    private const LEAST_MM = 2.0;

    private const UNEVEN_MM = 0.6;

    /** Added at a difference of 60 and above. */
    private const MORE_MM = 2.0;

    private const AT = 60.0;

    /** A pale cover over a dark core lets it show as grey; it takes so much more. */
    private const PALE_OVER_DARK_MM = 0.5;

    private function __construct(
        public float $coverMm,
        public float $difference,
    ) {
    }

    /** Whether it is worth saying beside a cover of so much: half a millimetre is within the hand's own unevenness (house choice). */
    public function differsFrom(float $coverMm): bool
    {
        return abs($this->coverMm - $coverMm) > self::UNEVEN_MM;
    }

    public static function of(Srgb $core, Srgb $cover): self
    {
        [$in, $out] = [$core->lab(), $cover->lab()];
        $difference = Ciede2000::between($in, $out);
        $mm = self::LEAST_MM + self::MORE_MM * min(1.0, $difference / self::AT) + ($out->l - $in->l > 20.0 ? self::PALE_OVER_DARK_MM : 0.0);

        return new self(round(2 * $mm) / 2, $difference);
    }
}
