<?php

declare(strict_types=1);

use App\Models\Picture;
use Illuminate\Support\Facades\DB;

/** @return array{int, int} a figure, and a photo of it by the stand-in */
function photographed(string $name = 'sorrel', int $seed = 5): array
{
    $id = lay($name);
    $taken = test()->postJson('/api/check/camera', ['document' => demoFigure($name), 'seed' => $seed, 'marker' => true, 'px' => 900]);

    return [$id, $taken->assertCreated()->json('id')];
}

function wingMm(): float
{
    return array_column(demoFigure('sorrel')['parts'], null, 'key')['wing']['shape']['widthMm'];
}

describe('a photo of a figure', function () {
    it('is held against it, kept beside those before, and taken out again', function () {
        [$id, $picture] = photographed();
        $told = $this->postJson("/api/figures/{$id}/photos", ['document' => demoFigure('sorrel'), 'picture' => $picture])->assertOk();
        expect($told->json('photos'))->toHaveCount(1)
            ->and($told->json('photos.0.check.overlap'))->toBeGreaterThan(0.85)
            ->and($told->json('photos.0.check.scaledBy'))->toBe('sheet')
            ->and($told->json('photos.0.check.deviations'))->not->toBe([]);
        $sent = ['document' => demoFigure('sorrel'), 'picture' => $picture, 'view' => 'front'];
        $this->postJson("/api/figures/{$id}/photos", $sent)->assertOk();
        $two = $this->getJson("/api/figures/{$id}/photos")->assertOk()->json('photos');
        expect($two)->toHaveCount(2);
        expect($this->deleteJson("/api/figures/{$id}/photos/{$two[0]['id']}")->assertOk()->json('photos.0.id'))->toBe($two[1]['id']);
    });

    it('is measured by a ruler or a part, and may show one part alone', function () {
        $id = lay('lanto');
        $document = demoFigure('lanto');
        $taken = fn (array $more): int => $this->postJson('/api/check/camera', ['document' => $document, 'seed' => 3, 'px' => 900] + $more)
            ->assertCreated()->json('id');
        $hold = fn (array $more) => $this->postJson("/api/figures/{$id}/photos", ['document' => $document] + $more);
        $whole = ['picture' => $taken([])];
        $wide = array_column($document['parts'], null, 'key')['head']['shape']['widthMm'];
        $bare = $hold($whole)->assertOk()->json('photos.0.check');
        $perPx = $bare['mmPerPx'];
        expect($bare['scaledBy'])->toBe('figure')
            ->and($hold($whole + ['knownPart' => 'head', 'knownMm' => $wide])->assertOk()->json('photos.1.check.scaledBy'))->toBe('part');
        // Both places on the figure itself: what lies there is no ruler, but tells as much.
        $ruler = ['ruler' => [[340, 280], [340, 400]], 'knownMm' => 120 * $perPx];
        $measured = $hold($whole + $ruler)->assertOk()->json('photos.2.check');
        expect($measured['scaledBy'])->toBe('ruler')->and($measured['mmPerPx'])->toEqualWithDelta($perPx, 0.01 * $perPx);
        $alone = $hold(['picture' => $taken(['part' => 'cap', 'marker' => true]), 'part' => 'cap'])->assertOk()->json('photos.3.check');
        expect(array_unique(array_column($alone['deviations'], 'part')))->toBeIn([[], ['cap']])->and($alone['outline'])->toHaveCount(1);
        $wrong = [
            ['part' => 'tail'],
            ['ruler' => [[1, 2]]],
            ['ruler' => [[1, 2], [300, 4]]],
            ['ruler' => [[1, 2], [300, 4], [5, 6]], 'knownMm' => 9],
            ['knownPart' => 'head', 'knownMm' => -1],
            ['knownPart' => 'tail', 'knownMm' => 20],
        ];
        foreach ($wrong as $bad) {
            $hold($whole + $bad)->assertStatus(422);
        }
        expect($this->getJson("/api/figures/{$id}/photos")->json('photos'))->toHaveCount(4);
    });

    it('is refused in words where nothing can be judged on it, and nothing is kept', function () {
        $id = lay('sorrel');
        $drawing = $this->call('POST', '/api/pictures', content: demoPicture('bobbin'))->json('id');
        $sent = ['document' => demoFigure('sorrel'), 'picture' => $drawing];
        $refused = $this->postJson("/api/figures/{$id}/photos", $sent)->assertStatus(422);
        expect($refused->json('title'))->toBe('This photo cannot be judged');
        $this->postJson("/api/figures/{$id}/photos", ['picture' => 9999] + $sent)->assertNotFound();
        expect($this->postJson("/api/figures/{$id}/photos", ['view' => 'inside'] + $sent)->assertStatus(422)->json('detail'))
            ->toContain('front, side, back or top');
        expect($this->getJson("/api/figures/{$id}/photos")->json('photos'))->toBe([]);
        $this->postJson('/api/check/camera', ['document' => ['parts' => [], 'details' => []] + demoFigure('sorrel')])->assertStatus(422);
    });

    it('stays, like a photo in the diary, when old pictures are swept', function () {
        [$id, $picture] = photographed();
        $this->postJson("/api/figures/{$id}/photos", ['document' => demoFigure('sorrel'), 'picture' => $picture])->assertOk();
        [, $noted] = photographed('sorrel', 6);
        $entry = ['uuid' => 'photo-12345', 'kind' => 'photo', 'step' => '', 'at' => 1000, 'text' => '', 'picture' => $noted];
        $this->postJson("/api/figures/{$id}/log", $entry)->assertOk();
        [, $lost] = photographed('sorrel', 7);
        DB::table('pictures')->update(['updated_at' => now()->subDays(3)]);
        Picture::sweep();
        expect(Picture::query()->whereKey([$picture, $noted])->count())->toBe(2)
            ->and(Picture::query()->whereKey($lost)->exists())->toBeFalse();
    });
});

it('prints the marker sheet', function () {
    $pdf = $this->postJson('/api/check/marker', ['document' => demoFigure('sorrel'), 'paper' => 'a4'])->assertOk();
    expect($pdf->getContent())->toStartWith('%PDF-');
});

it('photographs and checks from the console, by its schema, and refuses in a line', function () {
    $png = tempnam(sys_get_temp_dir(), 'photo').'.png';
    expect(impa('impa:camera', 'demo/sorrel.impa.json', "--out={$png}", '--marker', '--px=640', '--seed=3')[0])->toBe(0);
    [$exit, $out] = impa('impa:photo-check', 'demo/sorrel.impa.json', $png);
    holdAgainst('photo-check', $out);
    expect($exit)->toBe(0)->and(json_decode($out, true)['overlap'])->toBeGreaterThan(0.93);
    foreach (['--known=head', '--known=head:x', '--ruler=1,2,3:4', '--ruler=1,2,3,4:5', '--part=tail'] as $bad) {
        expect(impa('impa:photo-check', 'demo/sorrel.impa.json', $png, $bad)[0])->toBe(2);
    }
    expect(impa('impa:photo-check', 'demo/sorrel.impa.json', $png, '--known=head:40', '--ruler=1,2,300,4:5')[2])->toContain('one of both');
    $lit = tempnam(sys_get_temp_dir(), 'photo').'.png';
    expect(impa('impa:camera', 'demo/sorrel.impa.json', "--out={$lit}", '--marker', '--px=640', '--seed=3', '--light=side')[0])->toBe(0)
        ->and(file_get_contents($lit))->not->toBe(file_get_contents($png))
        ->and(impa('impa:photo-check', 'demo/sorrel.impa.json', $lit)[0])->toBe(0);
    // The same photo is not one of another figure.
    [$exit, , $why] = impa('impa:photo-check', 'demo/lanto.impa.json', $png);
    expect($exit)->toBe(2)->and($why)->toContain('another figure');
    expect(impa('impa:camera', 'demo/sorrel.impa.json', "--out={$png}", '--deviate=demo/lanto.impa.json', '--px=300')[0])->toBe(0);
    foreach ([['--px=10'], ['--px=x'], ['--view=inside'], ['--seed=-1'], ['--deviate=nowhere.json'], ['--light=dusk']] as $bad) {
        expect(impa('impa:camera', 'demo/sorrel.impa.json', "--out={$png}", ...$bad)[0])->toBe(2);
    }
    expect(impa('impa:camera', 'demo/sorrel.impa.json')[0])->toBe(2)
        ->and(impa('impa:photo-check', 'demo/sorrel.impa.json', $png, '--view=inside')[0])->toBe(2)
        ->and(impa('impa:photo-check', 'demo/sorrel.impa.json', 'README.md')[0])->toBe(2);
    expect(impa('impa:camera', 'demo/sorrel.impa.json', "--out={$png}", '--part=wing', '--px=640')[0])->toBe(0);
    [$exit, $out] = impa('impa:photo-check', 'demo/sorrel.impa.json', $png, '--part=wing', '--known=wing:'.wingMm());
    expect($exit)->toBe(0)->and(json_decode($out, true)['scaledBy'])->toBe('part')
        ->and(impa('impa:camera', 'demo/sorrel.impa.json', "--out={$png}", '--part=tail')[0])->toBe(2);
    unlink($png);
});
