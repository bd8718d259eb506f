<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

/** How a wire is made up. Immutable. */
final readonly class WireMade
{
    /**
     * @param  float  $endLoopMm  across a loop at its last point, a hand or a paw; 0 for none
     * @param  string  $wrapped  key of the colour that is wound round it, or empty
     */
    public function __construct(public bool $doubled = false, public float $endLoopMm = 0.0, public string $wrapped = '')
    {
    }
}
