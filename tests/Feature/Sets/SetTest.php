<?php

declare(strict_types=1);

use App\Models\Figure;
use App\Models\FigureSet;

/** @return array<string, mixed> a set of three of one figure, two of them in other colours */
function choirOf(int $figure): array
{
    return ['name' => 'Choir', 'members' => [
        ['figure' => $figure],
        ['figure' => $figure, 'name' => 'Red one', 'colours' => ['c1' => '#b03030']],
        ['figure' => $figure, 'name' => 'Small ones', 'count' => 2, 'heightMm' => 55],
    ]];
}

describe('a set', function () {
    it('is kept, changed, refused where it is stale, and taken apart', function () {
        $id = lay('bobbin');
        $kept = $this->postJson('/api/sets', choirOf($id))->assertCreated()->json();
        expect($kept['members'])->toHaveCount(3)->and($kept['revision'])->toBe(1);
        $changed = ['name' => 'Choir of four', 'revision' => 1] + choirOf($id);
        expect($this->putJson("/api/sets/{$kept['id']}", $changed)->assertOk()->json('revision'))->toBe(2);
        $this->putJson("/api/sets/{$kept['id']}", ['name' => 'Stale'] + $changed)->assertStatus(409);
        expect($this->getJson("/api/sets/{$kept['id']}")->assertOk()->json('name'))->toBe('Choir of four')
            ->and($this->getJson('/api/sets')->assertOk()->json('sets'))->toHaveCount(1)
            ->and($this->deleteJson("/api/sets/{$kept['id']}")->assertOk()->json('sets'))->toBe([]);
        $this->getJson("/api/sets/{$kept['id']}")->assertNotFound();
    });

    it('is planned as one: its ledger is the sum of its figures\', its order saves laying ready', function () {
        $id = lay('bobbin');
        $plan = $this->postJson('/api/set/plan', choirOf($id))->assertOk()->json();
        $own = array_map(static fn (array $m): float => $m['count'] * $m['g'], $plan['members']);
        expect($plan['pieces'])->toBe(4)
            ->and($plan['totalG'])->toEqualWithDelta(array_sum($own), 1e-6)
            ->and($plan['members'][0]['g'])->toEqualWithDelta(Figure::query()->find($id)->total_g, 1e-6)
            ->and($plan['members'][1]['colours'][0]['hex'])->toBe('#b03030')
            ->and($plan['members'][2]['heightMm'])->toEqualWithDelta(55, 1e-9)
            ->and($plan['order']['savedMinutes'])->toBeGreaterThan(0)
            ->and($plan['enough']['text'])->toStartWith('The stash is enough for 0 of 4; short of');
        $sittings = $this->postJson('/api/set/sittings', choirOf($id) + ['minutes' => 120])->assertOk()->json('sittings');
        expect(array_sum(array_column($sittings, 'minutes')))->toBeGreaterThan($plan['order']['minutes'] * 0.9);
        $this->postJson('/api/set/sittings', choirOf($id) + ['minutes' => 3])->assertStatus(422);
    });

    it('makes colourways by hue, by change of places and by the stash, and draws a member in them', function () {
        $id = lay('bobbin');
        $this->postJson('/api/wools', ['name' => 'Moss', 'hex' => '#5f7a3a', 'gramsLeft' => 50])->assertCreated();
        $ask = fn (array $more) => $this->postJson('/api/set/colourways', $more + ['figure' => $id, 'colours' => ['c1'], 'count' => 5]);
        expect($ask([])->assertOk()->json('colourways'))->toHaveCount(5)
            ->and($ask(['by' => 'stash'])->assertOk()->json('colourways'))->toBe([['c1' => '#5f7a3a']])
            ->and($ask(['by' => 'swap', 'colours' => ['c1', 'c2']])->assertOk()->json('colourways'))->toHaveCount(2);
        $ask(['by' => 'mood'])->assertStatus(422);
        $ask(['count' => 99])->assertStatus(422);
        $ask(['colours' => ['c99']])->assertStatus(422);
        $ask(['figure' => 999])->assertStatus(422);
        $png = $this->postJson('/api/set/picture', ['member' => ['figure' => $id, 'colours' => ['c1' => '#b03030']]])->assertOk();
        expect($png->getContent())->toStartWith("\x89PNG");
    });

    it('is refused in words where it is none, or what is in it is not there, and nothing is kept', function (array $members, string $why) {
        $id = lay('bobbin');
        $members = array_map(static fn (array $m): array => $m + ['figure' => $id], $members);
        $refused = $this->postJson('/api/sets', ['name' => 'Bad', 'members' => $members])->assertStatus(422);
        expect($refused->json('detail'))->toContain($why)->and(FigureSet::query()->count())->toBe(0);
    })->with([
        [[], 'The set is empty'],
        [[['figure' => 99999]], 'not on the shelf any more'],
        [[['count' => 0]], '1 to 1000'],
        [[['count' => 1001]], '1 to 1000'],
        [[['count' => '3']], 'whole number'],
        [[['count' => 2.5]], 'whole number'],
        [[['heightMm' => 'tall']], 'number of mm'],
        [[['colours' => ['c1' => 7]]], 'hex by key'],
        [[['colours' => 'red']], 'c'],
        [[['colours' => ['c1' => 'red']]], 'fault'],
        [[['heightMm' => 0.01]], 'as large'],
        [[['colours' => ['c99' => '#ffffff']]], 'c99'],
    ]);
});

it('has one shopping list, and on paper', function () {
    $id = lay('bobbin');
    $list = $this->postJson('/api/set/shopping', choirOf($id))->assertOk()->json();
    expect($list['price'])->toBeGreaterThan(0)->and($list['lines'])->not->toBe([]);
    expect($this->postJson('/api/set/shopping', choirOf($id) + ['as' => 'pdf'])->assertOk()->getContent())->toStartWith('%PDF-');
});

it('makes kits of a member for a workshop, with labels and a sheet, and refuses what is out of number', function () {
    $wish = ['member' => ['figure' => lay('lanto')], 'people' => 30, 'spare' => 2, 'beginners' => 0.8];
    $told = $this->postJson('/api/kit', $wish)->assertOk()->json();
    expect($told['kit']['bags'])->toBe(32)->and($told['kit']['needles'])->toBeGreaterThan(32)
        ->and($told['shopping']['price'])->toBeGreaterThan(0);
    foreach (['kit/labels', 'kit/sheet'] as $door) {
        expect($this->postJson("/api/{$door}", $wish)->assertOk()->getContent())->toStartWith('%PDF-');
    }
    expect($this->postJson('/api/kit', ['people' => 1000] + $wish)->assertStatus(422)->json('detail'))->toContain('hold it twice');
    $this->postJson('/api/kit', ['beginners' => 2] + $wish)->assertStatus(422);
    $this->postJson('/api/kit', ['spare' => -1] + $wish)->assertStatus(422);
    $this->postJson('/api/kit', ['member' => (object) []] + $wish)->assertStatus(422);
    $this->postJson('/api/kit/labels', ['labels' => 'a4-9x9'] + $wish)->assertStatus(422);
    $small = $this->postJson('/api/kit/labels', ['labels' => 'letter-3x10'] + $wish)->assertStatus(422);
    expect($small->json('detail'))->toContain('larger labels');
});

it('makes kits from the console, by the schema, labels and sheet as PDF, and refuses in a line', function () {
    [$labels, $pdf] = [tempnam(sys_get_temp_dir(), 'labels'), tempnam(sys_get_temp_dir(), 'kit')];
    [$exit, $out] = impa('impa:kit', 'demo/sorrel.impa.json', '--people=30', "--labels={$labels}", "--pdf={$pdf}");
    holdAgainst('kit', $out);
    expect($exit)->toBe(0)->and(file_get_contents($labels))->toStartWith('%PDF-')->and(file_get_contents($pdf))->toStartWith('%PDF-');
    foreach ([['--people=1000'], ['--people=x'], ['--beginners=x'], ['--label-size=x'], ['--paper=a0'], ['--reserve=x']] as $bad) {
        expect(impa('impa:kit', 'demo/sorrel.impa.json', ...$bad)[0])->toBe(2);
    }
    expect(impa('impa:kit', 'demo/sorrel.impa.json', "--labels={$labels}", '--label-size=letter-3x10')[2])->toContain('larger labels');
    array_map(unlink(...), [$labels, $pdf]);
});

it('plans a set from the console, by its schema, and refuses in a line', function () {
    $file = tempnam(sys_get_temp_dir(), 'set').'.json';
    $document = ['format' => 'impa-set', 'version' => 1, 'name' => 'Two', 'members' => [
        ['figure' => demoFigure('bobbin'), 'count' => 2],
        ['figure' => demoFigure('lanto'), 'colours' => ['c1' => '#b03030']],
    ]];
    file_put_contents($file, json_encode($document));
    holdAgainst('set', (string) json_encode($document));
    [$exit, $out] = impa('impa:set', $file);
    holdAgainst('set-plan', $out);
    expect($exit)->toBe(0)->and(json_decode($out, true)['pieces'])->toBe(3);
    expect(impa('impa:set', $file, '--reserve=never')[0])->toBe(0)
        ->and(impa('impa:set', $file, '--reserve=x')[0])->toBe(2)
        ->and(impa('impa:set', 'demo/bobbin.impa.json')[2])->toContain('no impa-set')
        ->and(impa('impa:set', 'nowhere.json')[0])->toBe(2);
    $document['members'][0]['figure'] = ['format' => 'impa-figure'];
    file_put_contents($file, json_encode($document));
    expect(impa('impa:set', $file)[0])->toBe(2);
    unlink($file);
});

it('sets its wool aside: no other figure counts on it, it itself does, and it is given back with the set', function () {
    $this->artisan('db:seed')->assertExitCode(0);
    $id = lay('bobbin');
    $set = $this->postJson('/api/sets', choirOf($id))->assertCreated()->json();
    expect($set['asideG'])->toEqual(0);
    $free = fn (array $more = []): array => array_column(
        $this->postJson('/api/set/plan', $more + choirOf($id))->assertOk()->json('wool'),
        'freeG',
        'wool',
    );
    $before = $free();
    $aside = $this->putSeen("/api/sets/{$set['id']}/aside", ['reserve' => 'usual'])->assertOk()->json('asideG');
    $after = $free();
    expect($aside)->toBeGreaterThan(1.0)
        ->and(array_sum($before) - array_sum($after))->toEqualWithDelta($aside, 1e-6)
        ->and($free(['id' => $set['id']]))->toEqual($before);
    $this->deleteJson("/api/sets/{$set['id']}/aside")->assertOk()->assertJsonPath('asideG', 0);
    expect($free())->toEqual($before);
    $this->putSeen("/api/sets/{$set['id']}/aside", ['reserve' => 'again'])->assertOk();
    $this->deleteJson("/api/sets/{$set['id']}")->assertOk();
    expect($free())->toEqual($before);
})->group('dear');

it('says whether a figure fits where it is shown, and refuses what is no such place', function () {
    $ask = fn (array $where) => $this->postJson('/api/show', ['document' => demoFigure('bobbin')] + $where);
    $jar = ['place' => 'jar', 'mouthMm' => 60, 'bellyMm' => 90, 'heightMm' => 150];
    expect($ask($jar)->assertOk()->json('fits'))->toBeFalse()
        ->and($ask(['mouthMm' => 80] + $jar)->assertOk()->json('fits'))->toBeTrue()
        ->and($ask(['place' => 'hook', 'loopMm' => 60])->assertOk()->json('cordMm'))->toEqual(180);
    foreach ([
        ['place' => 'brooch'], ['place' => 'ring'], ['place' => 'clip'], ['place' => 'house', 'scale' => 12, 'lifeMm' => 1600],
        ['place' => 'pot', 'mouthMm' => 40], ['place' => 'cushion', 'widthMm' => 200, 'heightMm' => 150],
    ] as $where) {
        expect($ask($where)->assertOk()->json('says'))->not->toBe([]);
    }
    $wrong = [['place' => 'moon'], ['mouthMm' => 0] + $jar, ['place' => 'hook', 'loopMm' => -3], ['place' => 'house', 'scale' => 0]];
    foreach ($wrong as $bad) {
        $ask($bad)->assertStatus(422);
    }
})->group('dear');
