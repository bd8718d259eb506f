<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Material\Pace;
use SplMinHeap;

/** Puts steps into an order that keeps every dependence, and tells how long the whole takes. */
final class Order
{
    /**
     * Kahn's algorithm (1962); of the steps that are free, the earliest kind of work comes first, then the
     * figure's own order.
     *
     * @param  list<Step>  $steps  without a circle
     * @return list<Step>
     */
    public static function of(array $steps): array
    {
        $waiting = $next = [];
        /** @var SplMinHeap<array{int, int}> $free rank and place of the steps that nothing holds back */
        $free = new SplMinHeap();
        foreach ($steps as $i => $step) {
            $waiting[$i] = count($step->after);
            foreach ($step->after as $before) {
                $next[$before][] = $i;
            }
            if ($waiting[$i] === 0) {
                $free->insert([$step->kind->rank(), $i]);
            }
        }
        $ordered = [];
        while ($waiting !== []) {
            // A circle cannot come out of Steps; were there one, the work would still go on.
            $best = $free->isEmpty() ? array_key_first($waiting) : $free->extract()[1];
            unset($waiting[$best]);
            foreach ($next[$steps[$best]->key] ?? [] as $i) {
                if (isset($waiting[$i]) && --$waiting[$i] === 0) {
                    $free->insert([$steps[$i]->kind->rank(), $i]);
                }
            }
            $ordered[] = $steps[$best];
        }

        return $ordered;
    }

    /**
     * Minutes from start to finish in this order: the work, a rest after every half hour, and waiting for
     * what dries where nothing else can be done.
     *
     * @param  list<Step>  $steps  in order
     */
    public static function elapsed(array $steps): float
    {
        $clock = $hands = 0.0;
        $ready = [];
        foreach ($steps as $step) {
            foreach ($step->after as $before) {
                $clock = max($clock, $ready[$before] ?? 0.0);
            }
            $restsBefore = floor($hands / Pace::REST_AFTER);
            $hands += $step->minutes;
            $clock += $step->minutes + (floor($hands / Pace::REST_AFTER) - $restsBefore) * Pace::REST;
            $ready[$step->key] = $clock + $step->waitMinutes;
        }

        return max([$clock, ...array_values($ready)]);
    }
}
