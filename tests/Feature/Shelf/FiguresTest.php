<?php

declare(strict_types=1);

namespace Tests\Feature\Figures;

use App\Models\Figure;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Support\Facades\DB;
use Impa\Plan\Summary;

it('lays a figure on the shelf and gives it back as it went in', function () {
    $document = demoFigure() + ['x-note' => ['empty' => new \stdClass(), 'half' => 1.5]];
    $id = $this->postJson('/api/figures', ['document' => $document])
        ->assertCreated()
        ->assertJsonPath('revision', 1)
        ->json('id');
    $back = $this->getJson("/api/figures/{$id}")
        ->assertOk()
        ->getContent();
    expect(json_decode($back)->document)
        ->toEqual(json_decode(json_encode($document)))
        ->and($back)
        ->toContain('"half":1.5')
        ->toContain('"empty":{}');
    $this->getJson('/api/figures')
        ->assertOk()
        ->assertJsonPath('count', 1)
        ->assertJsonPath('figures.0.name', 'Bobbin, night watch')
        ->assertJsonPath('figures.0.done', 0);
});

it('saves with the revision it was based on', function () {
    $id = lay();
    $mine = demoFigure();
    $mine['name'] = 'Mine';
    $this->putJson("/api/figures/{$id}", ['revision' => 1, 'document' => $mine])
        ->assertOk()
        ->assertJsonPath('revision', 2)
        ->assertJsonPath('document.name', 'Mine');
    expect(Figure::query()->findOrFail($id)->revisions()->count())->toBe(2);
});

it('tells a stale save, and loses nothing of either', function () {
    $id = lay();
    $one = ['name' => 'One'] + demoFigure();
    $two = ['name' => 'Two'] + demoFigure();
    $this->putJson("/api/figures/{$id}", ['revision' => 1, 'document' => $one])->assertOk();
    $this->putJson("/api/figures/{$id}", ['revision' => 1, 'document' => $two])
        ->assertStatus(409)
        ->assertHeader('Content-Type', 'application/problem+json')
        ->assertJsonPath('revision', 2)
        ->assertJsonPath('document.name', 'One');
    $this->getJson("/api/figures/{$id}")
        ->assertJsonPath('document.name', 'One')
        ->assertJsonPath('revision', 2);
    // The user's own is kept by saving it on the revision that was told.
    $this->putJson("/api/figures/{$id}", ['revision' => 2, 'document' => $two])
        ->assertOk()
        ->assertJsonPath('document.name', 'Two');
});

it('refuses a figure with faults, each with its pointer, and keeps what was there', function () {
    $id = lay();
    $broken = demoFigure();
    $broken['parts'][0]['colour'] = 'nowhere';
    $broken['parts'][1]['shape']['widthMm'] = -3;
    unset($broken['name']);
    $this->putJson("/api/figures/{$id}", ['revision' => 1, 'document' => $broken])
        ->assertStatus(422)
        ->assertHeader('Content-Type', 'application/problem+json')
        ->assertJsonCount(3, 'errors')
        ->assertJsonFragment([
            'pointer' => '/parts/0/colour',
            'detail' => 'There is no colour with the key "nowhere" in this figure.',
        ]);
    $this->getJson("/api/figures/{$id}")
        ->assertJsonPath('revision', 1)
        ->assertJsonPath('document.name', 'Bobbin, night watch');
    expect(Figure::query()->count())->toBe(1);
});

it('refuses what is no request, in words', function (string $method, string $path, string $body, int $status, string $words) {
    $id = lay();
    $response = $this->call(
        $method,
        str_replace('ID', (string) $id, $path),
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        $body,
    );
    expect($response->status())
        ->toBe($status)
        ->and($response->headers->get('Content-Type'))
        ->toBe('application/problem+json')
        ->and($response->json('detail'))
        ->toContain($words)
        ->and($response->json('status'))
        ->toBe($status);
})->with([
    ['POST', '/api/figures', '', 400, 'not readable as JSON'],
    ['POST', '/api/figures', '[1]', 400, 'JSON object'],
    ['POST', '/api/figures', '{}', 422, '"document"'],
    ['POST', '/api/figures', '{"document":null}', 422, '"document"'],
    ['POST', '/api/plan', '{"document":5}', 422, 'fault'],
    ['PUT', '/api/figures/ID', '{"document":{}}', 422, 'fault'],
    ['POST', '/api/breakdown', '{"picture":"x"}', 422, '"picture"'],
    ['POST', '/api/breakdown', '{"picture":99,"heightMm":50}', 404, 'Choose it again'],
    ['POST', '/api/nothing', '{}', 404, 'nothing under this address'],
    ['GET', '/api/figures/99999', '', 404, 'nothing here'],
    ['PUT', '/api/figures/99999', '{}', 404, 'nothing here'],
    ['GET', '/api/figures/ID/render?view=inside', '', 422, 'front, side, back or top'],
    ['GET', '/api/figures/ID/render?px=3', '', 422, '16 to 4096'],
]);

it('throws into the bin, brings back, and empties it', function () {
    [$one, $two] = [lay(), lay('lanto')];
    $this->deleteJson("/api/figures/{$one}")->assertNoContent();
    $this->getJson("/api/figures/{$one}")->assertNotFound();
    $this->getJson('/api/bin')->assertJsonPath('count', 1)->assertJsonPath('figures.0.id', $one);
    $this->get("/api/figures/{$one}/render")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/png');
    $this->postJson("/api/bin/{$one}/restore")->assertNoContent();
    $this->getJson('/api/figures')->assertJsonPath('count', 2);
    $this->deleteJson("/api/figures/{$two}");
    $this->deleteJson('/api/bin')->assertNoContent();
    expect(Figure::withTrashed()->pluck('id')->all())->toBe([$one]);
});

it('keeps which steps are done', function () {
    $id = lay();
    $this->putJson("/api/figures/{$id}/steps/core:head")
        ->assertOk()
        ->assertJsonPath('done', ['core:head']);
    $this->putJson("/api/figures/{$id}/steps/core:head")->assertJsonPath('done', ['core:head']);
    $this->putJson("/api/figures/{$id}/steps/cover:head")->assertJsonCount(2, 'done');
    $this->deleteJson("/api/figures/{$id}/steps/core:head")->assertJsonPath('done', ['cover:head']);
    $this->getJson("/api/figures/{$id}/steps")->assertJsonPath('done', ['cover:head']);
    $this->getJson('/api/figures')->assertJsonPath('figures.0.done', 1);
});

it('turns the shelf page by page', function () {
    foreach (range(1, 26) as $i) {
        $this->postJson('/api/figures', ['document' => ['name' => "No. {$i}"] + demoFigure('lanto')])->assertCreated();
    }
    $this->getJson('/api/figures?page=2')->assertJsonCount(2, 'figures')->assertJsonPath('pages', 2);
    $this->getJson('/api/figures?page=-4')->assertJsonCount(24, 'figures');
    $this->getJson('/api/figures?page[]=1')->assertOk();
});

it('has the shelf reckoned by the rules of today once the tables were brought up to date, whosever figures they are', function () {
    $id = lay();
    $binned = lay('lanto');
    $this->deleteJson("/api/figures/{$binned}")->assertNoContent();
    $felter = DB::table('felters')->insertGetId(['name' => 'Other', 'email' => 'other@example.org']);
    $others = lay('wick');
    DB::table('figures')->where('id', $others)->update(['felter_id' => $felter]);
    $shown = static fn (): array => DB::table('figures')->orderBy('id')->get(['id', 'steps', 'step_keys', 'total_g', 'revision'])->all();
    $before = $shown();
    DB::table('figures')->update(['steps' => 1, 'step_keys' => '[]', 'total_g' => 0.5]);
    event(new MigrationsEnded('up', ['pretend' => true]));
    expect($shown())->not->toEqual($before);
    event(new MigrationsEnded('up'));
    expect($shown())->toEqual($before)->and(array_column($before, 'id'))->toBe([$id, $binned, $others]);
});

it('shows and ticks by the rules of today what was kept under older ones; looking writes nothing, saving does', function () {
    $id = lay();
    $card = function (): array {
        $card = $this->getJson('/api/figures')->assertOk()->json('figures.0');

        return ['totalG' => round($card['totalG'], 6), 'handsMinutes' => round($card['handsMinutes'], 6)] + $card;
    };
    $before = $card();
    DB::table('figures')->update(['total_g' => 0.5, 'hands_minutes' => 1, 'steps' => 1, 'step_keys' => '[]', 'reckoning' => 0]);
    $row = DB::table('figures')->first();
    expect($card())->toBe($before)->and(DB::table('figures')->first())->toEqual($row);
    $this->putJson("/api/figures/{$id}/steps/core:head")->assertOk()->assertJsonPath('done', ['core:head']);
    expect($card())->toEqual(['done' => 1] + $before);
    $this->putJson("/api/figures/{$id}", ['document' => demoFigure(), 'revision' => 1])->assertOk();
    expect(DB::table('figures')->value('reckoning'))->toBe(Summary::VERSION)
        ->and(DB::table('figures')->value('steps'))->toBe($before['steps']);
    // What can no longer be read shows what it showed.
    DB::table('figures')->update(['document' => '{', 'total_g' => 0.5, 'reckoning' => 0]);
    expect($card()['totalG'])->toBe(0.5);
});
