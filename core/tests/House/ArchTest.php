<?php

declare(strict_types=1);

namespace Impa\Tests\Arch;

use Impa\Tests\Support\Sources;

/** The word so many places before or after a token, or nothing. */
function word(array $tokens, int $at): string
{
    return isset($tokens[$at]) ? $tokens[$at]->text : '';
}

it('names nothing of a framework, a table or a screen: only itself, PHP, and what checks a document against its schema', function () {
    $foreign = array_filter(
        Sources::names(),
        static fn (array $n): bool => str_contains($n[1], '\\') && preg_match('/^(Impa|Opis\\\\JsonSchema|Random)\\\\/', $n[1]) !== 1,
    );
    expect(array_values($foreign))->toBe([])->and(count(Sources::names()))->toBeGreaterThan(500);
    $stores = [];
    foreach (Sources::tokens() as $path => $tokens) {
        foreach ($tokens as $token) {
            if ($token->is([T_STRING, T_NAME_FULLY_QUALIFIED]) && preg_match('/^\\\\?(PDO|SQLite3|mysqli)/i', $token->text) === 1) {
                $stores[] = "{$path}: {$token->text}";
            }
        }
    }
    expect($stores)->toBe([]);
});

it('calls no function but PHP\'s own: a framework\'s helpers are none', function () {
    $own = array_flip(get_defined_functions()['internal']);
    $others = [];
    foreach (Sources::tokens() as $path => $tokens) {
        foreach ($tokens as $i => $token) {
            $isCall = $token->is([T_STRING, T_NAME_FULLY_QUALIFIED]) && word($tokens, $i + 1) === '(';
            $isOfObject = in_array(word($tokens, $i - 1), ['->', '?->', '::', 'function', 'new'], true);
            if ($isCall && ! $isOfObject && ! isset($own[strtolower(ltrim($token->text, '\\'))])) {
                $others[] = "{$path}: {$token->text}";
            }
        }
    }
    expect($others)->toBe([]);
});

it('has no class that is open to be changed from below, but what shapes and refusals are made of', function () {
    $open = [];
    foreach (Sources::tokens() as $path => $tokens) {
        foreach ($tokens as $i => $token) {
            $before = [word($tokens, $i - 1), word($tokens, $i - 2)];
            if ($token->is(T_CLASS) && $before[0] !== '::' && ! in_array('final', $before, true)) {
                $open[] = $path;
            }
        }
    }
    expect($open)->toEqualCanonicalizing(['Shape/Solid/Stack.php', 'Voice/Refused.php']);
});
