<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Api\Body;
use App\Hand\Profile;
use App\Shop\Mood;
use App\Shop\Shop;
use App\Shop\SimulatedShop;
use App\Stash\Stash;
use Impa\Stash\Supply\Supply;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** A figure that is held against the stash, and the shop that what lacks is looked for in. */
final readonly class SupplyRequest
{
    public function __construct(public Body $body)
    {
    }

    /** Against what no other figure has set aside. */
    public function supply(): Supply
    {
        return Profile::supply($this->body->figure(), Stash::wools($this->body->intOr('figure', 0) ?? 0), $this->body->reserve());
    }

    public function shop(): Shop
    {
        return new SimulatedShop(
            Mood::tryFrom($this->body->text('shop', 'open')) ??
                throw new HttpException(422, (string) Message::of('house.supply-request.the-sample-shop')),
        );
    }
}
