<?php

declare(strict_types=1);

namespace Impa\Wool;

/** How much more than likely to have at hand, by how bad running out would be. */
enum Reserve: string
{
    case Again = 'again';
    case Usual = 'usual';
    case Never = 'never';

    /** How often what is set aside is enough. */
    public function enough(): float
    {
        return match ($this) {
            self::Again => 0.7,
            self::Usual => 0.9,
            self::Never => 0.98,
        };
    }

    /** The standard normal's point for that (statistical tables: 0.5244, 1.2816, 2.0537). */
    private function z(): float
    {
        return match ($this) {
            self::Again => 0.5244,
            self::Usual => 1.2816,
            self::Never => 2.0537,
        };
    }

    public function g(float $likelyG, float $sigma = Spread::PRIOR_SIGMA): float
    {
        return $likelyG * exp($this->z() * $sigma);
    }
}
