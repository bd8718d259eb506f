<?php

declare(strict_types=1);

namespace App\Http\Controllers\Build;

use App\Api\Body;
use App\Building\Building;
use App\Building\SittingsCalendar;
use App\Hand\Profile;
use App\Http\DocumentResponse;
use App\Printing\Pdf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Impa\Build\ScheduleSheet;
use Impa\Build\Steps\Step;
use Impa\Build\StepsSheet;
use Impa\Build\Technique\TechniqueChange;
use Impa\Build\Technique\TechniqueChoices;
use Impa\Build\Work;
use Impa\Plan\StepPicture;
use Impa\Print\Work\WorkSheet;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * The work on a figure, reckoned without saving: its steps in order, a drawing of each, evenings for them, and all of it on paper.
 *
 * @phpstan-import-type ScheduleDocument from ScheduleSheet
 */
final class BuildController
{
    /** A figure of as many parts and details as there may be has no more. */
    private const MOST_STEPS = 4000;

    public function store(Body $body): JsonResponse
    {
        $figure = $body->figure();

        return new JsonResponse(['sheet' => StepsSheet::of(Profile::work($figure)), 'schools' => TechniqueChoices::of($figure)]);
    }

    /** The figure after another school, and what that changed of its work. */
    public function school(Body $body): DocumentResponse
    {
        [$figure, $question, $value] = [$body->figure(), $body->text('question'), $body->text('value')];
        $chosen = TechniqueChoices::chosen($figure, $question, $value);
        $option = TechniqueChoices::option($question, $value);

        return new DocumentResponse([
            'document' => $chosen->document(),
            'changed' => TechniqueChange::text($option, Profile::work($figure), Profile::work($chosen)),
        ]);
    }

    public function picture(Body $body): JsonResponse
    {
        $work = Profile::work($body->figure());

        return new JsonResponse(['svg' => StepPicture::of($work, self::step($work, $body->text('step')))]);
    }

    public function pull(Body $body): DocumentResponse
    {
        $work = Profile::work($body->figure());

        return new DocumentResponse(['document' => $work->moved($body->text('step'), $body->flag('forward'))->document()]);
    }

    public function schedule(Body $body): JsonResponse
    {
        return new JsonResponse(self::sittings($body));
    }

    public function calendar(Body $body): Response
    {
        $work = Profile::work($body->figure());

        return new Response(SittingsCalendar::of(self::sittings($body), $work), 200, ['Content-Type' => 'text/calendar; charset=utf-8']);
    }

    public function paper(Body $body): Response
    {
        $sheet = WorkSheet::of(Profile::work($body->figure()));

        return new Response(Pdf::of($sheet, $body->paper()), 200, ['Content-Type' => 'application/pdf']);
    }

    /** @return ScheduleDocument */
    private static function sittings(Body $body): array
    {
        return ScheduleSheet::of(
            Profile::work($body->figure()),
            Profile::needles(),
            $body->floatOr('sitting', Building::SITTING_MINUTES),
            Building::evenings(
                $body->has('days') ? $body->texts('days') : Building::DAYS,
                $body->text('from'),
                $body->text('by'),
                $body->text('at', Building::BEGINS),
            ),
            $body->has('done') ? $body->texts('done', self::MOST_STEPS) : [],
        );
    }

    private static function step(Work $work, string $key): Step
    {
        foreach ($work->steps as $step) {
            if ($step->key === $key) {
                return $step;
            }
        }
        throw new HttpException(422, (string) Message::of('house.refused.no-step'));
    }
}
