<?php

declare(strict_types=1);

use Impa\Figure\Figure;
use Impa\Raster\Raster;
use Impa\Render\Painter;
use Impa\Seeing\Agreement;
use Impa\Seeing\Breakdown;

/*
 * How well the break-down sees drawings it was not made for: flat drawings from the npm package @iconify-json/twemoji
 * (CC BY 4.0, a development dependency), rasterised at 512 px. For each: agreement (share of the figure's pixels within
 * CIEDE2000 12 of the render), overlap of the silhouettes, parts and details, the same for its mirror image and for a
 * variant with an ink outline round every colour, milliseconds and memory.
 *
 *   bench/breakdown [--only=fox,owl] [--every=4] [--plain] [--sheet=FOLDER] [--json=FILE]
 *
 * --every=4 takes every fourth drawing of the whole package in place of bench/drawings.txt; --plain leaves the mirrored
 * and inked variants out; the worst ten go to a contact sheet in FOLDER (else a temporary one), never into the repository.
 */

require __DIR__.'/../vendor/autoload.php';

const PX = 512;
const HEIGHT_MM = 110;
/** Width of the variants' ink, in the drawings' own units of 36 a side. */
const INK_UNITS = 0.7;
const INK = '#1b1512';

ini_set('memory_limit', '512M');
$options = getopt('', ['only:', 'every:', 'plain', 'sheet:', 'json:', 'worker:']);
$folder = $options['sheet'] ?? sys_get_temp_dir().'/impa-breakdown';
@mkdir($folder.'/png', 0777, true);

if (isset($options['worker'])) {
    foreach (explode(',', (string) fgets(STDIN)) as $name) {
        echo json_encode(measured(trim($name), $folder, isset($options['plain'])), JSON_THROW_ON_ERROR), "\n";
    }
    exit(0);
}

$icons = drawings();
$names = array_values(array_filter(array_map(trim(...), file(__DIR__.'/drawings.txt') ?: [])));
if (isset($options['only'])) {
    $names = explode(',', $options['only']);
} elseif (isset($options['every'])) {
    $names = array_keys($icons);
    sort($names);
    $names = array_values(
        array_filter($names, static fn (int $i): bool => $i % (int) $options['every'] === 0, ARRAY_FILTER_USE_KEY),
    );
}
foreach ($names as $name) {
    rasterise($folder, $name, $icons[$name] ?? exit("There is no drawing called $name.\n"), isset($options['plain']));
}
$rows = measuredByTwo($names, $folder, isset($options['plain']));
report($rows);
if (isset($options['json'])) {
    file_put_contents($options['json'], json_encode($rows, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR));
}
contactSheet($rows, $folder);

/** @return array<string, string> bodies of the SVG drawings by name */
function drawings(): array
{
    $file = __DIR__.'/../node_modules/@iconify-json/twemoji/icons.json';
    is_file($file) || exit("The drawings are missing: npm ci\n");

    return array_map(
        static fn (array $icon): string => $icon['body'],
        json_decode((string) file_get_contents($file), true, 512, JSON_THROW_ON_ERROR)['icons'],
    );
}

function rasterise(string $folder, string $name, string $body, bool $plain): void
{
    $outlined = preg_replace(
        '/<(path|circle|ellipse|rect|polygon)(?![a-z])(?![^>]*stroke=)/',
        sprintf('<$1 stroke="%s" stroke-width="%s" stroke-linejoin="round"', INK, INK_UNITS),
        $body,
    );
    $variants =
        ['' => $body] +
        ($plain ? [] : ['-m' => '<g transform="translate(36 0) scale(-1 1)">'.$body.'</g>', '-i' => $outlined]);
    foreach ($variants as $suffix => $inside) {
        $png = "$folder/png/$name$suffix.png";
        if (is_file($png)) {
            continue;
        }
        $svg = "$folder/$name$suffix.svg";
        file_put_contents(
            $svg,
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="-1 -1 38 38">'.
                $inside.
                '</svg>',
        );
        exec(sprintf('rsvg-convert -w %d -h %d -o %s %s', PX, PX, escapeshellarg($png), escapeshellarg($svg)), $_, $code);
        $code === 0 || exit("rsvg-convert is missing: apt-get install librsvg2-bin\n");
        unlink($svg);
    }
}

/** @return array<string, mixed> */
function measured(string $name, string $folder, bool $plain): array
{
    $row = ['name' => $name];
    foreach ($plain ? [''] : ['', '-m', '-i'] as $suffix) {
        $png = (string) file_get_contents("$folder/png/$name$suffix.png");
        memory_reset_peak_usage();
        $start = hrtime(true);
        try {
            $breakdown = Breakdown::of($png, HEIGHT_MM, $name);
            $ms = (hrtime(true) - $start) / 1e6;
            $mb = memory_get_peak_usage() / 1e6;
            $figure = Figure::fromJson(json_encode($breakdown->document, JSON_THROW_ON_ERROR));
            $render = Painter::match($figure);
        } catch (Throwable $e) {
            $row['threw'.$suffix] =
                get_class($e).': '.$e->getMessage().' at '.basename($e->getFile()).':'.$e->getLine();

            continue;
        }
        file_put_contents("$folder/$name$suffix-render.png", $render);
        file_put_contents(
            "$folder/$name$suffix.json",
            json_encode($breakdown->document, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR),
        );
        $agreement = Agreement::of(
            $png,
            $render,
            $suffix === '-i' ? inkOf($png, (string) file_get_contents("$folder/png/$name.png")) : null,
        );
        $twins = count(
            array_filter(
                [...$breakdown->document['parts'], ...$breakdown->document['details']],
                static fn (array $p): bool => $p['mirror'],
            ),
        );
        $row['at'.$suffix] = [
            'share' => $agreement->share,
            'overlap' => $agreement->overlap,
            'parts' => count($figure->parts),
            'details' => count($figure->details),
            'pairs' => $twins,
            'ms' => $ms,
            'mb' => $mb,
        ];
    }

    return $row;
}

/** Which pixels of the inked variant are ink: dark there, and changed from the drawing. */
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
 * @return list<array<string, mixed>>
 */
function measuredByTwo(array $names, string $folder, bool $plain): array
{
    $running = [];
    foreach ([0, 1] as $half) {
        $mine = array_values(array_filter($names, static fn (int $i): bool => $i % 2 === $half, ARRAY_FILTER_USE_KEY));
        if ($mine === []) {
            continue;
        }
        $command = [
            PHP_BINARY,
            '-d',
            'opcache.enable_cli=1',
            '-d',
            'opcache.jit=tracing',
            '-d',
            'opcache.jit_buffer_size=64M',
            __FILE__,
            '--worker=1',
            '--sheet='.$folder,
            ...$plain ? ['--plain'] : [],
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

/** @param  list<array<string, mixed>>  $rows */
function report(array $rows): void
{
    $column = static fn (string $variant, string $field): array => array_values(
        array_filter(
            array_map(static fn (array $r): ?float => isset($r[$variant]) ? (float) $r[$variant][$field] : null, $rows),
            is_float(...),
        ),
    );
    $mean = static fn (array $v): float => array_sum($v) / max(1, count($v));
    $at = static function (array $v, float $share): float {
        sort($v);

        return $v === [] ? NAN : $v[(int) floor($share * (count($v) - 1))];
    };
    usort($rows, static fn (array $a, array $b): int => ($a['at']['share'] ?? -1) <=> ($b['at']['share'] ?? -1));
    printf(
        "%-34s %9s %8s %6s %8s %6s %8s %8s %6s %6s\n",
        'drawing',
        'agreement',
        'overlap',
        'parts',
        'details',
        'pairs',
        'mirrored',
        'inked',
        'ms',
        'MB',
    );
    foreach ($rows as $r) {
        $a = $r['at'] ?? null;
        $a === null
            ? printf("%-34s %s\n", $r['name'], $r['threw'] ?? '')
            : printf(
                "%-34s %9.3f %8.3f %6d %8d %6d %8.3f %8.3f %6.0f %6.0f\n",
                $r['name'],
                $a['share'],
                $a['overlap'],
                $a['parts'],
                $a['details'],
                $a['pairs'],
                $r['at-m']['share'] ?? NAN,
                $r['at-i']['share'] ?? NAN,
                $a['ms'],
                $a['mb'],
            );
    }
    [$share, $overlap] = [$column('at', 'share'), $column('at', 'overlap')];
    $things = array_map(static fn (float $p, float $d): float => $p + $d, $column('at', 'parts'), $column('at', 'details'));
    printf("\n%d drawings\n", count($rows));
    printf("agreement: mean %.3f (asked 0.93), 10th percentile %.3f (asked 0.85)\n", $mean($share), $at($share, 0.1));
    printf("overlap of silhouettes: mean %.3f (asked 0.95)\n", $mean($overlap));
    printf("parts and details: median %d (asked 16 at most)\n", $at($things, 0.5));
    printf(
        "break-down: median %.0f ms (asked 1500), longest %.0f ms, most memory %.0f MB (asked 128)\n",
        $at($column('at', 'ms'), 0.5),
        max([0, ...$column('at', 'ms')]),
        max([0, ...$column('at', 'mb')]),
    );
    $mirrored = array_values(array_filter($rows, static fn (array $r): bool => isset($r['at'], $r['at-m'])));
    if ($mirrored !== []) {
        $same = count(array_filter($mirrored, static fn (array $r): bool => abs($r['at']['share'] - $r['at-m']['share']) <= 0.01));
        $pairs = count(array_filter($mirrored, static fn (array $r): bool => $r['at']['pairs'] === $r['at-m']['pairs']));
        printf(
            "mirrored: within 0.01 for %.1f %% (asked 95), as many pairs for %.1f %%\n",
            (100 * $same) / count($mirrored),
            (100 * $pairs) / count($mirrored),
        );
        printf(
            "inked: mean agreement off the ink %.3f (asked 0.90), 10th percentile %.3f, parts and details: median %d\n",
            $mean($column('at-i', 'share')),
            $at($column('at-i', 'share'), 0.1),
            $at(
                array_map(static fn (float $p, float $d): float => $p + $d, $column('at-i', 'parts'), $column('at-i', 'details')),
                0.5,
            ),
        );
    }
    $threw = array_filter($rows, static fn (array $r): bool => isset($r['threw']) || isset($r['threw-m']) || isset($r['threw-i']));
    printf("refused or failed: %d\n", count($threw));
    foreach ($threw as $r) {
        printf("  %s: %s\n", $r['name'], $r['threw'] ?? ($r['threw-m'] ?? $r['threw-i']));
    }
}

/**
 * The worst ten, each drawing over its render, on one sheet.
 *
 * @param  list<array<string, mixed>>  $rows
 */
function contactSheet(array $rows, string $folder): void
{
    usort($rows, static fn (array $a, array $b): int => ($a['at']['share'] ?? 2) <=> ($b['at']['share'] ?? 2));
    $tile = 240;
    $sheet = imagecreatetruecolor(5 * $tile, 4 * ($tile + 14));
    imagefill($sheet, 0, 0, 0xF4EEE0);
    foreach (array_slice($rows, 0, 10) as $k => $row) {
        foreach (["$folder/png/{$row['name']}.png", "$folder/{$row['name']}-render.png"] as $i => $file) {
            $image = @imagecreatefrompng($file);
            if ($image !== false) {
                imagecopyresampled(
                    $sheet,
                    $image,
                    ($k % 5) * $tile,
                    (2 * intdiv($k, 5) + $i) * ($tile + 14),
                    0,
                    0,
                    $tile,
                    $tile,
                    imagesx($image),
                    imagesy($image),
                );
            }
        }
        imagestring(
            $sheet,
            3,
            ($k % 5) * $tile + 4,
            2 * intdiv($k, 5) * ($tile + 14) + $tile,
            sprintf('%s %.2f', $row['name'], $row['at']['share'] ?? 0),
            0x3A2A20,
        );
    }
    imagepng($sheet, "$folder/worst.png");
    echo "The worst ten: $folder/worst.png\n";
}
