<?php

declare(strict_types=1);

namespace Impa\Build\Schedule;

use Impa\Build\Steps\Step;
use Impa\Material\Pace;

/**
 * Steps laid into sittings for one pair of hands (list scheduling; Graham 1966): the first step of the order that is free is done next,
 * a rest comes after each half hour, what dries goes on beside, and no step is cut where it cannot be put down. Immutable.
 */
final readonly class Schedule
{
    /** Shorter and longer sittings are refused, minutes. */
    public const LEAST_MINUTES = 15.0;

    public const MOST_MINUTES = 720.0;

    /** It is not worth beginning a step for less than so many minutes. */
    private const WORTH_MINUTES = 3.0;

    /** Nor another sitting for as little work as this: it is done at the end of the one before. */
    private const OVERTIME_MINUTES = 5.0;

    private const EXACT = 1e-6;

    /** @param  list<Sitting>  $sittings */
    private function __construct(public array $sittings, private float $longestChain, private float $sittingMinutes)
    {
    }

    /**
     * @param  list<Step>  $steps  in order
     *
     * @throws ScheduleRefused if the sitting is too short for a step that cannot be cut, or no sitting at all
     */
    public static function of(array $steps, float $sittingMinutes): self
    {
        if ($sittingMinutes > self::MOST_MINUTES) {
            throw ScheduleRefused::sittingTooLong(self::MOST_MINUTES);
        }
        $least = self::leastMinutes($steps);
        if ($sittingMinutes < $least) {
            throw ScheduleRefused::sittingTooShort($sittingMinutes, $least);
        }

        return self::laid($steps, $sittingMinutes);
    }

    /**
     * Everything in one sitting, however long.
     *
     * @param  list<Step>  $steps  in order
     */
    public static function inOneGo(array $steps): self
    {
        return self::laid($steps, INF);
    }

    /**
     * The shortest sitting into which every step fits that cannot be cut.
     *
     * @param  list<Step>  $steps
     */
    public static function leastMinutes(array $steps): float
    {
        $whole = [self::LEAST_MINUTES];
        foreach ($steps as $step) {
            $whole[] = self::canBeCut($step) ? 0.0 : $step->time->minutes;
        }

        return ceil(max($whole));
    }

    /** Whether a step can be put down before it is done: of many pieces it can, after any of them. */
    public static function canBeCut(Step $step): bool
    {
        return $step->kind->canBePutDown() || $step->time->minutes > Pace::REST_AFTER;
    }

    /** Minutes of work. */
    public function handsMinutes(): float
    {
        return array_sum(array_map(static fn (Sitting $s): float => $s->handsMinutes(), $this->sittings));
    }

    /** Minutes of all sittings from their beginning to their end: work, rests, waiting for what dries. */
    public function elapsedMinutes(): float
    {
        return array_sum(array_map(static fn (Sitting $s): float => $s->minutes(), $this->sittings));
    }

    /**
     * No order of the work takes less in so many sittings: all of it, with the rests that no end of a sitting saves; in one sitting also
     * the longest chain with what dries in it.
     */
    public function lowerBoundMinutes(): float
    {
        $hands = $this->handsMinutes();
        $bound = $hands + Pace::REST * $this->leastRests($hands);

        return count($this->sittings) > 1 ? $bound : max($bound, $this->longestChain);
    }

    /** How many rests so much work needs at least: with each a sitting has room for half an hour more, but for its end. */
    private function leastRests(float $hands): int
    {
        $count = max(1, count($this->sittings));
        $room = fn (int $rests): float => min(Pace::REST_AFTER * ($rests + 1), $this->sittingMinutes - Pace::REST * $rests);
        $held = $count * $room(0) + ($count > 1 ? self::OVERTIME_MINUTES : 0.0);
        // The first rest of each sitting wins most, then the second.
        for ($rests = 0; $held < $hands - self::EXACT; $rests++) {
            $each = intdiv($rests, $count);
            $more = $room($each + 1) - $room($each);
            if ($more <= 0.0) {
                // More rests would take the time of work: what is left runs over the end.
                break;
            }
            $held += $more;
        }

        return $rests;
    }

    /** @param  list<Step>  $steps */
    private static function laid(array $steps, float $sittingMinutes): self
    {
        $minutes = array_map(static fn (Step $s): float => $s->time->minutes, $steps);
        $sittings = $left = $next = $waiting = [];
        $known = array_flip(array_map(static fn (Step $s): string => $s->key, $steps));
        foreach ($steps as $i => $step) {
            $needed = array_filter($step->order->after, static fn (string $key): bool => isset($known[$key]));
            $waiting[$i] = count($needed);
            foreach ($needed as $key) {
                $next[$key][] = $i;
            }
            if ($needed === []) {
                $left[$i] = $step;
            }
        }
        // Taken up is what comes free when a step is done; the order of the steps stays.
        $release = static function (string $key) use (&$left, &$waiting, $next, $steps): void {
            foreach ($next[$key] ?? [] as $i) {
                if (--$waiting[$i] === 0) {
                    $left[$i] = $steps[$i];
                }
            }
            ksort($left);
        };
        while ($left !== []) {
            $sittings[] = self::sitting($left, $minutes, $sittingMinutes, $release);
        }

        return new self($sittings, self::longestChain($steps), $sittingMinutes);
    }

    /** @param  list<Step>  $steps */
    private static function longestChain(array $steps): float
    {
        // Nobody waits for what dries at the very end: it is done when the hands are.
        $path = new CriticalPath($steps);
        $longest = 0.0;
        foreach ($steps as $step) {
            $longest = max($longest, $path->untilLastStep($step->key));
        }

        return $longest;
    }

    /**
     * @param  array<int, Step>  $left  what could be done but for what dries; what gets done is taken out
     * @param  array<int, float>  $minutes  how much of each is left
     * @param  callable(string): void  $release  puts in what comes free when a step is done
     */
    private static function sitting(array &$left, array &$minutes, float $length, callable $release): Sitting
    {
        $bouts = $rests = $drying = [];
        $clock = $worked = 0.0;
        $isOver = false;
        // By step key, from which minute on it is dry; what was glued at the last sitting is dry at the next.
        $wet = [];
        while ($left !== []) {
            $free = self::free($left, $wet, $clock);
            if ($free === []) {
                $ready = self::nextDry($wet, $clock);
                if ($ready >= $length) {
                    break;
                }
                if ($ready - $clock >= Pace::REST - self::EXACT) {
                    $rests[] = ['startMinute' => $clock, 'endMinute' => $ready];
                    $worked = 0.0;
                }
                $clock = $ready;

                continue;
            }
            [$i, $bout] = self::next($left, $minutes, $free, Pace::REST_AFTER - $worked, $length - $clock);
            if ($i < 0 && $length < INF && ! $isOver && array_sum($minutes) <= self::OVERTIME_MINUTES) {
                // What is left of all of it is not worth another sitting.
                $length += self::OVERTIME_MINUTES;
                $isOver = true;

                continue;
            }
            if ($i < 0) {
                // Nothing fits before the rest; after it, where there is time for one, perhaps something does.
                if ($worked <= 0.0 || self::next($left, $minutes, $free, Pace::REST_AFTER, $length - $clock - Pace::REST)[0] < 0) {
                    break;
                }
                $rests[] = ['startMinute' => $clock, 'endMinute' => $clock + Pace::REST];
                [$clock, $worked] = [$clock + Pace::REST, 0.0];

                continue;
            }
            $step = $left[$i];
            $bouts[] = ['key' => $step->key, 'startMinute' => $clock, 'endMinute' => $clock + $bout];
            $clock += $bout;
            $worked += $bout;
            $minutes[$i] -= $bout;
            if ($minutes[$i] <= self::EXACT) {
                unset($left[$i]);
                $release($step->key);
                if ($step->time->waitMinutes > 0.0) {
                    $wet[$step->key] = $clock + $step->time->waitMinutes;
                    $drying[] = ['key' => $step->key, 'startMinute' => $clock, 'endMinute' => $clock + $step->time->waitMinutes];
                }
            }
        }

        // Nobody rests, or waits for what dries, after the last of it.
        $end = $bouts === [] ? 0.0 : $bouts[count($bouts) - 1]['endMinute'];
        $rests = array_values(array_filter($rests, static fn (array $rest): bool => $rest['startMinute'] < $end - self::EXACT));

        return new Sitting(self::joined($bouts), $rests, $drying);
    }

    /**
     * What could be done now, in order.
     *
     * @param  array<int, Step>  $left
     * @param  array<string, float>  $wet
     * @return list<int>
     */
    private static function free(array $left, array $wet, float $clock): array
    {
        if ($wet === []) {
            return array_keys($left);
        }
        $free = [];
        foreach ($left as $i => $step) {
            foreach ($step->order->after as $before) {
                if (($wet[$before] ?? 0.0) > $clock + self::EXACT) {
                    continue 2;
                }
            }
            $free[] = $i;
        }

        return $free;
    }

    /**
     * The first of them that fits before the next rest and the end of the sitting, and how long it is worked at.
     *
     * @param  array<int, Step>  $left
     * @param  array<int, float>  $minutes
     * @param  list<int>  $free
     * @return array{int, float} -1 where none fits
     */
    private static function next(array $left, array $minutes, array $free, float $untilRest, float $untilEnd): array
    {
        $room = min($untilRest, $untilEnd);
        foreach ($free as $i) {
            if ($minutes[$i] <= $room + self::EXACT) {
                return [$i, $minutes[$i]];
            }
            if (self::canBeCut($left[$i]) && $room >= self::WORTH_MINUTES) {
                return [$i, $room];
            }
            // The order is kept: what comes first waits for the rest, not for what comes later.
            if ($minutes[$i] <= $untilEnd + self::EXACT || self::canBeCut($left[$i])) {
                return [-1, 0.0];
            }
        }

        return [-1, 0.0];
    }

    /** @param  array<string, float>  $wet */
    private static function nextDry(array $wet, float $clock): float
    {
        $next = INF;
        foreach ($wet as $ready) {
            if ($ready > $clock + self::EXACT) {
                $next = min($next, $ready);
            }
        }

        return $next;
    }

    /**
     * Bouts of one step that follow each other without a break, as one.
     *
     * @param  list<array{key: string, startMinute: float, endMinute: float}>  $bouts
     * @return list<array{key: string, startMinute: float, endMinute: float}>
     */
    private static function joined(array $bouts): array
    {
        $joined = [];
        foreach ($bouts as $bout) {
            $last = array_pop($joined);
            if ($last !== null && $last['key'] === $bout['key'] && $bout['startMinute'] - $last['endMinute'] < self::EXACT) {
                $joined[] = ['endMinute' => $bout['endMinute']] + $last;
            } else {
                array_push($joined, ...array_filter([$last]), ...[$bout]);
            }
        }

        return $joined;
    }
}
