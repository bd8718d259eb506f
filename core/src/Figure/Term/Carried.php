<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** How a figure has a thing with it. */
enum Carried: string
{
    case Held = 'held';
    case Worn = 'worn';
    case Beside = 'beside';
}
