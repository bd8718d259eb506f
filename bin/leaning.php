<?php

declare(strict_types=1);

/*
 * Test files that call a function which another test file defines: each must pass alone, so what two of them use lives in tests/Support
 * or core/tests/Support. One line for each, and exit 1 where there are any. Another folder may be named, for the test of this itself.
 */
$folders = array_slice($argv, 1) ?: ['core/tests', 'tests'];
$files = [];
foreach ($folders as $folder) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        if (str_ends_with((string) $file, 'Test.php')) {
            $files[] = (string) $file;
        }
    }
}
sort($files);

/**
 * @return array{array<string, true>, array<string, int>} full names of functions that are defined, and of those that are called, with the
 *                                                        line
 */
function read(string $file): array
{
    $tokens = PhpToken::tokenize((string) file_get_contents($file));
    $tokens = array_values(array_filter($tokens, static fn (PhpToken $token): bool => ! $token->isIgnorable()));
    $space = '';
    $defined = $called = [];
    foreach ($tokens as $i => $token) {
        $before = $tokens[$i - 1] ?? null;
        if ($token->is(T_NAMESPACE)) {
            $space = strtolower(($tokens[$i + 1] ?? $token)->text).'\\';
        } elseif ($token->is(T_STRING) && ($tokens[$i + 1] ?? null)?->text === '(') {
            if ($before?->is(T_FUNCTION)) {
                $defined[$space.strtolower($token->text)] = true;
            } elseif (! $before?->is([T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_NEW])) {
                $called[$space.strtolower($token->text)] ??= $token->line;
                $called[strtolower($token->text)] ??= $token->line;
            }
        }
    }

    return [$defined, $called];
}

$read = array_combine($files, array_map(read(...), $files));
$leans = 0;
foreach ($read as $file => [$own, $called]) {
    foreach ($read as $other => [$defined]) {
        foreach (array_intersect_key($called, $defined) as $function => $line) {
            if ($other !== $file && ! isset($own[$function])) {
                printf("%s:%d calls %s(), which %s defines: move it to a class of Support.\n", $file, $line, $function, $other);
                $leans++;
            }
        }
    }
}
exit($leans > 0 ? 1 : 0);
