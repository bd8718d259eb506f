<?php

declare(strict_types=1);

namespace Tests\Feature\Attack;

use App\Models\Figure;
use App\Models\Picture;
use App\Store\StoreTrouble;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Pixels;
use PDOException;
use RuntimeException;
use Symfony\Component\Process\Process;

/** Sends a body as it stands: numbers that PHP could not write. */
function raw(string $door, string $body, string $method = 'POST'): \Illuminate\Testing\TestResponse
{
    return test()->call(
        $method,
        '/api/'.$door,
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        $body,
    );
}

/** @param  list<array<string, mixed>>  $details */
function head(array $details): array
{
    return Figures::document([Figures::part('head', 'ball', 50, 50, 50, 0, 25)], $details);
}

it('refuses numbers that cannot be kept, wherever they stand, and breaks nowhere', function (string $door, string $body) {
    $document = json_encode(demoFigure(), JSON_THROW_ON_ERROR);
    foreach (['1e400', '-1e400', '1e308'] as $number) {
        $answer = raw($door, str_replace(['DOCUMENT', 'NUMBER'], [$document, $number], $body));
        expect($answer->status())->toBe(422)->and($answer->headers->get('Content-Type'))->toBe('application/problem+json');
    }
})->with([
    ['plan', '{"document":{"format":"impa-figure","version":1,"name":"x","heightMm":NUMBER,"colours":[],"parts":[]}}'],
    ['supply', '{"document":DOCUMENT,"sheetWidthMm":NUMBER}'],
    ['supply/split', '{"grams":NUMBER,"ratio":[1,2]}'],
    ['supply/split', '{"grams":3,"ratio":[1,NUMBER]}'],
    ['recipes', '{"hex":"#2f8f86","grams":NUMBER}'],
    ['sizing', '{"document":DOCUMENT,"by":"height","heightMm":NUMBER}'],
    ['board', '{"document":DOCUMENT,"rescale":true,"heightMm":NUMBER}'],
    ['face/between', '{"document":DOCUMENT,"part":"head","points":[[0,0],[NUMBER,0]]}'],
    ['face/afar', '{"document":DOCUMENT,"part":"head","metres":NUMBER}'],
    ['edits/split', '{"document":DOCUMENT,"key":"head","line":[[0,0],[NUMBER,1]]}'],
]);

it('refuses a number without end even in a member that Impa does not know', function () {
    $document = ['x-mine' => ['deep' => [1, 'ENDLESS']]] + demoFigure();
    $body = str_replace('"ENDLESS"', '1e400', json_encode(['document' => $document], JSON_THROW_ON_ERROR));
    raw('figures', $body)->assertStatus(422)->assertJsonPath('errors.0.pointer', '/x-mine/deep/1');
    expect(Figure::query()->count())->toBe(0);
});

it('weighs no more than a drawer holds, and the table still comes out', function () {
    $id = $this->postJson('/api/wools', ['name' => 'Moss', 'hex' => '#6d7a3f', 'gramsLeft' => 20])->json('id');
    $this->postJson("/api/wools/{$id}/weighings", ['grams' => 300_000])
        ->assertStatus(422)
        ->assertJsonPath('detail', '300000 g is more than a drawer holds: at most 200000 g.');
    $this->postJson("/api/wools/{$id}/weighings", ['grams' => 200_000])->assertCreated();
    expect($this->get('/api/wools.csv')->assertOk()->getContent())->toContain('Moss,#6d7a3f,wool,carded batting,200000');
});

it('rescales a figure with a member that is named by digits', function () {
    $document = head([
        [
            'key' => 'eye',
            'on' => 'head',
            'kind' => 'disc',
            'widthMm' => 5,
            'colour' => 'black',
            'piece' => [
                'key' => 'p',
                'kind' => 'spot',
                'values' => (object) ['0' => 3, 'size' => 1],
            ],
        ],
    ]);
    $this->postJson('/api/board', ['document' => $document, 'rescale' => true, 'heightMm' => 200])
        ->assertOk()
        ->assertJsonPath('document.details.0.widthMm', 10.0);
});

it('refuses a plate whose outline cancels itself out, in words, at every door', function (string $door) {
    $bow = Figures::part('p', 'plate', 20, 20, 3);
    $bow['shape']['outline'] = [[-10, -10], [10, 10], [10, -10], [-10, 10]];
    $answer = $this->postJson('/api/'.$door, ['document' => Figures::document([$bow])])->assertStatus(422);
    expect($answer->json('errors.0'))
        ->toMatchArray(['pointer' => '/parts/0/shape'])
        ->and($answer->json('errors.0.detail'))
        ->toContain('crosses itself')
        ->toContain('in their order');
})->with(['plan', 'board', 'size-cards', 'figures']);

it('prints the templates of a face whose details lie off it, and says which were left out', function () {
    $off = ['key' => 'eye', 'name' => 'Eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 90, 'colour' => 'black'];
    $on = ['key' => 'nose', 'name' => 'Nose', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'colour' => 'black'];
    $sheet = fn (array $details, string $as) => $this->postJson('/api/face/sheets', [
        'document' => head($details),
        'part' => 'head',
        'as' => $as,
    ])->assertOk();
    foreach ([[$off], [$off, $on]] as $details) {
        expect($sheet($details, 'pdf')->getContent())
            ->toStartWith('%PDF')
            ->and($sheet($details, 'svg')->getContent())
            ->not->toContain('NAN')
            ->toContain('Eye');
    }
});

it('prints the templates of a face with points far off in a moment', function () {
    $far = array_map(static fn (int $i): array => [4000 * cos($i), 4000 * sin($i)], range(0, 399));
    $details = array_map(
        static fn (int $n): array => [
            'key' => 'd'.$n,
            'on' => 'head',
            'kind' => $n % 2 === 0 ? 'patch' : 'line',
            'widthMm' => 1,
            'pointsMm' => [[0, 0], ...array_slice($far, 1)],
            'colour' => 'black',
        ],
        range(0, 5),
    );
    $svg = $this->postJson('/api/face/sheets', ['document' => head($details), 'part' => 'head', 'as' => 'svg'])
        ->assertOk()
        ->getContent();
    // Unclipped it is 300 MB.
    expect(strlen($svg))->toBeLessThan(4_000_000);
});

it('draws nothing over a drawing that is said to be larger than any that is taken', function () {
    $document = demoFigure();
    $document['picture'] = ['widthPx' => 12_000, 'heightPx' => 12_000] + $document['picture'];
    $this->postJson('/api/render', ['document' => $document, 'match' => true])
        ->assertStatus(422)
        ->assertJsonPath('title', 'The picture cannot be made');
});

it('takes no picture that no figure could say the size of', function () {
    $long = Pixels::png(static fn ($i) => imagefilledrectangle($i, 0, 0, 20, 20, 0x224466), 41_000, 16);
    $answer = $this->sendFile($long)->assertStatus(422);
    expect($answer->json('detail'))
        ->toContain('longer than any drawing')
        ->and(Picture::query()->count())
        ->toBe(0);
});

it('takes a document up to 2 MB, and tells of a larger one in words', function () {
    $document = demoFigure();
    $document['x-notes'] = str_repeat('wool ', 390_000);
    $this->postJson('/api/figures', ['document' => $document])->assertCreated();
    $document['x-notes'] = str_repeat('wool ', 450_000);
    expect(
        $this->postJson('/api/figures', ['document' => $document])
            ->assertStatus(422)
            ->json('detail'),
    )
        ->toContain('ends at 2 MB')
        ->and(Figure::query()->count())
        ->toBe(1);
});

it('says what went wrong with the store, and claims nothing else', function (string $state, int $code, int $status, string $words) {
    DB::listen(static function ($query) use ($state, $code): void {
        if (str_starts_with($query->sql, 'insert into "figures"')) {
            $error = new PDOException('trouble');
            $error->errorInfo = [$state, $code, 'trouble'];
            throw $error;
        }
    });
    $answer = $this->postJson('/api/figures', ['document' => demoFigure()])->assertStatus($status);
    expect($answer->json('detail'))
        ->toContain($words)
        ->toContain('This was not done')
        ->not->toContain('kept')
        ->and(Figure::query()->count())
        ->toBe(0);
})->with([
    'SQLite, busy' => ['HY000', 5, 503, 'holds'],
    'SQLite, locked' => ['HY000', 6, 503, 'holds'],
    'SQLite, read-only' => ['HY000', 8, 503, 'may not write'],
    'SQLite, full' => ['HY000', 13, 507, 'full'],
    'SQLite, the disk does not take it' => ['HY000', 10, 507, 'full'],
    // PostgreSQL 15, appendix A of its manual; its driver tells all of them by 7.
    'PostgreSQL, lock not to be had' => ['55P03', 7, 503, 'holds'],
    'PostgreSQL, deadlock' => ['40P01', 7, 503, 'holds'],
    'PostgreSQL, read-only' => ['25006', 7, 503, 'may not write'],
    'PostgreSQL, full' => ['53100', 7, 507, 'full'],
    'PostgreSQL, connection lost' => ['08006', 7, 503, 'does not answer'],
    'PostgreSQL, shut down' => ['57P01', 7, 503, 'does not answer'],
]);

it('knows trouble of the store from other trouble', function () {
    expect(StoreTrouble::in(new RuntimeException('x')))
        ->toBeNull()
        ->and(StoreTrouble::in(StoreTrouble::busy())?->status)
        ->toBe(503);
});

it('leaves no half picture behind where it cannot be written', function () {
    $folder = sys_get_temp_dir().'/impa-'.bin2hex(random_bytes(4));
    Storage::set('pictures', Storage::build(['driver' => 'local', 'root' => $folder, 'throw' => true]));
    // A file where the folder was: nothing can be written under it, whoever asks.
    rmdir($folder);
    touch($folder);
    $answer = $this->sendFile(demoPicture());
    expect($answer->status())->toBeIn([503, 507])
        ->and($answer->json('detail'))->toContain('This was not done')
        ->and(Picture::query()->count())->toBe(0);
    unlink($folder);
});

it('sweeps up pictures that are in no figure after a day, and none that is', function () {
    $used = $this->sendFile(demoPicture('bobbin'))->json('id');
    $side = $this->sendFile(demoPicture('lanto'))->json('id');
    $unused = $this->sendFile(demoPicture('sorrel'))->json('id');
    $document = demoFigure();
    $document['sidePicture'] = ['hash' => Picture::query()->findOrFail($side)->hash] + $document['picture'];
    $this->postJson('/api/figures', ['document' => $document, 'picture' => $used])->assertCreated();
    $fresh = $this->sendFile(Pixels::png(static fn ($i) => imagefilledrectangle($i, 0, 0, 20, 20, 0x224466)))->json('id');
    Picture::query()
        ->whereKeyNot($fresh)
        ->toBase()->update(['updated_at' => now()->subDays(2)]);
    $this->deleteJson('/api/bin')->assertNoContent();
    expect(Picture::query()->pluck('id')->all())
        ->toEqualCanonicalizing([$used, $side, $fresh])
        ->and(Storage::disk('pictures')->allFiles())
        ->toHaveCount(3)
        ->and($unused)
        ->not->toBeIn([$used, $side, $fresh]);
});

it('keeps a picture that was swept up last week and is chosen again today', function () {
    $this->sendFile(demoPicture());
    Picture::query()->toBase()->update(['updated_at' => now()->subDays(9)]);
    $again = $this->sendFile(demoPicture())->assertCreated()->json('id');
    $this->get("/api/pictures/{$again}")->assertOk();
});

it('answers a wrong method with 405 and the right ones, a wrong address with 404', function () {
    $this->postJson('/api/catalogue')
        ->assertStatus(405)
        ->assertHeader('Allow', 'GET, HEAD')
        ->assertHeader('Content-Type', 'application/problem+json');
    $this->deleteJson('/api/figures')->assertStatus(405);
    $this->getJson('/api/nowhere')->assertStatus(404)->assertJsonPath('detail', 'There is nothing under this address.');
});

it('counts no step as done that the plan has not', function () {
    $id = $this->postJson('/api/figures', ['document' => demoFigure()])->json('id');
    $this->putJson("/api/figures/{$id}/steps/core:moon")->assertStatus(422);
    $this->putJson("/api/figures/{$id}/steps/core:head")->assertOk();
    $this->getJson('/api/figures')->assertJsonPath('figures.0.done', 1);
    // The head is made solid: its core is no step any more, and counts no more; made hollow again, it is done still.
    $solid = demoFigure();
    foreach ($solid['parts'] as &$part) {
        $part['core'] = 'none';
    }
    unset($part);
    $this->putJson("/api/figures/{$id}", ['revision' => 1, 'document' => $solid])->assertOk();
    $this->getJson('/api/figures')->assertJsonPath('figures.0.done', 0);
    $this->putJson("/api/figures/{$id}", ['revision' => 2, 'document' => demoFigure()])->assertOk();
    $this->getJson('/api/figures')->assertJsonPath('figures.0.done', 1);
});

it('says the same grams on the shelf as at the stations, when a yarn is weighed as well', function () {
    $document = Figures::document([Figures::part('a', 'ball', 40, 40, 40, 0, 20, 0, ['covering' => ['way' => 'loops']])]);
    $this->postJson('/api/figures', ['document' => $document])->assertCreated();
    $grams = function () use ($document): array {
        $plan = $this->postJson('/api/plan', ['document' => $document])->json('wool');
        $needs = $this->postJson('/api/supply', ['document' => $document])->json('needs');

        return [
            $this->getJson('/api/figures')->json('figures.0.totalG'),
            array_sum(array_column($plan, 'g')),
            array_sum(array_column($needs, 'g')),
        ];
    };
    [$shelf, $plan, $supply] = $before = $grams();
    expect([$plan, $supply])->toEqualWithDelta([$shelf, $shelf], 1e-9);
    $yarn = ['name' => 'Thick yarn', 'hex' => '#2f8f86', 'preparation' => 'yarn', 'gPerM' => 2, 'gramsLeft' => 50];
    $id = $this->postJson('/api/wools', $yarn)->assertCreated()->json('id');
    [$shelf, $plan, $supply] = $grams();
    expect([$plan, $supply])
        ->toEqualWithDelta([$shelf, $shelf], 1e-9)
        ->and($shelf)
        ->toBeGreaterThan($before[0]);
    $this->deleteJson("/api/wools/{$id}");
    expect($grams())->toEqualWithDelta($before, 1e-9);
});

it('prints names of any alphabet, and none that hides control characters', function (string $as) {
    $document = ['name' => "Żółw Ёжик Ωμέγα\x07\x00 end"] + demoFigure();
    $document['parts'][0]['name'] = "Голова\x1B";
    $bytes = $this->postJson('/api/size-cards', ['document' => $document, 'as' => $as])
        ->assertOk()
        ->getContent();
    if ($as === 'svg') {
        expect(simplexml_load_string($bytes))->not->toBeFalse()->and($bytes)->toContain('Żółw Ёжик Ωμέγα end');

        return;
    }
    $text = new Process(['pdftotext', '-', '-'], null, null, $bytes);
    $text->mustRun();
    expect($text->getOutput())->toContain('Żółw Ёжик Ωμέγα')->toContain('Голова');
})->with(['svg', 'pdf']);

it('writes no control character into any drawing, page or calendar, whatever things are called', function (string $door, array $more) {
    $hidden = "\x00 \x07 \x0b \x1b \u{fffe} end";
    $document = ['name' => "Moss{$hidden}"] + demoFigure();
    foreach (['parts', 'details', 'colours'] as $list) {
        foreach ($document[$list] as $i => $member) {
            $document[$list][$i]['name'] = "{$list} {$i}{$hidden}";
        }
    }
    $answer = $this->postJson("/api/{$door}", ['document' => $document, 'part' => $document['parts'][0]['key']] + $more)->assertOk();
    $bytes = (string) ($door === 'build/picture' ? $answer->json('svg') : $answer->getContent());
    expect(preg_match('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]|\xef\xbf\xbe/', $bytes))->toBe(0)
        ->and($bytes)->toContain($door === 'build/picture' ? '<svg' : ' end');
    if (str_starts_with($bytes, '<')) {
        expect(simplexml_load_string($bytes))->not->toBeFalse();
    }
})->with([
    ['size-cards', ['as' => 'svg']],
    ['outlines', []],
    ['face/sheets', ['as' => 'svg']],
    ['build/picture', ['step' => 'cover:head']],
    ['schedule/calendar', []],
]);

it('keeps a quote that a wool\'s name begins with through the table', function (string $name) {
    $this->postJson('/api/wools', ['name' => $name, 'hex' => '#6d7a3f', 'gramsLeft' => 20])->assertCreated();
    $table = base64_encode((string) $this->get('/api/wools.csv')->getContent());
    $this->postJson('/api/wool-sheet', ['base64' => $table, 'as' => 'csv', 'apply' => true])
        ->assertJsonPath('same', 1)
        ->assertJsonPath('added', []);
})->with(["'=x", '=x', "''+1", "'plain", '-moss']);
