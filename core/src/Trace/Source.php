<?php

declare(strict_types=1);

namespace Impa\Trace;

use Impa\Voice\Message;

/** Where a number that is put into a sum comes from. */
enum Source: string
{
    /** What the figure says: a width, a count, a firmness. */
    case Figure = 'figure';
    /** Reckoned from its shapes. */
    case Shapes = 'shapes';
    /** A standard, a handbook. */
    case Published = 'published';
    case Common = 'common';
    /** Our own choice until her own records take its place. */
    case House = 'house';
    /** Her own records, needles, yarn. */
    case Own = 'own';
    /** A unit or a whole, which needs no reason. */
    case Unit = 'unit';

    public function word(): Message
    {
        return Message::of('trace.source.'.$this->value);
    }
}
