<?php

declare(strict_types=1);

use App\Models\Log\FinishedStep;

/** @param  array<string, mixed>  $more */
function practised(array $more = []): array
{
    return $more + [
        'uuid' => 'practice-'.random_int(10_000, 99_999),
        'kind' => 'ball',
        'firmness' => 'springy',
        'widthMm' => 34,
        'heightMm' => 34,
        'depthMm' => 34,
        'grams' => 3.7,
        'what' => 'Springy ball',
    ];
}

function springyFactor(array $hand): float
{
    foreach ($hand['sheet']['effects'] as $effect) {
        if ([$effect['quantity'], $effect['group']] === ['density', 'springy']) {
            return $effect['factor'];
        }
    }

    return 0.0;
}

describe('the felter\'s own hand', function () {
    it('is unknown at first, and learns from a practice piece: every estimate becomes its own and narrower', function () {
        $plan = fn (): array => $this->postJson('/api/plan', ['document' => demoFigure('sorrel')])->assertOk()->json();
        $before = $plan();
        $hand = $this->getJson('/api/hand')->assertOk()->json();
        expect($hand['observations'])->toBe([])->and($hand['practice'])->toHaveCount(4)->and(springyFactor($hand))->toEqual(1.0);

        // A ball of 34 mm of 3.7 g is denser than the house reckons (3.09 g).
        $told = $this->postJson('/api/hand', practised(['weighedG' => 4.0, 'minutes' => 15]))->assertOk()->json();
        expect($told['kept'])->toBeTrue()
            ->and(array_column($told['observations'], 'quantity'))->toBe(['density', 'waste', 'pace'])
            ->and(springyFactor($told))->toBeGreaterThan(1.1)->toBeLessThan(1.2);
        $after = $plan();
        $core = static fn (array $p): array => $p['wool'][0];
        expect($core($after)['g'])->toBeGreaterThan($core($before)['g'])
            ->and($core($after)['highG'] / $core($after)['lowG'])->toBeLessThan($core($before)['highG'] / $core($before)['lowG']);
    });

    it('is asked at every door that tells minutes or grams', function () {
        $document = ['document' => demoFigure('sorrel')];
        $id = $this->postJson('/api/figures', $document)->assertCreated()->json('id');
        $set = ['name' => 'Two', 'members' => [['figure' => $id, 'copies' => 2]]];
        $ask = fn (string $path, array $what): array => $this->postJson("/api/{$path}", $what)->assertOk()->json();
        $sum = static fn (array $rows, string $of): float => array_sum(array_column($rows, $of));
        $doors = [
            'plan, minutes' => fn (): float => $ask('plan', $document)['minutes']['hands'],
            'plan, grams' => fn (): float => $sum($ask('plan', $document)['wool'], 'g'),
            'board' => fn (): float => $ask('board', $document)['plan']['minutes']['hands'],
            'steps' => fn (): float => $sum($ask('build', $document)['sheet']['steps'], 'minutes'),
            'evenings' => fn (): float => $ask('schedule', $document)['handsMinutes'],
            'balance' => fn (): float => $ask('balance', $document)['massG'],
            'supply' => fn (): float => $sum($ask('supply', $document)['needs'], 'g'),
            'set, minutes' => fn (): float => $ask('set/plan', $set)['order']['oneByOneMinutes'],
            'set, grams' => fn (): float => $ask('set/plan', $set)['totalG'],
            'shelf, minutes' => fn (): float => $this->getJson('/api/figures')->json('figures.0.handsMinutes'),
            'shelf, grams' => fn (): float => $this->getJson('/api/figures')->json('figures.0.totalG'),
        ];
        $told = static fn (): array => array_map(static fn (Closure $ask): float => (float) $ask(), $doors);
        $before = $told();
        foreach ([1, 2, 3] as $_) {
            $this->postJson('/api/hand', practised(['weighedG' => 4.0, 'minutes' => 60, 'sure' => true]))->assertOk();
        }
        foreach ($told() as $door => $number) {
            expect($number)->toBeGreaterThan(1.03 * $before[$door], $door);
        }
        // What lies on the face is weighed alike where it is planned and where it is laid.
        $planned = array_column($ask('plan', $document)['details'], 'woolMg', 'key');
        $laid = array_column($ask('face/laying', $document + ['part' => 'head'])['laying'], 'woolMg', 'key');
        expect($laid)->not->toBe([])->and(array_intersect_key($planned, $laid))->toEqualWithDelta($laid, 1e-9);
    });

    it('is told the same piece twice, and keeps it once', function () {
        $piece = practised();
        $this->postJson('/api/hand', $piece)->assertOk();
        expect($this->postJson('/api/hand', $piece)->assertOk()->json('observations'))->toHaveCount(1);
    });

    it('asks back where a digit seems to have slipped, and learns nothing until that is answered', function () {
        $asked = $this->postJson('/api/hand', practised(['grams' => 0.37]))->assertOk()->json();
        expect($asked['kept'])->toBeFalse()
            ->and($asked['asks'])->toContain('0.37 g, where about 3.10 g were to be expected')
            ->and($asked['observations'])->toBe([]);
        expect($this->postJson('/api/hand', practised(['grams' => 0.37, 'sure' => true]))->json('observations'))->toHaveCount(1);
    });

    it('forgets what is set aside or removed, and takes it in again', function () {
        $hand = $this->postJson('/api/hand', practised())->json();
        [$id, $factor] = [$hand['observations'][0]['id'], springyFactor($hand)];
        expect(springyFactor($this->putSeen("/api/hand/{$id}", ['aside' => true])->assertOk()->json()))->toEqual(1.0)
            ->and(springyFactor($this->putSeen("/api/hand/{$id}", ['aside' => false])->assertOk()->json()))->toEqual($factor);
        $gone = $this->deleteJson("/api/hand/{$id}")->assertOk()->json();
        expect(springyFactor($gone))->toEqual(1.0)->and($gone['observations'])->toBe([]);
        $this->deleteJson("/api/hand/{$id}")->assertNotFound();
        $this->putSeen('/api/hand/part:999', ['aside' => true])->assertNotFound();
    });

    it('is started over, and that is taken back', function () {
        $factor = springyFactor($this->postJson('/api/hand', practised())->json());
        $over = $this->postJson('/api/hand/over', ['back' => false])->assertOk()->json();
        expect(springyFactor($over))->toEqual(1.0)->and($over['since'])->not->toBeNull();
        $back = $this->postJson('/api/hand/over', ['back' => true])->assertOk()->json();
        expect(springyFactor($back))->toEqual($factor)->and($back['since'])->toBeNull();
    });

    it('refuses what is no piece', function (array $bad, string $why) {
        expect($this->postJson('/api/hand', practised($bad))->assertStatus(422)->json('detail'))->toContain($why);
    })->with([
        [['widthMm' => -3], 'The width of -3 mm cannot be'],
        [['grams' => 0], '0 g is no weight'],
        [['kind' => 'cloud'], 'A piece is a ball'],
        [['firmness' => 'crisp'], 'A piece is squishy'],
        [['minutes' => -1], 'minutes is a number above 0'],
        [['grams' => 370, 'sure' => true], 'denser than wool itself'],
        [['uuid' => 'x'], 'no name of a record'],
    ]);
});

it('learns the felter\'s speed from steps that were ticked, by the house\'s minutes whatever was learned before', function () {
    $id = lay('sorrel');
    $now = (int) (microtime(true) * 1000);
    $tell = fn (int $from, int $to) => $this->postJson(
        "/api/figures/{$id}/log/time",
        ['step' => 'core:head', 'from' => $from, 'to' => $to],
    );
    $tell($now - 3_600_000, $now - 1_800_000)->assertOk();
    expect(FinishedStep::query()->count())->toBe(0);
    $this->putJson("/api/figures/{$id}/steps/core:head")->assertOk();
    $step = FinishedStep::query()->firstOrFail();
    $house = $step->house_minutes;
    expect($step->minutes)->toEqual(30.0)->and($step->kind)->toBe('core');
    $effects = collect($this->getJson('/api/hand')->json('sheet.effects'))->where('quantity', 'pace');
    expect($effects->firstWhere('group', 'core')['factor'])->toBeGreaterThan(1.2);
    // Ten minutes more: the plan has learned meanwhile, the record is still held against the house.
    $tell($now - 1_200_000, $now - 600_000)->assertOk();
    expect(FinishedStep::query()->firstOrFail()->house_minutes)->toEqualWithDelta($house, 1e-9)
        ->and(FinishedStep::query()->firstOrFail()->minutes)->toEqual(40.0);
    $this->deleteJson("/api/figures/{$id}/steps/core:head")->assertOk();
    expect(FinishedStep::query()->count())->toBe(0);
});

describe('a part against its card', function () {
    $head = static fn (array $more = []): array => $more + [
        'document' => demoFigure('sorrel'),
        'part' => 'head',
        'uuid' => 'head-'.random_int(10_000, 99_999),
        'widthMm' => 48.9,
        'heightMm' => 49.0,
        'depthMm' => 49.1,
        'grams' => 9.5,
        'keep' => true,
    ];

    it('is held against it, kept, listed with its twin, corrected and removed', function () use ($head) {
        $id = lay('sorrel');
        $first = $head();
        $told = $this->postJson("/api/figures/{$id}/parts", $first)->assertOk()->json();
        expect($told['kept'])->toBeTrue()->and($told['check']['says'])->not->toBe([]);
        $second = $head(['grams' => 9.7, 'instead' => $first['uuid']]);
        $again = $this->postJson("/api/figures/{$id}/parts", $second)->assertOk()->json();
        expect($again['kept'])->toBeTrue();
        // A correction that is refused leaves what was there.
        $bad = $head(['grams' => 9.9, 'uuid' => 'x', 'instead' => $second['uuid']]);
        $this->postJson("/api/figures/{$id}/parts", $bad)->assertStatus(422);
        $listed = $this->getJson("/api/figures/{$id}/parts")->assertOk()->json('parts');
        expect($listed)->toHaveCount(1)->and($listed[0]['check']['g'])->toEqual(9.7)
            ->and($this->getJson('/api/hand')->json('observations'))->toHaveCount(1);
        expect($this->deleteJson("/api/figures/{$id}/parts/{$listed[0]['uuid']}")->assertOk()->json('parts'))->toBe([])
            ->and($this->getJson('/api/hand')->json('observations'))->toBe([]);
        $this->deleteJson("/api/figures/{$id}/parts/{$listed[0]['uuid']}")->assertNotFound();
    });

    it('is only told where it is not to be kept, and asked about where a digit slipped', function () use ($head) {
        $id = lay('sorrel');
        expect($this->postJson("/api/figures/{$id}/parts", $head(['keep' => false]))->json('kept'))->toBeFalse();
        $asked = $this->postJson("/api/figures/{$id}/parts", $head(['widthMm' => 4.89]))->assertOk()->json();
        expect($asked['asks'])->toContain('4.9 mm wide')->and($asked['kept'])->toBeFalse();
        expect($this->getJson("/api/figures/{$id}/parts")->json('parts'))->toBe([]);
        $this->postJson("/api/figures/{$id}/parts", $head(['part' => 'horn']))->assertStatus(422);
        $this->postJson("/api/figures/{$id}/parts", $head(['grams' => 0]))->assertStatus(422);
    });

    it('is followed by the plan where she wishes', function () use ($head) {
        $followed = $this->postJson('/api/check/follow', $head(['widthMm' => 52]))->assertOk()->json('document');
        expect(collect($followed['parts'])->firstWhere('key', 'head')['shape']['widthMm'])->toEqual(52);
    });
});

it('foretells the next piece from a table, by its schema, and refuses what is none', function () {
    $path = tempnam(sys_get_temp_dir(), 'hand');
    file_put_contents($path, "preparation,firmness,cm3,grams,minutes\ncarded batting,springy,20,3.6,12\ntops,crisp,1,1,1\n");
    [$exit, $out] = impa('impa:hand', $path, '--firmness=soft', '--cm3=10');
    holdAgainst('hand', $out);
    expect($exit)->toBe(0)->and(json_decode($out, true)['next']['g'])->toBeGreaterThan(1.1)->toBeLessThan(1.32);
    foreach (['--firmness=crisp', '--cm3=-1', '--preparation=yak'] as $bad) {
        expect(impa('impa:hand', $path, $bad)[0])->toBe(2);
    }
    file_put_contents($path, "a,b\n1,2\n");
    expect(impa('impa:hand', $path)[0])->toBe(2)->and(impa('impa:hand', $path.'gone')[0])->toBe(2);
    unlink($path);
});
