<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Voice\Message;

/** One thing that was weighed or timed, beside what the house's numbers said of it. Immutable. */
final readonly class Observation
{
    /**
     * @param  string  $id  by which it is set aside
     * @param  string  $group  a firmness, "cover" or "inside", or a kind of step
     * @param  Message|string  $what  for a felter
     * @param  float  $expected  by the house's numbers, > 0: grams, or minutes
     * @param  float  $found  > 0, in the same unit
     * @param  string  $figure  name of the figure it was made for; empty for a piece for itself
     * @param  bool  $isAside  whether the felter took it out of what is learned
     */
    public function __construct(
        public string $id,
        public Quantity $quantity,
        public string $group,
        public Message|string $what,
        public float $expected,
        public float $found,
        public string $figure = '',
        public bool $isAside = false,
    ) {
    }

    public function aside(): self
    {
        return new self($this->id, $this->quantity, $this->group, $this->what, $this->expected, $this->found, $this->figure, isAside: true);
    }

    /** The logarithm by which the hand differs here. */
    public function off(): float
    {
        return log($this->found / $this->expected);
    }
}
