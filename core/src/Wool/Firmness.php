<?php

declare(strict_types=1);

namespace Impa\Wool;

/** How hard a part is felted. Densities are house priors (design.md, section 4), until the felter's own are known. */
enum Firmness: string
{
    case Squishy = 'squishy';
    case Soft = 'soft';
    case Springy = 'springy';
    case Firm = 'firm';
    case Hard = 'hard';

    /** Density of wool fibre itself in g/cm3, the ceiling for any felt (Morton and Hearle). */
    public const FIBRE_G_PER_CM3 = 1.31;

    /** Density of the felted part in g/cm3. */
    public function gPerCm3(): float
    {
        return match ($this) {
            self::Squishy => 0.08,
            self::Soft => 0.11,
            self::Springy => 0.15,
            self::Firm => 0.18,
            self::Hard => 0.22,
        };
    }

    /** How much longer the bulk takes than for a springy part (house prior). */
    public function effort(): float
    {
        return match ($this) {
            self::Squishy => 0.6,
            self::Soft => 0.8,
            self::Springy => 1.0,
            self::Firm => 1.3,
            self::Hard => 1.7,
        };
    }
}
