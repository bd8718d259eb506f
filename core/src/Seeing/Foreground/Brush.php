<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

/** What the felter says of a place on a drawing by brushing over it. */
enum Brush: string
{
    case Paper = 'paper';
    case Figure = 'figure';
    case Ink = 'ink';
}
