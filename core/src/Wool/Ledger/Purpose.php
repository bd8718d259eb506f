<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

/** What a line of the ledger is for. */
enum Purpose: string
{
    case Inside = 'inside';
    case Cover = 'cover';
    case Covering = 'covering';
    case Film = 'film';
    case Detail = 'detail';
}
