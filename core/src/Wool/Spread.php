<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Material\HandModel;

/** A weight with its low and high at 80 %: the true one lies between them four times in five. Grams. Immutable. */
final readonly class Spread
{
    private function __construct(
        public float $lowG,
        public float $likelyG,
        public float $highG,
    ) {
    }

    /** @param  float  $sigma  of ln weight */
    public static function around(float $likelyG, float $sigma): self
    {
        $factor = exp(HandModel::Z80 * $sigma);

        return new self($likelyG / $factor, $likelyG, $likelyG * $factor);
    }
}
