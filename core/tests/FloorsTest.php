<?php

declare(strict_types=1);

namespace Impa\Tests\Floors;

use Impa\Tests\Support\Sources;

/**
 * The rooms of core by floor, as docs/architecture.md has them: a room uses only floors below its own, never one beside it.
 *
 * @return list<list<string>>
 */
function floors(): array
{
    $page = (string) file_get_contents(dirname(__DIR__, 2).'/docs/architecture.md');
    preg_match_all('/^\| (\d) \| ([A-Z][A-Za-z, ]+) \|/m', $page, $rows, PREG_SET_ORDER);
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

it('has every room of core on a floor of the table in docs/architecture.md, and no room there that is not in core', function () {
    $rooms = array_map(basename(...), glob(dirname(__DIR__).'/src/*', GLOB_ONLYDIR) ?: []);
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
