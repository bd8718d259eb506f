<?php

declare(strict_types=1);

namespace Impa\Tests\BadPicture;

use GdImage;
use Impa\Raster\Raster;
use Impa\Seeing\Background;
use Impa\Seeing\PictureAdvice;
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
