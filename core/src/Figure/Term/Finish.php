<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** What the surface is worked to. */
enum Finish: string
{
    case Smooth = 'smooth';
    case Rough = 'rough';
    case Fluffy = 'fluffy';
    case Loops = 'loops';
    case Tufts = 'tufts';
}
