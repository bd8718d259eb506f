<?php

declare(strict_types=1);

namespace Impa\Tests\Surface;

use Impa\Figure\Placement;
use Impa\Figure\Term\Side;
use Impa\Surface\Surface;
use Impa\Tests\Support\CountedSolid;
use Impa\Tests\Support\Figures;

/** @param  array<string, mixed>  $more */
function piece(string $kind, float $w, float $h, float $d, array $more = []): Placement
{
    $pieces = Figures::read(Figures::document([Figures::part('a', $kind, $w, $h, $d, 0, 0, 0, $more)]))->parts['a']->placements();

    return $pieces[count($pieces) - 1];
}

/**
 * The quadratic form of an ellipsoid as seen from a side: u'Qu = 1 for u = right, up, towards.
 *
 * @return array{array{float, float, float}, array{float, float, float}, array{float, float, float}}
 */
function quadric(Placement $piece, Side $side): array
{
    $size = $piece->part->solid->size();
    $half = [$size->widthMm / 2, $size->heightMm / 2, $size->depthMm / 2];
    // The turn written out anew: about z, then x, then y (formats/impa-figure-2.schema.json); a twin's about y and z the other way.
    $way = $piece->isTwin ? -1 : 1;
    [$a, $b, $c] = [
        deg2rad($piece->part->stand->turn->xDeg),
        $way * deg2rad($piece->part->stand->turn->yDeg),
        $way * deg2rad($piece->part->stand->turn->zDeg),
    ];
    $spin = static fn (array $p, int $i, int $j, float $by): array => array_replace($p, [
        $i => $p[$i] * cos($by) - $p[$j] * sin($by),
        $j => $p[$i] * sin($by) + $p[$j] * cos($by),
    ]);
    $axes = array_map(
        static fn (array $p): array => $side->see(...$spin($spin($spin($p, 0, 1, $c), 1, 2, $a), 2, 0, $b)),
        [[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]],
    );
    foreach ([0, 1, 2] as $i) {
        foreach ([0, 1, 2] as $j) {
            $form[$i][$j] = array_sum(
                array_map(static fn (array $axis, float $mm): float => ($axis[$i] * $axis[$j]) / $mm ** 2, $axes, $half),
            );
        }
    }

    return $form;
}

dataset('turned ovals', function () {
    foreach (Side::cases() as $side) {
        foreach ([[0, 0, 0, false], [0, 0, 35, false], [25, -40, 15, false], [-70, 20, 0, true]] as [$x, $y, $z, $isTwin]) {
            yield $side->value." $x $y $z" => [
                piece('ball', 40, 60, 26, [
                    'turnDeg' => ['x' => $x, 'y' => $y, 'z' => $z],
                    ...($isTwin ? ['mirror' => true] : []),
                ]),
                $side,
            ];
        }
    }
});

it('finds the skin of a turned oval where its quadric says, from every side, whatever is known close by', function (
    Placement $piece,
    Side $side,
) {
    $surface = Surface::of($piece, $side);
    $q = quadric($piece, $side);
    foreach ([[0.0, 0.0], [5.0, -4.0], [-8.0, 7.0], [3.0, 11.0]] as [$x, $y]) {
        $b = $q[0][2] * $x + $q[1][2] * $y;
        $c = $q[0][0] * $x ** 2 + 2 * $q[0][1] * $x * $y + $q[1][1] * $y ** 2 - 1;
        $truth = (-$b + sqrt($b ** 2 - $q[2][2] * $c)) / $q[2][2];
        expect($surface->heightMm($x, $y))->toEqualWithDelta($truth, 2e-4)->and($surface->has($x, $y))->toBeTrue();
        foreach ([$truth + 0.5, $truth - 0.7, $truth + 9.0, -100.0] as $hint) {
            expect($surface->heightMm($x, $y, $hint))->toEqualWithDelta($truth, 2e-4);
        }
    }
})->with('turned ovals');

it('ends where the quadric does: sideways, upwards, and at its crown', function (Placement $piece, Side $side) {
    $surface = Surface::of($piece, $side);
    $q = quadric($piece, $side);
    // A line of sight touches where the discriminant of its two meetings is 0.
    $edge = static fn (int $axis): float => sqrt($q[2][2] / ($q[$axis][$axis] * $q[2][2] - $q[$axis][2] ** 2));
    [$wide, $high] = [$edge(0), $edge(1)];
    expect($surface->has($wide - 0.003, 0.0))
        ->toBeTrue()
        ->and($surface->has($wide + 0.003, 0.0))
        ->toBeFalse()
        ->and($surface->has(0.0, -$high + 0.003))
        ->toBeTrue()
        ->and($surface->has(0.0, -$high - 0.003))
        ->toBeFalse()
        ->and($surface->heightMm($wide + 0.003, 0.0))
        ->toBeNan()
        ->and($surface->extentMm())
        ->toEqualWithDelta([2 * $wide, 2 * $high], 0.01)
        ->and($surface->crownMm())
        ->toEqualWithDelta($high, 1e-3)
        ->and($surface->crownHeightMm())
        ->toEqualWithDelta((-$q[1][2] * $high) / $q[2][2], 0.15)
        ->and($surface->reaches($wide - 0.01, $high - 0.01))
        ->toBeTrue()
        ->and($surface->reaches($wide + 0.01, $high - 0.01))
        ->toBeFalse()
        ->and($surface->reaches($wide - 0.01, $high + 0.01))
        ->toBeFalse();
})->with('turned ovals');

it('reaches as far as its shorter side does', function (array $outline, bool $isReached) {
    $part = Figures::part('a', 'plate', 60, 40, 6);
    $part['shape']['outline'] = $outline;
    $plate = Figures::read(Figures::document([$part]))->parts['a'];
    expect(Surface::of($plate->placements()[0])->reaches(24.0, 15.0))->toBe($isReached);
})->with([
    'all round' => [[[-30, -20], [30, -20], [30, 20], [-30, 20]], true],
    'not to the left' => [[[-30, -20], [30, -20], [30, 20], [-10, 20]], false],
    'not to the right' => [[[-30, -20], [30, -20], [10, 20], [-30, 20]], false],
    'not upwards' => [[[-30, -20], [30, -20], [30, 20], [0, 10], [-30, 20]], false],
    'not downwards' => [[[-30, 20], [30, 20], [30, -20], [0, -10], [-30, -20]], false],
]);

it('has neither crown nor extent where its middle is a hole', function () {
    $ring = Surface::of(piece('ring', 40, 40, 8, ['turnDeg' => ['x' => 90]]));
    if ($ring->has(0.0, 0.0)) {
        $ring = Surface::of(piece('ring', 40, 40, 8));
    }
    expect([$ring->crownMm(), $ring->crownHeightMm(), ...$ring->extentMm()])
        ->toBe([0.0, 0.0, 0.0, 0.0])
        ->and($ring->reaches(1.0, 1.0))
        ->toBeFalse();
});

it('is deepest at the near rim where it leans back, and finds thin pieces edge on', function () {
    // A disc 2 mm thick and 40 across, leant back nearly flat: seen as a strip whose middle stands 0 from its own middle.
    $disc = Surface::of(piece('ball', 40, 40, 2, ['turnDeg' => ['x' => 88]]));
    $q = quadric(piece('ball', 40, 40, 2, ['turnDeg' => ['x' => 88]]), Side::Front);
    $high = sqrt($q[2][2] / ($q[1][1] * $q[2][2] - $q[1][2] ** 2));
    expect($disc->crownMm())
        ->toEqualWithDelta($high, 1e-3)
        ->and($disc->heightMm(0.0, 0.0))
        ->toEqualWithDelta(1 / sqrt($q[2][2]), 2e-4)
        ->and($disc->has(19.0, 0.0))
        ->toBeTrue();
});

it('measures once what belongs to a level', function () {
    $surface = Surface::of(piece('ball', 40, 40, 40));
    $asked = 0;
    $measure = static function () use (&$asked): float {
        return (float) ++$asked;
    };
    expect([$surface->once(3.0, $measure), $surface->once(3.0, $measure), $surface->once(3.1, $measure)])->toBe([1.0, 1.0, 2.0]);
});

it('looks no more often than its searches did when they were written', function (string $kind, array $turn, array $most) {
    $part = piece($kind, 40, 60, 26, ['turnDeg' => $turn])->part;
    $solid = new CountedSolid($part->solid);
    $surface = Surface::of($part->shaped($solid)->placements()[0]);
    $places = [[0.0, 0.0], [5.0, -4.0], [-8.0, 7.0], [3.0, 11.0], [-2.0, -9.0], [7.0, 3.0]];
    $asked = static function (callable $do) use ($solid): int {
        $before = $solid->asked;
        $do();

        return $solid->asked - $before;
    };
    $counts = [
        'heights' => $asked(static fn () => array_map(static fn (array $p): float => $surface->heightMm(...$p), $places)),
        'heights next to known ones' => $asked(static function () use ($surface) {
            $height = $surface->heightMm(0.0, 0.0);
            for ($i = 1; $i <= 20; $i++) {
                $height = $surface->heightMm(0.3 * $i, -0.2 * $i, $height);
            }
        }),
        'crown' => $asked(static fn () => [$surface->crownMm(), $surface->crownMm(), $surface->crownHeightMm()]),
        'extent' => $asked(static fn () => [$surface->extentMm(), $surface->extentMm()]),
        'far off' => $asked(static fn () => [$surface->has(90.0, 0.0), $surface->has(0.0, -200.0)]),
    ];
    foreach (array_values($counts) as $i => $count) {
        expect($count)->toBeLessThanOrEqual($most[$i]);
    }
})->with([
    'straight' => ['ball', ['z' => 30], [6, 21, 36, 124, 2]],
    'turned' => ['ball', ['x' => 25, 'y' => -40, 'z' => 15], [53, 148, 454, 2930, 0]],
    'egg' => ['egg', ['x' => -60, 'y' => 10], [52, 169, 495, 3229, 0]],
    'cone' => ['cone', ['x' => 40], [78, 177, 335, 2676, 0]],
]);
