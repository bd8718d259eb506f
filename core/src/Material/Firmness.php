<?php

declare(strict_types=1);

namespace Impa\Material;

/** How hard a part is felted; what that comes to in grams is said by Densities, in minutes by Pace. */
enum Firmness: string
{
    case Squishy = 'squishy';
    case Soft = 'soft';
    case Springy = 'springy';
    case Firm = 'firm';
    case Hard = 'hard';
}
