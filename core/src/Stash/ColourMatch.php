<?php

declare(strict_types=1);

namespace Impa\Stash;

/** What a colour of the figure is felted from: one wool or a mix. Immutable. */
final readonly class ColourMatch
{
    /**
     * @param  array<int, float>  $shares  by the stash's number, summing to 1; empty where nothing passes
     * @param  string  $hex  what it comes out as; the drawn colour where nothing passes
     * @param  ?float  $difference  CIEDE2000 to the drawn colour; none where nothing passes
     * @param  bool  $isChosen  by the felter, not the nearest by default
     * @param  list<string>  $gone  names of chosen wools that are not in the stash any more
     */
    public function __construct(
        public string $colour,
        public array $shares,
        public string $hex,
        public ?float $difference,
        public bool $isChosen,
        public array $gone = [],
    ) {
    }

    public function nearness(): Nearness
    {
        return $this->difference === null ? Nearness::Nothing : Nearness::of($this->difference);
    }
}
