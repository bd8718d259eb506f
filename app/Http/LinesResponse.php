<?php

declare(strict_types=1);

namespace App\Http;

use App\Api\Problem;
use Closure;
use Impa\Voice\Message;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Throwable;

/** An answer that takes its time, as lines of JSON: what is being done and the share that is behind, at last the answer or the refusal. */
final class LinesResponse
{
    /** @param  Closure(callable(Message|string, float): void): array<string, mixed>  $work */
    public static function of(Closure $work): StreamedResponse
    {
        return new StreamedResponse(
            static function () use ($work): void {
                try {
                    $last = $work(static function (Message|string $doing, float $share): void {
                        self::line(['doing' => $doing, 'share' => $share]);
                    });
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
