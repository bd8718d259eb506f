<?php

declare(strict_types=1);

namespace App\Hand;

use App\Models\Figure;
use App\Models\FinishedStep;
use App\Store\Writing;
use Impa\Build\Work;
use Impa\Hand\TimedStep;

/** What the log tells of a felter's speed: steps that are ticked, with the minutes that the clock ran at them. */
final class TimedSteps
{
    /**
     * Keeps what the log says now; what is not ticked any more, or has no minutes, teaches nothing.
     *
     * @param  list<array{key: string, title: string, planned: float, done: float}>  $steps  of the diary
     */
    public static function keep(Figure $figure, Work $work, array $steps): void
    {
        $done = array_flip($figure->load('marks')->doneSteps());
        $minutes = array_column($steps, 'done', 'key');
        $known = FinishedStep::query()->where('figure_id', $figure->id)->get()->keyBy('step');
        $now = [];
        foreach ($work->steps as $step) {
            if (isset($done[$step->key]) && ($minutes[$step->key] ?? 0.0) > 0.0) {
                $timed = TimedStep::of($work, $step, $minutes[$step->key]);
                $now[$step->key] = [
                    'kind' => $timed->kind,
                    'what' => $timed->what,
                    'minutes' => $timed->minutes,
                    'house_minutes' => $timed->houseMinutes,
                ];
            }
        }
        $gone = $known->keys()->diff(array_keys($now));
        $isNew = static fn (array $row, string $key): bool => $known->get($key)?->minutes !== $row['minutes'];
        $new = array_filter($now, $isNew, ARRAY_FILTER_USE_BOTH);
        if ($gone->isEmpty() && $new === []) {
            return;
        }
        Writing::together(static function () use ($figure, $gone, $new): void {
            FinishedStep::query()->where('figure_id', $figure->id)->whereIn('step', $gone)->delete();
            foreach ($new as $key => $row) {
                FinishedStep::query()->updateOrCreate(
                    ['figure_id' => $figure->id, 'step' => $key],
                    $row + ['at' => (int) (microtime(true) * 1000)],
                );
            }
        });
        OwnHand::changed();
    }
}
