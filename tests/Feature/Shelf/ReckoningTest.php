<?php

declare(strict_types=1);

use App\Models\Figure;
use App\Models\Wool;

it('keeps a picture by its content and breaks it down', function () {
    $id = $this->sendFile(demoPicture())->assertCreated()->assertJsonPath('widthPx', 480)->json('id');
    // The same picture again is the same picture.
    $this->sendFile(demoPicture())->assertJsonPath('id', $id);
    expect(
        $this->get("/api/pictures/{$id}")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/png')
            ->getContent(),
    )->toBe(demoPicture());
    $seen = $this->postJson('/api/breakdown', [
        'picture' => $id,
        'heightMm' => 110,
        'name' => 'Seen',
        'file' => 'bobbin.png',
    ])->assertOk();
    $seen->assertJsonPath('document.name', 'Seen')->assertJsonPath('document.heightMm', 110);
    expect(count($seen->json('document.parts')))->toBeGreaterThan(4);
    $this->postJson('/api/figures', ['document' => $seen->json('document'), 'picture' => $id])
        ->assertCreated()
        ->assertJsonPath('picture', $id);
})->group('dear');

it('refuses an upload that is no picture, whatever it says it is', function (string $bytes, string $words) {
    $this->sendFile($bytes, ['CONTENT_TYPE' => 'image/png'])
        ->assertStatus(422)
        ->assertHeader('Content-Type', 'application/problem+json')
        ->assertJsonPath('title', 'The picture cannot be used');
    expect($this->sendFile($bytes)->json('detail'))->toContain($words);
    $this->assertDatabaseCount('pictures', 0);
})->with([
    ['', 'empty'],
    ['<?php echo 1;', 'not a picture'],
    ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'does not say how large'],
    [fn () => substr(demoPicture(), 0, 900), 'damaged'],
]);

it('refuses a file that says it is larger than 30 MB before reading it', function () {
    $this->sendFile('x', ['CONTENT_LENGTH' => '40000000'])->assertStatus(413);
});

it('plans without saving', function () {
    $this->postJson('/api/plan', ['document' => demoFigure()])
        ->assertOk()
        ->assertJsonPath('format', 'impa-plan')
        ->assertJsonPath('figure', 'Bobbin, night watch');
    expect(Figure::query()->count())->toBe(0);
});

it('gives the stations a board: plan and drawing', function () {
    $board = $this->postJson('/api/board', ['document' => demoFigure()])->assertOk();
    expect($board->json('plan.format'))
        ->toBe('impa-plan')
        ->and($board->json('drawing.parts.head.pieces'))
        ->toHaveCount(1)
        ->and($board->json('drawing.parts.arm.pieces'))
        ->toHaveCount(2)
        ->and($board->json('document'))
        ->toBeNull();
});

it('answers in the form of a figure where that has no detail, or nothing at all', function (array $less) {
    // Each answer is held against its form by the way (Tests\Answers).
    $document = $less + demoFigure();
    foreach (['board', 'board/turning', 'plan', 'supply', 'build', 'balance', 'schedule', 'armature', 'things'] as $door) {
        $this->postJson("/api/{$door}", ['document' => $document])->assertOk();
    }
})->with([[['details' => []]], [['details' => [], 'parts' => []]], [['details' => [], 'parts' => [], 'colours' => []]]]);

it('makes the whole figure larger when its height is changed', function () {
    $board = $this->postJson('/api/board', ['document' => demoFigure(), 'rescale' => true, 'heightMm' => 220])->assertOk();
    $head = fn (array $parts): array => collect($parts)->firstWhere('key', 'head')['shape'];
    expect($board->json('document.heightMm'))
        ->toEqual(220)
        ->and($head($board->json('document.parts'))['widthMm'])
        ->toEqualWithDelta(2 * $head(demoFigure()['parts'])['widthMm'], 1e-9);
    $this->postJson('/api/board', ['document' => demoFigure(), 'rescale' => true, 'heightMm' => 900000])->assertStatus(422);
});

it('lays the tape grid of a part', function () {
    $this->postJson('/api/face', ['document' => demoFigure(), 'part' => 'head'])
        ->assertOk()
        ->assertJsonPath('stepMm', 5);
    $this->postJson('/api/face', ['document' => demoFigure(), 'part' => 'tail'])->assertStatus(422);
});

it('renders a document and a saved figure', function () {
    foreach ([['view' => 'front'], ['view' => 'top', 'px' => 64], ['match' => true]] as $how) {
        $png = $this->postJson('/api/render', ['document' => demoFigure()] + $how)
            ->assertOk()
            ->assertHeader('Content-Type', 'image/png')
            ->getContent();
        expect(getimagesizefromstring($png)['mime'])->toBe('image/png');
    }
    $plain = demoFigure();
    unset($plain['picture']);
    $this->postJson('/api/render', ['document' => $plain, 'match' => true])
        ->assertStatus(422)
        ->assertJsonPath('title', 'The picture cannot be made');
});

it('shows the catalogue and the stash', function () {
    $this->getJson('/api/catalogue')->assertOk()->assertJsonCount(count(\Impa\Shape\ShapeKind::cases()), 'shapes');
    $this->artisan('db:seed')->assertExitCode(0);
    expect($this->getJson('/api/wools')->assertOk()->json('wools'))->not->toBeEmpty();
})->group('dear');

it('lays the demo out once, and anew without touching what a user made', function () {
    $this->artisan('db:seed')->assertExitCode(0);
    $this->artisan('db:seed')->assertExitCode(0);
    expect(Figure::query()->count())->toBe(5);
    $mine = $this->postJson('/api/figures', ['document' => ['name' => 'Mine'] + demoFigure()])->json('id');
    Wool::query()->create([
        'name' => 'My own',
        'hex' => '#123456',
        'material' => 'wool',
        'preparation' => 'tops',
        'grams_left' => 5,
    ]);
    $demo = Figure::query()->where('is_demo', true)->firstOrFail();
    $demo->delete();
    $this->artisan('impa:demo')->assertExitCode(0);
    expect(Figure::query()->count())
        ->toBe(6)
        ->and(Figure::query()->find($mine)?->name)
        ->toBe('Mine')
        ->and(Wool::query()->where('name', 'My own')->exists())
        ->toBeTrue()
        ->and(Wool::query()->where('is_demo', true)->count())
        ->toBe(13);
})->group('dear');

it('says how a face is laid and what would make it crisp, measures from mark to mark, and shows it from afar', function () {
    $document = demoFigure();
    $answer = $this->postJson('/api/face/laying', ['document' => $document, 'part' => 'head'])->assertOk();
    $keys = array_column($answer->json('laying'), 'key');
    expect($keys)
        ->toEqualCanonicalizing(collect($document['details'])->where('on', 'head')->pluck('key')->all())
        ->and($this->postJson('/api/face/advice', ['document' => $document, 'part' => 'head'])->json('order'))
        ->toBe($keys)
        ->and($answer->json('laying.0.stabs'))
        ->not->toBeEmpty()
        ->and($answer->json('laying.0.marks.0'))
        ->toContain('mm down');
    $between = $this->postJson('/api/face/between', [
        'document' => $document,
        'part' => 'head',
        'points' => [[-8, 0], [8, 0]],
    ])->assertOk();
    expect($between->json('pinMm'))->toEqualWithDelta(16.0, 0.01)->and($between->json('tapeMm'))->toBeGreaterThan(16.0);
    $png = $this->postJson('/api/face/afar', ['document' => $document, 'part' => 'head', 'metres' => 1])
        ->assertOk()
        ->assertHeader('Content-Type', 'image/png')
        ->getContent();
    expect(getimagesizefromstring($png)[0])->toBe(320);
});

it('refuses a face that is not there, places off it and distances out of reach', function (string $door, array $more) {
    $this->postJson(
        "/api/face/{$door}",
        $more + ['document' => demoFigure(), 'part' => 'head', 'metres' => 1, 'points' => [[0, 0], [1, 1]]],
    )
        ->assertStatus(422)
        ->assertHeader('Content-Type', 'application/problem+json');
})->with([
    ['laying', ['part' => 'nose']],
    ['advice', ['part' => 'nose']],
    ['between', ['points' => [[0, 0], [400, 0]]]],
    ['between', ['points' => [[0, 0], [1, 1], [2, 2]]]],
    ['between', ['points' => 'here']],
    ['afar', ['metres' => 0]],
    ['afar', ['metres' => 50]],
    ['afar', ['metres' => 'far']],
    ['afar', ['part' => 7]],
]);

it('prints the face on paper at true size, as PDF and SVG', function (string $paper) {
    $document = demoFigure();
    $pdf = $this->postJson('/api/face/sheets', ['document' => $document, 'part' => 'head', 'paper' => $paper])
        ->assertOk()
        ->assertHeader('Content-Type', 'application/pdf')
        ->getContent();
    $file = tempnam(sys_get_temp_dir(), 'face');
    file_put_contents($file, $pdf);
    (new Symfony\Component\Process\Process([
        'pdftoppm',
        '-r',
        '254',
        '-f',
        '1',
        '-l',
        '1',
        '-png',
        '-singlefile',
        $file,
        $file,
    ]))->mustRun();
    $image = imagecreatefrompng($file.'.png');
    // The head's outline is the leftmost and highest that is drawn; a tenth of a millimetre to the pixel.
    $head = collect($document['parts'])->firstWhere('key', 'head')['shape'];
    [$top, $bottom] = [INF, -INF];
    for ($y = 80; $y < 110 + 10 * $head['heightMm']; $y++) {
        for ($x = 95; $x < 105 + 10 * $head['widthMm']; $x++) {
            if ((imagecolorat($image, $x, $y) & 255) < 120) {
                [$top, $bottom] = [min($top, $y), max($bottom, $y)];
            }
        }
    }
    expect(($bottom - $top) / 10)->toEqualWithDelta($head['heightMm'], 0.6);
    array_map(unlink(...), [$file, $file.'.png']);
    expect(
        $this->postJson('/api/face/sheets', ['document' => $document, 'part' => 'head', 'as' => 'svg', 'paper' => $paper])
            ->assertOk()
            ->getContent(),
    )->toStartWith('<svg');
    $this->postJson('/api/face/sheets', ['document' => $document, 'part' => 'head', 'paper' => 'a3'])->assertStatus(422);
    $this->postJson('/api/face/sheets', ['document' => $document, 'part' => 'head', 'as' => 'dxf'])->assertStatus(422);
})->group('dear')->with(['a4', 'letter']);
