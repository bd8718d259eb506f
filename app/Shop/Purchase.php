<?php

declare(strict_types=1);

namespace App\Shop;

use Impa\Colour\Srgb;
use Impa\Stash\Supply\Need;
use Impa\Stash\Supply\ShoppingList;

/** What is lacking, asked of a shop. A closed shop has nothing, and says why. */
final readonly class Purchase
{
    private function __construct(public ShoppingList $list, public float $sending, public string $closed)
    {
    }

    /**
     * @param  list<Need>  $needs
     * @param  array<string, Srgb>  $drawn  colours by the keys of the needs
     * @param  array<string, string>  $names  of the same
     */
    public static function of(Shop $shop, array $needs, array $drawn, array $names): self
    {
        $closed = '';
        try {
            $offers = $shop->offers();
        } catch (ShopClosed $e) {
            $offers = [];
            $closed = $e->getMessage();
        }
        $list = ShoppingList::of($needs, $drawn, $names, $offers);

        return new self($list, $shop->delivery($list->price()), $closed);
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'lines' => array_map(
                static fn (array $l): array => [
                    'name' => $l['offer']->name,
                    'hex' => $l['offer']->colour?->toHex(),
                    'days' => $l['offer']->days,
                ] + array_diff_key($l, ['offer' => 1]),
                $this->list->lines,
            ),
            'missing' => $this->closed === ''
                ? $this->list->missing
                : array_map(static fn (array $m): array => ['why' => ''] + $m, $this->list->missing),
            'price' => $this->list->price(),
            'sending' => $this->sending,
            'days' => $this->list->days(),
            'closed' => $this->closed,
        ];
    }
}
