<?php

declare(strict_types=1);

namespace Impa\Stash\Supply;

use Impa\Colour\Srgb;
use Impa\Material\Preparation;

/** A wool that a shop sells. Immutable. */
final readonly class Offer
{
    /**
     * @param  int  $days  until it arrives
     * @param  list<array{packG: int, price: float, stock: int}>  $packs
     */
    public function __construct(
        public string $name,
        public ?Srgb $colour,
        public string $material,
        public Preparation $preparation,
        public int $days,
        public array $packs,
    ) {
    }

    public function stockG(): int
    {
        return array_sum(array_map(static fn (array $p): int => $p['packG'] * $p['stock'], $this->packs));
    }
}
