<?php

declare(strict_types=1);

namespace App\Shop;

use Impa\Stash\Supply\Offer;

/** Where wool can be bought. A real shop's service would stand behind the same two questions. */
interface Shop
{
    /**
     * @return list<Offer> every wool it sells, each with its packs
     *
     * @throws ShopClosed if it does not answer
     */
    public function offers(): array;

    /** What sending an order of this price costs. */
    public function delivery(float $price): float;
}
