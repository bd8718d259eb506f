<?php

declare(strict_types=1);

namespace Tests\Support;

use Impa\Tests\Support\Figures;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/**
 * A felter at work, by chance: she draws in, edits, mixes, sets aside, ticks, breaks needles, mends, puts into sets, goes back. Every act
 * is done over HTTP, as her screens do it; what is refused in words is refused, and she does something else.
 */
final class Journey
{
    public int $figure = 0;

    public int $revision = 1;

    /** @var array<string, mixed> as it is saved */
    public array $document = [];

    /** @var list<string> what she did, to be read when a joint gives way */
    public array $did = [];

    /** @var list<array{string, string}> documents as they were, for undo: as JSON, and what was done to them */
    public array $past = [];

    /** @var list<string> uuids of needles that broke, and were not taken back */
    public array $broken = [];

    public int $set = 0;

    /** By which wool was set aside last. */
    public string $reserve = 'usual';

    private const WOOLS = [
        ['Deep Sea', '#205a66'], ['Pond', '#5aa79c'], ['Oat', '#efe2c6'], ['Coal', '#1d1b1f'], ['Rose clay', '#d88498'],
        ['Amber', '#e6a940'], ['Heather dusk', '#875d9c'], ['Snow', '#fbf9f3'],
    ];

    /** Acts by how often they come. */
    private const ACTS = [
        'takeMix' => 4, 'takeWool' => 2, 'letMix' => 1, 'size' => 2, 'widen' => 3, 'recolour' => 2, 'moveDetail' => 3, 'removeDetail' => 2,
        'doubleDetail' => 1, 'twinDetail' => 1, 'partPair' => 1, 'removePart' => 1, 'addPart' => 2, 'school' => 2, 'pull' => 2,
        'weight' => 1,
        'layers' => 2, 'opening' => 2, 'tick' => 6, 'untick' => 1, 'weigh' => 1, 'breakNeedle' => 2, 'takeBackNeedle' => 1, 'work' => 2,
        'measure' => 2, 'mend' => 1, 'setAside' => 2, 'release' => 1, 'intoSet' => 1, 'branch' => 1, 'undo' => 4, 'binAndBack' => 1,
        'outAndIn' => 1, 'booklet' => 1, 'needles' => 1, 'finish' => 1, 'photograph' => 1,
    ];

    private readonly Randomizer $random;

    private int $named = 0;

    public function __construct(private readonly TestCase $http, public readonly int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** What lies in the drawer and the box, and a figure of her own, of a demo's or of any shapes there are. */
    public function begin(): void
    {
        foreach (self::WOOLS as [$name, $hex]) {
            $this->http->postJson('/api/wools', [
                'name' => $name, 'hex' => $hex, 'preparation' => $this->one(['carded batting', 'tops']),
                'gramsLeft' => $this->between(3, 60),
            ])->assertCreated();
        }
        $core = ['name' => 'Core', 'hex' => null, 'preparation' => 'core batting', 'gramsLeft' => 200];
        $this->http->postJson('/api/wools', $core)->assertCreated();
        $this->needles();
        $names = ['bobbin', 'lanto', 'sorrel', 'wick', 'dusk'];
        $kind = $this->random->getInt(0, count($names) + 1);
        $document = match (true) {
            isset($names[$kind]) => demoFigure($names[$kind]),
            $kind === count($names) => $this->drawnIn($this->one(['bobbin', 'lanto', 'sorrel'])),
            default => Figures::random($this->seed, 5, 6),
        };
        unset($document['picture'], $document['sidePicture']);
        $this->lay($document);
    }

    /** @return array<string, mixed> what is seen in a drawing */
    private function drawnIn(string $name): array
    {
        $picture = $this->http->call('POST', '/api/pictures', content: demoPicture($name))->assertSuccessful()->json('id');

        return $this->http->postJson('/api/breakdown', ['picture' => $picture, 'heightMm' => $this->between(60, 160), 'name' => 'Drawn'])
            ->assertOk()->json('document');
    }

    /** One act that could be done; tells which. */
    public function act(): string
    {
        for ($tries = 0; $tries < 40; $tries++) {
            $act = $this->one(array_merge(...array_map(
                static fn (string $name, int $often): array => array_fill(0, $often, $name),
                array_keys(self::ACTS),
                array_values(self::ACTS),
            )));
            if ($this->{$act}() === true) {
                $this->did[] = $act;

                return $act;
            }
        }

        return '';
    }

    private function takeMix(): bool
    {
        $colour = $this->one(array_column($this->document['colours'], 'key'));
        $recipes = $this->http->postJson('/api/recipes', [
            'hex' => $this->colour($colour)['hex'], 'grams' => 5, 'figure' => $this->figure,
            'document' => $this->document, 'colour' => $colour,
        ])->assertOk()->json('recipes');
        $mixes = array_values(array_filter($recipes, static fn (array $r): bool => count($r['wools']) > 1));
        if ($mixes === []) {
            return false;
        }
        $mix = array_map(
            static fn (array $w): array => ['wool' => $w['name'], 'percent' => $w['percent']],
            $this->one($mixes)['wools'],
        );

        return $this->saveColour($colour, $mix);
    }

    private function takeWool(): bool
    {
        return $this->saveColour(
            $this->one(array_column($this->document['colours'], 'key')),
            [['wool' => $this->one(self::WOOLS)[0], 'percent' => 100]],
        );
    }

    private function letMix(): bool
    {
        $mixed = array_column(array_filter($this->document['colours'], static fn (array $c): bool => ($c['mix'] ?? []) !== []), 'key');

        return $mixed !== [] && $this->saveColour($this->one($mixed), []);
    }

    private function size(): bool
    {
        $told = $this->http->postJson('/api/board', [
            'document' => $this->document, 'rescale' => true,
            'heightMm' => max(30, min(400, round($this->document['heightMm'] * $this->between(70, 140) / 100))),
        ]);

        return $this->takes($told->json('document'), $told->status());
    }

    private function widen(): bool
    {
        $document = $this->document;
        $i = $this->random->getInt(0, count($document['parts']) - 1);
        $document['parts'][$i]['shape']['widthMm'] = round($document['parts'][$i]['shape']['widthMm'] * $this->between(80, 130) / 100, 2);

        return $this->save($document);
    }

    private function recolour(): bool
    {
        $document = $this->document;
        $i = $this->random->getInt(0, count($document['colours']) - 1);
        $document['colours'][$i]['hex'] = sprintf('#%06x', $this->random->getInt(0, 0xFFFFFF));

        return $this->save($document);
    }

    /** As it is dragged: what makes one thing with it goes along, mirrored on the other side. */
    private function moveDetail(): bool
    {
        $key = $this->detail();
        if ($key === '') {
            return false;
        }
        $together = $this->http->postJson('/api/board', ['document' => $this->document])->assertOk()->json('together');
        $ways = [$key => 1] + ($together[$key] ?? []);
        [$dx, $dy] = [$this->between(-30, 30) / 10, $this->between(-30, 30) / 10];
        $document = $this->document;
        foreach ($document['details'] as &$detail) {
            if (isset($ways[$detail['key']])) {
                $detail['xMm'] = round(($detail['xMm'] ?? 0) + $ways[$detail['key']] * $dx, 2);
                $detail['yMm'] = round(($detail['yMm'] ?? 0) + $dy, 2);
            }
        }

        return $this->save($document);
    }

    private function removeDetail(): bool
    {
        $key = $this->detail();

        return $key !== '' && $this->edit('remove', ['kind' => 'detail', 'keys' => [$key]]);
    }

    private function doubleDetail(): bool
    {
        $key = $this->detail();

        return $key !== '' && count($this->document['details']) < 30
            && $this->edit('double', ['kind' => 'detail', 'key' => $key]);
    }

    private function twinDetail(): bool
    {
        $key = $this->detail();

        return $key !== '' && $this->edit('twin', ['key' => $key, 'pair' => $this->random->getInt(0, 1) === 1]);
    }

    private function partPair(): bool
    {
        $pairs = array_column(array_filter($this->document['details'] ?? [], static fn (array $d): bool => $d['mirror'] ?? false), 'key');

        return $pairs !== [] && $this->edit('part-pair', ['key' => $this->one($pairs)]);
    }

    private function removePart(): bool
    {
        $joined = array_column(array_filter($this->document['parts'], static fn (array $p): bool => isset($p['join'])), 'key');

        return count($joined) > 1 && $this->edit('remove', ['kind' => 'part', 'keys' => [$this->one($joined)]]);
    }

    private function addPart(): bool
    {
        return count($this->document['parts']) < 14
            && $this->edit('add', ['shape' => $this->one(['ball', 'egg', 'cone', 'plate']), 'on' => $this->part()]);
    }

    private function school(): bool
    {
        $schools = $this->http->postJson('/api/build', ['document' => $this->document])->assertOk()->json('schools');
        $school = $this->one($schools);
        $told = $this->http->postJson('/api/build/school', [
            'document' => $this->document, 'question' => $school['question'], 'value' => $this->one($school['options'])['value'],
        ]);

        return $this->takes($told->json('document'), $told->status());
    }

    private function pull(): bool
    {
        $told = $this->http->postJson('/api/build/pull', [
            'document' => $this->document, 'step' => $this->one($this->steps()), 'forward' => $this->random->getInt(0, 1) === 1,
        ]);

        return $this->takes($told->json('document'), $told->status());
    }

    private function weight(): bool
    {
        $document = $this->document;
        $weights = $document['base']['weights'] ?? [];
        if (count($weights) > 2) {
            array_splice($weights, $this->random->getInt(0, count($weights) - 1), 1);
        } else {
            $weights[] = ['key' => 'w'.++$this->named, 'g' => $this->between(2, 9), 'atMm' => [0, 3, 0]];
        }
        $document['base']['weights'] = $weights;

        return $this->save($document);
    }

    /** As layers of felt, where it has flat parts; or no longer. */
    private function layers(): bool
    {
        $document = $this->document;
        if (isset($document['flat'])) {
            if (($document['flat']['openings'] ?? []) !== []) {
                return false;
            }
            unset($document['flat']);

            return $this->save($document);
        }
        if (array_filter($document['parts'], static fn (array $p): bool => $p['shape']['kind'] === 'plate') === []) {
            return false;
        }
        $document['flat'] = ['way' => $this->one(['sheet', 'batting'])];

        return $this->save($document);
    }

    private function opening(): bool
    {
        $document = $this->document;
        $plates = array_values(array_filter($document['parts'], static fn (array $p): bool => $p['shape']['kind'] === 'plate'));
        if (! isset($document['flat']) || $plates === []) {
            return false;
        }
        $open = $document['flat']['openings'] ?? [];
        if (count($open) > 1) {
            array_pop($open);
        } else {
            $on = $this->one($plates);
            $r = 0.2 * min($on['shape']['widthMm'], $on['shape']['heightMm']);
            $open[] = ['key' => 'hole-'.++$this->named, 'pointsMm' => array_map(static fn (int $k): array => [
                round($on['at']['xMm'] + $r * cos($k * M_PI / 6), 2), round($on['at']['yMm'] + $r * sin($k * M_PI / 6), 2),
            ], range(0, 11))];
        }
        $document['flat']['openings'] = $open;

        return $this->save($document);
    }

    private function tick(): bool
    {
        $left = array_values(array_diff($this->steps(), $this->done()));

        return $left !== [] && $this->http->putJson("/api/figures/{$this->figure}/steps/{$left[0]}")->assertOk()->isOk();
    }

    private function untick(): bool
    {
        $done = array_values(array_intersect($this->done(), $this->steps()));

        return $done !== [] && $this->http->deleteJson("/api/figures/{$this->figure}/steps/{$this->one($done)}")->assertOk()->isOk();
    }

    private function weigh(): bool
    {
        return $this->note(['kind' => 'weighed', 'step' => $this->one($this->steps()), 'grams' => $this->between(1, 90) / 10]) !== '';
    }

    private function breakNeedle(): bool
    {
        $uuid = $this->note(['kind' => 'broken', 'step' => $this->one($this->steps()), 'gauge' => $this->one([36, 38, 40])]);
        $this->broken[] = $uuid;

        return true;
    }

    private function takeBackNeedle(): bool
    {
        $uuid = array_pop($this->broken);

        return $uuid !== null && $this->http->deleteJson("/api/figures/{$this->figure}/log/{$uuid}")->assertOk()->isOk();
    }

    private function work(): bool
    {
        $to = (int) (microtime(true) * 1000) - $this->random->getInt(0, 10_000_000) * 10;

        return $this->http->postJson("/api/figures/{$this->figure}/log/time", [
            'step' => $this->one($this->steps()), 'from' => $to - $this->random->getInt(60_000, 3_000_000), 'to' => $to,
        ])->assertOk()->isOk();
    }

    /** A finished piece is measured: her hand is another one from now on. */
    private function measure(): bool
    {
        $part = $this->part();
        $size = array_column($this->document['parts'], 'shape', 'key')[$part];
        $sizes = array_intersect_key($size, ['widthMm' => 1, 'heightMm' => 1, 'depthMm' => 1]);
        $check = $sizes + ['document' => $this->document, 'part' => $part, 'grams' => 1];
        $parts = "/api/figures/{$this->figure}/parts";
        $expected = $this->http->postJson($parts, $check + ['uuid' => 'none-00000'])->json('check');
        $there = $this->http->getJson($parts)->json('parts');
        $of = array_filter($there, static fn (array $p): bool => ($p['check']['part'] ?? '') === $part && ! $p['twin']);
        $told = $this->http->postJson($parts, [
            'grams' => max(0.02, ($expected['plannedG'] ?? 2.0) * $this->between(60, 150) / 100),
            'uuid' => $this->uuid(), 'keep' => true, 'sure' => true, 'instead' => array_values($of)[0]['uuid'] ?? '',
        ] + $check);

        return $told->isOk();
    }

    private function mend(): bool
    {
        return $this->http->postJson("/api/figures/{$this->figure}/mends", [
            'uuid' => $this->uuid(), 'text' => 'A dent was filled', 'mg' => $this->between(1, 200),
            'colour' => $this->one(array_column($this->document['colours'], 'key')),
        ])->assertOk()->isOk();
    }

    private function setAside(): bool
    {
        $this->reserve = $this->one(['again', 'usual', 'never']);

        return $this->http->putSeen("/api/figures/{$this->figure}/wool", ['reserve' => $this->reserve])->isOk();
    }

    private function release(): bool
    {
        return $this->http->deleteJson("/api/figures/{$this->figure}/wool")->isOk();
    }

    private function finish(): bool
    {
        // At the end of a journey alone: what took its wool takes none again.
        return count($this->did) > 20
            && $this->http->postJson("/api/figures/{$this->figure}/wool/finish", ['used' => []])->status() === 201;
    }

    private function photograph(): bool
    {
        $picture = $this->http->call('POST', '/api/pictures', content: demoPicture('lanto'))->json('id');

        return $this->note(['kind' => 'photo', 'step' => $this->one($this->steps()), 'picture' => $picture]) !== '';
    }

    private function intoSet(): bool
    {
        $members = [['figure' => $this->figure, 'count' => $this->random->getInt(1, 3)]];
        $told = $this->set === 0
            ? $this->http->postJson('/api/sets', ['name' => 'A choir', 'members' => $members])
            : $this->http->putJson("/api/sets/{$this->set}", [
                'name' => 'A choir', 'members' => $members, 'revision' => $this->http->getJson("/api/sets/{$this->set}")->json('revision'),
            ]);
        $this->set = $told->assertSuccessful()->json('id');

        return true;
    }

    /** She goes on with the branch. */
    private function branch(): bool
    {
        $told = $this->http->postJson("/api/figures/{$this->figure}/branch", [
            'name' => 'Branch '.++$this->named, 'percent' => $this->between(80, 130),
        ])->assertCreated()->json();
        [$this->figure, $this->revision, $this->document] = [$told['id'], $told['revision'], $told['document']];
        [$this->past, $this->broken] = [[], []];

        return true;
    }

    /** The document as it was, saved as the next revision: it comes back to the byte. */
    private function undo(): bool
    {
        $was = array_pop($this->past);
        if ($was === null) {
            return false;
        }
        $this->put($was[0]);
        expect(self::documentIn($this->http->getJson("/api/figures/{$this->figure}")->getContent()))
            ->toBe($was[0], "seed {$this->seed}: undo of {$was[1]}");

        return true;
    }

    private function binAndBack(): bool
    {
        $this->http->deleteJson("/api/figures/{$this->figure}")->assertNoContent();
        $this->http->postJson("/api/bin/{$this->figure}/restore")->assertNoContent();

        return true;
    }

    private function outAndIn(): bool
    {
        $before = $this->http->getJson("/api/figures/{$this->figure}")->getContent();
        $archive = $this->http->get('/api/archive')->assertOk()->streamedContent();
        $this->http->call('POST', '/api/archive?conflict=replace', content: $archive)->assertOk()->streamedContent();
        expect(self::documentIn($this->http->getJson("/api/figures/{$this->figure}")->getContent()))->toBe(self::documentIn($before));

        return true;
    }

    /** Her figure as a pattern, taken in again: it takes the same wool and the same steps. */
    private function booklet(): bool
    {
        $booklet = $this->http->postJson("/api/figures/{$this->figure}/booklet", [
            'document' => $this->document, 'whose' => 'mine', 'credit' => 'Mara', 'licence' => '', 'as' => 'file',
        ])->assertOk()->json();
        $taken = $this->http->postJson('/api/booklets', $booklet)->assertCreated()->json('document');
        $plan = fn (array $of): array => $this->http->postJson('/api/plan', ['document' => $of])->assertOk()->json();
        [$hers, $theirs] = [$plan($this->document), $plan($taken)];
        $steps = static fn (array $of): array => array_column($of['steps'], 'key');
        expect($theirs['wool'])->toEqual($hers['wool'])->and($steps($theirs))->toBe($steps($hers));

        return true;
    }

    private function needles(): bool
    {
        $box = array_map(
            fn (int $gauge): array => ['gauge' => $gauge, 'kind' => 'triangle', 'left' => $this->random->getInt(0, 4)],
            [36, 38, 40, 42],
        );
        $box[0]['left'] = max(1, $box[0]['left']);

        return $this->http->putSeen('/api/needles', ['box' => $box])->assertOk()->isOk();
    }

    /** @return list<string> keys of the steps of the saved figure, in order */
    public function steps(): array
    {
        return array_column($this->http->postJson('/api/build', ['document' => $this->document])->assertOk()->json('sheet.steps'), 'key');
    }

    /** @return list<string> */
    public function done(): array
    {
        return $this->http->getJson("/api/figures/{$this->figure}/steps")->assertOk()->json('done');
    }

    /** The document of an answer, letter for letter. */
    public static function documentIn(string $answer): string
    {
        $from = (int) strpos($answer, '"document":') + strlen('"document":');

        return substr($answer, $from, -1);
    }

    private function detail(): string
    {
        $details = $this->document['details'] ?? [];

        return $details === [] ? '' : $this->one($details)['key'];
    }

    private function part(): string
    {
        return $this->one($this->document['parts'])['key'];
    }

    /** @return array<string, mixed> */
    private function colour(string $key): array
    {
        return array_column($this->document['colours'], null, 'key')[$key];
    }

    /** @param  list<array{wool: string, percent: int}>  $mix */
    private function saveColour(string $key, array $mix): bool
    {
        $document = $this->document;
        foreach ($document['colours'] as &$colour) {
            if ($colour['key'] === $key) {
                $colour['mix'] = $mix;
                if ($mix === []) {
                    unset($colour['mix']);
                }
            }
        }

        return $this->save($document);
    }

    /** @param  array<string, mixed>  $body */
    private function edit(string $act, array $body): bool
    {
        $told = $this->http->postJson("/api/edits/{$act}", $body + ['document' => $this->document]);

        return $this->takes($told->json('document'), $told->status());
    }

    /** What PHP made of it, saved; what it refused, in words, is not done. */
    private function takes(mixed $document, int $status): bool
    {
        expect($status)->toBeIn([200, 422], "seed {$this->seed}");

        return $status === 200 && is_array($document) && $this->save($document);
    }

    /** @param  array<string, mixed>  $document */
    private function save(array $document): bool
    {
        $json = self::documentIn($this->http->getJson("/api/figures/{$this->figure}")->getContent());
        // PHP's lists do not tell an empty object from an empty list.
        $whole = static function (array $of) use (&$whole): array {
            foreach ($of as $name => $value) {
                $of[$name] = is_array($value) ? $whole($value) : $value;
                if ($value === [] && in_array($name, ['base', 'work', 'school', 'turnDeg', 'covering', 'options', 'values'], true)) {
                    unset($of[$name]);
                }
            }

            return $of;
        };
        if (! $this->put((string) json_encode($whole($document)))) {
            return false;
        }
        $this->past[] = [$json, (string) end($this->did)];

        return true;
    }

    private function put(string $json): bool
    {
        $told = $this->http->call(
            'PUT',
            "/api/figures/{$this->figure}",
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            content: sprintf('{"revision":%d,"document":%s}', $this->revision, $json),
        );
        expect($told->status())->toBeIn([200, 422], "seed {$this->seed}");
        if ($told->status() !== 200) {
            return false;
        }
        [$this->revision, $this->document] = [$told->json('revision'), $told->json('document')];

        return true;
    }

    /** @param  array<string, mixed>  $document */
    private function lay(array $document): void
    {
        $told = $this->http->postJson('/api/figures', ['document' => $document])->assertCreated()->json();
        [$this->figure, $this->revision, $this->document] = [$told['id'], $told['revision'], $told['document']];
    }

    /** @param  array<string, mixed>  $entry */
    private function note(array $entry): string
    {
        $uuid = $this->uuid();
        $this->http->postJson("/api/figures/{$this->figure}/log", $entry + ['uuid' => $uuid, 'at' => 1_700_000_000_000])->assertOk();

        return $uuid;
    }

    private function uuid(): string
    {
        return sprintf('%08x-%d', $this->seed, ++$this->named);
    }

    /**
     * @template T
     *
     * @param  non-empty-array<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return array_values($of)[$this->random->getInt(0, count($of) - 1)];
    }

    private function between(int $low, int $high): int
    {
        return $this->random->getInt($low, $high);
    }
}
