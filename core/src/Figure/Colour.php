<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Colour\Srgb;

/** A wool colour of the figure. Immutable. */
final readonly class Colour
{
    /** @param  array<string, int>  $mix  what the felter felts it from: percent by the wool's name; empty for the nearest wool */
    public function __construct(
        public string $key,
        public string $name,
        public Srgb $srgb,
        public array $mix = [],
    ) {
    }

    /** Whether the felter mixes it from several wools. */
    public function isMixed(): bool
    {
        return count($this->mix) > 1;
    }

    /** The name of the one wool that the felter chose for it; null where she chose none, or several. */
    public function chosen(): ?string
    {
        return count($this->mix) === 1 ? (string) array_key_first($this->mix) : null;
    }

    /** @return array<string, float> shares of the wools that the felter chose, by name, summing to 1; empty where she chose none */
    public function shares(): array
    {
        $all = array_sum($this->mix);

        return array_map(static fn (int $percent): float => $percent / $all, $this->mix);
    }
}
