<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Felter;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Impa\Hand\Hand;
use LogicException;

/** Whose rows are read and written: those of the felter who is signed in, or, without accounts, of whoever sits at this machine. */
final class CurrentFelter
{
    /** Every table whose rows an archive carries and a copy's owner is asked of. */
    public const TABLES = [
        'pictures', 'figures', 'figure_revisions', 'step_marks', 'wools', 'set_asides', 'wool_uses', 'weighings', 'swatches',
        'needles', 'bouts', 'log_entries', 'finished_parts', 'finished_steps', 'hand_marks', 'photo_checks', 'figure_sets', 'set_wools',
    ];

    /** A number that no felter has: nothing is theirs. */
    private const NOBODY = 0;

    private static ?int $meanwhile = null;

    public static function id(): int
    {
        if (self::$meanwhile !== null) {
            return self::$meanwhile;
        }
        if (! config()->boolean('impa.accounts')) {
            return Felter::OF_THIS_MACHINE;
        }
        $id = Auth::id();

        return is_int($id) ? $id : self::NOBODY;
    }

    /**
     * Does something as one felter: in a job, on the console, for who follows a link.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    public static function being(int $felter, Closure $do): mixed
    {
        $before = self::$meanwhile;
        self::become($felter);
        try {
            return $do();
        } finally {
            self::become($before);
        }
    }

    /** What was learned of one hand is not another's. */
    private static function become(?int $felter): void
    {
        self::$meanwhile = $felter;
        app()->forgetInstance(Hand::class);
    }

    /** Rows of a table that are one's own: where no model is wanted. */
    public static function rows(string $table): Builder
    {
        return DB::table($table)->where($table.'.felter_id', self::id());
    }

    /**
     * @return array{felter_id: int} what a row that is written by itself says of whose it is
     *
     * @throws LogicException where nobody is signed in: a row of nobody is found by nobody
     */
    public static function own(): array
    {
        return self::id() !== self::NOBODY
            ? ['felter_id' => self::id()]
            : throw new LogicException('Nobody is signed in: whose row is it?');
    }
}
