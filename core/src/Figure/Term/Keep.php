<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** What a detail keeps that would slide round the edge of its part: how it is seen, or how large it lies on the wool. */
enum Keep: string
{
    case Unsaid = '';
    case AsDrawn = 'drawn';
    case InSize = 'size';
}
