<?php

declare(strict_types=1);

namespace Impa\Wool;

/** What to weigh out for one part in one material, and how to divide it. Immutable. */
final readonly class Portion
{
    /**
     * @param  string  $material  wool or an inside material
     * @param  string  $colour  the figure's colour key; empty for an inside
     * @param  float  $g  of all pieces together, as it is weighed
     * @param  int  $pieces  equal ones
     * @param  float  $cmEach  of sliver or tops for one piece; 0 where the wool is no rope
     * @param  float  $fluffG  of each piece, the end that stays unfelted; 0 where none does
     * @param  list<float>  $layersG  of each piece, from the small first ball outwards; one where it is laid at once
     */
    public function __construct(
        public string $part,
        public string $material,
        public string $colour,
        public float $g,
        public int $pieces,
        public float $cmEach,
        public float $fluffG,
        public array $layersG,
    ) {
    }

    public function eachG(): float
    {
        return $this->g / $this->pieces;
    }
}
