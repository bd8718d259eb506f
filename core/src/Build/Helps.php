<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Material\CoveringWay;
use Impa\Material\Pace;
use Impa\Wool\Ledger;
use stdClass;

/** What to do where a figure is not ready in time, each way with the minutes of work that it saves, reckoned anew. */
final class Helps
{
    /** One step softer. */
    private const SOFTER = ['hard' => 'firm', 'firm' => 'springy', 'springy' => 'soft', 'soft' => 'squishy'];

    /** Less than so many minutes is no help. */
    private const LEAST_MINUTES = 1.0;

    /** @return list<array{kind: string, text: string, gainMinutes: float}> the greatest first */
    public static function of(Ledger $ledger, Pace $pace, Needles $needles, int $sittingsMissing): array
    {
        $now = self::minutes($ledger->figure, $ledger, $pace, $needles);
        $saved = static fn (Figure $figure, Pace $hand): float => $now - self::minutes($figure, $ledger, $hand, $needles);
        $help = static fn (string $kind, string $text, float $minutes): array => [
            'kind' => $kind,
            'text' => $text,
            'gainMinutes' => $minutes,
        ];
        $figure = $ledger->figure;
        $helps = [
            $help(
                'needles',
                'Use three needles in the holder for every part that has room for them.',
                $saved($figure, $pace->withMoreNeedles()),
            ),
            $help('softer', 'Felt everything one step softer.', $saved(self::softer($figure), $pace)),
            $help('simpler', 'Cut the flat parts from felted sheet.', $saved(self::cut($figure), $pace)),
        ];
        usort($helps, static fn (array $a, array $b): int => $b['gainMinutes'] <=> $a['gainMinutes']);
        $helps = array_values(array_filter($helps, static fn (array $h): bool => $h['gainMinutes'] >= self::LEAST_MINUTES));
        $times = $sittingsMissing === 1 ? 'once' : $sittingsMissing.' times';

        return [...$helps, $help('sittings', sprintf('Sit down %s more before then.', $times), 0.0)];
    }

    private static function minutes(Figure $figure, Ledger $ledger, Pace $pace, Needles $needles): float
    {
        $steps = Steps::of($figure === $ledger->figure ? $ledger : Ledger::of($figure, $ledger->densities), $pace, $needles);

        return array_sum(array_map(static fn (Step $s): float => $s->minutes, $steps));
    }

    private static function softer(Figure $figure): Figure
    {
        return self::changed($figure, static function (stdClass $part, string $key) use ($figure): void {
            $firmness = $figure->parts[$key]->firmness->value;
            $part->firmness = self::SOFTER[$firmness] ?? $firmness;
        });
    }

    private static function cut(Figure $figure): Figure
    {
        return self::changed($figure, static function (stdClass $part, string $key) use ($figure): void {
            if ($figure->parts[$key]->solid->kind()->isFlat() && $figure->parts[$key]->covering->way === CoveringWay::Felt) {
                $part->covering = (object) ['way' => CoveringWay::PreFelt->value];
            }
        });
    }

    /** @param  callable(stdClass, string): void  $change  of a part's document */
    private static function changed(Figure $figure, callable $change): Figure
    {
        $document = $figure->document();
        foreach (is_array($document->parts ?? null) ? $document->parts : [] as $part) {
            if ($part instanceof stdClass && is_string($part->key ?? null)) {
                $change($part, $part->key);
            }
        }

        return Figure::fromDocument($document);
    }
}
