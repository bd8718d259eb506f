<?php

declare(strict_types=1);

namespace Impa\Tests\Reach;

use Impa\Build\Order\Hindrance;
use Impa\Build\Order\Reach;
use Impa\Build\Order\WorkPlace;
use Impa\Figure\Figure;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;

/** @return array<string, list<string>> by the step that is hindered, the parts that hinder it */
function hindered(Figure $figure): array
{
    $by = [];
    foreach (Reach::of($figure) as $h) {
        $by[$h->step][] = ($h->isCovering ? 'what covers ' : '').$h->by;
    }

    return $by;
}

/** A head on a body, eyes, and a visor so wide before them. */
function visored(float $widthMm): Figure
{
    $disc = ['kind' => 'disc', 'widthMm' => 6, 'xMm' => 9, 'mirror' => true, 'colour' => 'black'];
    $eye = ['key' => 'eye', 'name' => 'Eye', 'on' => 'head'] + $disc;

    return Figures::read(Figures::document(
        [
            Figures::part('body', 'ball', 50, 60, 50, 0, 30),
            Figures::part('head', 'ball', 50, 50, 50, 0, 80, 0, ['join' => ['to' => 'body']]),
            Figures::part('visor', 'block', $widthMm, $widthMm, 4, 0, 80, 36, ['name' => 'Visor', 'join' => ['to' => 'head']]),
        ],
        [$eye],
    ));
}

/**
 * A needle against the triangles of a piece (Moeller and Trumbore 1997); the fingers as needles laid round it.
 *
 * @param  list<list<array{float, float, float}>>  $rings
 * @param  array{float, float, float}  $from
 * @param  array{float, float, float}  $way
 */
function meshMet(array $rings, array $from, array $way): bool
{
    [$u, $v] = WorkPlace::perpendicular($way);
    $rays = [[$from, 1.0]];
    foreach (range(0, 7) as $k) {
        [$c, $s] = [5 * cos(M_PI * $k / 4), 5 * sin(M_PI * $k / 4)];
        $rays[] = [array_map(static fn (int $i): float => $from[$i] + $c * $u[$i] + $s * $v[$i], [0, 1, 2]), 45.0];
    }
    $count = count($rings[0]);
    foreach ($rings as $i => $ring) {
        for ($j = 0; isset($rings[$i + 1]) && $j < $count; $j++) {
            $k = ($j + 1) % $count;
            foreach ([[$ring[$j], $ring[$k], $rings[$i + 1][$j]], [$ring[$k], $rings[$i + 1][$k], $rings[$i + 1][$j]]] as $triangle) {
                foreach ($rays as [$start, $near]) {
                    $t = hit($triangle, $start, $way);
                    if ($t >= $near && $t <= 75.0) {
                        return true;
                    }
                }
            }
        }
    }

    return false;
}

/** How far along a ray it meets a triangle; less than 0 where it does not. */
function hit(array $triangle, array $from, array $way): float
{
    $minus = static fn (array $a, array $b): array => [$a[0] - $b[0], $a[1] - $b[1], $a[2] - $b[2]];
    $area = static fn (array $a, array $b, int $i, int $j): float => $a[$i] * $b[$j] - $a[$j] * $b[$i];
    $cross = static fn (array $a, array $b): array => [$area($a, $b, 1, 2), $area($a, $b, 2, 0), $area($a, $b, 0, 1)];
    $dot = static fn (array $a, array $b): float => $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
    [$e, $f] = [$minus($triangle[1], $triangle[0]), $minus($triangle[2], $triangle[0])];
    $p = $cross($way, $f);
    $det = $dot($e, $p);
    if (abs($det) < 1e-12) {
        return -1.0;
    }
    $t = $minus($from, $triangle[0]);
    $a = $dot($t, $p) / $det;
    $q = $cross($t, $e);
    $b = $dot($way, $q) / $det;

    return $a < 0.0 || $b < 0.0 || $a + $b > 1.0 ? -1.0 : $dot($f, $q) / $det;
}

it('lays the eyes before a visor that stands before them, and says why', function () {
    expect(hindered(visored(80)))->toHaveKey('detail:eye');
    $steps = Works::of(visored(80))->steps;
    $keys = array_map(static fn ($s): string => $s->key, $steps);
    expect(array_search('detail:eye', $keys, true))->toBeLessThan(array_search('join:visor', $keys, true));
    $because = $steps[array_search('join:visor', $keys, true)]->order->because;
    expect($because['detail:eye'])->toBe('Before the visor: it would be in the way of the right eye.');
});

it('leaves the eyes alone where the visor is narrow', function () {
    expect(hindered(visored(8)))->not->toHaveKey('detail:eye');
});

it('takes a place to be lost to what stands in every way, in closed form: a wall before it, wider or narrower than the cone', function () {
    // A flat wall 20 mm before a flat skin: within 45 degrees all is hidden from a wall that reaches 20 mm aside, and the rim of the spot.
    $figure = static fn (float $half): Figure => Figures::read(Figures::document(
        [
            Figures::part('skin', 'block', 120, 120, 10, 0, 100, 0),
            Figures::part('wall', 'block', 2 * $half, 2 * $half, 4, 0, 100, 27, ['join' => ['to' => 'skin']]),
        ],
        [['key' => 'dot', 'on' => 'skin', 'kind' => 'disc', 'widthMm' => 2, 'colour' => 'black']],
    ));
    expect(hindered($figure(30)))->toHaveKey('detail:dot')->and(hindered($figure(8)))->not->toHaveKey('detail:dot');
});

it('counts the fingers that hold the needle, from 45 mm up', function () {
    // Two walls leave a gap of 6 mm, 60 mm before the skin: the needle passes, fingers of 10 mm do not.
    $figure = static fn (float $gap): Figure => Figures::read(Figures::document(
        [
            Figures::part('skin', 'block', 200, 200, 10, 0, 150, 0),
            Figures::part('left', 'block', 100, 200, 8, -50 - $gap / 2, 150, 65, ['join' => ['to' => 'skin']]),
            Figures::part('right', 'block', 100, 200, 8, 50 + $gap / 2, 150, 65, ['join' => ['to' => 'skin']]),
        ],
        [['key' => 'dot', 'on' => 'skin', 'kind' => 'disc', 'widthMm' => 2, 'colour' => 'black']],
    ));
    expect(hindered($figure(6)))->toHaveKey('detail:dot')->and(hindered($figure(14)))->not->toHaveKey('detail:dot');
});

it('joins what is held to the hand before the arm comes to the body that would be in the way', function () {
    $figure = Figures::read(Figures::document([
        Figures::part('body', 'ball', 60, 70, 50, 0, 35),
        Figures::part('arm', 'sausage', 12, 44, 12, 33, 40, 0, ['join' => ['to' => 'body']]),
        Figures::part('cup', 'ball', 16, 16, 16, 27, 34, 14, ['join' => ['to' => 'arm'], 'group' => 'cup']),
    ]));
    $keys = Works::of($figure)->keys();
    expect(array_search('hide:cup', $keys, true))->toBeLessThan(array_search('join:arm', $keys, true));
});

it('lays what is under long tufts before the tufts', function () {
    $figure = Figures::read(Figures::document(
        [
            Figures::part('head', 'ball', 50, 50, 50, 0, 30),
            Figures::part('crest', 'ball', 30, 20, 30, 0, 58, 10, [
                'join' => ['to' => 'head'],
                'covering' => ['way' => 'tufts', 'lengthMm' => 30],
            ]),
        ],
        [['key' => 'mark', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 4, 'yMm' => 18, 'colour' => 'black']],
    ));
    $at = array_flip(Works::of($figure)->keys());
    expect($at['detail:mark'])->toBeLessThan($at['covering:crest']);
});

it('finds the seam of two balls on the circle that they share, looking outwards', function () {
    $figure = Figures::read(Figures::document([
        Figures::part('a', 'ball', 40, 40, 40, 0, 20),
        Figures::part('b', 'ball', 40, 40, 40, 0, 44, 0, ['join' => ['to' => 'a']]),
    ]));
    [$obstacles, $at] = Reach::obstacles($figure);
    [$place] = Reach::places($figure, $at, $obstacles);
    // Two balls of radius 20, 24 apart: a circle of radius 16, halfway up.
    foreach ($place->points as [[$x, $y, $z], $normal]) {
        expect(hypot($x, $z))->toEqualWithDelta(16.0, 2.0)
            ->and($y)->toEqualWithDelta(32.0, 2.0)
            ->and(($x * $normal[0] + $z * $normal[2]) / hypot($x, $z))->toBeGreaterThan(0.98);
    }
    expect($place->points)->toHaveCount(4)->and($place->needed())->toBe(3);
});

it('says the same as needles in many more directions against the pieces\' triangles', function () {
    $same = $all = 0;
    mt_srand(11);
    foreach ([2, 5] as $seed) {
        $figure = Figures::read(Figures::random($seed, 6, 6));
        [$obstacles, $at] = Reach::obstacles($figure);
        $meshes = [];
        foreach ($figure->parts as $part) {
            foreach ($part->placements() as $placement) {
                $meshes[] = $placement->rings();
            }
        }
        foreach (Reach::places($figure, $at, $obstacles) as $place) {
            [$from, $normal] = $place->points[0];
            [$u, $v] = WorkPlace::perpendicular($normal);
            foreach ($obstacles as $i => $obstacle) {
                if (in_array($i, $place->pieces, true)) {
                    continue;
                }
                // One random way within the cone: does this piece stand in it?
                [$lean, $round] = [M_PI / 4 * sqrt(mt_rand() / mt_getrandmax()), 2 * M_PI * mt_rand() / mt_getrandmax()];
                $way = array_map(
                    static fn (int $k): float => cos($lean) * $normal[$k] + sin($lean) * (cos($round) * $u[$k] + sin($round) * $v[$k]),
                    [0, 1, 2],
                );
                $own = $obstacle->own($from[0] - $obstacle->at[0], $from[1] - $obstacle->at[1], $from[2] - $obstacle->at[2]);
                // What already holds the point has no skin between it and the needle's foot.
                if (! $obstacle->holds($from[0], $from[1], $from[2])) {
                    $same += (int) ($obstacle->isMet($own, $way) === meshMet($meshes[$i], $from, $way));
                    $all++;
                }
            }
        }
    }
    expect($all)->toBeGreaterThan(150)->and($same / $all)->toBeGreaterThan(0.95);
})->group('dear');

it('hinders nothing where a part stands alone', function () {
    expect(Reach::of(Figures::faced('ball', 50, 46, 48)))->toBe([]);
});

it('moves nothing for what belongs to another thing, and stands apart', function () {
    $figure = Figures::read(Figures::document(
        [
            Figures::part('head', 'ball', 40, 40, 40, 0, 20),
            Figures::part('wall', 'block', 200, 200, 6, 0, 20, 40, ['group' => 'stage']),
        ],
        [['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 4, 'colour' => 'black']],
    ));
    expect(array_map(static fn (Hindrance $h): string => $h->by, Reach::of($figure)))->toBe(['wall'])
        ->and(Works::of($figure)->tight)->toBe([]);
});
