<?php

declare(strict_types=1);

describe('a figure of layers', function () {
    it('is planned by its schema, on the sheets that are said', function () {
        $flat = $this->postJson('/api/flat', ['document' => demoFigure('dusk')])->assertOk();
        holdAgainst('flat', (string) $flat->getContent());
        expect($flat->json('layers'))->toHaveCount(10)->and($flat->json('sheets'))->toHaveCount(4)
            ->and($flat->json('ribbon.totalMm'))->toEqualWithDelta(880, 1e-6);
        $small = ['widthMm' => 120, 'heightMm' => 80, 'hasGrain' => true];
        $told = $this->postJson('/api/flat', ['document' => demoFigure('dusk'), 'sheet' => $small])->assertOk();
        expect($told->json('notes.0.code'))->toBe('sheet-too-small')->and($told->json('sheets.0.trouble'))->toContain('larger sheet');
    });

    it('comes on paper as PDF and SVG', function () {
        $ask = ['document' => demoFigure('dusk'), 'mirrored' => true, 'paper' => 'letter'];
        expect($this->postJson('/api/flat/templates', $ask)->assertOk()->getContent())->toStartWith('%PDF-')
            ->and($this->postJson('/api/flat/templates', ['as' => 'svg'] + $ask)->assertOk()->getContent())
            ->toContain('cut 2, one turned over');
        $this->postJson('/api/flat/templates', ['as' => 'png'] + $ask)->assertStatus(422);
    });

    it('is refused in words where there is none, and for sheets that are none', function () {
        $this->postJson('/api/flat', ['document' => demoFigure()])->assertStatus(422)->assertJsonPath('title', 'That cannot be cut');
        foreach ([['widthMm' => 1, 'heightMm' => 100], ['widthMm' => 'wide'], []] as $sheet) {
            $this->postJson('/api/flat', ['document' => demoFigure('dusk'), 'sheet' => (object) $sheet])->assertStatus(422);
        }
        $this->postJson('/api/flat', ['document' => demoFigure('dusk'), 'sheet' => 'A4'])->assertStatus(422);
    });

    it('is seen in its drawing, where it is asked for in layers, and refused in other stuff', function () {
        $picture = $this->call('POST', '/api/pictures', content: demoPicture('dusk'))->json('id');
        $seen = $this->postJson('/api/breakdown', ['picture' => $picture, 'heightMm' => 105, 'flat' => 'batting'])->assertOk();
        expect($seen->json('document.flat.way'))->toBe('batting')->and($seen->json('document.flat.openings'))->toHaveCount(2);
        $this->postJson('/api/breakdown', ['picture' => $picture, 'heightMm' => 105, 'flat' => 'stone'])->assertStatus(422);
    })->group('dear');
});

it('cuts and sews a part, and refuses what has no pattern', function () {
    $ask = fn (array $more) => $this->postJson('/api/flat/pattern', $more + ['document' => demoFigure('wick'), 'part' => 'crown']);
    $hat = $ask(['hollow' => true])->assertOk();
    expect($hat->json('pieces'))->toHaveCount(1)->and($hat->json('stuffingG'))->toEqual(0)
        ->and($ask([])->assertOk()->json('pieces'))->toHaveCount(3);
    $ask(['part' => 'nobody'])->assertStatus(422);
    $ask(['part' => 'lamp'])->assertStatus(422);
    $ask(['stitch' => 'glue'])->assertStatus(422);
    $ask(['seamMm' => 99])->assertStatus(422);
    $sheet = $this->postJson('/api/flat/pattern/sheet', ['document' => demoFigure('wick'), 'part' => 'crown']);
    expect($sheet->assertOk()->getContent())->toStartWith('%PDF-');
});

describe('things a figure has with it', function () {
    it('are brought in from the shelf, measured, joined elsewhere, made larger, and taken out as figures', function () {
        $from = lay('lanto');
        $act = fn (string $act, array $document, array $more): array => $this
            ->postJson("/api/edits/{$act}", ['document' => $document] + $more)->assertOk()->json('document');
        $held = ['from' => $from, 'name' => 'pod', 'how' => 'held', 'holder' => 'arm', 'heightMm' => 30];
        $with = $act('put', demoFigure('wick'), $held);
        $things = $this->postJson('/api/things', ['document' => $with])->assertOk()->json('things');
        expect(array_column($things, 'name'))->toBe(['lamp', 'pod'])->and($things[1]['heightMm'])->toEqualWithDelta(30, 0.1);
        $worn = $act('fasten', $with, ['thing' => 'pod', 'holder' => 'head']);
        $large = $act('resize', $worn, ['thing' => 'pod', 'times' => 2]);
        $pod = $this->postJson('/api/things', ['document' => $large])->json('things.1');
        expect($pod['holder'])->toBe('head')->and($pod['heightMm'])->toEqualWithDelta(60, 0.2);
        $taken = $this->postJson('/api/things/taken', ['document' => $large, 'thing' => 'pod'])->assertOk()->json('document');
        $this->postJson('/api/figures', ['document' => $taken])->assertCreated();
        $hat = $act('gather', $large, ['keys' => ['brim', 'crown'], 'name' => 'hat']);
        expect($this->postJson('/api/things', ['document' => $hat])->json('things.0.name'))->toBe('hat');
    });

    it('are refused where there are none, and change nothing', function () {
        $ask = fn (string $act, array $more) => $this->postJson("/api/edits/{$act}", ['document' => demoFigure('wick')] + $more);
        $ask('resize', ['thing' => 'fish', 'times' => 2])->assertStatus(422);
        $ask('resize', ['thing' => 'lamp', 'times' => 1000])->assertStatus(422);
        $ask('fasten', ['thing' => 'lamp', 'holder' => 'lamp'])->assertStatus(422);
        $ask('put', ['from' => 999_999, 'holder' => 'arm', 'heightMm' => 30])->assertStatus(404);
        $ask('put', ['from' => lay(), 'holder' => 'arm', 'heightMm' => 30, 'how' => 'thrown'])->assertStatus(422);
        $this->postJson('/api/things/taken', ['document' => demoFigure('wick'), 'thing' => ''])->assertStatus(422);
    });
});

it('cuts, sews and prints from the console, and refuses in a line', function () {
    $pdf = tempnam(sys_get_temp_dir(), 'flat').'.pdf';
    [$exit, $out] = impa('impa:flat', 'demo/dusk.impa.json', '--sheet=200x300', "--out={$pdf}", '--mirrored');
    expect($exit)->toBe(0)->and((string) file_get_contents($pdf))->toStartWith('%PDF-');
    holdAgainst('flat', $out);
    unlink($pdf);
    [$exit, $out] = impa('impa:flat', 'demo/wick.impa.json', '--part=crown', '--stitch=whip', '--hollow');
    expect($exit)->toBe(0)->and(json_decode($out)->pieces)->toHaveCount(1);
    foreach ([['demo/bobbin.impa.json'], ['demo/dusk.impa.json', '--sheet=large'], ['demo/wick.impa.json', '--part=lamp'],
        ['demo/wick.impa.json', '--part=crown', '--seam=x'], ['demo/dusk.impa.json', '--paper=a3'], ['nowhere.json']] as $words) {
        [$exit, $out, $why] = impa('impa:flat', ...$words);
        expect($exit)->toBe(2)->and($out)->toBe('')->and(substr_count(trim($why), "\n"))->toBe(0);
    }
});
