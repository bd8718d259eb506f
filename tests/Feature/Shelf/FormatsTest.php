<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Artisan;
use Impa\Raster\Raster;
use Symfony\Component\Process\Process;

it('gives a figure as glTF in which the Khronos validator finds nothing to say', function () {
    $files = [];
    foreach (['bobbin', 'wick', 'lanto', 'sorrel', 'dusk'] as $name) {
        $files[] = $file = sys_get_temp_dir()."/impa-{$name}.glb";
        file_put_contents($file, $this->postJson('/api/model', ['document' => demoFigure($name)])->assertOk()->getContent());
    }
    $process = new Process(['node', base_path('tests/Support/gltf-report.mjs'), ...$files], base_path());
    $process->mustRun();
    $reports = explode("\n", trim($process->getOutput()));
    expect($reports)->toHaveCount(5);
    foreach ($reports as $report) {
        $said = json_decode($report);
        expect([$said->numErrors, $said->numWarnings, $said->numInfos, $said->numHints])->toBe([0, 0, 0, 0])
            ->and($said->info->totalTriangleCount)->toBeGreaterThan(1000);
    }
    // By either door the same.
    $out = sys_get_temp_dir().'/impa-console.glb';
    expect(Artisan::call('impa:model', ['figure' => base_path('demo/bobbin.impa.json'), '--out' => $out]))->toBe(0)
        ->and(file_get_contents($out))->toBe(file_get_contents($files[0]));
})->group('dear');

it('gives outlines of true size, by either door the same, and refuses a view there is not', function () {
    $out = sys_get_temp_dir().'/impa-console.svg';
    Artisan::call('impa:model', ['figure' => base_path('demo/wick.impa.json'), '--out' => $out, '--view' => 'side']);
    $asked = ['document' => demoFigure('wick'), 'view' => 'side'];
    expect($this->postJson('/api/outlines', $asked)->assertOk()->getContent())->toBe(file_get_contents($out));
    $this->postJson('/api/outlines', ['document' => demoFigure('wick'), 'view' => 'below'])->assertStatus(422);
    expect(Artisan::call('impa:model', ['figure' => base_path('demo/wick.impa.json'), '--out' => '/tmp/x.stl']))->toBe(2);
});

describe('a drawing in SVG', function () {
    it('is taken in as pixels, and its shapes are seen', function () {
        $svg = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 300"><circle cx="100" cy="90" r="80" fill="#8a5f9f"/>'
            .'<ellipse cx="100" cy="220" rx="60" ry="75" fill="#2f8f86"/></svg>';
        $id = $this->sendFile($svg)->assertCreated()->assertJsonPath('widthPx', 800)->assertJsonPath('heightPx', 1200)->json('id');
        $png = (string) $this->get("/api/pictures/{$id}")->assertOk()->getContent();
        expect(Raster::header($png)[2])->toBe('image/png');
        $seen = $this->postJson('/api/breakdown', ['picture' => $id, 'heightMm' => 100])->assertOk()->json('document');
        expect(array_column($seen['parts'], 'colour'))->toHaveCount(2);
    })->group('dear');

    it('is refused in words where it is hostile, and nothing is kept of it', function (string $inside) {
        $svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 10 10\">{$inside}</svg>";
        $this->sendFile($svg)->assertStatus(422)->assertJsonPath('detail', fn (string $d): bool => str_starts_with($d, 'This SVG'));
        expect(Storage::disk('pictures')->allFiles())->toBe([]);
    })->with(['<script>alert(1)</script>', '<image href="file:///etc/passwd"/>', '<path d="" onload="x()"/>']);

    it('is ended where it takes too long, and never holds more than it may', function () {
        // Each level draws the one before ten times: 10^9 rectangles.
        $levels = '<g id="l0"><rect width="1" height="1"/></g>';
        for ($i = 1; $i < 10; $i++) {
            $levels .= "<g id=\"l{$i}\">".str_repeat('<use href="#l'.($i - 1).'"/>', 10).'</g>';
        }
        $svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 10 10\"><defs>{$levels}</defs><use href=\"#l9\"/></svg>";
        $began = microtime(true);
        $this->sendFile($svg)->assertStatus(422)->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'Export it simpler'));
        expect(microtime(true) - $began)->toBeLessThan(60.0);
    })->group('dear');
});
