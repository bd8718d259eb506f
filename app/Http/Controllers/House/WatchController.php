<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Store\ByteSize;
use App\Watching\Counts;
use App\Watching\Workers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Throwable;

/** For who keeps a server running: whether it is well, and its counts. Nothing of any felter's. */
final class WatchController
{
    /** Less than so many free bytes on the disk is not well. */
    private const LEAST_BYTES = 200_000_000;

    /** Break-downs that have waited so long are not done by anybody, seconds. */
    private const LONGEST_WAIT_S = 120;

    public function health(): JsonResponse
    {
        try {
            $waited = ByteSize::longestWaitS();
            $isStore = true;
        } catch (Throwable $e) {
            report($e);
            [$waited, $isStore] = [0, false];
        }
        // Where a worker does break-downs, there is one.
        $isAtOnce = config()->string('queue.default') === 'sync';
        $checks = [
            'store' => $isStore,
            'disk' => disk_free_space(storage_path()) > self::LEAST_BYTES,
            'worker' => $waited < self::LONGEST_WAIT_S && ($isAtOnce || Workers::isAnyAlive()),
        ];
        $isWell = ! in_array(false, $checks, true);

        return new JsonResponse(['status' => $isWell ? 'well' : 'not well', 'checks' => $checks], $isWell ? 200 : 503);
    }

    /** To this machine alone. */
    public function metrics(Request $request): Response
    {
        $from = $request->server->getString('REMOTE_ADDR');
        abort_unless(str_starts_with($from, '127.') || $from === '::1', 404);
        $lines = [];
        foreach (ByteSize::gauges() as $name => $value) {
            array_push($lines, "# TYPE impa_{$name} gauge", "impa_{$name} {$value}");
        }
        $counts = Counts::lines();
        $types = $counts === [] ? [] : ['# TYPE impa_requests_total counter', '# TYPE impa_request_seconds histogram'];

        return new Response(implode("\n", [...$lines, ...$types, ...$counts])."\n", 200, ['Content-Type' => 'text/plain; version=0.0.4']);
    }
}
