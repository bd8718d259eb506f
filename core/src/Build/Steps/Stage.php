<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

/** The stages of the work as a felter sees them: in the colours of an evening, in the phases of a class. */
enum Stage: string
{
    case Insides = 'insides';
    case Colour = 'colour';
    case Face = 'face';
    case Joining = 'joining';
    case Last = 'last';
}
