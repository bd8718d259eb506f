<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Accounts\CurrentFelter;
use App\Api\Body;
use App\Http\LinesResponse;
use App\Jobs\BreakDown;
use App\Models\BreakdownJob;
use App\Models\Picture;
use App\Seeing\DrawnFigure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Impa\Seeing\QuickPreview;
use Impa\Voice\Message;
use Impa\Voice\Voice;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\HttpKernel\Exception\HttpException;

final class BreakdownController
{
    /** So many of one felter wait or are at work at once. */
    private const AT_ONCE = 3;

    /** What nobody fetched is let go after so many hours. */
    private const KEPT_HOURS = 6;

    /**
     * The answer at once, or, where the client takes application/x-ndjson, line by line: what is being done and how much is behind, and at
     * last the answer or the refusal. Who hangs up stops the work. Where a worker does it, 202 and where to ask how far it is.
     */
    public function store(Request $request, Body $body): JsonResponse|StreamedResponse
    {
        DrawnFigure::check($body);
        if (config()->string('queue.default') !== 'sync') {
            return $this->queued((string) $request->getContent());
        }
        if (! str_contains((string) $request->headers->get('Accept'), 'application/x-ndjson')) {
            return new JsonResponse(DrawnFigure::seen($body));
        }

        return LinesResponse::of(static fn (callable $progress): array => DrawnFigure::seen($body, $progress));
    }

    /** How far it is; with the answer, or the refusal, once it is done: that is fetched once. */
    public function show(BreakdownJob $breakdown): Response|JsonResponse
    {
        if ($breakdown->isLost()) {
            $breakdown->delete();
            throw new HttpException(503, (string) Message::of('house.refused.seeing-lost'));
        }
        if ($breakdown->answer === null) {
            return new JsonResponse(['doing' => $breakdown->doing, 'share' => $breakdown->share]);
        }
        $breakdown->delete();

        return new Response($breakdown->answer, 200, ['Content-Type' => 'application/json']);
    }

    /** Given up: the work ends. */
    public function destroy(BreakdownJob $breakdown): JsonResponse
    {
        $breakdown->delete();

        return new JsonResponse(null, 204);
    }

    /** A quick first look, before anything is shaped. */
    public function glance(Body $body): JsonResponse
    {
        $preview = QuickPreview::of(Picture::chosen($body->int('picture'))->bytes(), $body->wishes(100.0));

        return new JsonResponse([
            'image' => 'data:image/png;base64,'.base64_encode($preview->png),
            'other' => $preview->other === null ? null : 'data:image/png;base64,'.base64_encode($preview->other),
            'colours' => $preview->colours,
            'notices' => $preview->notices,
        ]);
    }

    private function queued(string $asked): JsonResponse
    {
        BreakdownJob::query()->where('updated_at', '<', now()->subHours(self::KEPT_HOURS))->delete();
        /** @var list<BreakdownJob> $atWork */
        $atWork = BreakdownJob::query()->whereNull('answer')->get()->all();
        foreach ($atWork as $row) {
            $row->isLost() && $row->delete();
        }
        if (BreakdownJob::query()->whereNull('answer')->count() >= self::AT_ONCE) {
            throw new HttpException(429, (string) Message::of('house.breakdown-controller.three-of-your-drawings'));
        }
        $row = BreakdownJob::query()->create([
            'asked' => $asked,
            'doing' => (string) Message::of('house.breakdown-controller.waiting-its-turn'),
        ]);
        dispatch(new BreakDown(CurrentFelter::id(), $row->uuid, Voice::current()->tag()));

        return new JsonResponse(['breakdown' => $row->uuid], 202);
    }
}
