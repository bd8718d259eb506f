<?php

declare(strict_types=1);

namespace App\Building;

use App\Models\Figure;
use App\Models\Log\Bout;
use App\Models\Log\LogEntry;
use App\Store\Record;
use Impa\Build\Diary;
use Impa\Build\Work;

/**
 * The diary of a figure from what was kept of it; what of that means nothing is left out.
 *
 * @phpstan-import-type Pages from Diary
 */
final class FigureLog
{
    /** @return Pages */
    public static function of(Figure $figure, Work $work): array
    {
        $bouts = $entries = [];
        foreach (Record::good(Bout::query()->where('figure_id', $figure->id)->get()) as $bout) {
            $bouts[] = ['step' => $bout->step, 'from' => $bout->begun_at, 'to' => $bout->ended_at];
        }
        foreach (Record::good(LogEntry::query()->where('figure_id', $figure->id)->get()) as $e) {
            $entries[] = [
                'uuid' => $e->uuid,
                'kind' => $e->kind,
                'step' => $e->step,
                'text' => $e->text,
                'grams' => $e->grams,
                'gauge' => $e->gauge,
                'picture' => $e->picture_id,
                'at' => $e->at,
            ];
        }

        return Diary::of($work, $bouts, $entries);
    }
}
