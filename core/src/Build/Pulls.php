<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Figure\Figure;
use Impa\Figure\Pull;

/** What the felter pulled forward or put off, moved in an order that stays one that can be followed. */
final class Pulls
{
    /**
     * @param  list<Step>  $ordered
     * @param  list<Pull>  $pulls  one after the other; what cannot be, or is no step any more, changes nothing
     * @return list<Step>
     */
    public static function applied(array $ordered, Needs $needs, array $pulls): array
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
     * @return list<array{string, string, string}> the chain of steps that keeps them in order, each with why; empty where nothing does
     */
    public static function hinders(Needs $needs, Pull $pull): array
    {
        return $pull->isForward ? $needs->chain($pull->past, $pull->step) : $needs->chain($pull->step, $pull->past);
    }

    /**
     * The same figure with one step moved past its neighbour.
     *
     * @throws PullRefused if there is no such step, no neighbour, or one of the two cannot be done without the other
     */
    public static function moved(Work $work, string $key, bool $isForward): Figure
    {
        $at = array_search($key, $work->keys(), true);
        if (! is_int($at)) {
            throw PullRefused::noSuchStep($key);
        }
        $past = $work->steps[$at + ($isForward ? -1 : 1)] ?? throw PullRefused::atTheEnd($work->steps[$at], $isForward);
        $chain = self::hinders($work->needs, new Pull($key, $past->key, $isForward));
        if ($chain !== []) {
            [$first, $then] = $isForward ? [$past, $work->steps[$at]] : [$work->steps[$at], $past];
            throw PullRefused::needed($first, $then, $chain[count($chain) - 1][2]);
        }

        return $work->ledger->figure->pulling(new Pull($key, $past->key, $isForward));
    }

    /**
     * A step, and what it needs of what lies between, straight before another.
     *
     * @param  list<Step>  $ordered
     * @return list<Step>
     */
    private static function forward(array $ordered, Needs $needs, string $step, string $past, bool $isBackwards = false): array
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
