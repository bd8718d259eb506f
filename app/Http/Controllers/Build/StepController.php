<?php

declare(strict_types=1);

namespace App\Http\Controllers\Build;

use App\Api\Body;
use App\Hand\Profile;
use App\Hand\TimedSteps;
use App\Models\Figure;
use App\Models\Log\StepMark;
use Illuminate\Http\JsonResponse;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Which steps of a figure are done. A mark stays when the plan changes: work done is done. */
final class StepController
{
    public function index(Figure $figure): JsonResponse
    {
        return new JsonResponse([
            'done' => $figure->marks()->where('step', 'not like', StepMark::LOOKED.'%')->orderBy('id')->pluck('step')->all(),
            'present' => $figure->present_step,
        ]);
    }

    public function update(Figure $figure, string $step): JsonResponse
    {
        if (! in_array($step, Profile::shown($figure)->steps, true)) {
            throw new HttpException(422, (string) Message::of('house.refused.no-step-saved'));
        }
        $figure->marks()->firstOrCreate(['step' => $step], ['created_at' => now()]);
        TimedSteps::keep($figure);

        return $this->index($figure);
    }

    /** The step that lies open: another device takes it up there. Empty for the next one that is not done. */
    public function present(Body $body, Figure $figure): JsonResponse
    {
        $step = $body->text('step');
        if ($step !== '' && ! in_array($step, Profile::shown($figure)->steps, true)) {
            throw new HttpException(422, (string) Message::of('house.refused.no-step-saved'));
        }
        Figure::query()->whereKey($figure->id)->toBase()->update(['present_step' => $step]);

        return $this->index($figure->refresh());
    }

    public function destroy(Figure $figure, string $step): JsonResponse
    {
        $figure->marks()->where('step', $step)->delete();
        TimedSteps::keep($figure);

        return $this->index($figure);
    }
}
