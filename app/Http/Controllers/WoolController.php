<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Wool;
use Illuminate\Http\JsonResponse;

final class WoolController
{
    public function index(): JsonResponse
    {
        /** @var list<Wool> $wools */
        $wools = Wool::query()->orderBy('name')->get()->all();

        return new JsonResponse(['wools' => array_map(static fn (Wool $w): array => [
            'id' => $w->id, 'name' => $w->name, 'hex' => $w->hex, 'material' => $w->material, 'preparation' => $w->preparation, 'gramsLeft' => $w->grams_left,
        ], $wools)]);
    }
}
