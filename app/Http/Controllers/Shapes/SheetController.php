<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Impa\Raster\Sheet;

/** A sheet of paper or a screen on a photo. */
final class SheetController
{
    /** Where it lies, as far as that is seen. */
    public function show(Picture $picture): JsonResponse
    {
        $sheet = Sheet::find($picture->bytes());

        return new JsonResponse(['corners' => $sheet?->corners, 'askew' => $sheet?->isAskew() ?? false]);
    }

    /** The sheet alone, straightened, kept as a picture of its own. */
    public function store(Picture $picture, Body $body): JsonResponse
    {
        $flat = Picture::keep(Sheet::of($body->points('corners'))->straightened($picture->bytes()));

        return new JsonResponse(['id' => $flat->id, 'widthPx' => $flat->width_px, 'heightPx' => $flat->height_px], 201);
    }
}
