<?php

declare(strict_types=1);

namespace Tests\Feature\Wool;

use App\Models\Wool;
use Illuminate\Support\Facades\DB;
use Impa\Stash\Table\StashTable;
use Symfony\Component\Process\Process;

/** @param  array<string, mixed>  $more */
function wool(string $name, ?string $hex = '#2f8f86', float $grams = 20.0, array $more = []): int
{
    return test()
        ->postJson('/api/wools', $more + ['name' => $name, 'hex' => $hex, 'gramsLeft' => $grams])
        ->assertCreated()
        ->json('id');
}

/** The demo stash, as the seeder lays it out. */
function demoStash(): void
{
    foreach (json_decode((string) file_get_contents(base_path('demo/stash.json')), true) as $row) {
        Wool::query()->create($row);
    }
}

function laid(string $name = 'bobbin'): int
{
    return test()
        ->postJson('/api/figures', ['document' => demoFigure($name)])
        ->assertCreated()
        ->json('id');
}

/** A figure of one solid ball in teal. */
function ball(float $mm = 30.0, array $colour = []): array
{
    return [
        'format' => 'impa-figure',
        'version' => 1,
        'name' => 'Ball',
        'heightMm' => $mm,
        'colours' => [$colour + ['key' => 'teal', 'name' => 'Teal', 'hex' => '#2f8f86']],
        'parts' => [
            [
                'key' => 'ball',
                'shape' => ['kind' => 'ball', 'widthMm' => $mm, 'heightMm' => $mm, 'depthMm' => $mm],
                'at' => ['xMm' => 0, 'yMm' => $mm / 2],
                'colour' => 'teal',
                'core' => 'none',
            ],
        ],
    ];
}

describe('the stash', function () {
    it('takes a wool in, changes it, throws it away and takes it back', function () {
        $id = wool(
            'Teal',
            grams: 12.5,
            more: ['preparation' => 'sliver', 'micron' => '23,5', 'price' => 4.2, 'packG' => 50, 'maker' => 'The market'],
        );
        $this->getJson('/api/wools')
            ->assertOk()
            ->assertJsonPath('wools.0.micron', 23.5)
            ->assertJsonPath('wools.0.freeG', 12.5)
            ->assertJsonPath('wools.0.asideG', fn ($g) => abs($g) < 1e-9);
        $this->putSeen("/api/wools/{$id}", ['name' => 'Deep teal', 'hex' => '#1f6f66', 'gramsLeft' => 11])
            ->assertOk()
            ->assertJsonPath('name', 'Deep teal')
            ->assertJsonPath('micron', null);
        $this->deleteJson("/api/wools/{$id}")->assertNoContent();
        $this->getJson('/api/wools')->assertJsonCount(0, 'wools');
        $this->postJson("/api/wools/{$id}/restore")
            ->assertOk()
            ->assertJsonPath('name', 'Deep teal');
        $this->getJson('/api/wools')->assertJsonCount(1, 'wools');
    });

    it('refuses a wool with faults, each with its pointer, and keeps what was there', function (
        array $wool,
        string $pointer,
        string $word,
    ) {
        $id = wool('Teal');
        foreach ([$this->postJson('/api/wools', $wool), $this->putSeen("/api/wools/{$id}", $wool)] as $response) {
            $response->assertStatus(422)->assertHeader('Content-Type', 'application/problem+json');
            expect(array_column($response->json('errors'), 'detail', 'pointer')[$pointer] ?? '')->toContain($word);
        }
        $this->getJson('/api/wools')
            ->assertJsonCount(1, 'wools')
            ->assertJsonPath('wools.0.gramsLeft', fn ($g) => (float) $g === 20.0);
    })->with([
        [['name' => ''], '/name', 'needs a name'],
        [['name' => 'A', 'gramsLeft' => -1], '/gramsLeft', '-1'],
        [['name' => 'A', 'gramsLeft' => '1,2,3'], '/gramsLeft', 'no number'],
        [['name' => 'A', 'hex' => 'blue'], '/hex', 'no colour'],
        [['name' => ['a']], '/name', 'needs a name'],
        [['name' => 'A', 'preparation' => 'felted'], '/preparation', 'carded batting'],
        [['name' => str_repeat('a', 200)], '/name', 'longer'],
    ]);

    it('does not take the same wool twice, whatever its capitals', function () {
        $id = wool('Grün');
        $this->postJson('/api/wools', ['name' => 'GRÜN'])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/name');
        $this->putSeen("/api/wools/{$id}", ['name' => 'grün', 'gramsLeft' => 3])->assertOk();
        $this->deleteJson("/api/wools/{$id}")->assertNoContent();
        wool('Grün');
        $this->postJson("/api/wools/{$id}/restore")->assertStatus(422);
    });

    it('puts a wool on the scale: what it weighs is what is left', function () {
        $id = wool('Teal', grams: 20.0);
        $this->postJson("/api/wools/{$id}/weighings", ['grams' => 17.35])
            ->assertCreated()
            ->assertJsonPath('gramsLeft', 17.35);
        foreach ([-0.01, 'much', null, 1e300 * 1e10] as $grams) {
            $this->postJson("/api/wools/{$id}/weighings", [
                'grams' => is_float($grams) && is_infinite($grams) ? '1e999' : $grams,
            ])->assertStatus(422);
        }
        $this->getJson('/api/wools')->assertJsonPath('wools.0.gramsLeft', 17.35);
        expect(DB::table('weighings')->count())->toBe(1);
    });

    it('goes out as CSV and comes back the same, changing nothing', function () {
        demoStash();
        $csv = $this->get('/api/wools.csv')->assertOk()->getContent();
        expect(StashTable::read($csv)->wools)->toHaveCount(13);
        $this->postJson('/api/wool-sheet', ['base64' => base64_encode($csv), 'apply' => true])
            ->assertOk()
            ->assertJsonCount(0, 'added')
            ->assertJsonCount(0, 'changed')
            ->assertJsonCount(0, 'refused')
            ->assertJsonPath('same', 13);
        expect($this->get('/api/wools.csv')->getContent())->toBe($csv);
    });

    it('shows what a CSV would change before it does, and then does it once', function () {
        wool('Teal', grams: 20.0);
        $sheet = ['base64' => base64_encode("name;colour;grams\nteal;#2f8f86;12,5\nNew;#112233;3\nBad;#112233;-3\n")];
        $answer = $this->postJson('/api/wool-sheet', $sheet)->assertOk()->assertJsonPath('applied', false);
        expect($answer->json('added.0.name'))
            ->toBe('New')
            ->and($answer->json('changed.0.what.0'))
            ->toBe('grams: 20 to 12.5')
            ->and($answer->json('refused.0.line'))
            ->toBe(4)
            ->and($answer->json('notices.0'))
            ->toContain('semicolons');
        $this->getJson('/api/wools')->assertJsonCount(1, 'wools');
        foreach ([1, 2] as $time) {
            $this->postJson('/api/wool-sheet', $sheet + ['apply' => true])
                ->assertOk()
                ->assertJsonCount($time === 1 ? 1 : 0, 'added');
            $this->getJson('/api/wools')->assertJsonCount(2, 'wools')->assertJsonPath('wools.1.gramsLeft', 12.5);
        }
    });

    it('reads 5,000 wools with a faithful list of what was refused', function () {
        $lines = ['name,colour,grams'];
        for ($i = 0; $i < 5000; $i++) {
            $lines[] = sprintf('Wool %d,#%06x,%s', $i, ($i * 3001) % 0xFFFFFF, $i % 50 === 3 ? 'some' : $i);
        }
        $answer = $this->postJson('/api/wool-sheet', [
            'base64' => base64_encode(implode("\r\n", $lines)),
            'apply' => true,
        ])->assertOk();
        expect(array_column($answer->json('refused'), 'line'))
            ->toBe(range(5, 4955, 50))
            ->and(Wool::query()->count())
            ->toBe(4900);
    });

    it('refuses what is no table, and keeps the stash', function (string $text, string $as, string $word) {
        wool('Teal');
        $response = $this->postJson('/api/wool-sheet', [
            'base64' => base64_encode($text),
            'as' => $as,
            'apply' => true,
        ])->assertStatus(422);
        expect($response->json('detail'))->toContain($word);
        $this->getJson('/api/wools')->assertJsonCount(1, 'wools');
    })->with([
        ["PK\x03\x04\0", 'csv', 'no text'],
        ["Teal,12\n", 'csv', 'must name the columns'],
        ["name\nTeal\n", 'gpl', 'begins with the line'],
        ['', 'csv', 'empty'],
        ["name\nA\n", 'xls', 'csv or gpl'],
    ]);

    it('goes out as a palette and takes colours from one, keeping the grams', function () {
        wool('Teal', '#2f8f86', 20.0);
        wool('Undyed', null, 100.0, ['preparation' => 'core batting']);
        $gpl = $this->get('/api/wools.gpl')->assertOk()->getContent();
        expect($gpl)->toContain(" 47 143 134\tTeal")->not->toContain('Undyed');
        $answer = $this->postJson('/api/wool-sheet', [
            'as' => 'gpl',
            'apply' => true,
            'base64' => base64_encode(str_replace(' 47 143 134', ' 48 140 130', $gpl)."1 2 3\tInk\nnonsense\n"),
        ])->assertOk();
        expect($answer->json('changed.0.what'))
            ->toBe(['colour: #2f8f86 to #308c82'])
            ->and($answer->json('added.0.name'))
            ->toBe('Ink')
            ->and($answer->json('refused'))
            ->toHaveCount(1);
        $this->getJson('/api/wools')
            ->assertJsonPath('wools.1.gramsLeft', fn ($g) => (float) $g === 20.0)
            ->assertJsonPath('wools.1.hex', '#308c82');
    });
});

describe('the colour of a wool from a photo', function () {
    it('is corrected by the grey card beside it', function () {
        // A dim warm lamp over teal wool and a grey card: linear light times (0.8, 0.55, 0.3).
        $image = imagecreatetruecolor(200, 100);
        $seen = static function (string $hex): int {
            $light = \Impa\Colour\Srgb::hex($hex)->light();
            $srgb = \Impa\Colour\Light::of($light->red * 0.8, $light->green * 0.55, $light->blue * 0.3)->srgb();

            return ($srgb->red << 16) | ($srgb->green << 8) | $srgb->blue;
        };
        imagefilledrectangle($image, 0, 0, 99, 99, $seen('#2f8f86'));
        imagefilledrectangle($image, 100, 0, 199, 99, $seen(\Impa\Colour\Light::of(0.18, 0.18, 0.18)->srgb()->toHex()));
        ob_start();
        imagepng($image);
        $picture = $this->sendFile((string) ob_get_clean())->assertCreated()->json('id');
        $at = ['picture' => $picture, 'x' => 0.25, 'y' => 0.5, 'cardX' => 0.75, 'cardY' => 0.5];
        $hex = $this->postJson('/api/wool-colour', $at)->assertOk()->json('hex');
        expect(
            \Impa\Colour\Ciede2000::between(\Impa\Colour\Srgb::hex($hex)->lab(), \Impa\Colour\Srgb::hex('#2f8f86')->lab()),
        )->toBeLessThan(1.5);
        expect($this->postJson('/api/wool-colour', ['by' => 'none'] + $at)->json('hex'))->not->toBe($hex);
        $this->postJson('/api/wool-colour', ['by' => 'sun'] + $at)->assertStatus(422);
        $this->postJson('/api/wool-colour', ['x' => 7] + $at)->assertStatus(422);
        $this->postJson('/api/wool-colour', ['picture' => 999] + $at)->assertStatus(404);
    });

    it('is not guessed from a card that is blown out', function () {
        $picture = $this->sendFile(
            \Impa\Tests\Support\Pixels::png(static fn ($i) => imagefilledrectangle($i, 0, 0, 150, 300, 0x2F8F86)),
        )->json('id');
        $this->postJson('/api/wool-colour', ['picture' => $picture, 'x' => 0.25, 'y' => 0.5, 'cardX' => 0.8, 'cardY' => 0.5])
            ->assertStatus(422)
            ->assertJsonPath('title', 'This cannot be done with the wool');
    });
});

describe('mixes', function () {
    it('are found in the stash, with grams of each and what it has', function () {
        $white = wool('Snow', '#f4efe4', 2.0);
        $blue = wool('Harbour', '#274f7c', 50.0);
        wool('Curl', '#8fa3b8', 50.0, ['preparation' => 'locks']);
        $recipes = $this->postJson('/api/recipes', ['hex' => '#8fa3b8', 'grams' => 5])
            ->assertOk()
            ->json('recipes');
        expect($recipes[0]['wools'])
            ->toHaveCount(2)
            ->and(array_column($recipes[0]['wools'], 'wool'))
            ->toEqualCanonicalizing([$white, $blue])
            ->and(array_sum(array_column($recipes[0]['wools'], 'g')))
            ->toEqualWithDelta(5.0, 1e-9)
            ->and($recipes[0]['isEnough'])
            ->toBeFalse()
            ->and($recipes[0]['wools'][0]['teasing'])
            ->not->toBe('');
    });

    it('come first where there is enough of them, if they pass', function () {
        wool('Snow', '#f4efe4', 0.5);
        wool('Chalk', '#efe9dc', 50.0);
        wool('Harbour', '#274f7c', 50.0);
        $recipes = $this->postJson('/api/recipes', ['hex' => '#8fa3b8', 'grams' => 5])->json('recipes');
        $ready = array_map(static fn (array $r): bool => $r['isEnough'] && $r['difference'] <= 10.0, $recipes);
        $sorted = $ready;
        rsort($sorted);
        expect($ready)
            ->toBe($sorted)
            ->and($ready[0])
            ->toBeTrue()
            ->and(array_column($recipes[0]['wools'], 'name'))
            ->not->toContain('Snow');
    });

    it('are corrected by what one became, until that is forgotten', function () {
        [$white, $blue] = [wool('Snow', '#f4efe4'), wool('Harbour', '#274f7c')];
        $swatch = $this->postJson('/api/swatches', ['percent' => [$white => 60, $blue => 40], 'hex' => '#8fa3b8'])
            ->assertCreated()
            ->json('id');
        $best = $this->postJson('/api/recipes', ['hex' => '#8fa3b8'])->json('recipes.0');
        expect($best['isCorrected'])->toBeTrue()->and($best['difference'])->toBeLessThan(0.1);
        $this->deleteJson("/api/swatches/{$swatch}")->assertNoContent();
        expect($this->postJson('/api/recipes', ['hex' => '#8fa3b8'])->json('recipes.0.isCorrected'))->toBeFalse();
        foreach ([[$white => 100], [$white => 50, 999 => 50], [$white => -1, $blue => 2], []] as $percent) {
            $this->postJson('/api/swatches', ['percent' => $percent, 'hex' => '#8fa3b8'])->assertStatus(422);
        }
    });

    it('make a ramp between two wools', function () {
        $steps = $this->postJson('/api/ramp', ['from' => '#f4efe4', 'to' => '#274f7c', 'steps' => 5])
            ->assertOk()
            ->json('steps');
        expect($steps)->toHaveCount(5)->and($steps[0]['hex'])->toBe('#f4efe4')->and($steps[4]['percent'])->toEqual(100);
        foreach ([['steps' => 1], ['steps' => 1000], ['from' => 'blue']] as $wrong) {
            $this->postJson('/api/ramp', $wrong + ['from' => '#f4efe4', 'to' => '#274f7c', 'steps' => 5])->assertStatus(422);
        }
    });

    it('are refused for a number that is none, such as one too large to be kept', function (string $door, string $body) {
        $this->call(
            'POST',
            "/api/{$door}",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $body,
        )
            ->assertStatus(422)
            ->assertHeader('Content-Type', 'application/problem+json');
    })->with([
        ['recipes', '{"hex":"#123456","grams":1e400}'],
        ['supply/split', '{"grams":1e400,"ratio":[1,2]}'],
        ['supply/split', '{"grams":1,"ratio":[1e400,2]}'],
    ]);

    it('are none from an empty stash', function () {
        $this->postJson('/api/recipes', ['hex' => '#8fa3b8', 'grams' => 5])
            ->assertOk()
            ->assertJsonPath('recipes', []);
        $this->postJson('/api/recipes', ['hex' => 'red'])->assertStatus(422);
        $this->postJson('/api/recipes', ['hex' => '#8fa3b8', 'most' => 9])->assertStatus(422);
    });
});

describe('what a figure takes', function () {
    it('is held against the stash', function () {
        demoStash();
        $supply = $this->postJson('/api/supply', ['document' => demoFigure()])
            ->assertOk()
            ->json();
        expect(array_keys($supply))
            ->toBe(['matches', 'conflicts', 'needs', 'mixes', 'portions', 'sets', 'wisps', 'coverings', 'layout', 'insides', 'cost'])
            ->and($supply['needs'][0]['material'])
            ->toBe('core-wool')
            ->and($supply['cost'])
            ->toBeGreaterThan(0.5);
        $more = $this->postJson('/api/supply', ['document' => demoFigure(), 'reserve' => 'never'])->json();
        expect($more['needs'][1]['wantG'])->toBeGreaterThan($supply['needs'][1]['wantG']);
        $this->postJson('/api/supply', ['document' => demoFigure(), 'reserve' => 'lots'])->assertStatus(422);
        $this->postJson('/api/supply', ['document' => ['format' => 'x']])->assertStatus(422);
    });

    it('is set aside, released into the bin, set aside again and used up once', function () {
        $teal = wool('Teal', '#2f8f86', 20.0);
        $one = $this->postJson('/api/figures', ['document' => ball()])->json('id');
        $two = $this->postJson('/api/figures', ['document' => ball(40.0)])->json('id');
        $aside = $this->putSeen("/api/figures/{$one}/wool", ['reserve' => 'usual'])
            ->assertOk()
            ->assertJsonPath('state', 'aside')
            ->json('aside.0.g');
        $this->getJson('/api/wools')->assertJsonPath('wools.0.asideG', fn ($g) => abs($g - $aside) < 1e-6);
        // Another figure sees what is left; this one sees all of its own.
        $free = fn (int $figure) => $this->postJson('/api/supply', ['document' => ball(), 'figure' => $figure])->json(
            'needs.0.freeG',
        );
        expect($free($two))
            ->toEqualWithDelta(20.0 - $aside, 1e-6)
            ->and($free($one))
            ->toEqualWithDelta(20.0, 1e-6);
        $this->deleteJson("/api/figures/{$one}")->assertNoContent();
        expect($free($two))->toEqualWithDelta(20.0, 1e-6);
        $this->postJson("/api/bin/{$one}/restore")->assertNoContent();
        $this->putSeen("/api/figures/{$one}/wool", ['reserve' => 'usual'])->assertOk();
        $used = $this->postJson("/api/figures/{$one}/wool/finish", ['used' => null])
            ->assertCreated()
            ->assertJsonPath('state', 'used')
            ->json('used.0.usedG');
        $this->getJson('/api/wools')
            ->assertJsonPath('wools.0.gramsLeft', fn ($g) => abs($g - (20.0 - $used)) < 1e-6)
            ->assertJsonPath('wools.0.asideG', fn ($g) => abs($g) < 1e-9);
        $this->postJson("/api/figures/{$one}/wool/finish", ['used' => null])->assertStatus(422);
        $this->putSeen("/api/figures/{$one}/wool", ['reserve' => 'usual'])->assertStatus(422);
        $this->getJson('/api/wools')->assertJsonPath('wools.0.gramsLeft', fn ($g) => abs($g - (20.0 - $used)) < 1e-6);
        // What she weighed counts for more than what was planned, and is reported beside it.
        $said = $this->postJson("/api/figures/{$two}/wool/finish", ['used' => [$teal => 1.5]])
            ->assertCreated()
            ->json('used.0');
        expect($said['usedG'])
            ->toEqual(1.5)
            ->and($said['sparedG'])
            ->toEqualWithDelta($said['plannedG'] - 1.5, 1e-9);
    });

    it('is refused where figures or amounts make no sense, and nothing is taken', function () {
        $teal = wool('Teal', '#2f8f86', 20.0);
        $one = $this->postJson('/api/figures', ['document' => ball()])->json('id');
        $this->postJson("/api/figures/{$one}/wool/finish", ['used' => [$teal => -2]])->assertStatus(422);
        $this->postJson("/api/figures/{$one}/wool/finish", ['used' => 'all'])->assertStatus(422);
        $this->putJson('/api/figures/999/wool', ['reserve' => 'usual'])->assertStatus(404);
        $this->putSeen("/api/figures/{$one}/wool", ['reserve' => 5])->assertStatus(422);
        $this->getJson('/api/wools')->assertJsonPath('wools.0.freeG', fn ($g) => (float) $g === 20.0);
    });

    it('is split by a ratio', function () {
        $this->postJson('/api/supply/split', ['grams' => 7, 'ratio' => [3, 2, 2]])
            ->assertOk()
            ->assertJsonPath('grams', fn ($g) => array_map(floatval(...), $g) === [3.0, 2.0, 2.0]);
        foreach ([['ratio' => []], ['ratio' => [0, 1]], ['ratio' => [-1, 2]], ['ratio' => 'a'], ['grams' => -1]] as $wrong) {
            $this->postJson('/api/supply/split', $wrong + ['grams' => 7, 'ratio' => [3, 2, 2]])->assertStatus(422);
        }
    });

    it('comes as a portions sheet whose clumps are true', function (string $paper) {
        demoStash();
        $document = ball(30.0);
        $pdf = $this->postJson('/api/supply/portions', ['document' => $document, 'paper' => $paper])
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')
            ->getContent();
        $file = tempnam(sys_get_temp_dir(), 'portions');
        file_put_contents($file, $pdf);
        (new Process(['pdftoppm', '-r', '254', '-png', '-singlefile', $file, $file]))->mustRun();
        $image = imagecreatefrompng($file.'.png');
        // The dashed clump: 30 mm, two and a half times the bulk: 40.7 mm across, in pixels of a tenth of a millimetre.
        [$left, $right] = [INF, -INF];
        for ($y = (int) (imagesy($image) * 0.15); $y < imagesy($image); $y++) {
            for ($x = (int) (imagesx($image) * 0.55); $x < imagesx($image) * 0.94; $x++) {
                $rgb = imagecolorat($image, $x, $y);
                if (abs((($rgb >> 16) & 255) - 0x6D) < 40 && abs(($rgb & 255) - 0x4C) < 40) {
                    [$left, $right] = [min($left, $x), max($right, $x)];
                }
            }
        }
        expect(($right - $left) / 10)->toEqualWithDelta(30 * 2.5 ** (1 / 3), 0.8);
        array_map(unlink(...), [$file, $file.'.png']);
    })->group('dear')->with(['a4', 'letter']);
});

describe('shopping', function () {
    it('lists the cheapest packs of what is lacking, as a page, a table and a print', function () {
        demoStash();
        Wool::query()
            ->where('name', 'Heather dusk')
            ->update(['grams_left' => 0.5]);
        $list = $this->postJson('/api/supply/shopping', ['document' => demoFigure()])
            ->assertOk()
            ->json();
        $heather = collect($list['lines'])->firstWhere('name', 'Heather dusk');
        expect($heather['g'])
            ->toBeGreaterThanOrEqual($heather['needG'])
            ->and($list['price'])
            ->toBeGreaterThan(0.0)
            ->and($list['sending'])
            ->toEqual(4.9)
            ->and($list['closed'])
            ->toBe('');
        $csv = $this->postJson('/api/supply/shopping', ['document' => demoFigure(), 'as' => 'csv'])
            ->assertOk()
            ->getContent();
        expect($csv)->toContain('Heather dusk')->toContain('wool,for,grams lacking');
        expect(
            $this->postJson('/api/supply/shopping', ['document' => demoFigure(), 'as' => 'pdf'])
                ->assertOk()
                ->getContent(),
        )->toStartWith('%PDF');
        $this->postJson('/api/supply/shopping', ['document' => demoFigure(), 'as' => 'fax'])->assertStatus(422);
        $this->postJson('/api/supply/shopping', ['document' => demoFigure(), 'shop' => 'haunted'])->assertStatus(422);
    });

    it('says so when the shop is closed or sold out, and lists what is lacking all the same', function () {
        $document = ball(80.0, ['hex' => '#875d9c', 'name' => 'Violet']);
        $closed = $this->postJson('/api/supply/shopping', ['document' => $document, 'shop' => 'closed'])
            ->assertOk()
            ->json();
        expect($closed['closed'])
            ->toContain('does not answer')
            ->and($closed['missing'][0]['name'])
            ->toBe('Violet')
            ->and($closed['lines'])
            ->toBe([]);
        $sold = $this->postJson('/api/supply/shopping', ['document' => $document, 'shop' => 'sold-out'])
            ->assertOk()
            ->json();
        expect(
            array_merge(array_column($sold['missing'], 'name'), array_merge([], ...array_column($sold['lines'], 'for'))),
        )->toBe(['Violet']);
    });

    it('buys nothing where nothing is lacking', function () {
        wool('Teal', '#2f8f86', 500.0);
        $list = $this->postJson('/api/supply/shopping', ['document' => ball()])
            ->assertOk()
            ->json();
        expect($list['lines'])
            ->toBe([])
            ->and($list['missing'])
            ->toBe([])
            ->and($list['price'] + $list['sending'])
            ->toEqual(0);
    });
});

describe('what a wool is promised to', function () {
    beforeEach(function () {
        $this->wool = fn (string $name, string $hex, float $g): int => $this->postJson('/api/wools', [
            'name' => $name, 'hex' => $hex, 'preparation' => 'carded batting', 'gramsLeft' => $g,
        ])->assertCreated()->json('id');
    });

    it('is not offered for a mix: what other colours of the figure count on is not free', function () {
        // Two colours of one figure, of which the first takes nearly all of the only light wool.
        ($this->wool)('Light', '#f0e8d8', 9.0);
        ($this->wool)('Dark', '#202020', 50.0);
        $document = [
            'format' => 'impa-figure', 'version' => 1, 'name' => 'Two', 'heightMm' => 60,
            'colours' => [['key' => 'pale', 'hex' => '#f0e8d8'], ['key' => 'grey', 'hex' => '#808080']],
            'parts' => [
                ['key' => 'body', 'shape' => ['kind' => 'ball', 'widthMm' => 45, 'heightMm' => 45, 'depthMm' => 45],
                    'at' => ['xMm' => 0, 'yMm' => 22], 'colour' => 'pale', 'core' => 'none'],
                ['key' => 'hat', 'shape' => ['kind' => 'ball', 'widthMm' => 20, 'heightMm' => 20, 'depthMm' => 20],
                    'at' => ['xMm' => 0, 'yMm' => 50], 'colour' => 'grey', 'core' => 'none', 'join' => ['to' => 'body']],
            ],
        ];
        $pale = array_column($this->postJson('/api/plan', ['document' => $document])->json('wool'), 'g', 'colour')['pale'];
        $asked = ['hex' => '#808080', 'grams' => 1.0];
        $mix = function (array $more) use ($asked): array {
            $recipes = $this->postJson('/api/recipes', $asked + $more)->assertOk()->json('recipes');

            return array_values(array_filter($recipes, static fn (array $r): bool => count($r['wools']) === 2))[0];
        };
        $free = static fn (array $recipe): float => array_column($recipe['wools'], 'freeG', 'name')['Light'];
        expect($free($mix([])))->toEqualWithDelta(9.0, 1e-6)
            ->and($free($mix(['document' => $document, 'colour' => 'grey'])))->toEqualWithDelta(max(0.0, 9.0 - $pale), 1e-6)
            // For the colour itself it is free.
            ->and($free($mix(['document' => $document, 'colour' => 'pale', 'hex' => '#c0b8a8'])))->toBeGreaterThan(8.0);
    });

    it('is said where wool is set aside that another figure in work counts on', function () {
        ($this->wool)('All there is', '#8a5f9f', 9.0);
        [$first, $second] = [lay('bobbin'), lay('bobbin')];
        $this->putJson("/api/figures/{$second}/steps/portion")->assertOk();
        expect($this->getJson("/api/figures/{$first}/wool")->json('elsewhere'))->toBe([]);
        $told = $this->putSeen("/api/figures/{$first}/wool", ['reserve' => 'usual'])->assertOk()->json();
        $needs = $this->postJson('/api/supply', ['document' => demoFigure('bobbin'), 'figure' => $second])->json('needs');
        $need = array_column($needs, null, 'name')['All there is'];
        expect($told['elsewhere'])->toHaveCount(1)
            ->and($told['elsewhere'][0])->toMatchArray(['figure' => $second, 'wool' => 'All there is'])
            ->and($told['elsewhere'][0]['g'])->toEqualWithDelta($need['g'], 1e-6)
            ->and($told['elsewhere'][0]['freeG'])->toEqualWithDelta($need['freeG'], 1e-6)->toBeLessThan($need['g']);
        // What has set its own aside counts on nothing any more.
        $this->putSeen("/api/figures/{$second}/wool", ['reserve' => 'usual'])->assertOk();
        expect($this->getJson("/api/figures/{$first}/wool")->json('elsewhere'))->toBe([]);
    });

    it('leaves the stash by the plan where nothing is said of what was used', function () {
        ($this->wool)('Purple', '#8a5f9f', 60.0);
        $id = lay('bobbin');
        $told = $this->postJson("/api/figures/{$id}/wool/finish", ['used' => (object) []])->assertCreated()->json();
        expect($told['state'])->toBe('used')->and($told['used'][0]['usedG'])->toBe($told['used'][0]['plannedG']);
    });
});
