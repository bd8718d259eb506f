<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

/** How long a step takes. Immutable. */
final readonly class StepTime
{
    /** @param  float  $waitMinutes  drying, during which other steps go on */
    public function __construct(public float $minutes, public float $waitMinutes = 0.0)
    {
    }
}
