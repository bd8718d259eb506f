<?php

declare(strict_types=1);

namespace App\Building;

use Illuminate\Support\Carbon;
use Impa\Build\Schedule\Evenings;
use Impa\Build\Schedule\ScheduleRefused;

/** The evenings that are usual where she says nothing. */
final class Building
{
    public const SITTING_MINUTES = 90.0;

    public const DAYS = ['tue', 'thu'];

    public const BEGINS = '19:00';

    /**
     * @param  list<string>  $days
     *
     * @throws ScheduleRefused if there is no such day, date or time, or one is gone already
     */
    public static function evenings(array $days, string $from, string $by, string $at): Evenings
    {
        return Evenings::of($days, Carbon::today()->format('Y-m-d'), $from, $by, $at);
    }
}
