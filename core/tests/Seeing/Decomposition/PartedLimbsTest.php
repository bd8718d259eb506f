<?php

declare(strict_types=1);

namespace Impa\Tests\PartedLimbs;

use GdImage;
use Impa\Raster\Blob;
use Impa\Seeing\Decomposition\Lobe;
use Impa\Seeing\Decomposition\PartedLimbs;
use Impa\Tests\Support\Pixels;

const LIMB = 0x4F7FA8;
const OTHER = 0xC96F4A;

/** @return array{int, list<int>} how many pieces there are, and the areas of those that have the limbs' colour, smallest first */
function pieces(callable $draw, array $whole = []): array
{
    [$regions, $flat] = Pixels::regions($draw);
    $lobes = $base = $pixels = [];
    foreach ($regions->map as $pixel => $region) {
        if ($region >= 0) {
            $pixels[$region][$pixel] = true;
        }
    }
    foreach ($pixels as $region => $own) {
        $lobes[] = new Lobe(Blob::of($own, $regions->width), 0.0);
        $base[] = $region;
    }
    [$lobes, $base] = PartedLimbs::of($lobes, $base, $regions, array_fill_keys($whole === [] ? [] : $base, true));
    $areas = [];
    foreach ($lobes as $k => $lobe) {
        if ($flat->colours[$regions->all[$base[$k]]->label]->lab()->b < 0) {
            $areas[] = $lobe->blob->area();
        }
    }
    sort($areas);

    return [count($lobes), $areas];
}

/** A standing roll on the right, parted by a bar that reaches from one column to another. */
function parted(int $from, int $to, int $wide = 20, int $lowerWide = 20): callable
{
    return static function (GdImage $i) use ($from, $to, $wide, $lowerWide): void {
        imagefilledrectangle($i, 60, 150 - 60, 140, 150 + 60, OTHER);
        imagefilledrectangle($i, 200, 60, 199 + $wide, 150, LIMB);
        imagefilledrectangle($i, 200, 150, 199 + $lowerWide, 230, LIMB);
        imagefilledrectangle($i, $from, 130, $to, 160, OTHER);
    };
}

it('makes one of what a narrow bar at the side parts', function () {
    [$count, $areas] = pieces(parted(180, 240));
    expect($areas)->toBe([20 * (70 + 70)])->and($count)->toBe(3);
});

it('leaves two what the middle of the figure parts: an arm and a leg', function () {
    [, $areas] = pieces(parted(40, 260));
    expect($areas)->toBe([20 * 70, 20 * 70]);
});

it('leaves two of another width each', function () {
    [, $areas] = pieces(parted(180, 260, lowerWide: 52));
    expect($areas)->toBe([20 * 70, 52 * 70]);
});

it('leaves what has a rim of its own as it is', function () {
    [, $areas] = pieces(parted(180, 240), [true]);
    expect($areas)->toBe([20 * 70, 20 * 70]);
});
