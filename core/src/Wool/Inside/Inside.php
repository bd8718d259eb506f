<?php

declare(strict_types=1);

namespace Impa\Wool\Inside;

use Impa\Material\CoreMaterial;
use Impa\Voice\Message;

/** One way to fill a part, and what it comes to. Immutable. */
final readonly class Inside
{
    /**
     * @param  float  $insideG  and of the cover, grams of one piece, waste included
     * @param  float  $finishedG  what one piece weighs
     * @param  Message  $what  the word for it, with the stock size of foam
     * @param  ?Message  $reason  why it is advised; nothing where it is not
     */
    public function __construct(
        public CoreMaterial $material,
        public Message $what,
        public float $insideG,
        public float $coverG,
        public float $finishedG,
        public ?Message $reason,
    ) {
    }

    public function because(Message $reason): self
    {
        return new self($this->material, $this->what, $this->insideG, $this->coverG, $this->finishedG, $reason);
    }
}
