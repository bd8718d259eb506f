<?php

declare(strict_types=1);

namespace Impa\Voice;

/** In which units a felter thinks. */
enum Units: string
{
    case Metric = 'metric';
    case Imperial = 'imperial';
}
