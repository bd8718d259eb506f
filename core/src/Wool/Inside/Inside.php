<?php

declare(strict_types=1);

namespace Impa\Wool\Inside;

use Impa\Material\CoreMaterial;

/** One way to fill a part, and what it comes to. Immutable. */
final readonly class Inside
{
    /**
     * @param  float  $insideG  and of the cover, grams of one piece, waste included
     * @param  float  $finishedG  what one piece weighs
     * @param  string  $what  the word for it, with the stock size of foam
     * @param  string  $reason  why it is advised; empty where it is not
     */
    public function __construct(
        public CoreMaterial $material,
        public string $what,
        public float $insideG,
        public float $coverG,
        public float $finishedG,
        public string $reason,
    ) {
    }

    public function because(string $reason): self
    {
        return new self($this->material, $this->what, $this->insideG, $this->coverG, $this->finishedG, $reason);
    }
}
