<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Build\Steps\Step;
use Impa\Build\Work;

/** A step that was done while the clock ran, and what it teaches of a hand. Immutable. */
final readonly class TimedStep
{
    /** A shorter stretch at a step was a look, not the work, minutes. */
    public const LEAST_MINUTES = 0.2;

    /** @param  float  $houseMinutes  by the house's pace: a plan's minutes are the hand's own */
    public function __construct(
        public string $kind,
        public string $what,
        public float $minutes,
        public float $houseMinutes,
        public string $figure = '',
    ) {
    }

    public static function of(Work $work, Step $step, float $minutes): self
    {
        return new self(
            $step->kind->value,
            $step->title.', '.$work->ledger->figure->name,
            $minutes,
            $step->time->minutes / $work->pace->factor($step->kind->value),
            $work->ledger->figure->name,
        );
    }

    /** @return list<Observation> none where it was a look only */
    public function observations(string $id): array
    {
        return $this->minutes < self::LEAST_MINUTES
            ? []
            : [new Observation('step:'.$id, Quantity::Pace, $this->kind, $this->what, $this->houseMinutes, $this->minutes, $this->figure)];
    }
}
