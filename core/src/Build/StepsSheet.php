<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Build\Schedule\Schedule;
use Impa\Build\Steps\Hints;
use Impa\Build\Steps\NeedleChoice;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Shape\Size;
use Impa\Wool\Grams;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\Purpose;
use Impa\Wool\Ledger\WoolWords;
use Impa\Wool\Portion\Portion;
use Impa\Wool\Portion\Portions;

/** The impa-steps document, version 1; formats/impa-steps-1.schema.json. */
final class StepsSheet
{
    /** @return array<string, mixed> */
    public static function of(Work $work): array
    {
        $portions = [];
        foreach (Portions::of($work->ledger) as $portion) {
            $portions[$portion->line->for->part.' '.$portion->line->purpose->value] = $portion;
        }

        return [
            'format' => 'impa-steps',
            'version' => 1,
            'figure' => $work->ledger->figure->name,
            'school' => $work->ledger->figure->school->face->value,
            'steps' => array_map(static fn (Step $s): array => self::step($s, $work, $portions), $work->steps),
        ];
    }

    /**
     * @param  array<string, Portion>  $portions
     * @return array<string, mixed>
     */
    private static function step(Step $step, Work $work, array $portions): array
    {
        [$low, , $high] = $work->pace->spread([[$step->kind->value, $step->time->minutes]]);
        $wrong = Hints::wrong($step, $work->ledger->figure);
        $because = [];
        foreach ($step->order->because as $after => $text) {
            $because[] = ['after' => $after, 'text' => $text];
        }

        return [
            'key' => $step->key,
            'kind' => $step->kind->value,
            'stage' => $step->kind->stage()->value,
            'title' => (string) $step->title,
            'text' => (string) $step->text,
            'part' => $step->about->part,
            'detail' => $step->about->detail,
            'after' => $step->order->after,
            'because' => $because,
            'tight' => $work->tight[$step->key] ?? null,
            'amiss' => $work->amiss($step),
            'minutes' => $step->time->minutes,
            'lowMinutes' => $low,
            'highMinutes' => $high,
            'waitMinutes' => $step->time->waitMinutes,
            'canBePutDown' => Schedule::canBeCut($step),
            'needle' => $step->uses->needle === null ? null : self::needle($step->uses->needle, $work->pace->stabs($step->time->minutes)),
            'pad' => (string) Hints::pad($step, $work->ledger->figure),
            'weigh' => array_map(
                static fn (LedgerLine $l): array => self::weigh($l, $work, $portions[$l->for->part.' '.$l->purpose->value] ?? null),
                $step->uses->weighings,
            ),
            'mix' => $step->uses->mix?->document(),
            'wantedG' => $wanted = $step->uses->mix->g
                ?? array_sum(array_map(static fn (LedgerLine $l): float => $l->allG(), $step->uses->weighings)),
            'withinG' => Grams::withinG($wanted),
            'look' => (string) Hints::look($step),
            'measureMm' => self::measure($step, $work),
            'wrong' => $wrong === null ? null : array_map(strval(...), $wrong),
            'cautions' => array_map(strval(...), Hints::cautions($step, $work->ledger->figure)),
        ];
    }

    /**
     * @param  Vec3  $stabs
     * @return array<string, mixed>
     */
    private static function needle(NeedleChoice $needle, array $stabs): array
    {
        return [
            'gauge' => $needle->gauge,
            'wantedGauge' => $needle->wanted,
            'holder' => $needle->holder,
            'stab' => $needle->stab,
            'depthMm' => $needle->depthMm,
            'angleDeg' => $needle->angleDeg,
            'stabs' => ['low' => $stabs[0], 'likely' => $stabs[1], 'high' => $stabs[2]],
        ];
    }

    /** @return array<string, mixed> */
    private static function weigh(LedgerLine $line, Work $work, ?Portion $portion): array
    {
        return [
            'part' => $line->for->part,
            'number' => $line->purpose->number(),
            'material' => $line->material,
            'colour' => $line->for->colour === '' ? null : $line->for->colour,
            'name' => WoolWords::name($line->material, $line->for->colour, $work->ledger->figure),
            'isCut' => $line->isCut(),
            'g' => $line->g,
            'pieces' => $line->pieces,
            'layersG' => $line->purpose === Purpose::Detail ? [$line->g] : $portion->layersG ?? [$line->g],
            'fluffG' => $line->purpose === Purpose::Detail ? 0.0 : $portion->fluffG ?? 0.0,
        ];
    }

    /** @return ?array{w: float, h: float, d: float} what the piece measures when the step is done; null where it makes none */
    private static function measure(Step $step, Work $work): ?array
    {
        $part = $work->ledger->figure->parts[$step->about->part] ?? null;
        $size = match ($step->kind) {
            StepKind::Core => $work->ledger->wool[$step->about->part]->inside?->size(),
            StepKind::Cover, StepKind::Felt, StepKind::Compare => $part?->solid->size(),
            default => null,
        };

        return $size instanceof Size ? ['w' => $size->widthMm, 'h' => $size->heightMm, 'd' => $size->depthMm] : null;
    }
}
