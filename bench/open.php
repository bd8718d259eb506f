<?php

declare(strict_types=1);

use Impa\Raster\Grain;
use Impa\Raster\Raster;
use Impa\Seeing\Foreground\Background;

/*
 * Whether a white body on white paper is kept though its outline is open: made-up inked characters (bench/known.php), all white, with
 * one to three gaps in the outer line, each 2 to 6 % of the figure's height; beside them the same without a gap, white and in colours,
 * where nothing that lies between arms and legs may be taken for a body.
 *
 *   php bench/open.php [--seed=1] [--count=60] [--sheet=FOLDER]
 *
 * Seeds up to 1000 are for tuning; those above are kept aside. Told is the overlap of what is taken for the figure with what was drawn:
 * as it is seen first, and in the other reading. What overlaps by less than 0.9 goes to FOLDER.
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/known.php';

ini_set('memory_limit', '1G');
$options = getopt('', ['seed:', 'count:', 'sheet:']);
$folder = $options['sheet'] ?? sys_get_temp_dir().'/impa-open';
@mkdir($folder, 0777, true);
$rows = [];
for ($n = 0; $n < (int) ($options['count'] ?? 60); $n++) {
    $seed = (int) ($options['seed'] ?? 1) + $n;
    mt_srand($seed);
    [$parts, $details] = known();
    $true = silhouette($parts);
    $white = array_map(static fn (array $p): array => ['colour' => 0xFFFFFF] + $p, $parts);
    foreach (['colours' => [$parts, false], 'white' => [$white, false], 'open' => [$white, true]] as $kind => [$drawn, $isOpen]) {
        $picture = sheet(drawn($drawn, $details, true));
        $gap = $isOpen ? opened($picture, $true) : 0.0;
        ob_start();
        imagepng($picture);
        $bytes = (string) ob_get_clean();
        $ground = Background::of(Grain::smoothed(Raster::decode($bytes, PX, true)));
        $row = ['kind' => $kind, 'seed' => $seed, 'gap' => $gap, 'first' => overlap($true, array_filter($ground->figure))];
        $row['unsure'] = $ground->isUnsure();
        $row['second'] = overlap($true, array_filter($ground->otherwise()->figure));
        $rows[] = $row;
        if ($row['first'] < 0.9) {
            file_put_contents("$folder/$seed-$kind.png", $bytes);
            printf("%4d %-7s gap %.3f first %.3f second %.3f\n", $seed, $kind, $gap, $row['first'], $row['second']);
        }
    }
}
echo "kind      first: mean worst  >=0.9   second: mean   said to be unsure, of those where the first is bad, good\n";
foreach (['colours', 'white', 'open'] as $kind) {
    $of = array_values(array_filter($rows, static fn (array $r): bool => $r['kind'] === $kind));
    $mean = static fn (array $values): float => $values === [] ? NAN : array_sum($values) / count($values);
    $first = array_column($of, 'first');
    $isUnsure = static fn (array $r): int => (int) $r['unsure'];
    printf(
        "%-8s        %.3f %.3f %.2f           %.3f   %.2f %.2f\n",
        $kind,
        $mean($first),
        min($first),
        $mean(array_map(static fn (float $v): int => (int) ($v >= 0.9), $first)),
        $mean(array_column($of, 'second')),
        $mean(array_map($isUnsure, array_filter($of, static fn (array $r): bool => $r['first'] < 0.9))),
        $mean(array_map($isUnsure, array_filter($of, static fn (array $r): bool => $r['first'] >= 0.9))),
    );
}

/** @return array<int, true> the pixels under all parts, and under half of the line round them */
function silhouette(array $parts): array
{
    $image = imagecreatefromstring(drawn($parts, [], true));
    $in = [];
    for ($i = 0; $i < PX * PX; $i++) {
        if ((imagecolorat($image, $i % PX, intdiv($i, PX)) >> 24) < 64) {
            $in[$i] = true;
        }
    }

    return $in;
}

function sheet(string $png): GdImage
{
    $image = imagecreatefromstring($png);
    $sheet = imagecreatetruecolor(PX, PX);
    imagefill($sheet, 0, 0, 0xFFFFFF);
    imagecopy($sheet, $image, 0, 0, 0, 0, PX, PX);

    return $sheet;
}

/**
 * Gaps in the outer line.
 *
 * @param  array<int, true>  $true
 * @return float the widest, as a share of the figure's height
 */
function opened(GdImage $picture, array $true): float
{
    $rim = array_values(array_filter(
        array_keys($true),
        static fn (int $i): bool => ! isset($true[$i - 1], $true[$i + 1], $true[$i - PX], $true[$i + PX]),
    ));
    $tall = (max($rim) - min($rim)) / PX;
    $widest = 0.0;
    for ($k = 0, $gaps = mt_rand(1, 3); $k < $gaps; $k++) {
        $gap = between(0.02, 0.06);
        $widest = max($widest, $gap);
        $at = $rim[mt_rand(0, count($rim) - 1)];
        // The pen's round ends reach into it.
        $wide = (int) round($gap * $tall + INK_PX);
        imagefilledellipse($picture, $at % PX, intdiv($at, PX), $wide, $wide, 0xFFFFFF);
    }

    return $widest;
}
