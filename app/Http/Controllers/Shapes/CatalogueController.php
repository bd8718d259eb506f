<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use Illuminate\Http\JsonResponse;
use Impa\Material\CoreMaterial;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;

final class CatalogueController
{
    /** The shapes to choose from, each with its usual size and outline. */
    public function index(): JsonResponse
    {
        return new JsonResponse([
            'shapes' => array_map(static function (ShapeKind $kind): array {
                $size = Catalogue::usualSize($kind);

                return [
                    'kind' => $kind->value,
                    'core' => CoreMaterial::usualFor($size->smallestMm())->value,
                    'shape' => [
                        'kind' => $kind->value,
                        'widthMm' => $size->widthMm,
                        'heightMm' => $size->heightMm,
                        'depthMm' => $size->depthMm,
                    ],
                    'front' => Catalogue::solid($kind, $size)->front(),
                ];
            }, ShapeKind::cases()),
        ]);
    }
}
