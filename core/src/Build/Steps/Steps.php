<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Face\Advice\Crispness;
use Impa\Face\LayingOrder;
use Impa\Face\Needles;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Member\Subject;
use Impa\Figure\Part;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\Pose;
use Impa\Geometry\Box;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Pace;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Mix;

/**
 * Everything there is to do for a figure, each step after what it cannot be done without. What is weighed is said by the ledger;
 * what comes first by choice is said by Ranks, what by reach by Reach.
 */
final readonly class Steps
{
    /** From so many details on a part are all marked together before the first is laid. */
    private const MARKED_FROM = 2;

    /** @var array<string, list<Detail>> details by part */
    private array $on;

    private function __construct(
        private Figure $figure,
        private Ledger $ledger,
        private Needles $needles,
        private string $face,
    ) {
        $on = [];
        foreach ($figure->parts as $key => $part) {
            $on[$key] = [];
        }
        foreach ($figure->details as $detail) {
            $on[$detail->on][] = $detail;
        }
        $this->on = $on;
    }

    /** @return list<Step> in no order of their own, with the house's minutes: Order puts them in one, and each is then paced by the hand */
    public static function of(Ledger $ledger, Pace $pace, Needles $needles): array
    {
        $figure = $ledger->figure;
        if ($figure->parts === []) {
            return [];
        }
        $steps = new self($figure, $ledger, $needles, self::facePart($figure));
        $routing = WireRouting::of($ledger);
        $making = new Making($figure, $ledger, $pace, $needles, $routing, $steps->face);
        $joins = new Joins($figure, $needles);
        $layers = LayerSteps::of($figure, $needles);
        $all = $steps->portions();
        $first = $all === [] ? [] : ['portion'];
        $mixing = $steps->mixing();
        foreach ($figure->parts as $part) {
            array_push(
                $all,
                ...$making->of($part, $part->stand->mirror ? $first : []),
                ...$steps->marking($part),
                ...$layers?->lays($part) === true ? [] : $joins->of($part),
                ...$making->steaming($part),
                ...$making->layingOn($part),
            );
        }
        array_push($all, ...$routing->steps(), ...$steps->loop(), ...$steps->weights(), ...$layers?->steps() ?? []);
        foreach (LayingOrder::of($figure, array_values($figure->details)) as $detail) {
            $all[] = $steps->detail($detail, LayerSteps::isEmbroidery($figure, $detail->method) ? $layers?->allLaid() ?? [] : []);
        }

        $all = self::mixedFirst($mixing, $all);

        return [...$mixing, ...$all, ...$steps->finishing($all)];
    }

    /** The part that bears the most details: the face. Empty where there are none. */
    public static function facePart(Figure $figure): string
    {
        $counts = array_count_values(array_map(static fn (Detail $d): string => $d->on, array_values($figure->details)));
        arsort($counts);

        return (string) array_key_first($counts);
    }

    /** The last step of making a part by itself: what is laid on it or joined to it comes after. */
    public static function made(Part $part): string
    {
        return ($part->stand->mirror ? 'compare:' : 'cover:').$part->key;
    }

    /** Whether a part is felted round something before it is covered. */
    public static function hasCore(Ledger $ledger, string $part): bool
    {
        return $ledger->wool[$part]->coreMaterial() !== CoreMaterial::None;
    }

    /** @return list<Step> one for each colour that is mixed */
    private function mixing(): array
    {
        return array_map(fn (Mix $mix): Step => new Step(
            key: 'mix:'.$mix->colour,
            kind: StepKind::Mix,
            title: Message::of('steps.title.mix', colour: $this->figure->colours[$mix->colour]->name),
            text: Message::of('steps.text.mix'),
            time: StepTime::usual(1, Pace::MIX),
            about: new Subject(colour: $mix->colour),
            uses: new StepUses(mix: $mix),
        ), Mix::all($this->ledger));
    }

    /**
     * Whatever takes of a mix comes after the mixing.
     *
     * @param  list<Step>  $mixing
     * @param  list<Step>  $all
     * @return list<Step>
     */
    private static function mixedFirst(array $mixing, array $all): array
    {
        $keys = [];
        foreach ($mixing as $step) {
            $keys[$step->about->colour] = $step->key;
        }

        return $keys === [] ? $all : array_map(static function (Step $step) use ($keys): Step {
            $taken = array_map(static fn (LedgerLine $l): string => $l->for->colour, $step->uses->weighings);
            // A seam is hidden with a wisp of the colour, which nobody weighs.
            $wisp = $step->kind === StepKind::Hide ? [$step->about->colour] : [];
            $mixed = array_values(array_intersect_key($keys, array_flip([...$taken, ...$wisp])));

            return $mixed === [] ? $step : $step->following([...$step->order->after, ...$mixed]);
        }, $all);
    }

    /** @return list<Step> one step, where anything comes in pairs */
    private function portions(): array
    {
        $pairs = array_filter(
            $this->ledger->lines,
            fn (LedgerLine $l): bool => $l->for->detail === '' &&
                $l->material !== CoreMaterial::Foam->value &&
                $this->figure->parts[$l->for->part]->stand->mirror &&
                // What is cut from a sheet is laid on its twin, not weighed against it.
                $this->figure->parts[$l->for->part]->made->covering->way !== CoveringWay::PreFelt,
        );

        return $pairs === []
            ? []
            : [
                new Step(
                    key: 'portion',
                    kind: StepKind::Portion,
                    title: Message::of('steps.title.portion'),
                    text: Message::of('steps.text.portion'),
                    time: StepTime::usual(1, Pace::PORTION),
                    uses: new StepUses(weighings: array_values($pairs)),
                ),
            ];
    }

    /** @return list<Step> one step, where enough lies on a part to be marked together */
    private function marking(Part $part): array
    {
        return count($this->on[$part->key]) < self::MARKED_FROM
            ? []
            : [
                new Step(
                    key: 'mark:'.$part->key,
                    kind: StepKind::Mark,
                    title: Message::of('steps.title.mark', part: $part->name),
                    text: Message::of('steps.text.mark'),
                    time: StepTime::usual($part->count(), Pace::MARK),
                    about: new Subject($part->key),
                    order: new StepOrder([self::made($part)]),
                ),
            ];
    }

    /** @return list<Step> one step, for what hangs: the loop goes through its topmost part while only its inside is there */
    private function loop(): array
    {
        $top = null;
        $highest = -INF;
        foreach ($this->figure->parts as $part) {
            $level = $part->placements()[0]->levelsMm()[1];
            if ($part->stand->group === '' && ! $part->stand->mirror && $level > $highest) {
                [$top, $highest] = [$part, $level];
            }
        }
        if ($this->figure->pose !== Pose::Hang || $top === null) {
            return [];
        }

        return [
            new Step(
                key: 'loop:'.$top->key,
                kind: StepKind::Loop,
                title: Message::of('steps.title.loop', part: $top->name),
                text: Message::of('steps.text.loop'),
                time: StepTime::usual(1, Pace::LOOP),
                about: new Subject($top->key),
                order: new StepOrder([(self::hasCore($this->ledger, $top->key) ? 'core:' : 'cover:').$top->key]),
            ),
        ];
    }

    /** @return list<Step> one for each weight that is hidden, in the part where it lies, while only that one's inside is there */
    private function weights(): array
    {
        $steps = [];
        foreach ($this->figure->base->weights as $weight) {
            $part = $this->figure->parts[$this->holding($weight['atMm'])];
            $steps[] = new Step(
                key: 'weight:'.$weight['key'],
                kind: StepKind::Weight,
                title: Message::of('steps.title.weight', weight: Amount::g(max(1.0, $weight['g'])), part: new Name($part->name)),
                text: Message::of('steps.text.weight'),
                time: StepTime::usual(1, Pace::WEIGHT),
                about: new Subject($part->key),
                order: new StepOrder([(self::hasCore($this->ledger, $part->key) ? 'core:' : 'cover:').$part->key]),
            );
        }

        return $steps;
    }

    /** @param  Vec3  $at */
    private function holding(array $at): string
    {
        $nearest = ['', INF];
        foreach ($this->figure->parts as $key => $part) {
            foreach ($part->placements() as $piece) {
                $far = ($at[0] - $piece->at[0]) ** 2 + ($at[1] - $piece->at[1]) ** 2 + ($at[2] - $piece->at[2]) ** 2;
                $nearest = $far < $nearest[1] ? [(string) $key, $far] : $nearest;
            }
        }

        return $nearest[0];
    }

    /** Whether a detail waits for one of a lower layer: what is felted for all of them, what is set on for those that it lies on. */
    private static function isOver(Detail $detail, Detail $other): bool
    {
        return $detail->method === Method::Felt
            || ($detail->lie->side === $other->lie->side && Box::around($detail->outline())->meets(Box::around($other->outline())));
    }

    /** @param  list<string>  $later  what it waits for besides its part */
    private function detail(Detail $detail, array $later): Step
    {
        $part = $this->figure->parts[$detail->on];
        $on = $this->on[$detail->on];
        $after = [count($on) < self::MARKED_FROM ? self::made($part) : 'mark:'.$part->key, ...$later];
        foreach ($on as $other) {
            if ($other->lie->layer < $detail->lie->layer && self::isOver($detail, $other)) {
                $after[] = 'detail:'.$other->key;
            }
        }
        $line = $this->ledger->ofDetail($detail->key);

        return new Step(
            key: 'detail:'.$detail->key,
            kind: StepKind::Detail,
            title: $detail->name,
            text: StepWords::detail($detail),
            time: StepTime::usual($this->figure->pieces($detail), $this->minutes($detail), $detail->method->dries() ? Pace::DRYING : 0.0),
            about: new Subject($detail->on, $detail->key, $detail->colour),
            order: new StepOrder($after),
            uses: new StepUses(
                $detail->method === Method::Felt ? NeedleChoice::face($part->solid->thinnestMm())->from($this->needles) : null,
                $line === null ? [] : [$line],
            ),
        );
    }

    /**
     * @param  list<Step>  $all  before them
     * @return list<Step>
     */
    private function finishing(array $all): array
    {
        $needed = array_merge(...array_map(static fn (Step $s): array => $s->order->after, $all));
        $last = array_values(array_diff(array_map(static fn (Step $s): string => $s->key, $all), $needed));

        $flat = $this->figure->base->flattenMm <= 0.0
            ? []
            : [
                new Step(
                    key: 'flatten',
                    kind: StepKind::Flatten,
                    title: Message::of('steps.title.flatten', deep: Amount::mm($this->figure->base->flattenMm)),
                    text: Message::of('steps.text.flatten'),
                    time: StepTime::usual(1, Pace::FLATTEN),
                    order: new StepOrder($last),
                    uses: new StepUses(NeedleChoice::bulk(1, 2 * $this->figure->base->flattenMm)->from($this->needles)),
                ),
            ];

        return [
            ...$flat,
            new Step(
                key: 'trim',
                kind: StepKind::Trim,
                title: Message::of('steps.title.trim'),
                text: Message::of('steps.text.trim'),
                time: StepTime::usual(1, Pace::TRIM),
                order: new StepOrder($flat === [] ? $last : ['flatten']),
                uses: new StepUses(NeedleChoice::surface()->from($this->needles)),
            ),
            new Step(
                key: 'inspect',
                kind: StepKind::Inspect,
                title: Message::of('steps.title.inspect'),
                text: Message::of('steps.text.inspect'),
                time: StepTime::usual(1, Pace::INSPECT),
                order: new StepOrder(['trim']),
            ),
        ];
    }

    /** Of one piece of a detail. */
    private function minutes(Detail $detail): float
    {
        return match (true) {
            $detail->method !== Method::Felt => Pace::FIXED,
            $detail->drawn->kind === DetailKind::Line => Pace::LINE,
            Crispness::isSpark($this->figure, $detail) => Pace::SPARK,
            default => Pace::SPOT,
        };
    }
}
