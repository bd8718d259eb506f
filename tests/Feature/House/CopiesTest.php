<?php

declare(strict_types=1);

use App\Models\Felter;
use App\Models\Figure;
use App\Models\Picture;
use App\Store\Copies;
use Illuminate\Support\Defer\DeferredCallbackCollection;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Process\Process;
use Tests\Support\StoreOnDisk;

beforeEach(function () {
    if (DB::getDriverName() === 'pgsql') {
        $this->markTestSkipped('Copies of PostgreSQL are tested where it is deployed.');
    }
    $this->home = StoreOnDisk::make();
});
afterEach(function () {
    if (! isset($this->home)) {
        return;
    }
    StoreOnDisk::remove($this->home);
});

it('puts a copy back with one command, its pictures too; and that can be taken back', function () {
    $id = lay();
    $picture = $this->sendFile(demoPicture())->json('id');
    Figure::query()->whereKey($id)->update(['picture_id' => $picture]);
    expect(Artisan::call('impa:copy'))->toBe(0);
    $copy = trim(Artisan::output());
    $this->travel(2)->seconds();
    Figure::query()->whereKey($id)->update(['name' => 'Changed since']);
    Figure::query()->whereKey($id)->forceDelete();
    Storage::disk('pictures')->delete(Storage::disk('pictures')->files());
    expect(Artisan::call('impa:restore'))->toBe(0);
    $said = Artisan::output();
    expect($said)->toContain("{$copy} is in its place")->and(Figure::query()->value('name'))->toBe('Bobbin, night watch');
    $this->get("/api/pictures/{$picture}")->assertOk();
    preg_match('/kept as (\S+)\./', $said, $m);
    expect(Artisan::call('impa:restore', ['copy' => $m[1]]))->toBe(0)->and(Figure::query()->count())->toBe(0);
});

it('is whole while another process writes all the time', function () {
    $write = new Process([PHP_BINARY, '-r', '
        $p = new PDO("sqlite:".$argv[1]); $p->exec("pragma busy_timeout=5000");
        for ($i = 0; $i < 100000; $i++) { $p->exec("begin immediate"); $p->exec(
            "insert into needles (felter_id, gauge, kind, \"left\") values ($i, 1, \'a\', 1)",
        );
        $p->exec(
            "insert into swatches (felter_id, shares, hex, created_at) values ($i, \'{}\', \'#000000\', \'\')",
        ); $p->exec("commit"); }',
        "{$this->home}/impa.sqlite"]);
    $write->start();
    usleep(300_000);
    $name = Copies::make();
    $isWriting = $write->isRunning();
    $write->stop(0);
    $copy = new SQLite3(Copies::folder().'/'.$name, SQLITE3_OPEN_READONLY);
    expect($isWriting)->toBeTrue()->and($copy->querySingle('pragma integrity_check'))->toBe('ok')
        // Both rows of each change are in it, or neither.
        ->and($copy->querySingle('select count(*) from needles'))->toBe($copy->querySingle('select count(*) from swatches'))
        ->and($copy->querySingle('select count(*) from needles'))->toBeGreaterThan(0);
})->group('dear');

it('keeps seven days, five weeks and twelve months, and no more', function () {
    $copy = Copies::folder().'/'.Copies::make();
    for ($day = 1; $day < 400; $day++) {
        $name = 'impa-'.now()->subDays($day)->format('Y-m-d').'-030000.sqlite';
        copy($copy, Copies::folder().'/'.$name);
    }
    Copies::make();
    $kept = Copies::all();
    $days = array_map(static fn (string $n): string => substr($n, 5, 10), $kept);
    $months = array_unique(array_map(static fn (string $d): string => substr($d, 0, 7), $days));
    expect(count($kept))->toBeLessThanOrEqual(7 + 5 + 12)->toBeGreaterThanOrEqual(7 + 3 + 10)
        ->and(array_slice(array_unique($days), 0, 7))->toBe(
            array_map(static fn (int $d): string => now()->subDays($d)->format('Y-m-d'), range(0, 6)),
        )
        ->and(count($months))->toBe(12);
});

it('makes one where the last is a day old, and none before, at whatever hour that was', function (string $hour) {
    $this->travelTo("2026-12-31 {$hour}");
    $counts = [];
    foreach ([0, 0, 23, 1, 1, 23] as $hours) {
        $this->travel($hours)->hours();
        Artisan::call('impa:copy', ['--if-due' => true]);
        $counts[] = count(Copies::all());
    }
    expect($counts)->toBe([1, 1, 1, 2, 2, 3]);
})->with(['00:00:00', '00:30:00', '12:00:00', '23:59:59']);

it('keeps a picture as long as a copy names it, and no longer', function () {
    $this->sendFile(demoPicture())->assertCreated();
    $name = Copies::make();
    DB::table('pictures')->delete();
    $this->travel(1)->days();
    Copies::make();
    expect(glob(Copies::folder().'/pictures/*'))->toHaveCount(1);
    unlink(Copies::folder().'/'.$name);
    $this->travel(1)->days();
    Copies::make();
    expect(glob(Copies::folder().'/pictures/*'))->toBe([]);
});

it('copies a picture by its bytes, never as a second name of one file', function () {
    $hash = Picture::query()->findOrFail($this->sendFile(demoPicture())->json('id'))->hash;
    [$file, $copy] = ["{$this->home}/pictures/{$hash}", Copies::folder().'/pictures/'.$hash];
    Copies::make();
    expect(fileinode($copy))->not->toBe(fileinode($file))->and(hash_file('sha256', $copy))->toBe($hash);
    // One that an earlier Impa made as a second name becomes one of its own.
    unlink($copy);
    link($file, $copy);
    Copies::make();
    expect(fileinode($copy))->not->toBe(fileinode($file))->and(hash_file('sha256', $copy))->toBe($hash);
    // What is damaged is not copied.
    unlink($copy);
    file_put_contents($file, 'damaged', FILE_APPEND);
    Copies::make();
    expect(is_file($copy))->toBeFalse();
});

it('keeps the one just made, whatever the clock says, and the one before a restore', function () {
    lay();
    $before = array_map(static fn (): string => Copies::make(), range(1, 5));
    $this->travelTo(now()->subYear());
    $made = Copies::make();
    expect(Copies::all())->toContain($made, ...$before);
    foreach (range(1, 8) as $_) {
        $this->travel(-2)->days();
        $made = Copies::make();
        expect(Copies::all())->toContain($made);
    }
    $kept = Copies::restore($before[0]);
    expect(Copies::all())->toContain($kept, $before[0])->and(Copies::restore($kept))->toBeString();
});

it('keeps fourteen that are made in quick succession', function () {
    $made = array_map(static fn (): string => Copies::make(), range(1, 14));
    expect(array_unique($made))->toHaveCount(14)->and(Copies::all())->toEqualCanonicalizing($made);
})->group('dear');

it('leaves nothing beside a copy, when it is made, looked into or put back', function () {
    lay();
    $this->sendFile(demoPicture());
    $name = Copies::make();
    Copies::make();
    Copies::restore($name);
    Artisan::call('impa:doctor');
    Copies::told();
    $beside = array_diff(scandir(Copies::folder()), ['.', '..', '.lock', 'order.txt', 'pictures'], Copies::all());
    expect(array_values($beside))->toBe([]);
});

it('refuses a copy that is not there, or is damaged, and leaves the store as it is', function () {
    lay();
    $name = Copies::make();
    file_put_contents(Copies::folder().'/'.$name, random_bytes(3000), FILE_APPEND);
    $bytes = (string) file_get_contents(Copies::folder().'/'.$name);
    file_put_contents(Copies::folder().'/'.$name, substr($bytes, 0, 9000).str_repeat('x', 4096).substr($bytes, 13096));
    expect(Artisan::call('impa:restore', ['copy' => $name]))->toBe(2)
        ->and(Artisan::call('impa:restore', ['copy' => '../../etc/passwd']))->toBe(2)
        ->and(Figure::query()->count())->toBe(1);
});

describe('the doctor', function () {
    beforeEach(fn () => Copies::make());
    $told = static function (bool $mend = false): array {
        $exit = Artisan::call('impa:doctor', $mend ? ['--mend' => true] : []);

        return [$exit, Artisan::output()];
    };

    it('finds nothing wrong with a store that was only used', function () use ($told) {
        Artisan::call('db:seed', ['--force' => true]);
        // What waits for the end of a request is done.
        app(DeferredCallbackCollection::class)->invoke();
        expect($told())->toBe([0, "Nothing is wrong.\n"]);
    })->group('dear');

    it('says what it finds, mends it, and finds it no more', function (Closure $break, string $what, string $mended) use ($told) {
        $id = lay();
        $picture = $this->sendFile(demoPicture())->json('id');
        Figure::query()->whereKey($id)->update(['picture_id' => $picture]);
        Copies::make();
        $break($id, $this->home);
        [$exit, $said] = $told();
        expect($exit)->toBe(1)->and($said)->toContain($what)->not->toContain('Mended');
        [$exit, $said] = $told(true);
        expect($exit)->toBe(0)->and($said)->toContain("Mended: {$mended}")->and($told())->toBe([0, "Nothing is wrong.\n"]);
        $this->getJson("/api/figures/{$id}")->assertOk()->assertJsonPath('document.name', 'Bobbin, night watch');
        $this->get("/api/pictures/{$picture}")->assertOk();
    })->with([
        'a document that cannot be read' => [
            fn (int $id) => DB::table('figures')->where('id', $id)->update(
                ['document' => '{"broken":'],
            ), 'cannot be read', 'its last revision',
        ],
        'numbers of older rules' => [
            fn (int $id) => DB::table('figures')->where('id', $id)->update(
                ['total_g' => 1, 'steps' => 2],
            ), 'shows old numbers', 'reckoned anew',
        ],
        'a history without its end' => [
            fn () => DB::table('figure_revisions')->delete(), 'not in its own history', 'written into it',
        ],
        'a mark of a figure that is gone' => [
            function (): void {
                DB::statement('pragma foreign_keys = off');
                DB::table('step_marks')->insert(['felter_id' => 1, 'figure_id' => 999, 'step' => 'x', 'created_at' => now()]);
                DB::statement('pragma foreign_keys = on');
            }, 'belongs to something in figures that is gone', 'let go',
        ],
        'rows of nobody' => [
            fn () => DB::table('figures')->update(['felter_id' => 0]),
            "row of figures is nobody's",
            'given to this machine',
        ],
        'a picture whose file is gone' => [
            function (int $id, string $home): void {
                array_map(unlink(...), glob("{$home}/pictures/*"));
            }, 'is gone or damaged', 'fetched from the copies',
        ],
        'a picture whose file is damaged' => [
            function (int $id, string $home): void {
                // In place, as a disk does it: the file stays the one it is.
                $file = fopen(glob("{$home}/pictures/*")[0], 'r+b');
                fseek($file, 40);
                fwrite($file, 'damaged');
            }, 'is gone or damaged', 'fetched from the copies',
        ],
        'a copy of a picture that is damaged' => [
            function (int $id, string $home): void {
                $file = fopen(glob("{$home}/copies/pictures/*")[0], 'r+b');
                fseek($file, 40);
                fwrite($file, 'damaged');
            }, 'The copy of picture', 'copied anew',
        ],
        'a file of nobody' => [
            function (int $id, string $home): void {
                touch("{$home}/pictures/".str_repeat('0', 64), time() - 100_000);
            }, "is nobody's", 'let go',
        ],
    ])->group('dear');

    it('mends what it can where one mend cannot be done', function () use ($told) {
        $id = lay();
        $this->sendFile(demoPicture());
        Copies::make();
        DB::table('figures')->where('id', $id)->update(['total_g' => 1]);
        array_map(unlink(...), glob("{$this->home}/pictures/*"));
        // The copy is there to fetch it from; where it belongs, a folder stands in the way.
        mkdir("{$this->home}/pictures/".basename(glob(Copies::folder().'/pictures/*')[0]));
        [$exit, $said] = $told(true);
        expect($exit)->toBe(1)->and($said)->toContain('Mended: reckoned anew')
            ->and($said)->toMatch('/is gone or damaged\.\n/');
    });

    it('says that pages are damaged, and what puts them back', function () use ($told) {
        lay();
        DB::statement('pragma wal_checkpoint(truncate)');
        DB::purge('disk');
        $file = fopen("{$this->home}/impa.sqlite", 'r+b');
        fseek($file, 4096 * 3);
        fwrite($file, str_repeat("\xFF", 4096 * 6));
        fclose($file);
        [$exit, $said] = $told();
        expect($exit)->toBe(1)->and($said)->toContain('damaged')->not->toContain('#0');
    });
});

it('tells who sits at the machine of its copies, and makes one when asked; on a server nobody', function () {
    lay();
    $this->getJson('/api/copies')->assertOk()->assertExactJson(['copies' => [], 'isDue' => true]);
    $made = $this->postJson('/api/copies')->assertCreated()->assertJsonPath('isDue', false)->json('copies.0');
    expect(abs(strtotime($made['at']) - time()))->toBeLessThan(5)
        ->and($made['mb'])->toBeGreaterThan(0.05)->and(Copies::all())->toBe([$made['name']]);
    config(['impa.accounts' => true]);
    $this->actingAs(Felter::query()->firstOrFail())->getJson('/api/copies')->assertNotFound();
});
