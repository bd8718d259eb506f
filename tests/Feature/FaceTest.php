<?php

declare(strict_types=1);

use App\Models\Figure;
use App\Models\Needle;

it('lists the pieces of a face, puts one on a head, and varies it', function () {
    $pieces = $this->getJson('/api/face/pieces')->assertOk()->json('pieces');
    expect(count($pieces))->toBeGreaterThan(8)->and($pieces[0]['sliders'][0])->toHaveKeys(['key', 'name', 'from', 'to', 'usual', 'step']);
    $put = $this->postJson('/api/face/pieces', ['document' => demoFigure(), 'part' => 'head', 'kind' => 'brows', 'values' => ['tilt' => 20]])->assertOk();
    $brow = collect($put->json('document.details'))->firstWhere('key', 'brows-brow');
    expect($put->json('key'))->toBe('brows')->and($brow['piece']['values']['tilt'])->toEqual(20)->and($brow['mirror'])->toBeTrue();
    $varied = $this->postJson('/api/face/pieces', ['document' => $put->json('document'), 'part' => 'head', 'kind' => 'brows', 'piece' => 'brows', 'values' => (object) []])->assertOk();
    expect($varied->json('document.details'))->toHaveCount(count($put->json('document.details')));
    // What comes back is a whole figure.
    $this->postJson('/api/plan', ['document' => $varied->json('document')])->assertOk();
});

it('refuses pieces that there are not, and values that are none', function (array $more) {
    $this->postJson('/api/face/pieces', $more + ['document' => demoFigure(), 'part' => 'head', 'kind' => 'brows'])->assertStatus(422)->assertHeader('Content-Type', 'application/problem+json');
})->with([[['kind' => 'monocle']], [['part' => 'tail']], [['values' => [1, 2]]], [['values' => ['tilt' => 'steep']]], [['values' => 'all']], [['document' => []]]]);

it('copies a face from a saved figure, and says where there is none', function () {
    $from = $this->postJson('/api/figures', ['document' => demoFigure()])->json('id');
    $bare = ['details' => []] + demoFigure();
    $copied = $this->postJson('/api/face/copy', ['document' => $bare, 'part' => 'body', 'from' => $from, 'fromPart' => 'head'])->assertOk()->json('document');
    $on = static fn (array $document, string $part): int => collect($document['details'])->where('on', $part)->count();
    expect($on($copied, 'body'))->toBe($on(demoFigure(), 'head'))->and($on($copied, 'body'))->toBeGreaterThan(2);
    $instead = $this->postJson('/api/face/copy', ['document' => $copied, 'part' => 'body', 'from' => $from, 'fromPart' => 'head', 'instead' => true])->assertOk()->json('document');
    expect($on($instead, 'body'))->toBe($on($copied, 'body'));
    $this->postJson('/api/face/copy', ['document' => $bare, 'part' => 'body', 'from' => 9999, 'fromPart' => 'head'])->assertStatus(404);
    $this->postJson('/api/face/copy', ['document' => $bare, 'part' => 'body', 'from' => $from, 'fromPart' => 'arm'])->assertStatus(422);
    expect(Figure::query()->count())->toBe(1);
});

it('measures the details from any anchor, and other places besides', function () {
    $anchors = $this->postJson('/api/face/laying', ['document' => demoFigure(), 'part' => 'head'])->assertOk()->json('anchors');
    expect($anchors[0]['key'])->toBe('crown')->and(count($anchors))->toBeGreaterThan(3);
    $crown = $this->postJson('/api/face/marks', ['document' => demoFigure(), 'part' => 'head', 'at' => [[6, -3], [-6, -3]]])->assertOk();
    expect($crown->json('at.0.acrossMm'))->toEqualWithDelta(-$crown->json('at.1.acrossMm'), 1e-9)->and($crown->json('at.0.downMm'))->toBe($crown->json('at.1.downMm'));
    $plan = collect($this->postJson('/api/plan', ['document' => demoFigure()])->json('details'))->keyBy('key');
    foreach ($crown->json('marks') as $key => $mark) {
        expect($mark['acrossMm'])->toEqualWithDelta($plan[$key]['marks']['acrossMm'], 1e-6)->and($mark['downMm'])->toEqualWithDelta($plan[$key]['marks']['downMm'], 1e-6);
    }
    $own = $anchors[1]['key'];
    $from = $this->postJson('/api/face/marks', ['document' => demoFigure(), 'part' => 'head', 'from' => $own])->assertOk();
    expect($from->json("marks.{$own}.downMm"))->toEqualWithDelta(0.0, 1e-9);
    $this->postJson('/api/face/marks', ['document' => demoFigure(), 'part' => 'head', 'from' => 'the moon'])->assertStatus(422);
});

it('keeps a detail as drawn or in size, and shows it through the needle\'s eye', function () {
    $document = demoFigure();
    $key = $document['details'][0]['key'];
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => $key, 'keep' => 'drawn'])->assertOk()->assertJsonPath('set.keep', 'drawn');
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => $key, 'keep' => 'size'])->assertOk()->assertJsonPath('set.keep', 'size');
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => $key, 'keep' => 'both'])->assertStatus(422);
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => 'gone', 'keep' => 'size'])->assertStatus(422);
    $seen = $this->postJson('/api/face/needles-eye', ['document' => $document, 'detail' => $key])->assertOk();
    expect($seen->json('reachMm'))->toBeGreaterThan(3)->and(array_column($seen->json('outlines'), 'key'))->toContain($key);
    $document['details'][0]['xMm'] = 500;
    $this->postJson('/api/face/needles-eye', ['document' => $document, 'detail' => $key])->assertStatus(422);
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => $key, 'keep' => 'size'])->assertStatus(422);
});

it('knows the needles at hand, and asks for more where they are coarse', function () {
    $this->getJson('/api/needles')->assertOk()->assertJsonPath('gauges', [])->assertJsonPath('finest', 42);
    $document = demoFigure();
    $document['details'] = [['key' => 'dot', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 2.2, 'xMm' => 5, 'yMm' => 0, 'colour' => $document['details'][0]['colour']]];
    $crisp = fn (): string => $this->postJson('/api/plan', ['document' => $document])->json('details.0.crisp');
    expect($crisp())->not->toBe('too-small');
    $this->putJson('/api/needles', ['gauges' => [38, 36, 36]])->assertOk()->assertJsonPath('gauges', [36, 38])->assertJsonPath('finest', 38);
    expect($crisp())->toBe('too-small')->and($this->postJson('/api/face/laying', ['document' => $document, 'part' => 'head'])->json('advice.dot.0.why'))->toContain('with a 38, your finest needle');
    // What is not sold is refused, and nothing is half kept.
    $this->putJson('/api/needles', ['gauges' => [38, 7]])->assertStatus(422);
    $this->putJson('/api/needles', ['gauges' => []])->assertStatus(422);
    expect(Needle::gauges())->toBe([36, 38]);
});

it('tells a fault in place with its mend, and takes the document all the same', function () {
    $document = demoFigure();
    $colour = $document['details'][0]['colour'];
    $document['details'] = [
        ['key' => 'bow', 'on' => 'head', 'kind' => 'patch', 'pointsMm' => [[-5, -5], [5, 5], [5, -5], [-5, 5]], 'colour' => $colour],
        ['key' => 'far', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 400, 'colour' => $colour],
        ['key' => 'huge', 'on' => 'head', 'kind' => 'bead', 'widthMm' => 300, 'colour' => $colour],
    ];
    $advice = $this->postJson('/api/face/laying', ['document' => $document, 'part' => 'head'])->assertOk()->json('advice');
    foreach (['bow' => 'tangled', 'far' => 'off-part', 'huge' => 'too-large'] as $key => $code) {
        expect($advice[$key][0]['code'])->toBe($code)->and($advice[$key][0]['isFault'])->toBeTrue()->and($advice[$key][0]['mends'])->not->toBe([]);
    }
    $this->postJson('/api/board', ['document' => $document])->assertOk();
    $this->postJson('/api/face/sheets', ['document' => $document, 'part' => 'head'])->assertOk();
});
