<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use Illuminate\Http\JsonResponse;
use Impa\Plan\Trade;

/** The trade's words, choices and defaults, for every screen. */
final class TradeController
{
    public function index(): JsonResponse
    {
        return new JsonResponse(Trade::document());
    }
}
