<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Material\HandModel;

/**
 * Plan against done, figure by figure: what was foretold of a figure by all that was known before its first record, beside what came
 * out. Whoever reads it down sees whether the plan was right, and how its range narrowed.
 */
final class EstimateComparison
{
    /** @return list<array{figure: string, quantity: string, planned: float, low: float, high: float, done: float, records: int}> grams or minutes, low and high at 80 %, in the order in which the figures were begun */
    public static function of(Hand $hand): array
    {
        $rows = [];
        foreach ([Quantity::Density, Quantity::Pace] as $quantity) {
            $model = $quantity->prior();
            $before = $of = [];
            foreach ($hand->observations as $o) {
                if ($o->quantity !== $quantity || $o->isAside) {
                    continue;
                }
                if ($o->figure !== '') {
                    $before[$o->figure] ??= $model;
                    $of[$o->figure][] = $o;
                }
                $model = $model->after($o->group, $o->off());
            }
            foreach ($of as $figure => $observations) {
                $rows[] = self::row((string) $figure, $quantity, $observations, $before[$figure]);
            }
        }

        return $rows;
    }

    /**
     * @param  non-empty-list<Observation>  $observations
     * @return array{figure: string, quantity: string, planned: float, low: float, high: float, done: float, records: int}
     */
    private static function row(string $figure, Quantity $quantity, array $observations, HandModel $before): array
    {
        $pieces = array_map(static fn (Observation $o): array => [$o->group, $o->expected * $before->factor($o->group)], $observations);
        $planned = array_sum(array_column($pieces, 1));
        $wide = exp(HandModel::Z80 * $before->sigmaOfSum($pieces));

        return [
            'figure' => $figure,
            'quantity' => $quantity->value,
            'planned' => $planned,
            'low' => $planned / $wide,
            'high' => $planned * $wide,
            'done' => array_sum(array_map(static fn (Observation $o): float => $o->found, $observations)),
            'records' => count($observations),
        ];
    }
}
