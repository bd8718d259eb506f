<?php

declare(strict_types=1);

namespace Impa\Build;

/**
 * What was done when: stretches of work at a step, in milliseconds since 1970, and what was noted beside. No minute counts twice,
 * however many devices ran a clock.
 *
 * @phpstan-type Bout array{step: string, from: int, to: int}
 * @phpstan-type Entry array{uuid: string, kind: string, step: string, text: string, grams: ?float, gauge: ?int, picture: ?int, at: int}
 * @phpstan-type StepMinutes array{key: string, minutes: float}
 * @phpstan-type StepDone array{key: string, title: string, planned: float, done: float}
 * @phpstan-type SittingPage array{from: int, to: int, minutes: float, steps: list<StepMinutes>, entries: list<Entry>}
 * @phpstan-type Pages array{minutes: float, plannedMinutes: float, took: string,
 *     steps: list<StepDone>, tipsMissing: int, sittings: list<SittingPage>}
 */
final class Diary
{
    /** As planned is what differs by no more than this share. */
    private const ABOUT = 0.1;

    /** A longer pause begins a new sitting, minutes. */
    private const PAUSE = 45.0;

    /** A clock that ran longer in one go was forgotten, minutes. */
    public const MOST_MINUTES = 180.0;

    private const MS = 60_000;

    /**
     * What of a stretch no other stretch holds already (the difference of intervals).
     *
     * @param  list<array{int, int}>  $taken  in any order
     * @return list<array{int, int}>
     */
    public static function untaken(array $taken, int $from, int $to): array
    {
        sort($taken);
        $free = [];
        foreach ($taken as [$begun, $ended]) {
            if ($begun >= $to) {
                break;
            }
            if ($begun > $from) {
                $free[] = [$from, $begun];
            }
            $from = max($from, min($to, $ended));
        }

        return $from < $to ? [...$free, [$from, $to]] : $free;
    }

    /**
     * The diary of a figure, sitting by sitting, and every step's plan beside what was done.
     *
     * @param  list<Bout>  $bouts  none over another
     * @param  list<Entry>  $entries
     * @return Pages
     */
    public static function of(Work $work, array $bouts, array $entries): array
    {
        usort($bouts, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);
        usort($entries, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);
        $done = [];
        foreach ($bouts as $bout) {
            $done[$bout['step']] = ($done[$bout['step']] ?? 0.0) + ($bout['to'] - $bout['from']) / self::MS;
        }
        $planned = [];
        foreach ($work->steps as $step) {
            $planned[] = [
                'key' => $step->key,
                'title' => (string) $step->title,
                'planned' => $step->time->minutes,
                'done' => $done[$step->key] ?? 0.0,
            ];
            unset($done[$step->key]);
        }
        // Work at a step that the plan no longer has was done all the same.
        foreach ($done as $key => $minutes) {
            $planned[] = ['key' => (string) $key, 'title' => (string) $key, 'planned' => 0.0, 'done' => $minutes];
        }

        return [
            'minutes' => array_sum(array_column($planned, 'done')),
            'plannedMinutes' => array_sum(array_column($planned, 'planned')),
            'steps' => $planned,
            'took' => self::took($planned),
            'tipsMissing' => self::tipsMissing(array_column($entries, 'kind')),
            'sittings' => self::sittings($bouts, $entries),
        ];
    }

    /**
     * How what was worked at went against the plan; as planned is within a tenth (house choice).
     *
     * @param  list<array{key: string, title: string, planned: float, done: float}>  $steps
     * @return 'nothing'|'longer'|'shorter'|'as planned'
     */
    private static function took(array $steps): string
    {
        $worked = array_filter($steps, static fn (array $s): bool => $s['done'] > 0.0);
        [$planned, $done] = [array_sum(array_column($worked, 'planned')), array_sum(array_column($worked, 'done'))];

        return match (true) {
            $worked === [] => 'nothing',
            $done > (1 + self::ABOUT) * $planned => 'longer',
            $done < (1 - self::ABOUT) * $planned => 'shorter',
            default => 'as planned',
        };
    }

    /**
     * Needles that broke and whose tips were not found: with one the figure is not safe (docs/trade.md, Cautions).
     *
     * @param  list<string>  $kinds  of the diary's entries
     */
    public static function tipsMissing(array $kinds): int
    {
        $kinds = array_count_values($kinds);

        return max(0, ($kinds['broken'] ?? 0) - ($kinds['found'] ?? 0));
    }

    /**
     * @param  list<Bout>  $bouts  in order
     * @param  list<Entry>  $entries  in order
     * @return list<SittingPage>
     */
    private static function sittings(array $bouts, array $entries): array
    {
        $marks = [
            ...array_map(static fn (array $b): array => ['from' => $b['from'], 'to' => $b['to'], 'bout' => $b, 'entry' => null], $bouts),
            ...array_map(static fn (array $e): array => ['from' => $e['at'], 'to' => $e['at'], 'bout' => null, 'entry' => $e], $entries),
        ];
        usort($marks, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);
        $sittings = [];
        $open = null;
        foreach ($marks as $mark) {
            if ($open === null || self::PAUSE * self::MS < $mark['from'] - $open['to']) {
                $sittings = [...$sittings, ...array_filter([$open])];
                $open = ['from' => $mark['from'], 'to' => $mark['to'], 'minutes' => 0.0, 'steps' => [], 'entries' => []];
            }
            $open['to'] = max($open['to'], $mark['to']);
            if ($mark['entry'] !== null) {
                $open['entries'][] = $mark['entry'];
            }
            if ($mark['bout'] !== null) {
                $key = $mark['bout']['step'];
                $minutes = ($mark['to'] - $mark['from']) / self::MS;
                $open['minutes'] += $minutes;
                $open['steps'][$key] = ['key' => $key, 'minutes' => ($open['steps'][$key]['minutes'] ?? 0.0) + $minutes];
            }
        }

        return array_map(
            static fn (array $s): array => ['steps' => array_values($s['steps'])] + $s,
            [...$sittings, ...array_filter([$open])],
        );
    }
}
