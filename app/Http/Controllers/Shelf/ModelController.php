<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Api\Body;
use Illuminate\Http\Response;
use Impa\Print\Page\Outlines;
use Impa\Render\Glb;
use Impa\Render\View;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** A figure for other programs: as a model in the round, and as outlines of true size. */
final class ModelController
{
    public function store(Body $body): Response
    {
        return new Response(Glb::of($body->figure()), 200, ['Content-Type' => 'model/gltf-binary']);
    }

    public function outlines(Body $body): Response
    {
        $view = View::tryFrom($body->text('view', 'front')) ?? throw new HttpException(
            422,
            (string) Message::of('house.model-controller.a-view-is-front'),
        );

        return new Response(Outlines::svg($body->figure(), $view), 200, ['Content-Type' => 'image/svg+xml']);
    }
}
