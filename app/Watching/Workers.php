<?php

declare(strict_types=1);

namespace App\Watching;

/** Which workers are there: each says so by a file under its number, and one that was killed is found out by that. On one machine. */
final class Workers
{
    /** Of this process, from now on. */
    public static function mark(): void
    {
        $file = self::folder().'/'.getmypid();
        is_file($file) || is_dir(self::folder()) || @mkdir(self::folder(), 0750, true);
        is_file($file) || @touch($file);
    }

    public static function isAlive(int $pid): bool
    {
        return $pid > 0 && posix_kill($pid, 0);
    }

    /** Whether anybody is there to do what waits. */
    public static function isAnyAlive(): bool
    {
        foreach (glob(self::folder().'/*') ?: [] as $file) {
            if (self::isAlive((int) basename($file))) {
                return true;
            }
            @unlink($file);
        }

        return false;
    }

    private static function folder(): string
    {
        return storage_path('framework/workers');
    }
}
