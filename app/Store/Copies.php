<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Picture;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Impa\Voice\Message;
use RuntimeException;
use SQLite3;
use Symfony\Component\Process\Process;
use Throwable;

/**
 * Copies of the store, kept in a ring: the latest, of each of the last days one, then of each week, then of each month. SQLite is
 * copied by its own backup interface (sqlite.org/backup.html) while others write; PostgreSQL by pg_dump. Pictures never change: each is
 * copied once, and stays while a copy names it.
 */
final class Copies
{
    /** Those made last are kept whatever day their names say: clocks are set back, and one is made before another is put back. */
    private const LATEST = 14;

    /** Their names in the order in which they were made, one a line. */
    private const ORDER = 'order.txt';

    private const DAYS = 7;

    private const WEEKS = 5;

    private const MONTHS = 12;

    /** With the moment it was made, in UTC. */
    private const NAME = '/^impa-(\d{4}-\d{2}-\d{2})-(\d{6})\.(sqlite|dump)$/D';

    public static function folder(): string
    {
        return storage_path('copies');
    }

    /** @return list<string> names of the copies, the latest first */
    public static function all(): array
    {
        $names = array_filter(array_map(basename(...), glob(self::folder().'/impa-*') ?: []), self::isCopy(...));
        rsort($names);

        return $names;
    }

    /** @return list<array{name: string, at: string, mb: float}> the latest first */
    public static function told(): array
    {
        return array_map(static function (string $name): array {
            preg_match(self::NAME, $name, $m);
            $at = sprintf('%sT%s', $m[1] ?? '', implode(':', str_split($m[2] ?? '000000', 2)));

            return ['name' => $name, 'at' => $at.'Z', 'mb' => (int) filesize(self::folder().'/'.$name) / 1e6];
        }, self::all());
    }

    /**
     * Makes one now; whether today has one is not asked.
     *
     * @param  string  $keep  one that the ring does not let go now, besides the new one
     * @return string its name
     */
    public static function make(string $keep = ''): string
    {
        self::folders();
        // One at a time: of two that are made at once each gets a name of its own, and neither clears up after the other.
        $lock = fopen(self::folder().'/.lock', 'c');
        if ($lock === false || ! flock($lock, LOCK_EX)) {
            throw StoreTrouble::readOnly();
        }
        try {
            self::clearUp();
            $isPostgres = DB::getDriverName() === 'pgsql';
            $named = static fn (int $after): string => sprintf(
                'impa-%s.%s',
                now()->addSeconds($after)->format('Y-m-d-His'),
                $isPostgres ? 'dump' : 'sqlite',
            );
            // Of one second there may be one already.
            for ($after = 0; is_file(self::folder().'/'.$named($after)); $after++);
            $name = $named($after);
            $aside = self::folder().'/.making-'.$name;
            $isPostgres ? self::dump($aside) : self::backup(DB::connection()->getDatabaseName(), $aside);
            $isPostgres || self::asOneFile($aside);
            self::copyPictures();
            rename($aside, self::folder().'/'.$name) || throw StoreTrouble::full();
            file_put_contents(self::folder().'/'.self::ORDER, $name."\n", FILE_APPEND);
            self::letGo([$keep, $name]);
        } finally {
            self::clearUp();
            fclose($lock);
        }

        return $name;
    }

    /** Whether the last one is older than a day: at whatever hour this machine is on, it gets its copy. */
    public static function isDue(): bool
    {
        $last = self::all()[0] ?? '';

        return preg_match(self::NAME, $last, $m) !== 1 || now()->diffInHours("{$m[1]} {$m[2]}", absolute: true) >= 24;
    }

    /**
     * Puts a copy in the place of the store. What is there now is copied first, so that this can be taken back.
     *
     * @return string the name of the copy of what was there
     *
     * @throws RuntimeException in words, if there is no such copy, or it is damaged
     */
    public static function restore(string $name): string
    {
        $path = self::folder().'/'.$name;
        if (! self::isCopy($name) || ! is_file($path)) {
            throw new RuntimeException((string) Message::of('console.copies.none', name: $name));
        }
        if (str_ends_with($name, '.dump')) {
            throw new RuntimeException((string) Message::of('console.copies.postgres'));
        }
        $copy = new SQLite3($path, SQLITE3_OPEN_READONLY);
        if ($copy->querySingle('pragma integrity_check') !== 'ok') {
            throw new RuntimeException((string) Message::of('console.copies.damaged', name: $name));
        }
        $copy->close();
        $before = self::make($name);
        self::backup($path, DB::connection()->getDatabaseName());
        foreach (self::pictures($path) as $hash) {
            if (! Storage::disk('pictures')->exists($hash) && is_file(self::folder().'/pictures/'.$hash)) {
                Storage::disk('pictures')->put($hash, (string) file_get_contents(self::folder().'/pictures/'.$hash));
            }
        }

        return $before;
    }

    /** Page by page, while others read and write. */
    private static function backup(string $from, string $to): void
    {
        $source = new SQLite3($from, SQLITE3_OPEN_READONLY);
        $source->busyTimeout(5000);
        $target = new SQLite3($to);
        $target->busyTimeout(5000);
        try {
            if (! @$source->backup($target)) {
                throw StoreTrouble::full();
            }
        } finally {
            $source->close();
            $target->close();
        }
    }

    /** Without a log beside it: whoever opens the copy, if only to read, leaves nothing behind. */
    private static function asOneFile(string $path): void
    {
        $copy = new SQLite3($path);
        $copy->exec('pragma journal_mode = delete');
        $copy->close();
    }

    private static function dump(string $to): void
    {
        $said = config()->array('database.connections.pgsql');
        $word = static fn (string $key): string => is_scalar($said[$key] ?? null) ? (string) $said[$key] : '';
        // The password goes by the environment: a command line is read by every user of the machine.
        $process = new Process(
            ['pg_dump', '--format=custom', '--no-owner', '--file='.$to, '--host='.$word('host'), '--port='.$word('port'),
                '--username='.$word('username'), $word('database')],
            env: ['PGPASSWORD' => $word('password')],
            timeout: 3600,
        );
        $process->run();
        if (! $process->isSuccessful()) {
            throw new RuntimeException('PostgreSQL cannot be copied: '.trim($process->getErrorOutput()));
        }
    }

    private static function copyPictures(): void
    {
        foreach (DB::table('pictures')->distinct()->pluck('hash') as $hash) {
            self::copyPicture(is_string($hash) ? $hash : '');
        }
    }

    /**
     * By its bytes, never as a second name of the same file: damage in place would spoil both. What is damaged is not copied.
     *
     * @return bool whether there is a whole copy now
     */
    public static function copyPicture(string $hash): bool
    {
        $to = self::folder().'/pictures/'.$hash;
        $from = Storage::disk('pictures')->path($hash);
        $isCopied = is_file($to) && (! is_file($from) || fileinode($to) !== fileinode($from));
        if ($isCopied || ! is_file($from)) {
            return $isCopied;
        }
        $aside = self::folder().'/.making-'.$hash;
        if (! @copy($from, $aside)) {
            throw StoreTrouble::full();
        }

        return hash_file('sha256', $aside) === $hash && rename($aside, $to);
    }

    /**
     * What the ring has no place for goes, and pictures that no copy names any more.
     *
     * @param  list<string>  $keep  names of copies that stay, whatever the ring says
     */
    private static function letGo(array $keep): void
    {
        $made = array_values(array_intersect(self::made(), self::all()));
        $kept = array_fill_keys([...$keep, ...array_slice($made, -self::LATEST)], true);
        file_put_contents(self::folder().'/'.self::ORDER, implode("\n", array_slice($made, -self::LATEST))."\n");
        $seen = [];
        foreach (self::all() as $name) {
            preg_match(self::NAME, $name, $m);
            $day = strtotime($m[1] ?? '') ?: 0;
            foreach (['d' => ['Y-m-d', self::DAYS], 'w' => ['o-W', self::WEEKS], 'm' => ['Y-m', self::MONTHS]] as $ring => [$by, $most]) {
                $slot = date($by, $day);
                if (! isset($seen[$ring][$slot]) && count($seen[$ring] ?? []) < $most) {
                    $kept[$name] = $seen[$ring][$slot] = true;
                }
            }
        }
        foreach (self::all() as $name) {
            isset($kept[$name]) || unlink(self::folder().'/'.$name);
        }
        self::letPicturesGo();
    }

    /** Of PostgreSQL no copy tells its pictures: theirs stay while the picture is anybody's. */
    private static function letPicturesGo(): void
    {
        $named = array_flip(array_filter(DB::table('pictures')->distinct()->pluck('hash')->all(), is_string(...)));
        foreach (self::all() as $name) {
            if (str_ends_with($name, '.dump')) {
                return;
            }
            try {
                $named += array_flip(self::pictures(self::folder().'/'.$name));
            } catch (Throwable) {
                // What a damaged copy names is not known: nothing of it is let go.
                return;
            }
        }
        foreach (glob(self::folder().'/pictures/*') ?: [] as $file) {
            isset($named[basename($file)]) || unlink($file);
        }
    }

    /** @return list<string> hashes of the pictures that a copy names */
    private static function pictures(string $path): array
    {
        $copy = new SQLite3($path, SQLITE3_OPEN_READONLY);
        $rows = @$copy->query('select distinct hash from pictures');
        if ($rows === false) {
            throw new RuntimeException(basename($path).' cannot be read.');
        }
        $hashes = [];
        while (is_array($row = $rows->fetchArray(SQLITE3_NUM))) {
            $hashes[] = is_string($row[0]) ? $row[0] : '';
        }
        $copy->close();

        return $hashes;
    }

    private static function isCopy(string $name): bool
    {
        return preg_match(self::NAME, $name) === 1;
    }

    private static function folders(): void
    {
        $pictures = self::folder().'/pictures';
        if (! is_dir($pictures) && ! @mkdir($pictures, 0750, true)) {
            throw StoreTrouble::readOnly();
        }
    }

    /** What a copy that was ended in the middle left behind, and logs beside copies of older times, of which nothing is missing. */
    private static function clearUp(): void
    {
        $left = [...glob(self::folder().'/.making-*') ?: [], ...glob(self::folder().'/impa-*.sqlite-{wal,shm,journal}', GLOB_BRACE) ?: []];
        array_map(unlink(...), $left);
    }

    /** @return list<string> names of copies in the order in which they were made; by their names where that was never written down */
    private static function made(): array
    {
        $said = @file_get_contents(self::folder().'/'.self::ORDER);

        return $said === false ? array_reverse(self::all()) : array_values(array_filter(explode("\n", $said), self::isCopy(...)));
    }
}
