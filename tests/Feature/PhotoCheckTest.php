<?php

declare(strict_types=1);

use App\Models\Picture;
use Illuminate\Support\Facades\DB;

/** @return array{int, int} a figure, and a photo of it by the stand-in */
function photographed(string $name = 'sorrel', int $seed = 5): array
{
    $id = lay($name);
    $taken = test()->postJson('/api/check/camera', ['document' => demoFigure($name), 'seed' => $seed, 'marker' => true]);

    return [$id, $taken->assertCreated()->json('id')];
}

describe('a photo of a figure', function () {
    it('is held against it, kept beside those before, and taken out again', function () {
        [$id, $picture] = photographed();
        $told = $this->postJson("/api/figures/{$id}/photos", ['document' => demoFigure('sorrel'), 'picture' => $picture])->assertOk();
        expect($told->json('photos'))->toHaveCount(1)
            ->and($told->json('photos.0.check.overlap'))->toBeGreaterThan(0.85)
            ->and($told->json('photos.0.check.measured'))->toBeTrue()
            ->and($told->json('photos.0.check.deviations'))->not->toBe([]);
        $sent = ['document' => demoFigure('sorrel'), 'picture' => $picture, 'view' => 'front'];
        $this->postJson("/api/figures/{$id}/photos", $sent)->assertOk();
        $two = $this->getJson("/api/figures/{$id}/photos")->assertOk()->json('photos');
        expect($two)->toHaveCount(2);
        expect($this->deleteJson("/api/figures/{$id}/photos/{$two[0]['id']}")->assertOk()->json('photos.0.id'))->toBe($two[1]['id']);
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
    expect(impa('impa:camera', 'demo/sorrel.impa.json', "--out={$png}", '--marker', '--px=900', '--seed=3')[0])->toBe(0);
    [$exit, $out] = impa('impa:photo-check', 'demo/sorrel.impa.json', $png);
    holdAgainst('photo-check', $out);
    expect($exit)->toBe(0)->and(json_decode($out, true)['overlap'])->toBeGreaterThan(0.93);
    // The same photo is not one of another figure.
    [$exit, , $why] = impa('impa:photo-check', 'demo/lanto.impa.json', $png);
    expect($exit)->toBe(2)->and($why)->toContain('another figure');
    expect(impa('impa:camera', 'demo/sorrel.impa.json', "--out={$png}", '--deviate=demo/lanto.impa.json', '--px=300')[0])->toBe(0);
    foreach ([['--px=10'], ['--px=x'], ['--view=inside'], ['--seed=-1'], ['--deviate=nowhere.json']] as $bad) {
        expect(impa('impa:camera', 'demo/sorrel.impa.json', "--out={$png}", ...$bad)[0])->toBe(2);
    }
    expect(impa('impa:camera', 'demo/sorrel.impa.json')[0])->toBe(2)
        ->and(impa('impa:photo-check', 'demo/sorrel.impa.json', $png, '--view=inside')[0])->toBe(2)
        ->and(impa('impa:photo-check', 'demo/sorrel.impa.json', 'README.md')[0])->toBe(2);
    unlink($png);
});
