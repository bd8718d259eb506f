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

it('keeps a name with what no keyboard types whole, as on SQLite', function () {
    $id = lay();
    $this->putJson("/api/figures/{$id}", ['document' => ['name' => "Moss\0 frog"] + demoFigure(), 'revision' => 1])->assertOk();
    expect(DB::table('figures')->value('name'))->toBe('Moss  frog')
        ->and($this->getJson("/api/figures/{$id}")->json('document.name'))->toBe("Moss\0 frog");
})->group('store');
