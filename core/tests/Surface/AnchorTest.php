<?php

declare(strict_types=1);

namespace Impa\Tests\Anchor;

use Impa\Face\Advice\NeedlesEye;
use Impa\Figure\Figure;
use Impa\Surface\Anchor;
use Impa\Surface\Girth;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Tests\Support\Figures;

/** A round head with a nose, a pair of eyes and a pair of ears. @param  array<string, mixed>  $head */
function earedHead(array $head = []): Figure
{
    return Figures::read(
        Figures::document(
            [
                Figures::part('head', 'ball', 60, 60, 60, 0, 50, 0, $head),
                Figures::part('ear', 'cone', 14, 20, 10, 18, 80, 0, ['mirror' => true, 'join' => ['to' => 'head']]),
            ],
            [
                [
                    'key' => 'nose',
                    'name' => 'Nose',
                    'on' => 'head',
                    'kind' => 'disc',
                    'widthMm' => 6,
                    'xMm' => 0,
                    'yMm' => -8,
                    'colour' => 'black',
                ],
                [
                    'key' => 'eye',
                    'name' => 'Eye',
                    'on' => 'head',
                    'kind' => 'disc',
                    'widthMm' => 6,
                    'xMm' => 12,
                    'yMm' => -2,
                    'colour' => 'black',
                    'mirror' => true,
                ],
            ],
        ),
    );
}

function anchor(Figure $figure, string $key): Anchor
{
    $surface = Surface::of($figure->parts['head']->placements()[0]);

    return array_values(
        array_filter(Anchor::all($figure, $figure->parts['head'], $surface), static fn (Anchor $a): bool => $a->key === $key),
    )[0];
}

it('measures from the crown as the marks do', function () {
    $figure = earedHead();
    $surface = Surface::of($figure->parts['head']->placements()[0]);
    foreach ([[12.0, -2.0], [-9.0, 7.0]] as [$x, $y]) {
        $mark = TapeMark::on($surface, $x, $y);
        $from = anchor($figure, 'crown')->to($surface, $x, $y);
        expect($from['acrossMm'])
            ->toEqualWithDelta($mark->acrossMm, 1e-9)
            ->and($from['downMm'])
            ->toEqualWithDelta($mark->downMm, 1e-9);
    }
});

it('measures from the nose: up its own line, then level', function () {
    $figure = earedHead();
    $surface = Surface::of($figure->parts['head']->placements()[0]);
    $found = anchor($figure, 'nose')->to($surface, 12.0, -2.0);
    // By hand on a ball of 30 mm: up the middle line 30 (asin(8/30) - asin(2/30)); level at y = -2, radius sqrt(896).
    expect($found['downMm'])
        ->toEqualWithDelta(-30 * (asin(8 / 30) - asin(2 / 30)), 0.02)
        ->and($found['acrossMm'])
        ->toEqualWithDelta(sqrt(896) * asin(12 / sqrt(896)), 0.02)
        ->and($found['pinMm'])
        ->toEqualWithDelta(sqrt(12 ** 2 + 6 ** 2 + (sqrt(900 - 144 - 4) - sqrt(900 - 64)) ** 2), 1e-6);
});

it('measures from the ear\'s foot, alike on both sides', function () {
    $figure = earedHead();
    $surface = Surface::of($figure->parts['head']->placements()[0]);
    [$right, $left] = [anchor($figure, 'ear foot'), anchor($figure, 'ear twin foot')];
    // The foot of the ear stands at 18, 70 of the figure: 20 above the head's middle; that is on the head.
    expect($right->name)
        ->toBe('the foot of ear, right')
        ->and($left->name)
        ->toBe('the foot of ear, left')
        ->and($left->xMm)
        ->toEqualWithDelta(-$right->xMm, 1e-6)
        ->and($right->xMm)
        ->toEqualWithDelta(18.0, 0.7)
        ->and($right->yMm)
        ->toEqualWithDelta(20.0, 0.8);
    [$a, $b] = [$right->to($surface, 12.0, -2.0), $left->to($surface, -12.0, -2.0)];
    expect($b['acrossMm'])
        ->toEqualWithDelta(-$a['acrossMm'], 1e-6)
        ->and($b['downMm'])
        ->toEqualWithDelta($a['downMm'], 1e-6)
        ->and($right->to($surface, 40.0, 0.0))
        ->toBeNull();
});

it('names every anchor once, a pair as two', function () {
    $keys = array_map(
        static fn (Anchor $a): string => $a->key,
        Anchor::all(earedHead(), earedHead()->parts['head'], Surface::of(earedHead()->parts['head']->placements()[0])),
    );
    expect($keys)->toBe(['crown', 'nose', 'eye', 'eye twin', 'ear foot', 'ear twin foot']);
});

it('goes round a ball in pi d, round an oval as Ramanujan says', function () {
    $ball = earedHead()->parts['head'];
    expect(Girth::atMm($ball, 0.0))
        ->toEqualWithDelta(60 * M_PI, 0.15)
        ->and(Girth::atMm($ball, 18.0))
        ->toEqualWithDelta(48 * M_PI, 0.15)
        ->and(Girth::atMm($ball, 40.0))
        ->toBe(0.0);
    $oval = Figures::read(Figures::document([Figures::part('head', 'ball', 70, 60, 44)]))->parts['head'];
    // Ramanujan (1914), second approximation.
    $h = ((35 - 22) / (35 + 22)) ** 2;
    expect(Girth::atMm($oval, 0.0))->toEqualWithDelta(M_PI * 57 * (1 + (3 * $h) / (10 + sqrt(4 - 3 * $h))), 0.2);
    $surface = Surface::of($ball->placements()[0]);
    $widest = Girth::widest($ball, $surface, 30.0, -30.0);
    expect($widest['yMm'])
        ->toEqualWithDelta(0.0, 0.01)
        ->and($widest['downMm'])
        ->toEqualWithDelta(15 * M_PI, 0.1);
});

describe('through the needle\'s eye', function () {
    $eye = static fn (Figure $f, string $key): array => NeedlesEye::on(
        $f,
        $f->details[$key],
        Surface::of($f->parts['head']->placements()[0]),
    );

    it('looks straight down on the wool: a spot that is seen narrow at the edge is as wide as it is laid', function () use (
        $eye,
    ) {
        $figure = Figures::read(
            Figures::document(
                [Figures::part('head', 'ball', 60, 60, 60)],
                [
                    [
                        'key' => 'd',
                        'on' => 'head',
                        'kind' => 'disc',
                        'widthMm' => 4,
                        'heightMm' => 6,
                        'xMm' => 24,
                        'yMm' => 0,
                        'colour' => 'black',
                    ],
                ],
            ),
        );
        $seen = $eye($figure, 'd');
        $own = $seen['outlines'][0]['loops'][0];
        $xs = array_column($own, 0);
        // Chord from x = 22 to 26 on a ball of radius 30, in the plane that touches at 24: R (sin(b - m) + sin(m - a)).
        [$a, $m, $b] = [asin(22 / 30), asin(24 / 30), asin(26 / 30)];
        expect(max($xs) - min($xs))
            ->toEqualWithDelta(30 * (sin($b - $m) + sin($m - $a)), 0.05)
            ->and($seen['slantDeg'])
            ->toBe(round(rad2deg($m)));
    });

    it('stabs top, bottom, right, left, round the rim, the middle last', function () use ($eye) {
        $stabs = $eye(earedHead(), 'nose')['stabs'];
        expect($stabs)
            ->toHaveCount(9)
            ->and($stabs[0]['yMm'])
            ->toBeGreaterThan(1.5)
            ->and($stabs[1]['yMm'])
            ->toBeLessThan(-1.5)
            ->and($stabs[2]['xMm'])
            ->toBeGreaterThan(1.5)
            ->and($stabs[3]['xMm'])
            ->toBeLessThan(-1.5)
            ->and([$stabs[8]['xMm'], $stabs[8]['yMm']])
            ->toBe([0.0, 0.0])
            ->and(array_column($stabs, 'n'))
            ->toBe(range(1, 9));
    });

    it('shows what lies near, and not what lies far', function () use ($eye) {
        $near = array_column($eye(earedHead(), 'eye')['outlines'], 'key');
        expect($near)->toContain('eye')->not->toContain('nose-far');
        expect(array_count_values(array_column($eye(earedHead(), 'nose')['outlines'], 'key'))['nose'])->toBe(1);
    });

    it('refuses what is not on the part', function () use ($eye) {
        $eye(
            Figures::read(
                Figures::document(
                    [Figures::part('head', 'ball', 60, 60, 60)],
                    [['key' => 'd', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 4, 'xMm' => 44, 'colour' => 'black']],
                ),
            ),
            'd',
        );
    })->throws(\Impa\Face\FaceRefused::class);
});

it('measures from every anchor alike: to its own place nothing, and to the left and upwards below 0', function () {
    $figure = earedHead();
    $surface = Surface::of($figure->parts['head']->placements()[0]);
    $nose = anchor($figure, 'nose');
    expect($nose->to($surface, 0.0, -8.0))
        ->toEqualWithDelta(['acrossMm' => 0.0, 'downMm' => 0.0, 'pinMm' => 0.0], 1e-9)
        ->and($nose->to($surface, -5.0, -8.0)['acrossMm'])
        ->toEqualWithDelta(-sqrt(836) * asin(5 / sqrt(836)), 0.01)
        ->and($nose->to($surface, 5.0, -8.0)['acrossMm'])
        ->toEqualWithDelta(sqrt(836) * asin(5 / sqrt(836)), 0.01)
        ->and($nose->to($surface, 0.0, -15.0)['downMm'])
        ->toEqualWithDelta(30 * (asin(15 / 30) - asin(8 / 30)), 0.01);
});

it('leaves out what is not seen from the front, or lies off the part, and names a pair\'s two sides', function () {
    $spot = static fn (string $key, float $x, array $more = []): array => [
        'key' => $key,
        'name' => ucfirst($key),
        'on' => 'head',
        'kind' => 'disc',
        'widthMm' => 4,
        'xMm' => $x,
        'yMm' => 0,
        'colour' => 'black',
        ...$more,
    ];
    $figure = Figures::read(
        Figures::document(
            [
                // At its middle it reaches 15 mm to the right, and 10 to the left.
                Figures::part('head', 'plate', 30, 40, 6, 0, 30, 0, [
                    'shape' => [
                        'kind' => 'plate',
                        'widthMm' => 30,
                        'heightMm' => 40,
                        'depthMm' => 6,
                        'outline' => [[-15, -20], [15, -20], [15, 20], [-5, 20]],
                    ],
                ]),
                Figures::part('horn', 'cone', 6, 10, 6, 2, 60, 0, ['join' => ['to' => 'head']]),
                Figures::part('tag', 'ball', 6, 6, 6, 80, 30, 0),
            ],
            [
                $spot('near', 3.0),
                $spot('pair', 4.0, ['mirror' => true]),
                $spot('lone', 12.0, ['mirror' => true]),
                $spot('off', 60.0),
                $spot('behind', 3.0, ['side' => 'back']),
            ],
        ),
    );
    $part = $figure->parts['head'];
    $named = array_column(
        array_map(
            static fn (Anchor $a): array => ['key' => $a->key, 'name' => $a->name, 'at' => [$a->xMm, $a->yMm]],
            Anchor::all($figure, $part, Surface::of($part->placements()[0])),
        ),
        null,
        'key',
    );
    expect(array_map(static fn (array $a): string => (string) $a['name'], $named))->toBe([
        'crown' => 'the crown',
        'near' => 'Near',
        'pair' => 'Pair, right',
        'pair twin' => 'Pair, left',
        'lone' => 'Lone, right',
        'horn foot' => 'the foot of horn',
    ]);
    expect($named['pair twin']['at'])
        ->toBe([-4.0, 0.0])
        ->and($named['lone']['at'])
        ->toBe([12.0, 0.0])
        ->and($named['crown']['at'])
        ->toEqualWithDelta([0.0, 20.0], 0.01);
});

it('sets the foot of what stands over the edge on the part\'s rim, on the way to the middle', function () {
    // A ball 60 mm above a ball of 30 mm radius, straight up and aslant: drawn in until it is on the part.
    foreach ([[0.0, 60.0], [36.0, 48.0]] as [$x, $y]) {
        $figure = Figures::read(
            Figures::document([
                Figures::part('head', 'ball', 60, 60, 60, 0, 50),
                Figures::part('tag', 'ball', 4, 4, 4, $x, 50 + $y, 0, ['join' => ['to' => 'head']]),
            ]),
        );
        $foot = anchor($figure, 'tag foot');
        // Along the same line, and no more than one step of two hundredths within the rim.
        expect(hypot($foot->xMm, $foot->yMm))
            ->toBeLessThanOrEqual(30.0)
            ->toBeGreaterThan(0.979 * 30)
            ->and($foot->xMm * ($y - 2) - $foot->yMm * $x)
            ->toBeLessThan(2.0 * 30);
    }
});

it('finds the foot of what passes by where it comes nearest, before or behind as well', function () {
    // A roll 60 mm long from front left to back right, 12 above the head's middle: nearest where x and z are equal, at 10.
    $figure = Figures::read(
        Figures::document([
            Figures::part('head', 'ball', 60, 60, 60, 0, 50, 5),
            Figures::part('tag', 'sausage', 4, 60, 4, 20, 62, 5, [
                'turnDeg' => ['z' => 90, 'y' => 45],
                'join' => ['to' => 'head'],
            ]),
        ]),
    );
    $foot = anchor($figure, 'tag foot');
    // Rings lie up to 5 mm apart along it.
    expect($foot->xMm)->toEqualWithDelta(10.0, 1.8)->and($foot->yMm)->toEqualWithDelta(12.0, 1e-6);
});

it('goes straight by calipers from a place beside the middle line', function () {
    $figure = earedHead();
    $surface = Surface::of($figure->parts['head']->placements()[0]);
    $high = static fn (float $x, float $y): float => sqrt(900 - $x ** 2 - $y ** 2);
    $truth = sqrt(8 ** 2 + 7 ** 2 + ($high(20, 5) - $high(12, -2)) ** 2);
    expect(anchor($figure, 'eye')->to($surface, 20.0, 5.0)['pinMm'])->toEqualWithDelta($truth, 1e-6);
});
