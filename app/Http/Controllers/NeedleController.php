<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Needle;
use App\Store\Writing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Face\Needles;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Which needles are at hand: their gauges. */
final class NeedleController
{
    public function index(): JsonResponse
    {
        $needles = Needle::atHand();

        return new JsonResponse(['gauges' => $needles->gauges, 'sold' => Needles::SOLD, 'finest' => $needles->finest()]);
    }

    public function update(Request $request): JsonResponse
    {
        $gauges = array_map(intval(...), array_values(Body::of($request)->numbers('gauges')));
        if (array_diff($gauges, Needles::SOLD) !== []) {
            throw new HttpException(422, sprintf('Needles are sold in the gauges %s.', implode(', ', Needles::SOLD)));
        }
        Writing::together(static function () use ($gauges): void {
            Needle::query()->delete();
            foreach (array_unique($gauges) as $gauge) {
                Needle::query()->create(['gauge' => $gauge]);
            }
        });

        return $this->index();
    }
}
