<?php

declare(strict_types=1);

namespace App\Shop;

use RuntimeException;

final class ShopClosed extends RuntimeException
{
    public static function doesNotAnswer(): self
    {
        return new self('The shop does not answer. What is lacking is listed all the same; ask the shop again later.');
    }
}
