<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Figure\Figure;

/** What the whole figure takes, wool by wool. */
final class Totals
{
    /**
     * Grams per wool: core materials first, then colours in the figure's order.
     *
     * @param  array<string, PartWool>  $parts  by part key
     * @return list<array{material: string, colour: ?string, spread: Spread}>
     */
    public static function of(Figure $figure, array $parts): array
    {
        $cores = [];
        $colours = array_fill_keys(array_keys($figure->colours), 0.0);
        foreach ($figure->parts as $key => $part) {
            $wool = $parts[$key];
            if ($wool->coreG() > 0.0) {
                $material = $part->core->value;
                $cores[$material] = ($cores[$material] ?? 0.0) + $part->count() * $wool->coreG();
            }
            $colours[$part->colour] += $part->count() * $wool->coverG();
        }
        foreach ($figure->details as $detail) {
            $count = ($detail->mirror ? 2 : 1) * $figure->parts[$detail->on]->count();
            $colours[$detail->colour] += $count * DetailWool::mg($detail) / 1000;
        }
        $totals = [];
        foreach ($cores as $material => $g) {
            $totals[] = ['material' => $material, 'colour' => null, 'spread' => Spread::around($g)];
        }
        foreach ($colours as $colour => $g) {
            if ($g > 0.0) {
                $totals[] = ['material' => 'wool', 'colour' => (string) $colour, 'spread' => Spread::around($g)];
            }
        }

        return $totals;
    }
}
