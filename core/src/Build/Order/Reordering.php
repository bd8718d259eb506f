<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use Impa\Build\Steps\DependencyGraph;
use Impa\Build\Steps\Step;
use Impa\Figure\Pull;
use Impa\Voice\Message;

/** What the felter pulled forward or put off, moved in an order that stays one that can be followed. */
final class Reordering
{
    /**
     * @param  list<Step>  $ordered
     * @param  list<Pull>  $pulls  one after the other; what cannot be, or is no step any more, changes nothing
     * @return list<Step>
     */
    public static function applied(array $ordered, DependencyGraph $needs, array $pulls): array
    {
        foreach ($pulls as $pull) {
            if ($needs->has($pull->step) && $needs->has($pull->past) && self::hinders($needs, $pull) === []) {
                $ordered = $pull->isForward
                    ? self::forward($ordered, $needs, $pull->step, $pull->past)
                    // Put off is pulled forward in the order read backwards.
                    : array_reverse(self::forward(array_reverse($ordered), $needs, $pull->step, $pull->past, isBackwards: true));
            }
        }

        return $ordered;
    }

    /**
     * Why a step cannot be moved past another.
     *
     * @return list<array{string, string, ?Message}> the chain of steps that keeps them in order, each with why; empty where nothing does
     */
    public static function hinders(DependencyGraph $needs, Pull $pull): array
    {
        return $pull->isForward ? $needs->chain($pull->past, $pull->step) : $needs->chain($pull->step, $pull->past);
    }

    /**
     * A step, and what it needs of what lies between, straight before another.
     *
     * @param  list<Step>  $ordered
     * @return list<Step>
     */
    private static function forward(array $ordered, DependencyGraph $needs, string $step, string $past, bool $isBackwards = false): array
    {
        $keys = array_map(static fn (Step $s): string => $s->key, $ordered);
        [$from, $to] = [array_search($step, $keys, true), array_search($past, $keys, true)];
        if (! is_int($from) || ! is_int($to) || $from < $to) {
            return $ordered;
        }
        $moved = $left = [];
        foreach (array_slice($ordered, $to, $from - $to) as $between) {
            $goesWith = $isBackwards ? $needs->precedes($step, $between->key) : $needs->precedes($between->key, $step);
            if ($goesWith) {
                $moved[] = $between;
            } else {
                $left[] = $between;
            }
        }

        return [...array_slice($ordered, 0, $to), ...$moved, $ordered[$from], ...$left, ...array_slice($ordered, $from + 1)];
    }
}
