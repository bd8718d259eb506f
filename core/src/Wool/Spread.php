<?php

declare(strict_types=1);

namespace Impa\Wool;

/** A weight with its low and high at 80 %: the true one lies between them four times in five. Grams. Immutable. */
final readonly class Spread
{
    /** The standard normal's 90 % point: 80 % lie between minus and plus this (statistical tables). */
    private const Z80 = 1.2815515655;

    private function __construct(
        public float $lowG,
        public float $likelyG,
        public float $highG,
    ) {
    }

    /** @param  float  $sigma  of ln weight */
    public static function around(float $likelyG, float $sigma): self
    {
        $factor = exp(self::Z80 * $sigma);

        return new self($likelyG / $factor, $likelyG, $likelyG * $factor);
    }
}
