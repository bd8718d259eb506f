<?php

declare(strict_types=1);

namespace Impa\Wool\Portion;

use Impa\Wool\Ledger\LedgerLine;

/** A line of the ledger as it is weighed before anything is felted, and how it is divided. Immutable. */
final readonly class Portion
{
    /**
     * @param  float  $cmEach  of sliver or tops for one piece; 0 where the wool is no rope
     * @param  float  $fluffG  of each piece, the end that stays unfelted; 0 where none does
     * @param  list<float>  $layersG  of each piece, from the small first ball outwards; one where it is laid at once
     */
    public function __construct(
        public LedgerLine $line,
        public float $cmEach,
        public float $fluffG,
        public array $layersG,
    ) {
    }

    /** @return array<string, mixed> for the Wool station: see docs/wool.md */
    public function document(): array
    {
        return [
            'part' => $this->line->for->part,
            'purpose' => $this->line->purpose->value,
            'material' => $this->line->material,
            'colour' => $this->line->for->colour,
            'g' => $this->line->allG(),
            'pieces' => $this->line->pieces,
            'eachG' => $this->line->g,
            'cmEach' => $this->cmEach,
            'fluffG' => $this->fluffG,
            'layersG' => $this->layersG,
        ];
    }
}
