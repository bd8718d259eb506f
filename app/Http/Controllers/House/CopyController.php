<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Store\Copies;
use Illuminate\Http\JsonResponse;

/** Copies of the store, told to who sits at the machine; on a server they are the keeper's affair. */
final class CopyController
{
    public function index(): JsonResponse
    {
        abort_if(config()->boolean('impa.accounts'), 404);

        return new JsonResponse(['copies' => Copies::told(), 'isDue' => Copies::isDue()]);
    }

    public function store(): JsonResponse
    {
        abort_if(config()->boolean('impa.accounts'), 404);
        Copies::make();

        return new JsonResponse(['copies' => Copies::told(), 'isDue' => false], 201);
    }
}
