<?php

declare(strict_types=1);

namespace Impa\Tests\Floors;

use FilesystemIterator;
use Impa\Tests\Support\Sources;
use PhpToken;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/**
 * The rooms of core by floor, as docs/architecture.md has them: a room uses only floors below its own, never one beside it.
 *
 * @return list<list<string>>
 */
function floors(): array
{
    $page = (string) file_get_contents(dirname(__DIR__, 3).'/docs/architecture.md');
    preg_match_all('/^\| (\d+) \| ([A-Z][A-Za-z, ]+) \|/m', $page, $rows, PREG_SET_ORDER);
    $floors = [];
    foreach ($rows as [, $floor, $rooms]) {
        $floors[(int) $floor] = explode(', ', $rooms);
    }

    return array_values($floors);
}

/** @return array<string, int> floor by room */
function floorOf(): array
{
    $of = [];
    foreach (floors() as $floor => $rooms) {
        $of += array_fill_keys($rooms, $floor);
    }

    return $of;
}

/**
 * Every use of another room, by import or by full name.
 *
 * @return list<array{string, string, string}> file, its room, the room it uses
 */
function arrows(): array
{
    $arrows = [];
    foreach (Sources::names() as [$path, $name]) {
        $room = explode('/', $path)[0];
        if (preg_match('/^Impa\\\\([A-Z]\w*)\\\\/', $name, $used) === 1 && $used[1] !== $room) {
            $arrows[implode(' ', [$path, $used[1]])] = [$path, $room, $used[1]];
        }
    }

    return array_values($arrows);
}

/**
 * Who uses whom within rooms: a folder of a room is one place, a file that lies beside its folders a place of its own.
 *
 * @return array<string, array<string, true>> places used, by place: "Build/Order", "Build/Work.php"
 */
function within(): array
{
    $files = array_keys(Sources::tokens());
    $place = static fn (string $path): string => substr_count($path, '/') > 1 ? dirname($path) : $path;
    $uses = [];
    foreach (Sources::names() as [$path, $name]) {
        $used = str_replace('\\', '/', substr($name, strlen('Impa\\'))).'.php';
        if (in_array($used, $files, true) && explode('/', $used)[0] === explode('/', $path)[0]) {
            $uses[$place($path)][$place($used)] = true;
        }
    }
    // What lies in the same folder is named without its namespace.
    foreach (Sources::tokens() as $path => $tokens) {
        foreach ($tokens as $at => $token) {
            $beside = dirname($path).'/'.$token->text.'.php';
            $isMember = $at > 0 && $tokens[$at - 1]->is([T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION]);
            if ($token->is(T_STRING) && ! $isMember && $beside !== $path && in_array($beside, $files, true)) {
                $uses[$place($path)][$place($beside)] = true;
            }
        }
    }

    return $uses;
}

/** @param  array<string, array<string, true>>  $uses */
function leads(array $uses, string $from, string $to): bool
{
    $open = [$from];
    $seen = [];
    while ($open !== []) {
        foreach (array_keys($uses[array_pop($open)] ?? []) as $next) {
            if ($next === $to) {
                return true;
            }
            if (! isset($seen[$next])) {
                $seen[$next] = true;
                $open[] = $next;
            }
        }
    }

    return false;
}

it('has every room of core on a floor of the table in docs/architecture.md, and no room there that is not in core', function () {
    $rooms = array_map(basename(...), glob(dirname(__DIR__, 2).'/src/*', GLOB_ONLYDIR) ?: []);
    expect(array_keys(floorOf()))->toEqualCanonicalizing($rooms);
});

it('lets a room use only rooms of the floors below it', function () {
    $floor = floorOf();
    $wrong = array_filter(arrows(), static fn (array $a): bool => ($floor[$a[2]] ?? 99) >= $floor[$a[1]]);
    expect(array_map(static fn (array $a): string => implode(' -> ', $a), array_values($wrong)))->toBe([]);
});

it('finds the arrows that there are', function () {
    // A reader of imports that found none would pass the test above.
    expect(count(arrows()))->toBeGreaterThan(150)->and(arrows())->toContain(['Plan/Plan.php', 'Plan', 'Balance']);
});

it('lets no folder of a room come back to itself by way of other folders and files of that room', function () {
    $uses = within();
    $circles = [];
    foreach ($uses as $folder => $used) {
        foreach (array_keys(str_ends_with($folder, '.php') ? [] : $used) as $next) {
            if ($next !== $folder && leads($uses, $next, $folder)) {
                $circles[] = $folder.' -> '.$next;
            }
        }
    }
    expect($circles)->toBe([]);
});

it('finds the ways within a room that there are', function () {
    $uses = within();
    expect(leads($uses, 'Build/Work.php', 'Build/Schedule'))->toBeTrue()
        ->and(leads($uses, 'Build/Schedule', 'Build/Work.php'))->toBeFalse()
        ->and(leads($uses, 'Figure/Part.php', 'Figure/Placement.php'))->toBeTrue();
});

it('keeps no more than sixteen files in a folder of code, and no folder three levels down in core', function () {
    $root = dirname(__DIR__, 3).'/';
    $held = [];
    foreach (['core/src', 'core/tests', 'app', 'resources/app', 'tests/Feature'] as $code) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root.$code, FilesystemIterator::SKIP_DOTS)) as $file) {
            $held[] = dirname(substr((string) $file, strlen($root)));
        }
    }
    $held = array_filter($held, static fn (string $folder): bool => ! str_contains($folder, '/fixtures'));
    $count = array_count_values($held);
    expect(array_filter($count, static fn (int $files): bool => $files > 16))->toBe([])
        ->and(array_filter(array_keys($count), static fn (string $f): bool => preg_match('#^core/src(/\\w+){3}#', $f) === 1))->toBe([]);
});

it('has no method of more than sixty lines, but for two loops over pixels', function () {
    $long = [];
    foreach (['core/src', 'app'] as $code) {
        $folder = new RecursiveDirectoryIterator(dirname(__DIR__, 3).'/'.$code, FilesystemIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($folder) as $file) {
            $class = basename((string) $file, '.php');
            $depth = 0;
            $name = '';
            foreach (PhpToken::tokenize((string) file_get_contents((string) $file)) as $token) {
                if ($depth === 1 && $token->is(T_FUNCTION)) {
                    [$name, $began] = ['?', 0];
                } elseif ($name === '?' && $token->is(T_STRING)) {
                    $name = $token->text;
                } elseif ($token->text === '{' || $token->is([T_CURLY_OPEN, T_DOLLAR_OPEN_CURLY_BRACES])) {
                    $began = ++$depth === 2 ? $token->line : $began ?? 0;
                } elseif ($token->text === '}' && --$depth === 1 && $token->line - $began - 1 > 60) {
                    $long[] = "{$class}::{$name}";
                }
            }
        }
    }
    expect($long)->toEqualCanonicalizing(['Samples::turned', 'Fitting::neighbours']);
});
