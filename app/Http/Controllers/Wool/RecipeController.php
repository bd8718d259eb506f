<?php

declare(strict_types=1);

namespace App\Http\Controllers\Wool;

use App\Api\Body;
use App\Hand\Profile;
use App\Models\Swatch;
use App\Models\Wool;
use App\Stash\Stash;
use Illuminate\Http\JsonResponse;
use Impa\Colour\Blend;
use Impa\Colour\Srgb;
use Impa\Stash\Mixing\Recipe;
use Impa\Stash\Mixing\Recipes;
use Impa\Stash\Nearness;
use Impa\Stash\StashWool;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Mixes of stash wools for a colour, ramps between two wools, and what the felter's own mixes became. */
final class RecipeController
{
    private const MOST_STEPS = 24;

    public function store(Body $body): JsonResponse
    {
        $grams = $body->floatOr('grams', 0.0);
        $most = $body->intOr('most', 3) ?? 3;
        if ($most < 1 || $most > 3 || $grams < 0.0) {
            throw new HttpException(422, (string) Message::of('house.recipe-controller.a-mix'));
        }
        // Of a colour of a figure: what its other colours count on is promised.
        $wools = Stash::wools($body->intOr('figure', 0) ?? 0);
        $of = static fn (): Supply => Profile::supply($body->figure(), $wools, Reserve::Usual);
        $free = $body->has('document') ? $of()->freeFor($body->text('colour')) : $wools;
        $stash = array_filter(
            $free,
            static fn (StashWool $w): bool => $w->covers() && $w->preparation->blends(),
        );
        $wools = array_filter(array_map(static fn (StashWool $w): ?Srgb => $w->colour, $stash));
        $recipes = Recipes::offered(Recipes::for($body->colour('hex'), $wools, Stash::swatches(), $most), $stash, $grams);

        return new JsonResponse(['recipes' => array_map(static fn (Recipe $r): array => self::row($r, $stash, $grams), $recipes)]);
    }

    public function ramp(Body $body): JsonResponse
    {
        $steps = $body->int('steps');
        if ($steps < 2 || $steps > self::MOST_STEPS) {
            throw new HttpException(422, (string) Message::of('house.recipe-controller.a-ramp-has-2', mostSteps: self::MOST_STEPS));
        }
        $ramp = Blend::ramp($body->colour('from')->light(), $body->colour('to')->light(), $steps);

        return new JsonResponse([
            'steps' => array_map(
                static fn (array $s): array => ['percent' => round(100 * $s['share']), 'hex' => $s['light']->srgb()->toHex()],
                $ramp,
            ),
        ]);
    }

    /** What a mix became: shares by the wools' numbers, in percent, and the colour. */
    public function swatch(Body $body): JsonResponse
    {
        $hex = $body->colour('hex')->toHex();
        $percent = $body->numbers('percent');
        $sum = array_sum($percent);
        if (
            count($percent) < 2 ||
            count($percent) > 3 ||
            min($percent) <= 0.0 ||
            Wool::query()->whereKey(array_keys($percent))->count() !== count($percent)
        ) {
            throw new HttpException(422, (string) Message::of('house.recipe-controller.a-swatch'));
        }
        $swatch = Swatch::query()->create([
            'shares' => array_map(static fn (float $p): float => $p / $sum, $percent),
            'hex' => $hex,
            'created_at' => now(),
        ]);

        return new JsonResponse(['id' => $swatch->id], 201);
    }

    public function forget(Swatch $swatch): JsonResponse
    {
        $swatch->delete();

        return new JsonResponse(null, 204);
    }

    /**
     * @param  array<int, StashWool>  $stash
     * @return array<string, mixed>
     */
    private static function row(Recipe $recipe, array $stash, float $grams): array
    {
        $wools = [];
        foreach ($recipe->grams($grams) as $id => $g) {
            $wools[] = [
                'wool' => $id,
                'name' => $stash[$id]->name,
                'hex' => $stash[$id]->colour?->toHex(),
                'percent' => $recipe->percent[$id],
                'g' => $g,
                'freeG' => $stash[$id]->freeG,
                'teasing' => $stash[$id]->preparation->teasing(),
            ];
        }

        return [
            'wools' => $wools,
            'hex' => $recipe->light->srgb()->toHex(),
            'difference' => $recipe->difference,
            'nearness' => Nearness::of($recipe->difference)->value,
            'isCorrected' => $recipe->isCorrected,
            'isEnough' => $recipe->isEnough($stash, $grams),
        ];
    }
}
