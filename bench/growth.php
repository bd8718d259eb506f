<?php

declare(strict_types=1);

use App\Accounts\CurrentFelter;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

// How answers slow down as a store grows: fills a store of its own with so many figures of so many revisions and prints medians.
//   php bench/growth.php [FIGURES ...]      2000 and 20000 where none is named

chdir(dirname(__DIR__));
require 'vendor/autoload.php';
$home = sys_get_temp_dir().'/impa-growth-'.getmypid();
foreach (['pictures', 'framework/cache/data', 'framework/views', 'framework/sessions', 'logs'] as $folder) {
    mkdir("{$home}/{$folder}", 0700, true);
}
touch("{$home}/impa.sqlite");
$environment = [
    'DB_DATABASE' => "{$home}/impa.sqlite", 'SESSION_DRIVER' => 'array', 'CACHE_STORE' => 'array', 'APP_ENV' => 'testing',
    'APP_KEY' => 'base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=',
];
foreach ($environment as $name => $value) {
    putenv("{$name}={$value}");
    $_ENV[$name] = $_SERVER[$name] = $value;
}
$app = require 'bootstrap/app.php';
$app->useStoragePath($home);
$app->make(Console::class)->bootstrap();
Artisan::call('migrate', ['--force' => true]);
Artisan::call('db:seed', ['--force' => true]);
$kernel = $app->make(Kernel::class);
$document = (string) DB::table('figures')->where('name', 'like', 'Bobbin%')->value('document');
$decoded = json_decode($document);

/** Median milliseconds of a request, asked nine times. */
$median = static function (string $method, string $path, ?array $body = null) use ($kernel, $app): float {
    $took = [];
    for ($i = 0; $i < 9; $i++) {
        $server = [
            'HTTP_HOST' => '127.0.0.1:8765',
            'REMOTE_ADDR' => '127.0.0.1',
            'HTTP_ACCEPT' => 'application/json',
            'CONTENT_TYPE' => 'application/json',
        ];
        $sent = is_callable($body['document'] ?? null) ? $body['document']() : $body;
        $request = Request::create(
            'http://127.0.0.1:8765/api/'.$path,
            $method,
            [],
            [],
            [],
            $server,
            $sent === null ? null : (string) json_encode($sent),
        );
        $began = hrtime(true);
        $response = $kernel->handle($request);
        $took[] = (hrtime(true) - $began) / 1e6;
        $response->isSuccessful() || exit("{$method} {$path}: {$response->getStatusCode()} {$response->getContent()}\n");
        $kernel->terminate($request, $response);
        $app->forgetScopedInstances();
    }
    sort($took);

    return $took[4];
};

$first = (int) DB::table('figures')->where('name', 'like', 'Bobbin%')->value('id');
printf(
    "%-8s %-10s %-9s %-7s %-7s %-7s %-7s %-7s %-8s %-7s\n",
    'figures',
    'revisions',
    'pictures',
    'shelf',
    'last p.',
    'open',
    'save',
    'board',
    'history',
    'MB',
);
/** MB of the store and what waits to be written into it. */
function disk(string $home): float
{
    clearstatcache();

    return array_sum(array_map(filesize(...), glob("{$home}/impa.sqlite*") ?: [])) / 1e6;
}

$measure = static function () use ($median, $first, $decoded, $home): void {
    $pages = (int) ceil(DB::table('figures')->count() / 24);
    $save = static function () use ($first, $decoded): array {
        $decoded->name = 'Saved '.random_int(0, PHP_INT_MAX);

        return ['document' => $decoded, 'revision' => (int) DB::table('figures')->where('id', $first)->value('revision')];
    };
    printf(
        "%-8d %-10d %-9d %-7.1f %-7.1f %-7.1f %-7.1f %-7.1f %-8.1f %-7.0f\n",
        DB::table('figures')->count(),
        DB::table('figure_revisions')->count(),
        DB::table('pictures')->count(),
        $median('GET', 'figures'),
        $median('GET', "figures?page={$pages}"),
        $median('GET', "figures/{$first}"),
        $median('PUT', "figures/{$first}", ['document' => $save]),
        $median('POST', 'board', ['document' => $decoded]),
        $median('GET', "figures/{$first}/revisions"),
        disk($home),
    );
};
$measure();
foreach (array_map(intval(...), array_slice($argv, 1) ?: [2000, 20000]) as $figures) {
    DB::transaction(static function () use ($figures, $document, $first): void {
        $row = (array) DB::table('figures')->where('id', $first)->first();
        unset($row['id']);
        for ($n = DB::table('figures')->count(); $n < $figures; $n++) {
            $id = DB::table('figures')->insertGetId(
                ['uuid' => (string) Str::uuid(), 'name' => "Figure {$n}", 'updated_at' => now()->subMinutes($n)] + $row,
            );
            $revisions = [];
            for ($r = 1; $r <= 10; $r++) {
                $revisions[] = CurrentFelter::own()
                    + ['figure_id' => $id, 'revision' => $r, 'document' => $document, 'created_at' => now()];
            }
            DB::table('figure_revisions')->insert($revisions);
            DB::table('pictures')->insert(
                CurrentFelter::own() + [
                    'hash' => hash('sha256', "{$n}"),
                    'media_type' => 'image/png',
                    'width_px' => 1,
                    'height_px' => 1,
                    'bytes' => 1,
                ],
            );
            DB::table('step_marks')->insert(CurrentFelter::own() + ['figure_id' => $id, 'step' => 'portion', 'created_at' => now()]);
        }
    });
    $measure();
}
exec('rm -rf '.escapeshellarg($home));
