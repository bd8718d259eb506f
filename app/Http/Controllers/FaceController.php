<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Face\Grid;
use Impa\Face\Surface;
use Symfony\Component\HttpKernel\Exception\HttpException;

final class FaceController
{
    /** The tape-millimetre grid on the front of one part. */
    public function store(Request $request): JsonResponse
    {
        $body = Body::of($request);
        $part = $body->figure()->parts[$body->text('part')] ?? throw new HttpException(422, 'There is no such part in this figure.');

        return new JsonResponse(Grid::of(Surface::of($part->placements()[0])));
    }
}
