<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use FilesystemIterator;
use PhpToken;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** The code of core as PHP's own tokens, read once. */
final class Sources
{
    /** @return array<string, list<PhpToken>> by path below core/src, without comments and white space */
    public static function tokens(): array
    {
        static $tokens = null;
        if ($tokens === null) {
            $root = dirname(__DIR__, 2).'/src/';
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
                $read = PhpToken::tokenize((string) file_get_contents((string) $file));
                $tokens[substr((string) $file, strlen($root))] = array_values(
                    array_filter($read, static fn (PhpToken $t): bool => ! $t->isIgnorable()),
                );
            }
        }

        return $tokens;
    }

    /** @return list<array{string, string}> file and name, wherever code names something of a namespace */
    public static function names(): array
    {
        $names = [];
        foreach (self::tokens() as $path => $tokens) {
            foreach ($tokens as $token) {
                if ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])) {
                    $names[] = [$path, ltrim($token->text, '\\')];
                }
            }
        }

        return $names;
    }
}
