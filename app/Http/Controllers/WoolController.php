<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Wool;
use Illuminate\Http\JsonResponse;

final class WoolController
{
    public function index(): JsonResponse
    {
        return new JsonResponse(['wools' => Wool::query()->orderBy('name')->get()->map(static fn (Wool $w): array => [
            'id' => $w->id, 'name' => $w->name, 'hex' => $w->hex, 'material' => $w->material, 'preparation' => $w->preparation, 'gramsLeft' => $w->grams_left,
        ])->all()]);
    }
}
