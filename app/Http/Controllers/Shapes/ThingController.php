<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Http\DocumentResponse;
use App\Models\Figure as SavedFigure;
use Illuminate\Http\JsonResponse;
use Impa\Figure\Editing\Accessories;
use Impa\Figure\Figure;
use Impa\Figure\Term\Carried;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What a figure holds, wears or has beside it. */
final class ThingController
{
    public function index(Body $body): JsonResponse
    {
        return new JsonResponse(['things' => Accessories::all($body->figure())]);
    }

    /** One of them as a figure of its own. */
    public function taken(Body $body): DocumentResponse
    {
        return new DocumentResponse(['document' => Accessories::taken($body->figure(), $body->text('thing'))]);
    }

    public function gather(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Accessories::gather($body->figure(), $body->texts('keys'), $body->text('name')));
    }

    public function resize(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Accessories::resize($body->figure(), $body->text('thing'), $body->float('times')));
    }

    public function fasten(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Accessories::fasten($body->figure(), $body->text('thing'), $body->text('holder')));
    }

    /** Another figure of the shelf, brought in. */
    public function put(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Accessories::put(
            $body->figure(),
            Figure::fromJson(SavedFigure::query()->findOrFail($body->int('from'))->document),
            $body->text('name'),
            Carried::tryFrom($body->text('how', 'held')) ?? throw new HttpException(
                422,
                (string) Message::of('house.thing-controller.a-thing-is-held'),
            ),
            $body->text('holder'),
            $body->float('heightMm'),
        ));
    }
}
