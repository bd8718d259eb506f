<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Impa\Render\Painter;
use Impa\Seeing\Result\Agreement;

/** How well a figure lies over its drawing. */
final class AgreementController
{
    public function store(Body $body): JsonResponse
    {
        $agreement = Agreement::of(Picture::chosen($body->int('picture'))->bytes(), Painter::match($body->figure()));

        return new JsonResponse(['share' => $agreement->share, 'overlap' => $agreement->overlap]);
    }
}
