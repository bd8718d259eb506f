<?php

declare(strict_types=1);

namespace Impa\Tests\Overlap;

use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Overlap;
use Impa\Tests\Support\Figures;

/** A piece that stands alone. @param  array<string, mixed>  $more */
function piece(string $kind, float $width, float $height, float $x, float $y, array $more = [], float $depth = 20): Placement
{
    $part = Figures::part('a', $kind, $width, $height, $depth, $x, $y, 0, $more);

    return Figure::fromJson((string) json_encode(Figures::document([$part])))->parts['a']->placements()[0];
}

it('is whole of a piece and itself, and nothing of two that stand apart', function () {
    $ball = piece('ball', 40, 40, 10, 50);
    expect(Overlap::of($ball, $ball))->toBe(1.0)->and(Overlap::of($ball, piece('ball', 40, 40, 60, 50)))->toBe(0.0);
});

it('is the ratio of areas where one lies in the other, whichever is asked first', function () {
    [$small, $large] = [piece('ball', 30, 30, 0, 50), piece('ball', 60, 60, 0, 50)];
    expect(Overlap::of($small, $large))
        ->toEqualWithDelta(0.25, 0.03)
        ->and(Overlap::of($large, $small))
        ->toBe(Overlap::of($small, $large))
        ->and(Overlap::beside($large, [$small]))
        ->toEqualWithDelta(0.75, 0.03)
        ->and(Overlap::beside($small, [$large]))
        ->toBe(0.0);
});

it('is that of two circles half over each other', function () {
    // Two circles of radius r at a distance d share 2 r^2 acos(d / 2r) - d / 2 sqrt(4 r^2 - d^2).
    [$r, $d] = [20.0, 20.0];
    $shared = 2 * $r ** 2 * acos($d / (2 * $r)) - ($d / 2) * sqrt(4 * $r ** 2 - $d ** 2);
    $overlap = Overlap::of(piece('ball', 40, 40, 0, 50), piece('ball', 40, 40, 20, 50));
    expect($overlap)->toEqualWithDelta($shared / (2 * M_PI * $r ** 2 - $shared), 0.03);
});

it('turns over what is seen from the back: left is right there', function () {
    $front = piece('cone', 20, 40, 15, 50, ['turnDeg' => ['z' => 30]]);
    $back = piece('cone', 20, 40, -15, 50, ['turnDeg' => ['z' => -30]]);
    expect(Overlap::ofTurnedOver($back, $front))
        ->toBeGreaterThan(0.95)
        ->and(Overlap::ofTurnedOver($front, $front))
        ->toBe(0.0)
        ->and(Overlap::besideTurnedOver($back, [$front]))
        ->toBeLessThan(0.05);
});

it('sees a piece that is turned to the side as wide as it is deep', function () {
    $ball = piece('ball', 40, 30, 0, 50, ['turnDeg' => ['y' => 90]], 10);
    expect(Overlap::has($ball, 4.5, 50))
        ->toBeTrue()
        ->and(Overlap::has($ball, 6.0, 50))
        ->toBeFalse()
        ->and(Overlap::has($ball, 0, 64))
        ->toBeTrue()
        ->and(Overlap::of($ball, piece('ball', 10, 30, 0, 50)))
        ->toBeGreaterThan(0.9);
});
