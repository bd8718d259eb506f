<?php

declare(strict_types=1);

use Impa\Figure\Figure;
use Impa\Raster\Raster;
use Impa\Render\Painter;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Result\Agreement;

/*
 * How well the break-down sees drawings it was not made for: flat drawings from npm packages (development dependencies), rasterised at
 * 512 px: twemoji (CC BY 4.0), on which it was tuned, and noto (Apache 2.0) and fxemoji (Apache 2.0), which are kept aside for measuring.
 * For each: agreement (share of the drawing's own pixels, by its own transparency, within CIEDE2000 12 of the render), overlap of the
 * silhouettes, parts and details, milliseconds and memory; the same for its mirror image, with an ink outline round every colour drawn
 * by machine (ink) and by hand, with gaps and wobble (hand), and as people have it (bench/variants.php).
 *
 *   bench/breakdown [--set=noto] [--only=fox,owl] [--every=4] [--variants=mirror,ink,hand,white,jpeg,...] [--plain] [--sheet=FOLDER]
 *                   [--json=FILE]
 *
 * --every=4 takes every fourth drawing of the whole package in place of bench/drawings.txt; --plain leaves all variants out, and without
 * --variants only mirror, ink and hand are looked at; the worst ten of each go to contact sheets in FOLDER (else a temporary one), never
 * into the repository.
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/variants.php';

const PX = 512;
const HEIGHT_MM = 110;
/** The variants' ink: its width as a share of the drawing's side; by hand with a gap after so long a stroke, and bent so far. */
const INK = '#1b1512';
const INK_WIDTH = 0.7 / 36;
const GAPS = [9 / 36, 0.45 / 36];
const WOBBLE = 0.5 / 36;

ini_set('memory_limit', '512M');
$options = getopt('', ['set:', 'only:', 'every:', 'variants:', 'plain', 'sheet:', 'json:', 'worker:']);
$folder = $options['sheet'] ?? sys_get_temp_dir().'/impa-breakdown-'.($options['set'] ?? 'twemoji');
$looks = isset($options['plain']) ? [] : array_filter(explode(',', $options['variants'] ?? 'mirror,ink,hand'));
foreach (array_diff($looks, ['mirror', 'ink', 'hand', ...array_keys(variants())]) as $unknown) {
    exit("There is no variant called $unknown: mirror, ink, hand, ".implode(', ', array_keys(variants())).".\n");
}
@mkdir($folder.'/png', 0777, true);

if (isset($options['worker'])) {
    foreach (array_filter(explode(',', trim((string) fgets(STDIN)))) as $name) {
        echo json_encode(measured($name, $folder, ['', ...$looks]), JSON_THROW_ON_ERROR), "\n";
    }
    exit(0);
}

[$bodies, $side] = drawings($options['set'] ?? 'twemoji');
$names = array_map(trim(...), file(__DIR__.'/drawings.txt') ?: []);
$names = array_values(array_filter($names, static fn (string $name): bool => isset($bodies[$name])));
if (isset($options['only'])) {
    $names = explode(',', $options['only']);
} elseif (isset($options['every'])) {
    $names = array_map(strval(...), array_keys($bodies));
    sort($names);
    $names = array_values(
        array_filter($names, static fn (int $i): bool => $i % (int) $options['every'] === 0, ARRAY_FILTER_USE_KEY),
    );
}
foreach ($names as $name) {
    rasterise($folder, $name, $bodies[$name] ?? exit("There is no drawing called $name.\n"), $side);
}
$rows = measuredByTwo($names, $folder, $looks);
report($rows, ['', ...$looks]);
if (isset($options['json'])) {
    file_put_contents($options['json'], json_encode($rows, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR));
}
foreach (['', ...$looks] as $variant) {
    contactSheet($rows, $folder, $variant);
}

/** @return array{array<string, string>, float} bodies of the SVG drawings by name, and the side of their box */
function drawings(string $set): array
{
    $file = __DIR__."/../node_modules/@iconify-json/$set/icons.json";
    is_file($file) || exit("The drawings are missing: npm ci\n");
    $package = json_decode((string) file_get_contents($file), true, 512, JSON_THROW_ON_ERROR);

    return [array_map(static fn (array $icon): string => $icon['body'], $package['icons']), (float) $package['width']];
}

/** The drawing, its mirror image, inked by machine and by hand, and what is left of the hand's without its ink. */
function rasterise(string $folder, string $name, string $body, float $side): void
{
    $inked = static fn (string $more): string => (string) preg_replace(
        '/<(path|circle|ellipse|rect|polygon)(?![a-z])(?![^>]*stroke)/',
        sprintf('<$1 stroke="%s" stroke-width="%s" stroke-linejoin="round" stroke-linecap="round"%s', INK, INK_WIDTH * $side, $more),
        $body,
    );
    $wobbly = static fn (string $inside): string => sprintf(
        '<filter id="hand" x="-10%%" y="-10%%" width="120%%" height="120%%" color-interpolation-filters="sRGB">'.
            '<feTurbulence type="fractalNoise" baseFrequency="%.5f" numOctaves="2" seed="4"/>'.
            '<feDisplacementMap in="SourceGraphic" scale="%.4f" xChannelSelector="R" yChannelSelector="G"/></filter>'.
            '<g filter="url(#hand)">%s</g>',
        6 / $side,
        4 * WOBBLE * $side,
        $inside,
    );
    $drawn = [
        '' => $body,
        '-mirror' => sprintf('<g transform="translate(%s 0) scale(-1 1)">%s</g>', $side, $body),
        '-ink' => $inked(''),
        '-hand' => $wobbly($inked(sprintf(' stroke-dasharray="%.4f %.4f"', GAPS[0] * $side, GAPS[1] * $side))),
        '-hand-plain' => $wobbly($body),
    ];
    foreach ($drawn as $suffix => $inside) {
        $png = "$folder/png/$name$suffix.png";
        if (is_file($png)) {
            continue;
        }
        $svg = "$folder/$name$suffix.svg";
        $box = sprintf('%s %s %s %s', -$side / 36, -$side / 36, 38 * $side / 36, 38 * $side / 36);
        file_put_contents(
            $svg,
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="'.$box.'">'.$inside.'</svg>',
        );
        exec(sprintf('rsvg-convert -w %d -h %d -o %s %s', PX, PX, escapeshellarg($png), escapeshellarg($svg)), $_, $code);
        $code === 0 || exit("rsvg-convert is missing: apt-get install librsvg2-bin\n");
        unlink($svg);
    }
}

/** @return array{string, string, ?callable(int): bool} the picture, what ought to be seen in it, and what of that does not count */
function looked(string $name, string $variant, string $folder): array
{
    $file = static fn (string $suffix): string => (string) file_get_contents("$folder/png/$name$suffix.png");
    $clean = $file('');
    if ($variant === '' || $variant === 'mirror') {
        $picture = $file($variant === '' ? '' : '-mirror');

        return [$picture, $picture, null];
    }
    if ($variant === 'ink' || $variant === 'hand') {
        $plain = $variant === 'ink' ? $clean : $file('-hand-plain');

        // The figure is what is drawn, its ink included, which is not counted.
        return [$file("-$variant"), $file("-$variant"), inkOf($file("-$variant"), $plain)];
    }
    $image = imagecreatefromstring($clean);
    imagepalettetotruecolor($image);

    return [variants()[$variant]($image), wanted($variant, $image), null];
}

/**
 * @param  list<string>  $variants
 * @return array<string, mixed>
 */
function measured(string $name, string $folder, array $variants): array
{
    $row = ['name' => $name];
    foreach ($variants as $variant) {
        [$picture, $wanted, $leftOut] = looked($name, $variant, $folder);
        memory_reset_peak_usage();
        $start = hrtime(true);
        try {
            $breakdown = Breakdown::of($picture, HEIGHT_MM, $name);
            $ms = (hrtime(true) - $start) / 1e6;
            $mb = memory_get_peak_usage() / 1e6;
            $figure = Figure::fromJson(json_encode($breakdown->document, JSON_THROW_ON_ERROR));
            $render = Painter::match($figure);
        } catch (Throwable $e) {
            $row['threw'][$variant] = get_class($e).': '.$e->getMessage().' at '.basename($e->getFile()).':'.$e->getLine();

            continue;
        }
        $as = "$folder/$name".($variant === '' ? '' : "-$variant");
        file_put_contents($as.(str_starts_with($picture, "\x89PNG") ? '.png' : '.jpg'), $picture);
        file_put_contents("$as-render.png", $render);
        file_put_contents("$as.json", json_encode($breakdown->document, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR));
        $agreement = Agreement::of($wanted, sizedTo($render, $wanted), $leftOut);
        $row['at'][$variant] = [
            'share' => $agreement->share,
            'overlap' => $agreement->overlap,
            'parts' => count($figure->parts),
            'things' => count($figure->parts) + count($figure->details),
            'pairs' => count(
                array_filter(
                    [...$breakdown->document['parts'], ...$breakdown->document['details']],
                    static fn (array $p): bool => $p['mirror'],
                ),
            ),
            'ms' => $ms,
            'mb' => $mb,
        ];
    }

    return $row;
}

/** A render of a small picture, as large as what it is laid over. */
function sizedTo(string $render, string $wanted): string
{
    [$made, $other] = [imagecreatefromstring($render), imagecreatefromstring($wanted)];
    if (imagesx($made) === imagesx($other)) {
        return $render;
    }
    $large = imagecreatetruecolor(imagesx($other), imagesy($other));
    imagealphablending($large, false);
    imagecopyresized($large, $made, 0, 0, 0, 0, imagesx($other), imagesy($other), imagesx($made), imagesy($made));

    return png($large);
}

/** Which pixels of an inked variant are ink: changed from the drawing without it. */
function inkOf(string $inked, string $plain): callable
{
    $one = Raster::decode($inked, Agreement::LOOK_PX);
    $two = Raster::decode($plain, Agreement::LOOK_PX);

    return static function (int $i) use ($one, $two): bool {
        [$p, $q] = [$one->pixels[$i], $two->pixels[$i]];

        return $p !== $q &&
            abs((($p >> 16) & 255) - (($q >> 16) & 255)) +
                abs((($p >> 8) & 255) - (($q >> 8) & 255)) +
                abs(($p & 255) - ($q & 255)) +
                2 * abs(($p >> 24) - ($q >> 24)) >
                24;
    };
}

/**
 * @param  list<string>  $names
 * @param  list<string>  $variants
 * @return list<array<string, mixed>>
 */
function measuredByTwo(array $names, string $folder, array $variants): array
{
    $running = [];
    foreach ([0, 1] as $half) {
        $mine = array_values(array_filter($names, static fn (int $i): bool => $i % 2 === $half, ARRAY_FILTER_USE_KEY));
        if ($mine === []) {
            continue;
        }
        $command = [
            PHP_BINARY,
            ...['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M'],
            __FILE__,
            '--worker=1',
            '--sheet='.$folder,
            ...$variants === [] ? ['--plain'] : ['--variants='.implode(',', $variants)],
        ];
        $process = proc_open($command, [['pipe', 'r'], ['file', "$folder/worker$half.jsonl", 'w'], STDERR], $pipes);
        is_resource($process) || exit("No second process could be started.\n");
        fwrite($pipes[0], implode(',', $mine)."\n");
        fclose($pipes[0]);
        $running[$half] = $process;
    }
    $rows = [];
    foreach ($running as $half => $process) {
        proc_close($process);
        foreach (file("$folder/worker$half.jsonl", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            $rows[] = json_decode($line, true, 32, JSON_THROW_ON_ERROR);
        }
    }

    return $rows;
}

/**
 * @param  list<array<string, mixed>>  $rows
 * @param  list<string>  $variants
 */
function report(array $rows, array $variants): void
{
    $mean = static fn (array $v): float => array_sum($v) / max(1, count($v));
    $at = static function (array $v, float $share): float {
        sort($v);

        return $v === [] ? NAN : (float) $v[(int) floor($share * (count($v) - 1))];
    };
    printf("%d drawings\n%-12s", count($rows), '');
    foreach (['agreement', '10th', 'worst', 'overlap', 'off clean', 'things', 'x clean', 'within 1/3', 'ms', 'longest', 'MB'] as $head) {
        printf('%11s', $head);
    }
    echo "\n";
    foreach ($variants as $variant) {
        $here = array_values(array_filter($rows, static fn (array $r): bool => isset($r['at'][$variant], $r['at'][''])));
        $all = static fn (string $field): array => array_map(static fn (array $r): float => (float) $r['at'][$variant][$field], $here);
        $times = array_map(static fn (array $r): float => $r['at'][$variant]['things'] / max(1, $r['at']['']['things']), $here);
        printf(
            "%-12s%11.3f%11.3f%11.3f%11.3f%11.3f%11.0f%11.2f%10.0f%%%11.0f%11.0f%11.0f\n",
            $variant === '' ? 'clean' : $variant,
            $mean($all('share')),
            $at($all('share'), 0.1),
            min([1, ...$all('share')]),
            $mean($all('overlap')),
            $mean(array_map(static fn (array $r): float => $r['at']['']['share'] - $r['at'][$variant]['share'], $here)),
            $at($all('things'), 0.5),
            $mean($times),
            100 * $mean(array_map(static fn (float $t): float => (float) (abs($t - 1) <= 1 / 3), $times)),
            $at($all('ms'), 0.5),
            max([0, ...$all('ms')]),
            max([0, ...$all('mb')]),
        );
    }
    $mirrored = array_values(array_filter($rows, static fn (array $r): bool => isset($r['at'][''], $r['at']['mirror'])));
    if ($mirrored !== []) {
        $alike = static fn (callable $is): float => 100 * count(array_filter($mirrored, $is)) / count($mirrored);
        printf(
            "mirrored: within 0.01 for %.1f %%, as many pairs for %.1f %%\n",
            $alike(static fn (array $r): bool => abs($r['at']['']['share'] - $r['at']['mirror']['share']) <= 0.01),
            $alike(static fn (array $r): bool => $r['at']['']['pairs'] === $r['at']['mirror']['pairs']),
        );
    }
    $threw = array_filter($rows, static fn (array $r): bool => isset($r['threw']));
    printf("refused or failed: %d\n", count($threw));
    foreach ($threw as $r) {
        foreach ($r['threw'] as $variant => $why) {
            printf("  %s %s: %s\n", $r['name'], $variant, $why);
        }
    }
}

/**
 * The worst ten, each drawing over its render, on one sheet.
 *
 * @param  list<array<string, mixed>>  $rows
 */
function contactSheet(array $rows, string $folder, string $variant): void
{
    $share = static fn (array $row): float => $row['at'][$variant]['share'] ?? 2.0;
    usort($rows, static fn (array $a, array $b): int => $share($a) <=> $share($b));
    $tile = 240;
    $sheet = imagecreatetruecolor(5 * $tile, 4 * ($tile + 14));
    imagefill($sheet, 0, 0, 0xF4EEE0);
    foreach (array_slice($rows, 0, 10) as $k => $row) {
        $as = "$folder/{$row['name']}".($variant === '' ? '' : "-$variant");
        foreach ([is_file("$as.png") ? "$as.png" : "$as.jpg", "$as-render.png"] as $i => $file) {
            $image = is_file($file) ? imagecreatefromstring((string) file_get_contents($file)) : false;
            if ($image !== false) {
                $at = [($k % 5) * $tile, (2 * intdiv($k, 5) + $i) * ($tile + 14)];
                imagecopyresampled($sheet, $image, $at[0], $at[1], 0, 0, $tile, $tile, imagesx($image), imagesy($image));
            }
        }
        $words = sprintf('%s %.2f', $row['name'], $share($row));
        imagestring($sheet, 3, ($k % 5) * $tile + 4, 2 * intdiv($k, 5) * ($tile + 14) + $tile, $words, 0x3A2A20);
    }
    $file = "$folder/worst".($variant === '' ? '' : "-$variant").'.png';
    imagepng($sheet, $file);
    echo 'The worst ten'.($variant === '' ? '' : ", $variant").": $file\n";
}
