<?php

declare(strict_types=1);

namespace Impa\Render;

/** How far a part has got, in a picture of the work. */
enum PieceState
{
    /** Not made yet. */
    case Ahead;

    /** Its inside is made. */
    case Core;

    /** Made, and lying ready. */
    case Ready;

    /** On the figure. */
    case On;

    /** Worked at now: its inside, or all of it. */
    case LitCore;

    case Lit;
}
