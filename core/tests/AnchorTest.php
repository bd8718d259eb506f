<?php

declare(strict_types=1);

namespace Impa\Tests\Anchor;

use Impa\Face\NeedlesEye;
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
