<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Drawing\Pixels;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

final class PictureController
{
    /** A picture file of more than this is refused before it is looked at. */
    private const MOST_BYTES = 30_000_000;

    /** The body is the file itself; what it is is told by its content, never by a name. */
    public function store(Request $request): JsonResponse
    {
        if ((int) $request->headers->get('Content-Length') > self::MOST_BYTES) {
            throw new HttpException(
                413,
                (string) Message::of('house.picture-controller.the-file-is-larger'),
            );
        }
        $picture = Picture::keep(Pixels::of((string) $request->getContent()));
        Picture::sweep();

        return new JsonResponse(['id' => $picture->id, 'widthPx' => $picture->width_px, 'heightPx' => $picture->height_px], 201);
    }

    public function byHash(string $hash): Response
    {
        return $this->show(Picture::query()->where('hash', $hash)->firstOrFail());
    }

    public function show(Picture $picture): Response
    {
        return new Response($picture->bytes(), 200, [
            'Content-Type' => $picture->media_type,
            'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }
}
