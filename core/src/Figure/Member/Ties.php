<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

/** What figures of layers are tied or hung by. Immutable. */
final readonly class Ties
{
    /**
     * @param  float  $mm  how wide the ribbon is; 0 where there is none
     * @param  float  $lengthMm  of each end, from its hole
     * @param  list<array{float, float}>  $at  its holes
     */
    public function __construct(
        public float $mm = 0.0,
        public float $lengthMm = 0.0,
        public array $at = [],
    ) {
    }

    /** How wide a hole for it is punched: it is folded in two to go through. */
    public function holeMm(): float
    {
        return max(2.0, $this->mm / 2);
    }
}
