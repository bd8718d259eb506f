<?php

declare(strict_types=1);

namespace Impa\Figure;

/** When the face is made (trade.md, section 6). */
enum FaceSchool: string
{
    case LooseHead = 'loose-head';
    case FaceFirst = 'face-first';
    case LimbsFirst = 'limbs-first';
}
