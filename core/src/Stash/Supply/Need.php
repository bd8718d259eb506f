<?php

declare(strict_types=1);

namespace Impa\Stash\Supply;

use Impa\Stash\StashWool;
use Impa\Trace\Traced;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Spread;

/** What a figure needs of one wool of the stash, or of a colour or material that the stash has not. Immutable. */
final readonly class Need
{
    /**
     * @param  ?StashWool  $wool  none where the stash has nothing for it
     * @param  string  $material  wool or an inside material
     * @param  list<string>  $colours  keys of the figure's colours that it goes into; none for an inside
     * @param  float  $wantG  likely, and the reserve
     * @param  ?Traced  $how  how that comes about, where it was reckoned for one figure
     */
    public function __construct(
        public ?StashWool $wool,
        public string $material,
        public array $colours,
        public Spread $spread,
        public float $wantG,
        public ?Traced $how = null,
    ) {
    }

    /** What it is asked for by: the number of its wool in the stash, else its colours, else its material. */
    public function key(): string
    {
        return $this->wool === null ? implode(' ', $this->colours) ?: $this->material : "wool:{$this->wool->id}";
    }

    /**
     * The wool's name, else what it is or goes into.
     *
     * @param  array<string, string>  $colours  names of the figure's colours, by key
     */
    public function name(array $colours): string
    {
        return match (true) {
            $this->wool !== null => $this->wool->name,
            $this->colours === [] => (string) LedgerLine::word($this->material),
            default => implode(', ', array_map(static fn (string $key): string => $colours[$key], $this->colours)),
        };
    }

    /** How what is free stands to what is wanted: none like it, enough, enough if all goes likely, or short. */
    public function state(): string
    {
        return match (true) {
            $this->wool === null => 'none',
            $this->lackG() <= 0.0 => 'enough',
            $this->wool->freeG >= $this->spread->likelyG => 'tight',
            default => 'short',
        };
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
