<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Impa\Tests\Support\Turns;
use Impa\Voice\Said;
use Opis\JsonSchema\Validator;
use Tests\Support\Console;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');
// What hangs most on what a store does; PostgreSQL is asked these each time (bin/test store), all of them with --all.
pest()->group('store')->in(...array_map(
    static fn (string $name): string => "Feature/*/{$name}Test.php",
    ['Accounts', 'Archive', 'Sharing', 'Figures', 'History', 'Hand', 'TwoFelters', 'Door'],
));
// What looks at many pictures, or asks by brute force, goes by turns (Turns); so does a single test that says group('dear').
pest()->group('dear')->in(
    'Feature/Check/PhotoCheckTest.php',
    ...array_map(static fn (string $name): string => "../core/tests/{$name}Test.php", [
        'Build/WireRouting', 'Check/PhotoCheck', 'Colour/Blend', 'Figure/PartEditor', 'Geometry/Packing', 'Raster/BadPicture',
        'Seeing/Characters', 'Seeing/Cleaning', 'Seeing/FlatLayers', 'Seeing/Ink', 'Seeing/Picture', 'Seeing/Shades',
        'Seeing/Assembly/Synthesis', 'Seeing/Decomposition/Fringe', 'Seeing/Decomposition/Lobes', 'Seeing/Decomposition/RegionGrouping',
        'Seeing/Editing/SeenAgain', 'Seeing/Fitting/Fit', 'Seeing/Foreground/*', 'Seeing/Result/Agreement', 'Seeing/Views/Turnaround',
        'Show/Show', 'Surface/EveryShape', 'Surface/TapesByBruteForce', 'Surface/Unrolled',
    ]),
);
pest()->beforeEach(function () {
    $name = static::class.$this->nameWithDataSet();
    $isOn = ! in_array('dear', $this->groups(), true) || Turns::isTestOn($name);
    if (! $isOn || getenv('IMPA_TEST_STORE') === 'pgsql' && ! Turns::isTestOnSecondStore($name)) {
        $this->markTestSkipped('It is not its turn; bin/test all asks everything.');
    }
})->in('Feature', '../core/tests');

function demoPicture(string $name = 'bobbin'): string
{
    return (string) file_get_contents(base_path("demo/{$name}.png"));
}

/** @return array<string, mixed> */
function demoFigure(string $name = 'bobbin'): array
{
    return json_decode((string) file_get_contents(base_path("demo/{$name}.impa.json")), true);
}

function lay(string $name = 'bobbin'): int
{
    return test()
        ->postJson('/api/figures', ['document' => demoFigure($name)])
        ->assertCreated()
        ->json('id');
}

/** @return array{int, string, string} exit, standard output, standard error of a command */
function impa(string ...$words): array
{
    return Console::run(...$words);
}

/** A document against the newest schema of its kind. */
function holdAgainst(string $schema, string $json): void
{
    $validator = new Validator;
    $validator->resolver()?->registerPrefix('https://impa.invalid/formats/', base_path('formats'));
    $forms = glob(base_path("formats/impa-{$schema}-[0-9].schema.json")) ?: [];
    $form = 'https://impa.invalid/formats/'.basename((string) end($forms));
    expect($validator->validate(json_decode($json), $form)->isValid())->toBeTrue();
}

/** What is said, in words; in lists as well. */
function spoken(mixed $value): mixed
{
    return match (true) {
        $value instanceof Said => (string) $value,
        is_array($value) => array_map(spoken(...), $value),
        default => $value,
    };
}

// Expectations read messages as what they say.
foreach (['toBe', 'toEqual', 'toContain', 'toStartWith', 'toEndWith', 'toMatch', 'toBeIn', 'toMatchArray'] as $way) {
    expect()->pipe($way, function (Closure $next) {
        $this->value = spoken($this->value);

        return $next();
    });
}
