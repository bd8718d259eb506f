<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Problem;
use App\Http\Requests\Body;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Wishes;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Throwable;

final class BreakdownController
{
    /**
     * The answer at once, or, where the client takes application/x-ndjson, line by line: what is being done and how much
     * is behind, and at last the answer or the refusal. Who hangs up stops the work.
     */
    public function store(Request $request, Body $body): JsonResponse|StreamedResponse
    {
        $bytes = Picture::chosen($body->int('picture'))->bytes();
        $name = mb_substr(trim($body->text('name')), 0, 120);
        $wishes = Wishes::of(
            $body->float('heightMm'),
            $body->floatOr('shades', 0.2),
            $body->intOr('figure', 0) ?? 0,
            $body->floatOr('roundToMm', 0.0),
        );
        $see = static fn (?callable $progress): Breakdown => Breakdown::of(
            $bytes,
            $wishes,
            $name === '' ? 'New figure' : $name,
            $body->text('file'),
            $progress,
        );
        if (! str_contains((string) $request->headers->get('Accept'), 'application/x-ndjson')) {
            return new JsonResponse(self::answer($see(null)));
        }

        return new StreamedResponse(
            static function () use ($see): void {
                try {
                    $last = self::answer(
                        $see(static function (string $doing, float $share): void {
                            self::line(['doing' => $doing, 'share' => $share]);
                        }),
                    );
                } catch (Throwable $e) {
                    report($e);
                    $last = ['problem' => Problem::for($e)->getData(true)];
                }
                self::line($last);
            },
            200,
            ['Content-Type' => 'application/x-ndjson', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no'],
        );
    }

    /** @return array<string, mixed> */
    private static function answer(Breakdown $breakdown): array
    {
        return ['document' => $breakdown->document, 'notices' => $breakdown->notices, 'figures' => $breakdown->figures];
    }

    /** @param  array<string, mixed>  $members */
    private static function line(array $members): void
    {
        echo json_encode($members, JSON_THROW_ON_ERROR), "\n";
        // PHP notices that nobody listens any more when it writes, and ends the request then.
        if (ob_get_level() > 0) {
            ob_flush();
        }
        flush();
    }
}
