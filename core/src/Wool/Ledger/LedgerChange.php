<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

/** What two ledgers take, wool by wool: a figure as it was beside the figure as it is. */
final class LedgerChange
{
    /**
     * @return list<array{name: string, hex: ?string, wasG: float, isG: float}> in the order of the later ledger,
     *     what only the earlier one takes last; colours go together by their key
     */
    public static function between(Ledger $was, Ledger $is): array
    {
        [$before, $after] = [self::byWool($was), self::byWool($is)];
        $rows = [];
        foreach ($after + $before as $key => [$material, $colour]) {
            $of = isset($after[$key]) ? $is->figure : $was->figure;
            $rows[] = [
                'name' => WoolWords::name($material, $colour ?? '', $of),
                'hex' => $colour === null ? null : $of->colours[$colour]->srgb->toHex(),
                'wasG' => $before[$key][2] ?? 0.0,
                'isG' => $after[$key][2] ?? 0.0,
            ];
        }

        return $rows;
    }

    /** @return array<string, array{string, ?string, float}> material, colour and grams */
    private static function byWool(Ledger $ledger): array
    {
        $wools = [];
        foreach ($ledger->totals() as $total) {
            $key = $total['material'].' '.($total['colour'] ?? '');
            $wools[$key] = [$total['material'], $total['colour'], $total['spread']->likelyG];
        }

        return $wools;
    }
}
