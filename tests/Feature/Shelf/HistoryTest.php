<?php

declare(strict_types=1);

/** @return array{int, array<string, mixed>} a figure that was changed twice */
function changedTwice(): array
{
    $id = lay('bobbin');
    $document = demoFigure('bobbin');
    foreach ([1 => 3.0, 2 => 2.0] as $revision => $wider) {
        $document['parts'][0]['shape']['widthMm'] += $wider;
        test()->putJson("/api/figures/{$id}", ['document' => $document, 'revision' => $revision])->assertOk();
    }

    return [$id, $document];
}

it('tells every revision in words, the latest first, and shows one as it was', function () {
    [$id] = changedTwice();
    $told = $this->getJson("/api/figures/{$id}/revisions")->assertOk()->json('revisions');
    expect(array_column($told, 'revision'))->toBe([3, 2, 1])
        ->and(array_column($told, 'changes'))->toBe([['Head is 2 mm wider'], ['Head is 3 mm wider'], []]);
    $first = $this->getJson("/api/figures/{$id}/revisions/1")->assertOk()->json();
    $second = $this->getJson("/api/figures/{$id}/revisions/2")->assertOk()->json();
    $third = $this->getJson("/api/figures/{$id}/revisions/3")->assertOk()->json();
    expect($first['document'])->toEqual(demoFigure('bobbin'))->and($second['totalG'])->toBeGreaterThan($first['totalG'])
        ->and(array_sum(array_column($first['wool'], 'wasG')))->toEqualWithDelta($first['totalG'], 1e-6)
        ->and(array_column($third['wool'], 'wasG'))->toBe(array_column($third['wool'], 'isG'));
    $this->getJson("/api/figures/{$id}/revisions/99")->assertNotFound();
    $this->getJson("/api/figures/{$id}/revisions/99999999999999999999")->assertNotFound();
    $this->deleteJson("/api/figures/{$id}/photos/99999999999999999999")->assertNotFound();
});

it('branches off: the same, a fifth larger, in red, from now or from what it once was; the first stays as it is', function () {
    [$id, $document] = changedTwice();
    $key = $document['colours'][0]['key'];
    $branch = $this->postJson("/api/figures/{$id}/branch", ['name' => 'Red', 'percent' => 120, 'colours' => [$key => '#b03030']]);
    $made = $branch->assertCreated()->json();
    expect($made['id'])->not->toBe($id)
        ->and($made['document']['name'])->toBe('Red')
        ->and($made['document']['heightMm'])->toEqual(1.2 * $document['heightMm'])
        ->and($made['document']['parts'][0]['shape']['widthMm'])->toEqualWithDelta(1.2 * $document['parts'][0]['shape']['widthMm'], 1e-6)
        ->and($made['document']['colours'][0]['hex'])->toBe('#b03030');
    $old = $this->postJson("/api/figures/{$id}/branch", ['name' => 'As it was', 'percent' => 100, 'revision' => 1])->assertCreated();
    expect($old->json('document.parts'))->toEqual(demoFigure('bobbin')['parts'])
        ->and($this->getJson("/api/figures/{$id}")->json('document'))->toEqual($document);
});

it('refuses a branch that cannot be, and lays nothing on the shelf', function (array $bad, int $status) {
    [$id] = changedTwice();
    $count = $this->getJson('/api/figures')->json('count');
    $this->postJson("/api/figures/{$id}/branch", $bad + ['name' => 'B', 'percent' => 120])->assertStatus($status);
    expect($this->getJson('/api/figures')->json('count'))->toBe($count);
})->with([
    [['name' => ' '], 422],
    [['percent' => 1], 422],
    [['percent' => 100000], 422],
    [['colours' => ['sky' => '#ffffff']], 422],
    [['revision' => 77], 404],
]);

describe('ticks of what is taken away', function () {
    beforeEach(function () {
        $this->id = lay('bobbin');
        foreach (['detail:mouth', 'cover:scarf', 'core:head'] as $step) {
            $this->putJson("/api/figures/{$this->id}/steps/{$step}")->assertOk();
        }
        $this->done = fn (): array => $this->getJson("/api/figures/{$this->id}/steps")->json('done');
        $this->save = fn (array $document, int $revision) => $this->putJson(
            "/api/figures/{$this->id}",
            ['document' => $document, 'revision' => $revision],
        )->assertOk();
        $without = demoFigure('bobbin');
        $without['details'] = array_values(array_filter($without['details'], static fn (array $d): bool => $d['key'] !== 'mouth'));
        ($this->save)($without, 1);
        $this->without = $without;
    });

    it('come back with an undo', function () {
        ($this->save)(demoFigure('bobbin'), 2);
        expect(($this->done)())->toBe(['detail:mouth', 'cover:scarf', 'core:head']);
    });

    it('are not those of what is made anew under the same key', function () {
        $spot = ['key' => 'mouth', 'role' => 'mouth', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5];
        $spot['colour'] = $this->without['colours'][0]['key'];
        $again = $this->without;
        $again['details'][] = $spot;
        ($this->save)($again, 2);
        expect(($this->done)())->toBe(['cover:scarf', 'core:head']);
        // Neither once that was taken back, and made as it was at first.
        ($this->save)($this->without, 3);
        ($this->save)($again, 4);
        expect(($this->done)())->toBe(['cover:scarf', 'core:head']);
    });

    it('stay with what was changed, and not taken away', function () {
        $wider = demoFigure('bobbin');
        $wider['parts'][0]['shape']['widthMm'] += 3;
        ($this->save)($wider, 2);
        expect(($this->done)())->toContain('core:head')->toContain('cover:scarf');
    });
});
