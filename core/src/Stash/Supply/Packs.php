<?php

declare(strict_types=1);

namespace Impa\Stash\Supply;

/**
 * The cheapest packs that hold enough: of all ways to buy at least so many grams from what is in stock, the one of least
 * price, and of those the one of least wool. A bounded knapsack, by dynamic programming over whole grams.
 */
final class Packs
{
    /** More is wholesale. */
    private const MOST_G = 20_000;

    /**
     * @param  list<array{packG: int, price: float, stock: int}>  $offers  a pack's grams, its price, how many are there
     * @return array{price: float, g: int, packs: array<int, int>}|null packs by the offer's place in the list; null where
     *                                                                 all of the stock is not enough
     */
    public static function cheapest(float $needG, array $offers): ?array
    {
        $need = (int) ceil(min($needG, self::MOST_G) - 1e-9);
        if ($need <= 0) {
            return ['price' => 0.0, 'g' => 0, 'packs' => []];
        }
        // Cents, so that equal prices are equal.
        $cheapest = [0 => [0, 0, []]];
        foreach ($offers as $at => $offer) {
            $next = $cheapest;
            foreach ($cheapest as [$cents, $g, $packs]) {
                // One pack beyond what is needed is never wanted.
                for ($n = 1; $n <= $offer['stock'] && $g + ($n - 1) * $offer['packG'] < $need; $n++) {
                    $grams = $g + $n * $offer['packG'];
                    $price = $cents + $n * (int) round(100 * $offer['price']);
                    if (! isset($next[$grams]) || $price < $next[$grams][0]) {
                        $next[$grams] = [$price, $grams, [$at => $n] + $packs];
                    }
                }
            }
            $cheapest = $next;
        }
        $enough = array_filter($cheapest, static fn (array $c): bool => $c[1] >= $need);
        usort($enough, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return $enough === [] ? null : ['price' => $enough[0][0] / 100, 'g' => $enough[0][1], 'packs' => $enough[0][2]];
    }
}
