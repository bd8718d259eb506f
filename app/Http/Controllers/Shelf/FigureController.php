<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Api\Body;
use App\Api\Problem;
use App\Hand\Profile;
use App\Http\DocumentResponse;
use App\Http\Shelf;
use App\Models\Figure;
use App\Models\Picture;
use App\Stash\Stash;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

final class FigureController
{
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(Shelf::page(Figure::query(), $request));
    }

    public function store(Body $body): JsonResponse
    {
        $pictureId = $body->intOr('picture', null);
        if ($pictureId !== null && ! Picture::query()->whereKey($pictureId)->exists()) {
            throw new HttpException(422, (string) Message::of('house.figure-controller.the-picture-of-this'));
        }

        $figure = $body->figure();

        return self::answer(Figure::lay($figure, Profile::summary($figure), $pictureId), 201);
    }

    public function show(Figure $figure): JsonResponse
    {
        return self::answer($figure);
    }

    public function update(Body $body, Figure $figure): JsonResponse
    {
        $document = $body->figure();
        if ($figure->replace($document, Profile::summary($document), $body->int('revision'))) {
            return self::answer($figure);
        }

        return Problem::of(
            409,
            (string) Message::of('house.figure-controller.changed-elsewhere'),
            (string) Message::of('house.figure-controller.this-figure-was-changed'),
            [
                'revision' => $figure->revision,
                'document' => $figure->newest(),
            ],
        );
    }

    public function destroy(Figure $figure): JsonResponse
    {
        Transaction::together(static function () use ($figure): void {
            // What lies in the bin keeps no wool from the others.
            Stash::release($figure);
            $figure->delete();
        });

        return new JsonResponse(null, 204);
    }

    public static function answer(Figure $figure, int $status = 200): JsonResponse
    {
        return new DocumentResponse(
            [
                'id' => $figure->id,
                'revision' => $figure->revision,
                'picture' => $figure->picture_id,
                'document' => $figure->newest(),
            ],
            $status,
        );
    }
}
