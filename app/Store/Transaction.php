<?php

declare(strict_types=1);

namespace App\Store;

use App\Accounts\CurrentFelter;
use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PDOException;
use Throwable;

/** Changes of the store that belong together: all of them, or none. */
final class Transaction
{
    /** Why the last one was not done. */
    private static ?Throwable $why = null;

    /** Gives the disk what was thrown away for good. */
    public static function shrink(): void
    {
        // Not while something is being written, and not what PostgreSQL does by itself.
        if (DB::transactionLevel() === 0 && DB::getDriverName() === 'sqlite') {
            try {
                DB::statement('VACUUM');
                DB::statement('PRAGMA wal_checkpoint(TRUNCATE)');
            } catch (QueryException $busy) {
                // The bin is empty all the same; the disk gets its own at the next emptying.
                report($busy);
            }
        }
    }

    /**
     * Nobody else writes from its first line to its last, so that what it reads first is still so when it writes: a transaction
     * that only reads at first would be refused at its first write, where another one wrote meanwhile.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    public static function together(Closure $do): mixed
    {
        self::$why = null;
        try {
            return DB::transaction(static function () use ($do): mixed {
                try {
                    self::lock();

                    return $do();
                } catch (Throwable $e) {
                    throw self::$why = $e;
                }
            });
        } catch (PDOException $e) {
            // Where the disk is full, SQLite takes everything back by itself, and the framework finds nothing to take back: what is told
            // is why, and the next one begins anew.
            $why = self::why();
            if ($why !== null && preg_match('/no transaction is active|no such savepoint/', $e->getMessage()) === 1) {
                DB::reconnect();
                throw $why;
            }
            throw $e;
        }
    }

    private static function why(): ?Throwable
    {
        return self::$why;
    }

    private static function lock(): void
    {
        if (DB::getDriverName() === 'pgsql') {
            // What is one felter's nobody else writes: each has a lock of their own, until the transaction ends.
            DB::select('select pg_advisory_xact_lock(?)', [CurrentFelter::id()]);
        } else {
            // PHP 8.2 begins a transaction of SQLite without its lock; a write that changes nothing takes it, and waits for it.
            DB::table('figures')->whereRaw('1 = 0')->update(['revision' => 0]);
        }
    }
}
