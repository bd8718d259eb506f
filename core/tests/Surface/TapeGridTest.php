<?php

declare(strict_types=1);

namespace Impa\Tests\TapeGrid;

use Impa\Surface\Surface;
use Impa\Surface\TapeGrid;
use Impa\Tests\Support\Figures;

function grid(string $kind, float $w, float $h, float $d): array
{
    $figure = Figures::read(Figures::document([Figures::part('head', $kind, $w, $h, $d)]));

    return TapeGrid::of(Surface::of($figure->parts['head']->placements()[0]));
}

it('draws a ball\'s lines where its circles lie: across by the circle of each level, down by the great circle', function () {
    $radius = 30.0;
    $grid = grid('ball', 60, 60, 60);
    expect($grid['crownMm'])->toEqualWithDelta($radius, 0.01)->and($grid['footMm'])->toEqualWithDelta(-$radius, 0.01);
    // A quarter of the greatest circle is 47.1 mm: every 5 mm a line, none beyond.
    expect($grid['stepMm'])->toBe(5.0)
        ->and(array_column($grid['across'], 'mm'))->toBe([5.0, 10.0, 15.0, 20.0, 25.0, 30.0, 35.0, 40.0, 45.0]);
    foreach ($grid['across'] as $line) {
        $levels = array_column($line['points'], 1);
        $from = array_reverse($levels);
        sort($levels);
        expect($from)->toBe(array_reverse($levels));
        foreach ($line['points'] as [$x, $y]) {
            $circle = sqrt($radius ** 2 - $y ** 2);
            expect($x)->toEqualWithDelta($circle * sin($line['mm'] / $circle), 0.06);
        }
    }
    // Half of the great circle is 94.2 mm.
    expect(array_column($grid['down'], 'mm'))->toBe(array_map(floatval(...), range(5, 90, 5)));
    foreach ($grid['down'] as $line) {
        [[$left, $y], [$right, $same]] = $line['points'];
        expect($y)->toBe($same)->and($left)->toBe(-$right)->and($y)->toEqualWithDelta($radius * cos($line['mm'] / $radius), 0.06)
            ->and($right)->toEqualWithDelta($radius * sin($line['mm'] / $radius), 0.06);
    }
});

it('looks at levels that close up towards crown and foot, alike above and below', function () {
    $levels = array_column(grid('ball', 60, 60, 60)['across'][0]['points'], 1);
    $count = count($levels);
    foreach ($levels as $i => $y) {
        expect($y)->toEqualWithDelta(-$levels[$count - 1 - $i], 0.02);
    }
    $gaps = array_map(static fn (int $i): float => abs($levels[$i + 1] - $levels[$i]), range(0, $count - 2));
    expect($gaps[0])->toBeLessThan(0.5 * $gaps[intdiv($count, 2)])
        ->and($count)->toBeGreaterThan(8)
        ->and(max(array_map(abs(...), $levels)))->toBeGreaterThan(29.0);
});

it('draws a flat front straight: what the tape says is what a ruler says', function () {
    $grid = grid('block', 80, 60, 20);
    foreach ($grid['across'] as $line) {
        foreach ($line['points'] as [$x, $y]) {
            // The block's face is flat to 4 mm from its sides.
            if ($line['mm'] < 36.0 && abs($y) < 25.0) {
                expect($x)->toEqualWithDelta($line['mm'], 0.02);
            }
        }
    }
    expect($grid['across'])->not->toBe([]);
});
