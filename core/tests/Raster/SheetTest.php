<?php

declare(strict_types=1);

namespace Impa\Tests\Sheet;

use GdImage;
use Impa\Geometry\Homography;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\PhotoFaults;
use Impa\Raster\Raster;
use Impa\Raster\Sheet;
use Impa\Tests\Support\Pixels;
use Impa\Tests\Support\Sketch;

const PHOTO = [800, 600];

/**
 * Where a pinhole camera sees a place of a sheet that is turned about its own axes and lies before it; pixels.
 *
 * @return array{float, float}
 */
function seen(float $xMm, float $yMm, float $tipDeg, float $turnDeg, float $rollDeg, float $focalPx = 900.0, float $awayMm = 620.0): array
{
    [$r, $x, $y, $z] = [deg2rad($rollDeg), $xMm, $yMm, 0.0];
    [$x, $y] = [$x * cos($r) - $y * sin($r), $x * sin($r) + $y * cos($r)];
    [$t, $u] = [deg2rad($tipDeg), deg2rad($turnDeg)];
    [$y, $z] = [$y * cos($t) - $z * sin($t), $y * sin($t) + $z * cos($t)];
    [$x, $z] = [$x * cos($u) + $z * sin($u), -$x * sin($u) + $z * cos($u)];

    return [PHOTO[0] / 2 + $focalPx * $x / ($z + $awayMm), PHOTO[1] / 2 + $focalPx * $y / ($z + $awayMm)];
}

/** @return list<array{float, float}> corners of an A4 sheet on the photo, in pixels */
function corners(float $tip, float $turn, float $roll): array
{
    return array_map(
        static fn (array $c): array => seen($c[0], $c[1], $tip, $turn, $roll),
        [[-105, -148.5], [105, -148.5], [105, 148.5], [-105, 148.5]],
    );
}

/**
 * @param  list<array{float, float}>  $corners
 * @return list<array{float, float}> shares of the photo
 */
function shares(array $corners): array
{
    return array_map(static fn (array $c): array => [$c[0] / PHOTO[0], $c[1] / PHOTO[1]], $corners);
}

/** A white sheet on a dark table, with a red dot a quarter across and a third down. */
function photo(float $tip, float $turn, float $roll): string
{
    return Pixels::png(static function (GdImage $image) use ($tip, $turn, $roll): void {
        imagefill($image, 0, 0, 0x5A4636);
        imagefilledpolygon($image, array_map(intval(...), array_merge(...corners($tip, $turn, $roll))), 0xF4F2EC);
        $dot = [];
        for ($deg = 0; $deg < 360; $deg += 10) {
            array_push($dot, ...seen(-52.5 + 12 * cos(deg2rad($deg)), -49.5 + 12 * sin(deg2rad($deg)), $tip, $turn, $roll));
        }
        imagefilledpolygon($image, array_map(intval(...), $dot), 0xC02020);
    }, ...PHOTO);
}

describe('the map onto a sheet', function () {
    it('takes the corners of the unit square to the corners, and lines to lines', function () {
        $corners = corners(28, -17, 9);
        $map = Homography::onto($corners);
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as $i => [$u, $v]) {
            expect($map->at($u, $v))->toEqualWithDelta($corners[$i], 1e-6);
        }
        foreach ([[0.25, 1 / 3], [0.5, 0.5], [0.9, 0.1]] as [$u, $v]) {
            expect($map->at($u, $v))->toEqualWithDelta(seen(-105 + 210 * $u, -148.5 + 297 * $v, 28, -17, 9), 1e-6);
        }
    });

    it('tells the true aspect of the sheet, as no measuring of its sides does', function (float $tip, float $turn, float $roll) {
        $corners = corners($tip, $turn, $roll);
        expect(Homography::onto($corners)->aspect(PHOTO[0] / 2, PHOTO[1] / 2))->toEqualWithDelta(210 / 297, 1e-4);
    })->with([[30, 20, 0], [-25, 12, 14], [40, -8, -20]]);

    it('does not know it of a sheet that is seen from straight above', function () {
        expect(Homography::onto([[100, 50], [300, 50], [300, 350], [100, 350]])->aspect(400, 300))->toBeNull();
    });
});

describe('a sheet on a photo', function () {
    it('is found by itself, corner by corner', function (float $tip, float $turn, float $roll) {
        $sheet = Sheet::find(photo($tip, $turn, $roll));
        foreach (shares(corners($tip, $turn, $roll)) as $i => $corner) {
            expect(hypot($sheet->corners[$i][0] - $corner[0], $sheet->corners[$i][1] - $corner[1]))->toBeLessThan(0.012);
        }
        expect($sheet->isAskew())->toBeTrue();
    })->with([[30, 20, 0], [-25, 12, 8], [20, -8, -10]]);

    it('is straightened: as wide for its height as A4, and what is drawn on it lies where it lay', function (float $tip, float $turn) {
        $photo = photo($tip, $turn, 5);
        $flat = Raster::decode(Sheet::of(shares(corners($tip, $turn, 5)))->straightened($photo));
        expect($flat->width / $flat->height)->toEqualWithDelta(210 / 297, 0.01);
        $x = $y = $red = 0;
        foreach ($flat->pixels as $i => $pixel) {
            if (($pixel >> 16 & 255) > 120 && ($pixel & 255) < 90) {
                $red++;
                $x += $i % $flat->width + 0.5;
                $y += intdiv($i, $flat->width) + 0.5;
            }
        }
        expect($x / $red / $flat->width)->toEqualWithDelta(0.25, 0.006)
            ->and($y / $red / $flat->height)->toEqualWithDelta(1 / 3, 0.006)
            ->and($red / count($flat->pixels))->toEqualWithDelta(M_PI * 144 / (210 * 297), 0.0008);
    })->with([[30, 20], [-20, -25]]);

    it('is none where the whole picture is one, or nothing has four corners, or it is cut out', function (Sketch $drawing) {
        expect(Sheet::find($drawing->png()))->toBeNull();
    })->with([
        'white paper' => [fn () => (new Sketch)->oval(200, 200, 200, 260, 0x2F8F86)],
        'round' => [fn () => (new Sketch(400, 0x303030))->oval(200, 200, 260, 260, 0xF4F2EC)],
        'clear' => [fn () => (new Sketch(400, null))->polygon([[80, 90], [320, 70], [330, 330], [70, 320]], 0xF4F2EC)],
    ]);

    it('is refused where the corners are no sheet', function (array $corners) {
        expect(fn () => Sheet::of($corners))->toThrow(PictureRefused::class, 'four corners');
    })->with([
        'three' => [[[0, 0], [1, 0], [1, 1]]],
        'outside' => [[[0, 0], [1.2, 0], [1, 1], [0, 1]]],
        'the other way round' => [[[0, 0], [0, 1], [1, 1], [1, 0]]],
        'crossed' => [[[0, 0], [1, 1], [1, 0], [0, 1]]],
        'bent inwards' => [[[0, 0], [0.2, 0.2], [1, 1], [0, 1]]],
        'a line' => [[[0, 0], [0.5, 0], [1, 0], [0, 0.01]]],
        'words' => [[['left', 0], [1, 0], [1, 1], [0, 1]]],
        'no points' => [[0, 1, 2, 3]],
        'no number' => [[[NAN, 0], [1, 0], [1, 1], [0, 1]]],
    ]);
});

describe('what spoils a photo', function () {
    /** @param  callable(int, int): float  $light  grey value of the paper */
    $photo = static fn (callable $light): Raster => Raster::decode(Pixels::png(static function (GdImage $image) use ($light): void {
        for ($y = 0; $y < 300; $y++) {
            for ($x = 0; $x < 300; $x++) {
                $v = (int) max(0, min(255, round($light($x, $y))));
                imagesetpixel($image, $x, $y, hypot($x - 150, $y - 190) < 60 ? 0xC05040 : $v * 0x010101);
            }
        }
    }));

    it('is told of: a glare that fades, stripes that repeat', function (callable $light, string $says) use ($photo) {
        mt_srand(4);
        expect(implode(' ', PhotoFaults::of($photo($light))))->toContain($says);
    })->with([
        'glare' => [fn (int $x, int $y): float => 205 + 110 * exp(-(($x - 90) ** 2 + ($y - 70) ** 2) / 1800), 'A glare lies'],
        'stripes across' => [fn (int $x, int $y): float => 220 + 6 * sin($x * 2 * M_PI / 9) + mt_rand(-2, 2), 'A pattern of stripes'],
        'stripes down' => [fn (int $x, int $y): float => 220 + 6 * sin($y * 2 * M_PI / 13.4) + mt_rand(-2, 2), 'A pattern of stripes'],
    ]);

    it('is nothing on a good one: plain, grainy, darkening, ruled widely, with a white patch', function (callable $light) use ($photo) {
        mt_srand(4);
        expect(PhotoFaults::of($photo($light)))->toBe([]);
    })->with([
        [fn (int $x, int $y): float => 225.0],
        [fn (int $x, int $y): float => 225 + mt_rand(-9, 9)],
        [fn (int $x, int $y): float => 250 - 0.3 * $x],
        [fn (int $x, int $y): float => $y % 40 < 2 ? 170.0 : 225.0],
        [fn (int $x, int $y): float => $x < 100 && $y < 90 ? 255.0 : 205.0],
    ]);
});
