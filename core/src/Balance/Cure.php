<?php

declare(strict_types=1);

namespace Impa\Balance;

use Impa\Voice\Said;

/** One way to make a figure stand firmly, with how much of it is enough. Immutable. */
final readonly class Cure
{
    /**
     * @param  string  $kind  footing, flatten, weight, washers, carry, feet or both: flatten and weight
     * @param  float  $amount  the least that is enough
     * @param  string  $unit  mm or g
     * @param  float  $tipDeg  at which lean it tips then
     * @param  list<string>  $parts  keys of the parts that are moved
     * @param  Vec3  $mm  by how much they are moved, or where weight is hidden
     * @param  float  $g  of the weight, where both go together
     * @param  Said  $text  in words, as it would be said after "to stand firmly: "
     */
    public function __construct(
        public string $kind,
        public float $amount,
        public string $unit,
        public float $tipDeg,
        public Said $text,
        public array $parts = [],
        public array $mm = [0.0, 0.0, 0.0],
        public float $g = 0.0,
    ) {
    }
}
