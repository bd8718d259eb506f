<?php

declare(strict_types=1);

namespace Impa\Build\Schedule;

/** What is done in one sitting, in minutes from its beginning. Immutable. */
final readonly class Sitting
{
    /**
     * @param  list<array{key: string, startMinute: float, endMinute: float}>  $bouts  of work, one behind the other
     * @param  list<array{startMinute: float, endMinute: float}>  $rests
     * @param  list<array{key: string, startMinute: float, endMinute: float}>  $drying  some of which may end long after the sitting
     */
    public function __construct(public array $bouts, public array $rests, public array $drying)
    {
    }

    public function minutes(): float
    {
        return $this->bouts === [] ? 0.0 : $this->bouts[count($this->bouts) - 1]['endMinute'];
    }

    /** Minutes in which something is done. */
    public function handsMinutes(): float
    {
        return array_sum(array_map(static fn (array $b): float => $b['endMinute'] - $b['startMinute'], $this->bouts));
    }
}
