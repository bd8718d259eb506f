<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** How a detail is made. */
enum Method: string
{
    case Felt = 'felt';
    case Bead = 'bead';
    case ReadyMade = 'ready-made';
    case Stitch = 'stitch';
    case Paint = 'paint';
    case Pin = 'pin';
}
