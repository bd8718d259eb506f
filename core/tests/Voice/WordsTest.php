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
    preg_match_all('/\{(\w+)(?=[,}])/', $words, $found);
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
        static fn (string $code): bool => preg_match('/[a-z]{3}/i', (string) preg_replace('/\{[^}]*\}/', '', $english[$code])) === 1,
    ))
        ->toBe([]);
});

it('has every word that a code of core asks for, and none that nothing asks for', function () {
    $words = wordsOf(Language::English);
    $asked = $begun = [];
    $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/src', FilesystemIterator::SKIP_DOTS));
    foreach ($files as $file) {
        preg_match_all('/[\'"]((?:quantities|steps)\.[\w.-]*)/', (string) file_get_contents((string) $file), $found);
        foreach ($found[1] as $code) {
            str_ends_with($code, '.') ? $begun[] = $code : $asked[] = $code;
        }
    }
    expect(count($asked))->toBeGreaterThan(40)->and(array_values(array_diff($asked, array_keys($words))))->toBe([]);
    $idle = array_filter(array_keys($words), static fn (string $code): bool => ! in_array($code, $asked, true)
        && array_filter($begun, static fn (string $prefix): bool => str_starts_with($code, $prefix)) === []);
    expect(array_values($idle))->toBe([]);
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
