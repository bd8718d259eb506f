<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Archive\ArchiveRefused;
use App\Archive\Conflict;
use App\Archive\Incoming;
use App\Archive\Outgoing;
use App\Http\LinesResponse;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Impa\Voice\Message;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Everything out, and everything in: all that is a felter's as one file. */
final class ArchiveController
{
    /** A larger file is refused before it is looked at. */
    private const MOST_BYTES = 2_000_000_000;

    public function show(): StreamedResponse
    {
        return new StreamedResponse(static function (): void {
            set_time_limit(0);
            foreach ((new Outgoing)->stream() as $bytes) {
                echo $bytes;
                flush();
            }
        }, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => sprintf('attachment; filename="impa-%s.zip"', now()->format('Y-m-d')),
            'Cache-Control' => 'no-store',
            'X-Accel-Buffering' => 'no',
        ]);
    }

    /** What would be taken in; nothing is. */
    public function preview(Request $request): JsonResponse
    {
        return self::unpacked($request, static fn (string $path): JsonResponse => new JsonResponse(Incoming::of($path)->preview()));
    }

    /** Takes it in, line by line: what is being done and how much is behind, at last what came of it, or why nothing did. */
    public function store(Request $request): StreamedResponse
    {
        $conflict = Conflict::tryFrom($request->string('conflict', 'keep')->toString())
            ?? throw ArchiveRefused::because((string) Message::of('house.refused.keep-or-replace'));
        $each = json_decode($request->string('each', '{}')->toString(), true);
        $choices = array_filter(is_array($each) ? $each : [], is_string(...));

        return LinesResponse::of(static function (callable $progress) use ($request, $conflict, $choices): array {
            set_time_limit(0);

            return self::unpacked($request, static fn (string $path): array => Incoming::of($path)->take($conflict, $choices, $progress));
        });
    }

    /**
     * @template T
     *
     * @param  Closure(string): T  $do  with the file that was sent
     * @return T
     */
    private static function unpacked(Request $request, Closure $do): mixed
    {
        $path = (string) tempnam(storage_path('framework'), 'in-');
        // Who hangs up ends the request at the next line that is written: what is done at its end is done then, too.
        register_shutdown_function(static fn (): bool => @unlink($path));
        try {
            $out = fopen($path, 'wb');
            $in = $request->getContent(true);
            if ($out === false || stream_copy_to_stream($in, $out, self::MOST_BYTES + 1) > self::MOST_BYTES) {
                throw ArchiveRefused::because((string) Message::of('house.archive-controller.the-file-is-larger'));
            }
            fclose($out);

            return $do($path);
        } finally {
            @unlink($path);
        }
    }
}
