<?php

declare(strict_types=1);

namespace Impa\Figure;

/** What was done to a figure so that it stands: how much of its base is flat, and what is hidden in it. Immutable. */
final readonly class Base
{
    /**
     * @param  float  $flattenMm  so much of its lowest parts lies flat on the table; 0 where that is not said
     * @param  list<array{key: string, g: float, atMm: Vec3}>  $weights  hidden in it, and where
     */
    public function __construct(public float $flattenMm = 0.0, public array $weights = [])
    {
    }
}
