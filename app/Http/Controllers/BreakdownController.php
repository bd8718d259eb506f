<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Picture\Breakdown;
use Symfony\Component\HttpKernel\Exception\HttpException;

final class BreakdownController
{
    public function store(Request $request): JsonResponse
    {
        $body = Body::of($request);
        $picture = Picture::query()->find($body->int('picture')) ?? throw new HttpException(404, 'This picture is not here any more. Choose it again.');
        $name = mb_substr(trim($body->text('name')), 0, 120);
        $breakdown = Breakdown::of($picture->bytes(), $body->float('heightMm'), $name === '' ? 'New figure' : $name, $body->text('file'));

        return new JsonResponse(['document' => $breakdown->document, 'notices' => $breakdown->notices]);
    }
}
