<?php

declare(strict_types=1);

namespace Impa\Wool;

/** What a figure needs of one wool of the stash, or of a colour or material that the stash has not. Immutable. */
final readonly class Need
{
    /**
     * @param  ?StashWool  $wool  none where the stash has nothing for it
     * @param  string  $material  wool or an inside material
     * @param  list<string>  $colours  keys of the figure's colours that it goes into; none for an inside
     * @param  float  $wantG  likely, and the reserve
     */
    public function __construct(
        public ?StashWool $wool,
        public string $material,
        public array $colours,
        public Spread $spread,
        public float $wantG,
    ) {
    }

    /** Grams that must be bought; 0 where the stash has enough. */
    public function lackG(): float
    {
        return max(0.0, $this->wantG - ($this->wool->freeG ?? 0.0));
    }

    public function cost(): float
    {
        return $this->spread->likelyG * ($this->wool->pricePerG ?? 0.0);
    }
}
