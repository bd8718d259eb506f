<?php

declare(strict_types=1);

namespace Impa\Tests\Gap;

use Impa\Build\StepsSheet;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Gap;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;

/** Two parts, the second joined to the first. */
function two(array $one, array $two): Figure
{
    return Figures::read(Figures::document([$one, ['join' => ['to' => $one['key']]] + $two]));
}

function gap(Figure $figure): float
{
    return Gap::between(...array_map(static fn (Part $p): Placement => Placement::of($p), array_values(array_slice($figure->parts, 0, 2))));
}

it('is the distance of the middles of two balls less their radii, however they lie', function (float $x, float $y, float $z) {
    $figure = two(Figures::part('a', 'ball', 20, 20, 20), Figures::part('b', 'ball', 12, 12, 12, $x, $y, $z));
    expect(gap($figure))->toEqualWithDelta(max(0.0, sqrt($x ** 2 + $y ** 2 + $z ** 2) - 16), 0.15);
})->with([[30, 0, 0], [0, -25, 0], [12, 14, 20], [0, 0, 16.05], [10, 0, 0], [0, 0, 0], [-40, 30, 10]]);

it('is the room between two blocks that stand side by side', function () {
    $figure = two(Figures::part('a', 'block', 20, 30, 10), Figures::part('b', 'block', 8, 30, 10, 21.5));
    expect(gap($figure))->toEqualWithDelta(7.5, 0.15);
});

it('never tells more than lies between the skins, and nothing of what overlaps', function (int $seed) {
    $figure = Figures::read(Figures::random($seed, 12, 0));
    $pieces = array_map(static fn (Part $p): Placement => Placement::of($p), array_values($figure->parts));
    $apart = 0;
    foreach ($pieces as $i => $one) {
        foreach (array_slice($pieces, $i + 1) as $two) {
            $mm = Gap::between($one, $two);
            $least = INF;
            // By brute force: from every fourth point of one skin to every fourth of the other.
            $skins = array_map(static fn (Placement $p): array => array_merge(...$p->rings()), [$one, $two]);
            for ($k = 0; $k < count($skins[0]); $k += 4) {
                [$x, $y, $z] = $skins[0][$k];
                $mm > 0.0 && expect($two->holds($x, $y, $z))->toBeFalse();
                for ($l = 0; $l < count($skins[1]); $l += 4) {
                    $p = $skins[1][$l];
                    $least = min($least, sqrt(($p[0] - $x) ** 2 + ($p[1] - $y) ** 2 + ($p[2] - $z) ** 2));
                }
            }
            expect($mm)->toBeLessThanOrEqual($least + 1e-6);
            $apart += (int) ($mm > 0.0);
        }
    }
    expect($apart)->toBeGreaterThan(0);
})->with([3, 14, 25]);

it('is told at the part, among the notes and where the part is to be joined, alike', function () {
    $tail = Figures::part('tail', 'ball', 10, 10, 10, 0, 20, -45, ['name' => 'Tail']);
    $figure = two(Figures::part('body', 'ball', 40, 40, 40, 0, 20), $tail);
    $plan = Plan::of($figure);
    [$note] = array_values(array_filter($plan->document()['notes'], static fn (array $n): bool => $n['code'] === 'floats'));
    $steps = array_column(StepsSheet::of($plan->work())['steps'], 'amiss', 'key');
    expect($note['at'])->toBe('/parts/1')
        ->and($note['text'])->toContain('Tail does not reach the body: 20 mm lie between')
        ->and(array_filter($steps))->toBe(['join:tail' => (string) $note['text']]);
});

it('finds nothing that floats in the demo, in what a wire bridges, or in layers', function () {
    foreach (['bobbin', 'lanto', 'sorrel', 'wick', 'dusk'] as $name) {
        expect(Gap::all(Works::demo($name)))->toBe([], $name);
    }
    $bridged = ['join' => ['to' => 'a', 'by' => 'wire']] + Figures::part('b', 'ball', 12, 12, 12, 60);
    expect(Gap::all(two(Figures::part('a', 'ball', 20, 20, 20), $bridged)))->toHaveCount(1)
        ->and(Gap::all(Figures::read(Figures::document([Figures::part('a', 'ball', 20, 20, 20), $bridged]))))->toBe([]);
});

it('says of what lies beside the middle line that its pairs mirror about, by how much', function () {
    $document = Figures::document([
        Figures::part('body', 'ball', 40, 40, 40, 8, 20, 0, ['name' => 'Body']),
        Figures::part('foot', 'ball', 12, 12, 12, 10, 5, 0, ['name' => 'Foot', 'mirror' => true, 'join' => ['to' => 'body']]),
    ]);
    $notes = array_column(Plan::of(Figures::read($document))->document()['notes'], 'text', 'code');
    expect($notes['beside'])->toContain('Body lies 8 mm to the right of the middle line')->toContain('its pair, the foot, is mirrored');
    $document['parts'][0]['at']['xMm'] = 0;
    expect(Plan::of(Figures::read($document))->document()['notes'])->each(fn ($note) => $note->code->not->toBe('beside'));
});
