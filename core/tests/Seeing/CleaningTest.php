<?php

declare(strict_types=1);

namespace Impa\Tests\Cleaning;

use GdImage;
use Impa\Geometry\LeastSquares;
use Impa\Raster\Grain;
use Impa\Raster\PixelArt;
use Impa\Raster\Raster;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Foreground\PaperSurface;
use Impa\Tests\Support\Pixels;

/** Each pixel by its place. @param  callable(int, int): int  $colour */
function picture(callable $colour, int $side = 200): Raster
{
    return Raster::decode(Pixels::png(static function (GdImage $image) use ($colour, $side): void {
        for ($y = 0; $y < $side; $y++) {
            for ($x = 0; $x < $side; $x++) {
                imagesetpixel($image, $x, $y, $colour($x, $y));
            }
        }
    }, $side, $side));
}

function grey(float $v): int
{
    return max(0, min(255, (int) round($v))) * 0x010101;
}

/** A normal deviate (Box and Muller). */
function normal(): float
{
    return sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
}

/** @return list<int> */
function border(Raster $raster): array
{
    [$w, $h] = [$raster->width, $raster->height];

    return [
        ...range(0, $w - 1),
        ...range(($h - 1) * $w, $h * $w - 1),
        ...range($w, ($h - 2) * $w, $w),
        ...range(2 * $w - 1, ($h - 1) * $w - 1, $w),
    ];
}

describe('grain', function () {
    it('is as strong as was strewn, whatever is drawn beneath', function (float $sigma) {
        mt_srand(3);
        $drawn = static fn (int $x, int $y): int => ($x - 100) ** 2 + ($y - 100) ** 2 < 3600 ? 90 : 190;
        expect(Grain::of(picture(static fn (int $x, int $y): int => grey($drawn($x, $y)))))->toBe(0.0);
        $grainy = picture(static fn (int $x, int $y): int => grey($drawn($x, $y) + $sigma * normal()));
        expect(Grain::of($grainy))->toEqualWithDelta($sigma, 0.1 * $sigma + 0.1);
    })->with([1.5, 4.0, 7.0, 12.0]);

    it('is smoothed to a quarter at most, and an edge stays where it was', function () {
        mt_srand(5);
        $made = Grain::smoothed(picture(static fn (int $x, int $y): int => grey(($x < 100 ? 80 : 180) + 7 * normal())));
        expect(Grain::of($made))->toBeLessThan(7 / 4)->and($made->notices[0])->toContain('grainy');
        for ($y = 20; $y < 180; $y += 20) {
            expect($made->pixels[$y * 200 + 98] & 255)->toBeLessThan(100)->and($made->pixels[$y * 200 + 101] & 255)->toBeGreaterThan(160);
        }
    });

    it('is none in a clean drawing, which stays as it is to the last pixel', function () {
        $clean = picture(static fn (int $x, int $y): int => ($x ^ $y) & 64 ? 0xC04050 : 0xFDFDFE);
        expect(Grain::smoothed($clean))->pixels->toBe($clean->pixels)->notices->toBe([]);
    });
});

describe('paper', function () {
    it('is fitted as the factors that made it', function () {
        $rows = $values = [];
        for ($k = 0; $k < 30; $k++) {
            [$x, $y] = [sin($k), cos(3 * $k)];
            $rows[] = [1.0, $x, $y, $x * $y];
            $values[] = 4 - 2 * $x + 0.5 * $y + 7 * $x * $y;
        }
        expect(LeastSquares::fit($rows, $values))
            ->toEqualWithDelta([4.0, -2.0, 0.5, 7.0], 1e-9)
            ->and(LeastSquares::fit([[1.0, 2.0], [2.0, 4.0]], [1.0, 2.0]))
            ->toBeNull();
    });

    it('is plain where one colour lies along the border, and a surface where the light falls off', function () {
        $plain = picture(static fn (int $x, int $y): int => abs($x - 100) < 30 && $y > 150 ? 0x303030 : 0xF0EAD8);
        $paper = PaperSurface::of($plain, border($plain));
        expect($paper->isPlain())->toBeTrue()->and($paper->share)->toBeGreaterThan(0.9);
        $falls = static fn (int $x, int $y): float => 255 - 0.22 * $x - 0.16 * $y;
        $dark = picture(static fn (int $x, int $y): int => $y > 120 && $x > 20 && $x < 120 ? 0xC04050 : grey($falls($x, $y)));
        $paper = PaperSurface::of($dark, border($dark));
        expect($paper->isPlain())->toBeFalse()->and($paper->share)->toBeGreaterThan(0.8);
        foreach ([[10, 10], [150, 60], [190, 190]] as [$x, $y]) {
            $own = \Impa\Colour\LabTable::of(grey($falls($x, $y)));
            expect($paper->at($y * 200 + $x)[0])->toEqualWithDelta($own[0], 1.0);
        }
    });

    it('falls off evenly where only two sides of the border show it', function () {
        $falls = static fn (int $x, int $y): float => 245 - 0.25 * $x - 0.1 * $y;
        $table = static fn (int $y): int => [0x3A2E28, 0x70503A][($y >> 3) & 1];
        $drawn = picture(static fn (int $x, int $y): int => $x < 4 || $x > 195 ? $table($y) : grey($falls($x, $y)));
        $paper = PaperSurface::of($drawn, border($drawn));
        expect($paper->isPlain())->toBeFalse();
        foreach ([[40, 100], [160, 30], [100, 180]] as [$x, $y]) {
            expect($paper->at($y * 200 + $x)[0])->toEqualWithDelta(\Impa\Colour\LabTable::of(grey($falls($x, $y)))[0], 1.5);
        }
    });

    it('darkens from corner to corner and is no part of the figure', function () {
        $isIn = static fn (int $x, int $y): bool => ($x - 100) ** 2 + ($y - 90) ** 2 < 2500;
        $ground = Background::of(picture(static fn (int $x, int $y): int => $isIn($x, $y) ? 0x2F8F86 : grey(255 - 0.18 * ($x + $y))));
        expect($ground->count)
            ->toEqualWithDelta(M_PI * 2500, 300)
            ->and($ground->figure[90 * 200 + 100])
            ->toBeTrue()
            ->and($ground->notices)
            ->toBe([]);
    });

    it('darkens through the colour of a body, which stays whole, while a soft shadow on it stays a shadow', function () {
        $paper = static fn (int $x, int $y): float => 250 - 0.17 * ($x + $y);
        $mixed = static function (float $in, float $v): int {
            $of = static fn (int $c): int => (int) round($v + $in * ($c - $v));

            return $of(204) << 16 | $of(214) << 8 | $of(221);
        };
        $drawn = static fn (int $x, int $y): int => $mixed(max(0.0, min(1.0, (71 - hypot($x - 100, $y - 100)) / 2)), $paper($x, $y));
        expect(Background::of(picture($drawn))->count)->toEqualWithDelta(M_PI * 4900, 0.03 * M_PI * 4900);
        $shadow = picture(static function (int $x, int $y) use ($paper): int {
            $far = hypot(($x - 100) / 80, ($y - 165) / 24);

            return hypot($x - 100, $y - 90) < 60 ? 0xC04050 : grey($paper($x, $y) - 50 * max(0.0, min(1.0, 2 * (1 - $far))));
        });
        expect(Background::of($shadow)->count)->toEqualWithDelta(M_PI * 3600, 300);
    });

    it('lets a pale body with a crisp rim be a body, and a soft shadow a shadow', function (int $pale) {
        // Its edge is smoothed over a pixel or two, as every drawing's is.
        $body = picture(static function (int $x, int $y) use ($pale): int {
            $in = max(0.0, min(1.0, (61 - hypot($x - 100, $y - 90)) / 2));
            $mixed = static fn (int $shift): int => (int) round(255 + $in * ((($pale >> $shift) & 255) - 255)) << $shift;

            return $mixed(16) | $mixed(8) | $mixed(0);
        });
        expect(Background::of($body)->count)->toEqualWithDelta(M_PI * 3600, 500);
        $shadow = picture(static function (int $x, int $y): int {
            $far = hypot(($x - 100) / 70, ($y - 165) / 20);

            return hypot($x - 100, $y - 90) < 60 ? 0xC04050 : grey(255 - 60 * max(0.0, min(1.0, 2 * (1 - $far))));
        });
        expect(Background::of($shadow)->count)->toEqualWithDelta(M_PI * 3600, 300);
    })->with([0xF5F8FA, 0xE4E4E4, 0xF0ECE0]);
});

describe('pixel art', function () {
    $sprite = static function (int $cells, int $side, callable $in): GdImage {
        $image = imagecreatetruecolor($side, $side);
        for ($y = 0; $y < $side; $y++) {
            for ($x = 0; $x < $side; $x++) {
                [$i, $j] = [intdiv($x * $cells, $side), intdiv($y * $cells, $side)];
                imagesetpixel($image, $x, $y, $in($i + 0.5 - $cells / 2, $j + 0.5 - $cells / 2) ? 0xC04050 : 0xFFFFFF);
            }
        }

        return $image;
    };

    it('is known by its cells, also where they are no whole pixels', function (int $cells, int $side) use ($sprite) {
        $round = static fn (float $x, float $y): bool => hypot($x, $y) < 0.4 * $cells;
        expect(PixelArt::cells($sprite($cells, $side, $round)))->toBe([$cells, $cells]);
    })->with([[16, 256], [40, 512], [32, 300], [24, 240]]);

    it('is a small picture of few colours as it was drawn, and not one whose edges are smooth', function () use ($sprite) {
        $round = static fn (float $x, float $y): bool => hypot($x, $y) < 20;
        expect(PixelArt::cells($sprite(48, 48, $round)))
            ->toBe([48, 48])
            ->and(PixelArt::cells(imagescale($sprite(48, 480, $round), 150, -1, IMG_BICUBIC)))
            ->toBeNull();
    });

    it('is no drawing with smooth edges, no grain, and nothing plain', function () use ($sprite) {
        $smooth = imagecreatetruecolor(300, 300);
        imagefilledellipse($smooth, 150, 140, 200, 180, 0xC04050);
        expect(PixelArt::cells($smooth))
            ->toBeNull()
            ->and(PixelArt::cells($sprite(300, 300, static fn (): bool => mt_rand(0, 1) === 1)))
            ->toBeNull()
            ->and(PixelArt::cells(imagecreatetruecolor(300, 300)))
            ->toBeNull();
    });

    it('loses its stairs: a disc of cells is round again, and one shape', function () use ($sprite) {
        $image = $sprite(32, 320, static fn (float $x, float $y): bool => hypot($x, $y) < 12);
        ob_start();
        imagepng($image);
        $seen = Breakdown::of((string) ob_get_clean(), 60.0);
        expect($seen->notices[0])
            ->toContain('32 x 32 cells')
            ->and($seen->document['parts'])
            ->toHaveCount(1)
            ->and($seen->document['parts'][0]['shape']['kind'])
            ->toBe('ball')
            ->and($seen->document['parts'][0]['shape']['widthMm'])
            ->toEqualWithDelta(60, 2)
            ->and($seen->document['picture']['widthPx'])
            ->toBe(320);
    });

    it('keeps a cheek of one cell on white, though pink lies between white and the red of a mouth close by', function () {
        $image = imagecreatetruecolor(240, 240);
        imagefill($image, 0, 0, 0x3A9A4A);
        imagefilledrectangle($image, 40, 40, 199, 199, 0xFFFFFF);
        imagefilledrectangle($image, 80, 160, 159, 189, 0xD82040);
        foreach ([60, 170] as $x) {
            imagefilledrectangle($image, $x, 140, $x + 9, 149, 0xF4A6B0);
        }
        $read = PixelArt::read($image, 24, 24, 300);
        $scale = imagesx($read) / 240;
        foreach ([65, 175] as $x) {
            expect(imagecolorat($read, (int) ($x * $scale), (int) (145 * $scale)))->toBe(0xF4A6B0);
        }
    });

    it('has no colours but its own where cells along its edges are mixed of both sides', function () use ($sprite) {
        // A disc of red on white, a blue band across it; every cell has the mean colour of its own square.
        $on = static fn (float $y): array => abs($y) < 3.4 ? [40, 60, 150] : [192, 64, 80];
        $in = static fn (float $x, float $y): array => hypot($x, $y) > 13 ? [255, 255, 255] : $on($y);
        $image = imagecreatetruecolor(320, 320);
        for ($j = 0; $j < 32; $j++) {
            for ($i = 0; $i < 32; $i++) {
                $sum = [0, 0, 0];
                foreach ([-0.375, -0.125, 0.125, 0.375] as $right) {
                    foreach ([-0.375, -0.125, 0.125, 0.375] as $down) {
                        foreach ($in($i + $right - 15.5, $j + $down - 15.5) as $c => $value) {
                            $sum[$c] += $value / 16;
                        }
                    }
                }
                $mean = (int) $sum[0] << 16 | (int) $sum[1] << 8 | (int) $sum[2];
                imagefilledrectangle($image, 10 * $i, 10 * $j, 10 * $i + 9, 10 * $j + 9, $mean);
            }
        }
        $read = PixelArt::read($image, 32, 32, 300);
        $colours = [];
        for ($y = 0; $y < imagesy($read); $y++) {
            for ($x = 0; $x < imagesx($read); $x++) {
                $colours[imagecolorat($read, $x, $y)] = true;
            }
        }
        expect(array_map(dechex(...), array_keys($colours)))->toEqualCanonicalizing(['ffffff', '283c96', 'c04050']);
        // A thin line of a third colour is no mixture of the two beside it, and stays.
        $line = $sprite(32, 320, static fn (float $x, float $y): bool => hypot($x, $y) < 12);
        imagefilledrectangle($line, 120, 160, 190, 169, 0x202020);
        expect(imagecolorat(PixelArt::read($line, 32, 32, 300), 248, 264))->toBe(0x202020);
    });
});

it('sees through compression: a face saved as a poor JPEG has the parts and details of the clean one', function () {
    $image = imagescale(imagecreatefrompng(__DIR__.'/../../../demo/sorrel.png'), 300);
    $white = imagecreatetruecolor(imagesx($image), imagesy($image));
    imagefill($white, 0, 0, 0xFFFFFF);
    imagecopy($white, $image, 0, 0, 0, 0, imagesx($image), imagesy($image));
    ob_start();
    imagejpeg($white, null, 55);
    $poor = Breakdown::of((string) ob_get_clean(), 100.0)->document;
    ob_start();
    imagepng($white);
    $clean = Breakdown::of((string) ob_get_clean(), 100.0)->document;
    $count = static fn (array $d): int => count($d['parts']) + count($d['details']);
    expect(abs($count($poor) - $count($clean)))->toBeLessThanOrEqual(intdiv($count($clean), 3));
});
