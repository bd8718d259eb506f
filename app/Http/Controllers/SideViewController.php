<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Picture\SideView;

/** Depths from a second drawing; the changed document comes back, nothing is saved. */
final class SideViewController
{
    public function store(Request $request): JsonResponse
    {
        $body = Body::of($request);
        $picture = Picture::chosen($body->int('picture'));
        $side = SideView::of($body->figure(), $picture->bytes(), $body->flag('facesLeft'), $body->text('file'), $picture->hash);

        return (new JsonResponse(['document' => $side->document, 'notices' => $side->notices]))->setEncodingOptions(JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
