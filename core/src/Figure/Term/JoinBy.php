<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** How a part is fixed to another (docs/trade.md, Schools). */
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
