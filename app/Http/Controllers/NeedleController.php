<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Body;
use App\Models\Needle;
use App\Store\Writing;
use Illuminate\Http\JsonResponse;
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

    public function update(Body $body): JsonResponse
    {
        $gauges = array_map(intval(...), array_values($body->numbers('gauges')));
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
