<?php

declare(strict_types=1);

namespace Impa\Tests\Voice;

use FilesystemIterator;
use Impa\Seeing\Breakdown;
use Impa\Voice\Language;
use Impa\Voice\Voice;
use PhpToken;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

afterEach(fn () => Voice::speak(new Voice));

/**
 * Words of two or more in quotes, where a felter could read them: not what tells a programmer of a mistake, and not HTML, styles,
 * patterns.
 *
 * @return list<string> as "Room/File.php: words"
 */
function sentences(string $path, string $code): array
{
    $found = [];
    $thrown = '';
    foreach (PhpToken::tokenize($code) as $i => $token) {
        $thrown = match (true) {
            $token->is(T_NEW) => '?',
            $thrown === '?' && $token->is([T_STRING, T_NAME_FULLY_QUALIFIED]) => $token->text,
            $token->text === ';' => '',
            default => $thrown,
        };
        if (! $token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE]) || str_ends_with($thrown, 'Exception')
            || str_contains($token->text, ' { ')) {
            continue;
        }
        $words = trim((string) preg_replace('/<[^>]*>?|[\w-]+: [^;]*;|\{[^}]*\}/', ' ', trim($token->text, '\'"')));
        if (preg_match('/[A-Za-z]{2,},? [a-z]{2,}/', $words) === 1) {
            $found[] = "$path: $words";
        }
    }

    return $found;
}

it('has no sentence in its code: words are in lang/', function () {
    $root = dirname(__DIR__, 2).'/src/';
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
        array_push($found, ...sentences(substr((string) $file, strlen($root)), (string) file_get_contents((string) $file)));
    }
    // Values and columns of documents and tables, which are the same in every language; names of colours, from which keys are made; what
    // another library says; styles.
    $kept = [
        'core batting', 'carded batting', 'seen side by side', 'nothing like it', 'grams per metre', 'pack grams', 'as planned',
        'Light grey', 'Inner ear', 'Eye white', 'premature end',
    ];
    $found = array_filter($found, static fn (string $one): bool => ! in_array(explode(': ', $one, 2)[1], $kept, true));
    expect(array_values($found))->toBe([]);
});

it('finds a sentence where there is one, and none in what a programmer reads', function () {
    expect(sentences('a', '<?php return "It is wrong.";'))->toBe(['a: It is wrong.'])
        ->and(sentences('a', '<?php throw new LogicException("It is wrong.");'))->toBe([])
        ->and(sentences('a', '<?php return \'<p class="q">%s</p>\';'))->toBe([]);
});

it('names what it sees in the language of that moment, with the same keys and roles', function () {
    $seen = static function (Language $language): array {
        Voice::speak(new Voice($language));
        $drawing = (string) file_get_contents(dirname(__DIR__, 3).'/demo/bobbin.png');

        return Breakdown::of($drawing, 120.0)->document;
    };
    [$english, $german] = [$seen(Language::English), $seen(Language::German)];
    expect(array_column($german['parts'], 'key'))->toBe(array_column($english['parts'], 'key'))
        ->and(array_column($german['details'], 'key'))->toBe(array_column($english['details'], 'key'))
        ->and(array_column($german['details'], 'role'))->toBe(array_column($english['details'], 'role'))
        ->and(array_column($english['parts'], 'name'))->toContain('Head', 'Body')
        ->and(array_column($german['parts'], 'name'))->toContain('Kopf', 'Körper')
        ->and(array_intersect(array_column($german['colours'], 'name'), array_column($english['colours'], 'name')))->toBe([]);
})->group('dear');
