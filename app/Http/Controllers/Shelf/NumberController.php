<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Hand\Profile;
use App\Http\DocumentResponse;
use App\Http\Requests\SupplyRequest;
use Impa\Plan\Numbers;

/** How one of a figure's numbers came about, of her own hand, needles and stash. */
final class NumberController
{
    public function store(SupplyRequest $asked): DocumentResponse
    {
        $number = $asked->body->text('number');
        $figure = $asked->body->figure();

        return new DocumentResponse(Numbers::card(
            Profile::plan($figure),
            $number,
            $asked->body->text('of', ''),
            Profile::needles(),
            in_array($number, ['need', 'reserve'], true) ? $asked->supply() : null,
        )->document());
    }
}
