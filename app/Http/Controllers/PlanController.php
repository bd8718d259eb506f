<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Hand\OwnHand;
use App\Http\Requests\Body;
use App\Models\Needle;
use App\Stash\Stash;
use Illuminate\Http\JsonResponse;
use Impa\Plan\Plan;

final class PlanController
{
    public function store(Body $body): JsonResponse
    {
        $figure = $body->figure();

        return new JsonResponse(Plan::of($figure, Needle::atHand(), Stash::densities($figure), OwnHand::hand()->pace())->document());
    }
}
