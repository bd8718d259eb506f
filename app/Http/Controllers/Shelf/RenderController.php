<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Api\Body;
use App\Models\Figure;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Impa\Figure\Figure as FigureDocument;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

final class RenderController
{
    /** A saved figure's picture; its address carries the revision, so that it may be kept for ever. */
    public function show(Request $request, Figure $figure): Response
    {
        $png = Painter::png(
            FigureDocument::fromJson($figure->document),
            self::view($request->query('view', 'front')),
            $request->integer('px', 320),
        );

        return self::png($png, $request->has('revision') ? 'private, max-age=31536000, immutable' : 'no-cache');
    }

    public function store(Body $body): Response
    {
        $png = $body->flag('match')
            ? Painter::match($body->figure())
            : Painter::png($body->figure(), self::view($body->text('view', 'front')), $body->intOr('px', 512) ?? 512);

        return self::png($png, 'no-cache');
    }

    private static function view(mixed $name): View
    {
        return View::tryFrom(is_string($name) ? $name : '') ??
            throw new HttpException(422, (string) Message::of('house.render-controller.a-view-is-front'));
    }

    private static function png(string $bytes, string $cache): Response
    {
        return new Response($bytes, 200, ['Content-Type' => 'image/png', 'Cache-Control' => $cache]);
    }
}
