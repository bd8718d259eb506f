<?php

declare(strict_types=1);

use App\Help\Guide;
use App\Models\FigureSet;
use App\Models\Wool;
use App\Store\Copies;
use Impa\Plan\Guidance;
use Impa\Voice\Language;

beforeEach(function () {
    $this->find = fn (string $q, string $language = 'en'): array => $this->withHeaders(['Accept-Language' => $language])
        ->getJson('/api/help/search?'.http_build_query(['q' => $q]))->assertOk()->json();
});

it('has the same pages in every language, each with something to read, for every station something', function () {
    $stations = static fn (Language $language): array => array_map(static fn ($p): array => $p->stations, Guide::pages($language));
    expect($stations(Language::German))->toBe($stations(Language::English));
    foreach (Language::cases() as $language) {
        foreach (Guide::pages($language) as $page) {
            expect(mb_strlen($page->text))->toBeGreaterThan(80)->and($page->html)->not->toContain('<!--')->not->toContain('<script');
        }
        $all = [...Guidance::STATIONS, ...Guidance::AROUND];
        expect(array_diff($all, array_merge(...$stations($language))))->toBe([]);
    }
});

it('answers its pages in the language that is asked', function () {
    expect($this->getJson('/api/help')->assertOk()->json('pages.0.title'))->toBe('Shelf: begin a figure')
        ->and($this->withHeaders(['Accept-Language' => 'de'])->getJson('/api/help')->json('pages.0.title'))
        ->toBe('Regal: eine Figur beginnen');
});

it('finds pages, words, figures and wools by the beginnings of words, what stands in a title first', function () {
    $id = lay();
    $wool = Wool::query()->create([
        'name' => 'Überzug rot', 'hex' => '#aa2222', 'material' => 'wool', 'preparation' => 'tops', 'grams_left' => 20.0,
    ]);
    $pages = array_column($this->getJson('/api/help')->json('pages'), 'title', 'number');
    expect($pages[($this->find)('photograph figure')['pages'][0]])->toBe('How to photograph a figure')
        ->and(($this->find)('wisp')['words'])->toContain('wisp')
        ->and(array_column(($this->find)(mb_substr(demoFigure()['name'], 0, 4))['figures'], 'id'))->toContain($id)
        // Accents and capitals do not matter.
        ->and(array_column(($this->find)('uberz')['wools'], 'id'))->toBe([$wool->id])
        ->and(($this->find)('Flöckchen', 'de')['words'])->toContain('wisp');
});

it('finds nothing for what is nowhere, and breaks at nothing that is typed', function (string $q) {
    expect(($this->find)($q))->toBe(['pages' => [], 'words' => [], 'figures' => [], 'wools' => []]);
})->with(['', '   ', 'xylophone', '%', '_', "\x00", '<xy>', str_repeat('a', 5000), '🧶', "'; drop table figures; --"]);

it('takes a list where a word is meant as nothing asked', function () {
    expect($this->getJson('/api/help/search?q[]=a')->assertOk()->json('pages'))->toBe([]);
});

it('says what to do next from what is kept of a figure', function () {
    $kept = lay();
    $ask = fn (string $station): array => array_column(
        $this->postJson('/api/help/next', ['document' => demoFigure(), 'station' => $station, 'figure' => $kept])->assertOk()->json('next'),
        'code',
    );
    expect($ask('build'))->toContain('step');
    $before = $this->postJson('/api/help/next', ['document' => demoFigure(), 'station' => 'build', 'figure' => $kept])->json('next');
    $step = $this->postJson('/api/plan', ['document' => demoFigure()])->json('steps.0.key');
    $this->putJson("/api/figures/{$kept}/steps/{$step}")->assertOk();
    $after = $this->postJson('/api/help/next', ['document' => demoFigure(), 'station' => 'build', 'figure' => $kept])->json('next');
    expect(end($after)['text'])->not->toBe(end($before)['text'])
        ->and($ask('check'))->toContain('part-weigh');
});

it('says at every station around the figures what to do next, from what there is', function () {
    $ask = fn (int $set = 0): array => array_map(
        fn (string $station): string => $this->postJson('/api/help/next', ['station' => $station, 'set' => $set])
            ->assertOk()->assertJsonCount(1, 'next')->json('next.0.code'),
        Guidance::AROUND,
    );
    expect($ask())->toBe(['first-figure', 'first-wool', 'practice', 'set-more', 'copy']);
    $figure = lay();
    Copies::make();
    Wool::query()->create(['name' => 'Straw', 'hex' => '#e0c060', 'material' => 'wool', 'preparation' => 'tops', 'grams_left' => 9.0]);
    $this->postJson('/api/hand', [
        'uuid' => 'practice-1', 'what' => 'A ball', 'kind' => 'ball', 'widthMm' => 40, 'heightMm' => 40, 'depthMm' => 40,
        'firmness' => 'springy', 'grams' => 7.0,
    ])->assertSuccessful();
    $row = ['figure' => $figure, 'name' => '', 'count' => 1, 'colours' => (object) [], 'heightMm' => null];
    $set = FigureSet::query()->create(['name' => 'Two', 'members' => json_encode([$row, $row]), 'revision' => 1]);
    expect($ask($set->id))->toBe(['open-one', 'weigh-in', 'more-records', 'set-ready', 'archive']);
});

it('refuses a station that there is not, naming those that there are', function () {
    $this->postJson('/api/help/next', ['document' => demoFigure(), 'station' => 'kitchen'])
        ->assertStatus(422)
        ->assertJsonPath('detail', 'There is no station “kitchen”. '
            .'Ask for one of: shapes, wool, face, build, check, shelf, stash, hand, set, house.');
    $this->postJson('/api/help/next', ['station' => 'wool'])->assertStatus(422);
});
