<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Api\Body;
use App\Hand\Profile;
use Illuminate\Http\JsonResponse;

final class PlanController
{
    public function store(Body $body): JsonResponse
    {
        $figure = $body->figure();

        return new JsonResponse(Profile::plan($figure)->document());
    }
}
