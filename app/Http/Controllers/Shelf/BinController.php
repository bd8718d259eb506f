<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Http\Shelf;
use App\Models\Figure;
use App\Models\Picture;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class BinController
{
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(Shelf::page(Figure::onlyTrashed(), $request));
    }

    public function restore(Figure $figure): JsonResponse
    {
        $figure->restore();

        return new JsonResponse(null, 204);
    }

    public function destroy(): JsonResponse
    {
        Figure::onlyTrashed()->forceDelete();
        Picture::sweep();
        Transaction::shrink();

        return new JsonResponse(null, 204);
    }
}
