<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Build\Schedule\Schedule;
use Impa\Build\Schedule\ScheduleRefused;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepOrder;
use Impa\Build\Steps\StepTime;
use Impa\Build\Steps\StepUses;
use Impa\Build\Work;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;
use SplMinHeap;

/**
 * The work of a whole set in an order that makes like pieces together: all cores, then covers by colour, light before dark, then faces,
 * then joins, as far as nothing else must come before (Kahn 1962). What is saved is the laying ready: a clean side of the pad, another
 * needle, other wool. Immutable.
 */
final readonly class Batch
{
    /** Laying ready for another kind of work, colour or needle, minutes (house choice). */
    public const LAYING_READY = 1.5;

    /** Of these it is the colour that goes from light to dark. */
    private const BY_COLOUR = ['cover', 'felt', 'detail', 'hide', 'covering', 'cut'];

    /** @param  non-empty-list<array{Step, int, string}>  $steps  in order, with the member each belongs to, and the hex of its colour */
    private function __construct(private FigureSet $set, private array $steps, private float $oneByOne)
    {
    }

    /** @param  non-empty-list<Work>  $works  of one figure of each member */
    public static function of(FigureSet $set, array $works): self
    {
        $steps = $ranks = [];
        $oneByOne = 0.0;
        foreach ($works as $i => $work) {
            $own = [];
            foreach ($work->steps as $step) {
                $isByColour = $step->about->colour !== '' && in_array($step->kind->value, self::BY_COLOUR, true);
                $hex = $isByColour ? $set->members[$i]->figure->colours[$step->about->colour]->srgb->toHex() : '';
                $own[] = [$step, $i, $hex];
                $ranks[$i.' '.$step->key] = self::rank($set, $step, $i, $hex);
            }
            // Each figure for itself: as often as there are figures of it.
            $oneByOne += $set->members[$i]->count * (self::hands($own) + self::LAYING_READY * self::changes($own));
            array_push($steps, ...$own);
        }

        return new self($set, self::ordered($steps, $ranks), $oneByOne);
    }

    /** Minutes of work and of laying ready, each figure from beginning to end. */
    public function oneByOneMinutes(): float
    {
        return $this->oneByOne;
    }

    /** The same, like pieces together. */
    public function minutes(): float
    {
        $hands = 0.0;
        foreach ($this->steps as [$step, $i]) {
            $hands += $this->set->members[$i]->count * $step->time->minutes;
        }

        return $hands + self::LAYING_READY * self::changes($this->steps);
    }

    /**
     * Like pieces together, row by row: of one kind and name, with the same needle, in one colour.
     *
     * @return list<array{title: string, kind: string, hex: ?string, gauge: ?int, minutes: float, pieces: int, members: list<int>}>
     */
    public function rows(): array
    {
        return array_map(function (array $like): array {
            [$step, , $hex] = $like[0];
            $members = array_column($like, 1);
            $counts = array_map(fn (int $i): int => $this->set->members[$i]->count, $members);

            return [
                'title' => (string) $step->title,
                'kind' => $step->kind->value,
                'hex' => $hex === '' ? null : $hex,
                'gauge' => $step->uses->needle?->gauge,
                'minutes' => array_sum(array_map(static fn (array $s, int $count): float => $count * $s[0]->time->minutes, $like, $counts)),
                'pieces' => array_sum($counts),
                'members' => array_values(array_unique($members)),
            ];
        }, $this->like());
    }

    /**
     * The whole set laid into sittings, each with its rows and the minutes at each.
     *
     * @return list<array{minutes: float, rows: list<array{title: string, minutes: float}>}>
     *
     * @throws ScheduleRefused if a sitting is too short or too long
     */
    public function sittings(float $minutes): array
    {
        $steps = $this->rowSteps();
        $titles = array_column($steps, 'title', 'key');
        $sittings = [];
        foreach (Schedule::of($steps, $minutes)->sittings as $sitting) {
            $sittings[] = [
                'minutes' => $sitting->minutes(),
                'rows' => array_map(static fn (array $bout): array => [
                    'title' => (string) $titles[$bout['key']],
                    'minutes' => $bout['endMinute'] - $bout['startMinute'],
                ], $sitting->bouts),
            ];
        }

        return $sittings;
    }

    /** @return list<Step> a step for each row, after all rows that it needs */
    private function rowSteps(): array
    {
        $rowOf = $steps = [];
        foreach ($this->like() as $row => $like) {
            $after = [];
            $minutes = [Traced::given('laying-ready', self::LAYING_READY, Measure::Time, Source::House)];
            foreach ($like as [$step, $i]) {
                $rowOf[$i.' '.$step->key] = $row;
                $minutes[] = StepTime::each($this->set->members[$i]->count, $step->time->how)->how;
                foreach ($step->order->after as $key) {
                    $after[$rowOf[$i.' '.$key] ?? $row] = true;
                }
            }
            unset($after[$row]);
            $first = $like[0][0];
            $steps[] = new Step(
                key: 'row:'.$row,
                kind: $first->kind,
                title: $first->title,
                text: $first->text,
                time: StepTime::of(
                    Traced::sum('row-minutes', ...$minutes),
                    max(array_map(static fn (array $s): float => $s[0]->time->waitMinutes, $like)),
                ),
                order: new StepOrder(array_map(static fn (int $before): string => 'row:'.$before, array_keys($after))),
                uses: new StepUses($first->uses->needle),
            );
        }

        return $steps;
    }

    /** @return list<non-empty-list<array{Step, int, string}>> steps that follow each other and are alike */
    private function like(): array
    {
        $all = $like = [];
        foreach ($this->steps as $one) {
            if ($like !== [] && self::signature($like[0]) !== self::signature($one)) {
                $all[] = $like;
                $like = [];
            }
            $like[] = $one;
        }

        return [...$all, $like];
    }

    /**
     * @param  array{Step, int, string}  $one
     * @return list<mixed>
     */
    private static function signature(array $one): array
    {
        [$step, , $hex] = $one;

        return [(string) $step->title, $step->kind, $hex, $step->uses->needle?->gauge];
    }

    /** @return list<int|float|string> what comes first is the least */
    private static function rank(FigureSet $set, Step $step, int $member, string $hex): array
    {
        $detail = $set->members[$member]->figure->details[$step->about->detail] ?? null;

        return [
            $step->kind->phase(),
            // What lies on another detail comes after all of those.
            $detail->lie->layer ?? 0,
            $hex !== '' ? -round($set->members[$member]->figure->colours[$step->about->colour]->srgb->lab()->l, 1) : 0.0,
            $hex,
            (string) $step->title,
            $step->uses->needle->gauge ?? 0,
            $member,
        ];
    }

    /**
     * @param  list<array{Step, int, string}>  $steps
     * @param  array<string, list<int|float|string>>  $ranks
     * @return non-empty-list<array{Step, int, string}>
     */
    private static function ordered(array $steps, array $ranks): array
    {
        // Once into whole numbers: they are compared thousands of times.
        asort($ranks);
        $place = array_flip(array_keys($ranks));
        $waiting = $next = [];
        /** @var SplMinHeap<array{int, int}> $free */
        $free = new SplMinHeap;
        foreach ($steps as $k => [$step, $i]) {
            $needed = array_filter($step->order->after, static fn (string $key): bool => isset($place[$i.' '.$key]));
            $waiting[$k] = count($needed);
            foreach ($needed as $key) {
                $next[$i.' '.$key][] = $k;
            }
            if ($needed === []) {
                $free->insert([$place[$i.' '.$step->key], $k]);
            }
        }
        $ordered = [];
        while (! $free->isEmpty()) {
            [, $k] = $free->extract();
            $ordered[] = $steps[$k];
            foreach ($next[$steps[$k][1].' '.$steps[$k][0]->key] ?? [] as $then) {
                if (--$waiting[$then] === 0) {
                    $free->insert([$place[$steps[$then][1].' '.$steps[$then][0]->key], $then]);
                }
            }
        }

        return $ordered === [] ? throw SetRefused::ofNone() : $ordered;
    }

    /** @param  list<array{Step, int, string}>  $steps */
    private static function hands(array $steps): float
    {
        return array_sum(array_map(static fn (array $s): float => $s[0]->time->minutes, $steps));
    }

    /**
     * How often something else is laid ready.
     *
     * @param  list<array{Step, int, string}>  $steps
     */
    private static function changes(array $steps): int
    {
        $changes = 0;
        $last = null;
        foreach ($steps as [$step, , $hex]) {
            $is = [$step->kind->phase(), $hex, $step->uses->needle?->gauge];
            $changes += (int) ($is !== $last);
            $last = $is;
        }

        return $changes;
    }
}
