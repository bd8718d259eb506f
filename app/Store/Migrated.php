<?php

declare(strict_types=1);

namespace App\Store;

use App\Accounts\CurrentFelter;
use App\Hand\Profile;
use App\Models\Figure;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Support\Facades\DB;

/** After the tables were brought up to date, when all of them are there: what the shelf shows is reckoned by the rules of today. */
final class Migrated
{
    public static function reckon(MigrationsEnded $event): void
    {
        if ($event->method !== 'up' || ($event->options['pretend'] ?? false)) {
            return;
        }
        foreach (DB::table('figures')->distinct()->pluck('felter_id') as $felter) {
            CurrentFelter::being(is_numeric($felter) ? (int) $felter : 0, static function (): void {
                foreach (Figure::withTrashed()->lazyById(50) as $figure) {
                    Profile::reckonAnew($figure);
                }
            });
        }
    }
}
