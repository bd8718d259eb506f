<?php

declare(strict_types=1);

namespace App\Building;

use App\Hand\OwnHand;
use App\Models\Needle;
use App\Stash\Stash;
use Illuminate\Support\Carbon;
use Impa\Build\Schedule\Evenings;
use Impa\Build\Schedule\ScheduleRefused;
use Impa\Build\Work;
use Impa\Figure\Figure;
use Impa\Plan\Plan;
use Impa\Wool\Ledger\Ledger;

/** Plan and work of a figure by this felter's hand and what she has at hand, and the evenings that are usual where she says nothing. */
final class Building
{
    public const SITTING_MINUTES = 90.0;

    public const DAYS = ['tue', 'thu'];

    public const BEGINS = '19:00';

    public static function plan(Figure $figure): Plan
    {
        return Plan::of($figure, Needle::atHand(), Stash::densities($figure), OwnHand::hand()->pace(), KnownReach::of(...));
    }

    public static function work(Figure $figure): Work
    {
        $ledger = Ledger::of($figure, Stash::densities($figure));

        return Work::of($ledger, OwnHand::hand()->pace(), Needle::atHand(), KnownReach::of($figure));
    }

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
