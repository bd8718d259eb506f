<?php

declare(strict_types=1);

namespace Impa\Tests\Lobes;

use Impa\Seeing\Decomposition\Lobe;
use Impa\Seeing\Decomposition\Lobes;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Tests\Support\Pixels;

/**
 * @param  array<int, true>  $pixels
 * @return list<Lobe>
 */
function lobesOf(array $pixels, float $least = 150): array
{
    return Lobes::of(Pixels::blob($pixels), Pixels::map($pixels), $least);
}

/** @return array<int, true> */
function either(callable ...$shapes): array
{
    return Pixels::where(static function (float $x, float $y) use ($shapes): bool {
        foreach ($shapes as $shape) {
            if ($shape($x, $y)) {
                return true;
            }
        }

        return false;
    });
}

it('leaves ball, egg, sausage, drum, drumstick, cone and dome whole, however turned', function (ShapeKind $kind, float $deg) {
    $solid = Catalogue::solid($kind, Size::of(70, 110, 70));
    expect(lobesOf(Pixels::of($solid, $deg)))->toHaveCount(1);
})
    ->with([
        ShapeKind::Ball,
        ShapeKind::Egg,
        ShapeKind::Sausage,
        ShapeKind::Drum,
        ShapeKind::Drumstick,
        ShapeKind::Cone,
        ShapeKind::Dome,
    ])
    ->with([0.0, 30.0, 90.0, 145.0]);

it('cuts a snowman of one colour at its neck', function () {
    $lobes = lobesOf(either(Pixels::oval(0, -40, 60, 60), Pixels::oval(0, 55, 40, 40)));
    expect($lobes)->toHaveCount(2);
    [$body, $head] = $lobes;
    expect($body->blob->middle[1])
        ->toBeLessThan($head->blob->middle[1])
        ->and($body->blob->area())
        ->toEqualWithDelta(M_PI * 60 ** 2, 700)
        ->and($head->blob->area())
        ->toEqualWithDelta(M_PI * 40 ** 2, 700)
        ->and($body->neckPx)
        ->toBe(0.0)
        ->and($head->neckPx)
        ->toBeGreaterThan(20.0)
        ->toBeLessThan(75.0);
});

it('cuts ears from a head, and both alike', function () {
    $lobes = lobesOf(either(Pixels::oval(0, -10, 75, 65), Pixels::oval(-55, 60, 24, 30), Pixels::oval(55, 60, 24, 30)));
    expect($lobes)->toHaveCount(3);
    [$head, $one, $two] = $lobes;
    expect($head->blob->area())
        ->toBeGreaterThan(5 * $one->blob->area())
        ->and($one->blob->area() / $two->blob->area())
        ->toEqualWithDelta(1, 0.12)
        ->and($one->blob->middle[0] + $two->blob->middle[0])
        ->toEqualWithDelta(Pixels::SIZE, 4);
});

it('cuts four limbs from a body', function () {
    $limb = static fn (float $x, float $y): callable => static fn (float $px, float $py): bool => abs($px - $x) < 36 &&
        abs($py - $y) < 11;
    $lobes = lobesOf(either(Pixels::oval(0, 0, 50, 80), $limb(65, 35), $limb(-65, 35), $limb(65, -35), $limb(-65, -35)));
    expect($lobes)
        ->toHaveCount(5)
        ->and($lobes[0]->blob->area())
        ->toBeGreaterThan(10000);
});

it('takes a long even blob for one roll, however it is bent', function (float $bendDeg) {
    expect(lobesOf(Pixels::of(Catalogue::solid(ShapeKind::Arc, Size::of(24, 150, 24), ['bendDeg' => $bendDeg]))))->toHaveCount(1);
})->with([40.0, 110.0, 180.0]);

it('shares out every pixel once, whatever the blob', function () {
    mt_srand(11);
    foreach (range(1, 6) as $_) {
        $shapes = [];
        foreach (range(0, mt_rand(1, 4)) as $_) {
            $shapes[] = Pixels::oval(mt_rand(-60, 60), mt_rand(-60, 60), mt_rand(14, 50), mt_rand(14, 50));
        }
        $pixels = either(...$shapes);
        $shared = array_merge(...array_map(static fn ($lobe): array => array_keys($lobe->blob->pixels), lobesOf($pixels)));
        sort($shared);
        ksort($pixels);
        expect($shared)->toBe(array_keys($pixels));
    }
});

it('cuts nothing off that is smaller than asked', function () {
    $pixels = either(Pixels::oval(0, 0, 70, 70), Pixels::oval(0, 85, 12, 26));
    expect(lobesOf($pixels, 100))->toHaveCount(2)->and(lobesOf($pixels, 2500))->toHaveCount(1);
});
