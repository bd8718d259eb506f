<?php

declare(strict_types=1);

namespace Impa\Tests\CastShadow;

use Impa\Raster\Raster;
use Impa\Seeing\Foreground\Background;
use Impa\Tests\Support\Pixels;

/*
 * Made-up drawings by formula: a pale head on a grey body with a pale belly and pale feet, so that light and middle greys lie side by side
 * along the rim. A shadow fades by the logistic function, which is near a blurred edge. bench/greys.php measures on many more.
 */
const SIDE = 240;
/** Middles and half axes, from back to front: body, two feet, head, belly. */
const OVALS = [[120, 150, 52, 60], [92, 206, 22, 14], [148, 206, 22, 14], [120, 80, 46, 42], [120, 160, 26, 34]];

/** How far a place lies within an oval, in pixels, to the first order; below 0 outside. */
function within(int $x, int $y, array $oval): float
{
    [$cx, $cy, $rx, $ry] = $oval;
    [$dx, $dy] = [($x - $cx) / $rx, ($y - $cy) / $ry];

    return (1.0 - $dx * $dx - $dy * $dy) / max(1e-3, 2.0 * hypot($dx / $rx, $dy / $ry));
}

function isDrawn(int $x, int $y): bool
{
    return max(array_map(static fn (array $oval): float => within($x, $y, $oval), OVALS)) > 0.0;
}

/**
 * @param  list<int>  $greys  of the ovals, as a byte
 * @param  float  $edgePx  how wide an edge is
 * @param  callable(int, int): float  $dark  how much of the paper's light a shadow takes, 0 to 1
 * @return array{float, float} overlap of what is told from the paper with what was drawn; share of what is no figure and taken for it
 */
function told(int $paper, array $greys, float $edgePx, callable $dark): array
{
    $png = Pixels::png(static function (\GdImage $image) use ($paper, $greys, $edgePx, $dark): void {
        for ($i = 0; $i < SIDE * SIDE; $i++) {
            [$x, $y] = [$i % SIDE, intdiv($i, SIDE)];
            $light = 1.0 - $dark($x, $y);
            $rgb = [($paper >> 16) * $light, ($paper >> 8 & 255) * $light, ($paper & 255) * $light];
            foreach (OVALS as $k => $oval) {
                $in = max(0.0, min(1.0, within($x, $y, $oval) / $edgePx + 0.5));
                $rgb = array_map(static fn (float $c): float => $c + $in * ($greys[$k] - $c), $rgb);
            }
            [$r, $g, $b] = array_map(static fn (float $c): int => (int) round($c), $rgb);
            imagesetpixel($image, $x, $y, $r << 16 | $g << 8 | $b);
        }
    }, SIDE, SIDE);
    $both = $either = $wrong = $free = 0;
    foreach (Background::of(Raster::decode($png))->figure as $i => $in) {
        [$x, $y] = [$i % SIDE, intdiv($i, SIDE)];
        $is = isDrawn($x, $y);
        $both += (int) ($in && $is);
        $either += (int) ($in || $is);
        $isBeside = isDrawn($x - 4, $y) || isDrawn($x + 4, $y) || isDrawn($x, $y - 4) || isDrawn($x, $y + 4);
        $isShadow = $dark($x, $y) > 0.03 && ! $isBeside;
        $free += (int) $isShadow;
        $wrong += (int) ($in && $isShadow);
    }

    return [$both / $either, $wrong / max(1, $free)];
}

/** @return callable(int, int): float an oval that takes so much light, its rim blurred over so many pixels */
function shadow(array $oval, float $most, float $blurPx): callable
{
    return static fn (int $x, int $y): float => $most / (1.0 + exp(-5.0 * within($x, $y, $oval) / $blurPx));
}

$none = static fn (): float => 0.0;
$pale = [150, 225, 225, 222, 232];
$mixed = [212, 150, 150, 228, 120];

it('takes light and middle greys side by side for the figure, on every paper and whether their edges are sharp or smooth', function (
    int $paper,
    float $edgePx,
) use ($none, $pale, $mixed) {
    foreach ([$pale, $mixed] as $greys) {
        [$overlap] = told($paper, $greys, $edgePx, $none);
        expect($overlap)->toBeGreaterThan(0.95);
    }
})->with([0xFFFFFF, 0xF6EEDC, 0xF2F2F2])->with([1.0, 2.0, 3.0]);

it('lets a soft shadow on the ground go, though the feet that stand in it are pale', function (float $blurPx) use ($pale) {
    [$overlap, $wrong] = told(0xFFFFFF, $pale, 2.0, shadow([120, 216, 90, 14], 0.35, $blurPx));
    expect($overlap)->toBeGreaterThan(0.95)->and($wrong)->toBeLessThan(0.05);
})->with([8.0, 12.0, 20.0]);

it('lets a soft shadow behind the whole figure go, and keeps the figure', function () use ($mixed) {
    $behind = static fn (int $x, int $y): float => max(array_map(
        static fn (array $oval): float => shadow($oval, 0.3, 12.0)($x - 6, $y - 6),
        OVALS,
    ));
    [$overlap, $wrong] = told(0xFFFFFF, $mixed, 2.0, $behind);
    expect($overlap)->toBeGreaterThan(0.93)->and($wrong)->toBeLessThan(0.12);
});

it('takes a shadow that is drawn with a hard rim for something drawn', function () use ($pale) {
    $oval = [120, 216, 90, 14];
    [, $kept] = told(0xFFFFFF, $pale, 2.0, static fn (int $x, int $y): float => within($x, $y, $oval) > 0.0 ? 0.15 : 0.0);
    expect($kept)->toBeGreaterThan(0.9);
});
