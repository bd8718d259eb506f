<?php

declare(strict_types=1);

namespace Impa\Tests\Loft;

use Impa\Shape\Loft;

/** A rectangle at a height, anticlockwise seen from above. */
function rectangle(float $halfWidth, float $halfDepth, float $y, float $x = 0.0): array
{
    return [
        $x + $halfWidth, $y, $halfDepth,
        $x + $halfWidth, $y, -$halfDepth,
        $x - $halfWidth, $y, -$halfDepth,
        $x - $halfWidth, $y, $halfDepth,
    ];
}

it('holds a box exactly, wherever it stands', function () {
    expect(Loft::of([rectangle(5, 10, 0), rectangle(5, 10, 30)])->signedVolumeCm3())
        ->toEqualWithDelta(6.0, 1e-12)
        ->and(Loft::of([rectangle(5, 10, -90, 70), rectangle(5, 10, -60, 70)])->signedVolumeCm3())
        ->toEqualWithDelta(6.0, 1e-12)
        ->and(Loft::of([rectangle(5, 10, 0), rectangle(5, 10, 12), rectangle(5, 10, 30)])->signedVolumeCm3())
        ->toEqualWithDelta(6.0, 1e-12);
});

it('holds a frustum of a pyramid by its closed form', function () {
    // V = h / 3 (A + B + sqrt(A B)) (CRC): here 30 / 3 (400 + 100 + 200) mm3.
    expect(Loft::of([rectangle(10, 10, 0), rectangle(5, 5, 30)])->signedVolumeCm3())->toEqualWithDelta(7.0, 1e-12);
});

it('is negative turned inside out, and nothing of nothing', function () {
    expect(Loft::of([rectangle(5, 10, 30), rectangle(5, 10, 0)])->signedVolumeCm3())
        ->toEqualWithDelta(-6.0, 1e-12)
        ->and(Loft::of([])->signedVolumeCm3())
        ->toBe(0.0)
        ->and(Loft::of([], closed: true)->signedVolumeCm3())
        ->toBe(0.0);
});

it('joins the last ring to the first where it is closed: a square frame', function () {
    // Outside 30 by 30, inside 20 by 20, a height of 10: 5000 mm3.
    $frame = [];
    foreach ([[1, 1], [-1, 1], [-1, -1], [1, -1]] as [$x, $z]) {
        $frame[] = [15.0 * $x, 0.0, 15.0 * $z, 15.0 * $x, 10.0, 15.0 * $z, 10.0 * $x, 10.0, 10.0 * $z, 10.0 * $x, 0.0, 10.0 * $z];
    }
    expect(abs(Loft::of($frame, closed: true)->signedVolumeCm3()))->toEqualWithDelta(5.0, 1e-12);
});
