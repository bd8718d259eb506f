<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** A store of its own on disk, as people have it: what is about files cannot be tested in memory. */
final class StoreOnDisk
{
    /** @return string the folder in which it lies */
    public static function make(): string
    {
        $home = sys_get_temp_dir().'/impa-home-'.bin2hex(random_bytes(6));
        foreach (['pictures', 'framework/cache/data', 'framework/views', 'logs'] as $folder) {
            mkdir("{$home}/{$folder}", 0750, true);
        }
        app()->useStoragePath($home);
        touch("{$home}/impa.sqlite");
        config(['database.connections.disk' => ['database' => "{$home}/impa.sqlite"] + config('database.connections.sqlite')]);
        config(['database.default' => 'disk', 'filesystems.disks.pictures.root' => "{$home}/pictures"]);
        Storage::forgetDisk('pictures');
        Storage::set('pictures', Storage::createLocalDriver(config('filesystems.disks.pictures')));
        Artisan::call('migrate', ['--force' => true]);

        return $home;
    }

    public static function remove(string $home): void
    {
        DB::purge('disk');
        config(['database.default' => 'sqlite']);
        (new Filesystem)->deleteDirectory($home);
    }
}
