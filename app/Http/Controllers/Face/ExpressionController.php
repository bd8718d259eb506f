<?php

declare(strict_types=1);

namespace App\Http\Controllers\Face;

use App\Api\Body;
use App\Http\DocumentResponse;
use App\Models\Figure as SavedFigure;
use Illuminate\Http\JsonResponse;
use Impa\Face\Expression\Slider;
use Impa\Face\Expressions;
use Impa\Face\FaceCopy;
use Impa\Figure\Figure;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Pieces of a face: what there is, one put on a head or varied, a whole face copied. The changed document comes back, nothing is saved. */
final class ExpressionController
{
    public function index(): JsonResponse
    {
        return new JsonResponse([
            'pieces' => array_map(
                static fn (array $piece): array => [
                    'sliders' => array_map(static fn (Slider $s): array => get_object_vars($s), $piece['sliders']),
                ] + $piece,
                Expressions::catalogue(),
            ),
        ]);
    }

    public function store(Body $body): JsonResponse
    {
        [$figure, $part] = $body->part();

        $put = Expressions::put($figure, $part, $body->text('kind'), $body->named('values'), $body->text('piece'));

        return new DocumentResponse(['document' => $put['document'], 'key' => $put['key']]);
    }

    public function copy(Body $body): JsonResponse
    {
        [$figure, $part] = $body->part();
        $from = Figure::fromJson(SavedFigure::query()->findOrFail($body->int('from'))->document);
        $face =
            $from->parts[$body->text('fromPart')] ?? throw new HttpException(422, (string) Message::of('house.refused.no-part-other'));

        return new DocumentResponse(['document' => FaceCopy::of($from, $face, $figure, $part, $body->flag('instead'))]);
    }
}
