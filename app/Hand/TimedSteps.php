<?php

declare(strict_types=1);

namespace App\Hand;

use App\Building\FigureLog;
use App\Models\Figure;
use App\Models\Log\Bout;
use App\Models\Log\FinishedStep;
use App\Store\Transaction;
use Impa\Figure\Figure as FigureDocument;
use Impa\Hand\TimedStep;

/** What the log tells of a felter's speed: steps that are ticked, with the minutes that the clock ran at them. */
final class TimedSteps
{
    /**
     * Keeps what the log says now, wherever a step is ticked or time is told; what is not ticked any more, or has no minutes, teaches
     * nothing.
     */
    public static function keep(Figure $figure): void
    {
        if (Bout::query()->where('figure_id', $figure->id)->doesntExist()) {
            return;
        }
        $work = Profile::work(FigureDocument::fromJson($figure->document));
        $done = array_flip($figure->load('marks')->done($work->keys()));
        $minutes = array_column(FigureLog::of($figure, $work)['steps'], 'done', 'key');
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
        Transaction::together(static function () use ($figure, $gone, $new): void {
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
