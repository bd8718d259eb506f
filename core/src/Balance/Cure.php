<?php

declare(strict_types=1);

namespace Impa\Balance;

/** One way to make a figure stand firmly, with how much of it is enough. Immutable. */
final readonly class Cure
{
    /**
     * @param  string  $kind  flatten, weight, washers, carry or feet
     * @param  float  $amount  the least that is enough
     * @param  string  $unit  mm or g
     * @param  float  $tipDeg  at which lean it tips then
     * @param  string  $text  in words, as it would be said after "to stand firmly: "
     */
    public function __construct(
        public string $kind,
        public float $amount,
        public string $unit,
        public float $tipDeg,
        public string $text,
    ) {
    }
}
