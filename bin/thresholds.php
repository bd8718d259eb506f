<?php

declare(strict_types=1);

/*
 * The tables of docs/thresholds.md: every number that seeing is steered by, as the code has it, with what its comment says and what was
 * measured of it (docs/evidence/sensitivity.txt, printed by bench/sensitivity.php). One table for each folder of core/src/Seeing.
 */

/** @return array<string, string> what a fifth less and a fifth more did, by "Class NAME" */
function measured(): array
{
    $measured = [];
    foreach (file(__DIR__.'/../docs/evidence/sensitivity.txt', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        if (preg_match('/^(\w+) +([A-Z]\w+) .*?(?:  less: (.*)   more: (.*))?$/', $line, $m) !== 1) {
            continue;
        }
        $told = static fn (string $words): string => $words === '' ? 'nothing' : trim((string) preg_replace(
            ['/^\s*(\S+) +(\S+) +(\S+) +(\S+) \((\d+) of (\d+)\)$/'],
            ['$1 $2 $3 $4 ($5 of $6)'],
            $words,
        ));
        $measured["$m[1] $m[2]"] = isset($m[3]) ? $told($m[3]).'; '.$told($m[4]) : 'nothing';
    }

    return $measured;
}

/** @return list<string> rows of a table: the constants of numbers of one class */
function thresholdsOf(string $file): array
{
    static $measured = null;
    $measured ??= measured();
    $code = (string) file_get_contents($file);
    $constant = '~((?: {4}/\*\*(?:(?!\*/).)*\*/\n)?) {4}(?:private|public) const (\w+) = ([^;]*\d[^;]*);~s';
    preg_match_all($constant, $code, $found, PREG_SET_ORDER);
    $rows = [];
    $class = basename($file, '.php');
    foreach ($found as [, $comment, $name, $value]) {
        $says = trim((string) preg_replace('~\s*/?\*+/?\s*|\s+~', ' ', $comment));
        $rows[] = sprintf(
            '| `%s::%s` | %s | %s | %s |',
            $class,
            $name,
            (string) preg_replace('/\s+/', ' ', $value),
            $says === '' ? '(with the one above)' : $says,
            $measured["$class $name"] ?? '',
        );
    }

    return $rows;
}

$tables = [];
foreach (glob(__DIR__.'/../core/src/Seeing/*', GLOB_ONLYDIR) ?: [] as $room) {
    $tables['thresholds-'.strtolower(basename($room))] = static fn (): string => implode("\n", [
        '| constant | is | what it says | a fifth less; a fifth more |',
        '|---|---|---|---|',
        ...array_merge(...array_map(thresholdsOf(...), glob($room.'/*.php') ?: [])),
    ]);
}

return $tables;
