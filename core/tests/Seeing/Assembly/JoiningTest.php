<?php

declare(strict_types=1);

namespace Impa\Tests\Joining;

use Impa\Seeing\Assembly\Joining;
use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Segmentation\Region;
use Impa\Shape\ShapeKind;
use Impa\Tests\Support\Pixels;

/** @param  array<int, int>  $contact  with others, by their numbers */
function piece(int $k, float $x, float $y, float $w, float $h, array $contact, bool $isPair = false): Piece
{
    $region = new Region($k, $k);
    $pixels = Pixels::where(Pixels::oval($x - 120, $y + 120, $w / 2, $h / 2));
    foreach ($pixels as $i => $_) {
        $region->add($i % Pixels::SIZE, intdiv($i, Pixels::SIZE));
    }
    $region->contact = $contact;
    $piece = new Piece($region, Pixels::blob($pixels), new Fit(ShapeKind::Ball, $w, $h, [], $x, $y), 0.0, 1);
    $piece->mirror = $isPair;

    return $piece;
}

/**
 * @param  array<int, Piece>  $pieces
 * @return array<int, int> what each is joined to
 */
function joins(array $pieces): array
{
    Joining::of($pieces, array_fill(0, Pixels::SIZE ** 2, -1), Pixels::SIZE, 120.0);

    return array_map(static fn (Piece $p): int => $p->joinTo, $pieces);
}

it('hangs twins on what stands between them, though what lies to one side touches one of them longer', function () {
    $joined = static fn (bool $areTwins): array => joins([
        piece(0, 120, -150, 80, 100, [1 => 30, 2 => 20]),
        piece(1, 190, -160, 50, 12, [0 => 30, 2 => 40]),
        piece(2, 170, -140, 40, 12, [0 => 20, 1 => 40], $areTwins),
    ]);
    expect($joined(true))
        ->toBe([-1, 0, 0])
        // A single one hangs on what it touches longest.
        ->and($joined(false))
        ->toBe([-1, 0, 1]);
});

it('hangs twins on other twins, as feet on legs', function () {
    $pieces = [
        piece(0, 120, -120, 80, 100, [1 => 20, 2 => 5]),
        piece(1, 140, -185, 20, 40, [0 => 20, 2 => 15], true),
        piece(2, 145, -212, 30, 14, [1 => 15, 0 => 5], true),
    ];
    expect(joins($pieces))->toBe([-1, 0, 1]);
});

it('hangs what touches nothing on the nearest, and stands on the lowest large piece', function () {
    $pieces = [
        piece(0, 120, -60, 90, 80, [1 => 30]),
        piece(1, 120, -150, 80, 90, [0 => 30]),
        piece(2, 200, -30, 16, 16, []),
        piece(3, 120, -205, 12, 12, [1 => 6]),
    ];
    expect(joins($pieces))->toBe([1, -1, 0, 1]);
});
