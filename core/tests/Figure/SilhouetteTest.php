<?php

declare(strict_types=1);

namespace Impa\Tests\Silhouette;

use Impa\Figure\Placement;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Hull;
use Impa\Geometry\Outline\Polygon;
use Impa\Render\DetailPiece;
use Impa\Tests\Support\Figures;

/** @return non-empty-list<Placement> */
function placements(array $part): array
{
    return Figures::read(Figures::document([$part]))->parts[$part['key']]->placements();
}

it('shows width and height from the front, depth and height from the side', function () {
    $piece = placements(Figures::part('a', 'egg', 30, 40, 24))[0];
    $front = Box::around(Silhouette::of($piece, Side::Front)[0]);
    $side = Box::around(Silhouette::of($piece, Side::Right)[0]);
    $top = Box::around(Silhouette::of($piece, Side::Top)[0]);
    expect([$front->width(), $front->height()])
        ->toEqualWithDelta([30.0, 40.0], 0.1)
        ->and([$side->width(), $side->height()])
        ->toEqualWithDelta([24.0, 40.0], 0.1)
        ->and([$top->width(), $top->height()])
        ->toEqualWithDelta([30.0, 24.0], 0.4);
});

it('turns the outline with the part, anticlockwise', function () {
    $piece = placements(Figures::part('a', 'cone', 20, 40, 20, more: ['turnDeg' => ['z' => 90]]))[0];
    $points = Silhouette::of($piece, Side::Front)[0];
    // A cone's tip, turned a quarter anticlockwise from up, points to the left.
    usort($points, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
    expect($points[0][0])
        ->toEqualWithDelta(-20, 0.2)
        ->and($points[0][1])
        ->toEqualWithDelta(0, 0.5);
});

it('mirrors the twin in the picture plane and the back view against the front', function () {
    [$right, $left] = placements(
        Figures::part(
            'a',
            'plate',
            20,
            30,
            4,
            15,
            more: [
                'mirror' => true,
                'turnDeg' => ['z' => 25],
                'shape' => [
                    'kind' => 'plate',
                    'widthMm' => 20,
                    'heightMm' => 30,
                    'depthMm' => 4,
                    'outline' => [[0, 0], [10, 0], [2, 10]],
                ],
            ],
        ),
    );
    $flip = static fn (array $loop): Box => Box::around(array_map(static fn (array $p): array => [-$p[0], $p[1]], $loop));
    expect($flip(Silhouette::of($right, Side::Front)[0]))
        ->toEqual(Box::around(Silhouette::of($left, Side::Front)[0]))
        ->and($flip(Silhouette::of($right, Side::Front)[0]))
        ->toEqual(Box::around(Silhouette::of($right, Side::Back)[0]))
        ->and($left->at[0])
        ->toBe(-15.0);
});

it('draws a turned piece as the hull of its mesh, from every side', function (string $kind, Side $from) {
    mt_srand(ord($kind[0]));
    for ($n = 0; $n < 6; $n++) {
        foreach (
            placements(
                Figures::part('a', $kind, mt_rand(10, 60), mt_rand(20, 80), mt_rand(10, 60), 12, 30, -4, [
                    'mirror' => true,
                    'turnDeg' => ['x' => mt_rand(-80, 80), 'y' => mt_rand(-80, 80), 'z' => mt_rand(-180, 180)],
                ]),
            ) as $piece
        ) {
            $seen = [];
            foreach ($piece->rings() as $ring) {
                foreach ($ring as [$x, $y, $z]) {
                    $seen[] = array_slice($from->see($x - $piece->at[0], $y - $piece->at[1], $z - $piece->at[2]), 0, 2);
                }
            }
            [$mesh, $hull] = [Box::around($seen), Box::around($own = Silhouette::of($piece, $from)[0])];
            $tolerance = 0.025 * hypot($mesh->width(), $mesh->height());
            expect([$hull->left, $hull->low, $hull->width(), $hull->height()])
                ->toEqualWithDelta([$mesh->left, $mesh->low, $mesh->width(), $mesh->height()], $tolerance)
                ->and(abs(Polygon::signedArea($own)))
                ->toEqualWithDelta(abs(Polygon::signedArea(Hull::of($seen))), 0.04 * $mesh->width() * $mesh->height());
        }
    }
})
    ->with(['ball', 'egg', 'cone', 'drum', 'sausage', 'dome', 'drumstick', 'cord', 'plate'])
    ->with([Side::Front, Side::Back, Side::Left, Side::Right, Side::Top, Side::Under]);

it('foreshortens a plate that is turned away', function () {
    $flat = placements(Figures::part('a', 'plate', 20, 30, 2))[0];
    $turned = placements(Figures::part('a', 'plate', 20, 30, 2, more: ['turnDeg' => ['y' => 60]]))[0];
    $area = static fn (Placement $p): float => abs(Polygon::signedArea(Silhouette::of($p, Side::Front)[0]));
    expect($area($turned) / $area($flat))->toEqualWithDelta(0.5, 0.1);
});

it('lays details on the skin, a little proud of it', function () {
    $figure = Figures::read(
        Figures::document(
            [Figures::part('head', 'ball', 60, 60, 60, 5, 40, -3)],
            [
                [
                    'key' => 'eye',
                    'on' => 'head',
                    'kind' => 'disc',
                    'widthMm' => 8,
                    'xMm' => 12,
                    'yMm' => -4,
                    'mirror' => true,
                    'colour' => 'black',
                ],
                [
                    'key' => 'mouth',
                    'on' => 'head',
                    'kind' => 'line',
                    'widthMm' => 2,
                    'pointsMm' => [[-6, -12], [0, -14], [6, -12]],
                    'colour' => 'black',
                ],
                [
                    'key' => 'ear-mark',
                    'on' => 'head',
                    'kind' => 'disc',
                    'side' => 'left',
                    'widthMm' => 6,
                    'xMm' => 2,
                    'yMm' => 3,
                    'colour' => 'black',
                ],
            ],
        ),
    );
    foreach ($figure->details as $detail) {
        $pieces = DetailPiece::all($detail, $figure->parts['head']->placements()[0]);
        expect($pieces)->toHaveCount($detail->lie->mirror ? 2 : 1);
        foreach ($pieces as $piece) {
            foreach ($piece->skin() as $ring) {
                for ($i = 0; $i < count($ring); $i += 3) {
                    $from = hypot(hypot($ring[$i] - 5, $ring[$i + 1] - 40), $ring[$i + 2] + 3);
                    expect($from)->toBeGreaterThan(30.0)->toBeLessThan(31.0);
                }
            }
        }
    }
    $mark = DetailPiece::all($figure->details['ear-mark'], $figure->parts['head']->placements()[0])[0];
    // Left is the viewer's left: it lies at -x, and is not seen from the right.
    expect($mark->skin()[0][0])
        ->toBeLessThan(5 - 29.0)
        ->and($mark->seenFrom(Side::Right))
        ->toBe([])
        ->and($mark->seenFrom(Side::Left))
        ->toHaveCount(1);
});

it('shows a twin from the side just as the piece itself, however it is turned', function (string $kind) {
    [$one, $twin] = placements(
        Figures::part($kind, $kind, 24, 40, $kind === 'plate' ? 5 : 20, 15, more: [
            'mirror' => true,
            'turnDeg' => ['x' => 20, 'y' => 35, 'z' => 50],
        ]),
    );
    [$own, $other] = [Silhouette::of($one, Side::Right)[0], Silhouette::of($twin, Side::Right)[0]];
    $box = static fn (array $loop): array => array_values(get_object_vars(Box::around($loop)));
    expect($box($other))
        ->toEqualWithDelta($box($own), 0.05)
        ->and(abs(Polygon::signedArea($other)))
        ->toEqualWithDelta(abs(Polygon::signedArea($own)), 0.002 * abs(Polygon::signedArea($own)));
})->with(['egg', 'cone', 'drumstick', 'plate']);
