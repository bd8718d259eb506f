<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** How a part sits in what it is joined to. */
enum SeatWay: string
{
    /** It stands by itself, or is a layer that is laid. */
    case Apart = 'apart';
    /** Its end goes in, and is made with the rest. */
    case In = 'in';
    /** It is felted onto it: what would lie within is not made. */
    case Onto = 'onto';
    /** It lies wholly within, and nobody sees it. */
    case Hidden = 'hidden';
}
