<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;

/** What a store on PostgreSQL may meet, told as on SQLite (TroubleTest). */
beforeEach(function () {
    if (DB::getDriverName() !== 'pgsql') {
        $this->markTestSkipped('Of PostgreSQL.');
    }
});

it('says that it may not write, and writes nothing', function () {
    $id = lay();
    DB::statement('set transaction read only');
    $answer = $this->putJson("/api/figures/{$id}", ['document' => ['name' => 'Changed'] + demoFigure(), 'revision' => 1]);
    expect($answer->assertStatus(503)->json('detail'))->toContain('may not write', 'This was not done');
})->group('store');

it('says that the disk is full, and keeps all that was there', function () {
    $id = lay();
    // As the server itself says it (disk_full), where the next revision is written.
    DB::unprepared("create function full_disk() returns trigger language plpgsql as $$ begin
        raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$");
    DB::unprepared('create trigger full_disk before insert on figure_revisions for each row execute function full_disk()');
    $answer = $this->putJson("/api/figures/{$id}", ['document' => ['name' => 'Changed'] + demoFigure(), 'revision' => 1]);
    expect($answer->assertStatus(507)->json('detail'))->toContain('The disk is full', 'This was not done');
    $this->getJson("/api/figures/{$id}")->assertOk()->assertJsonPath('revision', 1)->assertJsonPath('document.name', demoFigure()['name']);
})->group('store');

/** Another program at the same store. */
function elsewhere(): PDO
{
    $c = config()->array('database.connections.pgsql');

    return new PDO("pgsql:host={$c['host']};port={$c['port']};dbname={$c['database']}", $c['username'], $c['password']);
}

it('says that another program holds the store, within seconds, and saves once it lets go', function () {
    $id = lay();
    // Laid for all to see: what another one locks is not in this test's own transaction.
    DB::commit();
    $document = ['document' => ['name' => 'Changed'] + demoFigure(), 'revision' => 1];
    DB::statement('set lock_timeout = 300');
    $other = elsewhere();
    $other->exec('begin; lock table figures in exclusive mode');
    try {
        $answer = $this->putJson("/api/figures/{$id}", $document)->assertStatus(503);
        expect($answer->json('detail'))->toContain('does not let go', 'This was not done');
        $this->getJson("/api/figures/{$id}")->assertOk()->assertJsonPath('revision', 1);
        $other->exec('rollback');
        $this->putJson("/api/figures/{$id}", $document)->assertOk()->assertJsonPath('revision', 2);
    } finally {
        DB::table('figure_revisions')->delete();
        DB::table('figures')->delete();
    }
})->group('store');

it('waits for a lock no longer than for SQLite\'s', function () {
    expect(DB::selectOne('show lock_timeout')->lock_timeout)->toBe('5s')
        ->and(config('database.connections.pgsql.lock_timeout'))->toBe(config('database.connections.sqlite.busy_timeout'));
})->group('store');

it('says that nobody answers where the connection is lost in the middle of a save, and goes on with the next request', function () {
    $id = lay();
    DB::commit();
    DB::beginTransaction();
    $pid = (int) DB::selectOne('select pg_backend_pid() as pid')->pid;
    elsewhere()->query("select pg_terminate_backend({$pid})");
    try {
        $answer = $this->putJson("/api/figures/{$id}", ['document' => ['name' => 'Changed'] + demoFigure(), 'revision' => 1]);
        expect($answer->assertStatus(503)->json('detail'))->toContain('does not answer', 'This was not done');
        // The next request is another process.
        DB::purge();
        $this->getJson("/api/figures/{$id}")->assertOk()->assertJsonPath('revision', 1);
    } finally {
        DB::purge();
        DB::table('figure_revisions')->delete();
        DB::table('figures')->delete();
    }
})->group('store');

it('keeps a name with what no keyboard types whole, as on SQLite', function () {
    $id = lay();
    $this->putJson("/api/figures/{$id}", ['document' => ['name' => "Moss\0 frog"] + demoFigure(), 'revision' => 1])->assertOk();
    expect(DB::table('figures')->value('name'))->toBe('Moss  frog')
        ->and($this->getJson("/api/figures/{$id}")->json('document.name'))->toBe("Moss\0 frog");
})->group('store');
