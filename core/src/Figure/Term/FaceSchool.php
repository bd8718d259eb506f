<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** When the face is made (docs/trade.md, Schools). */
enum FaceSchool: string
{
    case LooseHead = 'loose-head';
    case FaceFirst = 'face-first';
    case LimbsFirst = 'limbs-first';

    /** What it is called. */
    public function title(): string
    {
        return match ($this) {
            self::LooseHead => 'face on the loose head',
            self::FaceFirst => 'face first',
            self::LimbsFirst => 'limbs first',
        };
    }

    /** Why some work so. */
    public function reason(): string
    {
        return match ($this) {
            self::LooseHead => 'Best reach: the head turns freely in the hand, and is joined when the face is right.',
            self::FaceFirst => 'The face shows where limbs can go.',
            self::LimbsFirst => 'The face is placed on the finished body.',
        };
    }
}
