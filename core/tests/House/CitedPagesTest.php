<?php

declare(strict_types=1);

namespace Impa\Tests\CitedPages;

/**
 * Every page that code, tests, formats and docs name, with the heading where one is named: "docs/trade.md, Schools".
 *
 * @return list<array{string, string, string}> file, page, what follows after a comma
 */
function cited(): array
{
    $root = dirname(__DIR__, 3).'/';
    $cited = [];
    $places = ['core', 'app', 'tests', 'resources', 'formats', 'bench', 'bin', 'database', 'deploy', 'docs', 'routes'];
    foreach ([...$places, 'README.md', 'CONTRIBUTING.md', 'CHANGELOG.md'] as $place) {
        $files = is_dir($root.$place)
            ? new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root.$place, \FilesystemIterator::SKIP_DOTS))
            : [$root.$place];
        foreach ($files as $file) {
            $text =
                preg_match('/\.(php|ts|vue|mjs|sh|json|md|css)$|\/bin\/\w+$/', (string) $file) === 1
                    ? (string) file_get_contents((string) $file)
                    : '';
            // A citation may be broken over lines of a comment.
            $text = (string) preg_replace('/\s*\n\s*(?:\*|\/\/|#)?\s*/', ' ', $text);
            preg_match_all('/([\w\/.-]*\b[\w-]+\.md)\b(?:\)|`)?(?:, ([A-Z][A-Za-z ,-]+))?/', $text, $found, PREG_SET_ORDER);
            foreach ($found as $match) {
                $cited[] = [substr((string) $file, strlen($root)), $match[1], $match[2] ?? ''];
            }
        }
    }

    return $cited;
}

/** @return list<string> */
function headings(string $page): array
{
    preg_match_all('/^#+ (.+)$/m', (string) file_get_contents($page), $headings);

    return $headings[1];
}

it('names only pages that are in the project, and headings that are on them', function () {
    $root = dirname(__DIR__, 3).'/';
    $wrong = [];
    foreach (cited() as [$file, $page, $after]) {
        // In docs/ pages name each other from where they are.
        $path = array_values(array_filter([$root.$page, $root.dirname($file).'/'.$page], is_file(...)))[0] ?? '';
        if ($path === '') {
            $wrong[] = "$file names $page, which is not there";
        } elseif ($after !== '' && str_starts_with($page, 'docs/') && ! str_ends_with($file, '.md')) {
            $known = array_filter(headings($path), static fn (string $heading): bool => str_starts_with($after, $heading));
            if ($known === []) {
                $wrong[] = "$file names $page, $after, which is no heading of it";
            }
        }
    }
    expect($wrong)->toBe([]);
});

it('finds the citations that there are', function () {
    expect(count(cited()))->toBeGreaterThan(40)->and(array_column(cited(), 2))->toContain('The order of the work');
});
