<?php

declare(strict_types=1);

use App\Hand\Profile;
use Impa\Figure\Figure;

beforeEach(function () {
    $this->ask = fn (array $asked) => $this->postJson('/api/number', ['document' => demoFigure()] + $asked);
});

it('tells of every line of the ledger, every step, the lean and every reserve the number that the stations show', function () {
    $plan = $this->postJson('/api/plan', ['document' => demoFigure()])->json();
    $is = fn (string $number, string $of = ''): float => ($this->ask)(['number' => $number, 'of' => $of])->assertOk()->json('is');
    foreach ($plan['parts'] as $part) {
        if ($part['coreG'] > 0) {
            expect($is('core', $part['key']))->toEqualWithDelta($part['coreG'], 1e-9);
        }
        expect($is('cover', $part['key']))->toEqualWithDelta($part['coverG'], 1e-9);
    }
    foreach (array_slice($plan['steps'], 0, 4) as $step) {
        expect($is('minutes', $step['key']))->toEqualWithDelta($step['minutes'], 1e-9);
    }
    expect($is('lean'))->toEqualWithDelta($plan['balance']['tipDeg'], 1e-9)
        ->and($is('hands'))->toEqualWithDelta($plan['minutes']['hands'], 1e-6)
        ->and($is('total'))->toEqualWithDelta(array_sum(array_column($plan['wool'], 'g')), 1e-9);
    $need = $this->postJson('/api/supply', ['document' => demoFigure(), 'reserve' => 'never'])->json('needs.0');
    expect(($this->ask)(['number' => 'reserve', 'of' => $need['key'], 'reserve' => 'never'])->assertOk()->json('is'))
        ->toEqualWithDelta($need['wantG'], 1e-9);
});

it('is reckoned by her own hand: after a weighing, the card says so and gives the new number', function () {
    $before = ($this->ask)(['number' => 'core', 'of' => 'head'])->json();
    $this->postJson('/api/hand', [
        'uuid' => 'practice-1', 'what' => 'A ball', 'kind' => 'ball', 'widthMm' => 40, 'heightMm' => 40, 'depthMm' => 40,
        'firmness' => 'springy', 'grams' => 7.0,
    ])->assertSuccessful();
    $after = ($this->ask)(['number' => 'core', 'of' => 'head'])->json();
    $own = Profile::ledger(Figure::fromJson((string) json_encode(demoFigure())))->wool['head']->coreG();
    expect($after['is'])->toEqualWithDelta($own, 1e-9)->toBeGreaterThan($before['is'])
        ->and(array_column($after['from'], 'source'))->toContain('own')
        ->and(array_column($before['from'], 'source'))->not->toContain('own');
});

it('speaks German and inches where that is asked', function () {
    $card = $this->withHeaders(['Accept-Language' => 'de-u-ms-ussystem'])
        ->postJson('/api/number', ['document' => demoFigure(), 'number' => 'core', 'of' => 'head'])->json();
    expect($card['off'])->toContain('in 8 von 10 Fällen')->and($card['lines'][0]['values'])->toContain('in³');
});

it('refuses what there is not in plain words, and what is no figure', function (array $asked, string $says) {
    ($this->ask)($asked)->assertStatus(422)->assertHeader('Content-Type', 'application/problem+json');
    expect(($this->ask)($asked)->json('detail'))->toContain($says);
})->with([
    'no such number' => [['number' => 'price'], 'Ask for one of'],
    'no number' => [[], 'number'],
    'no such part' => [['number' => 'core', 'of' => str_repeat('x', 3000)], 'This figure has no number'],
    'no figure' => [['number' => 'core', 'document' => ['format' => 'impa-figure']], ''],
    'a list' => [['number' => ['core']], 'number'],
    'another felter\'s' => [['number' => 'reserve', 'of' => 'wool:999999'], 'This figure has no number'],
]);
