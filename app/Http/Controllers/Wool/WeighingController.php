<?php

declare(strict_types=1);

namespace App\Http\Controllers\Wool;

use App\Accounts\CurrentFelter;
use App\Api\Body;
use App\Models\Wool;
use App\Stash\Stash;
use Illuminate\Http\JsonResponse;
use Impa\Stash\Drawer;

/** A wool on the scale: what it weighs is what is left of it. */
final class WeighingController
{
    public function store(Body $body, Wool $wool): JsonResponse
    {
        $g = $body->float('grams');
        $drawer = Stash::happen(static function (Drawer $before) use ($wool, $g): Drawer {
            $after = $before->weighed($wool->id, $g);
            CurrentFelter::rows('weighings')->insert(CurrentFelter::own() + ['wool_id' => $wool->id, 'grams' => $g, 'created_at' => now()]);

            return $after;
        });

        return new JsonResponse(WoolController::row($wool->refresh(), $drawer), 201);
    }
}
