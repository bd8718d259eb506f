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

    /** Glued or painted: it wants time to dry, and fresh air. */
    public function dries(): bool
    {
        return in_array($this, [self::ReadyMade, self::Paint, self::Pin], true);
    }

    /** Small and hard, or sharp: with it the figure is no toy. */
    public function isHard(): bool
    {
        return in_array($this, [self::Bead, self::ReadyMade, self::Pin], true);
    }

    /** Held by thread, whose ends must be hidden. */
    public function isSewn(): bool
    {
        return in_array($this, [self::Bead, self::Stitch], true);
    }
}
