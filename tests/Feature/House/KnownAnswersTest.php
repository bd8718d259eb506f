<?php

declare(strict_types=1);

use Illuminate\Cache\Events\CacheHit;
use Illuminate\Cache\Events\KeyWritten;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Event;

beforeEach(function () {
    config(['impa.keeps_answers' => true]);
    Cache::flush();
});

/** What is answered, and whether it was known already. */
function asked(string $door, array $body, array $headers = []): array
{
    $known = 0;
    Event::listen(CacheHit::class, static function ($hit) use (&$known): void {
        $known += (int) str_starts_with($hit->key, 'answer.');
    });
    $put = 0;
    Event::listen(KeyWritten::class, static function ($written) use (&$put): void {
        $put += (int) str_starts_with($written->key, 'answer.');
    });
    $response = test()->postJson('/api/'.$door, $body, $headers);

    return [$response->getContent(), $known > 0 && $put === 0, $response->getStatusCode(), $response->headers->get('Content-Type')];
}

it('answers again as it was answered a moment ago', function (string $door, array $more) {
    $body = ['document' => demoFigure()] + $more;
    [$first, $isKnown, , $type] = asked($door, $body);
    expect($isKnown)->toBeFalse();
    [$again, $isKnown, , $typeAgain] = asked($door, $body);
    expect($isKnown)->toBeTrue()->and($again)->toBe($first)->and($typeAgain)->toBe($type);
})->with([
    'plan' => ['plan', []],
    'board' => ['board', []],
    'in the round' => ['board/turning', []],
    'steps' => ['build', []],
    'evenings' => ['schedule', ['sitting' => 90]],
    'wires' => ['armature', []],
    'balance' => ['balance', []],
    'face' => ['face', ['part' => 'head']],
    'advice' => ['face/advice', ['part' => 'head']],
    'laying' => ['face/laying', ['part' => 'head']],
]);

it('reckons anew once something that it hangs on has changed', function () {
    $document = demoFigure();
    $isKnown = function (string $language = '') use (&$document): bool {
        return asked('plan', ['document' => $document], ['Accept-Language' => $language])[1];
    };
    $isKnown();
    expect($isKnown())->toBeTrue()
        ->and($isKnown('de'))->toBeFalse()
        ->and($isKnown('en-u-ms-ussystem'))->toBeFalse();
    $document['parts'][0]['shape']['widthMm'] += 1;
    expect($isKnown())->toBeFalse()->and($isKnown())->toBeTrue();
    $this->putSeen('/api/needles', ['gauges' => [36, 38]])->assertOk();
    expect($isKnown())->toBeFalse()->and($isKnown())->toBeTrue();
    $this->postJson('/api/hand', [
        'uuid' => 'one-piece-1', 'kind' => 'ball', 'firmness' => 'firm', 'what' => 'ball',
        'widthMm' => 30, 'heightMm' => 30, 'depthMm' => 30, 'grams' => 4.0, 'sure' => true,
    ])->assertSuccessful();
    expect($isKnown())->toBeFalse()->and($isKnown())->toBeTrue();
});

it('asks the drawer where yarn is laid, and only there', function () {
    $document = demoFigure();
    $isKnown = function () use (&$document): bool {
        return asked('plan', ['document' => $document])[1];
    };
    $buy = fn (string $name) => $this->postJson('/api/wools', [
        'name' => $name, 'hex' => '#336699', 'material' => 'wool', 'preparation' => 'yarn', 'gramsLeft' => 20, 'gPerM' => 0.5,
    ])->assertSuccessful();
    $isKnown();
    $buy('Plain yarn');
    expect($isKnown())->toBeTrue();
    $document['parts'][0]['covering'] = ['way' => 'loops', 'lengthMm' => 6];
    $isKnown();
    expect($isKnown())->toBeTrue();
    $buy('Another yarn');
    expect($isKnown())->toBeFalse();
});

it('keeps no refusal, and nothing where code is read anew at each request', function () {
    $refused = ['document' => ['format' => 'impa-figure'] + demoFigure() + ['parts' => 3]];
    $refused['document']['heightMm'] = -1;
    asked('plan', $refused);
    [, $isKnown, $status] = asked('plan', $refused);
    expect($status)->toBe(422)->and($isKnown)->toBeFalse();
    config(['impa.keeps_answers' => false]);
    asked('plan', ['document' => demoFigure()]);
    expect(asked('plan', ['document' => demoFigure()])[1])->toBeFalse();
});
