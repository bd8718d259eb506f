<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Face\Crispness;
use Impa\Face\LayingOrder;
use Impa\Figure\Detail;
use Impa\Figure\DetailKind;
use Impa\Figure\FaceSchool;
use Impa\Figure\Figure;
use Impa\Figure\Method;
use Impa\Figure\Part;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Pace;
use Impa\Wool\Ledger;
use Impa\Wool\LedgerLine;
use Impa\Wool\Purpose;

/** Everything there is to do for a figure, each step after what it depends on. What is weighed is said by the ledger. */
final readonly class Steps
{
    private function __construct(private Figure $figure, private Ledger $ledger, private Pace $pace, private string $face)
    {
    }

    /** @return list<Step> in an order that can be followed */
    public static function of(Ledger $ledger, Pace $pace): array
    {
        $figure = $ledger->figure;
        if ($figure->parts === []) {
            return [];
        }
        $steps = new self($figure, $ledger, $pace, self::facePart($figure));
        $all = $steps->portions();
        foreach ($figure->parts as $part) {
            array_push($all, ...$steps->making($part), ...$steps->joining($part), ...$steps->layingOn($part));
        }
        foreach (LayingOrder::of($figure, array_values($figure->details)) as $detail) {
            $all[] = $steps->detail($detail);
        }
        $all[] = new Step(
            key: 'inspect',
            kind: StepKind::Inspect,
            after: array_map(static fn (Step $s): string => $s->key, $all),
            minutes: $pace->inspect,
            text: Words::INSPECT,
        );

        return Order::of($all);
    }

    /** The part that bears the most details: the face. Empty where there are none. */
    public static function facePart(Figure $figure): string
    {
        $counts = array_count_values(array_map(static fn (Detail $d): string => $d->on, array_values($figure->details)));
        arsort($counts);

        return (string) array_key_first($counts);
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
                    minutes: $this->pace->portion,
                    weighings: array_values($pairs),
                    text: Words::PORTION,
                ),
            ];
    }

    /** @return list<Step> core and cover, or one step for what is all of one piece */
    private function making(Part $part): array
    {
        $wool = $this->ledger->wool[$part->key];
        $core = $wool->coreMaterial();
        $after = $part->mirror ? ['portion'] : [];
        $steps = [];
        if ($core !== CoreMaterial::None) {
            $each = $core === CoreMaterial::Foam ? $this->pace->foam : $this->pace->bulk($wool->coreG(), $part->firmness);
            $steps[] = new Step(
                key: 'core:'.$part->key,
                kind: StepKind::Core,
                part: $part->key,
                after: $after,
                minutes: $part->count() * $each,
                needle: Needle::bulk(Pace::needles($wool->coreG())),
                weighings: $this->lines($part, Purpose::Inside),
                text: Words::core($part, $core),
            );
            $after = ['core:'.$part->key];
        }
        if ($part->covering->way->replacesCover()) {
            $steps[] = $this->covering('cover:'.$part->key, $part, $after);

            return $steps;
        }
        $each =
            $this->pace->bulk($wool->coverG(), $part->firmness) +
            $this->pace->surface($this->ledger->areaCm2($part->key), $part->key === $this->face);
        $isSolid = $core === CoreMaterial::None;
        $steps[] = new Step(
            key: 'cover:'.$part->key,
            kind: $isSolid ? StepKind::Felt : StepKind::Cover,
            part: $part->key,
            after: $after,
            minutes: $part->count() * $each,
            needle: $isSolid ? Needle::shaping() : Needle::surface(),
            weighings: $this->lines($part, Purpose::Cover),
            text: $isSolid ? Words::felt($part) : Words::cover($part),
        );

        return $steps;
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
        $after = ['cover:'.$part->key];
        foreach ($this->figure->detailsOn($part->key) as $detail) {
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
            part: $part->key,
            after: $after,
            minutes: $part->count() * $this->pace->covering($way, $need->count, $need->metres),
            needle: in_array($way, [CoveringWay::Film, CoveringWay::PreFelt, CoveringWay::Plait], true)
                ? null
                : Needle::surface(),
            weighings: [...$this->lines($part, Purpose::Covering), ...$this->lines($part, Purpose::Film)],
            text: Words::covering($part, $need->text),
        );
    }

    /** @return list<Step> */
    private function joining(Part $part): array
    {
        if (! $part->isJoined()) {
            return [];
        }
        $after = ['cover:'.$part->key, 'cover:'.$part->joinTo];
        $first = match ($this->figure->faceSchool) {
            FaceSchool::LooseHead => [$part->key, $this->face],
            FaceSchool::FaceFirst => $part->key === $this->face ? [] : [$this->face],
            FaceSchool::LimbsFirst => [],
        };
        foreach ($this->figure->details as $detail) {
            if (in_array($detail->on, $first, true)) {
                $after[] = 'detail:'.$detail->key;
            }
        }

        return [
            new Step(
                key: 'join:'.$part->key,
                kind: StepKind::Join,
                part: $part->key,
                after: $after,
                minutes: $part->count() * $this->pace->join,
                needle: Needle::joining(),
                text: Words::join($part, $this->figure->parts[$part->joinTo]),
            ),
            new Step(
                key: 'hide:'.$part->key,
                kind: StepKind::Hide,
                part: $part->key,
                after: ['join:'.$part->key],
                minutes: $part->count() * $this->pace->hide,
                needle: Needle::surface(),
                text: Words::hide($part),
            ),
        ];
    }

    private function detail(Detail $detail): Step
    {
        $part = $this->figure->parts[$detail->on];
        $after = ['cover:'.$detail->on];
        foreach ($this->figure->detailsOn($detail->on) as $other) {
            if ($other->layer < $detail->layer) {
                $after[] = 'detail:'.$other->key;
            }
        }
        if ($this->figure->faceSchool === FaceSchool::FaceFirst && $part->isJoined()) {
            $after[] = 'join:'.$part->key;
        }
        foreach ($this->figure->faceSchool === FaceSchool::LimbsFirst ? $this->figure->parts : [] as $other) {
            if ($other->isJoined()) {
                $after[] = 'join:'.$other->key;
            }
        }
        $line = $this->ledger->ofDetail($detail->key);

        return new Step(
            key: 'detail:'.$detail->key,
            kind: StepKind::Detail,
            part: $detail->on,
            detail: $detail->key,
            after: $after,
            minutes: $this->figure->pieces($detail) * $this->minutes($detail),
            waitMinutes: in_array($detail->method, [Method::ReadyMade, Method::Paint, Method::Pin], true)
                ? $this->pace->drying
                : 0.0,
            needle: $detail->method === Method::Felt ? Needle::face() : null,
            weighings: $line === null ? [] : [$line],
            text: Words::detail($detail),
        );
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
}
