<?php

declare(strict_types=1);

namespace Impa\Tests\Unrolled;

use Impa\Print\Page\Paper;
use Impa\Print\Template\FaceTemplates;
use Impa\Surface\Chart;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Surface\Unrolled;
use Impa\Tests\Support\Figures;

/** @param  array<string, mixed>  $more */
function wrapped(string $kind, float $w, float $h, float $d, array $more = []): Surface
{
    return Surface::of(
        Figures::read(Figures::document([Figures::part('head', $kind, $w, $h, $d, 0, 0, 0, $more)]))->parts[
            'head'
        ]->placements()[0],
    );
}

it('keeps both scales true: down the middle line, and along each cut', function (string $kind, array $turn) {
    $surface = wrapped($kind, 56, 50, 52, ['turnDeg' => $turn]);
    $template = Unrolled::of($surface, 12.0, TapeMark::downMm($surface, -14.0), 24.0);
    foreach ([2.0, -4.0, -11.0] as $y) {
        expect($template->laid(0.0, $y)['at'])->toEqualWithDelta([0.0, TapeMark::downMm($surface, $y)], 0.02);
    }
    foreach ($template->outlines() as $outline) {
        // A cut is a polygon of steps of 1.5 mm: as long as the tape along it.
        for ($i = 1, $steps = 0; $i < count($outline); $i++) {
            $long = hypot($outline[$i][0] - $outline[$i - 1][0], $outline[$i][1] - $outline[$i - 1][1]);
            if (abs($long - 1.5) < 0.01) {
                $steps++;
            }
        }
        expect($steps)->toBeGreaterThan(40);
    }
})
    ->with(['ball', 'egg', 'drum'])
    ->with([[['x' => 0, 'y' => 0, 'z' => 0]], [['x' => 15, 'y' => -10, 'z' => 0]]]);

it('unrolls a can and a cone exactly, in one piece without darts', function () {
    // The straight middle of a sausage: a cylinder of 20 mm radius; flat, its marks are arc and height.
    $can = wrapped('sausage', 40, 140, 40);
    $template = Unrolled::of($can, 60.0, 100.0, 20.0);
    expect($template->dartMm())->toBeLessThan(0.01);
    foreach ([[5.0, 3.0], [-14.0, -6.0]] as [$x, $y]) {
        expect($template->laid($x, $y)['at'][0])->toEqualWithDelta(20 * asin($x / 20), 0.05);
    }
    // A cone unrolls into a sector about its tip (the slant length as radius): all cuts are circles about one point, and no dart opens.
    $cone = wrapped('cone', 60, 90, 60);
    $sector = Unrolled::of($cone, 50.0, 80.0, 24.0);
    expect($sector->dartMm())->toBeLessThan(Unrolled::CLOSED_MM);
    [$half, $high] = [30.0, 90.0];
    $slant = hypot($half, $high);
    $chart = Chart::of($cone);
    foreach ([[10.0, -20.0], [-14.0, -25.0]] as [$x, $y]) {
        // By closed form: the distance between two marks on the sector equals the taut tape between them.
        $a = $sector->laid(0.0, -18.0);
        $b = $sector->laid($x, $y);
        expect(hypot($b['at'][0] - $a['at'][0], $b['at'][1] - $a['at'][1]))->toEqualWithDelta(
            $chart->between([0.0, -18.0], [$x, $y])['tapeMm'],
            0.15,
        );
    }
    expect($slant)->toBeGreaterThan($high);
});

it('wraps back onto the ball within the error that it states', function (float $size) {
    $figure = Figures::faced('ball', $size, $size, $size, eye: ['heightMm' => 9, 'xMm' => 0.22 * $size], mouthMm: -13);
    $sheets = FaceTemplates::of($figure, $figure->parts['head']);
    $template = $sheets->template();
    $radius = $size / 2;
    $outlines = $template->outlines();
    // Each strip taken as paper: it is rolled onto the cone through both its cuts (closed form), which touches the ball there.
    foreach ([[0.22 * $size, -3.0], [0.22 * $size + 4, -3.0], [-0.22 * $size, 1.0], [0.0, -10.0], [6.0, -13.0]] as [$x, $y]) {
        $laid = $template->laid($x, $y);
        $flat = $outlines[$laid['strip']];
        $count = count($flat);
        // The strip's middle ends of its upper and lower cut lie on x = 0.
        $onMiddle = array_values(array_filter($flat, static fn (array $p): bool => abs($p[0]) < 1e-9));
        usort($onMiddle, static fn (array $a, array $b): int => $a[1] <=> $b[1]);
        [$upper, $lower] = [$onMiddle[0][1] / $radius, $onMiddle[1][1] / $radius];
        [$r1, $r2] = [$radius * sin($upper), $radius * sin($lower)];
        $slant = $onMiddle[1][1] - $onMiddle[0][1];
        [$u, $v] = $laid['at'];
        if (abs($r2 - $r1) < 1e-6) {
            [$share, $longitude] = [($v - $onMiddle[0][1]) / $slant, $u / $r1];
        } else {
            // Apex of the cone on the middle line, above the strip where it widens downwards.
            $apex = $onMiddle[0][1] - ($slant * $r1) / ($r2 - $r1);
            $far = hypot($u, $v - $apex);
            $sign = $r2 > $r1 ? 1 : -1;
            $share = ($sign * $far - ($onMiddle[0][1] - $apex)) / $slant;
            $longitude = (atan2($u, $sign * ($v - $apex)) * $far) / ($r1 + $share * ($r2 - $r1));
        }
        $down = $upper + $share * ($lower - $upper);
        $pricked = [$radius * sin($down) * sin($longitude), $radius * cos($down), $radius * sin($down) * cos($longitude)];
        $wanted = [$x, $y, sqrt($radius ** 2 - $x ** 2 - $y ** 2)];
        $off = sqrt(array_sum(array_map(static fn (float $a, float $b): float => ($a - $b) ** 2, $pricked, $wanted)));
        expect($off)
            ->toBeLessThan($sheets->errorMm() + 0.1)
            ->and($count)
            ->toBeGreaterThan(8);
    }
    expect($sheets->errorMm())->toBeLessThan(0.35)->and($template->dartMm())->toBeGreaterThan(Unrolled::CLOSED_MM);
})->with([50.0, 60.0, 90.0]);

it('draws the darts, and says how wide they are and by how much it is out', function () {
    $figure = Figures::faced('ball', 60, 60, 60);
    $sheets = FaceTemplates::of($figure, $figure->parts['head']);
    [, $laid] = $sheets->pages(Paper::Letter);
    expect($laid)
        ->toContain(sprintf('out of true by %.2f mm at most', $sheets->errorMm()))
        ->toContain(sprintf('Cut the darts out (up to %.1f mm wide)', $sheets->template()->dartMm()));
    $can = Figures::faced('drum', 60, 90, 60);
    expect(FaceTemplates::of($can, $can->parts['head'])->pages(Paper::A4)[1])->toContain('in one piece');
});

it('keeps a course whole from cut to cut', function () {
    $template = Unrolled::of(wrapped('ball', 60, 60, 60), 20.0, 70.0, 30.0);
    $line = array_map(static fn (int $i): array => [4.0 + 0.05 * $i, 16.0 - 0.3 * $i], range(0, 100));
    $pieces = $template->courses($line);
    expect(count($pieces))->toBeGreaterThan(3);
    foreach (array_slice($pieces, 1, null, true) as $i => [$strip, $course]) {
        [$before, $above] = $pieces[$i - 1];
        // It ends on a cut and goes on on the next strip, a dart's width away at most.
        $end = $above[count($above) - 1];
        expect($strip)
            ->toBe($before + 1)
            ->and(hypot($end[0] - $course[0][0], $end[1] - $course[0][1]))
            ->toBeLessThan($template->dartMm() + 0.05);
    }
});

it('lays nothing where it does not reach, and stands on an edgeless part', function () {
    $template = Unrolled::of(wrapped('ball', 60, 60, 60), 20.0, 70.0, 15.0);
    expect($template->laid(28.0, 0.0))
        ->toBeNull()
        ->and($template->laid(0.0, 29.0))
        ->toBeNull()
        ->and($template->laid(90.0, 0.0))
        ->toBeNull();
});

/** A can 40 mm wide between two rounded ends: its middle is a cylinder, which unrolls without a dart. */
function can(): Surface
{
    return wrapped('sausage', 40, 140, 40);
}

it('cuts a can into even strips of 6 mm at most, each as wide as asked to either side and as the tape steps', function () {
    // From 60 to 100 by tape: 40 mm are seven strips.
    $template = Unrolled::of(can(), 60.0, 100.0, 20.0);
    $outlines = $template->outlines();
    expect($outlines)->toHaveCount(7);
    $crown = 20 * M_PI / 2 - 20;
    foreach ($outlines as $i => $outline) {
        // To either side 20 mm and at most two steps more, upper cut and lower.
        [$xs, $ys] = [array_column($outline, 0), array_column($outline, 1)];
        expect(max($xs))
            ->toBeGreaterThanOrEqual(20.0)
            ->toBeLessThan(23.1)
            ->and(min($xs))
            ->toEqualWithDelta(-max($xs), 1e-6)
            ->and(min($ys))
            ->toEqualWithDelta(60 + ($i * 40) / 7, 0.02)
            ->and(max($ys))
            ->toEqualWithDelta(60 + (($i + 1) * 40) / 7, 0.02)
            ->and($outline)
            ->toHaveCount(2 * (2 * (int) round(max($xs) / 1.5) + 1));
    }
    // The crown of the can is 70 mm above its middle; its rounded end takes a quarter of a circle of 20 mm by tape.
    expect($template->topMm())->toEqualWithDelta(50 - (60 - $crown - 20), 0.02)->and($template->overlapMm())->toBeLessThan(0.01);
});

it('lays a place on a can at its arc and its tape down, on the strip that holds it', function () {
    $template = Unrolled::of(can(), 60.0, 100.0, 20.0);
    $down = static fn (float $y): float => 10 * M_PI + 50 - $y;
    foreach ([[0.0, 20.0], [7.0, 12.0], [-7.0, 12.0], [15.0, 0.5], [-16.0, -15.0]] as [$x, $y]) {
        expect($template->laid($x, $y))->toEqualWithDelta(
            ['strip' => (int) floor((($down($y) - 60) * 7) / 40), 'at' => [20 * asin($x / 20), $down($y)]],
            0.02,
        );
    }
    expect($template->laid(0.0, $template->topMm() + 0.1))->toBeNull()->and($template->laid(0.0, -30.0))->toBeNull();
});

it('lays a slant course on a can strip by strip, on a straight line, each crossing once for either strip', function () {
    $template = Unrolled::of(can(), 60.0, 100.0, 20.0);
    // A helix: on the paper a straight line.
    foreach ([1, -1] as $way) {
        $helix = array_map(
            static fn (int $i): array => [20 * sin($way * (-0.4 + 0.008 * $i)), 18 - 0.3 * $i],
            range(0, 100),
        );
        foreach ([$helix, array_reverse($helix)] as $isUp => $course) {
            $pieces = $template->courses($course);
            $strips = array_column($pieces, 0);
            expect($strips)->toBe($isUp === 0 ? range($strips[0], $strips[0] + 5) : range($strips[0], $strips[0] - 5));
            $points = array_merge(...array_column($pieces, 1));
            // Its 101 points, and two for each of five crossings.
            expect($points)->toHaveCount(111);
            $slope = (0.008 * 20 * $way) / 0.3;
            foreach ($points as [$u, $v]) {
                expect($u)->toEqualWithDelta(-8 * $way + ($v - (10 * M_PI + 32)) * $slope, 0.03);
            }
            for ($i = 1; $i < count($pieces); $i++) {
                $end = $pieces[$i - 1][1][count($pieces[$i - 1][1]) - 1];
                expect($end)->toEqualWithDelta($pieces[$i][1][0], 0.02);
            }
        }
    }
});

it('parts a course that leaves the template and comes back, and drops what is a single point', function () {
    $template = Unrolled::of(can(), 60.0, 100.0, 12.0);
    $y = 10.0;
    // Across by tape 12 mm is 11.3 as seen: out to 18 and back.
    $xs = [0.0, 3.0, 6.0, 18.0, 18.5, 6.0, 3.0, 0.0];
    $pieces = $template->courses(array_map(static fn (float $x): array => [$x, $y], $xs));
    expect(array_map(static fn (array $p): int => count($p[1]), $pieces))
        ->toBe([3, 3])
        ->and($template->courses([[0.0, $y], [18.0, $y], [2.0, $y]]))
        ->toBe([])
        ->and($template->courses([]))
        ->toBe([]);
});

it('says where strips would lie over each other: where a piece curves like a saddle', function () {
    $waist = Unrolled::of(wrapped('drop', 60, 80, 60), 20.0, 60.0, 20.0);
    $ball = Unrolled::of(wrapped('ball', 60, 60, 60), 20.0, 60.0, 20.0);
    expect($waist->overlapMm())->toBeGreaterThan(0.02)->and($ball->overlapMm())->toBeLessThan(0.005);
});

it('parts by what a ball\'s circles differ in length: the darts by closed form', function () {
    // Two strips meet at a cut. The upper is the cone through the cuts above and at it, the lower through it and below; laid flat their
    // rims part, at so much tape from the middle line, by the difference of two arcs of radii r / cos.
    $template = Unrolled::of(wrapped('ball', 60, 60, 60), 30.0, 42.0, 24.0);
    $at = static fn (float $down): array => [30 * sin($down / 30), 30 * cos($down / 30)];
    $apart = [];
    foreach ([[30.0, 36.0], [42.0, 36.0]] as [$other, $cut]) {
        [[$r1, $y1], [$r2, $y2]] = [$at($other), $at($cut)];
        // Both cones have their tips above.
        $slant = (hypot($r2 - $r1, $y2 - $y1) * $r2) / abs($r2 - $r1);
        $along = (count($template->outlines()[0]) / 4 - 0.5) * 1.5;
        $angle = $along / $slant;
        $apart[] = [$slant * sin($angle), $slant * (1 - cos($angle))];
    }
    expect($template->outlines())
        ->toHaveCount(2)
        ->and($template->dartMm())
        ->toEqualWithDelta(hypot($apart[0][0] - $apart[1][0], $apart[0][1] - $apart[1][1]), 0.05);
});

it('is empty below the foot', function () {
    $template = Unrolled::of(wrapped('ball', 60, 60, 60), 200.0, 220.0, 10.0);
    expect($template->outlines())
        ->toBe([])
        ->and($template->laid(0.0, 0.0))
        ->toBeNull()
        ->and([$template->dartMm(), $template->overlapMm(), $template->topMm()])
        ->toBe([0.0, 0.0, 0.0]);
});
