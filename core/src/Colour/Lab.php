<?php

declare(strict_types=1);

namespace Impa\Colour;

/** CIE L*a*b* for D65 and the 2 degree observer: l 0 to 100, a and b about -128 to 127. Immutable. */
final readonly class Lab
{
    /** White point D65 (IEC 61966-2-1: x = 0.3127, y = 0.3290). */
    private const WHITE_X = 0.3127 / 0.3290;

    private const WHITE_Z = (1 - 0.3127 - 0.3290) / 0.3290;

    private function __construct(
        public float $l,
        public float $a,
        public float $b,
    ) {
    }

    public static function of(float $l, float $a, float $b): self
    {
        return new self($l, $a, $b);
    }

    /** From linear sRGB, each 0 to 1, by the matrix of IEC 61966-2-1. */
    public static function fromLinear(float $red, float $green, float $blue): self
    {
        $x = self::root((0.4124564 * $red + 0.3575761 * $green + 0.1804375 * $blue) / self::WHITE_X);
        $y = self::root(0.2126729 * $red + 0.7151522 * $green + 0.0721750 * $blue);
        $z = self::root((0.0193339 * $red + 0.1191920 * $green + 0.9503041 * $blue) / self::WHITE_Z);

        return new self(116 * $y - 16, 500 * ($x - $y), 200 * ($y - $z));
    }

    /** CIE 15: cube root with a straight piece near black. */
    private static function root(float $v): float
    {
        return $v > 216 / 24389 ? $v ** (1 / 3) : ($v * 24389 / 27 + 16) / 116;
    }
}
