<?php

declare(strict_types=1);

namespace Impa\Figure;

/** How a part is fixed to another (trade.md, section 6). */
enum JoinBy: string
{
    case Fluff = 'fluff';
    case Slit = 'slit';
    case Neck = 'neck';
    case Wrap = 'wrap';
    case Sandwich = 'sandwich';
    case Sew = 'sew';
    case Glue = 'glue';
    case Wire = 'wire';
}
