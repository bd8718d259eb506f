<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Material\Densities;
use Impa\Material\HandModel;
use Impa\Material\Pace;

/** What is learned of a hand. */
enum Quantity: string
{
    case Density = 'density';
    case Waste = 'waste';
    case Pace = 'pace';

    /** What is known of it before anything was measured. */
    public function prior(): HandModel
    {
        return match ($this) {
            self::Density => Densities::handPrior(),
            self::Waste => Densities::wastePrior(),
            self::Pace => Pace::handPrior(),
        };
    }
}
