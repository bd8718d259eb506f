<?php

declare(strict_types=1);

namespace App\Http\Controllers\Wool;

use App\Api\Body;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Impa\Colour\GreyCard;
use Impa\Raster\Raster;
use Impa\Raster\Swab;
use Impa\Voice\Message;
use Impa\Wool\WoolRefused;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The colour of a wool from a photo of it, the light taken out by a grey card or white paper beside it. */
final class WoolColourController
{
    /** A disc so large around the place that was pointed at, as a share of the photo's shorter side. */
    private const RADIUS = 0.03;

    public function store(Body $body): JsonResponse
    {
        $raster = Raster::decode(Picture::chosen($body->int('picture'))->bytes());
        $wool = Swab::at($raster, $body->share('x'), $body->share('y'), self::RADIUS);
        $by = $body->text('by', 'grey');
        if ($by === 'none') {
            return new JsonResponse(['hex' => $wool->srgb()->toHex(), 'uncorrected' => $wool->srgb()->toHex()]);
        }
        $is = match ($by) {
            'grey' => GreyCard::GREY,
            'white' => GreyCard::WHITE_PAPER,
            default => throw new HttpException(422, (string) Message::of('house.wool-colour-controller.the-card-is-grey')),
        };
        $corrected =
            GreyCard::corrected($wool, Swab::at($raster, $body->share('cardX'), $body->share('cardY'), self::RADIUS), $is) ??
            throw WoolRefused::noCard();

        return new JsonResponse(['hex' => $corrected->srgb()->toHex(), 'uncorrected' => $wool->srgb()->toHex()]);
    }
}
