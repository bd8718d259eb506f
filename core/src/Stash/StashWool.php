<?php

declare(strict_types=1);

namespace Impa\Stash;

use Impa\Colour\Srgb;
use Impa\Material\Preparation;

/** A wool in the drawer, as core sees it. Immutable. */
final readonly class StashWool
{
    /**
     * @param  ?Srgb  $colour  none for what is undyed and not looked at
     * @param  string  $material  wool, core-wool, scrap, stuffing
     * @param  float  $freeG  grams left that no figure has set aside
     * @param  float  $gPerM  grams per metre of a rope; 0 where unknown or no rope
     * @param  float  $pricePerG  0 where unknown
     */
    public function __construct(
        public int $id,
        public string $name,
        public ?Srgb $colour,
        public string $material,
        public Preparation $preparation,
        public float $freeG,
        public float $gPerM = 0.0,
        public float $pricePerG = 0.0,
    ) {
    }

    /** The same, with so much less of it free; never below nothing. */
    public function less(float $g): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->colour,
            $this->material,
            $this->preparation,
            max(0.0, $this->freeG - $g),
            $this->gPerM,
            $this->pricePerG,
        );
    }

    /** Grams per metre as weighed, else as usual for its kind; 0 where it is no rope. */
    public function rope(): float
    {
        return $this->gPerM > 0.0 ? $this->gPerM : $this->preparation->usualGPerM();
    }

    /** Whether a colour of a figure can be felted from it. */
    public function covers(): bool
    {
        return $this->colour !== null && $this->material === 'wool';
    }
}
