<?php

declare(strict_types=1);

namespace App\Shop;

use Impa\Voice\Message;
use RuntimeException;

final class ShopClosed extends RuntimeException
{
    public static function doesNotAnswer(): self
    {
        return new self((string) Message::of('house.refused.shop-closed'));
    }
}
