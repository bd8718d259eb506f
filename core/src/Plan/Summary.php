<?php

declare(strict_types=1);

namespace Impa\Plan;

/** What a shelf keeps of a plan, so that its cards reckon none. Immutable. */
final readonly class Summary
{
    /** One more whenever the rules tell any figure other numbers than before: what was kept under an older one is reckoned anew. */
    public const VERSION = 1;

    /**
     * @param  float  $totalG  to weigh out, likely
     * @param  list<string>  $steps  keys, in the order of work
     */
    public function __construct(public float $totalG, public float $handsMinutes, public array $steps)
    {
    }

    public static function of(Plan $plan): self
    {
        return new self($plan->totalG(), $plan->handsMinutes(), $plan->work()->keys());
    }

    /** Whether a felter sees the same numbers. */
    public function tells(self $other): bool
    {
        return $this->steps === $other->steps && abs($this->totalG - $other->totalG) < 5e-5
            && abs($this->handsMinutes - $other->handsMinutes) < 5e-3;
    }
}
