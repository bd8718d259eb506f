<?php

declare(strict_types=1);

namespace Tests\Feature\TwoFelters;

use App\Accounts\CurrentFelter;
use App\Archive\Outgoing;
use App\Models\Felter;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Impa\Hand\Hand;
use Impa\Print\Share\Booklet;
use Impa\Print\Share\Credit;
use Impa\Tests\Support\Figures;
use Tests\Support\Belongings;

/**
 * Two felters with rows in every table. Whatever the one asks, on every route and by every command, with everything of the other's and
 * with nothing, the other's rows stay byte for byte what they were. A table, a route or a command that stands in no list here fails.
 */

/** Tables that are nobody's: whose a row is, is not asked there. */
const SHARED = ['felters', 'migrations', 'sessions', 'password_links', 'jobs', 'failed_jobs', 'sqlite_sequence'];

/** Routes that only reckon, on the document they are sent, and those that only show. */
const RECKONING = [
    'POST api/agreement', 'POST api/armature', 'POST api/armature/bend', 'POST api/armature/draw', 'POST api/armature/lay',
    'POST api/balance', 'POST api/balance/try', 'POST api/board', 'POST api/board/turning', 'POST api/breakdown/glance', 'POST api/build',
    'POST api/build/paper', 'POST api/build/picture', 'POST api/build/pull', 'POST api/build/school', 'POST api/check/follow',
    'POST api/check/marker', 'POST api/face', 'POST api/face/advice', 'POST api/face/afar', 'POST api/face/between', 'POST api/face/copy',
    'POST api/face/keep', 'POST api/face/laying', 'POST api/face/marks', 'POST api/face/needles-eye', 'POST api/face/pieces',
    'POST api/face/sheets', 'POST api/figures/{figure}/booklet', 'POST api/figures/{figure}/card', 'POST api/flat', 'POST api/flat/pattern',
    'POST api/flat/pattern/sheet', 'POST api/flat/templates', 'POST api/help/next', 'POST api/kit',
    'POST api/kit/labels', 'POST api/kit/sheet', 'POST api/mend',
    'POST api/model', 'POST api/number', 'POST api/outlines', 'POST api/plan', 'POST api/ramp', 'POST api/recipes', 'POST api/render',
    'POST api/schedule', 'POST api/schedule/calendar', 'POST api/set/colourways', 'POST api/set/picture', 'POST api/set/plan',
    'POST api/set/shopping', 'POST api/set/sittings', 'POST api/show', 'POST api/side-view', 'POST api/size-cards', 'POST api/sizing',
    'POST api/supply', 'POST api/supply/portions', 'POST api/supply/shopping', 'POST api/supply/split', 'POST api/things',
    'POST api/things/taken', 'POST api/wool-colour', 'POST api/archive/preview',
    'POST api/edits/add', 'POST api/edits/axis', 'POST api/edits/depth',
    'POST api/edits/double', 'POST api/edits/fasten', 'POST api/edits/forwards',
    'POST api/edits/gather', 'POST api/edits/height', 'POST api/edits/lasso', 'POST api/edits/mend', 'POST api/edits/merge',
    'POST api/edits/paint', 'POST api/edits/part-pair', 'POST api/edits/put', 'POST api/edits/remove', 'POST api/edits/resize',
    'POST api/edits/round', 'POST api/edits/split', 'POST api/edits/take-surer', 'POST api/edits/to-detail', 'POST api/edits/to-part',
    'POST api/edits/together',
    'POST api/edits/twin', 'POST api/edits/wire-point',
];

const SHOWING = [
    'GET /', 'GET api/archive', 'GET api/bin', 'GET api/breakdown/{breakdown}', 'GET api/catalogue', 'GET api/copies', 'GET api/devices',
    'GET api/face/pieces', 'GET api/figures', 'GET api/figures/{figure}', 'GET api/figures/{figure}/closing',
    'GET api/figures/{figure}/links',
    'GET api/figures/{figure}/log', 'GET api/figures/{figure}/parts', 'GET api/figures/{figure}/photos', 'GET api/figures/{figure}/render',
    'GET api/figures/{figure}/revisions', 'GET api/figures/{figure}/revisions/{revision}', 'GET api/figures/{figure}/steps',
    'GET api/figures/{figure}/wool', 'GET api/hand', 'GET api/help', 'GET api/help/search',
    'GET api/mend', 'GET api/needles', 'GET api/pictures/by-hash/{hash}',
    'GET api/pictures/{picture}', 'GET api/pictures/{picture}/sheet', 'GET api/place', 'GET api/session', 'GET api/sets',
    'GET api/sets/{set}', 'GET api/trade', 'GET api/wools', 'GET api/wools.csv', 'GET api/wools.gpl', 'GET bin',
    'GET figures/{figure}/{station?}', 'GET hand', 'GET health', 'GET house', 'GET impa-authority.crt', 'GET metrics', 'GET pair',
    'GET password', 'GET sets/{set}', 'GET shared/{token}', 'GET shared/{token}/figure.impa.json', 'GET shared/{token}/picture.png',
    'GET sign-in', 'GET stash',
];

/** Those to which somebody else's link is the way in: when it was last followed is noted with whose it is, and nothing else. */
const LINKS = ['GET shared/{token}', 'GET shared/{token}/figure.impa.json', 'GET shared/{token}/picture.png'];

/** Not answered on a server, or not to who is signed in: what they do is tested where it is done. */
const CLOSED = ['POST api/copies', 'POST api/devices/code', 'POST api/pair', 'POST api/password', 'PUT api/password', 'POST api/session'];

/**
 * Routes that write, each with a body that is good where what it names is one's own.
 *
 * @param  array<string, int|string>  $of  what it names
 * @return array<string, array<string, mixed>|string> a body by route; a text is sent as it is
 */
function writing(array $of): array
{
    $document = Belongings::document('a');
    $uuid = 'new-'.bin2hex(random_bytes(6));
    $member = ['figure' => $of['figure'], 'name' => 'One', 'count' => 1];
    $wool = ['name' => 'New '.$uuid, 'hex' => '#446622', 'preparation' => 'carded batting', 'gramsLeft' => 5];
    $ms = (int) (microtime(true) * 1000);
    $measured = ['widthMm' => 52, 'heightMm' => 46, 'depthMm' => 48, 'grams' => 9];
    $kept = ['document' => $document, 'part' => 'head', 'uuid' => $uuid, 'keep' => true, 'sure' => true,
        'instead' => $of['uuid']];
    $csv = base64_encode("name,colour,material,preparation,grams\nMoss of bo,#123456,wool,carded batting,1\n");

    return [
        'POST api/archive' => '',
        'DELETE api/bin' => [],
        'POST api/bin/{figure}/restore' => [],
        'POST api/booklets' => json_encode(
            Booklet::document(Figures::read($document), Credit::of('mine', 'Ada', '')),
            JSON_THROW_ON_ERROR,
        ),
        'POST api/breakdown' => ['picture' => $of['picture'], 'heightMm' => 90],
        'DELETE api/breakdown/{breakdown}' => [],
        'POST api/check/camera' => ['document' => $document, 'px' => 300],
        'DELETE api/devices/{device}' => [],
        'POST api/figures' => ['document' => $document, 'picture' => $of['picture']],
        'DELETE api/figures/{figure}' => [],
        'PUT api/figures/{figure}' => ['document' => $document, 'revision' => 1],
        'POST api/figures/{figure}/branch' => ['name' => 'A branch'],
        'PUT api/figures/{figure}/closing' => ['next' => 'Smaller'],
        'PUT api/figures/{figure}/closing/{kind}' => ['done' => true],
        'POST api/figures/{figure}/links' => [],
        'DELETE api/figures/{figure}/links/{link}' => [],
        'POST api/figures/{figure}/log' => ['uuid' => $uuid, 'kind' => 'photo', 'picture' => $of['picture'], 'at' => $ms],
        'POST api/figures/{figure}/log/time' => ['step' => 'core:head', 'from' => $ms - 60_000, 'to' => $ms],
        'DELETE api/figures/{figure}/log/{entry}' => [],
        'POST api/figures/{figure}/mends' => ['uuid' => $uuid, 'text' => 'Filled', 'mg' => 20, 'colour' => 'teal'],
        'POST api/figures/{figure}/parts' => $kept + $measured,
        'DELETE api/figures/{figure}/parts/{uuid}' => [],
        'POST api/figures/{figure}/photos' => ['document' => $document, 'picture' => $of['picture']],
        'DELETE api/figures/{figure}/photos/{photo}' => [],
        'PUT api/figures/{figure}/present' => ['step' => 'core:head'],
        'DELETE api/figures/{figure}/steps/{step}' => [],
        'PUT api/figures/{figure}/steps/{step}' => [],
        'DELETE api/figures/{figure}/wool' => [],
        'PUT api/figures/{figure}/wool' => [],
        'POST api/figures/{figure}/wool/finish' => ['used' => [(string) $of['wool'] => 1.5]],
        'POST api/hand' => ['kind' => 'ball', 'firmness' => 'springy', 'what' => 'A ball', 'uuid' => $uuid, 'sure' => true] + $measured,
        'POST api/hand/over' => [],
        'DELETE api/hand/{record}' => [],
        'PUT api/hand/{record}' => ['aside' => true],
        'PUT api/needles' => ['box' => [['gauge' => 36, 'kind' => 'triangle', 'left' => 3]]],
        'PUT api/password/own' => ['old' => 'four balls of grey wool', 'password' => 'six skeins of brown yarn'],
        'POST api/pictures' => (string) file_get_contents(base_path('demo/bobbin.png')),
        'POST api/pictures/{picture}/sheet' => ['corners' => [[0.1, 0.1], [0.9, 0.1], [0.9, 0.9], [0.1, 0.9]]],
        'PUT api/place' => ['page' => "/figures/{$of['figure']}/wool"],
        'DELETE api/session' => ['everywhere' => true],
        'POST api/sets' => ['name' => 'A set', 'members' => [$member]],
        'DELETE api/sets/{set}' => [],
        'PUT api/sets/{set}' => ['name' => 'Changed', 'revision' => 1, 'members' => [$member]],
        'DELETE api/sets/{set}/aside' => [],
        'PUT api/sets/{set}/aside' => [],
        'POST api/swatches' => ['percent' => [(string) $of['wool'] => 40, (string) $of['yarn'] => 60], 'hex' => '#445566'],
        'DELETE api/swatches/{swatch}' => [],
        'POST api/wool-sheet' => ['base64' => $csv, 'as' => 'csv', 'apply' => true],
        'POST api/wools' => $wool,
        'DELETE api/wools/{wool}' => [],
        'PUT api/wools/{wool}' => $wool,
        'POST api/wools/{wool}/restore' => [],
        'POST api/wools/{wool}/weighings' => ['grams' => 3],
    ];
}

/** @return array<string, string> the address to ask by route, with what it names filled in */
function addresses(array $of): array
{
    $addresses = [];
    foreach (Route::getRoutes() as $route) {
        /** @var OneRoute $route */
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $name = $method.' '.$route->uri();
            $with = ($name === 'POST api/bin/{figure}/restore' ? ['figure' => $of['binned']] : [])
                + ($name === 'POST api/figures/{figure}/wool/finish' ? ['figure' => $of['figure']] : []) + $of;
            $addresses[$name] = '/'.ltrim((string) preg_replace_callback(
                '/\{(\w+)(:\w+)?\??\}/',
                static fn (array $m): string => (string) $with[$m[1]],
                $route->uri(),
            ), '/');
        }
    }

    return $addresses;
}

/** What is asked is taken back, so that each is asked of the same store; how the other's rows stand after it is told. */
function afterwards(\Closure $ask, Felter $other): array
{
    DB::beginTransaction();
    try {
        return [$ask(), Belongings::rows($other->id), Storage::disk('pictures')->allFiles()];
    } finally {
        DB::rollBack();
    }
}

beforeEach(function () {
    config(['impa.accounts' => true]);
    $password = 'four balls of grey wool';
    $this->ada = Felter::query()->create(['name' => 'Ada', 'email' => 'ada@example.org', 'password' => $password]);
    $this->bo = Felter::query()->create(['name' => 'Bo', 'email' => 'bo@example.org', 'password' => $password]);
    $this->adas = Belongings::of($this->ada, 'ada');
    $this->bos = Belongings::of($this->bo, 'bo');
    $this->before = Belongings::rows($this->bo->id);
    $this->files = Storage::disk('pictures')->allFiles();
    $this->actingAs($this->ada);
    $at = fn (string $path, string $member = 'revision') => $this->getJson('/api/'.$path)->json($member);
    // Under which revision Ada sees what is hers.
    $this->seen = [
        'PUT api/wools/{wool}' => array_column($at('wools', 'wools'), 'revision', 'id')[$this->adas['wool']],
        'PUT api/needles' => $at('needles'),
        'PUT api/hand/{record}' => $at('hand'),
        'PUT api/figures/{figure}/closing' => $at("figures/{$this->adas['figure']}/closing"),
        'PUT api/figures/{figure}/wool' => $at("figures/{$this->adas['figure']}/wool"),
        'PUT api/sets/{set}/aside' => $at("sets/{$this->adas['set']}", 'asideRevision'),
    ];
    $this->actingAs($this->ada);
    // No cookie is asked for in tests, and none is needed to ask as Ada again and again.
    $this->ask = function (string $name, string $address, mixed $body) {
        app('auth')->forgetGuards();
        app()->forgetInstance(Hand::class);
        $this->actingAs($this->ada->fresh());
        $headers = ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'];
        $seen = $this->seen[$name] ?? null;
        $body = is_array($body) && $seen !== null ? ['revision' => $seen] + $body : $body;
        $sent = is_string($body) ? $body : json_encode((object) $body, JSON_THROW_ON_ERROR);
        $answer = $this->call(explode(' ', $name)[0], $address, [], [], [], $headers, $sent);
        // What is streamed is done while it is read.
        $answer->baseResponse instanceof \Symfony\Component\HttpFoundation\StreamedResponse && $answer->streamedContent();

        return $answer;
    };
    // The archive is Ada's own, so that it can be taken in.
    $all = static fn (): string => implode('', iterator_to_array((new Outgoing)->stream(), false));
    $this->archive = CurrentFelter::being($this->ada->id, $all);
});

it('finds a row of each of the two in every table, and knows every table that is nobody\'s', function () {
    $tables = array_diff(array_column(Schema::getTables(), 'name'), SHARED);
    expect(Belongings::tables())->toEqualCanonicalizing($tables);
    foreach (Belongings::tables() as $table) {
        foreach ([$this->ada, $this->bo] as $felter) {
            expect(DB::table($table)->where('felter_id', $felter->id)->exists())->toBeTrue("{$felter->name} has nothing in {$table}");
        }
    }
});

it('knows every route', function () {
    $known = [...RECKONING, ...SHOWING, ...CLOSED, ...array_keys(writing($this->adas))];
    expect($known)->toEqualCanonicalizing(array_keys(addresses($this->adas)));
});

it('leaves the other\'s rows as they were on every route, with all that is theirs and with none of it', function () {
    $none = static fn (int|string $v): int|string => is_int($v) ? 999_999_999 : (string) preg_replace('/[0-9a-f]/', '0', $v);
    $nothing = array_map($none, $this->bos);
    $nothing = ['record' => 'part:999999999', 'station' => 'wool', 'kind' => 'trim', 'revision' => 1, 'step' => 'core:head'] + $nothing;
    // In the address and in the body: theirs, nothing's, and each mixed with one's own.
    $ways = [
        'theirs' => [$this->bos, $this->bos],
        'one\'s own, and theirs in the body' => [$this->adas, $this->bos],
        'theirs, and one\'s own in the body' => [$this->bos, $this->adas],
        'nothing\'s' => [$nothing, $nothing],
        'one\'s own' => [$this->adas, $this->adas],
    ];
    $reckoning = ['document' => Belongings::document('a'), 'figure' => $this->bos['figure'], 'picture' => $this->bos['picture'],
        'part' => 'head', 'from' => $this->bos['figure'], 'fromPart' => 'head', 'name' => 'x', 'id' => $this->bos['set'],
        'member' => ['figure' => $this->bos['figure'], 'count' => 1], 'members' => [['figure' => $this->bos['figure'], 'count' => 1]]];
    $seen = static fn (string $row): string => (string) preg_replace('/"seen_at":[^,}]*/', '', $row);
    $asks = '/\{(figure|picture|wool|swatch|set|device|breakdown)\}/';
    foreach ($ways as $way => [$inAddress, $inBody]) {
        foreach (addresses($inAddress) as $name => $address) {
            $bodies = writing($inBody);
            $isNamed = str_contains($name, '{');
            $isOnce = in_array($name, RECKONING, true);
            if ((! in_array($way, ['theirs', 'one\'s own'], true) && ! $isNamed) || ($way !== 'theirs' && $isOnce)) {
                continue;
            }
            $body = $name === 'POST api/archive' ? $this->archive : $bodies[$name] ?? $reckoning;
            // A thing thrown away is brought back.
            if ($name === 'POST api/wools/{wool}/restore') {
                DB::table('wools')->where('id', $inAddress['wool'])->where('felter_id', $this->ada->id)->update(['deleted_at' => now()]);
            }
            [$answer, $rows, $files] = afterwards(fn () => ($this->ask)($name, $address, $body), $this->bo);
            DB::table('wools')->where('felter_id', $this->ada->id)->update(['deleted_at' => null]);
            expect($answer->getStatusCode())->toBeLessThan(500, "{$name}, {$way}");
            $was = $this->before;
            if (in_array($name, LINKS, true)) {
                $was['shared_links'] = $seen($was['shared_links']);
                $rows['shared_links'] = $seen($rows['shared_links']);
            }
            expect($rows)->toEqual($was, "{$name}, {$way}")
                ->and(array_diff($this->files, $files))->not->toContain($this->bos['hash']);
            // What is one's own is done: else nothing of all this would have been tried.
            if ($way === 'one\'s own' && isset($bodies[$name])) {
                expect($answer->getStatusCode())->toBeLessThan(300, $name.': '.$answer->getContent());
            } elseif (str_starts_with($way, 'theirs') && preg_match($asks, $name) === 1) {
                expect($answer->getStatusCode())->toBe(404, "{$name}, {$way}");
            }
        }
    }
})->group('dear');

it('writes nothing of one\'s own where something is only shown, or reckoned', function () {
    $own = Belongings::rows($this->ada->id);
    $reckoning = ['document' => Belongings::document('a'), 'figure' => $this->adas['figure'], 'part' => 'head'];
    foreach (array_diff([...SHOWING, ...RECKONING], LINKS) as $name) {
        $before = DB::transactionLevel();
        DB::beginTransaction();
        $answer = ($this->ask)($name, addresses($this->adas)[$name], str_starts_with($name, 'POST') ? $reckoning : []);
        expect($answer->getStatusCode())->toBeLessThan(500, $name)->and(Belongings::rows($this->ada->id))->toEqual($own, $name);
        DB::rollBack($before);
    }
});

it('answers in words whatever number or text stands in any member that is written, and whatever number in the address', function () {
    // Beyond two, four and eight bytes; what a store may cut a text at; bytes that are no letter of any alphabet.
    $odd = [40_000, 2_147_483_648, PHP_INT_MAX, -1, "a\0b", "\u{ffff}", str_repeat('x', 70_000)];
    $count = 0;
    $ask = function (string $name, string $address, array $body) {
        $level = DB::transactionLevel();
        DB::beginTransaction();
        $answer = ($this->ask)($name, $address, $body);
        DB::rollBack($level);
        expect($answer->getStatusCode())->toBeLessThan(500, $name.' '.substr((string) json_encode($body), 0, 300).$answer->getContent());
    };
    foreach (writing($this->adas) as $name => $body) {
        $address = addresses($this->adas)[$name];
        foreach (is_array($body) ? array_keys($body) : [] as $member) {
            foreach ($odd as $value) {
                if ($member !== 'document') {
                    $count++;
                    $ask($name, $address, [$member => $value] + $body);
                }
            }
        }
        foreach (['2147483648', '9223372036854775807', '9223372036854775808', '99999999999999999999'] as $number) {
            if (preg_match('/\{(figure|picture|wool|swatch|set|device|link|photo)\}/', $name, $named) === 1) {
                $ask($name, addresses([$named[1] => $number] + $this->adas)[$name], is_array($body) ? $body : []);
            }
        }
    }
    expect($count)->toBeGreaterThan(400);
})->group('dear');

it('leaves the other\'s rows as they were by every command', function () {
    $home = sys_get_temp_dir().'/impa-two-'.bin2hex(random_bytes(6));
    mkdir($home.'/framework', 0750, true);
    app()->useStoragePath($home);
    [$zip, $figure, $png] = ["{$home}/all.zip", base_path('demo/bobbin.impa.json'), base_path('demo/bobbin.png')];
    file_put_contents($zip, $this->archive);
    $felter = ['--felter' => 'ada@example.org'];
    $ofFiles = static fn (array $more = []): array => ['figure' => $figure] + $more;
    $commands = [
        'impa:number' => $ofFiles(['number' => 'total']),
        'impa:armature' => $ofFiles(), 'impa:balance' => $ofFiles(), 'impa:booklet' => $ofFiles(), 'impa:camera' => $ofFiles(),
        'impa:cards' => $ofFiles(), 'impa:check' => $ofFiles(), 'impa:face' => $ofFiles(), 'impa:flat' => $ofFiles(),
        'impa:kit' => $ofFiles(), 'impa:model' => $ofFiles(),
        'impa:plan' => $ofFiles(), 'impa:render' => $ofFiles(), 'impa:schedule' => $ofFiles(),
        'impa:steps' => $ofFiles(), 'impa:wool' => $ofFiles(), 'impa:photo-check' => $ofFiles(['photo' => $png]),
        'impa:blend' => ['colour' => '#2f8f86'], 'impa:breakdown' => ['picture' => $png], 'impa:hand' => ['records' => $figure],
        'impa:set' => ['set' => $figure], 'impa:straighten' => ['photo' => $png], 'impa:share' => ['hosts' => ['127.0.0.1']],
        'impa:copy' => [], 'impa:restore' => [], 'impa:demo' => [], 'impa:doctor' => ['--mend' => true],
        'impa:pack' => ['out' => "{$home}/out.zip"] + $felter,
        'impa:unpack' => ['archive' => $zip, '--conflict' => 'replace'] + $felter,
        'impa:felter' => ['do' => 'remove', 'email' => 'ada@example.org', '--yes' => true],
        'db:seed' => ['--force' => true],
    ];
    $ours = array_filter(array_keys(Artisan::all()), static fn (string $name): bool => str_starts_with($name, 'impa:'));
    expect(array_keys($commands))->toEqualCanonicalizing([...$ours, 'db:seed']);
    // Nobody is signed in on the console.
    app('auth')->forgetGuards();
    foreach ($commands as $name => $words) {
        [$exit, $rows] = afterwards(static fn (): int => Artisan::call($name, $words), $this->bo);
        expect($rows)->toEqual($this->before, $name)->and($exit)->toBeLessThanOrEqual(2);
        in_array($name, ['impa:felter', 'impa:pack', 'impa:unpack'], true) && expect($exit)->toBe(0, $name.Artisan::output());
        $name === 'impa:demo' && expect($exit)->toBe(2);
    }
    foreach (Belongings::tables() as $table) {
        expect(DB::table($table)->where('felter_id', 0)->count())->toBe(0, "{$table} has rows of nobody");
    }
    (new \Illuminate\Filesystem\Filesystem)->deleteDirectory($home);
});
