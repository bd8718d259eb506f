<?php

declare(strict_types=1);

namespace Impa\Check\Mending;

/** One way to mend something, with its amounts. Immutable. */
final readonly class Remedy
{
    /**
     * @param  string  $way  in a few words: where felters differ there are several
     * @param  list<string>  $steps  in order
     * @param  float  $mg  of wool that is laid on, 0 for none
     * @param  string  $colour  key of its colour; empty for undyed, or none
     * @param  int  $gauge  of the needle; 0 where none is used
     */
    public function __construct(
        public string $way,
        public array $steps,
        public string $dont,
        public float $minutes,
        public float $mg = 0.0,
        public string $colour = '',
        public int $gauge = 40,
        public string $stabs = 'shallow, slanting',
    ) {
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'way' => $this->way,
            'steps' => $this->steps,
            'dont' => $this->dont,
            'minutes' => $this->minutes,
            'mg' => $this->mg,
            'colour' => $this->colour,
            'needle' => $this->gauge === 0 ? null : ['gauge' => $this->gauge, 'stabs' => $this->stabs],
        ];
    }
}
