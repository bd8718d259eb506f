<?php

declare(strict_types=1);

namespace Impa\Stash\Table;

/** How a wool is sold: what a pack costs, how much is in it, in grams, and who makes it; as far as it is known. Immutable. */
final readonly class Pack
{
    public function __construct(public ?float $price, public ?float $g, public string $maker)
    {
    }

    /** In the money of the price; 0 where it is not known. */
    public function pricePerG(): float
    {
        return $this->price !== null && $this->g !== null && $this->g > 0.0 ? $this->price / $this->g : 0.0;
    }
}
