<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Hand\Profile;
use App\Http\DocumentResponse;
use Impa\Balance\Balance;
use Impa\Balance\BalanceSheet;
use Impa\Balance\Cures;
use Impa\Figure\Figure;

/** How a figure stands, reckoned without saving. */
final class BalanceController
{
    public function store(Body $body): DocumentResponse
    {
        $figure = $body->figure();

        return new DocumentResponse(BalanceSheet::of(self::balance($figure)));
    }

    /** The figure with one of its cures. */
    public function tried(Body $body): DocumentResponse
    {
        return new DocumentResponse(['document' => Cures::tried(self::balance($body->figure()), $body->text('kind'))->document()]);
    }

    private static function balance(Figure $figure): Balance
    {
        return Balance::of(Profile::ledger($figure));
    }
}
