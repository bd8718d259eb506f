<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Build\Order\Hindrance;
use Impa\Build\Order\Order;
use Impa\Build\Order\Reach;
use Impa\Build\Order\Reordering;
use Impa\Build\Order\ReorderingRefused;
use Impa\Build\Order\TradePrecedence;
use Impa\Build\Steps\DependencyGraph;
use Impa\Build\Steps\Hints;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Build\Steps\Steps;
use Impa\Face\Needles;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Placing\Gap;
use Impa\Figure\Pull;
use Impa\Material\Pace;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Wool\Ledger\Ledger;

/** All steps of a figure in an order that can be followed: what must come before what by nature, by reach and by custom. Immutable. */
final readonly class Work
{
    /**
     * @param  list<Step>  $steps  in order
     * @param  array<string, Message>  $tight  by step key, what stands in the needle's way there whatever the order
     */
    private function __construct(
        public Ledger $ledger,
        public Pace $pace,
        public array $steps,
        public DependencyGraph $needs,
        public array $tight,
    ) {
    }

    /** @param  ?list<Hindrance>  $hindrances  of the figure, by Reach, where they are known already */
    public static function of(Ledger $ledger, Pace $pace, Needles $needles, ?array $hindrances = null): self
    {
        $figure = $ledger->figure;
        $steps = Steps::of($ledger, $pace, $needles);
        $needs = self::needs($steps);
        $tight = [];
        // Layers lie flat: nothing stands between the needle and them.
        foreach ($figure->flat->isFlat() ? [] : $hindrances ?? Reach::of($figure) as $hindrance) {
            if (! self::reached($figure, $needs, $hindrance)) {
                $tight[$hindrance->step] = Message::of(
                    'build.work.it-is-tight-here',
                    figure: self::named($figure, $hindrance->by),
                    name: $hindrance->name,
                );
            }
        }
        foreach (TradePrecedence::arrows($figure) as [$first, $then, $why]) {
            $needs->add($first, $then, $why);
        }
        $steps = array_map(static fn (Step $s): Step => $s->needing($needs), $steps);

        $ordered = Reordering::applied(Order::byHouse($steps, $ledger, $pace, $needles), $needs, $figure->pulls);

        return new self($ledger, $pace, self::paced($ordered, $pace), $needs, $tight);
    }

    /**
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    public static function paced(array $steps, Pace $pace): array
    {
        return array_map(static fn (Step $s): Step => $s->paced($pace), $steps);
    }

    /**
     * What is left of it.
     *
     * @param  list<string>  $done  keys of the steps that are done
     */
    public function left(array $done): self
    {
        $isDone = array_flip($done);
        $steps = [];
        foreach ($this->steps as $step) {
            if (! isset($isDone[$step->key])) {
                $after = array_filter($step->order->after, static fn (string $key): bool => ! isset($isDone[$key]));
                $steps[] = $step->following(array_values($after));
            }
        }

        return new self($this->ledger, $this->pace, $steps, $this->needs, $this->tight);
    }

    /** What is amiss with the drawing where a step comes to it: the part that it joins does not reach. Null where nothing is. */
    public function amiss(Step $step): ?Message
    {
        if ($step->kind !== StepKind::Join) {
            return null;
        }
        $parts = $this->ledger->figure->parts;
        $gap = Gap::of($this->ledger->figure, $parts[$step->about->part]);

        return $gap > 0.0 ? Hints::floats($parts[$step->about->part], $parts[$parts[$step->about->part]->join->to], $gap) : null;
    }

    /** Whether any of it is of that kind. */
    public function has(StepKind $kind): bool
    {
        return in_array($kind, array_column($this->steps, 'kind'), true);
    }

    /** @return array<string, float> minutes of work of each step, by its key, in order */
    public function minutes(): array
    {
        return array_map(static fn (Step $step): float => $step->time->minutes, array_column($this->steps, null, 'key'));
    }

    /** @return list<string> keys of the steps in order */
    public function keys(): array
    {
        return array_map(static fn (Step $s): string => $s->key, $this->steps);
    }

    /**
     * The same figure with one step moved past its neighbour.
     *
     * @throws ReorderingRefused if there is no such step, no neighbour, or one of the two cannot be done without the other
     */
    public function moved(string $key, bool $isForward): Figure
    {
        $at = array_search($key, $this->keys(), true);
        if (! is_int($at)) {
            throw ReorderingRefused::noSuchStep($key);
        }
        $past = $this->steps[$at + ($isForward ? -1 : 1)] ?? throw ReorderingRefused::atTheEnd($this->steps[$at], $isForward);
        $pull = new Pull($key, $past->key, $isForward);
        $chain = Reordering::hinders($this->needs, $pull);
        if ($chain !== []) {
            [$first, $then] = $isForward ? [$past, $this->steps[$at]] : [$this->steps[$at], $past];
            throw ReorderingRefused::needed($first, $then, $chain[count($chain) - 1][2]);
        }

        return Choices::pulled($this->ledger->figure, $pull);
    }

    /** @param  list<Step>  $steps */
    private static function needs(array $steps): DependencyGraph
    {
        $needs = new DependencyGraph(array_map(static fn (Step $s): string => $s->key, $steps));
        foreach ($steps as $step) {
            foreach ($step->order->after as $before) {
                $needs->add($before, $step->key);
            }
        }

        return $needs;
    }

    /** Puts a step before what would hinder it; tells whether that could be. */
    private static function reached(Figure $figure, DependencyGraph $needs, Hindrance $hindrance): bool
    {
        $joins = self::joins($figure, $hindrance);
        if ($joins === []) {
            // What belongs to another thing stands apart; the other of a pair comes with it, and is in the way for good.
            return ! in_array($hindrance->by, $hindrance->hosts, true);
        }
        $isBefore = static fn (string $join): int => (int) $needs->precedes($hindrance->step, $join);
        usort($joins, static fn (string $a, string $b): int => $isBefore($b) <=> $isBefore($a));
        foreach ($joins as $join) {
            if ($needs->add($hindrance->step, $join, self::why($figure, $hindrance, $join))) {
                return true;
            }
        }

        return false;
    }

    /**
     * What brings a part before the place that it hinders: every join between the two, nearest to the part first.
     *
     * @return list<string> keys of steps
     */
    private static function joins(Figure $figure, Hindrance $hindrance): array
    {
        if ($hindrance->isCovering) {
            return ['covering:'.$hindrance->by];
        }
        $up = self::ancestors($figure, $hindrance->by);
        $paths = [];
        foreach ($hindrance->hosts as $host) {
            $down = self::ancestors($figure, $host);
            $shared = array_values(array_intersect($up, $down));
            if ($shared !== []) {
                $there = array_slice($up, 0, (int) array_search($shared[0], $up, true));
                $here = array_slice($down, 0, (int) array_search($shared[0], $down, true));
                $paths[] = [...$there, ...array_reverse($here)];
            }
        }
        // The seam itself is what is worked: the way to what hinders it does not lead over it.
        $own = count($hindrance->hosts) > 1 ? $hindrance->hosts[0] : '';
        foreach ($paths as $path) {
            if (! in_array($own, $path, true)) {
                return array_map(static fn (string $part): string => 'join:'.$part, $path);
            }
        }

        return [];
    }

    /** @return non-empty-list<string> a part, what it is joined to, and so on to the root */
    private static function ancestors(Figure $figure, string $part): array
    {
        $all = [$part];
        while ($figure->parts[$part]->isJoined()) {
            $all[] = $part = $figure->parts[$part]->join->to;
        }

        return $all;
    }

    private static function why(Figure $figure, Hindrance $hindrance, string $join): Message
    {
        $by = self::named($figure, $hindrance->by);
        if ($hindrance->isCovering) {
            return Message::of('build.work.before-what-covers', by: $by, name: $hindrance->name);
        }
        $joined = self::named($figure, substr($join, strlen('join:')));

        return substr($join, strlen('join:')) === $hindrance->by
            ? Message::of('build.work.before-it-would-be', by: $by, name: $hindrance->name)
            : Message::of('build.work.before-goes-on-would', joined: $joined, by: $by, name: $hindrance->name);
    }

    private static function named(Figure $figure, string $part): Message
    {
        return Message::of('build.place.one', name: new Name($figure->parts[$part]->name));
    }
}
