<?php

declare(strict_types=1);

use App\Models\Log\LogEntry;
use App\Models\Wool;
use Impa\Check\Mending\Sign;

describe('the mend desk', function () {
    it('knows every sign, and what helps with its amount', function () {
        $signs = $this->getJson('/api/mend')->assertOk()->json('signs');
        expect(array_column($signs, 'sign'))->toBe(array_column(Sign::cases(), 'value'));
        $sent = ['document' => demoFigure('sorrel'), 'sign' => 'dent', 'about' => 'head', 'across' => 6, 'deep' => 3];
        $told = $this->postJson('/api/mend', $sent)->assertOk()->json('remedies');
        expect($told[0]['mg'])->toEqualWithDelta(M_PI * 3 * (27 + 9) / 6 * 0.15, 0.01)->and($told)->toHaveCount(2);
    });

    it('refuses what is no sign, no part, and no number', function (array $bad, string $why) {
        $sent = $bad + ['document' => demoFigure('sorrel'), 'sign' => 'dent', 'about' => 'head'];
        expect($this->postJson('/api/mend', $sent)->assertStatus(422)->json('detail'))->toContain($why);
    })->with([
        [['sign' => 'rain'], 'There is no such sign'],
        [['about' => 'horn'], 'There is no part "horn"'],
        [['across' => -1], 'How broad: a number above 0'],
    ]);

    it('notes a mend in the diary and takes its wool from the stash, once', function () {
        $id = lay('sorrel');
        $head = collect(demoFigure('sorrel')['parts'])->firstWhere('key', 'head');
        $hex = collect(demoFigure('sorrel')['colours'])->firstWhere('key', $head['colour']);
        $this->postJson('/api/wools', [
            'name' => 'Own', 'hex' => $hex['hex'], 'material' => 'wool', 'preparation' => 'carded batting', 'gramsLeft' => 10,
        ])->assertCreated();
        $mend = ['uuid' => 'mend-0001', 'text' => 'A dent, Head: fill it', 'mg' => 250, 'colour' => $hex['key']];
        expect($this->postJson("/api/figures/{$id}/mends", $mend)->assertOk()->json())->toBe(['noted' => true, 'takenFromStash' => true]);
        $this->postJson("/api/figures/{$id}/mends", $mend)->assertOk();
        expect(Wool::query()->where('name', 'Own')->firstOrFail()->grams_left)->toEqualWithDelta(9.75, 1e-9)
            ->and(LogEntry::query()->where('kind', 'mended')->count())->toBe(1);
        $entries = collect($this->getJson("/api/figures/{$id}/log")->json('sittings'))->flatMap(fn ($s) => $s['entries']);
        expect($entries->pluck('text')->all())->toBe(['A dent, Head: fill it']);
        foreach ([['uuid' => 'x'], ['text' => ''], ['mg' => -1], ['mg' => 1e9]] as $bad) {
            $this->postJson("/api/figures/{$id}/mends", $bad + $mend)->assertStatus(422);
        }
    });

    it('notes a mend whose colour no wool of the stash has, and takes nothing', function () {
        $id = lay('sorrel');
        $mend = ['uuid' => 'mend-0002', 'text' => 'A dent', 'mg' => 8, 'colour' => 'nothing'];
        expect($this->postJson("/api/figures/{$id}/mends", $mend)->assertOk()->json('takenFromStash'))->toBeFalse();
    });
});

it('has a picture for every sign', function () {
    $drawn = (string) file_get_contents(resource_path('app/stations/check/signPictures.ts'));
    foreach (Sign::cases() as $sign) {
        expect(preg_match("/^  '?".preg_quote($sign->value, '/')."'?: \[$/m", $drawn))->toBe(1, $sign->value);
    }
});
