<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** What the layers of a flat figure are made of (docs/flat.md); none where the figure is made in the round. */
enum FlatWay: string
{
    case None = 'none';
    case Sheet = 'sheet';
    case Batting = 'batting';
}
