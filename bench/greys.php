<?php

declare(strict_types=1);

use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Raster\Grain;
use Impa\Raster\Raster;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Result\Agreement;

/*
 * Whether pale and grey parts are told from paper and from shadows: made-up characters (bench/characters.php) whose large parts are grey
 * or hardly tinted (L* 35 to 92, chroma 2 to 6) and lie side by side along the rim, beside the same in bright colours, on white, cream and
 * grey paper, with edges of one to three pixels; then with a soft shadow under them or behind them, blurred by 2 to 8 % of the figure.
 *
 *   php bench/greys.php [--seed=1] [--count=60] [--whole] [--sheet=FOLDER]
 *
 * Seeds below 2600 are for tuning; those from 2600 on are kept aside. Told are the overlap of what is taken for the figure with what was
 * drawn, and what of a shadow stays; with --whole, the agreement of the broken-down figure with its drawing as well. What fails goes to
 * FOLDER, never into the repository.
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/characters.php';

const PX = 400;
const MARGIN_PX = 40;
const PAPERS = ['white' => 0xFFFFFF, 'cream' => 0xF6EEDC, 'grey' => 0xDEDEDE];
/** A colour lies at least so far from the paper, in Lab: what is nearer, nobody sees. */
const SEEN = 7.0;

ini_set('memory_limit', '1G');
$options = getopt('', ['seed:', 'count:', 'whole', 'sheet:']);
$folder = $options['sheet'] ?? sys_get_temp_dir().'/impa-greys';
@mkdir($folder, 0777, true);
$rows = [];
for ($n = 0; $n < (int) ($options['count'] ?? 60); $n++) {
    $seed = (int) ($options['seed'] ?? 1) + $n;
    $random = new Random\Randomizer(new Random\Engine\Mt19937($seed * 7 + 1));
    $paper = array_keys(PAPERS)[$n % 3];
    $edge = 1 + intdiv($n, 3) % 3;
    $blur = 0.02 + 0.06 * $random->getInt(0, 100) / 100;
    foreach (['bright', 'grey'] as $scheme) {
        $clean = drawn(character($seed), $scheme, PAPERS[$paper], $random);
        $shadows = ['none' => null, 'ground' => ground($clean, $blur, $random), 'behind' => behind($clean, $blur, $random)];
        foreach ($shadows as $shadow => $dark) {
            $picture = onPaper($clean, PAPERS[$paper], $edge, $dark);
            $row = ['seed' => $seed, 'paper' => $paper, 'edge' => $edge, 'scheme' => $scheme, 'shadow' => $shadow, 'blur' => $blur]
                + masked($picture, $clean, $dark);
            if (isset($options['whole']) && $shadow === 'none') {
                $row['agreement'] = agreement($picture, $clean);
            }
            $isBad = $row['overlap'] < 0.95 || $row['left'] > 0.05;
            $isBad && imagepng($picture, "$folder/$seed-$scheme-$shadow.png");
            $isBad && printf(
                "  seed %d %s, %s shadow, blur %.3f, %s paper, edge %d: overlap %.3f, left %.2f\n",
                $seed, $scheme, $shadow, $blur, $paper, $edge, $row['overlap'], $row['left'],
            );
            $rows[] = $row;
        }
    }
}
foreach (['bright', 'grey'] as $scheme) {
    foreach (['none', 'ground', 'behind'] as $shadow) {
        $these = array_values(array_filter($rows, static fn (array $r): bool => $r['scheme'] === $scheme && $r['shadow'] === $shadow));
        $overlaps = array_column($these, 'overlap');
        sort($overlaps);
        $gone = count(array_filter($these, static fn (array $r): bool => $r['left'] <= 0.05)) / count($these);
        printf(
            "%-6s %-6s overlap %.3f (1st percentile %.3f, worst %.3f), shadow gone %.2f\n",
            $scheme, $shadow, array_sum($overlaps) / count($overlaps), $overlaps[(int) (0.01 * count($overlaps))], $overlaps[0], $gone,
        );
    }
}
if (isset($options['whole'])) {
    $of = static fn (string $scheme): array => array_column(
        array_filter($rows, static fn (array $r): bool => $r['scheme'] === $scheme && $r['shadow'] === 'none'),
        'agreement',
        'seed',
    );
    [$bright, $grey] = [$of('bright'), $of('grey')];
    $within = count(array_filter($grey, static fn (float $a, int $seed): bool => $a >= $bright[$seed] - 0.02, ARRAY_FILTER_USE_BOTH));
    printf(
        "agreement: bright %.3f, grey %.3f; grey within 0.02 of bright or above: %.3f\n",
        array_sum($bright) / count($bright), array_sum($grey) / count($grey), $within / count($grey),
    );
}

/** The character on a transparent ground, with its large parts in other colours. */
function drawn(stdClass $document, string $scheme, int $paper, Random\Randomizer $random): GdImage
{
    $paper = Srgb::of($paper >> 16, $paper >> 8 & 255, $paper & 255)->lab();
    $chosen = [];
    foreach ($document->colours as $colour) {
        if (! in_array($colour->key, ['head', 'body', 'limb'], true)) {
            continue;
        }
        do {
            $hue = $random->getInt(0, 359);
            $chroma = $scheme === 'grey' ? $random->getInt(20, 60) / 10 : $random->getInt(40, 55);
            // Every other colour is a pale one.
            $light = $scheme === 'grey' ? $random->getInt(count($chosen) % 2 === 0 ? 80 : 35, 92) : $random->getInt(40, 65);
            $lab = [$light, $chroma * cos(deg2rad($hue)), $chroma * sin(deg2rad($hue))];
            $far = static fn (array $o): float => sqrt(($o[0] - $lab[0]) ** 2 + ($o[1] - $lab[1]) ** 2 + ($o[2] - $lab[2]) ** 2);
        } while ($far([$paper->l, $paper->a, $paper->b]) < SEEN || min([INF, ...array_map($far, $chosen)]) < SEEN);
        $chosen[] = $lab;
        $colour->hex = hex($hue, $chroma, $light);
    }
    $image = imagecreatefromstring(Painter::png(Figure::fromDocument($document), View::Front, PX));
    $wide = imagecreatetruecolor(imagesx($image) + 2 * MARGIN_PX, imagesy($image) + 2 * MARGIN_PX);
    imagealphablending($wide, false);
    imagefill($wide, 0, 0, 0x7FFFFFFF);
    imagecopy($wide, $image, MARGIN_PX, MARGIN_PX, 0, 0, imagesx($image), imagesy($image));
    imagesavealpha($wide, true);

    return $wide;
}

/** @return list<float> how dark each pixel's shadow is, 0 to 1: an ellipse under the figure */
function ground(GdImage $clean, float $blur, Random\Randomizer $random): array
{
    [$w, $h] = [imagesx($clean), imagesy($clean)];
    $rx = (0.35 + 0.2 * $random->getInt(0, 100) / 100) * ($w - 2 * MARGIN_PX);
    $ry = (0.03 + 0.05 * $random->getInt(0, 100) / 100) * ($h - 2 * MARGIN_PX);
    $most = 0.2 + 0.25 * $random->getInt(0, 100) / 100;
    $dark = [];
    for ($i = 0; $i < $w * $h; $i++) {
        [$x, $y] = [($i % $w - $w / 2) / $rx, (intdiv($i, $w) - ($h - MARGIN_PX - $ry / 2)) / $ry];
        $dark[] = $x * $x + $y * $y < 1.0 ? $most : 0.0;
    }

    return blurred($dark, $w, $blur * PX);
}

/** @return list<float> how dark each pixel's shadow is: the figure's own outline, moved */
function behind(GdImage $clean, float $blur, Random\Randomizer $random): array
{
    [$w, $h] = [imagesx($clean), imagesy($clean)];
    $most = 0.2 + 0.25 * $random->getInt(0, 100) / 100;
    [$dx, $dy] = [$random->getInt(-14, 14), $random->getInt(0, 14)];
    $dark = [];
    for ($i = 0; $i < $w * $h; $i++) {
        [$x, $y] = [$i % $w - $dx, intdiv($i, $w) - $dy];
        $isIn = $x >= 0 && $x < $w && $y >= 0 && $y < $h && (imagecolorat($clean, $x, $y) >> 24) < 64;
        $dark[] = $isIn ? $most : 0.0;
    }

    return blurred($dark, $w, $blur * PX);
}

/**
 * Three boxes one after the other, which is near a bell; its sides stretch over about so many pixels.
 *
 * @param  list<float>  $values
 * @return list<float>
 */
function blurred(array $values, int $w, float $px): array
{
    $h = intdiv(count($values), $w);
    $r = max(1, (int) round($px / 3));
    for ($pass = 0; $pass < 3; $pass++) {
        $values = boxed(boxed($values, $w, $h, $r, 1), $w, $h, $r, $w);
    }

    return $values;
}

/** A running mean over 2 r + 1 along one direction; what lies beyond the picture is as its border. */
function boxed(array $values, int $w, int $h, float $r, int $step): array
{
    [$lines, $long, $next] = $step === 1 ? [$h, $w, $w] : [$w, $h, 1];
    $out = $values;
    for ($line = 0; $line < $lines; $line++) {
        $sum = [0.0];
        for ($k = 0; $k < $long; $k++) {
            $sum[] = $sum[$k] + $values[$line * $next + $k * $step];
        }
        for ($k = 0; $k < $long; $k++) {
            [$from, $to] = [max(0, $k - (int) $r), min($long, $k + (int) $r + 1)];
            $out[$line * $next + $k * $step] = ($sum[$to] - $sum[$from]) / ($to - $from);
        }
    }

    return $out;
}

/**
 * @param  int  $edge  how many pixels an edge is wide
 * @param  ?list<float>  $dark
 */
function onPaper(GdImage $clean, int $paper, int $edge, ?array $dark): GdImage
{
    [$w, $h] = [imagesx($clean), imagesy($clean)];
    $planes = [[], [], []];
    for ($i = 0; $i < $w * $h; $i++) {
        $p = imagecolorat($clean, $i % $w, intdiv($i, $w));
        $in = 1.0 - ($p >> 24) / 127;
        foreach ([16, 8, 0] as $k => $shift) {
            $planes[$k][] = $in * ($p >> $shift & 255) + (1.0 - $in) * ($paper >> $shift & 255) * (1.0 - ($dark[$i] ?? 0.0));
        }
    }
    // The renderer's own edges are a pixel wide; a mean over two or three makes them wider.
    if ($edge > 1) {
        $planes = array_map(static fn (array $p): array => soft(soft($p, $w, $h, $edge, 1), $w, $h, $edge, $w), $planes);
    }
    $image = imagecreatetruecolor($w, $h);
    for ($i = 0; $i < $w * $h; $i++) {
        $rgb = array_map(static fn (array $p): int => max(0, min(255, (int) round($p[$i]))), $planes);
        imagesetpixel($image, $i % $w, intdiv($i, $w), $rgb[0] << 16 | $rgb[1] << 8 | $rgb[2]);
    }

    return $image;
}

/** A mean over two or three neighbours along one direction. */
function soft(array $values, int $w, int $h, int $edge, int $step): array
{
    $out = $values;
    for ($i = $step; $i < $w * $h - $step; $i++) {
        $out[$i] = $edge === 2
            ? ($values[$i - $step] + 2 * $values[$i] + $values[$i + $step]) / 4
            : ($values[$i - $step] + $values[$i] + $values[$i + $step]) / 3;
    }

    return $out;
}

function bytes(GdImage $image): string
{
    ob_start();
    imagepng($image);

    return (string) ob_get_clean();
}

/**
 * @param  ?list<float>  $dark
 * @return array{overlap: float, left: float} of the figure that is told from the paper, and how much of the shadow stays in it
 */
function masked(GdImage $picture, GdImage $clean, ?array $dark): array
{
    $raster = Grain::smoothed(Raster::decode(bytes($picture), 2 * PX, true));
    $figure = Background::of($raster)->figure;
    $both = $either = $stays = $all = 0;
    $w = imagesx($clean);
    $isDrawn = static fn (int $x, int $y): bool => $x >= 0 && $x < $w && $y >= 0 && $y < imagesy($clean)
        && (imagecolorat($clean, $x, $y) >> 24) < 127;
    foreach ($figure as $i => $in) {
        [$x, $y] = [$i % $w, intdiv($i, $w)];
        $is = (imagecolorat($clean, $x, $y) >> 24) < 64;
        $both += (int) ($in && $is);
        $either += (int) ($in || $is);
        // The figure's own edge, which is up to three pixels wide, is no shadow.
        $isShadow = ($dark[$i] ?? 0.0) > 0.03 && ! $isDrawn($x, $y) && ! $isDrawn($x - 3, $y) && ! $isDrawn($x + 3, $y)
            && ! $isDrawn($x, $y - 3) && ! $isDrawn($x, $y + 3);
        $all += (int) $isShadow;
        $stays += (int) ($isShadow && $in);
    }

    return ['overlap' => $both / max(1, $either), 'left' => $stays / max(1, $all)];
}

/** Of the drawing as it was drawn: by its own transparency. */
function agreement(GdImage $picture, GdImage $clean): float
{
    try {
        $figure = Breakdown::of(bytes($picture), 100.0)->figure();
    } catch (Throwable) {
        return 0.0;
    }

    return Agreement::of(bytes($clean), Painter::match($figure))->share;
}
