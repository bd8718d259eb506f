<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Problem;
use App\Http\Requests\Body;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Figure\Figure;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Glance;
use Impa\Seeing\SeenAgain;
use Impa\Seeing\View;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Throwable;

final class BreakdownController
{
    /**
     * The answer at once, or, where the client takes application/x-ndjson, line by line: what is being done and how much
     * is behind, and at last the answer or the refusal. Who hangs up stops the work. With a `document` that came from this drawing, what
     * the felter made of it stays.
     */
    public function store(Request $request, Body $body): JsonResponse|StreamedResponse
    {
        $bytes = Picture::chosen($body->int('picture'))->bytes();
        $name = mb_substr(trim($body->text('name')), 0, 120);
        $wishes = $body->wishes();
        $figure = $body->has('document') ? $body->figure() : null;
        $see = static fn (?callable $progress): Breakdown => Breakdown::of(
            $bytes,
            $wishes,
            $name === '' ? 'New figure' : $name,
            $body->text('file'),
            $progress,
        );
        if (! str_contains((string) $request->headers->get('Accept'), 'application/x-ndjson')) {
            return new JsonResponse(self::answer($see(null), $figure));
        }

        return new StreamedResponse(
            static function () use ($see, $figure): void {
                try {
                    $last = self::answer(
                        $see(static function (string $doing, float $share): void {
                            self::line(['doing' => $doing, 'share' => $share]);
                        }),
                        $figure,
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

    /** A quick first look, before anything is shaped. */
    public function glance(Body $body): JsonResponse
    {
        $glance = Glance::of(Picture::chosen($body->int('picture'))->bytes(), $body->wishes(100.0));

        return new JsonResponse([
            'image' => 'data:image/png;base64,'.base64_encode($glance->png),
            'colours' => $glance->colours,
            'notices' => $glance->notices,
        ]);
    }

    /**
     * @param  ?Figure  $figure  that was broken down from this drawing before: what the felter made of it stays
     * @return array<string, mixed>
     */
    private static function answer(Breakdown $breakdown, ?Figure $figure): array
    {
        $again = $figure === null ? null : SeenAgain::of($figure, $breakdown->document);

        return [
            'document' => $again === null ? $breakdown->document : $again->document,
            'notices' => [...$again === null ? [] : [$again->notice()], ...$breakdown->notices],
            'figures' => $breakdown->figures,
            'views' => array_map(static fn (View $v): string => $v->value, $breakdown->views),
        ];
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
