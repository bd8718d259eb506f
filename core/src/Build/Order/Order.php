<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use Impa\Build\Schedule\CriticalPath;
use Impa\Build\Schedule\Schedule;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Build\Steps\Steps;
use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Material\Pace;
use Impa\Wool\Ledger\Ledger;

/**
 * Puts steps into an order that keeps every dependence (Kahn 1962), and of those that are free takes what suits best: the school and
 * the trade first (Ranks), then what is dry, what has something drying behind it, what goes on with the same piece, the same colour,
 * light before dark, the same needle.
 */
final class Order
{
    /** Hands that wait for less do not wait. */
    private const WAITS_MINUTES = 1.0;

    /** So many that dry are tried at another place. */
    private const MOST_MOVED = 24;

    /** Of more steps than any figure has, trying takes longer than a page may take. */
    private const MOST_STEPS = 300;

    /**
     * Steps in the order that the document alone gives them. Grams of this hand and this stash, its pace and the needles in its box say how
     * long each step takes and with what; what comes after what they do not shuffle: it is told by the house's numbers.
     *
     * @param  list<Step>  $steps  without a circle, by this ledger, pace and needles
     * @return list<Step>
     */
    public static function byHouse(array $steps, Ledger $ledger, Pace $pace, Needles $needles): array
    {
        $figure = $ledger->figure;
        $isHouse = $ledger->densities == Densities::house() && $pace == Pace::house() && $needles == Needles::usual();
        if ($isHouse) {
            return self::of($steps, $figure);
        }
        $after = array_map(static fn (Step $step): array => $step->order->after, array_column($steps, null, 'key'));
        $ledger = Ledger::of($figure, Densities::house());
        $house = array_map(
            static fn (Step $step): Step => $step->following($after[$step->key]),
            Steps::of($ledger, Pace::house(), Needles::usual()),
        );
        $at = array_flip(array_column(self::of($house, $figure), 'key'));
        usort($steps, static fn (Step $a, Step $b): int => $at[$a->key] <=> $at[$b->key]);

        return $steps;
    }

    /**
     * @param  list<Step>  $steps  without a circle
     * @return list<Step>
     */
    public static function of(array $steps, Figure $figure): array
    {
        $waiting = $next = [];
        foreach ($steps as $i => $step) {
            $waiting[$i] = count($step->order->after);
            foreach ($step->order->after as $before) {
                $next[$before][] = $i;
            }
        }
        $face = Steps::facePart($figure);
        $light = array_map(static fn ($colour): float => $colour->srgb->lab()->l, $figure->colours);
        $path = new CriticalPath($steps);
        /** @var array<int, array<int, Step>> $free by rank, then by place */
        $free = [];
        $release = static function (int $i) use (&$free, $steps, $figure, $face): void {
            $free[Ranks::of($figure, $steps[$i], $face)][$i] = $steps[$i];
        };
        array_map($release, array_keys(array_filter($waiting, static fn (int $n): bool => $n === 0)));
        $ordered = $dry = [];
        $clock = 0.0;
        $last = null;
        while ($free !== []) {
            $rank = min(array_keys($free));
            $best = -1;
            $least = [];
            foreach ($free[$rank] as $i => $step) {
                $cost = [
                    $dry !== [] && self::isWet($step, $dry, $clock) ? 1 : 0,
                    -$path->drying($step->key),
                    $last !== null && $last->about->part === $step->about->part && in_array($last->key, $step->order->after, true) ? 0 : 1,
                    $last !== null && $last->about->colour === $step->about->colour ? 0 : 1,
                    -($light[$step->about->colour] ?? 101.0),
                    $last?->uses->needle?->gauge === $step->uses->needle?->gauge ? 0 : 1,
                    $i,
                ];
                if ($best < 0 || $cost < $least) {
                    [$best, $least] = [$i, $cost];
                }
            }
            $last = $ordered[] = $steps[$best];
            $clock += $last->time->minutes;
            if ($last->time->waitMinutes > 0.0) {
                $dry[$last->key] = $clock + $last->time->waitMinutes;
            }
            unset($free[$rank][$best]);
            if ($free[$rank] === []) {
                unset($free[$rank]);
            }
            foreach ($next[$last->key] ?? [] as $i) {
                if (--$waiting[$i] === 0) {
                    $release($i);
                }
            }
        }

        return self::eased($ordered, $figure);
    }

    /**
     * What dries goes first where nothing stops it: as long as hands would wait for it, one that dries is moved forward, as little as it
     * takes, where all then takes less. Whiskers and handles stay behind all that is done on what bears them: they would be in its way.
     *
     * @param  list<Step>  $steps  in order
     * @return list<Step>
     */
    private static function eased(array $steps, Figure $figure): array
    {
        if (count($steps) > self::MOST_STEPS) {
            return $steps;
        }
        $plan = Schedule::inOneGo($steps);
        $wet = array_filter($steps, static fn (Step $s): bool => $s->time->waitMinutes > 0.0);
        foreach (array_slice(array_column($wet, 'key'), 0, self::MOST_MOVED) as $key) {
            if ($plan->elapsedMinutes() <= $plan->lowerBoundMinutes() + self::WAITS_MINUTES) {
                break;
            }
            $at = array_flip(array_column($steps, 'key'));
            $step = $steps[$at[$key]];
            $first = 1 + max(-1, ...array_map(static fn (string $before): int => $at[$before] ?? -1, $step->order->after));
            foreach ($step->kind === StepKind::Thread ? array_slice($steps, 0, $at[$key]) : [] as $i => $other) {
                $isOnIt = in_array($step->about->part, [$other->about->part, $figure->parts[$other->about->part]->join->to ?? ''], true);
                $first = $isOnIt ? max($first, $i + 1) : $first;
            }
            $minutes = static fn (int $to): float => Schedule::inOneGo(self::forward($steps, $at[$key], $to))->elapsedMinutes();
            $least = $minutes($first);
            if ($least >= $plan->elapsedMinutes() - self::WAITS_MINUTES) {
                continue;
            }
            // The later it goes, the more is waited: bisection.
            [$low, $high] = [$first, $at[$key]];
            while ($high - $low > 1) {
                $middle = intdiv($low + $high, 2);
                [$low, $high] = $minutes($middle) <= $least + self::WAITS_MINUTES ? [$middle, $high] : [$low, $middle];
            }
            $steps = self::forward($steps, $at[$key], $low);
            $plan = Schedule::inOneGo($steps);
        }

        return $steps;
    }

    /**
     * @param  list<Step>  $steps
     * @return list<Step> with one of them at an earlier place
     */
    private static function forward(array $steps, int $from, int $to): array
    {
        return [
            ...array_slice($steps, 0, $to),
            $steps[$from],
            ...array_slice($steps, $to, $from - $to),
            ...array_slice($steps, $from + 1),
        ];
    }

    /** @param  array<string, float>  $dry  by step key, from which minute on */
    private static function isWet(Step $step, array $dry, float $clock): bool
    {
        foreach ($step->order->after as $before) {
            if (($dry[$before] ?? 0.0) > $clock) {
                return true;
            }
        }

        return false;
    }
}
