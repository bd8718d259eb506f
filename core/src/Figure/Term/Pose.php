<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** How the finished figure is kept. */
enum Pose: string
{
    case Stand = 'stand';
    case Sit = 'sit';
    case Lie = 'lie';
    case Hang = 'hang';
}
