<?php

declare(strict_types=1);

namespace Impa\Check\Mending;

use Impa\Voice\Message;

/** One way to mend something, with its amounts. Immutable. */
final readonly class Remedy
{
    /**
     * @param  Message  $way  in a few words: where felters differ there are several
     * @param  list<Message>  $steps  in order
     * @param  float  $mg  of wool that is laid on, 0 for none
     * @param  string  $colour  key of its colour; empty for undyed, or none
     * @param  int  $gauge  of the needle; 0 where none is used
     * @param  string  $stabs  a code of lang/, steps.stab
     */
    public function __construct(
        public Message $way,
        public array $steps,
        public Message $dont,
        public float $minutes,
        public float $mg = 0.0,
        public string $colour = '',
        public int $gauge = 40,
        public string $stabs = 'shallow-slanting',
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
            'needle' => $this->gauge === 0 ? null : ['gauge' => $this->gauge, 'stabs' => Message::of('steps.stab.'.$this->stabs)],
        ];
    }
}
