<?php

declare(strict_types=1);

namespace App\Shop;

/** How the stand-in for a shop behaves today. */
enum Mood: string
{
    case Open = 'open';
    case Slow = 'slow';
    case SoldOut = 'sold-out';
    case Closed = 'closed';
}
