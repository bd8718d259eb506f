<?php

declare(strict_types=1);

namespace Impa\Stash\Mixing;

use Impa\Colour\Light;
use Impa\Stash\StashWool;

/** A mix of one to three wools for a colour, and how near it comes. Immutable. */
final readonly class Recipe
{
    /**
     * @param  array<int, int>  $percent  by wool, in steps of 5, summing to 100; most first
     * @param  float  $difference  CIEDE2000 to the colour wanted
     * @param  bool  $isCorrected  whether the felter's own swatches had a say
     */
    public function __construct(
        public array $percent,
        public Light $light,
        public float $difference,
        public bool $isCorrected,
    ) {
    }

    /**
     * Grams of each wool, teasing waste included.
     *
     * @return array<int, float>
     */
    public function grams(float $totalG): array
    {
        return array_map(static fn (int $percent): float => $totalG * $percent / 100, $this->percent);
    }

    /**
     * Whether the drawer has what so much of it takes.
     *
     * @param  array<int, StashWool>  $stash
     */
    public function isEnough(array $stash, float $totalG): bool
    {
        foreach ($this->grams($totalG) as $id => $g) {
            if ($g > $stash[$id]->freeG) {
                return false;
            }
        }

        return true;
    }
}
