<?php

declare(strict_types=1);

/*
 * Draws what is known of a drawing after each stage of seeing (docs/seeing.md), side by side.
 *   php bin/stages.php DRAWING.png HEIGHT_MM OUT.png
 */

use Impa\Colour\Srgb;
use Impa\Raster\Grain;
use Impa\Raster\Raster;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Decomposition\PartExtraction;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Segmentation\FlatColours;
use Impa\Seeing\Segmentation\Regions;
use Impa\Voice\Refusal;

require __DIR__.'/../vendor/autoload.php';

[$file, $heightMm, $out] = array_slice($argv, 1) + ['', '', ''];
if (! is_file($file) || (float) $heightMm <= 0.0 || $out === '') {
    fwrite(STDERR, "php bin/stages.php DRAWING.png HEIGHT_MM OUT.png\n");
    exit(2);
}
set_exception_handler(static function (Throwable $e): void {
    fwrite(STDERR, $e->getMessage()."\n");
    exit($e instanceof Refusal ? 2 : 1);
});
$bytes = (string) file_get_contents($file);
$raster = Grain::smoothed(Raster::decode($bytes, Raster::LOOK_PX, true));
$ground = Background::of($raster);
$flat = FlatColours::of($raster, $ground);
$regions = Regions::of($flat, $raster, $ground);
$parts = PartExtraction::of($regions, static function (): void {
});
$figure = Breakdown::of($bytes, (float) $heightMm)->figure();

const SHEET = 0xFBF7EF;
const PX = 300;
const TITLE_PX = 26;

/** A colour for what has none of its own: hues by the golden angle, so that neighbours in number lie far apart. */
$apart = static function (int $i): int {
    $turn = 2 * M_PI * 0.381966 * $i;
    $channel = static fn (float $off): int => (int) round(150 + 75 * cos($turn + $off));

    return $channel(0.0) << 16 | $channel(2 * M_PI / 3) << 8 | $channel(-2 * M_PI / 3);
};
$dot = static fn (Srgb $c): int => (int) hexdec(substr($c->toHex(), 1));

/** A picture of the raster's size, each pixel by a rule. */
$drawn = static function (callable $colour) use ($raster): GdImage {
    $image = imagecreatetruecolor($raster->width, $raster->height);
    for ($y = 0; $y < $raster->height; $y++) {
        for ($x = 0; $x < $raster->width; $x++) {
            imagesetpixel($image, $x, $y, $colour($y * $raster->width + $x));
        }
    }

    return $image;
};
$shapes = $drawn(static fn (int $i): int => $ground->figure[$i] ? 0xE4DDD0 : SHEET);
imageantialias($shapes, true);
foreach ($parts->pieces as $i => $piece) {
    foreach ($piece->fit->outlinePx() as $loop) {
        $points = array_merge(...array_map(static fn (array $p): array => [(int) round($p[0]), (int) round(-$p[1])], $loop));
        foreach ([-1, 0, 1] as $by) {
            imagepolygon($shapes, array_map(static fn (int $at): int => $at + $by, $points), $apart($i));
        }
    }
}
$stages = [
    '1 The drawing' => $drawn(static fn (int $i): int => ($raster->pixels[$i] >> 24 & 127) > 63 ? SHEET : $raster->pixels[$i] & 0xFFFFFF),
    '2 Figure, not ground' => $drawn(static fn (int $i): int => $ground->figure[$i] ? 0x4A4238 : SHEET),
    '5 Flat colours' => $drawn(static fn (int $i): int => $flat->labels[$i] < 0 ? SHEET : $dot($flat->colours[$flat->labels[$i]])),
    '6 Regions' => $drawn(static fn (int $i): int => $regions->map[$i] < 0 ? SHEET : $apart($regions->map[$i])),
    '7, 8 Pieces' => $drawn(static fn (int $i): int => $parts->map[$i] < 0 ? SHEET : $apart($parts->map[$i])),
    '9 Simple shapes' => $shapes,
    'The figure' => imagecreatefromstring(Painter::png($figure, View::Front, 600, Srgb::hex('#fbf7ef'))),
    'The figure, from the side' => imagecreatefromstring(Painter::png($figure, View::Side, 600, Srgb::hex('#fbf7ef'))),
];

$across = 4;
$sheet = imagecreatetruecolor($across * PX, (int) ceil(count($stages) / $across) * (PX + TITLE_PX));
imagefill($sheet, 0, 0, SHEET);
foreach (array_keys($stages) as $n => $title) {
    $image = $stages[$title];
    [$left, $top] = [$n % $across * PX, intdiv($n, $across) * (PX + TITLE_PX)];
    imagestring($sheet, 5, $left + 10, $top + 6, $title, 0x3A342C);
    $scale = min((PX - 20) / imagesx($image), (PX - 20) / imagesy($image));
    [$w, $h] = [(int) (imagesx($image) * $scale), (int) (imagesy($image) * $scale)];
    imagecopyresampled(
        $sheet, $image,
        $left + intdiv(PX - $w, 2), $top + TITLE_PX + intdiv(PX - $h, 2), 0, 0, $w, $h, imagesx($image), imagesy($image),
    );
}
imagetruecolortopalette($sheet, false, 128);
imagepng($sheet, $out, 9);
