<?php

declare(strict_types=1);

namespace Impa\Build\Schedule;

use Impa\Build\Steps\Step;

/** The longest chains of steps that must follow each other (critical path method; Kelley and Walker 1959). Memoised. */
final class CriticalPath
{
    /** @var array<string, Step> */
    private array $steps = [];

    /** @var array<string, list<string>> */
    private array $next = [];

    /** @var array<string, float> */
    private array $remaining = [];

    /** @var array<string, float> */
    private array $drying = [];

    /** @var array<string, float> */
    private array $hands = [];

    /** @param  list<Step>  $steps  without a circle */
    public function __construct(array $steps)
    {
        foreach ($steps as $step) {
            $this->steps[$step->key] = $step;
            foreach ($step->order->after as $before) {
                $this->next[$before][] = $step->key;
            }
        }
    }

    /** Minutes from the beginning of a step to the end of everything that hangs on it, drying included. */
    public function remaining(string $key): float
    {
        if (! isset($this->remaining[$key])) {
            $tail = 0.0;
            foreach ($this->next[$key] ?? [] as $next) {
                $tail = max($tail, $this->remaining($next));
            }
            $this->remaining[$key] = $this->steps[$key]->time->minutes + $this->steps[$key]->time->waitMinutes + $tail;
        }

        return $this->remaining[$key];
    }

    /** The same where something dries on the way; 0 where nothing does. */
    public function drying(string $key): float
    {
        if (! isset($this->drying[$key])) {
            $dries = $this->steps[$key]->time->waitMinutes > 0.0;
            foreach ($this->next[$key] ?? [] as $next) {
                $dries = $dries || $this->drying($next) > 0.0;
            }
            $this->drying[$key] = $dries ? $this->remaining($key) : 0.0;
        }

        return $this->drying[$key];
    }

    /** Minutes from the beginning of a step until the hands are done with everything that hangs on it: nobody waits for the last to dry. */
    public function untilLastStep(string $key): float
    {
        if (! isset($this->hands[$key])) {
            $tail = 0.0;
            foreach ($this->next[$key] ?? [] as $next) {
                $tail = max($tail, $this->steps[$key]->time->waitMinutes + $this->untilLastStep($next));
            }
            $this->hands[$key] = $this->steps[$key]->time->minutes + $tail;
        }

        return $this->hands[$key];
    }
}
