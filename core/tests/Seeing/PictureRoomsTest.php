<?php

declare(strict_types=1);

namespace Impa\Tests\PictureRooms;

use Impa\Colour\ColourWords;
use Impa\Colour\Srgb;
use Impa\Geometry\Outline\Polygon;
use Impa\Raster\Blob;
use Impa\Raster\Contour;
use Impa\Raster\LabelPropagation;
use Impa\Raster\Raster;
use Impa\Raster\Stroke;
use Impa\Seeing\Fitting\Fitting;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Segmentation\Extent;
use Impa\Seeing\Segmentation\FlatColours;
use Impa\Seeing\Segmentation\Region;
use Impa\Seeing\Segmentation\Regions;
use Impa\Shape\ShapeKind;

/** @return array<int, true> the pixels of a picture for which a test on x, y (middle of the pixel, y down) holds */
function pixels(int $width, int $height, callable $in): array
{
    $set = [];
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            if ($in($x + 0.5, $y + 0.5)) {
                $set[$y * $width + $x] = true;
            }
        }
    }

    return $set;
}

/** @return callable(float, float): bool an oval turned anticlockwise as seen */
function oval(float $cx, float $cy, float $a, float $b, float $deg = 0): callable
{
    [$c, $s] = [cos(deg2rad($deg)), sin(deg2rad($deg))];

    return static function (float $x, float $y) use ($cx, $cy, $a, $b, $c, $s): bool {
        [$dx, $dy] = [$x - $cx, $cy - $y];

        return hypot(($dx * $c + $dy * $s) / $a, ($dy * $c - $dx * $s) / $b) <= 1;
    };
}

/** @return list<int> a map on which the blob is region 0 and the rest ground */
function mapOf(array $blob, int $size): array
{
    $map = array_fill(0, $size, -1);
    foreach ($blob as $i => $_) {
        $map[$i] = 0;
    }

    return $map;
}

function raster(callable $draw, int $width = 120, int $height = 120): Raster
{
    $image = imagecreatetruecolor($width, $height);
    imagefill($image, 0, 0, 0xFFFFFF);
    $draw($image);
    ob_start();
    imagepng($image);

    return Raster::decode((string) ob_get_clean());
}

describe('Contour', function () {
    it('follows a rectangle by its four corners', function () {
        $blob = pixels(40, 40, fn ($x, $y) => $x > 5 && $x < 25 && $y > 10 && $y < 20);
        $contour = Contour::of($blob, 40, 0.3);
        expect($contour)->toHaveCount(4)->and(abs(Polygon::signedArea($contour)))->toBe((float) count($blob));
    });

    it('encloses as many pixels as the blob has, whatever its form', function () {
        foreach (
            [oval(30, 30, 20, 12, 35), fn ($x, $y) => abs($x - 30) < 4 || abs($y - 30) < 4, fn ($x, $y) => $x + $y < 40] as $in
        ) {
            $blob = pixels(60, 60, $in);
            expect(abs(Polygon::signedArea(Contour::of($blob, 60, 0.0))))->toEqualWithDelta(count($blob), 0.01 * count($blob));
        }
    });

    it('stays within its tolerance when it takes points away', function () {
        $blob = pixels(100, 100, oval(50, 50, 40, 30));
        $few = Contour::of($blob, 100, 1.0);
        expect(count($few))
            ->toBeLessThan(40)
            ->and(abs(Polygon::signedArea($few)))
            ->toEqualWithDelta(count($blob), 0.05 * count($blob));
    });

    it('walks round a single pixel, and round nothing', function () {
        expect(Contour::of([5 => true], 4, 0.0))->toHaveCount(4)->and(Contour::of([], 4, 0.0))->toBe([]);
    });

    it('keeps the ends of a line and drops what lies on it', function () {
        expect(Contour::line([[0.0, 0.0], [1.0, 0.1], [2.0, 0.0], [3.0, 5.0]], 0.3))->toBe([[0.0, 0.0], [2.0, 0.0], [3.0, 5.0]]);
    });

    it('rounds corners inwards and doubles the points', function () {
        $square = [[0.0, 0.0], [10.0, 0.0], [10.0, 10.0], [0.0, 10.0]];
        $round = Contour::rounded($square);
        expect($round)->toHaveCount(8)->and(Polygon::signedArea($round))->toBeLessThan(100.0)->toBeGreaterThan(85.0);
    });
});

describe('Blob', function () {
    it('knows its middle, its lean and how long it is', function () {
        $blob = Blob::of(pixels(200, 200, oval(90, 110, 20, 60, 30)), 200);
        expect($blob->middle)
            ->toEqualWithDelta([90.0, -110.0], 0.2)
            ->and($blob->leanDeg())
            ->toEqualWithDelta(30, 0.5)
            ->and($blob->elongation())
            ->toEqualWithDelta(3, 0.05)
            ->and($blob->area())
            ->toEqualWithDelta(M_PI * 20 * 60, 40);
    });

    it('boxes itself in any frame', function () {
        $blob = Blob::of(pixels(200, 200, oval(100, 100, 20, 60, 30)), 200);
        [$w, $h, $x, $y] = $blob->box(30);
        expect([$w, $h])
            ->toEqualWithDelta([40.0, 120.0], 2)
            ->and([$x, $y])
            ->toEqualWithDelta([100.0, -100.0], 1);
        // The upright box of a turned ellipse: hypot(a cos, b sin), from its support function.
        expect($blob->box(0)[0])->toEqualWithDelta(2 * hypot(20 * cos(deg2rad(30)), 60 * sin(deg2rad(30))), 2);
    });
});

describe('Fit', function () {
    it('finds an oval again, its size, place and lean', function (float $deg) {
        $pixels = pixels(200, 200, oval(96, 104, 28, 60, $deg));
        $fit = Fitting::best(Blob::of($pixels, 200), mapOf($pixels, 40000), false);
        expect($fit->kind)
            ->toBe(ShapeKind::Ball)
            ->and($fit->overlap)
            ->toBeGreaterThan(0.96)
            ->and([$fit->x, $fit->y])
            ->toEqualWithDelta([96.0, -104.0], 1)
            ->and($fit->widthPx)
            ->toEqualWithDelta(56, 2)
            ->and($fit->heightPx)
            ->toEqualWithDelta(120, 3)
            ->and($fit->turnDeg)
            ->toEqualWithDelta($deg, 2);
    })->with([0.0, 25.0, -40.0]);

    it('goes on behind what hides it', function () {
        // The upper third of a disc is covered by another region; under it the disc may go on.
        $whole = pixels(200, 200, oval(100, 110, 60, 60));
        $map = array_fill(0, 40000, -1);
        $seen = [];
        foreach ($whole as $i => $_) {
            $hidden = intdiv($i, 200) < 90;
            $map[$i] = $hidden ? 1 : 0;
            if (! $hidden) {
                $seen[$i] = true;
            }
        }
        $fit = Fitting::best(Blob::of($seen, 200), $map, true);
        expect($fit->heightPx)
            ->toBeGreaterThan(105)
            ->and($fit->widthPx)
            ->toEqualWithDelta(120, 6)
            ->and($fit->y)
            ->toEqualWithDelta(-110, 8);
    });

    it('lays a disc over a spot', function () {
        $pixels = pixels(60, 60, oval(30, 30, 9, 6));
        $disc = Fitting::disc(Blob::of($pixels, 60), mapOf($pixels, 3600));
        expect([$disc->widthPx, $disc->heightPx])
            ->toEqualWithDelta([18.0, 12.0], 1)
            ->and($disc->overlap)
            ->toBeGreaterThan(0.9);
    });
});

it('takes the course and width of a drawn line', function () {
    // A half ring of radius 40 and width 6, open above, as a smile.
    $smile = pixels(120, 120, fn ($x, $y) => $y > 60 && abs(hypot($x - 60, $y - 60) - 40) <= 3);
    $stroke = Stroke::of(Blob::of($smile, 120));
    expect($stroke->widthPx)->toEqualWithDelta(6, 2.5)->and(count($stroke->course))->toBeGreaterThan(2);
    foreach ($stroke->course as [$x, $y]) {
        expect(hypot($x - 60, -$y - 60))->toEqualWithDelta(40, 6);
    }
});

describe('Ground', function () {
    it('floods in from the border but not into what is enclosed', function () {
        $raster = raster(function ($i) {
            imagefilledellipse($i, 60, 60, 90, 90, 0x305080);
            imagefilledellipse($i, 60, 60, 40, 40, 0xFFFFFF);
        });
        // GD draws its ovals up to a pixel larger than asked; the same oval filled in one colour says how large.
        $whole = raster(fn ($i) => imagefilledellipse($i, 60, 60, 90, 90, 0x305080));
        $ground = Background::of($raster);
        expect($ground->figure[60 * 120 + 60])
            ->toBeTrue()
            ->and($ground->figure[0])
            ->toBeFalse()
            ->and($ground->count)
            ->toBe(count(array_filter($whole->pixels, static fn (int $p): bool => ($p & 0xFFFFFF) !== 0xFFFFFF)))
            ->and($ground->notices)
            ->toBe([]);
    });

    it('says when the background is busy', function () {
        $raster = raster(function ($i) {
            mt_srand(9);
            for ($k = 0; $k < 500; $k++) {
                imagefilledrectangle($i, $x = mt_rand(0, 119), $y = mt_rand(0, 119), $x + 9, $y + 9, mt_rand(0, 0xFFFFFF));
            }
        });
        expect(implode(' ', Background::of($raster)->notices))->toContain('not plain');
    });
});

it('keeps flat colours and gives mixtures to their neighbours', function () {
    // Drawn large and shrunk, so that every edge is smoothed.
    $large = imagecreatetruecolor(480, 480);
    imagefill($large, 0, 0, 0xFFFFFF);
    imagefilledellipse($large, 240, 240, 400, 400, 0x8A5FA0);
    imagefilledellipse($large, 240, 240, 160, 160, 0xF0E2C4);
    $raster = raster(fn ($i) => imagecopyresampled($i, $large, 0, 0, 0, 0, 120, 120, 480, 480));
    $ground = Background::of($raster);
    $flat = FlatColours::of($raster, $ground);
    expect(array_map(static fn (Srgb $c): string => $c->toHex(), $flat->colours))
        ->toEqualCanonicalizing(['#8a5fa0', '#f0e2c4'])
        ->and($flat->labels[60 * 120 + 60])
        ->not->toBe($flat->labels[60 * 120 + 20]);
    $regions = Regions::of($flat, $raster, $ground);
    expect($regions->all)->toHaveCount(2);
    $inner = array_values(array_filter($regions->all, static fn (Region $r): bool => ! $r->touchesGround()))[0];
    expect($inner->surroundedBy())->toBeGreaterThanOrEqual(0)->and($inner->widthPx())->toEqualWithDelta(40, 2);
});

it('counts contacts alike from both sides, and gives drawn outlines away', function () {
    $raster = raster(function ($i) {
        imagefilledellipse($i, 60, 60, 100, 100, 0x101010);
        imagefilledellipse($i, 60, 60, 94, 94, 0xE0C080);
        imagefilledrectangle($i, 40, 40, 80, 60, 0x3060A0);
    });
    $ground = Background::of($raster);
    $flat = FlatColours::of($raster, $ground);
    $regions = Regions::of($flat, $raster, $ground);
    foreach ($regions->all as $i => $region) {
        foreach ($region->contact as $j => $length) {
            if ($j >= 0) {
                expect($regions->all[$j]->contact[$i])->toBe($length);
            }
        }
        expect($flat->colours[$region->label]->lab()->l)->toBeGreaterThan(20.0);
    }
    expect($regions->all)
        ->toHaveCount(2)
        ->and(array_sum(array_map(static fn (Region $r): int => $r->area, $regions->all)))
        ->toBe(count(array_filter($regions->map, static fn (int $r): bool => $r >= 0)))
        // From the middle of the line to the middle.
        ->and(Extent::of($regions->all)->heightPx())
        ->toEqualWithDelta(97, 1);
});

it('spreads decided pixels over undecided ones and leaves islands to the ground', function () {
    // One row: ground, undecided, 3, undecided, ground, undecided.
    expect(LabelPropagation::into([-1, -2, 3, -2, -1, -2], [2], 6))->toBe([-1, 3, 3, 3, -1, -1]);
});

it('has a plain word for every colour', function (string $hex, string $word) {
    expect(ColourWords::of(Srgb::hex($hex)))->toBe($word);
})->with([
    ['#ffffff', 'White'],
    ['#808080', 'Grey'],
    ['#000000', 'Black'],
    ['#c0202a', 'Red'],
    ['#3a7d44', 'Green'],
    ['#f0e2c4', 'Cream'],
    ['#2f8f86', 'Teal'],
    ['#f6c7d0', 'Pale pink'],
    ['#1d2a5c', 'Dark violet'],
    ['#6b4a2f', 'Brown'],
]);
