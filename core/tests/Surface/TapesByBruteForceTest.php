<?php

declare(strict_types=1);

/*
 * Tapes against their courses drawn finely over the skin, on every shape. Slow; bin/mutate.php leaves it out.
 */

namespace Impa\Tests\TapesByBruteForce;

use Impa\Geometry\Bisection;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\Solid\Stack;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Tests\Support\Figures;

/** @param  array<string, mixed>  $more */
function faceOf(string $kind, float $w, float $h, float $d, array $more = []): Surface
{
    return Surface::of(
        Figures::read(Figures::document([Figures::part('head', $kind, $w, $h, $d, 0, 0, 0, $more)]))->parts[
            'head'
        ]->placements()[0],
    );
}

/** The length of a finely drawn course over the skin, 1500 straight pieces: brute force. */
function courseMm(Surface $surface, callable $at): float
{
    $length = 0.0;
    $before = null;
    for ($i = 0; $i <= 1500; $i++) {
        [$x, $y] = $at($i / 1500);
        $z = $surface->heightMm($x, $y);
        $length += $before === null ? 0.0 : sqrt(($x - $before[0]) ** 2 + ($y - $before[1]) ** 2 + ($z - $before[2]) ** 2);
        $before = [$x, $y, $z];
    }

    return $length;
}

it('marks true within 0.1 mm on every shape, turned up to 60 degrees, up to 85 % of the half width', function (ShapeKind $kind) {
    mt_srand(strlen($kind->value) + ord($kind->value[1]));
    $usual = Catalogue::usualSize($kind);
    foreach (
        [
            ['x' => 0, 'y' => 0, 'z' => 0],
            ['x' => mt_rand(-60, 60), 'y' => 0, 'z' => 0],
            ['x' => mt_rand(-40, 40), 'y' => mt_rand(-60, 60), 'z' => mt_rand(-60, 60)],
        ] as $turn
    ) {
        $surface = faceOf($kind->value, $usual->widthMm, $usual->heightMm, $usual->depthMm, ['turnDeg' => $turn]);
        $half = Bisection::of(static fn (float $mm): bool => $surface->has($mm, 0.0));
        if ($half < 1.0 || $surface->crownMm() < 1.0) {
            // Seen through its hole, or edge on: there is no face to mark.
            continue;
        }
        foreach ([0.2, 0.6, 0.85] as $share) {
            $x = $share * $half;
            $mark = TapeMark::on($surface, $x, 0.0);
            expect($mark->acrossMm)->toEqualWithDelta(courseMm($surface, static fn (float $t): array => [$t * $x, 0.0]), 0.1);
        }
        $crown = $surface->crownMm();
        // From the middle of what may be a flat top to its edge, then on; closer together there, where the skin is steepest.
        $flat = abs($surface->heightMm(0.0, $crown) - $surface->crownHeightMm());
        expect(TapeMark::downMm($surface, 0.0))->toEqualWithDelta(
            $flat + courseMm($surface, static fn (float $t): array => [0.0, $crown * cos((M_PI / 2) * $t)]),
            0.1,
        );
    }
})->with(array_filter(ShapeKind::cases(), static fn (ShapeKind $k): bool => ! in_array($k, [ShapeKind::Ring], true)));

/**
 * From the highest point of a stack of ellipses, leant forward about its level axis, over its skin to each level: along the meridian
 * itself, 40,000 straight pieces, without a line of sight. Null where that way ends on the flat foot.
 *
 * @param  list<float>  $levels
 * @return list<?float>
 */
function meridianMm(Stack $solid, float $forwardDeg, array $levels): array
{
    $size = $solid->size();
    [$cos, $sin] = [cos(deg2rad($forwardDeg)), sin(deg2rad($forwardDeg))];
    $skin = [[], []];
    for ($i = 0; $i <= 20_000; $i++) {
        $t = 0.5 - 0.5 * cos((M_PI * $i) / 20_000);
        [$up, $out] = [($t - 0.5) * $size->heightMm, ($size->depthMm / 2) * $solid->profile($t)];
        $skin[0][] = [$up, -$out];
        $skin[1][] = [$up, $out];
    }
    // Up behind, over what may be a flat top, down in front.
    [$up, $out] = [$size->heightMm / 2, ($size->depthMm / 2) * $solid->profile(1.0)];
    $flat = array_map(static fn (int $i): array => [$up, ($out * $i) / 2000], $out > 1e-6 ? range(-1999, 1999) : []);
    $course = array_map(
        static fn (array $p): array => [$p[0] * $cos - $p[1] * $sin, $p[0] * $sin + $p[1] * $cos],
        [...$skin[0], ...$flat, ...array_reverse($skin[1])],
    );
    // A flat top is highest all along: its middle counts.
    $highest = array_keys(array_column($course, 0), max(array_column($course, 0)));
    $length = 0.0;
    $lengths = array_fill(0, count($levels), null);
    for ($i = $highest[intdiv(count($highest), 2)] + 1; $i < count($course); $i++) {
        $length += hypot($course[$i][0] - $course[$i - 1][0], $course[$i][1] - $course[$i - 1][1]);
        foreach ($levels as $k => $level) {
            if ($course[$i][0] <= $level) {
                $lengths[$k] ??= $length;
            }
        }
    }

    return $lengths;
}

it('measures down from the true crown within 0.1 mm, however the piece leans: along its meridian', function (ShapeKind $kind) {
    $usual = Catalogue::usualSize($kind);
    $compared = 0;
    foreach ([0, 15, -25, 40, -60, 60] as $deg) {
        $part = Figures::read(
            Figures::document([
                Figures::part('head', $kind->value, $usual->widthMm, $usual->heightMm, $usual->depthMm, 0, 0, 0, [
                    'turnDeg' => ['x' => $deg],
                ]),
            ]),
        )->parts['head'];
        $surface = Surface::of($part->placements()[0]);
        $forwards = $part->placements()[0]->turn->apply(0.0, 1.0, 0.0)[2] > 0.0 ? abs($deg) : -abs($deg);
        $levels = [0.0, -0.15 * $usual->heightMm, $surface->crownMm() / 2];
        foreach (meridianMm($part->solid, $forwards, $levels) as $k => $meridian) {
            if ($meridian !== null) {
                $compared++;
                // The tape is laid in steps, which are coarser than a cup's tight rims.
                $delta = $kind === ShapeKind::Cup ? 0.1 : 0.02;
                expect(TapeMark::downMm($surface, $levels[$k]))->toEqualWithDelta($meridian, $delta);
            }
        }
    }
    expect($compared)->toBeGreaterThan(10);
})->with(
    array_filter(
        ShapeKind::cases(),
        static fn (ShapeKind $kind): bool => Catalogue::solid($kind, Catalogue::usualSize($kind)) instanceof Stack,
    ),
);
