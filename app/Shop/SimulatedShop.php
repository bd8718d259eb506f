<?php

declare(strict_types=1);

namespace App\Shop;

use Impa\Colour\Srgb;
use Impa\Material\Preparation;
use Impa\Stash\Supply\Offer;

/** A stand-in for a wool shop, with made-up wools, packs and prices (demo/shop.json); it can be slow, sold out or closed. */
final readonly class SimulatedShop implements Shop
{
    private const SLOW_SECONDS = 2;

    /** Below this price sending costs so much. */
    private const FREE_FROM = 40.0;

    private const SENDING = 4.9;

    public function __construct(private Mood $mood = Mood::Open)
    {
    }

    public function offers(): array
    {
        if ($this->mood === Mood::Closed) {
            throw ShopClosed::doesNotAnswer();
        }
        if ($this->mood === Mood::Slow) {
            sleep(self::SLOW_SECONDS);
        }
        /**
         * @var list<array{
         *     name: string, hex: ?string, material: string, preparation: string, days: int,
         *     packs: list<array{packG: int, price: float, stock: int}>,
         * }> $sold
         */
        $sold = json_decode((string) file_get_contents(base_path('demo/shop.json')), true);
        $offers = [];
        foreach ($sold as $i => $wool) {
            // Sold out: every other wool is gone, and of the others the large packs.
            $packs = $this->mood === Mood::SoldOut ? ($i % 2 === 0 ? [] : array_slice($wool['packs'], 0, 1)) : $wool['packs'];
            $offers[] = new Offer(
                $wool['name'],
                $wool['hex'] === null ? null : Srgb::hex($wool['hex']),
                $wool['material'],
                Preparation::from($wool['preparation']),
                $wool['days'],
                $packs,
            );
        }

        return $offers;
    }

    public function delivery(float $price): float
    {
        return $price <= 0.0 || $price >= self::FREE_FROM ? 0.0 : self::SENDING;
    }
}
