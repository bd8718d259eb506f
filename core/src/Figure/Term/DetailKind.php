<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** What is laid on a surface. */
enum DetailKind: string
{
    case Disc = 'disc';
    case Patch = 'patch';
    case Line = 'line';
    case Bead = 'bead';
    case Eye = 'eye';
}
