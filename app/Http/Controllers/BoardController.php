<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Wool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Plan\Plan;
use Impa\Render\Board;
use Impa\Wool\Stash;

/** All that the stations show of a figure, reckoned without saving: the plan, what to draw, and the drawer. */
final class BoardController
{
    public function store(Request $request): JsonResponse
    {
        $body = Body::of($request);
        $figure = $body->figure();
        $figure = $body->flag('rescale') ? $figure->scaledTo($body->float('heightMm')) : $figure;
        $plan = Plan::of($figure);

        return (new JsonResponse([
            'document' => $body->flag('rescale') ? $figure->document() : null,
            'plan' => $plan->document(),
            'drawing' => Board::of($figure),
            'stash' => self::stash($figure),
        ]))->setEncodingOptions(JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /** @return array<string, array{name: string, gramsLeft: float, difference: float}> by colour key or inside material */
    private static function stash(Figure $figure): array
    {
        $wools = Wool::query()->get()->keyBy('id');
        $coloured = $wools->filter(static fn (Wool $w): bool => $w->hex !== null)->map(static fn (Wool $w): Srgb => Srgb::hex((string) $w->hex))->all();
        $found = [];
        foreach ($figure->colours as $colour) {
            $nearest = Stash::nearest($colour->srgb, $coloured);
            $wool = $nearest === [] ? null : $wools->get($nearest[0]);
            if ($wool !== null) {
                $found[$colour->key] = ['name' => $wool->name, 'gramsLeft' => $wool->grams_left, 'difference' => $nearest[1]];
            }
        }
        foreach ($wools->filter(static fn (Wool $w): bool => $w->hex === null) as $wool) {
            $found[$wool->material] = ['name' => $wool->name, 'gramsLeft' => $wool->grams_left + ($found[$wool->material]['gramsLeft'] ?? 0.0), 'difference' => 0.0];
        }

        return $found;
    }
}
