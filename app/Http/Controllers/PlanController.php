<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Needle;
use App\Stash\Stash;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Plan\Plan;

final class PlanController
{
    public function store(Request $request): JsonResponse
    {
        $figure = Body::of($request)->figure();

        return new JsonResponse(Plan::of($figure, Needle::atHand(), Stash::densities($figure))->document());
    }
}
