<?php

declare(strict_types=1);

namespace App\Store;

use Illuminate\Support\Facades\DB;

/** How much the store holds of everybody's, counted only. */
final class ByteSize
{
    /** @return array<string, int> */
    public static function gauges(): array
    {
        $bytes = DB::table('pictures')->sum('bytes');

        return [
            'felters' => DB::table('felters')->count(),
            'figures' => DB::table('figures')->whereNull('deleted_at')->count(),
            'figure_revisions' => DB::table('figure_revisions')->count(),
            'pictures' => DB::table('pictures')->count(),
            'picture_bytes' => is_numeric($bytes) ? (int) $bytes : 0,
            'breakdowns_waiting' => DB::table('jobs')->count(),
            'breakdowns_failed' => DB::table('failed_jobs')->count(),
            'disk_free_bytes' => (int) disk_free_space(storage_path()),
        ];
    }

    /** How long the break-down that has waited longest has waited for a worker, seconds. */
    public static function longestWaitS(): int
    {
        $since = DB::table('jobs')->whereNull('reserved_at')->min('available_at');

        return is_numeric($since) ? max(0, time() - (int) $since) : 0;
    }
}
