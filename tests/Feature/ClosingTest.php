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
        expect($this->putJson("/api/figures/{$id}/closing", ['next' => $next])->assertOk()->json('next'))->toBe($next);
    }
    $entries = collect($this->getJson("/api/figures/{$id}/log")->json('sittings'))->flatMap(fn ($s) => $s['entries']);
    expect($entries->pluck('text')->all())->toBe(['A smaller head.']);
    $this->putJson("/api/figures/{$id}/closing", ['next' => str_repeat('a', 2001)])->assertStatus(422);
});

it('prints the card of a figure, with its photo where there is one', function () {
    $id = lay('sorrel');
    $plain = $this->postJson("/api/figures/{$id}/card", ['paper' => 'a4'])->assertOk()->getContent();
    $taken = $this->postJson('/api/check/camera', ['document' => demoFigure('sorrel'), 'seed' => 4])->json('id');
    $this->postJson("/api/figures/{$id}/photos", ['document' => demoFigure('sorrel'), 'picture' => $taken])->assertOk();
    $photo = $this->postJson("/api/figures/{$id}/card", ['paper' => 'letter'])->assertOk()->getContent();
    expect($plain)->toStartWith('%PDF-')->and($photo)->toStartWith('%PDF-')->and(strlen($photo))->not->toBe(strlen($plain));
});

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
