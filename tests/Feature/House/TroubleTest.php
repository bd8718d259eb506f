<?php

declare(strict_types=1);

use App\Models\Figure;
use Illuminate\Support\Facades\DB;
use Tests\Support\StoreOnDisk;

/** What a store on disk may meet: held, full, read-only, a clock that goes back. Plain words, nothing lost, nothing half-written. */
beforeEach(function () {
    if (DB::getDriverName() === 'pgsql') {
        $this->markTestSkipped('Of SQLite.');
    }
    $this->home = StoreOnDisk::make();
    $this->id = lay();
    $this->save = fn (int $revision = 1, string $name = 'Changed') => $this->putJson(
        "/api/figures/{$this->id}",
        ['document' => ['name' => $name] + demoFigure(), 'revision' => $revision],
    );
    $this->whole = fn (): array => [
        DB::table('figures')->value('name'),
        DB::table('figure_revisions')->count(),
        DB::select('pragma integrity_check')[0]->integrity_check,
    ];
});
afterEach(function () {
    if (! isset($this->home)) {
        return;
    }
    StoreOnDisk::remove($this->home);
});

it('says that another program holds the store, and saves once it lets go', function () {
    DB::statement('pragma busy_timeout = 50');
    $other = new PDO("sqlite:{$this->home}/impa.sqlite");
    $other->exec('begin immediate');
    $answer = ($this->save)()->assertStatus(503);
    expect($answer->json('detail'))->toContain('Another program holds', 'This was not done');
    // Reading goes on.
    $this->getJson("/api/figures/{$this->id}")->assertOk()->assertJsonPath('document.name', 'Bobbin, night watch');
    $other->exec('rollback');
    ($this->save)()->assertOk();
    expect(($this->whole)())->toBe(['Changed', 2, 'ok']);
});

it('says that the disk is full, keeps all that was there, and saves once there is room', function () {
    $pages = (int) DB::select('pragma page_count')[0]->page_count;
    DB::statement("pragma max_page_count = {$pages}");
    $big = ['padding' => str_repeat('wool', 100_000)] + demoFigure();
    $answer = $this->putJson("/api/figures/{$this->id}", ['document' => $big, 'revision' => 1])->assertStatus(507);
    expect($answer->json('detail'))->toContain('disk is full', 'This was not done')
        ->and(($this->whole)())->toBe(['Bobbin, night watch', 1, 'ok']);
    DB::statement('pragma max_page_count = 1073741823');
    $this->putJson("/api/figures/{$this->id}", ['document' => $big, 'revision' => 1])->assertOk();
});

it('says that it may not write, and goes on showing what there is', function () {
    DB::statement('pragma query_only = 1');
    $answer = ($this->save)()->assertStatus(503);
    expect($answer->json('detail'))->toContain('may not write');
    $this->getJson('/api/figures')->assertOk()->assertJsonPath('count', 1);
    DB::statement('pragma query_only = 0');
    ($this->save)()->assertOk();
});

it('goes on where the clock was set back, in the order of revisions, and counts no minute that has not been', function () {
    ($this->save)(1, 'Before')->assertOk();
    $this->travelTo(now()->subYears(3));
    ($this->save)(2, 'After it was set back')->assertOk()->assertJsonPath('revision', 3);
    $revisions = $this->getJson("/api/figures/{$this->id}/revisions")->assertOk()->json('revisions');
    expect(array_column($revisions, 'revision'))->toBe([3, 2, 1]);
    $this->putJson("/api/figures/{$this->id}/steps/portion")->assertOk()->assertJsonPath('done', ['portion']);
    // The device's clock went on: its stretch lies in the future of a server whose own did not.
    $ahead = (int) (microtime(true) * 1000) + 3_600_000;
    $this->postJson("/api/figures/{$this->id}/log/time", ['step' => 'portion', 'from' => $ahead, 'to' => $ahead + 60_000])
        ->assertStatus(425)
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'clock of this device'));
    expect(Figure::query()->value('name'))->toBe('After it was set back');
});
