<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Armature\WireAdvice;
use Impa\Face\Crispness;
use Impa\Face\LayingOrder;
use Impa\Face\Needles;
use Impa\Figure\Detail;
use Impa\Figure\DetailKind;
use Impa\Figure\Figure;
use Impa\Figure\JoinBy;
use Impa\Figure\Method;
use Impa\Figure\Part;
use Impa\Figure\Pose;
use Impa\Figure\Wire;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Pace;
use Impa\Wool\Ledger;
use Impa\Wool\LedgerLine;
use Impa\Wool\Purpose;

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
        private Pace $pace,
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

    /** @return list<Step> in no order of their own: Order puts them in one */
    public static function of(Ledger $ledger, Pace $pace, Needles $needles): array
    {
        $figure = $ledger->figure;
        if ($figure->parts === []) {
            return [];
        }
        $steps = new self($figure, $ledger, $pace, $needles, self::facePart($figure));
        $all = $steps->portions();
        $first = $all === [] ? [] : ['portion'];
        foreach ($figure->parts as $part) {
            array_push(
                $all,
                ...$steps->making($part, $part->mirror ? $first : []),
                ...$steps->marking($part),
                ...$steps->joining($part),
                ...$steps->layingOn($part),
            );
        }
        array_push($all, ...$steps->loop(), ...$steps->weights());
        foreach (LayingOrder::of($figure, array_values($figure->details)) as $detail) {
            $all[] = $steps->detail($detail);
        }

        return [...$all, ...$steps->finishing($all)];
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
        return ($part->mirror ? 'compare:' : 'cover:').$part->key;
    }

    /** @return list<Step> one step, where anything comes in pairs */
    private function portions(): array
    {
        $pairs = array_filter(
            $this->ledger->lines,
            fn (LedgerLine $l): bool => $l->detail === '' &&
                $l->material !== CoreMaterial::Foam->value &&
                $this->figure->parts[$l->part]->mirror,
        );

        return $pairs === []
            ? []
            : [
                new Step(
                    key: 'portion',
                    kind: StepKind::Portion,
                    title: 'Set portions aside',
                    minutes: $this->pace->portion,
                    weighings: array_values($pairs),
                    text: Words::PORTION,
                ),
            ];
    }

    /**
     * @param  list<string>  $after
     * @return list<Step> wire, core and cover as far as it has them, and both of a pair compared
     */
    private function making(Part $part, array $after): array
    {
        $wool = $this->ledger->wool[$part->key];
        $core = $wool->coreMaterial();
        $steps = [];
        $then = static function (Step $step) use (&$steps, &$after): void {
            $steps[] = $step;
            $after = [$step->key];
        };
        if ($this->wantsWire($part)) {
            $steps[] = new Step(
                key: 'wire:'.$part->key,
                kind: StepKind::Wire,
                title: 'Wire: '.$part->name,
                part: $part->key,
                minutes: $part->count() * $this->pace->wire,
                text: Words::WIRE,
            );
            $after[] = 'wire:'.$part->key;
        }
        if ($core !== CoreMaterial::None) {
            $each = $core === CoreMaterial::Foam ? $this->pace->foam : $this->pace->bulk($wool->coreG(), $part->firmness);
            $then(new Step(
                key: 'core:'.$part->key,
                kind: StepKind::Core,
                title: 'Core: '.$part->name,
                part: $part->key,
                after: $after,
                minutes: $part->count() * $each,
                needle: $core === CoreMaterial::Foam
                    ? null
                    : Needle::bulk($this->pace->needles($wool->coreG()), $part->solid->thinnestMm())->from($this->needles),
                weighings: $this->lines($part, Purpose::Inside),
                text: Words::core($core),
            ));
        }
        $then(
            $part->covering->way->replacesCover()
                ? $this->covering('cover:'.$part->key, $part, $after)
                : $this->cover($part, $core, $after),
        );
        if ($part->mirror) {
            $then(new Step(
                key: 'compare:'.$part->key,
                kind: StepKind::Compare,
                title: 'Compare both: '.$part->name,
                part: $part->key,
                after: $after,
                minutes: $this->pace->compare,
                text: Words::COMPARE,
                colour: $part->colour,
            ));
        }

        return $steps;
    }

    /** Whether a wire is bent for a part before it is made: it is wound round one, fixed by one, or the felter drew one along it. */
    private function wantsWire(Part $part): bool
    {
        $isWound = $part->covering->way === CoveringWay::Wrap || ($part->isJoined() && $part->joinBy === JoinBy::Wire);
        $isLong = $part->solid->kind()->isLong();

        $runs = static fn (Wire $wire): bool => WireAdvice::isThrough($wire, $part);

        return $isWound || ($isLong && array_filter($this->figure->wires, $runs) !== []);
    }

    /** @param  list<string>  $after */
    private function cover(Part $part, CoreMaterial $core, array $after): Step
    {
        $wool = $this->ledger->wool[$part->key];
        $isSolid = $core === CoreMaterial::None;
        $each =
            $this->pace->bulk($wool->coverG(), $part->firmness) +
            $this->pace->surface($this->ledger->areaCm2($part->key), $part->key === $this->face);
        $needle = match (true) {
            ! $isSolid => Needle::surface(),
            $part->solid->kind()->isFlat() => Needle::flat($part->solid->thinnestMm()),
            default => Needle::shaping($part->solid->thinnestMm()),
        };

        return new Step(
            key: 'cover:'.$part->key,
            kind: $isSolid ? StepKind::Felt : StepKind::Cover,
            title: ($isSolid ? 'Felt: ' : 'Cover: ').$part->name,
            part: $part->key,
            after: $after,
            minutes: $part->count() * $each,
            needle: $needle->from($this->needles),
            weighings: $this->lines($part, Purpose::Cover),
            text: $isSolid ? Words::felt($part) : Words::cover($part),
            colour: $part->colour,
        );
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
                    title: 'Mark: '.$part->name,
                    part: $part->key,
                    after: [self::made($part)],
                    minutes: $part->count() * $this->pace->mark,
                    text: Words::MARK,
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
            if ($part->group === '' && ! $part->mirror && $level > $highest) {
                [$top, $highest] = [$part, $level];
            }
        }
        if ($this->figure->pose !== Pose::Hang || $top === null) {
            return [];
        }
        $hasCore = $this->ledger->wool[$top->key]->coreMaterial() !== CoreMaterial::None;

        return [
            new Step(
                key: 'loop:'.$top->key,
                kind: StepKind::Loop,
                title: 'Loop to hang it by: '.$top->name,
                part: $top->key,
                after: [($hasCore ? 'core:' : 'cover:').$top->key],
                minutes: $this->pace->loop,
                text: Words::LOOP,
            ),
        ];
    }

    /** @return list<Step> one for each weight that is hidden, in the part where it lies, while only that one's inside is there */
    private function weights(): array
    {
        $steps = [];
        foreach ($this->figure->base->weights as $i => $weight) {
            $part = $this->figure->parts[$this->holding($weight['atMm'])];
            $hasCore = $this->ledger->wool[$part->key]->coreMaterial() !== CoreMaterial::None;
            $steps[] = new Step(
                key: 'weight:'.$i,
                kind: StepKind::Weight,
                title: sprintf('Hide %.0f g in %s', max(1.0, $weight['g']), self::low($part->name)),
                part: $part->key,
                after: [($hasCore ? 'core:' : 'cover:').$part->key],
                minutes: $this->pace->weight,
                text: Words::WEIGHT,
            );
        }

        return $steps;
    }

    /** @param  array{float, float, float}  $at */
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

    /**
     * Loops, tufts, locks and hair come last on a part: when its face is made and its seams can be hidden under them.
     *
     * @return list<Step>
     */
    private function layingOn(Part $part): array
    {
        $way = $part->covering->way;
        if ($way === CoveringWay::Felt || $way->replacesCover()) {
            return [];
        }
        $after = [self::made($part)];
        foreach ($this->on[$part->key] as $detail) {
            $after[] = 'detail:'.$detail->key;
        }
        foreach ($this->figure->parts as $other) {
            if ($other->isJoined() && in_array($part->key, [$other->key, $other->joinTo], true)) {
                $after[] = 'join:'.$other->key;
            }
        }

        return [$this->covering('covering:'.$part->key, $part, $after)];
    }

    /** @param  list<string>  $after */
    private function covering(string $key, Part $part, array $after): Step
    {
        $need = $this->ledger->wool[$part->key]->covering;
        $way = $part->covering->way;

        return new Step(
            key: $key,
            kind: StepKind::Covering,
            title: ucfirst($way->label()).': '.$part->name,
            part: $part->key,
            after: $after,
            minutes: $part->count() * $this->pace->covering($way, $need->count, $need->metres),
            needle: in_array($way, [CoveringWay::Film, CoveringWay::PreFelt, CoveringWay::Plait], true)
                ? null
                : Needle::surface()->from($this->needles),
            weighings: [...$this->lines($part, Purpose::Covering), ...$this->lines($part, Purpose::Film)],
            text: $need->text,
            colour: $part->colour,
        );
    }

    /** @return list<Step> */
    private function joining(Part $part): array
    {
        if (! $part->isJoined()) {
            return [];
        }
        $to = $this->figure->parts[$part->joinTo];
        $after = [self::made($part), self::made($to)];
        $steps = [];
        if ($part->joinBy === JoinBy::Slit) {
            $steps[] = new Step(
                key: 'slit:'.$part->key,
                kind: StepKind::Slit,
                title: sprintf('Cut a slit in %s for %s', self::low($to->name), self::low($part->name)),
                part: $part->key,
                after: $after,
                minutes: $part->count() * $this->pace->slit,
                text: Words::SLIT,
            );
            $after = ['slit:'.$part->key];
        }
        $isStabbed = ! in_array($part->joinBy, [JoinBy::Sew, JoinBy::Glue], true);
        $steps[] = new Step(
            key: 'join:'.$part->key,
            kind: StepKind::Join,
            title: sprintf('Join %s to %s', self::low($part->name), self::low($to->name)),
            part: $part->key,
            after: $after,
            minutes: $part->count() * $this->pace->join,
            waitMinutes: $part->joinBy === JoinBy::Glue ? $this->pace->drying : 0.0,
            needle: match (true) {
                ! $isStabbed => null,
                $part->joinBy === JoinBy::Wrap => Needle::surface()->from($this->needles),
                default => Needle::joining($to->solid->thinnestMm() / 2)->from($this->needles),
            },
            text: Words::join($part),
            colour: $part->colour,
        );
        $steps[] = new Step(
            key: 'hide:'.$part->key,
            kind: StepKind::Hide,
            title: sprintf('Hide the seam of %s', self::low($part->name)),
            part: $part->key,
            after: ['join:'.$part->key],
            minutes: $part->count() * $this->pace->hide,
            needle: Needle::surface()->from($this->needles),
            text: Words::HIDE,
            colour: $part->colour,
        );

        return $steps;
    }

    private function detail(Detail $detail): Step
    {
        $part = $this->figure->parts[$detail->on];
        $on = $this->on[$detail->on];
        $after = [count($on) < self::MARKED_FROM ? self::made($part) : 'mark:'.$part->key];
        foreach ($on as $other) {
            if ($other->layer < $detail->layer) {
                $after[] = 'detail:'.$other->key;
            }
        }
        $line = $this->ledger->ofDetail($detail->key);

        return new Step(
            key: 'detail:'.$detail->key,
            kind: StepKind::Detail,
            title: $detail->name,
            part: $detail->on,
            detail: $detail->key,
            after: $after,
            minutes: $this->figure->pieces($detail) * $this->minutes($detail),
            waitMinutes: in_array($detail->method, [Method::ReadyMade, Method::Paint, Method::Pin], true)
                ? $this->pace->drying
                : 0.0,
            needle: $detail->method === Method::Felt ? Needle::face($part->solid->thinnestMm())->from($this->needles) : null,
            weighings: $line === null ? [] : [$line],
            text: Words::detail($detail),
            colour: $detail->colour,
        );
    }

    /**
     * @param  list<Step>  $all  before them
     * @return list<Step>
     */
    private function finishing(array $all): array
    {
        $needed = array_merge(...array_map(static fn (Step $s): array => $s->after, $all));
        $last = array_values(array_diff(array_map(static fn (Step $s): string => $s->key, $all), $needed));

        $flat = $this->figure->base->flattenMm <= 0.0
            ? []
            : [
                new Step(
                    key: 'flatten',
                    kind: StepKind::Flatten,
                    title: sprintf('Flatten the base by %.0f mm', $this->figure->base->flattenMm),
                    after: $last,
                    minutes: $this->pace->flatten,
                    needle: Needle::bulk(1, 2 * $this->figure->base->flattenMm)->from($this->needles),
                    text: Words::FLATTEN,
                ),
            ];

        return [
            ...$flat,
            new Step(
                key: 'trim',
                kind: StepKind::Trim,
                title: 'Trim and smooth',
                after: $flat === [] ? $last : ['flatten'],
                minutes: $this->pace->trim,
                needle: Needle::surface()->from($this->needles),
                text: Words::TRIM,
            ),
            new Step(
                key: 'inspect',
                kind: StepKind::Inspect,
                title: 'Inspect',
                after: ['trim'],
                minutes: $this->pace->inspect,
                text: Words::INSPECT,
            ),
        ];
    }

    /** Of one piece of a detail. */
    private function minutes(Detail $detail): float
    {
        return match (true) {
            $detail->method !== Method::Felt => $this->pace->fixed,
            $detail->kind === DetailKind::Line => $this->pace->line,
            Crispness::isSpark($this->figure, $detail) => $this->pace->spark,
            default => $this->pace->spot,
        };
    }

    /** @return list<LedgerLine> */
    private function lines(Part $part, Purpose $purpose): array
    {
        return array_values(
            array_filter($this->ledger->ofPart($part->key), static fn (LedgerLine $l): bool => $l->purpose === $purpose),
        );
    }

    private static function low(string $name): string
    {
        return mb_strtolower($name);
    }
}
