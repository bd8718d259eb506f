<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Hand\OwnHand;
use App\Hand\Profile;
use App\Hand\TimedSteps;
use App\Models\Figure;
use App\Models\Log\Bout;
use App\Models\Log\FinishedPart;
use Illuminate\Support\Collection;
use Impa\Build\Steps\Step;
use Impa\Check\Part\Measurement;
use Impa\Figure\Figure as FigureDocument;
use Impa\Hand\FinishedPiece;

/** What the felter of the demo weighed, measured and timed of her figures (demo/records.json, made up): a hand to look into. */
final class DemoRecords
{
    private const DAY_MS = 86_400_000;

    /** A sitting begins so often, and its steps follow each other after so long. */
    private const EVERY_MS = 2 * self::DAY_MS;

    private const PAUSE_MS = 120_000;

    /** @param  Collection<string, Figure>  $figures  by the name of their file */
    public static function lay(Collection $figures): void
    {
        /** @var array{parts: list<array<string, float|string>>, steps: list<array{figure: string, step: string, minutes: float}>} $records */
        $records = json_decode((string) file_get_contents(base_path('demo/records.json')), true, flags: JSON_THROW_ON_ERROR);
        $at = (int) (microtime(true) * 1000) - 20 * self::DAY_MS;
        foreach ($records['parts'] as $i => $record) {
            $figure = $figures[(string) $record['figure']];
            [$document, $part] = [FigureDocument::fromJson($figure->document), (string) $record['part']];
            $measured = Measurement::of(
                (float) $record['widthMm'],
                (float) $record['heightMm'],
                (float) $record['depthMm'],
                (float) $record['grams'],
            );
            FinishedPart::query()->create([
                'uuid' => 'demo-'.$record['figure'].'-'.$part,
                'figure_id' => $figure->id,
                'part' => $part,
                'cm3' => $document->parts[$part]->solid->volumeCm3(),
                'at' => $at + $i * self::DAY_MS,
            ] + FinishedPart::row(FinishedPiece::ofPart($document, $part, $measured, null)) + FinishedPart::sizes($measured->size));
        }
        self::timed($figures['wick'], array_column($records['steps'], 'minutes', 'step'), $at);
        OwnHand::changed();
    }

    /** @param  array<string, float>  $minutes  by step, in the order in which they were done */
    private static function timed(Figure $figure, array $minutes, int $at): void
    {
        $work = Profile::work(FigureDocument::fromJson($figure->document));
        $keys = array_map(static fn (Step $step): string => $step->key, $work->steps);
        $last = max(0, ...array_map(static fn (string $key): int => (int) array_search($key, $keys, true), array_keys($minutes)));
        foreach (array_slice($keys, 0, $last + 1) as $key) {
            $figure->marks()->create(['step' => $key, 'created_at' => now()]);
        }
        foreach (array_keys($minutes) as $i => $key) {
            $begun = $at + intdiv($i, 4) * self::EVERY_MS + $i * self::PAUSE_MS + (int) (60_000 * array_sum(array_slice($minutes, 0, $i)));
            $ended = $begun + (int) (60_000 * $minutes[$key]);
            Bout::query()->create(['figure_id' => $figure->id, 'step' => $key, 'begun_at' => $begun, 'ended_at' => $ended]);
        }
        TimedSteps::keep($figure);
    }
}
