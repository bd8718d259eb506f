<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Build\Steps\Step;
use Impa\Build\Steps\Steps;
use Impa\Face\Needles;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Material\CoveringWay;
use Impa\Material\Firmness;
use Impa\Material\Pace;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Ledger;

/** What to do where a figure is not ready in time, each way with the minutes that it saves of this hand's work, of what is left of it. */
final class DeadlineOptions
{
    /** One step softer. */
    private const SOFTER = ['hard' => 'firm', 'firm' => 'springy', 'springy' => 'soft', 'soft' => 'squishy'];

    /** Less than so many minutes is no help. */
    private const LEAST_MINUTES = 1.0;

    /**
     * @param  list<string>  $done  keys of the steps that are done: what they made stays as it is
     * @return list<array{kind: string, text: Message, gainMinutes: float}> the greatest first
     */
    public static function of(Work $work, Needles $needles, int $sittingsMissing, array $done = []): array
    {
        [$ledger, $pace] = [$work->ledger, $work->pace];
        $left = static fn (Figure $figure, Pace $hand): float => self::minutes($figure, $ledger, $hand, $needles, $done);
        $now = $left($ledger->figure, $pace);
        $saved = static fn (Figure $figure, Pace $hand): float => $now - $left($figure, $hand);
        $begun = self::begun($work, $done);
        $help = static fn (string $kind, Message $text, float $minutes): array => [
            'kind' => $kind,
            'text' => $text,
            'gainMinutes' => $minutes,
        ];
        $figure = $ledger->figure;
        $options = [
            $help(
                'needles',
                Message::of('build.deadline-options.use-three-needles'),
                $saved($figure, $pace->withMoreNeedles()),
            ),
            $help('softer', Message::of('build.deadline-options.felt-everything-one-step'), $saved(self::softer($figure, $begun), $pace)),
            $help('simpler', Message::of('build.deadline-options.cut-the-flat-parts'), $saved(self::cut($figure, $begun), $pace)),
        ];
        usort($options, static fn (array $a, array $b): int => $b['gainMinutes'] <=> $a['gainMinutes']);
        $options = array_values(array_filter($options, static fn (array $h): bool => $h['gainMinutes'] >= self::LEAST_MINUTES));

        return [...$options, $help('sittings', Message::of('build.deadline-options.sit-down', count: $sittingsMissing), 0.0)];
    }

    /** @param  list<string>  $done */
    private static function minutes(Figure $figure, Ledger $ledger, Pace $pace, Needles $needles, array $done): float
    {
        $steps = Steps::of($figure === $ledger->figure ? $ledger : Ledger::of($figure, $ledger->densities), $pace, $needles);
        $left = array_filter(Work::paced($steps, $pace), static fn (Step $s): bool => ! in_array($s->key, $done, true));

        return array_sum(array_map(static fn (Step $s): float => $s->time->minutes, $left));
    }

    /**
     * @param  list<string>  $done
     * @return array<string, true> keys of the parts that are made, or being made
     */
    private static function begun(Work $work, array $done): array
    {
        $begun = [];
        foreach ($work->steps as $step) {
            if ($step->kind->makesPiece() && in_array($step->key, $done, true)) {
                $begun[$step->about->part] = true;
            }
        }

        return $begun;
    }

    /** @param  array<string, true>  $begun */
    private static function softer(Figure $figure, array $begun): Figure
    {
        $softer = array_map(static function (Part $part): Firmness {
            $firmness = $part->made->firmness->value;

            return Firmness::from(self::SOFTER[$firmness] ?? $firmness);
        }, array_diff_key($figure->parts, $begun));

        return Choices::firmness($figure, $softer);
    }

    /** @param  array<string, true>  $begun */
    private static function cut(Figure $figure, array $begun): Figure
    {
        $flat = array_filter(
            array_diff_key($figure->parts, $begun),
            static fn (Part $p): bool => $p->solid->kind()->isFlat() && $p->made->covering->way === CoveringWay::Felt,
        );

        return Choices::covered($figure, array_map(strval(...), array_keys($flat)), CoveringWay::PreFelt);
    }
}
