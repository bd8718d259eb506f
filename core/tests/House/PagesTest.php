<?php

declare(strict_types=1);

namespace Impa\Tests\Pages;

/** @return array<string, string> what stands on each page, by its path */
function pages(): array
{
    $root = dirname(__DIR__, 3).'/';
    $pages = [];
    $files = [...glob($root.'docs/*.md') ?: [], ...glob($root.'docs/*/*.md') ?: [], ...glob($root.'*.md') ?: [], $root.'deploy/README.md'];
    foreach ($files as $file) {
        $pages[substr($file, strlen($root))] = (string) file_get_contents($file);
    }

    return $pages;
}

it('has pages that begin with what they answer: a heading, then running text', function () {
    $wrong = [];
    foreach (pages() as $page => $text) {
        $blocks = preg_split('/\n\n+/', trim($text)) ?: [];
        if (! str_starts_with($blocks[0], '# ') || preg_match('/^[A-Z*`]/', $blocks[1] ?? '') !== 1) {
            $wrong[] = $page;
        }
    }
    expect($wrong)->toBe([]);
});

it('keeps lines of pages to 120 characters, rows of tables and pictures aside', function () {
    $wrong = [];
    foreach (pages() as $page => $text) {
        foreach (explode("\n", $text) as $n => $line) {
            if (mb_strlen($line) > 120 && ! str_starts_with(ltrim($line), '|') && ! str_starts_with($line, '![')) {
                $wrong[] = sprintf('%s:%d', $page, $n + 1);
            }
        }
    }
    expect($wrong)->toBe([]);
});

it('keeps stretches of a sentence, up to a stop, a colon or a semicolon, to 25 words', function () {
    $wrong = [];
    foreach (pages() as $page => $text) {
        $text = (string) preg_replace('/```.*?```/s', '', $text);
        $text = (string) preg_replace('/^\s*(\||#).*$/m', '', $text);
        // What is in brackets or code is read by itself.
        $text = (string) preg_replace(['/`[^`]*`/', '/\([^)]*\)/'], ['X', ''], $text);
        foreach (preg_split('/\n\n+|\n\s*(?:-|\d+\.) |(?<=[.!?:;])\s+/', $text) ?: [] as $stretch) {
            $words = preg_split('/\s+/', trim($stretch)) ?: [];
            if (count($words) > 25) {
                $wrong[] = $page.': '.implode(' ', array_slice($words, 0, 8));
            }
        }
    }
    expect($wrong)->toBe([]);
});

it('names on pages only classes that there are', function () {
    $root = dirname(__DIR__, 3).'/';
    $wrong = [];
    $told = 0;
    foreach (pages() as $page => $text) {
        preg_match_all('#`(?:core/src/|app/)?((?:[A-Z]\w+/)+[A-Z]\w+)(?:\.php)?(?:::\w+)?`#', $text, $found);
        foreach ($found[1] as $name) {
            $told++;
            $there = array_filter(['core/src/', 'app/', 'tests/'], static fn (string $in): bool => is_file("$root$in$name.php"));
            if ($there === [] && ! is_dir($root.'core/src/'.$name) && ! is_dir($root.'app/'.$name)) {
                $wrong[] = "$page names $name";
            }
        }
    }
    expect($wrong)->toBe([])->and($told)->toBeGreaterThan(80);
});

it('names every page somewhere a reader comes by', function () {
    $pages = pages();
    $root = dirname(__DIR__, 3).'/';
    $linked = ['README.md'];
    foreach ($pages as $page => $text) {
        preg_match_all('/\]\(([\w.\/-]+\.md)(?:#[\w-]+)?\)/', $text, $found);
        foreach ($found[1] as $link) {
            $linked[] = substr((string) realpath($root.dirname($page).'/'.$link), strlen((string) realpath($root)) + 1);
        }
    }
    expect(array_values(array_diff(array_keys($pages), $linked)))->toBe([]);
});
