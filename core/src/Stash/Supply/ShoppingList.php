<?php

declare(strict_types=1);

namespace Impa\Stash\Supply;

use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;
use Impa\Stash\NearestWool;
use Impa\Stash\Nearness;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Voice;

/** What to buy for what is lacking: the same wool where the shop has it, else the nearest; in the cheapest packs. Immutable. */
final readonly class ShoppingList
{
    /**
     * @param  list<array{
     *     offer: Offer, for: list<string>, needG: float, difference: float, price: float, g: int,
     *     packs: list<array{packG: int, price: float, count: int}>,
     * }>  $lines
     * @param  list<array{name: string, needG: float, why: Message}>  $missing  what the shop has not
     */
    private function __construct(public array $lines, public array $missing)
    {
    }

    /**
     * @param  list<Need>  $needs
     * @param  array<string, Srgb>  $drawn  the figure's colours, by key
     * @param  array<string, string>  $names  of the figure's colours, by key
     * @param  list<Offer>  $offers
     */
    public static function of(array $needs, array $drawn, array $names, array $offers): self
    {
        $byOffer = $missing = [];
        foreach ($needs as $need) {
            if ($need->lackG() <= 0.0) {
                continue;
            }
            $name = $need->name($names);
            // A wool that runs short is bought again; a colour that is not there is bought as it is drawn.
            $colour = $need->wool->colour ?? (isset($need->colours[0]) ? $drawn[$need->colours[0]] : null);
            [$at, $difference] = self::chosen($need, $name, $colour, $offers);
            if ($at < 0) {
                $missing[] = [
                    'name' => $name,
                    'needG' => $need->lackG(),
                    'why' => $difference < INF
                            ? Message::of('stash.shopping-list.it-is-sold-out')
                            : Message::of('stash.shopping-list.the-shop-has-nothing'),
                ];

                continue;
            }
            $byOffer[$at]['for'][] = $name;
            $byOffer[$at]['needG'] = ($byOffer[$at]['needG'] ?? 0.0) + $need->lackG();
            $byOffer[$at]['difference'] = max($byOffer[$at]['difference'] ?? 0.0, $difference);
        }
        $lines = [];
        foreach ($byOffer as $at => $wanted) {
            $offer = $offers[$at];
            $packs = Packs::cheapest($wanted['needG'], $offer->packs);
            if ($packs === null) {
                $missing[] = [
                    'name' => implode(', ', $wanted['for']),
                    'needG' => $wanted['needG'],
                    'why' => Message::of('stash.shopping-list.the-shop-has-only', stockG: Amount::g($offer->stockG()), name: $offer->name),
                ];

                continue;
            }
            $lines[] = ['offer' => $offer] +
                $wanted + [
                    'price' => $packs['price'],
                    'g' => $packs['g'],
                    'packs' => array_map(
                        static fn (int $pack, int $count): array => [
                            'packG' => $offer->packs[$pack]['packG'],
                            'price' => $offer->packs[$pack]['price'],
                            'count' => $count,
                        ],
                        array_keys($packs['packs']),
                        array_values($packs['packs']),
                    ),
                ];
        }

        return new self($lines, $missing);
    }

    public function price(): float
    {
        return array_sum(array_column($this->lines, 'price'));
    }

    /** Days until the last of it is there. */
    public function days(): int
    {
        return max([0, ...array_map(static fn (array $l): int => $l['offer']->days, $this->lines)]);
    }

    /**
     * The offer of the same name, else of those that pass for the colour the cheapest near one, else the nearest.
     *
     * @param  list<Offer>  $offers
     * @return array{int, float} its place, -1 where none will do, and the difference: finite where one is only sold out
     */
    private static function chosen(Need $need, string $name, ?Srgb $colour, array $offers): array
    {
        $best = [-1, INF];
        $least = INF;
        foreach ($offers as $at => $offer) {
            if ($offer->material !== $need->material) {
                continue;
            }
            $isItself = mb_strtolower($offer->name) === mb_strtolower($name);
            $difference = match (true) {
                $isItself, $need->material !== 'wool' => 0.0,
                $colour === null, $offer->colour === null => INF,
                default => Ciede2000::between($colour->lab(), $offer->colour->lab()),
            };
            if ($difference > NearestWool::PASSES) {
                continue;
            }
            $packs = Packs::cheapest($need->lackG(), $offer->packs);
            if ($packs === null) {
                $best = $best[0] < 0 ? [-1, min($best[1], $difference)] : $best;

                continue;
            }
            // Among those that are near, the price decides; a wool that is seen beside the right one only where there is no nearer.
            $rank =
                match (true) {
                    $isItself => 0.0,
                    Nearness::of($difference) === Nearness::Same => 1e6,
                    Nearness::of($difference) === Nearness::Near => 2e6,
                    default => 3e6 * $difference,
                } + $packs['price'];
            if ($rank < $least) {
                [$least, $best] = [$rank, [$at, $difference]];
            }
        }

        return $best;
    }

    /** @return non-empty-list<list<string>> as a table, its head first */
    public function rows(): array
    {
        $rows = [array_map(
            static fn (string $column): string => (string) Message::of('stash.shopping-list.column.'.$column),
            ['wool', 'for', 'lacking', 'packs', 'bought', 'price', 'days'],
        )];
        foreach ($this->lines as $line) {
            $rows[] = [
                $line['offer']->name,
                implode('; ', $line['for']),
                sprintf('%.1f', $line['needG']),
                self::packs($line, ' + '),
                (string) $line['g'],
                sprintf('%.2f', $line['price']),
                (string) $line['offer']->days,
            ];
        }
        foreach ($this->missing as $missing) {
            $rows[] = [$missing['name'], '', sprintf('%.1f', $missing['needG']), (string) $missing['why'], '', '', ''];
        }

        return $rows;
    }

    /**
     * @param  array{packs: list<array{packG: int, price: float, count: int}>, ...}  $line
     * @param  string  $and  between packs of two sizes
     */
    public static function packs(array $line, ?string $and = null): string
    {
        return implode(
            $and ?? Voice::word(Voice::current()->language, 'quantities.and'),
            array_map(static fn (array $p): string => sprintf('%d x %d g', $p['count'], $p['packG']), $line['packs']),
        );
    }
}
