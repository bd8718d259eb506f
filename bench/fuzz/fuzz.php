<?php

declare(strict_types=1);

use App\Accounts\CurrentFelter;
use App\Archive\Outgoing;
use Bench\Fuzz\Mutations;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\StreamedResponse;

// Throws spoilt documents, pictures, requests, archives and tables at Impa, as its own server hands them on, and tells what broke:
//   php bench/fuzz/fuzz.php [--documents=10000] [--pictures=4000] [--requests=4000] [--archives=1000] [--tables=2000] [--seed=1]
// On a store in memory, or on a PostgreSQL that DB_CONNECTION=pgsql and the like name, which has to be empty (both.sh does each in turn).
// Nothing may answer 5xx, take longer than twenty seconds, say NaN, show a trace or a path, or leave half a record. A case that does is
// told with its number and seed, and what was sent lies in the folder that is named at the end.

const SLOW_S = 20;

chdir(dirname(__DIR__, 2));
require 'vendor/autoload.php';
require 'bench/fuzz/Mutations.php';

$said = [];
foreach (array_slice($argv, 1) as $word) {
    preg_match('/^--(\w+)=(\d+)$/D', $word, $m) || exit("fuzz.php does not know {$word}\n");
    $said[$m[1]] = (int) $m[2];
}
$said += ['documents' => 10_000, 'pictures' => 4_000, 'requests' => 4_000, 'archives' => 1_000, 'tables' => 2_000, 'seed' => 1];

$home = sys_get_temp_dir().'/impa-fuzz-'.getmypid();
foreach (['pictures', 'framework/cache/data', 'framework/views', 'framework/sessions', 'logs', 'cases'] as $folder) {
    mkdir("{$home}/{$folder}", 0700, true);
}
$store = getenv('DB_CONNECTION') === 'pgsql' ? [] : ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => ':memory:'];
$environment = $store + [
    'SESSION_DRIVER' => 'array',
    'CACHE_STORE' => 'array',
    'APP_ENV' => 'fuzz',
];
foreach ($environment as $name => $value) {
    putenv("{$name}={$value}");
    $_ENV[$name] = $_SERVER[$name] = $value;
}
$_ENV['APP_KEY'] = $_SERVER['APP_KEY'] = 'base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=';
$app = require 'bootstrap/app.php';
$app->useStoragePath($home);
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
Artisan::call('migrate', ['--force' => true]);
Artisan::call('db:seed', ['--force' => true]);
$kernel = $app->make(Kernel::class);
// As a page asks: with its token.
$app->instance(ValidateCsrfToken::class, new class
{
    public function handle(Request $request, Closure $next): mixed
    {
        return $next($request);
    }
});
$app->alias(ValidateCsrfToken::class, Illuminate\Foundation\Http\Middleware\VerifyCsrfToken::class);

$mutations = new Mutations($said['seed']);
$counts = $statuses = $broken = [];
$slowest = [];
$case = '';
pcntl_async_signals(true);
pcntl_signal(SIGALRM, static function () use (&$case): void {
    throw new RuntimeException("hang: {$case}");
});

/** @return array{int, string} */
$ask = static function (string $kind, string $method, string $address, string $body, string $type) use (
    $app, $kernel, $home, &$counts, &$statuses, &$broken, &$slowest, &$case
): array {
    $case = sprintf('%s %d: %s %s', $kind, $counts[$kind] = ($counts[$kind] ?? 0) + 1, $method, substr($address, 0, 120));
    $server = [
        'HTTP_HOST' => '127.0.0.1:8765',
        'REMOTE_ADDR' => '127.0.0.1',
        'CONTENT_TYPE' => $type,
        'HTTP_ACCEPT' => 'application/json',
        'CONTENT_LENGTH' => (string) strlen($body),
    ];
    $began = microtime(true);
    pcntl_alarm(SLOW_S);
    try {
        $request = Request::create('http://127.0.0.1:8765'.$address, $method, [], [], [], $server, $body);
        $response = $kernel->handle($request);
        if ($response instanceof StreamedResponse) {
            ob_start();
            ob_start(null, 0);
            $response->sendContent();
            ob_end_flush();
            $text = (string) ob_get_clean();
        } else {
            $text = (string) $response->getContent();
        }
        $kernel->terminate($request, $response);
        $status = $response->getStatusCode();
    } catch (Throwable $e) {
        [$status, $text] = [599, $e::class.': '.$e->getMessage()];
    }
    pcntl_alarm(0);
    $app->forgetScopedInstances();
    $seconds = microtime(true) - $began;
    $slowest[$kind] = max($slowest[$kind] ?? 0.0, $seconds);
    $statuses[$kind][$status] = ($statuses[$kind][$status] ?? 0) + 1;
    $isTold = str_contains($text, '"status":5') || preg_match('~#\d+ /|Stack trace|vendor/|core/src/|/app/Http~', $text) === 1;
    // Said of a quantity: a figure may be called so.
    $isNumberless = $status === 200 && preg_match('/\b(NaN|INF|Infinity) (mm|cm|g|min|h|%)/i', $text) === 1;
    if ($status >= 500 || $seconds > SLOW_S || ($status !== 200 && $isTold) || $isNumberless || DB::transactionLevel() > 0) {
        $broken[] = sprintf('%s -> %d %s', $case, $status, substr($text, 0, 300));
        file_put_contents($home.'/cases/'.count($broken).'.bin', $body);
        while (DB::transactionLevel() > 0) {
            DB::rollBack();
        }
    }

    return [$status, $text];
};

$json = static fn (mixed $value): string => (string) json_encode($value, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
$figures = array_map(static fn (string $file): mixed => json_decode((string) file_get_contents($file)), glob('demo/*.impa.json') ?: []);
$asked = [
    'plan' => [], 'board' => [], 'board/turning' => [], 'build' => [], 'balance' => [], 'armature' => ['all' => true], 'flat' => [
        'sheet' => new stdClass,
    ],
    'render' => ['px' => 64], 'face' => ['part' => 'head'], 'face/marks' => [
        'part' => 'head',
        'from' => 'middle',
    ], 'face/laying' => ['part' => 'head'],
    'supply' => ['figure' => 0, 'reserve' => 'usual'], 'schedule' => [
        'sitting' => 90,
        'days' => ['tue'],
        'from' => '2026-12-01',
        'by' => '',
        'at' => '19:00',
    ],
    'size-cards' => ['as' => 'svg'], 'outlines' => [
        'view' => 'side',
    ], 'model' => [], 'things' => [], 'figures' => [], 'edits/mend' => [],
    'flat/pattern' => [
        'part' => 'body',
        'seamMm' => 3,
        'stitch' => 'back',
        'stitchMm' => 2,
        'feltMm' => 1,
        'hollow' => false,
    ], 'build/picture' => ['step' => 'portion'],
    'show' => ['place' => 'jar'], 'mend' => ['sign' => 'soft', 'about' => 'head'], 'sizing' => ['by' => 'height', 'heightMm' => 90],
];
for ($i = 0; $i < $said['documents']; $i++) {
    $path = $mutations->one(array_keys($asked));
    $body = ['document' => $mutations->document($mutations->one($figures))] + $asked[$path];
    if ($mutations->int(0, 9) === 0) {
        $body = $mutations->document((object) $body);
    }
    $before = DB::table('figures')->count();
    [$status] = $ask('documents', 'POST', '/api/'.$path, $json($body), 'application/json');
    $laid = DB::table('figures')->count() - $before;
    if ($laid !== ($path === 'figures' && $status === 201 ? 1 : 0)) {
        $broken[] = "{$case}: half a record";
    }
}

$pictures = array_map(static fn (string $file): string => (string) file_get_contents($file), glob('demo/*.png') ?: []);
foreach (['imagejpeg', 'imagewebp', 'imagegif'] as $write) {
    $image = imagescale(imagecreatefromstring($pictures[0]), 200);
    $write === 'imagegif' && imagetruecolortopalette($image, false, 64);
    ob_start();
    $write($image);
    $pictures[] = (string) ob_get_clean();
}
$pictures[] = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 20 30">'
    .'<g fill="#8a5f9f"><circle cx="10" cy="9" r="8"/><path d="M3 20h14v9z"/></g></svg>';
for ($i = 0; $i < $said['pictures']; $i++) {
    [$status, $text] = $ask('pictures', 'POST', '/api/pictures', $mutations->bytes($mutations->one($pictures)), 'application/octet-stream');
    $id = json_decode($text)->id ?? 0;
    if ($status === 201 && $mutations->int(0, 19) === 0) {
        $ask('seen', 'POST', '/api/breakdown', $json(['picture' => $id, 'heightMm' => 90, 'name' => '']), 'application/json');
    }
}

/** @var list<Route> $routes */
$routes = array_values(array_filter(
    iterator_to_array($app->make('router')->getRoutes()),
    static fn (Route $r): bool => ! str_starts_with($r->uri(), '_') && ! in_array($r->uri(), ['api/archive', 'api/check/camera'], true),
));
for ($i = 0; $i < $said['requests']; $i++) {
    $route = $mutations->one($routes);
    $address = '/'.preg_replace_callback('/\{\w+(:\w+)?\??\}/', static function () use ($mutations): string {
        $odd = $mutations->one(
            ['1', '2', '3', '0', '-1', '99999999999999999999', 'x', '%00', '..%2f..', "\u{1F411}", 'portion', str_repeat('9', 300)],
        );

        return str_contains($odd, '%') ? $odd : rawurlencode($odd);
    }, $route->uri());
    $query = $mutations->int(0, 3) === 0 ? '?'.http_build_query(
        ['page' => $mutations->odd(), 'view' => $mutations->odd(), 'px' => $mutations->odd()],
    ) : '';
    $body = (object) [
        'document' => $mutations->one($figures),
        'part' => 'head',
        'figure' => 1,
        'name' => 'x',
        'revision' => 1,
        'uuid' => 'aaaaaaaa-bbbb',
        'kind' => 'ball',
        'at' => 1,
    ];
    foreach (range(1, 4) as $_) {
        $body->{$mutations->one(
            [
                'picture',
                'grams',
                'hex',
                'text',
                'from',
                'to',
                'step',
                'members',
                'colours',
                'count',
                'act',
                'as',
                'base64',
                'paper',
                'wool',
            ],
        )} = $mutations->odd();
    }
    $raw = $mutations->int(0, 9) === 0 ? $mutations->bytes($json($body)) : $json($mutations->document($body));
    $method = $mutations->int(0, 9) === 0 ? $mutations->one(['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS']) : $route->methods()[0];
    $ask('requests', $method, substr($address.$query, 0, 4000), $raw, 'application/json');
}

$table = implode(
    "\n",
    [
        'name,colour,material,preparation,grams,price',
        'Moss,#446622,wool,tops,20,3.5',
        '"Sky, light",#99ccee,wool,"carded batting","12,5",',
        'Core,,core-wool,core batting,200,9',
    ],
);
for ($i = 0; $i < $said['tables']; $i++) {
    $as = $mutations->one(['csv', 'gpl']);
    $text = $mutations->bytes($as === 'csv' ? $table : "GIMP Palette\nName: a\n#\n 68 102  34\tMoss\n255 0 0\tRed\n");
    $ask(
        'tables',
        'POST',
        '/api/wool-sheet',
        $json(['base64' => base64_encode($text), 'as' => $as, 'apply' => $mutations->int(0, 1) === 1]),
        'application/json',
    );
}

$archive = implode('', iterator_to_array((new Outgoing)->stream(), false));
for ($i = 0; $i < $said['archives']; $i++) {
    $before = DB::table('figures')->count();
    [, $text] = $ask(
        'archives',
        'POST',
        $mutations->one(['/api/archive/preview', '/api/archive?conflict=both', '/api/archive?conflict=replace']),
        $mutations->bytes($archive),
        'application/zip',
    );
    if (str_contains($text, '"problem"') && DB::table('figures')->count() !== $before) {
        $broken[] = "{$case}: half an archive";
    }
}

// Every figure is in its own history, and nothing is nobody's.
$lost = DB::table('figures')->whereNotExists(
    static fn ($q) => $q->from('figure_revisions')->whereColumn('figure_id', 'figures.id')->whereColumn(
        'figure_revisions.revision',
        'figures.revision',
    ),
)->count();
$lost === 0 || $broken[] = "{$lost} figures are not in their own history";
foreach (CurrentFelter::TABLES as $name) {
    DB::table($name)->where('felter_id', 0)->doesntExist() || $broken[] = "rows of {$name} are nobody's";
}

foreach ($counts as $kind => $count) {
    ksort($statuses[$kind]);
    printf("%-10s %6d  slowest %5.2f s  %s\n", $kind, $count, $slowest[$kind], $json($statuses[$kind]));
}
echo $broken === [] ? "nothing broke\n" : count($broken)." broke:\n".implode(
    "\n",
    array_slice($broken, 0, 40),
)."\nwhat was sent: {$home}/cases\n";
$broken === [] && exec('rm -rf '.escapeshellarg($home));
exit($broken === [] ? 0 : 1);
