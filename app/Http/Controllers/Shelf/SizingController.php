<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Api\Body;
use App\Hand\Profile;
use Illuminate\Http\JsonResponse;
use Impa\Figure\Editing\Sizing;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Growth;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What finished height a wish about one size comes to. */
final class SizingController
{
    public function store(Body $body): JsonResponse
    {
        $figure = $body->figure();
        $sizing = match ($body->text('by')) {
            'height' => Sizing::toHeight($figure, $body->float('heightMm')),
            'part' => Sizing::toPartWidth($figure, $body->text('part'), $body->float('widthMm')),
            'object' => Sizing::toFit($figure, $body->float('acrossMm'), $body->floatOr('tallMm', 0.0)),
            default => throw new HttpException(422, (string) Message::of('house.sizing-controller.the-member')),
        };

        return new JsonResponse([
            'heightMm' => $sizing->heightMm,
            'factor' => $sizing->factor,
            'woolTimes' => Growth::ofWool($figure, $sizing->heightMm, Profile::densities($figure)),
        ]);
    }
}
