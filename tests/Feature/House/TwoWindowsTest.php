<?php

declare(strict_types=1);

namespace Tests\Feature\TwoWindows;

use App\Models\Felter;
use App\Models\Figure;
use Closure;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;
use Tests\Support\Belongings;

/**
 * Two windows of one felter: both have read the same, the second one writes, then the first. Whatever the first would write over what the
 * second one wrote is refused with 409, and says what stands there now, so that she chooses. A PUT that is in neither list fails.
 */
/** PUTs that say under which revision they saw what they change: what to read it by, and two bodies that differ. */
function revised(array $of): array
{
    $document = Belongings::document('one');
    $batting = ['hex' => '#446622', 'preparation' => 'carded batting'];
    $wool = fn (string $name, float $g): array => ['name' => $name, 'gramsLeft' => $g] + $batting;
    $box = static fn (int $left): array => ['box' => [['gauge' => 38, 'kind' => 'star', 'left' => $left]]];
    $at = static fn (string $path, string $member): Closure => static fn (): mixed => test()->getJson($path)->assertOk()->json($member);
    $figure = "/api/figures/{$of['figure']}";
    $member = ['figure' => $of['figure'], 'count' => 1];

    return [
        'PUT api/figures/{figure}' => [
            $at($figure, 'revision'),
            ['document' => ['name' => 'Hers'] + $document],
            ['document' => ['name' => 'The first one\'s'] + $document],
        ],
        'PUT api/sets/{set}' => [
            $at("/api/sets/{$of['set']}", 'revision'),
            ['name' => 'Hers', 'members' => [$member]],
            ['name' => 'The first one\'s', 'members' => [$member]],
        ],
        'PUT api/wools/{wool}' => [
            static fn (): mixed => array_column(test()->getJson('/api/wools')->json('wools'), 'revision', 'id')[$of['wool']],
            $wool('Moss', 70),
            $wool('Renamed', 200),
        ],
        'PUT api/needles' => [$at('/api/needles', 'revision'), $box(3), $box(6)],
        'PUT api/figures/{figure}/closing' => [$at("{$figure}/closing", 'revision'), ['next' => 'Smaller ears'], ['next' => 'Softer']],
        'PUT api/figures/{figure}/wool' => [$at("{$figure}/wool", 'revision'), ['reserve' => 'never'], ['reserve' => 'again']],
        'PUT api/sets/{set}/aside' => [$at("/api/sets/{$of['set']}", 'asideRevision'), ['reserve' => 'never'], ['reserve' => 'again']],
        'PUT api/hand/{record}' => [$at('/api/hand', 'revision'), ['aside' => true], ['aside' => true]],
    ];
}

/** PUTs of which each says one thing that stands for itself: told twice it is told once, and nothing of the other window is in it. */
const FOR_ITSELF = [
    'PUT api/figures/{figure}/steps/{step}' => 'a tick is there or not',
    'PUT api/figures/{figure}/closing/{kind}' => 'likewise',
    'PUT api/figures/{figure}/present' => 'where she is now: the last place is the place',
    'PUT api/place' => 'likewise',
    'PUT api/password/own' => 'says the old password, which is another one by then',
    'PUT api/password' => 'by a link that is worth nothing by then (DoorTest)',
];

beforeEach(function () {
    $this->felter = Felter::query()->findOrFail(Felter::OF_THIS_MACHINE);
    $this->of = Belongings::of($this->felter, 'one');
});

it('knows every PUT', function () {
    $puts = [];
    foreach (Route::getRoutes() as $route) {
        in_array('PUT', $route->methods(), true) && $puts[] = 'PUT '.$route->uri();
    }
    expect([...array_keys(revised($this->of)), ...array_keys(FOR_ITSELF)])->toEqualCanonicalizing($puts);
});

it('refuses what an older window would write over another\'s work, and writes it once she has chosen', function (string $route) {
    [$read, $hers, $firsts] = revised($this->of)[$route];
    $address = '/'.preg_replace_callback('/\{(\w+)\}/', fn (array $m): string => (string) $this->of[$m[1]], substr($route, 4));
    $put = fn (array $body, mixed $revision) => $this->putJson($address, $body + ['revision' => $revision]);
    $before = $read();
    $put($hers, $before)->assertOk();
    $rows = Belongings::rows($this->felter->id);
    $refused = $put($firsts, $before)->assertStatus(409);
    expect($refused->json('detail'))->toContain('another window')
        ->and(Belongings::rows($this->felter->id))->toEqual($rows)
        ->and($read())->not->toBe($before);
    // Without saying which one was seen nothing is written either.
    expect($this->putJson($address, $firsts)->status())->toBeIn([409, 422])
        ->and(Belongings::rows($this->felter->id))->toEqual($rows);
    // Hers is kept in this window: it says the revision that the refusal told.
    $put($firsts, $refused->json('revision') ?? $read())->assertOk();
})->with(fn () => array_keys(revised(['figure' => 1, 'set' => 1, 'wool' => 1])));

it('takes a piece that was measured in another window meanwhile for another one\'s work, too', function () {
    $id = $this->of['figure'];
    $say = fn (string $uuid, float $grams, string $instead) => $this->postJson("/api/figures/{$id}/parts", [
        'document' => Belongings::document('one'), 'part' => 'head', 'uuid' => $uuid, 'keep' => true, 'sure' => true,
        'widthMm' => 52, 'heightMm' => 46, 'depthMm' => 48, 'grams' => $grams, 'instead' => $instead,
    ]);
    $before = (string) $this->of['uuid'];
    $say('second-window', 9.2, $before)->assertOk()->assertJsonPath('kept', true);
    $refused = $say('first-window', 8.7, $before)->assertStatus(409)->assertJsonPath('revision', 'second-window');
    expect($this->getJson("/api/figures/{$id}/parts")->json('parts.0.uuid'))->toBe('second-window');
    // Told twice it is kept once.
    $say('second-window', 9.2, $before)->assertOk();
    $say('first-window', 8.7, $refused->json('revision'))->assertOk();
    expect($this->getJson("/api/figures/{$id}/parts")->json('parts'))->toHaveCount(1);
});

it('says each thing for itself where it stands in the second list: both windows\' are there, in either order', function () {
    $id = $this->of['figure'];
    foreach (['core:body', 'join:head', 'core:body'] as $step) {
        $this->putJson("/api/figures/{$id}/steps/{$step}")->assertOk();
    }
    expect($this->getJson("/api/figures/{$id}/steps")->json('done'))->toEqualCanonicalizing(['core:head', 'core:body', 'join:head']);
    foreach (['trim', 'wires', 'trim'] as $kind) {
        $this->putJson("/api/figures/{$id}/closing/{$kind}", ['done' => true])->assertOk();
    }
    expect(Figure::query()->findOrFail($id)->marks()->pluck('step')->all())->toContain('looked:trim', 'looked:wires');
    foreach (['core:body', 'join:head'] as $step) {
        $this->putJson("/api/figures/{$id}/present", ['step' => $step])->assertOk()->assertJsonPath('present', $step);
    }
    foreach (['wool', 'build'] as $station) {
        $this->putJson('/api/place', ['page' => "/figures/{$id}/{$station}"])->assertOk();
        expect($this->getJson('/api/place')->json('page'))->toBe("/figures/{$id}/{$station}");
    }
    config(['impa.accounts' => true]);
    $ada = Felter::query()->create(['name' => 'Ada', 'email' => 'ada@example.org', 'password' => 'four balls of grey wool']);
    $change = fn (string $to) => $this->actingAs($ada->fresh())
        ->putJson('/api/password/own', ['old' => 'four balls of grey wool', 'password' => $to]);
    $change('six skeins of brown yarn')->assertOk();
    $change('nine tufts of white wool')->assertStatus(422);
    expect(Hash::check('six skeins of brown yarn', $ada->fresh()->password))->toBeTrue();
});
