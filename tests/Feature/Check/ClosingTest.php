<?php

declare(strict_types=1);

it('names what is left of a figure, and that it is not safe while the tip of a needle is missing', function () {
    $id = lay('sorrel');
    $kinds = fn (): array => array_column($this->getJson("/api/figures/{$id}/closing")->assertOk()->json('left'), null, 'kind');
    expect($kinds()['steps']['done'])->toBeFalse()->and($kinds()['needles']['done'])->toBeTrue();
    $now = (int) (microtime(true) * 1000);
    $entry = ['kind' => 'broken', 'step' => '', 'text' => '', 'at' => $now];
    $this->postJson("/api/figures/{$id}/log", ['uuid' => 'broke-001', 'gauge' => 36] + $entry)->assertOk();
    expect($kinds()['needles']['text'])->toContain('not safe yet');
    $this->postJson("/api/figures/{$id}/log", ['uuid' => 'found-001', 'kind' => 'found'] + $entry)->assertOk();
    expect($kinds()['needles']['done'])->toBeTrue();
    foreach (array_column($this->postJson('/api/build', ['document' => demoFigure('sorrel')])->json('sheet.steps'), 'key') as $step) {
        $this->putJson("/api/figures/{$id}/steps/{$step}")->assertOk();
    }
    expect($kinds()['steps']['done'])->toBeTrue()->and($kinds()['loose-ends']['done'])->toBeTrue();
});

it('keeps what to change next time, once, and refuses a novel', function () {
    $id = lay('sorrel');
    foreach (['A larger head.', 'A smaller head.'] as $next) {
        expect($this->putSeen("/api/figures/{$id}/closing", ['next' => $next])->assertOk()->json('next'))->toBe($next);
    }
    $entries = collect($this->getJson("/api/figures/{$id}/log")->json('sittings'))->flatMap(fn ($s) => $s['entries']);
    expect($entries->pluck('text')->all())->toBe(['A smaller head.']);
    $this->putSeen("/api/figures/{$id}/closing", ['next' => str_repeat('a', 2001)])->assertStatus(422);
});

it('prints the card of a figure, with its photo where there is one', function () {
    $id = lay('sorrel');
    $plain = $this->postJson("/api/figures/{$id}/card", ['paper' => 'a4'])->assertOk()->getContent();
    $taken = $this->postJson('/api/check/camera', ['document' => demoFigure('sorrel'), 'seed' => 4, 'px' => 800])->json('id');
    $this->postJson("/api/figures/{$id}/photos", ['document' => demoFigure('sorrel'), 'picture' => $taken])->assertOk();
    $photo = $this->postJson("/api/figures/{$id}/card", ['paper' => 'letter'])->assertOk()->getContent();
    expect($plain)->toStartWith('%PDF-')->and($photo)->toStartWith('%PDF-')->and(strlen($photo))->not->toBe(strlen($plain));
})->group('dear');

it('keeps the ticks of what was looked at', function () {
    $id = lay('sorrel');
    $done = fn (): bool => array_column($this->getJson("/api/figures/{$id}/closing")->json('left'), 'done', 'kind')['trim'];
    $this->putJson("/api/figures/{$id}/closing/trim", ['done' => true])->assertOk();
    $this->putJson("/api/figures/{$id}/closing/trim", ['done' => true])->assertOk();
    expect($done())->toBeTrue()->and($this->getJson("/api/figures/{$id}/steps")->json('done'))->toBe([]);
    $this->putJson("/api/figures/{$id}/closing/trim", ['done' => false])->assertOk();
    expect($done())->toBeFalse();
    $this->putJson("/api/figures/{$id}/closing/steps", ['done' => true])->assertNotFound();
});

it('shares a figure as a booklet, on paper and as a file that another shelf takes in; never without saying whose it is', function () {
    $id = lay('lanto');
    $wish = ['document' => demoFigure('lanto'), 'whose' => 'mine', 'credit' => 'Mara', 'licence' => 'For friends'];
    $ask = fn (array $more) => $this->postJson("/api/figures/{$id}/booklet", $more + $wish);
    expect($ask([])->assertOk()->getContent())->toStartWith('%PDF-')
        ->and($ask(['paper' => 'letter'])->assertOk()->getContent())->toStartWith('%PDF-');
    $file = $ask(['as' => 'file'])->assertOk()->json();
    $taken = $this->postJson('/api/booklets', $file)->assertCreated()->json();
    expect($taken['id'])->not->toBe($id)->and($taken['document']['origin'])->toBe(['credit' => 'Mara', 'licence' => 'For friends'])
        ->and($taken['document'])->not->toHaveKey('picture');
    expect($ask(['whose' => ''])->assertStatus(422)->json('detail'))->toContain('ask her first');
    $ask(['credit' => ''])->assertStatus(422);
    expect($ask(['drawing' => true])->assertStatus(422)->json('detail'))->toContain('no drawing');
    $this->postJson('/api/booklets', ['format' => 'impa-booklet'])->assertStatus(422);
    $this->postJson('/api/booklets', ['figure' => ['format' => 'x']] + $file)->assertStatus(422);
})->group('dear');

it('makes booklets from the console, and refuses in a line', function () {
    $json = tempnam(sys_get_temp_dir(), 'booklet').'.json';
    $pdf = str_replace('.json', '.pdf', $json);
    $hers = ['--whose=mine', '--credit=Mara'];
    expect(impa('impa:booklet', 'demo/lanto.impa.json', "--out={$json}", ...$hers)[0])->toBe(0)
        ->and(impa('impa:booklet', 'demo/lanto.impa.json', "--out={$pdf}", ...$hers)[0])->toBe(0)
        ->and(file_get_contents($pdf))->toStartWith('%PDF-');
    holdAgainst('booklet', (string) file_get_contents($json));
    expect(impa('impa:booklet', 'demo/lanto.impa.json', "--out={$pdf}")[2])->toContain('whose the design is')
        ->and(impa('impa:booklet', 'demo/lanto.impa.json', '--out=x.txt', ...$hers)[0])->toBe(2)
        ->and(impa('impa:booklet', 'demo/lanto.impa.json', "--out={$pdf}", '--paper=a0', ...$hers)[0])->toBe(2);
    array_map(unlink(...), [$json, $pdf]);
})->group('dear');
