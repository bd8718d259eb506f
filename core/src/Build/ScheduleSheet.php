<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Build\Schedule\Evenings;
use Impa\Build\Schedule\Schedule;
use Impa\Build\Schedule\ScheduleRefused;
use Impa\Build\Steps\Step;
use Impa\Face\Needles;

/**
 * The impa-schedule document, version 1; formats/impa-schedule-1.schema.json.
 *
 * @phpstan-type Bout array{key: string, startMinute: float, endMinute: float}
 * @phpstan-type SittingDocument array{start: string, end: string, minutes: float, steps: list<Bout>, rests: list<array<string, float>>}
 * @phpstan-type ScheduleDocument array{sittings: list<SittingDocument>, ...<string, mixed>}
 */
final class ScheduleSheet
{
    /**
     * @param  list<string>  $done  keys of the steps that are done: what is left is laid
     * @return ScheduleDocument
     *
     * @throws ScheduleRefused if the sitting is too short or too long
     */
    public static function of(Work $work, Needles $needles, float $sittingMinutes, Evenings $evenings, array $done = []): array
    {
        $all = $work;
        $work = $all->left($done);
        $schedule = Schedule::of($work->steps, $sittingMinutes);
        $beginnings = $evenings->beginnings(count($schedule->sittings));
        [$low, , $high] = $work->pace->spread(array_map(static fn (Step $s): array => [$s->kind->value, $s->time->minutes], $work->steps));
        $missing = max(0, count($schedule->sittings) - $evenings->sittingsInTime());
        $sittings = $drying = [];
        foreach ($schedule->sittings as $i => $sitting) {
            $sittings[] = [
                'start' => $beginnings[$i]->format('Y-m-d\TH:i:s'),
                'end' => $beginnings[$i]->modify(sprintf('+%d seconds', (int) round(60 * $sitting->minutes())))->format('Y-m-d\TH:i:s'),
                'minutes' => $sitting->minutes(),
                'steps' => $sitting->bouts,
                'rests' => $sitting->rests,
            ];
            foreach ($sitting->drying as $clock) {
                $drying[] = $clock + ['sitting' => $i];
            }
        }

        return [
            'format' => 'impa-schedule',
            'version' => 1,
            'figure' => $work->ledger->figure->name,
            'sittingMinutes' => $sittingMinutes,
            'leastSittingMinutes' => Schedule::leastMinutes($work->steps),
            'days' => $evenings->days,
            'by' => $evenings->by?->format('Y-m-d'),
            'handsMinutes' => $schedule->handsMinutes(),
            'lowMinutes' => $low,
            'highMinutes' => $high,
            'elapsedMinutes' => $schedule->elapsedMinutes(),
            'lowerBoundMinutes' => $schedule->lowerBoundMinutes(),
            'sittings' => $sittings,
            'drying' => $drying,
            'sittingsMissing' => $missing,
            'helps' => $missing > 0 ? DeadlineOptions::of($all, $needles, $missing, $done) : [],
        ];
    }
}
