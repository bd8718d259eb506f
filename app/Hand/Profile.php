<?php

declare(strict_types=1);

namespace App\Hand;

use App\Building\KnownReach;
use App\Models\Figure as KeptFigure;
use App\Models\Needle;
use App\Stash\Stash;
use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Material\Pace;
use Impa\Plan\Plan;
use Impa\Plan\Summary;
use Impa\Stash\Matching;
use Impa\Stash\StashWool;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Wool\Ledger\Ledger;

/**
 * What every estimate asks of the felter who asks: how dense and how fast her hand is, the needles in her box, the yarn of her stash.
 * Whoever wants a number of hers asks here, so that none of it can be forgotten (tests/Feature/House/ArchTest.php).
 */
final class Profile
{
    /** Of her hand; with the yarn of her stash where this figure has loops of it. */
    public static function densities(?Figure $figure = null): Densities
    {
        $densities = OwnHand::hand()->densities();
        $hasLoops = $figure !== null
            && array_filter($figure->parts, static fn (Part $p): bool => $p->made->covering->way === CoveringWay::Loops) !== [];
        if (! $hasLoops) {
            return $densities;
        }
        $wools = Stash::wools();

        return $densities->withYarns(Matching::yarns(Matching::of($figure, $wools, Stash::swatches()), $wools));
    }

    /** Alike while nothing changes that an estimate hangs on: her hand, her needles, where yarn is laid her wools, and the code. */
    public static function stamp(bool $withYarn): string
    {
        $yarn = $withYarn ? [Stash::wools(), Stash::swatches()] : [];
        $code = function_exists('opcache_get_status') ? (opcache_get_status(false)['opcache_statistics']['start_time'] ?? 0) : 0;

        return hash('sha256', serialize([self::densities(), self::pace(), Needle::gauges(), $yarn, Summary::VERSION, $code]));
    }

    public static function pace(): Pace
    {
        return OwnHand::hand()->pace();
    }

    public static function needles(): Needles
    {
        return Needles::of(Needle::gauges());
    }

    public static function ledger(Figure $figure): Ledger
    {
        return Ledger::of($figure, self::densities($figure));
    }

    public static function plan(Figure $figure): Plan
    {
        return Plan::of($figure, self::needles(), self::densities($figure), self::pace(), KnownReach::of(...));
    }

    /** What the shelf shows of a figure. */
    public static function summary(Figure $figure): Summary
    {
        return Summary::of(self::plan($figure));
    }

    /** What the shelf shows of a figure that is kept, by the rules of today; what can no longer be read keeps its numbers. */
    public static function shown(KeptFigure $kept): Summary
    {
        if (! $kept->isByOlderRules()) {
            return $kept->summary();
        }
        $document = $kept->document ?? KeptFigure::withTrashed()->whereKey($kept->id)->value('document');
        try {
            return self::summary(Figure::fromJson(is_string($document) ? $document : ''));
        } catch (FigureRefused) {
            return $kept->summary();
        }
    }

    /** Keeps what the shelf shows by what is known now; of what can no longer be read, nothing: that is told when it is opened. */
    public static function reckonAnew(KeptFigure $kept): void
    {
        try {
            $kept->keepSummary(self::summary(Figure::fromJson($kept->document)));
        } catch (FigureRefused) {
        }
    }

    public static function work(Figure $figure): Work
    {
        return Work::of(self::ledger($figure), self::pace(), self::needles(), KnownReach::of($figure));
    }

    /** @param  array<int, StashWool>  $wools  that are free for it, by id */
    public static function supply(Figure $figure, array $wools, Reserve $reserve): Supply
    {
        return Supply::of($figure, $wools, Stash::swatches(), $reserve, self::densities());
    }
}
