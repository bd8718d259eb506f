<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

use Impa\Voice\Message;

/** When the face is made (docs/trade.md, Schools). */
enum FaceSchool: string
{
    case LooseHead = 'loose-head';
    case FaceFirst = 'face-first';
    case LimbsFirst = 'limbs-first';

    /** What it is called. */
    public function title(): Message
    {
        return match ($this) {
            self::LooseHead => Message::of('figure.face-school.face-on-the-loose'),
            self::FaceFirst => Message::of('figure.face-school.face-first'),
            self::LimbsFirst => Message::of('figure.face-school.limbs-first'),
        };
    }

    /** Why some work so. */
    public function reason(): Message
    {
        return match ($this) {
            self::LooseHead => Message::of('figure.face-school.best-reach-the-head'),
            self::FaceFirst => Message::of('figure.face-school.the-face-shows-where'),
            self::LimbsFirst => Message::of('figure.face-school.the-face-is-placed'),
        };
    }
}
