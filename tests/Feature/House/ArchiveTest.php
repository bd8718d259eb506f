<?php

declare(strict_types=1);

use App\Accounts\CurrentFelter;
use App\Archive\ArchiveRefused;
use App\Archive\Conflict;
use App\Archive\Incoming;
use App\Archive\Outgoing;
use App\Archive\ZipStream;
use App\Hand\Profile;
use App\Models\Figure;
use App\Models\Picture;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Impa\Figure\Figure as FigureDocument;

function archived(): string
{
    return implode('', iterator_to_array((new Outgoing)->stream(), false));
}

function archiveFile(string $bytes): string
{
    $path = (string) tempnam(sys_get_temp_dir(), 'impa-archive-');
    file_put_contents($path, $bytes);

    return $path;
}

/** Another machine: nothing of anybody's is there. */
function emptyStore(): void
{
    foreach (array_reverse(CurrentFelter::TABLES) as $table) {
        DB::table($table)->delete();
    }
    Storage::fake('pictures');
}

/** The demo with a photo, a note, a needle box, a mix, a weighing, something in the bin and something taken out of the hand. */
function livedIn(): void
{
    Artisan::call('db:seed', ['--force' => true]);
    $id = (int) Figure::query()->where('name', 'like', 'Wick%')->value('id');
    $photo = test()->sendFile(demoPicture('lanto'))->json('id');
    test()->postJson(
        "/api/figures/{$id}/log",
        ['uuid' => 'note-0001', 'kind' => 'photo', 'text' => 'Grün, "so"', 'step' => '', 'at' => 5, 'picture' => $photo],
    );
    test()->putSeen('/api/needles', ['box' => [['gauge' => 38, 'kind' => 'triangle', 'left' => 3]]])->assertOk();
    $wools = DB::table('wools')->limit(2)->pluck('id')->all();
    test()->postJson("/api/wools/{$wools[0]}/weighings", ['grams' => 12.34])->assertCreated();
    test()->postJson('/api/swatches', ['percent' => [$wools[0] => 60, $wools[1] => 40], 'hex' => '#7a5533'])->assertCreated();
    foreach (test()->getJson('/api/hand')->json('observations') as $i => $observation) {
        $i % 7 === 0 && test()->putSeen("/api/hand/{$observation['id']}", ['aside' => true])->assertOk();
    }
    test()->deleteJson('/api/figures/'.Figure::query()->where('name', 'like', 'Sorrel%')->value('id'))->assertNoContent();
    $found = '{"view":"front","found":[],"empty":{},"whole":1.0,"small":0.1}';
    DB::table('photo_checks')->insert(
        CurrentFelter::own() + ['figure_id' => $id, 'picture_id' => $photo, 'view' => 'front', 'found' => $found, 'at' => 7],
    );
    test()->putSeen('/api/sets/'.DB::table('figure_sets')->value('id').'/aside', ['reserve' => 'never'])->assertOk();
    $done = Figure::query()->where('name', 'like', 'Lanto%')->value('id');
    test()->postJson("/api/figures/{$done}/wool/finish", ['asPlanned' => true])->assertCreated();
}

/**
 * The files of its archive, made once for a run; the store is empty afterwards.
 *
 * @return array<string, string> by name
 */
function livedInFiles(): array
{
    static $files = [];
    if ($files === []) {
        livedIn();
        $files = iterator_to_array((new Outgoing)->entries());
        emptyStore();
    }

    return $files;
}

it('is whole again on another machine, bit by bit, and taken in twice changes nothing', function () {
    livedIn();
    $there = archived();
    $path = archiveFile($there);
    $count = static fn (): array => array_map(
        static fn (string $t): int => DB::table($t)->count(),
        array_combine(CurrentFelter::TABLES, CurrentFelter::TABLES),
    );
    $before = $count();
    expect(array_filter($before, static fn (int $n): bool => $n === 0))->toBe([]);
    emptyStore();
    $preview = Incoming::of($path)->preview();
    expect(array_unique(array_column($preview['figures'], 'state')))->toBe(['new'])->and($preview['wools']['new'])->toBe($before['wools']);
    // Over HTTP, line by line, as the screen does.
    $lines = explode("\n", trim($this->call('POST', '/api/archive', content: $there)->assertOk()->streamedContent()));
    expect(json_decode((string) end($lines), true))->toBe(['taken' => $before['figures'], 'same' => 0, 'kept' => 0, 'refused' => 0])
        ->and(json_decode($lines[0], true))->toHaveKeys(['doing', 'share']);
    expect($count())->toBe($before)->and(hash('sha256', archived()))->toBe(hash('sha256', $there));
    $again = Incoming::of($path)->preview();
    expect(array_unique(array_column($again['figures'], 'state')))->toBe(['same'])
        ->and($again['wools'])->toBe(['new' => 0, 'same' => $before['wools'], 'conflict' => 0])->and($again['sets']['same'])->toBe(1);
    expect(Artisan::call('impa:unpack', ['archive' => $path, '--conflict' => 'replace']))->toBe(0)
        ->and($count())->toBe($before)->and(archived())->toBe($there);
});

it('is a ZIP that other programs read, with a README, JSON, the pictures as they are and the stash as a table', function () {
    livedIn();
    $path = archiveFile(archived());
    exec('unzip -tq '.escapeshellarg($path).' 2>&1', $said, $exit);
    expect([$exit, implode('', $said)])->toBe([0, "No errors detected in compressed data of {$path}."]);
    $zip = new ZipArchive;
    $zip->open($path, ZipArchive::CHECKCONS);
    $names = array_map(static fn (int $i): string => (string) $zip->getNameIndex($i), range(0, $zip->numFiles - 1));
    expect($names)->toContain('README.txt', 'stash.csv', 'hand.json', 'manifest.json');
    $picture = Picture::query()->firstOrFail();
    expect($zip->getFromName("pictures/{$picture->hash}.png"))->toBe($picture->bytes())
        ->and($zip->getFromName('stash.csv'))->toBe((string) $this->get('/api/wools.csv')->getContent());
    foreach (preg_grep('/\.json$/', $names) as $name) {
        expect(isJson((string) $zip->getFromName($name)))->toBeTrue($name);
    }
    holdAgainst('figure', (string) $zip->getFromName((string) current(preg_grep('~/figure\.json$~', $names))));
})->group('dear');

function isJson(string $json): bool
{
    return json_decode($json) !== null && json_last_error() === JSON_ERROR_NONE;
}

it('streams: of a large archive only one file is in memory at a time', function () {
    $id = lay();
    // 300 revisions of 200 kB: 60 MB.
    $big = json_encode(['padding' => str_repeat('wool', 50_000)] + demoFigure());
    for ($i = 2; $i < 302; $i++) {
        DB::table('figure_revisions')->insert(
            CurrentFelter::own() + ['figure_id' => $id, 'revision' => $i, 'document' => $big, 'created_at' => now()],
        );
    }
    // Asked for row by row, as a server does; the database's own page is not counted.
    $most = 0;
    $before = memory_get_usage();
    foreach ((new Outgoing)->stream() as $bytes) {
        $most = max($most, memory_get_usage() - $before);
    }
    expect($most)->toBeLessThan(8_000_000);
})->group('dear');

describe('where something is here already, and otherwise', function () {
    beforeEach(function () {
        $this->id = lay();
        $this->path = archiveFile(archived());
        $this->putJson("/api/figures/{$this->id}", ['document' => ['name' => 'Changed here'] + demoFigure(), 'revision' => 1])->assertOk();
    });

    it('says so, and keeps what is here', function () {
        expect(Incoming::of($this->path)->preview()['figures'][0]['state'])->toBe('conflict');
        Artisan::call('impa:unpack', ['archive' => $this->path]);
        expect(Artisan::output())->toContain('0 figures taken in, 0 the same, 1 kept')
            ->and(Figure::query()->pluck('name')->all())->toBe(['Changed here']);
    });

    it('puts the archive\'s in its place, under its own number', function () {
        Artisan::call('impa:unpack', ['archive' => $this->path, '--conflict' => 'replace']);
        expect(Figure::query()->get(['id', 'name', 'revision'])->toArray())->toEqual(
            [['id' => $this->id, 'name' => 'Bobbin, night watch', 'revision' => 1]],
        )
            ->and(DB::table('figure_revisions')->count())->toBe(1)
            ->and(Incoming::of($this->path)->preview()['figures'][0]['state'])->toBe('same');
    });

    it('lays it beside, under a name of its own; said of one figure alone, it is done with that one', function () {
        $uuid = Figure::query()->value('uuid');
        $each = rawurlencode((string) json_encode([$uuid => 'both']));
        $this->call(
            'POST',
            "/api/archive?conflict=keep&each={$each}",
            content: (string) file_get_contents($this->path),
        )->assertOk()->streamedContent();
        expect(Figure::query()->orderBy('id')->pluck('name')->all())->toBe(['Changed here', 'Bobbin, night watch'])
            ->and(Figure::query()->distinct()->count('uuid'))->toBe(2);
    });
});

it('takes a wool for the one of the same name that is here', function () {
    $this->postJson('/api/wools', ['name' => 'Moss', 'hex' => '#446622', 'material' => 'wool', 'preparation' => 'tops', 'gramsLeft' => 20])
        ->assertCreated();
    $path = archiveFile(archived());
    DB::table('wools')->update(['uuid' => '00000000-0000-4000-8000-000000000000', 'grams_left' => 7]);
    Artisan::call('impa:unpack', ['archive' => $path, '--conflict' => 'replace']);
    expect(DB::table('wools')->pluck('grams_left', 'name')->all())->toEqual(['Moss' => 7.0]);
});

it('holds what is the felter\'s own, and nothing of another one\'s', function () {
    $other = 77;
    lay('sorrel');
    CurrentFelter::being($other, static fn () => lay('wick'));
    // The files themselves: packed, no name could be read.
    $named = static fn (): array => array_map(
        static fn (string $name): bool => str_contains(implode('', iterator_to_array((new Outgoing)->entries())), $name),
        ['Sorrel', 'Wick'],
    );
    expect($named())->toBe([true, false])->and(CurrentFelter::being($other, $named))->toBe([false, true]);
});

describe('a bad archive is refused in words, and nothing of it is taken in', function () {
    $zipped = static function (array $files): string {
        $zip = new ZipStream;
        $bytes = '';
        foreach ($files as $name => $content) {
            $bytes .= $zip->entry($name, $content);
        }

        return $bytes.$zip->end();
    };
    $manifest = static fn (array $files, array $more = []): array => $files + ['manifest.json' => (string) json_encode($more + [
        'format' => 'impa-archive',
        'version' => 1,
        'files' => array_map(static fn (string $b): string => hash('sha256', $b), $files),
    ])];

    it('says what is wrong', function (Closure $make, string $why) {
        lay();
        $before = DB::table('figures')->get()->toJson();
        $bytes = $make(archived());
        $this->call('POST', '/api/archive/preview', content: $bytes)->assertStatus(422)->assertJsonPath(
            'detail',
            fn (string $d): bool => str_contains($d, $why),
        );
        $lines = explode("\n", trim($this->call('POST', '/api/archive?conflict=replace', content: $bytes)->streamedContent()));
        expect(json_decode((string) end($lines), true)['problem']['detail'])->toContain($why)->not->toContain('Exception')
            ->and(DB::table('figures')->get()->toJson())->toBe($before)->and(glob(storage_path('framework/in-*')))->toBe([]);
    })->with([
        'empty' => [static fn (): string => '', 'no ZIP file'],
        'cut in the middle' => [static fn (string $whole): string => substr($whole, 0, intdiv(strlen($whole), 2)), 'cut off'],
        'its end cut' => [static fn (string $whole): string => substr($whole, 0, -1), 'cut off'],
        'a picture' => [static fn (): string => demoPicture(), 'no ZIP file'],
        'a ZIP of something else' => [static fn (): string => $zipped(['README.txt' => 'hello']), 'no manifest'],
        'a path that climbs out' => [static fn (): string => $zipped($manifest(['../../etc/passwd' => 'x'])), 'nothing that Impa packs'],
        'a path from the root' => [static fn (): string => $zipped($manifest(['/etc/passwd' => 'x'])), 'nothing that Impa packs'],
        'a path with backslashes' => [static fn (): string => $zipped($manifest(['..\\x' => 'x'])), 'nothing that Impa packs'],
        'a newer version' => [static fn (): string => $zipped($manifest([], ['version' => 2])), 'newer Impa'],
        'a file its manifest does not name' => [
            static fn (): string => $zipped($manifest(['README.txt' => 'x']) + ['stash.csv' => 'x']), 'not whole',
        ],
        'a file that is missing' => [
            static fn (): string => $zipped(
                array_diff_key($manifest(['README.txt' => 'x', 'stash.csv' => 'x']), ['stash.csv' => 1]),
            ), 'not whole',
        ],
        'a file that is changed' => [
            static fn (): string => $zipped(
                ['stash.json' => '{"wools":[]}'] + $manifest(['stash.json' => '{}', 'hand.json' => '{}']),
            ), 'damaged',
        ],
        'a file that cannot be inflated' => [
            static function () use ($zipped, $manifest): string {
                $files = ['stash.json' => '{}', 'hand.json' => str_repeat('{"a":1}', 99), 'needles.json' => '[]'];
                $whole = $zipped($manifest($files));
                $at = (int) strpos($whole, 'hand.json') + strlen('hand.json');

                return substr_replace($whole, str_repeat("\xFF", 8), $at, 8);
            }, 'damaged',
        ],
        'a file twice' => [
            static function (): string {
                $zip = new ZipStream;

                return $zip->entry('README.txt', 'a').$zip->entry('README.txt', 'b').$zip->end();
            }, 'nothing that Impa packs',
        ],
        'figures that are no JSON' => [
            static fn (): string => $zipped(
                $manifest(['stash.json' => 'not json', 'hand.json' => '{}', 'needles.json' => '[]']),
            ), 'cannot be read',
        ],
    ]);

    it('is not fooled by 10 GB of zeros', function () {
        // 10 GB that pack into some MB: a gzip member of zeros over and over would take long to make; the sizes are said in the directory.
        $zip = new ZipStream;
        $bytes = $zip->entry('pictures/'.str_repeat('a', 64).'.png', str_repeat("\0", 40_000_000));
        $whole = $bytes.$zip->end();
        // Said larger than it is, in the directory: 4 GiB less one.
        $at = (int) strpos($whole, "PK\x01\x02");
        $lies = substr_replace($whole, pack('V', 0xFFFFFFFE), $at + 24, 4);
        foreach ([$whole, $lies] as $archive) {
            $before = memory_get_peak_usage();
            expect(fn () => Incoming::of(archiveFile($archive)))->toThrow(ArchiveRefused::class, 'unpacks to more');
            expect(memory_get_peak_usage() - $before)->toBeLessThan(40_000_000);
        }
        // Said smaller: no more than its most is read.
        $small = substr_replace($whole, pack('V', 1000), $at + 24, 4);
        expect(fn () => Incoming::of(archiveFile($small)))->toThrow(ArchiveRefused::class);
    });

    it('lets a figure that cannot be read stay out, and takes the others', function () {
        lay();
        lay('wick');
        DB::table('figures')->where('name', 'like', 'Wick%')->update(['document' => '{"format":"impa-figure","version":1}']);
        $path = archiveFile(archived());
        emptyStore();
        expect(array_count_values(array_column(Incoming::of($path)->preview()['figures'], 'state')))->toEqual(['new' => 1, 'refused' => 1]);
        Artisan::call('impa:unpack', ['archive' => $path]);
        expect(Artisan::output())->toContain('1 figure taken in', '1 that cannot be read')->and(Figure::query()->count())->toBe(1);
    });
});

it('makes a ZIP of more than 65,535 files that other programs read', function () {
    $zip = new ZipStream;
    $path = archiveFile('');
    $out = fopen($path, 'wb');
    for ($i = 0; $i < 66_000; $i++) {
        fwrite($out, $zip->entry(sprintf('%05d', $i), (string) $i, isPacked: true));
    }
    fwrite($out, $zip->end());
    fclose($out);
    $read = new ZipArchive;
    expect(
        $read->open($path, ZipArchive::CHECKCONS),
    )->toBeTrue()->and($read->numFiles)->toBe(66_000)->and($read->getFromName('65999'))->toBe('65999');
});

it('is packed and told on the console, and refused in words where it cannot be', function () {
    lay();
    $path = sys_get_temp_dir().'/impa-pack-'.bin2hex(random_bytes(4)).'.zip';
    expect(Artisan::call('impa:pack', ['out' => $path]))->toBe(0)->and(file_get_contents($path))->toBe(archived());
    expect(
        Artisan::call('impa:unpack', ['archive' => $path, '--dry' => true]),
    )->toBe(0)->and(Artisan::output())->toContain('same      Bobbin');
    expect(Artisan::call('impa:pack', ['out' => '/no/such/folder/x.zip']))->toBe(2)
        ->and(Artisan::call('impa:unpack', ['archive' => '/no/such/file.zip']))->toBe(2)
        ->and(Artisan::call('impa:unpack', ['archive' => $path, '--conflict' => 'perhaps']))->toBe(2)
        ->and(Artisan::call('impa:pack', ['out' => $path, '--felter' => 'nobody@example.org']))->toBe(2);
});

it('leaves no file and no row behind where it is hung up, at whatever line', function () {
    livedIn();
    $path = archiveFile(archived());
    emptyStore();
    $count = static fn (): array => [
        array_sum(array_map(static fn (string $table): int => DB::table($table)->count(), CurrentFelter::TABLES)),
        count(Storage::disk('pictures')->allFiles()),
        count(glob(storage_path('framework/in-*'))),
    ];
    for ($line = 1, $hungUp = true; $hungUp; $line++) {
        $lines = 0;
        try {
            $told = Incoming::of($path)->take(Conflict::Keep, [], static function () use (&$lines, $line): void {
                throw_if(++$lines === $line, RuntimeException::class, 'hung up');
            });
            $hungUp = false;
        } catch (RuntimeException $e) {
            expect($e->getMessage())->toBe('hung up')->and($count())->toBe([0, 0, 0], "line {$line}");
        }
    }
    // Beyond its last line it is there.
    expect($line)->toBeGreaterThan(8)->and($told['taken'])->toBeGreaterThan(3);
})->group('dear');

describe('a record that is none', function () {
    /** The archive of a lived-in store with one member of one record changed, as a text editor does it. */
    $changed = static function (string $file, Closure $change): string {
        $entries = livedInFiles();
        foreach (array_keys($entries) as $at) {
            $value = fnmatch($file, $at) ? json_decode($entries[$at]) : null;
            if ($value !== null && $change($value) === true) {
                $entries[$at] = json_encode($value, JSON_PRESERVE_ZERO_FRACTION | JSON_INVALID_UTF8_SUBSTITUTE)."\n";
                break;
            }
        }
        $zip = new ZipStream;
        $bytes = '';
        foreach ($entries as $at => $content) {
            $bytes .= $zip->entry($at, $content);
        }
        $manifest = ['format' => Outgoing::FORMAT, 'version' => Outgoing::VERSION, 'files' => array_map(
            static fn (string $content): string => hash('sha256', $content),
            $entries,
        )];

        return archiveFile($bytes.$zip->entry('manifest.json', json_encode($manifest)).$zip->end());
    };
    $piece = static fn (string $member, mixed $value): Closure => static function (stdClass $hand) use ($member, $value): bool {
        $hand->pieces[0]->{$member} = $value;

        return true;
    };
    $log = static fn (string $list, string $member, mixed $to): Closure => static function (stdClass $log) use ($list, $member, $to): bool {
        if (($log->{$list} ?? []) === []) {
            return false;
        }
        $log->{$list}[0]->{$member} = $to;

        return true;
    };
    $ways = [
        'minutes below 0' => ['hand.json', $piece('minutes', -1)],
        'no grams' => ['hand.json', $piece('grams', 0)],
        'grams beyond any scale' => ['hand.json', $piece('grams', 1e308)],
        'a house weight of next to nothing' => ['hand.json', $piece('widthMm', 1e-308)],
        'a firmness that there is not' => ['hand.json', $piece('firmness', 'odd')],
        'a moment in a million years' => ['hand.json', $piece('at', 10 ** 18)],
        'a name that is none' => ['hand.json', $piece('uuid', 'x y')],
        'a stretch that ends before it begins' => ['figures/*/log.json', $log('work', 'to', 3)],
        'a step that took less than nothing' => ['figures/*/log.json', $log('timed', 'houseMinutes', 0)],
        'a step of a kind that there is not' => ['figures/*/log.json', $log('timed', 'kind', 'dance')],
        'a needle that nobody sells' => ['figures/*/log.json', $log('notes', 'gauge', 99_999)],
        'a note of a kind that there is not' => ['figures/*/log.json', $log('notes', 'kind', 'song')],
        'a revision beyond counting' => ['figures/*/about.json', static function (stdClass $about): bool {
            $about->revision = 2_147_483_647;

            return true;
        }],
        'a box of no needles' => ['needles.json', static function (array $box): bool {
            $box[0]->gauge = 99_999;

            return true;
        }],
        'a colour that is none' => ['stash.json', static function (stdClass $stash): bool {
            $stash->wools[0]->hex = 'red';

            return true;
        }],
    ];

    it('is refused with its archive in words, and nothing of it is taken in', function (string $file, Closure $change) use ($changed) {
        $path = $changed($file, $change);
        $take = static fn () => Incoming::of($path)->take(Conflict::Replace);
        expect($take)->toThrow(ArchiveRefused::class, 'Nothing was taken in.');
        foreach (CurrentFelter::TABLES as $table) {
            expect(DB::table($table)->count())->toBe(0, $table);
        }
    })->group('dear')->with($ways);

    it('reads a day that there is not as none at all', function () use ($changed) {
        $path = $changed('figures/*/about.json', static function (stdClass $about): bool {
            $about->createdAt = '2026-02-30 10:00:00';

            return true;
        });
        expect(Incoming::of($path)->take(Conflict::Keep)['taken'])->toBeGreaterThan(3)
            ->and(DB::table('figures')->where('created_at', 'like', '2026-02-30%')->count())->toBe(0);
    });

    it('does not fill the memory where a few bytes unfold to millions of empty objects', function () use ($changed) {
        $path = $changed('hand.json', static function (stdClass $hand): bool {
            $hand->pieces = array_fill(0, 1_000_000, new stdClass);

            return true;
        });
        $before = memory_get_usage();
        expect(static fn () => Incoming::of($path)->preview())->toThrow(ArchiveRefused::class, 'more than anybody has written down')
            ->and(memory_get_usage() - $before)->toBeLessThan(20_000_000);
    });

    it('breaks no answer where it is in the store all the same, and is set aside', function (string $table, array $columns) {
        livedIn();
        $id = DB::table($table)->orderBy('id')->value('id');
        DB::table($table)->where('id', $id)->update($columns);
        app()->forgetInstance(\Impa\Hand\Hand::class);
        $figure = Figure::query()->where('name', 'like', 'Wick%')->value('id');
        foreach (['hand', 'figures', 'wools', 'needles', 'wools.csv', "figures/{$figure}/log", "figures/{$figure}/closing"] as $door) {
            expect($this->get('/api/'.$door)->getStatusCode())->toBe(200, $door);
        }
        foreach (['plan', 'board', 'build', 'supply', 'schedule'] as $door) {
            expect($this->postJson('/api/'.$door, ['document' => demoFigure()])->getStatusCode())->toBe(200, $door);
        }
        $said = "Record {$id} of ".str_replace('_', ' ', $table);
        expect(Artisan::call('impa:doctor'))->toBe(1)->and(Artisan::output())->toContain($said);
        Artisan::call('impa:doctor', ['--mend' => true]);
        expect(Artisan::output())->toContain('Mended: set aside')
            ->and(DB::table($table)->where('id', $id)->exists())->toBeFalse()
            ->and(json_decode((string) DB::table('unreadable_records')->value('row'), true))->toMatchArray(['id' => $id]);
        Artisan::call('impa:doctor');
        expect(Artisan::output())->not->toContain('cannot be read: ');
    })->group('dear')->with([
        'a weight of nothing' => ['finished_parts', ['grams' => 0, 'minutes' => -1]],
        'a firmness that there is not' => ['finished_parts', ['firmness' => 'odd', 'house_minutes' => 0, 'minutes' => 3]],
        'minutes of the house that are none' => ['finished_steps', ['house_minutes' => 0]],
        'a stretch that ends before it begins' => ['bouts', ['ended_at' => 5]],
        'a preparation that there is not' => ['wools', ['preparation' => 'spun by the moon']],
        'a needle that nobody sells' => ['needles', ['gauge' => 999]],
    ]);
});

it('lays beside what is otherwise here once, however often it is taken in', function () {
    livedIn();
    $path = archiveFile(archived());
    $changed = FigureDocument::fromJson((string) json_encode(['name' => 'Changed here'] + demoFigure()));
    Figure::query()->where('name', 'like', 'Bobbin%')->first()->replace($changed, Profile::summary($changed), 1);
    $count = Figure::withTrashed()->count();
    $told = array_map(static fn (): array => Incoming::of($path)->take(Conflict::Both), range(1, 3));
    expect(array_column($told, 'taken'))->toBe([1, 0, 0])->and(Figure::withTrashed()->count())->toBe($count + 1);
})->group('dear');

it('counts wools of one name as one, in the archive and against the drawer', function () {
    livedIn();
    $wool = DB::table('wools')->orderBy('id')->first();
    DB::table('wools')->insert(['uuid' => '018f0000-0000-4000-8000-000000000001', 'id' => 9999] + (array) $wool);
    $path = archiveFile(archived());
    $count = DB::table('wools')->count();
    DB::table('wools')->where('id', 9999)->delete();
    DB::table('wools')->where('id', $wool->id)->update(['uuid' => '018f0000-0000-4000-8000-000000000002']);
    expect(Incoming::of($path)->preview()['wools'])->toMatchArray(['new' => 0, 'conflict' => 0]);
    emptyStore();
    expect(Incoming::of($path)->preview()['wools'])->toBe(['new' => $count - 1, 'same' => 1, 'conflict' => 0]);
    Incoming::of($path)->take(Conflict::Keep);
    expect(DB::table('wools')->count())->toBe($count - 1);
})->group('dear');
