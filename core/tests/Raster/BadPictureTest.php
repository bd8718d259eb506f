<?php

declare(strict_types=1);

namespace Impa\Tests\BadPicture;

use GdImage;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\Raster;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Segmentation\PictureAdvice;
use Impa\Tests\Support\Pixels;
use Impa\Tests\Support\Sketch;

/** What is said of a picture. */
function said(string $png): string
{
    $raster = Raster::decode($png);
    $ground = Background::of($raster);

    return implode(' ', [...$ground->notices, ...PictureAdvice::of($ground, $raster->width)]);
}

/** A small creature about a place. */
function creature(Sketch $sheet, float $x, float $y, float $size = 1.0): Sketch
{
    return $sheet->oval($x, $y + 30 * $size, 60 * $size, 80 * $size, 0x2F8F86)->oval($x, $y - 30 * $size, 60 * $size, 50 * $size, 0xF2D8A0);
}

it('tells in a plain sentence what would make a better picture', function (string $case, string $words) {
    $png = match ($case) {
        'text' => Pixels::png(static function (GdImage $image): void {
            for ($row = 0; $row < 30; $row++) {
                imagestring($image, 4, 30, 20 + $row * 18, substr(str_repeat('wool felts when it is stabbed ', 3), $row % 7, 60), 0x111111);
            }
        }, 600, 600),
        'comic' => (static function (): string {
            $page = new Sketch(600);
            foreach ([[110, 110], [330, 110], [110, 330]] as [$x, $y]) {
                $corners = [[$x - 90, $y - 90], [$x + 90, $y - 90], [$x + 90, $y + 90], [$x - 90, $y + 90], [$x - 90, $y - 90]];
                creature($page->line($corners, 4, 0x111111), $x, $y);
            }

            return $page->png();
        })(),
        'as large' => (new Sketch(300, 0xF2D8A0))->oval(100, 130, 30, 40, 0x111111)->oval(200, 130, 30, 40, 0x111111)
            ->oval(150, 200, 60, 20, 0xB04A50)->png(),
        'blocks' => (new Sketch)->oval(90, 200, 120, 120, 0x2050C0)->oval(200, 200, 60, 90, 0x2050C0)->oval(270, 200, 60, 90, 0x2050C0)
            ->oval(340, 200, 60, 90, 0x2050C0)->png(),
        'cut off' => creature(new Sketch, 200, 330, 2.0)->png(),
        'halo' => Pixels::png(static function (GdImage $image): void {
            imagealphablending($image, false);
            imagesavealpha($image, true);
            for ($i = 0; $i < 90000; $i++) {
                $far = hypot($i % 300 - 150, intdiv($i, 300) - 150);
                $alpha = (int) max(0, min(127, 127 * ($far - 80) / 40));
                imagesetpixel($image, $i % 300, intdiv($i, 300), $far < 80 ? 0xC05040 : $alpha << 24 | 0xFFFFFF);
            }
        }),
    };
    expect(said($png))->toContain($words);
})->with([
    ['text', 'such as text. Cut out'],
    ['comic', 'such as a comic. Cut out'],
    ['as large', 'leave some paper round it'],
    ['blocks', '4 pieces stand apart'],
    ['cut off', 'touches the edge of the picture'],
    ['halo', 'A halo round the figure'],
]);

it('says nothing of a picture that is as it should be', function (Sketch $drawing) {
    expect(said($drawing->png()))->toBe('');
})->with([
    'one' => [fn () => creature(new Sketch, 200, 180, 1.5)],
    'a small one on a large sheet' => [fn () => creature(new Sketch(600), 300, 300, 0.8)],
    'three side by side' => [fn () => creature(creature(creature(new Sketch, 80, 200), 200, 200), 320, 200)],
    'on a clear ground' => [fn () => creature(new Sketch(400, null), 200, 180, 1.5)],
]);

it('leaves the halo out, and a figure that is half seen through as it is', function () {
    $round = static fn (int $alpha): string => Pixels::png(static function (GdImage $image) use ($alpha): void {
        imagealphablending($image, false);
        imagesavealpha($image, true);
        for ($i = 0; $i < 90000; $i++) {
            $far = hypot($i % 300 - 150, intdiv($i, 300) - 150);
            imagesetpixel($image, $i % 300, intdiv($i, 300), $far < 60 ? 0xC05040 : ($far < 100 ? $alpha << 24 | 0xC05040 : 0x7FFFFFFF));
        }
    });
    expect(Background::of(Raster::decode($round(0)))->count)->toEqualWithDelta(M_PI * 10000, 200)
        // More of it is half clear than not: that is how it is drawn.
        ->and(Background::of(Raster::decode($round(40)))->count)->toEqualWithDelta(M_PI * 10000, 200);
});

describe('a file that was cut short', function () {
    it('is refused, wherever it was cut; whole it is taken, with whatever follows its end', function (string $kind, bool $isProgressive) {
        $image = imagecreatetruecolor(120, 90);
        imagefill($image, 0, 0, 0xFFFFFF);
        for ($i = 0; $i < 40; $i++) {
            imagefilledellipse($image, ($i * 37) % 120, ($i * 53) % 90, 12, 18, ($i * 654_321) % 0xFFFFFF);
        }
        imageinterlace($image, $isProgressive);
        $kind === 'gif' && imagetruecolortopalette($image, false, 64);
        ob_start();
        $kind === 'gif' ? imagegif($image) : imagejpeg($image, null, 80);
        $bytes = (string) ob_get_clean();
        expect(Raster::decode($bytes)->ownWidth)->toBe(120)->and(Raster::decode($bytes.'what a mailer added')->ownWidth)->toBe(120);
        $taken = [];
        for ($share = 0.3; $share < 0.999; $share += 0.02) {
            try {
                Raster::decode(substr($bytes, 0, (int) ($share * strlen($bytes))));
                $taken[] = $share;
            } catch (PictureRefused $refused) {
                expect($refused->getMessage())->toContain('cannot be read');
            }
        }
        expect($taken)->toBe([]);
    })->with([['jpeg', false], ['jpeg', true], ['gif', false], ['gif', true]]);
});

it('turns and mirrors a photo as its camera says, and tells its size as it is seen', function (int $orientation) {
    // An F: seen right it is like none of its seven turnings and mirror images.
    $seen = imagecreatetruecolor(64, 96);
    imagefill($seen, 0, 0, 0xFFFFFF);
    foreach ([[8, 8, 20, 88], [8, 8, 56, 20], [8, 40, 44, 52]] as [$x, $y, $right, $low]) {
        imagefilledrectangle($seen, $x, $y, $right, $low, 0x203040);
    }
    // As a sensor has it that is held so: row 0 and column 0 of what is stored are these sides of what is seen (Exif 2.32, 4.6.4).
    [$isSideways, $place] = [
        1 => [false, static fn (int $x, int $y): array => [$x, $y]],
        2 => [false, static fn (int $x, int $y): array => [63 - $x, $y]],
        3 => [false, static fn (int $x, int $y): array => [63 - $x, 95 - $y]],
        4 => [false, static fn (int $x, int $y): array => [$x, 95 - $y]],
        5 => [true, static fn (int $x, int $y): array => [$y, $x]],
        6 => [true, static fn (int $x, int $y): array => [$y, 63 - $x]],
        7 => [true, static fn (int $x, int $y): array => [95 - $y, 63 - $x]],
        8 => [true, static fn (int $x, int $y): array => [95 - $y, $x]],
    ][$orientation];
    $stored = $isSideways ? imagecreatetruecolor(96, 64) : imagecreatetruecolor(64, 96);
    for ($y = 0; $y < 96; $y++) {
        for ($x = 0; $x < 64; $x++) {
            imagesetpixel($stored, ...[...$place($x, $y), imagecolorat($seen, $x, $y)]);
        }
    }
    ob_start();
    imagejpeg($stored, null, 95);
    $bytes = (string) ob_get_clean();
    $exif = "Exif\0\0MM\0*\0\0\0\x08\0\x01\x01\x12\0\x03\0\0\0\x01\0".chr($orientation)."\0\0\0\0\0\0";
    $bytes = substr($bytes, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($bytes, 2);
    expect(array_slice(Raster::header($bytes), 0, 2))->toBe([64, 96]);
    $raster = Raster::decode($bytes);
    expect([$raster->ownWidth, $raster->ownHeight])->toBe([64, 96]);
    foreach ($raster->pixels as $i => $pixel) {
        $off = abs(($pixel & 0xFF) - (imagecolorat($seen, $i % 64, intdiv($i, 64)) & 0xFF));
        expect($off)->toBeLessThan(60, "{$orientation}: ".($i % 64).', '.intdiv($i, 64));
    }
})->with(range(1, 8));
