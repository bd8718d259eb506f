<?php

declare(strict_types=1);

use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as RouteFacade;
use Impa\Balance\Balance;
use Impa\Balance\BalanceSheet;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Tests\Support\Sketch;
use Impa\Wool\Ledger\Ledger;
use Symfony\Component\Process\Process;

it('tells line by line what the break-down is doing, and gives the answer last', function () {
    $id = $this->sendFile(demoPicture())->json('id');
    $response = $this->postJson(
        '/api/breakdown',
        ['picture' => $id, 'heightMm' => 90, 'shades' => 0.3, 'roundToMm' => 1],
        ['Accept' => 'application/x-ndjson'],
    )
        ->assertOk()
        ->assertHeader('Content-Type', 'application/x-ndjson');
    $lines = array_map(json_decode(...), array_filter(explode("\n", $response->streamedContent())));
    expect(count($lines))
        ->toBeGreaterThan(6)
        ->and($lines[0]->doing)
        ->toBe('Reading the picture')
        ->and(end($lines)->document->heightMm)
        ->toEqual(90)
        ->and(end($lines)->figures)
        ->toHaveCount(1);
    foreach (end($lines)->document->parts as $part) {
        expect(fmod($part->shape->widthMm, 1.0))->toEqualWithDelta(0, 1e-9)->and($part->seen->why)->not->toBe('');
    }
})->group('dear');

it('refuses wishes beyond sense in words', function (array $wish, string $words) {
    $id = $this->sendFile(demoPicture())->json('id');
    expect(
        $this->postJson('/api/breakdown', $wish + ['picture' => $id, 'heightMm' => 90])
            ->assertStatus(422)
            ->json('detail'),
    )->toContain($words);
})->with([
    [['shades' => 3], 'between 0 and 1'],
    [['figure' => -1], 'counted from 1'],
    [['heightMm' => 3], '10 mm and 2.00 m'],
    [['shades' => 'many'], 'must be a number'],
    [['views' => ['front', 'left']], '2 views were named'],
    [['views' => ['front', 'under']], 'A view is front'],
    [['views' => 'front'], 'must be a list of texts'],
    [['brushes' => 'here'], 'A brush stroke says'],
    [['brushes' => [['as' => 'ink', 'width' => 2, 'points' => [[0, 0]]]]], 'A brush stroke says'],
    [['brushes' => array_fill(0, 41, ['as' => 'ink', 'width' => 0.1, 'points' => [[0, 0]]])], 'More than 40 brush strokes'],
]);

it('looks once more at a figure\'s own drawing: brushes are kept with it, and what was made of it stays', function () {
    $id = $this->sendFile(demoPicture())->json('id');
    $stroke = ['as' => 'ink', 'width' => 0.02, 'points' => [[0.02, 0.02]]];
    $ask = ['picture' => $id, 'heightMm' => 90, 'shades' => 0.3, 'brushes' => [$stroke]];
    $document = $this->postJson('/api/breakdown', $ask)->assertOk()->json('document');
    $wishes = ['shades' => 0.3, 'figure' => 0, 'roundToMm' => 0, 'views' => [], 'brushes' => [$stroke]];
    expect($document['picture']['wishes'])->toEqual($wishes);
    $document['parts'][0]['name'] = 'Mine';
    $again = $this->postJson('/api/breakdown', $ask + ['document' => $document])->assertOk();
    expect($again->json('document.parts.0.name'))
        ->toBe('Mine')
        ->and($again->json('notices.0'))
        ->toBe(count($document['parts']).' parts stay as they were.');
})->group('dear');

it('finds a sheet on a photo and keeps it straightened as a picture of its own', function () {
    $photo = Impa\Tests\Support\Pixels::png(static function (GdImage $image): void {
        imagefill($image, 0, 0, 0x5A4636);
        imagefilledpolygon($image, [60, 50, 330, 30, 350, 360, 40, 370], 0xF4F2EC);
    }, 400, 400);
    $id = $this->sendFile($photo)->json('id');
    $found = $this->getJson("/api/pictures/$id/sheet")->assertOk();
    expect($found->json('askew'))->toBeTrue()->and($found->json('corners.0.0'))->toEqualWithDelta(0.15, 0.02);
    $flat = $this->postJson("/api/pictures/$id/sheet", ['corners' => $found->json('corners')])->assertCreated();
    expect($flat->json('id'))->not->toBe($id)->and($flat->json('widthPx'))->toBeLessThan($flat->json('heightPx'));
    $this->get('/api/pictures/'.$flat->json('id'))->assertOk()->assertHeader('Content-Type', 'image/png');
    foreach ([[[0, 0], [1, 0]], [[0, 0], [0, 1], [1, 1], [1, 0]], 'here', [[0, 0], [9, 0], [1, 1], [0, 1]]] as $wrong) {
        $this->postJson("/api/pictures/$id/sheet", ['corners' => $wrong])->assertStatus(422);
    }
    $this->postJson('/api/pictures/999/sheet', ['corners' => []])->assertNotFound();
    $plain = $this->sendFile(demoPicture())->json('id');
    expect($this->getJson("/api/pictures/$plain/sheet")->assertOk()->json('corners'))->toBeNull();
})->group('dear');

it('shows at once what a wish would do', function () {
    $id = $this->sendFile(demoPicture())->json('id');
    $colours = static fn (mixed $shades): int => test()->postJson('/api/breakdown/glance', ['picture' => $id, 'shades' => $shades])
        ->assertOk()
        ->json('colours');
    expect($colours(1))->toBeLessThan($colours(0));
    $this->postJson('/api/breakdown/glance', ['picture' => $id, 'shades' => 2])->assertStatus(422);
    $this->postJson('/api/breakdown/glance', ['picture' => $id, 'figure' => 9])->assertStatus(422);
    $this->postJson('/api/breakdown/glance', ['picture' => 999])->assertStatus(404);
});

it('shows the other reading where it is unsure what belongs to the figure, and breaks down the chosen one', function () {
    // A thick outline of a letter C: what its arms nearly enclose may be white, or paper.
    $rim = [];
    foreach ([130, 70] as $k => $r) {
        $arc = array_map(static fn (int $deg): array => [200 + $r * cos(deg2rad($deg)), 200 + $r * sin(deg2rad($deg))], range(9, 351, 3));
        $rim = [...$rim, ...$k === 0 ? $arc : array_reverse($arc)];
    }
    $id = $this->sendFile((new Sketch)->line([...$rim, $rim[0]], 6, 0x1B1512)->png())->json('id');
    $glance = fn (bool $keeps) => $this->postJson('/api/breakdown/glance', ['picture' => $id, 'keepsUnsure' => $keeps])->assertOk();
    [$without, $with] = [$glance(false), $glance(true)];
    expect($without->json('other'))->toBe($with->json('image'))->and($with->json('other'))->toBe($without->json('image'));
    $made = $this->postJson('/api/breakdown', ['picture' => $id, 'heightMm' => 80, 'keepsUnsure' => true])->assertOk();
    expect($made->json('document.picture.wishes.keepsUnsure'))->toBeTrue();
    $this->postJson('/api/breakdown/glance', ['picture' => $id, 'keepsUnsure' => 'a lot'])->assertStatus(422);
    expect($this->postJson('/api/breakdown/glance', ['picture' => $this->sendFile(demoPicture())->json('id')])->json('other'))->toBeNull();
});

it('cuts, merges, draws round and turns into colour, without saving', function () {
    $ask = fn (string $act, array $what) => $this->postJson("/api/edits/{$act}", ['document' => demoFigure()] + $what);
    $head = collect(demoFigure()['parts'])->firstWhere('key', 'head');
    $y = $head['at']['yMm'];
    $cut = $ask('split', ['key' => 'head', 'line' => [[-60, $y], [60, $y]]])->assertOk();
    expect($cut->json('document.parts'))
        ->toHaveCount(count(demoFigure()['parts']) + 1)
        ->and($cut->json('key'))
        ->toBe('head-2');
    expect(
        $ask('merge', ['keys' => ['head', 'body']])
            ->assertOk()
            ->json('document.parts'),
    )->toHaveCount(count(demoFigure()['parts']) - 1);
    $id = $this->sendFile(demoPicture())->json('id');
    expect(
        $ask('lasso', ['line' => [[-12, 20], [12, 20], [12, 45], [-12, 45]], 'picture' => $id])
            ->assertOk()
            ->json('document.parts'),
    )->toHaveCount(count(demoFigure()['parts']) + 1);
    $flat = $ask('to-detail', ['key' => 'stalk'])->assertOk();
    expect($flat->json('document.details'))->toHaveCount(count(demoFigure()['details']) + 1);
    $ask('to-part', ['key' => demoFigure()['details'][0]['key']])->assertOk();
    $this->assertDatabaseCount('figures', 0);
})->group('dear');

it('answers every act there is by its form, with a figure that the check takes in', function () {
    $routes = array_map(static fn (Route $route): string => $route->uri(), RouteFacade::getRoutes()->getRoutesByMethod()['POST']);
    $acts = array_map(basename(...), array_filter($routes, static fn (string $uri): bool => str_starts_with($uri, 'api/edits/')));
    $thing = ['keys' => ['bobble', 'stalk'], 'name' => 'lamp'];
    $with = $this->postJson('/api/edits/gather', ['document' => demoFigure()] + $thing)->assertOk()->json('document');
    // A scarf as it is drawn: a roll across, inside the body in the round.
    $rolled = demoFigure();
    $scarf = array_search('scarf', array_column($rolled['parts'], 'key'), true);
    $rolled['parts'][$scarf]['shape'] = ['kind' => 'sausage', 'widthMm' => 8, 'heightMm' => 36, 'depthMm' => 8];
    $rolled['parts'][$scarf]['turnDeg'] = ['z' => 90];
    $loose = demoFigure();
    $loose['parts'][array_search('arm', array_column($loose['parts'], 'key'), true)]['at']['zMm'] = -60;
    $suggested = demoFigure();
    $suggested['parts'][0]['seen'] = ['confidence' => 0.9, 'why' => 'A patch of one colour.'];
    $asked = [
        'together' => ['document' => $loose, 'key' => 'arm'],
        'forwards' => ['document' => $rolled, 'key' => 'scarf'],
        'round' => ['document' => $rolled, 'key' => 'scarf'],
        'height' => ['document' => ['heightMm' => 120] + demoFigure(), 'grow' => true],
        'split' => ['key' => 'head', 'line' => [[-60, 80], [60, 80]]],
        'merge' => ['keys' => ['head', 'body']],
        'lasso' => ['line' => [[-12, 20], [12, 20], [12, 45], [-12, 45]]],
        'take-surer' => ['document' => $suggested, 'least' => 0.8],
        'to-detail' => ['key' => 'stalk'],
        'to-part' => ['key' => 'belly'],
        'remove' => ['kind' => 'detail', 'keys' => ['mouth', 'eye']],
        'double' => ['kind' => 'part', 'key' => 'arm'],
        'paint' => ['kind' => 'detail', 'keys' => ['eye'], 'hex' => '#112233', 'name' => 'Ink'],
        'add' => ['shape' => 'cone', 'on' => 'head'],
        'mend' => ['key' => 'mouth', 'set' => ['widthMm' => 2], 'add' => [], 'remove' => ['spark-left']],
        'part-pair' => ['key' => 'eye'],
        'twin' => ['key' => 'eye', 'pair' => false],
        'axis' => ['mm' => 1],
        'depth' => ['key' => 'body', 'nearer' => true],
        'wire-point' => ['document' => ['wires' => [['key' => 'w', 'pointsMm' => [[0, 0, 0], [0, 40, 0]]]]] + demoFigure(), 'key' => 'w'],
        'gather' => ['keys' => ['bobble', 'stalk'], 'name' => 'lamp'],
        'resize' => ['document' => $with, 'thing' => 'lamp', 'times' => 1.5],
        'fasten' => ['document' => $with, 'thing' => 'lamp', 'holder' => 'head'],
        'put' => ['from' => lay('sorrel'), 'name' => 'friend', 'how' => 'held', 'holder' => 'arm', 'heightMm' => 30],
    ];
    expect(array_keys($asked))->toEqualCanonicalizing(array_values($acts));
    foreach ($asked as $act => $more) {
        // Each answer is held against its form by the way (Tests\Answers); the document by the door of another.
        $answer = $this->postJson("/api/edits/{$act}", $more + ['document' => demoFigure()])->assertOk();
        expect($answer->json('document'))->not->toEqual(demoFigure(), $act);
        $this->postJson('/api/plan', ['document' => $answer->json('document')])->assertOk();
    }
});

it('leads the middle line elsewhere and takes away, with nothing to be looked at next', function () {
    $first = demoFigure()['parts'][0];
    $moved = $this->postJson('/api/edits/axis', ['document' => demoFigure(), 'mm' => 2.5])->assertOk();
    expect($moved->json('document.parts.0.at.xMm'))->toEqualWithDelta($first['at']['xMm'] - 2.5, 0.005)
        ->and([$moved->json('kind'), $moved->json('key')])->toBe(['', '']);
    $away = ['kind' => 'part', 'keys' => ['scarf']];
    $gone = $this->postJson('/api/edits/remove', ['document' => demoFigure()] + $away)->assertOk();
    expect(array_column($gone->json('document.parts'), 'key'))->not->toContain('scarf')->and($gone->json('kind'))->toBe('');
});

it('has no act that it does not know', function () {
    $this->postJson('/api/edits/melt', ['document' => demoFigure()])
        ->assertStatus(404)
        ->assertHeader('Content-Type', 'application/problem+json');
});

it('refuses cuts that cannot be made', function (string $act, array $what, string $words) {
    $answer = $this->postJson("/api/edits/{$act}", ['document' => demoFigure()] + $what)
        ->assertStatus(422)
        ->assertHeader('Content-Type', 'application/problem+json');
    expect($answer->json('detail'))->toContain($words);
})->with([
    ['axis', ['mm' => 'far'], 'must be a number'],
    ['axis', ['mm' => 900_000], 'faults'],
    ['split', ['key' => 'head', 'line' => [[500, 0], [500, 10]]], 'in one piece'],
    ['split', ['key' => 'head', 'line' => 'across'], 'list of points'],
    ['split', ['key' => 'head', 'line' => [['a', 1], [2, 3]]], 'list of points'],
    ['merge', ['keys' => ['head']], 'two parts'],
    ['merge', ['keys' => [1, 2]], 'list of texts'],
    ['lasso', ['line' => [[0, 0], [1e9, 5]]], 'list of points'],
]);

it('says how a figure stands as the console does, of one without parts as well, and refuses what is none', function () {
    $sheet = $this->postJson('/api/balance', ['document' => demoFigure()])->assertOk()->json();
    $balance = Balance::of(Ledger::of(Figure::fromJson((string) json_encode(demoFigure())), Densities::house()));
    expect($sheet)->toEqual(json_decode((string) json_encode(BalanceSheet::of($balance)), true));
    $bare = ['parts' => [], 'details' => []] + demoFigure();
    expect($this->postJson('/api/balance', ['document' => $bare])->assertOk()->json())->massG->toEqual(0)->cures->toBe([]);
    $this->postJson('/api/balance', ['document' => ['format' => 'impa-figure']])->assertStatus(422);
});

it('says what a wish about one size comes to', function () {
    $ask = fn (array $wish) => $this->postJson('/api/sizing', ['document' => demoFigure()] + $wish);
    expect(
        $ask(['by' => 'height', 'heightMm' => 220])
            ->assertOk()
            ->json('woolTimes'),
    )->toBeGreaterThan(7.5)->toBeLessThan(8.0);
    $width = collect(demoFigure()['parts'])->firstWhere('key', 'head')['shape']['widthMm'];
    expect(
        $ask(['by' => 'part', 'part' => 'head', 'widthMm' => 2 * $width])
            ->assertOk()
            ->json('heightMm'),
    )->toEqualWithDelta(220, 1e-6);
    expect(
        $ask(['by' => 'object', 'acrossMm' => 40])
            ->assertOk()
            ->json('factor'),
    )->toBeLessThan(1);
    $ask(['by' => 'luck'])->assertStatus(422);
    expect(
        $ask(['by' => 'part', 'part' => 'head', 'widthMm' => 0])
            ->assertStatus(422)
            ->json('title'),
    )->toBe('This size cannot be');
});

it('measures how well a figure lies over its drawing', function () {
    $id = $this->sendFile(demoPicture())->json('id');
    $answer = $this->postJson('/api/agreement', ['document' => demoFigure(), 'picture' => $id])->assertOk();
    expect($answer->json('share'))->toBeGreaterThan(0.9)->and($answer->json('overlap'))->toBeGreaterThan(0.9);
});

it('takes depths from a side picture and shows it by its hash', function () {
    $id = $this->sendFile(demoPicture('lanto'))->json('id');
    $answer = $this->postJson('/api/side-view', [
        'document' => demoFigure('lanto'),
        'picture' => $id,
        'facesLeft' => true,
        'file' => 'side.png',
    ])->assertOk();
    $hash = $answer->json('document.sidePicture.hash');
    expect($hash)->toMatch('/^[0-9a-f]{64}$/')->and($answer->json('notices.0'))->toContain('parts took their depth');
    $this->get("/api/pictures/by-hash/{$hash}")->assertOk();
    $this->get('/api/pictures/by-hash/'.str_repeat('0', 64))->assertStatus(404);
})->group('dear');

it('prints size cards: a 50 mm part is 50 mm on paper', function (string $paper, array $pagePt) {
    $document = demoFigure();
    $document['parts'] = [
        [
            'key' => 'ball',
            'name' => 'Ball',
            'shape' => ['kind' => 'ball', 'widthMm' => 50, 'heightMm' => 50, 'depthMm' => 50],
            'at' => ['xMm' => 0, 'yMm' => 25],
            'colour' => $document['colours'][0]['key'],
        ],
    ];
    $document['details'] = [];
    $pdf = $this->postJson('/api/size-cards', ['document' => $document, 'paper' => $paper])
        ->assertOk()
        ->assertHeader('Content-Type', 'application/pdf')
        ->getContent();
    $file = sys_get_temp_dir().'/impa-'.bin2hex(random_bytes(4));
    file_put_contents("{$file}.pdf", $pdf);
    $info = new Process(['pdfinfo', "{$file}.pdf"]);
    $info->mustRun();
    preg_match('/Page size:\s+([\d.]+) x ([\d.]+)/', $info->getOutput(), $size);
    expect((float) $size[1])->toEqualWithDelta($pagePt[0], 0.5)->and((float) $size[2])->toEqualWithDelta($pagePt[1], 0.5);
    (new Process(['pdftoppm', '-r', '254', '-png', '-singlefile', "{$file}.pdf", $file]))->mustRun();
    $image = imagecreatefrompng("{$file}.png");
    // At 254 dpi a pixel is 0.1 mm. The front outline's middle row: from its first dark pixel to its last.
    [$left, $right] = [null, null];
    $row = 160 + 250;
    for ($x = 130; $x < 700; $x++) {
        if ((imagecolorat($image, $x, $row) & 255) < 120) {
            $left ??= $x;
            $right = $x;
        }
    }
    expect(($right - $left) / 10)->toEqualWithDelta(50, 0.3);
    array_map('unlink', ["{$file}.pdf", "{$file}.png"]);
})->with([['a4', [595.28, 841.89]], ['letter', [612.0, 792.0]]])->group('dear');

it('gives size cards as SVG, and refuses other papers', function () {
    $svg = $this->postJson('/api/size-cards', ['document' => demoFigure(), 'as' => 'svg'])
        ->assertOk()
        ->assertHeader('Content-Type', 'image/svg+xml')
        ->getContent();
    expect(simplexml_load_string($svg))->not->toBeFalse()->and($svg)->toContain('width="210mm"');
    $this->postJson('/api/size-cards', ['document' => demoFigure(), 'paper' => 'a0'])->assertStatus(422);
    $this->postJson('/api/size-cards', ['document' => demoFigure(), 'as' => 'doc'])->assertStatus(422);
});
