<?php

declare(strict_types=1);

namespace Tests\Feature\Build;

use App\Building\KnownReach;
use App\Models\Figure;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Impa\Build\Order\Reach;
use Impa\Build\StepsSheet;
use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Figure\Figure as FigureDocument;
use Impa\Material\Densities;
use Impa\Material\Pace;
use Impa\Wool\Ledger\Ledger;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

/** The same as the server reckons, straight from core. */
function workOf(array $document): Work
{
    return Work::of(
        Ledger::of(FigureDocument::fromJson((string) json_encode($document)), Densities::house()),
        Pace::house(),
        Needles::usual(),
    );
}

describe('the steps', function () {
    it('are told by HTTP and console alike, by their schema: each part covered, then joined, once', function (string $name) {
        $told = $this->postJson('/api/build', ['document' => demoFigure($name)])->assertOk();
        $at = array_flip(array_column($told->json('sheet.steps'), 'key'));
        // Common practice, of what the document holds.
        foreach (demoFigure($name)['parts'] as $part) {
            $key = $part['key'];
            expect(($part['core'] ?? 'none') === 'none' || $at["core:{$key}"] < $at["cover:{$key}"])->toBeTrue("core of {$key}");
            if (isset($part['join'])) {
                expect($at["join:{$key}"])->toBeGreaterThan($at["cover:{$key}"])->toBeLessThan($at["hide:{$key}"]);
            }
        }
        foreach (demoFigure($name)['details'] as $detail) {
            expect($at["detail:{$detail['key']}"])->toBeGreaterThan($at["cover:{$detail['on']}"]);
        }
        expect([$at['portion'], $at['inspect'], count($at)])->toBe([0, count($at) - 1, count($told->json('sheet.steps'))])
            ->and(array_column($told->json('schools'), 'question'))
            ->toBe(['face', 'inside', 'join', 'eyes', 'skeleton', ...$name === 'sorrel' ? ['plates'] : []]);
        [$exit, $out] = impa('impa:steps', "demo/{$name}.impa.json");
        expect($exit)->toBe(0)->and(json_decode($out, true))->toEqual($told->json('sheet'));
        holdAgainst('steps', $out);
        // The plan knows of the same steps, and of the same minutes.
        $plan = $this->postJson('/api/plan', ['document' => demoFigure($name)])->json();
        $minutes = static fn (array $steps): array => array_column($steps, 'minutes', 'key');
        expect($minutes($plan['steps']))->toEqualCanonicalizing($minutes($told->json('sheet.steps')));
    })->with(['bobbin', 'lanto', 'sorrel']);

    it('follow another school, and say what that changed', function () {
        $chosen = $this->postJson('/api/build/school', ['document' => demoFigure(), 'question' => 'face', 'value' => 'limbs-first']);
        $told = $this->postJson('/api/build', ['document' => $chosen->assertOk()->json('document')])->assertOk();
        expect($chosen->json('changed'))->toStartWith('Limbs first: ')
            ->and($told->json('schools.0.now'))->toBe('limbs-first')
            ->and(json_decode(impa('impa:steps', 'demo/bobbin.impa.json', '--school=limbs-first')[1], true))
            ->toEqual($told->json('sheet'));
    });

    it('refuse a question that is none, and what a figure cannot follow', function (string $question, string $value, string $why) {
        $sent = ['document' => demoFigure('sorrel'), 'question' => $question, 'value' => $value];
        expect($this->postJson('/api/build/school', $sent)->assertStatus(422)->json('detail'))->toContain($why);
    })->with([
        ['luck', 'good', '"luck" is none of face'],
        ['inside', 'sand', '"sand" is none of core-wool'],
        ['skeleton', 'steel', 'No part of this figure is long enough'],
    ]);

    it('lead a wire that was drawn through what it passes', function () {
        $drawn = $this->postJson('/api/armature/draw', ['document' => demoFigure('lanto')])->assertOk()->json('document');
        expect(array_column($drawn['wires'], 'name'))->toBe(['Wire 1']);
        $again = $this->postJson('/api/armature/draw', ['document' => $drawn])->assertOk()->json('document');
        expect(array_column($again['wires'], 'key'))->toBe(['wire-1', 'wire-2'])
            ->and(array_column($this->postJson('/api/build', ['document' => $drawn])->json('sheet.steps'), 'key'))
            ->toContain('thread:wire-1');
    });

    it('each have a drawing', function () {
        foreach (array_column(StepsSheet::of(workOf(demoFigure('lanto')))['steps'], 'key') as $key) {
            $svg = $this->postJson('/api/build/picture', ['document' => demoFigure('lanto'), 'step' => $key])->assertOk()->json('svg');
            $xml = simplexml_load_string($svg);
            expect($xml)->not->toBeFalse()->and($svg)->not->toContain('NAN')->not->toContain('INF');
        }
        $this->postJson('/api/build/picture', ['document' => demoFigure('lanto'), 'step' => 'core:nobody'])->assertStatus(422);
    });

    it('are pulled forward and put off, and say why not', function () {
        $pull = fn (array $document, string $step, bool $forward) => $this->postJson(
            '/api/build/pull',
            ['document' => $document, 'step' => $step, 'forward' => $forward],
        );
        $keys = workOf(demoFigure())->keys();
        $at = array_search('cover:scarf', $keys, true);
        $moved = $pull(demoFigure(), 'cover:scarf', true)->assertOk()->json('document');
        expect(array_search('cover:scarf', workOf($moved)->keys(), true))->toBe($at - 1)
            ->and($moved['work']['pulled'])->toBe([['step' => 'cover:scarf', 'before' => $keys[$at - 1]]]);
        $back = $pull($moved, 'cover:scarf', false)->assertOk()->json('document');
        expect(workOf($back)->keys())->toBe($keys)->and($back['work']['pulled'])->toHaveCount(1);
        expect($pull(demoFigure(), 'hide:head', true)->assertStatus(422)->json('detail'))->toContain('must be done before')
            ->and($pull(demoFigure(), 'portion', true)->assertStatus(422)->json('detail'))->toContain('first step already')
            ->and($pull(demoFigure(), 'inspect', false)->assertStatus(422)->json('detail'))->toContain('last step already')
            ->and($pull(demoFigure(), 'nothing', true)->assertStatus(422)->json('detail'))->toContain('no step');
        // Where reach decides, its reason is told.
        $scarf = $pull(demoFigure(), 'join:scarf', true)->assertStatus(422)->json('detail');
        expect($scarf)->toContain('in the way of the seam of the head');
    });

    it('come on paper, every one with its drawing', function () {
        $pdf = $this->postJson('/api/build/paper', ['document' => demoFigure('sorrel'), 'paper' => 'letter'])->assertOk();
        expect($pdf->headers->get('Content-Type'))->toBe('application/pdf')->and($pdf->getContent())->toStartWith('%PDF-');
        $file = sys_get_temp_dir().'/impa-work-'.bin2hex(random_bytes(4)).'.pdf';
        [$exit] = impa('impa:steps', 'demo/sorrel.impa.json', "--pdf={$file}");
        expect($exit)->toBe(0);
        exec('pdftotext -layout '.escapeshellarg($file).' -', $lines);
        $text = implode(' ', preg_replace('/\s+/', ' ', $lines));
        foreach (workOf(demoFigure('sorrel'))->steps as $step) {
            expect($text)->toContain($step->title);
        }
        unlink($file);
    })->group('dear');
});

describe('the evenings', function () {
    it('are told by HTTP and console alike, by their schema', function () {
        $wish = ['sitting' => 60, 'days' => ['mon', 'wed'], 'from' => '2199-01-07', 'by' => '2199-01-09', 'at' => '20:15'];
        $told = $this->postJson('/api/schedule', ['document' => demoFigure()] + $wish)->assertOk();
        $said = ['--sitting=60', '--days=mon,wed', '--from=2199-01-07', '--by=2199-01-09', '--at=20:15'];
        $console = impa('impa:schedule', 'demo/bobbin.impa.json', ...$said);
        expect($console[0])->toBe(0)->and(json_decode($console[1], true))->toEqual($told->json());
        holdAgainst('schedule', $console[1]);
        // 7 January 2199 is a Monday.
        expect($told->json('sittings.0.start'))->toBe('2199-01-07T20:15:00')
            ->and($told->json('sittings.1.start'))->toBe('2199-01-09T20:15:00')
            // Two of them are there by the 9th.
            ->and($told->json('sittingsMissing'))->toBe(count($told->json('sittings')) - 2)->toBeGreaterThan(0)
            ->and($told->json('helps'))->not->toBeEmpty();
    });

    it('come as a calendar that a calendar can read, as long as the sittings and on their days', function () {
        $wish = ['document' => demoFigure(), 'sitting' => 45, 'days' => ['tue'], 'from' => '2199-01-01'];
        $schedule = $this->postJson('/api/schedule', $wish)->json();
        $ics = $this->postJson('/api/schedule/calendar', $wish)->assertOk()->getContent();
        $calendar = Reader::read($ics);
        expect($calendar)->toBeInstanceOf(VCalendar::class)->and($calendar->validate())->toBe([]);
        $events = iterator_to_array($calendar->VEVENT, false);
        expect($events)->toHaveCount(count($schedule['sittings']));
        foreach ($events as $i => $event) {
            expect($event->DTSTART->getDateTime()->format('Y-m-d\TH:i:s'))->toBe($schedule['sittings'][$i]['start'])
                ->and($event->DTEND->getDateTime()->format('Y-m-d\TH:i:s'))->toBe($schedule['sittings'][$i]['end'])
                // Floating: no zone, no Z (RFC 5545, 3.3.5, form 1).
                ->and((string) $event->DTSTART)->toMatch('/^\d{8}T\d{6}$/');
        }
        foreach (explode("\r\n", $ics) as $line) {
            expect(strlen($line))->toBeLessThanOrEqual(75);
        }
    });

    it('are refused in plain words', function (array $wish, string $words) {
        $refused = $this->postJson('/api/schedule', ['document' => demoFigure()] + $wish)->assertStatus(422);
        expect($refused->json('detail'))->toContain($words);
    })->with([
        [['sitting' => 3], 'too short'],
        [['sitting' => 'long'], 'must be a number'],
        [['days' => ['someday']], 'is no day'],
        [['days' => []], 'on which days'],
        [['by' => '2020-01-01'], 'gone already'],
        [['from' => 'tomorrow'], 'is no date'],
        [['at' => '7pm'], 'is no time'],
    ]);

    it('are refused at the console in one line', function (array $options, string $words) {
        [$exit, , $error] = impa('impa:schedule', 'demo/bobbin.impa.json', ...$options);
        expect($exit)->toBe(2)->and($error)->toContain($words)->and(substr_count(trim($error), "\n"))->toBe(0);
    })->with([
        [['--sitting=3'], 'too short'],
        [['--sitting=ages'], '--sitting'],
        [['--days='], 'on which days'],
        [['--by=2020-01-01'], 'gone already'],
        [['--ics=/nowhere/at/all.ics'], 'cannot be written'],
        [['--done=core:head,core:hat'], 'has no step "core:hat"'],
    ]);
});

describe('the log', function () {
    $minute = 60_000;
    $told = fn (int $id, string $step, int $from, int $to) => test()->postJson(
        "/api/figures/{$id}/log/time",
        ['step' => $step, 'from' => $from, 'to' => $to],
    );
    $ago = static fn (float $minutes): int => (int) (microtime(true) * 1000) - (int) ($minutes * 60_000);

    it('counts no minute twice, whichever device tells of it, and however often', function () use ($told, $ago) {
        $id = lay();
        $start = $ago(100);
        $at = static fn (float $minutes): int => $start + (int) ($minutes * 60_000);
        $told($id, 'core:head', $at(0), $at(20))->assertOk();
        $told($id, 'core:head', $at(0), $at(20))->assertOk();
        // Another device ran its clock from minute 15 to 30, a third over all of it.
        $told($id, 'cover:head', $at(15), $at(30))->assertOk();
        $diary = $told($id, 'core:body', $at(-5), $at(40))->assertOk()->json();
        $done = array_column($diary['steps'], 'done', 'key');
        expect($diary['minutes'])->toEqualWithDelta(45.0, 0.01)
            ->and($done['core:head'])->toEqualWithDelta(20.0, 0.01)
            ->and($done['cover:head'])->toEqualWithDelta(10.0, 0.01)
            ->and($done['core:body'])->toEqualWithDelta(15.0, 0.01)
            ->and($diary['sittings'])->toHaveCount(1);
        expect($this->getJson("/api/figures/{$id}/log")->json())->toEqual($diary);
    });

    it('begins a new sitting after a long pause, and remembers work at steps that are gone', function () use ($told, $ago) {
        $id = lay();
        $told($id, 'core:head', $ago(300), $ago(280));
        $diary = $told($id, 'core:gone', $ago(100), $ago(90))->json();
        expect($diary['sittings'])->toHaveCount(2)
            ->and(array_column($diary['steps'], 'done', 'key')['core:gone'])->toEqualWithDelta(10.0, 0.01);
    });

    it('refuses a clock that ran over night, and one that is wrong', function () use ($told, $ago) {
        $id = lay();
        expect($told($id, 'core:head', $ago(600), $ago(1))->assertStatus(422)->json('detail'))->toContain('it was forgotten')
            ->and($told($id, 'core:head', $ago(1), $ago(-60))->assertStatus(425)->json('detail'))->toContain('clock of this device')
            ->and($told($id, 'core:head', $ago(1), $ago(2))->assertStatus(422)->json('detail'))->toContain('clock of this device')
            ->and($told($id, "a\nb", $ago(2), $ago(1))->assertStatus(422)->json('detail'))->toContain('no key of a step')
            ->and($this->getJson("/api/figures/{$id}/log")->json('minutes'))->toEqual(0);
    });

    it('keeps notes, weights and broken needles once each, and takes them out again', function () use ($ago) {
        $id = lay();
        $note = ['uuid' => 'aaaaaaaa-1', 'kind' => 'note', 'step' => 'core:head', 'text' => ' Softer next time ', 'at' => $ago(5)];
        $keep = fn (array $entry) => $this->postJson("/api/figures/{$id}/log", $entry);
        $keep($note)->assertOk();
        $keep($note)->assertOk();
        $keep(['uuid' => 'aaaaaaaa-2', 'kind' => 'weighed', 'step' => 'core:head', 'grams' => 7.4, 'at' => $ago(4)])->assertOk();
        $diary = $keep(['uuid' => 'aaaaaaaa-3', 'kind' => 'broken', 'step' => '', 'gauge' => 38, 'at' => $ago(3)])->assertOk()->json();
        $entries = $diary['sittings'][0]['entries'];
        expect(array_column($entries, 'kind'))->toBe(['note', 'weighed', 'broken'])
            ->and($entries[0]['text'])->toBe('Softer next time')
            ->and($entries[1]['grams'])->toEqualWithDelta(7.4, 1e-6)
            ->and($entries[2]['gauge'])->toBe(38);
        $picture = $this->call('POST', '/api/pictures', content: demoPicture())->json('id');
        $photo = ['uuid' => 'aaaaaaaa-7', 'kind' => 'photo', 'step' => 'core:head', 'picture' => $picture, 'at' => $ago(2)];
        expect($keep($photo)->assertOk()->json('sittings.0.entries.3.picture'))->toBe($picture);
        $keep(['uuid' => 'aaaaaaaa-8', 'picture' => 9999] + $photo)->assertStatus(422);
        $keep(['uuid' => 'aaaaaaaa-9', 'kind' => 'photo', 'at' => 1])->assertStatus(422);
        $this->deleteJson("/api/figures/{$id}/log/aaaaaaaa-7")->assertOk();
        $left = $this->deleteJson("/api/figures/{$id}/log/aaaaaaaa-1")->assertOk()->json('sittings.0.entries');
        expect(array_column($left, 'uuid'))->toBe(['aaaaaaaa-2', 'aaaaaaaa-3']);
        $keep(['uuid' => 'short', 'kind' => 'note', 'at' => 1])->assertStatus(422);
        $keep(['uuid' => 'aaaaaaaa-0', 'kind' => 'broken', 'gauge' => 7, 'at' => 1])->assertStatus(422);
        $keep(['uuid' => 'aaaaaaaa-0', 'kind' => 'note', 'at' => -5])->assertStatus(422);
        $keep(['uuid' => 'aaaaaaaa-4', 'kind' => 'gossip', 'at' => 1])->assertStatus(422);
        $keep(['uuid' => 'aaaaaaaa-5', 'kind' => 'weighed', 'grams' => -1, 'at' => 1])->assertStatus(422);
        $keep(['uuid' => 'aaaaaaaa-6', 'kind' => 'note', 'text' => str_repeat('x', 2001), 'at' => 1])->assertStatus(422);
    });

    it('tells what became otherwise of the figure in a sitting', function () use ($told, $ago) {
        $id = lay();
        DB::table('figure_revisions')->update(['created_at' => now()->subMinutes(60)]);
        $document = demoFigure();
        $document['parts'][0]['firmness'] = 'firm';
        array_pop($document['details']);
        $document['heightMm'] = 120;
        $this->putJson("/api/figures/{$id}", ['revision' => 1, 'document' => $document])->assertOk();
        $diary = $told($id, 'core:head', $ago(10), $ago(-1))->assertOk()->json();
        expect($diary['sittings'][0]['changed'])->toBe(['Head changed', 'Spark, right is gone', 'the finished height changed']);
    });

    it('goes with its figure when that is thrown away for good', function () use ($told, $ago) {
        $id = lay();
        $told($id, 'core:head', $ago(30), $ago(20));
        $this->deleteJson("/api/figures/{$id}");
        $this->deleteJson('/api/bin')->assertNoContent();
        expect(Figure::withTrashed()->count())->toBe(0)->and(DB::table('bouts')->count())->toBe(0);
    });
});

it('counts the needles in the box, and takes one out that broke, once', function () {
    $box = [
        ['gauge' => 36, 'kind' => 'triangle', 'left' => 2],
        ['gauge' => 38, 'kind' => 'star', 'left' => 1],
        ['gauge' => 36, 'kind' => 'reverse', 'left' => 9],
    ];
    $told = $this->putSeen('/api/needles', ['box' => $box])->assertOk();
    expect($told->json('gauges'))->toBe([36, 38])->and($told->json('box'))->toHaveCount(3);
    $id = lay();
    $broke = ['uuid' => 'bbbbbbbb-1', 'kind' => 'broken', 'step' => 'core:head', 'gauge' => 38, 'at' => 1000];
    foreach ([1, 2] as $times) {
        $this->postJson("/api/figures/{$id}/log", $broke)->assertOk();
    }
    $left = array_column(array_filter($this->getJson('/api/needles')->json('box'), fn ($n) => $n['kind'] !== 'reverse'), 'left', 'gauge');
    expect($told->json('last'))->toBe([38])->and($left)->toBe([36 => 2, 38 => 0])
        // What is gone is not advised any more.
        ->and($this->getJson('/api/needles')->json('gauges'))->toBe([36]);
    // It did not break after all: it lies in the box again, once.
    foreach ([1, 2] as $times) {
        $this->deleteJson("/api/figures/{$id}/log/bbbbbbbb-1")->assertOk();
    }
    expect(array_column($this->getJson('/api/needles')->json('box'), 'left', 'kind')['star'])->toBe(1);
    $this->postJson("/api/figures/{$id}/log", $broke)->assertOk();
    $needle = $this->postJson('/api/build', ['document' => demoFigure()])->json('sheet.steps.3.needle');
    expect([$needle['gauge'], $needle['wantedGauge']])->toBe([36, 40]);
    // Saying only gauges keeps what the box has of them.
    expect($this->putSeen('/api/needles', ['gauges' => [36, 42]])->json('box'))->toBe([
        ['gauge' => 36, 'kind' => 'reverse', 'left' => 9],
        ['gauge' => 36, 'kind' => 'triangle', 'left' => 2],
        ['gauge' => 42, 'kind' => 'triangle', 'left' => 1],
    ]);
    foreach ([['gauge' => 7], ['kind' => 'blunt'], ['left' => -1], ['left' => 'many']] as $wrong) {
        $this->putSeen('/api/needles', ['box' => [$wrong + $box[0]]])->assertStatus(422);
    }
    $this->putSeen('/api/needles', ['box' => [$box[0], $box[0]]])->assertStatus(422);
});

it('lets every step be ticked of a figure that was saved when there were fewer', function () {
    $id = lay();
    Figure::query()->whereKey($id)->toBase()->update(['step_keys' => '["portion","core:head"]', 'steps' => 2]);
    $this->putJson("/api/figures/{$id}/steps/compare:arm")->assertStatus(422);
    event(new MigrationsEnded('up'));
    $this->putJson("/api/figures/{$id}/steps/compare:arm")->assertOk()->assertJsonPath('done', ['compare:arm']);
    // As many as the Build station shows.
    $sheet = $this->postJson('/api/build', ['document' => demoFigure()])->json('sheet.steps');
    expect(Figure::query()->findOrFail($id)->summary()->steps)->toEqualCanonicalizing(array_column($sheet, 'key'));
});

it('keeps which step lies open, for whoever asks next, and none that is not there', function () {
    $id = lay();
    $this->putJson("/api/figures/{$id}/present", ['step' => 'cover:head'])->assertOk()->assertJsonPath('present', 'cover:head');
    $this->getJson("/api/figures/{$id}/steps")->assertJsonPath('present', 'cover:head');
    $this->putJson("/api/figures/{$id}/present", ['step' => 'cover:nobody'])->assertStatus(422);
    $this->putJson("/api/figures/{$id}/present", ['step' => ''])->assertOk()->assertJsonPath('present', '');
});

describe('wires', function () {
    it('are told by HTTP and console alike, by their schema, and cut from the stock at hand', function () {
        $told = $this->postJson('/api/armature', ['document' => demoFigure('lanto'), 'all' => true, 'stock' => [300, 120]])->assertOk();
        [$exit, $out] = impa('impa:armature', 'demo/lanto.impa.json', '--all', '--stock=300,120');
        expect($exit)->toBe(0)->and(json_decode($out, true))->toEqual($told->json());
        holdAgainst('armature', $out);
        // The shorter length holds the one wire.
        expect($told->json('cuts'))->toHaveCount(1)->and($told->json('cuts.0.stockMm'))->toEqualWithDelta(120.0, 1e-6);
    });

    it('become the figure\'s own, are bent before their limb is felted, and weigh with it', function () {
        $own = $this->postJson('/api/armature/lay', ['document' => demoFigure('lanto'), 'all' => true])->assertOk()->json('document');
        expect($own['wires'])->toHaveCount(1)->and($own['wires'][0]['key'])->toBe('wire-arm');
        $steps = array_column($this->postJson('/api/build', ['document' => $own])->json('sheet.steps'), null, 'key');
        expect($steps['cover:arm']['after'])->toContain('wire:arm')
            ->and(implode(' ', $steps['cover:arm']['cautions']))->toContain('from the side only');
        $g = fn (array $document): float => $this->postJson('/api/balance', ['document' => $document])->json('massG');
        $wireG = $this->postJson('/api/armature', ['document' => $own])->json('wires.0.massG');
        expect($g($own) - $g(demoFigure('lanto')))->toEqualWithDelta($wireG, 0.011);
    });

    it('come at true size on paper', function () {
        $file = sys_get_temp_dir().'/impa-bend-'.bin2hex(random_bytes(4)).'.pdf';
        expect(impa('impa:armature', 'demo/lanto.impa.json', '--all', "--bend={$file}")[0])->toBe(0);
        exec('pdfinfo '.escapeshellarg($file), $info);
        expect(implode("\n", $info))->toContain('A4');
        unlink($file);
        $pdf = $this->postJson('/api/armature/bend', ['document' => demoFigure('lanto'), 'all' => true])->assertOk();
        expect($pdf->getContent())->toStartWith('%PDF-');
    });

    it('are refused in plain words where the stock is too short', function (string $stock, string $words) {
        [$exit, , $error] = impa('impa:armature', 'demo/lanto.impa.json', '--all', "--stock={$stock}");
        expect($exit)->toBe(2)->and($error)->toContain($words);
    })->with([['50', 'longest you have is 50 mm'], ['some', '--stock: lengths'], ['300;300', '--stock: lengths']]);
});

it('tries a cure of a touchy figure with one press', function () {
    $sheet = fn (array $document): array => $this->postJson('/api/balance', ['document' => $document])->json();
    $before = $sheet(demoFigure('lanto'));
    expect($before['touchy'])->toBeTrue();
    foreach ($before['cures'] as $cure) {
        $asked = ['document' => demoFigure('lanto'), 'kind' => $cure['kind']];
        $after = $sheet($this->postJson('/api/balance/try', $asked)->assertOk()->json('document'));
        expect($after['touchy'])->toBeFalse()->and($after['tipDeg'])->toEqualWithDelta($cure['tipDeg'], 0.3);
    }
    $this->postJson('/api/balance/try', ['document' => demoFigure('lanto'), 'kind' => 'prayer'])->assertStatus(422);
});

it('reckons anew what is in the needle\'s way where another Impa kept it in a form that is none any more', function () {
    $figure = FigureDocument::fromJson((string) json_encode(demoFigure()));
    $kept = ['of' => hash('sha256', $figure->toJson()), 'is' => [new \stdClass]];
    Cache::shouldReceive('get')->once()->andReturn($kept);
    Cache::shouldReceive('put')->once();
    expect(KnownReach::of($figure))->toEqual(Reach::of($figure))->not->toBe([]);
});
