<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Armature\WireAdvice;
use Impa\Figure\Editing\Buried;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Seat;
use Impa\Figure\Term\JoinBy;
use Impa\Material\CoveringWay;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Wool\Ledger\Coverings;

/** What a step should look like when it is done, what usually goes wrong at it and its cure, and where it can hurt (docs/trade.md). */
final class Hints
{
    /** One sentence. */
    public static function look(Step $step): Message
    {
        return Message::of('steps.look.'.$step->kind->value);
    }

    /** What is said of a part that nobody sees. */
    public static function hidden(Part $part, Part $to): Message
    {
        return Message::of('build.hints.lies-wholly-within', name: $part->name, name2: new Name($to->name));
    }

    /** What is said of a part that is felted onto another without her saying so. */
    public static function lies(Seat $seat, Part $part, Part $to): Message
    {
        return Message::of(
            'build.hints.of-the-lies-within',
            share: Amount::share($seat->shared->share),
            name: new Name($part->name),
            name2: new Name($to->name),
        );
    }

    /** What is said of a part that shows in the picture and not in the round. */
    public static function buried(Part $part, Part $to, float $mm, bool $isHidden): Message
    {
        return Message::of(
            'build.buried.'.($isHidden ? 'hidden' : 'inside').(Buried::canGoRound($part) ? '-or-round' : ''),
            name: $part->name,
            to: new Name($to->name),
            by: Amount::mm($mm),
        );
    }

    /** What is said of a part that does not reach what it is joined to: among the notes, and where it is to be joined. */
    public static function floats(Part $part, Part $to, float $gapMm): Message
    {
        return Message::of('build.hints.does-not-reach', name: $part->name, name2: new Name($to->name), mm: Amount::mm(max(1.0, $gapMm)));
    }

    /**
     * What usually goes wrong here, and the cure (docs/trade.md, What goes wrong).
     *
     * @return ?array{sign: Message, cure: Message} nothing where nothing usually does
     */
    public static function wrong(Step $step, Figure $figure): ?array
    {
        $cure = match ($step->kind) {
            StepKind::Compare => Coverings::isCut($figure->parts[$step->about->part]) ? 'compare-cut' : 'compare',
            StepKind::Portion, StepKind::Wire, StepKind::Weight, StepKind::Loop, StepKind::Slit, StepKind::Ribbon, StepKind::Flatten,
            StepKind::Inspect => '',
            default => $step->kind->value,
        };

        return $cure === '' ? null : [
            'sign' => Message::of('steps.sign.'.$step->kind->value),
            'cure' => Message::of("steps.cure.$cure", ...($step->kind === StepKind::Open ? ['little' => Amount::mm(1.0)] : [])),
        ];
    }

    /** Lighter and darker than that a colour has its own side of the pad, L* (house choice). */
    private const LIGHT = 70.0;

    private const DARK = 40.0;

    /** On which side of the pad it is felted, so that no fibre of another colour gets in; nothing where nothing is. */
    public static function pad(Step $step, Figure $figure): ?Message
    {
        $light = isset($figure->colours[$step->about->colour]) ? $figure->colours[$step->about->colour]->srgb->lab()->l : null;

        return match (true) {
            $step->uses->needle === null => null,
            $light === null => Message::of('steps.pad.undyed'),
            $light >= self::LIGHT => Message::of('steps.pad.light'),
            $light <= self::DARK => Message::of('steps.pad.dark'),
            default => Message::of('steps.pad.middling'),
        };
    }

    /** @return list<Message> cautions that apply at this step (docs/trade.md, Cautions) */
    public static function cautions(Step $step, Figure $figure): array
    {
        $cautions = [];
        $part = $figure->parts[$step->about->part] ?? null;
        $method = $step->about->detail === '' ? null : $figure->details[$step->about->detail]->method;
        $joinBy = in_array($step->kind, [StepKind::Slit, StepKind::Join], true) ? $part?->join->by : null;
        if ($step->uses->needle !== null) {
            $cautions[] = Message::of('steps.caution.needle');
        }
        if (($step->uses->needle->holder ?? 1) > 1) {
            $cautions[] = Message::of('steps.caution.holder');
        }
        if ($method?->dries() || $joinBy === JoinBy::Glue || self::isGlued($step)) {
            $cautions[] = Message::of('steps.caution.glue');
        }
        if ($method?->isHard()) {
            $cautions[] = Message::of('steps.caution.hard');
        }
        $isWire = in_array($step->kind, [StepKind::Wire, StepKind::Thread], true) || $joinBy === JoinBy::Wire;
        if ($isWire || ($step->uses->needle !== null && self::hasWire($figure, $step->about->part))) {
            $cautions[] = Message::of('steps.caution.wire');
        }
        if ($step->kind === StepKind::Weight) {
            $cautions[] = Message::of('steps.caution.weight');
        }
        if ($joinBy === JoinBy::Slit && $step->kind === StepKind::Slit) {
            $cautions[] = Message::of('steps.caution.slit');
        }
        if (in_array($step->kind, [StepKind::Cut, StepKind::Open, StepKind::Ribbon], true)) {
            $cautions[] = Message::of('steps.caution.scissors');
        }
        if ($step->kind === StepKind::Ribbon) {
            $cautions[] = Message::of('steps.caution.ties');
        }
        $isIroned = $step->kind === StepKind::Covering && $part?->made->covering->way === CoveringWay::Film;
        if ($isIroned || in_array($step->kind, [StepKind::Trim, StepKind::Press], true)) {
            $cautions[] = Message::of('steps.caution.iron');
        }
        if ($step->kind === StepKind::Steam) {
            $cautions[] = Message::of('steps.caution.steam');
        }
        if ($step->kind === StepKind::Inspect) {
            $cautions[] = Message::of('steps.caution.broken');
        }

        return $cautions;
    }

    /** Whether a wire is glued in. */
    private static function isGlued(Step $step): bool
    {
        return $step->kind === StepKind::Thread && $step->time->waitMinutes > 0.0;
    }

    /** Whether a wire of the figure goes through a part. */
    private static function hasWire(Figure $figure, string $part): bool
    {
        foreach (isset($figure->parts[$part]) ? $figure->wires : [] as $wire) {
            if (WireAdvice::isThrough($wire, $figure->parts[$part])) {
                return true;
            }
        }

        return false;
    }
}
