<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Needle;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Plan\Plan;

final class PlanController
{
    public function store(Request $request): JsonResponse
    {
        return new JsonResponse(Plan::of(Body::of($request)->figure(), Needle::atHand())->document());
    }
}
