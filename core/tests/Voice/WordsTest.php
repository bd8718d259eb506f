<?php

declare(strict_types=1);

namespace Impa\Tests\Voice;

use FilesystemIterator;
use Impa\Build\Steps\Hints;
use Impa\Build\Steps\StepKind;
use Impa\Tests\Support\Works;
use Impa\Voice\Amount;
use Impa\Voice\Language;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Units;
use Impa\Voice\Voice;
use LogicException;
use MessageFormatter;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/**
 * @param  array<string, mixed>  $words
 * @return array<string, string> by their codes
 */
function flat(array $words, string $before): array
{
    $flat = [];
    foreach ($words as $key => $word) {
        $flat += is_array($word) ? flat($word, "$before.$key") : ["$before.$key" => $word];
    }

    return $flat;
}

/** @return array<string, string> every word of a language, by its code */
function wordsOf(Language $language): array
{
    $words = [];
    foreach (glob(dirname(__DIR__, 3)."/lang/{$language->value}/*.php") ?: [] as $file) {
        $words += flat(require $file, basename($file, '.php'));
    }

    return $words;
}

/** @return list<string> names of what words are about */
function places(string $words): array
{
    // A brace after "one" or "other" opens what is said of so many.
    preg_match_all('/(?<!plural, one |other |=\d )\{(\w+)(?=[,}])/', $words, $found);
    $names = array_unique($found[1]);
    sort($names);

    return $names;
}

afterEach(fn () => Voice::speak(new Voice));

it('has the same words in every language, about the same things, all of them ICU messages', function () {
    $english = wordsOf(Language::English);
    expect(count($english))->toBeGreaterThan(150);
    foreach (Language::cases() as $language) {
        $words = wordsOf($language);
        expect(array_keys($words))->toBe(array_keys($english), $language->value);
        foreach ($words as $code => $word) {
            expect(MessageFormatter::create($language->value, $word))->toBeInstanceOf(MessageFormatter::class, $code)
                ->and(places($word))->toBe(places($english[$code]), "{$language->value} $code");
        }
    }
});

it('says nothing in German that is the English word, but for names and numbers alone', function () {
    $english = wordsOf(Language::English);
    $same = array_keys(array_intersect_assoc(wordsOf(Language::German), $english));
    expect(array_filter(
        $same,
        // A hand, a horn and sand are called alike.
        static fn (string $code): bool => ! str_starts_with($code, 'seeing.name.') && ! str_starts_with($code, 'colour.')
            && preg_match('/[a-z]{3}/i', (string) preg_replace('/\{[^}]*\}/', '', $english[$code])) === 1,
    ))
        ->toBe([]);
});

it('has every word that the code asks for, and none that nothing asks for', function () {
    $words = wordsOf(Language::English);
    $rooms = implode('|', array_unique(array_map(static fn (string $code): string => explode('.', $code)[0], array_keys($words))));
    $asked = $begun = [];
    foreach (['core/src', 'app', 'resources/views'] as $folder) {
        $files = new RecursiveDirectoryIterator(dirname(__DIR__, 3)."/$folder", FilesystemIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($files) as $file) {
            $code = (string) file_get_contents((string) $file);
            // What stands in quotes to its end is a code; what goes on with a variable, or ends in a dot or a dash, begins several.
            preg_match_all('/([\'"])((?:'.$rooms.')\.[\w.-]*)(\1(?! ?\.[^.])|)/', $code, $found, PREG_SET_ORDER);
            foreach ($found as [, , $said, $end]) {
                $end !== '' && preg_match('/[.-]$/', $said) === 0 ? $asked[$said] = true : $begun[$said] = true;
            }
        }
    }
    expect(count($asked))->toBeGreaterThan(800)->and(array_values(array_filter(
        array_diff(array_keys($asked), array_keys($words)),
        static fn (string $code): bool => preg_match('/\.(csv|gpl|json)$/', $code) === 0,
    )))->toBe([]);
    $idle = array_filter(array_keys($words), static fn (string $code): bool => ! isset($asked[$code])
        && array_filter(array_keys($begun), static fn (string $prefix): bool => str_starts_with($code, $prefix)) === []);
    expect(array_values($idle))->toBe([]);
    $astray = array_filter(array_keys($begun), static fn (string $prefix): bool => array_filter(
        array_keys($words),
        static fn (string $code): bool => str_starts_with($code, $prefix),
    ) === []);
    expect(array_values($astray))->toBe([]);
});

it('says every step of the demo in every language and both units', function () {
    foreach (Language::cases() as $language) {
        foreach (Units::cases() as $units) {
            Voice::speak(new Voice($language, $units));
            foreach (['bobbin', 'sorrel', 'dusk'] as $name) {
                $work = Works::of(Works::demo($name));
                foreach ($work->steps as $step) {
                    $said = [
                        $step->title, $step->text, Hints::look($step), ...array_values(Hints::wrong($step, $work->ledger->figure) ?? []),
                        ...Hints::cautions($step, $work->ledger->figure),
                    ];
                    foreach ($said as $words) {
                        expect((string) $words)->not->toBe('')->not->toMatch('/[{}]/');
                    }
                }
            }
        }
    }
    foreach (StepKind::cases() as $kind) {
        expect((string) Message::of('steps.look.'.$kind->value))->not->toBe('');
    }
});

it('says a message late, in the voice of that moment', function () {
    $message = Message::of('steps.title.join', part: new Name('Left Ear'), onto: new Name('Head'));
    expect((string) $message)->toBe('Join left ear to head')->and(json_encode($message))->toBe('"Join left ear to head"');
    Voice::speak(new Voice(Language::German));
    // German nouns keep their capital.
    expect((string) $message)->toBe('Left Ear an Head ansetzen');
    $deep = Message::of('steps.title.flatten', deep: Amount::mm(3.5));
    expect((string) $deep)->toBe('Boden um 3,5 mm abflachen');
    Voice::speak(new Voice(Language::English, Units::Imperial));
    expect((string) $deep)->toBe('Flatten the base by 0.14 in');
});

it('lists names as a language does', function () {
    $list = new Listed([new Name('Body'), new Name('Arm'), 'hat']);
    expect($list->in(new Voice))->toBe('body, arm and hat')
        ->and($list->in(new Voice(Language::German)))->toBe('Body, Arm und hat')
        ->and((new Listed(['body']))->in(new Voice))->toBe('body');
});

it('tells whoever asks for words that there are not', function () {
    expect(static fn () => (string) Message::of('steps.look.nothing'))->toThrow(LogicException::class, 'steps.look.nothing')
        ->and(static fn () => (string) Message::of('steps.text'))->toThrow(LogicException::class);
});

it('keeps texts of steps as short as they are to be read: two sentences, none longer than twenty-five words', function () {
    foreach (Language::cases() as $language) {
        foreach (wordsOf($language) as $code => $words) {
            if (! str_starts_with($code, 'steps.text.') || str_contains($code, 'felt-')) {
                continue;
            }
            $sentences = preg_split('/(?<=[.?!]) (?=\p{Lu})/u', $words) ?: [];
            expect(count($sentences))->toBeLessThanOrEqual(2, "{$language->value} $code");
            foreach ($sentences as $sentence) {
                expect(count(preg_split('/\s+/', $sentence) ?: []))->toBeLessThanOrEqual(25, "{$language->value} $code");
            }
        }
    }
});
