<?php

declare(strict_types=1);

use Impa\Figure\Figure;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Seeing\Breakdown;

/*
 * Whether the break-down finds the parts that a drawing was made of: random characters of known parts, flat and inked, drawn here by
 * polygons alone. A part counts as found where a found piece overlaps it by 0.6 (intersection over union), whole (its hidden half
 * included) and seen (only what is not hidden).
 *
 *   php bench/structure.php [--count=40] [--seed=1] [--inked] [--sheet=FOLDER] [--sums]
 *
 * Seeds up to 1000 are for tuning; those above are kept aside for measuring. The worst ten, with the found parts' outlines over
 * them, go to a contact sheet in FOLDER (else a temporary one), never into the repository. With --sums only counts are told, and a digest
 * of each document, as JSON.
 */

require __DIR__.'/../vendor/autoload.php';

const PX = 512;
/** Drawn so many times as large, and made small: its edges are smooth then. */
const FINE = 3;
const INK_PX = 6;
const FOUND = 0.6;
const WELL_FOUND = 0.75;
/** Overlaps are counted on every so many pixels each way. */
const GRID = 4;

ini_set('memory_limit', '512M');
$options = getopt('', ['count:', 'seed:', 'inked', 'sheet:', 'sums']);
$folder = $options['sheet'] ?? sys_get_temp_dir().'/impa-structure';
@mkdir($folder, 0777, true);
$inked = isset($options['inked']);
$rows = [];
for ($n = 0; $n < (int) ($options['count'] ?? 40); $n++) {
    $seed = (int) ($options['seed'] ?? 1) + $n;
    mt_srand($seed);
    [$parts, $details] = character();
    $png = drawn($parts, $details, $inked);
    file_put_contents("$folder/$seed.png", $png);
    $rows[] = compared($parts, $details, Breakdown::of($png, 100.0)->document, $seed, $folder);
}
if (isset($options['sums'])) {
    $sums = [];
    foreach (['parts', 'made', 'whole', 'well', 'seen', 'details', 'hits', 'spots'] as $field) {
        $sums[$field] = array_sum(array_column($rows, $field));
    }
    exit(json_encode([...$sums, 'digests' => array_column($rows, 'digest')]));
}
told($rows, $inked);
contactSheet($rows, $folder);

function between(float $low, float $high): float
{
    return $low + ($high - $low) * mt_rand() / mt_getrandmax();
}

/** @return list<array{float, float}> an oval about a place, turned */
function oval(float $x, float $y, float $w, float $h, float $deg = 0.0): array
{
    $angles = array_map(static fn (int $i): float => $i * M_PI / 24, range(0, 47));

    return turned(array_map(static fn (float $a): array => [$w / 2 * cos($a), $h / 2 * sin($a)], $angles), $x, $y, $deg);
}

/** @return list<array{float, float}> a roll with round ends, standing on its lower end before it is turned about it */
function roll(float $x, float $y, float $w, float $long, float $deg): array
{
    $points = [];
    for ($i = 0; $i <= 12; $i++) {
        $points[] = [$w / 2 * cos(M_PI * $i / 12), $long - $w / 2 + $w / 2 * sin(M_PI * $i / 12)];
    }
    for ($i = 0; $i <= 12; $i++) {
        $points[] = [-$w / 2 * cos(M_PI * $i / 12), $w / 2 - $w / 2 * sin(M_PI * $i / 12)];
    }

    return turned($points, $x, $y, $deg);
}

/** @return list<array{float, float}> a cone with a blunt tip, standing on its base before it is turned about it */
function cone(float $x, float $y, float $w, float $long, float $deg): array
{
    return turned([[-$w / 2, 0], [$w / 2, 0], [0.08 * $w, 0.94 * $long], [0, $long], [-0.08 * $w, 0.94 * $long]], $x, $y, $deg);
}

/**
 * @param  list<array{float, float}>  $points
 * @return list<array{float, float}>
 */
function turned(array $points, float $x, float $y, float $deg): array
{
    [$c, $s] = [cos(deg2rad($deg)), sin(deg2rad($deg))];

    return array_map(static fn (array $p): array => [$x + $p[0] * $c - $p[1] * $s, $y + $p[0] * $s + $p[1] * $c], $points);
}

/**
 * A character that stands on y = 0 about x = 0, 100 high or so; parts from back to front.
 *
 * @return array{
 *     list<array{kind: string, pair: int, to: string, colour: int, points: list<array{float, float}>}>, list<array<string, mixed>>,
 * }
 */
function character(): array
{
    $colours = [0x8A5F9F, 0xC96F4A, 0x5E93A8, 0xD9A441, 0x6B8F4E, 0xB8546B, 0x7A6A58];
    shuffled($colours);
    [$fur, $other, $third] = $colours;
    $chance = static fn (float $share): bool => between(0, 1) < $share;
    $bodyW = between(30, 46);
    $bodyH = between(34, 52);
    $headW = between(34, 50);
    $headH = $headW * between(0.82, 1.05);
    $bodyY = between(6, 14) + $bodyH / 2;
    $headY = $bodyY + $bodyH / 2 + 0.34 * $headH;
    $headColour = $chance(0.6) ? $fur : $other;
    $limb = $chance(0.5) ? $fur : $third;
    $back = $front = [];
    $add = static function (bool $inFront, string $kind, string $to, int $colour, array $points, bool $pair) use (&$back, &$front): void {
        foreach ($pair ? [1, -1] : [0] as $side) {
            $own = $side === -1 ? array_map(static fn (array $p): array => [-$p[0], $p[1]], $points) : $points;
            $part = ['kind' => $kind, 'pair' => $side, 'to' => $to, 'colour' => $colour, 'points' => $own];
            $inFront ? $front[] = $part : $back[] = $part;
        }
    };
    if ($chance(0.5)) {
        $tail = roll($bodyW * 0.3, $bodyY - $bodyH * 0.25, between(6, 11), between(26, 40), -between(50, 85));
        $add(false, 'tail', 'body', $chance(0.6) ? $fur : $third, $tail, false);
    }
    $ears = between(0, 1);
    if ($ears < 0.4) {
        $ear = oval($headW * 0.36, $headY + $headH * 0.46, between(12, 17), between(14, 30), -between(5, 30));
        $add(false, 'ear', 'head', $chance(0.7) ? $headColour : $third, $ear, true);
    } elseif ($ears < 0.65) {
        $horn = cone($headW * 0.26, $headY + $headH * 0.38, between(8, 12), between(16, 24), -between(10, 30));
        $add(false, 'horn', 'head', $third, $horn, true);
    } elseif ($ears < 0.85) {
        $add(true, 'ear', 'head', $third, oval($headW * 0.46, $headY - 2, between(9, 13), between(20, 28), between(5, 18)), true);
    }
    $add(false, 'leg', 'body', $limb, roll($bodyW * 0.24, 0, between(8, 13), $bodyY - $bodyH * 0.3, 0), true);
    $front = array_merge([
        ['kind' => 'body', 'pair' => 0, 'to' => '', 'colour' => $fur, 'points' => oval(0, $bodyY, $bodyW, $bodyH)],
        ['kind' => 'head', 'pair' => 0, 'to' => 'body', 'colour' => $headColour, 'points' => oval(0, $headY, $headW, $headH)],
    ], $front);
    $armInFront = $chance(0.4);
    $deg = $armInFront ? 180 - between(5, 25) : -between(95, 150);
    $arm = roll($bodyW * 0.42, $bodyY + $bodyH * 0.22, between(7, 11), between(22, 32), $deg);
    $add($armInFront, 'arm', 'body', $limb, $arm, true);
    if ($chance(0.25)) {
        $hat = cone(between(-3, 3), $headY + $headH * 0.36, $headW * 0.6, between(20, 30), between(-8, 8));
        $add(true, 'hat', 'head', $third, $hat, false);
    }
    if ($chance(0.35)) {
        $add(true, 'foot', 'leg', $other, oval($bodyW * 0.27, 3.5, between(13, 18), 8), true);
    }
    $details = [];
    foreach ([1, -1] as $side) {
        $details[] = ['colour' => 0x1B1B1D, 'points' => oval($side * $headW * 0.2, $headY + 1, 5.5, 6.5)];
    }
    if ($chance(0.6)) {
        $details[] = ['colour' => 0x2A1B1B, 'points' => oval(0, $headY - $headH * 0.16, 6, 4)];
    }
    if ($chance(0.5)) {
        $details[] = ['colour' => 0xF0E4CC, 'points' => oval(0, $bodyY - 2, $bodyW * 0.5, $bodyH * 0.5)];
    }

    return [[...$back, ...$front], $details];
}

/** @param  list<int>  $list */
function shuffled(array &$list): void
{
    for ($i = count($list) - 1; $i > 0; $i--) {
        $j = mt_rand(0, $i);
        [$list[$i], $list[$j]] = [$list[$j], $list[$i]];
    }
}

/** @return array{float, float} on a picture so many pixels a side */
function onPicture(array $point, int $side): array
{
    return [$side / 2 + $point[0] * $side / 132, $side * 0.93 - $point[1] * $side / 132];
}

/** @param  list<array{float, float}>  $points */
function fill(GdImage $image, array $points, int $colour, int $side): void
{
    $whole = static fn (array $p): array => array_map(static fn (float $v): int => (int) round($v), onPicture($p, $side));
    imagefilledpolygon($image, array_merge(...array_map($whole, $points)), $colour);
}

function drawn(array $parts, array $details, bool $inked): string
{
    $side = PX * FINE;
    $image = imagecreatetruecolor($side, $side);
    imagealphablending($image, false);
    imagefill($image, 0, 0, 0x7FFFFFFF);
    foreach ([...$parts, ...$details] as $k => $one) {
        fill($image, $one['points'], $one['colour'], $side);
        if ($inked && $k < count($parts)) {
            $n = count($one['points']);
            foreach ($one['points'] as $i => $p) {
                [[$x, $y], [$u, $v]] = [onPicture($p, $side), onPicture($one['points'][($i + 1) % $n], $side)];
                for ($t = 0, $steps = max(1, (int) hypot($u - $x, $v - $y)); $t <= $steps; $t++) {
                    [$cx, $cy] = [(int) ($x + ($u - $x) * $t / $steps), (int) ($y + ($v - $y) * $t / $steps)];
                    imagefilledellipse($image, $cx, $cy, INK_PX * FINE, INK_PX * FINE, 0x1B1512);
                }
            }
        }
    }
    $small = imagecreatetruecolor(PX, PX);
    imagealphablending($small, false);
    imagecopyresampled($small, $image, 0, 0, 0, 0, PX, PX, $side, $side);
    imagesavealpha($small, true);
    ob_start();
    imagepng($small);

    return (string) ob_get_clean();
}

/**
 * The cells of a grid that lie within loops given in picture pixels, by even-odd crossings.
 *
 * @param  list<list<array{float, float}>>  $loops
 * @return array<int, true>
 */
function cells(array $loops): array
{
    $cells = [];
    for ($y = GRID / 2; $y < PX; $y += GRID) {
        $cuts = [];
        foreach ($loops as $loop) {
            $n = count($loop);
            foreach ($loop as $i => [$ax, $ay]) {
                [$bx, $by] = $loop[($i + 1) % $n];
                if (($ay <= $y) !== ($by <= $y)) {
                    $cuts[] = $ax + ($y - $ay) / ($by - $ay) * ($bx - $ax);
                }
            }
        }
        sort($cuts);
        for ($k = 0; $k + 1 < count($cuts); $k += 2) {
            $first = max(GRID / 2, ceil(($cuts[$k] - GRID / 2) / GRID) * GRID + GRID / 2);
            for ($x = $first; $x < min(PX, $cuts[$k + 1]); $x += GRID) {
                $cells[(int) ($y / GRID) * 1000 + (int) ($x / GRID)] = true;
            }
        }
    }

    return $cells;
}

/** @return array<int, true> the cells under a part or a detail as it was drawn */
function covered(array $drawn): array
{
    return cells([array_map(static fn (array $p): array => onPicture($p, PX), $drawn['points'])]);
}

function overlap(array $one, array $two): float
{
    $both = count(array_intersect_key($one, $two));

    return $both / max(1, count($one) + count($two) - $both);
}

/** @return array<string, mixed> */
function compared(array $parts, array $details, array $document, int $seed, string $folder): array
{
    $true = array_map(covered(...), $parts);
    // Seen is what nothing in front of it hides.
    $seen = $true;
    foreach ($true as $i => $_) {
        for ($j = $i + 1; $j < count($true); $j++) {
            $seen[$i] = array_diff_key($seen[$i], $true[$j]);
        }
    }
    $figure = Figure::fromJson(json_encode($document, JSON_THROW_ON_ERROR));
    $picture = $document['picture'];
    [$originX, $originY] = $picture['originPx'];
    $at = static fn (float $x, float $y): array => [$originX + $x / $picture['mmPerPx'], $originY - $y / $picture['mmPerPx']];
    $found = $drawnLoops = [];
    foreach ($figure->parts as $key => $part) {
        foreach ($part->placements() as $piece) {
            $placed = static fn (array $p): array => $at($piece->at[0] + $p[0], $piece->at[1] + $p[1]);
            $loops = array_map(static fn (array $loop): array => array_map($placed, $loop), Silhouette::of($piece, Side::Front));
            array_push($drawnLoops, ...$loops);
            $found[] = [
                'key' => $key, 'z' => $piece->at[2], 'pair' => $part->stand->mirror, 'to' => $part->join->to, 'cells' => cells($loops),
            ];
        }
    }
    usort($found, static fn (array $a, array $b): int => $a['z'] <=> $b['z']);
    foreach ($found as $i => $_) {
        $found[$i]['seen'] = $found[$i]['cells'];
        for ($j = $i + 1; $j < count($found); $j++) {
            $found[$i]['seen'] = array_diff_key($found[$i]['seen'], $found[$j]['cells']);
        }
    }
    $whole = matched($true, array_column($found, 'cells'), FOUND);
    $row = [
        'seed' => $seed,
        'parts' => count($parts),
        'made' => count($found),
        'whole' => count($whole),
        'well' => count(matched($true, array_column($found, 'cells'), WELL_FOUND)),
        'seen' => count(matched($seen, array_column($found, 'seen'), FOUND)),
        'kinds' => [],
        'loops' => $drawnLoops,
        'digest' => md5(json_encode($document, JSON_THROW_ON_ERROR)),
    ];
    foreach ($parts as $i => $part) {
        $row['kinds'][$part['kind']][0] = ($row['kinds'][$part['kind']][0] ?? 0) + 1;
        $row['kinds'][$part['kind']][1] = ($row['kinds'][$part['kind']][1] ?? 0) + (int) isset($whole[$i]);
        // The first of a pair speaks for both.
        if ($part['pair'] === 1) {
            $isFound = isset($whole[$i], $whole[$i + 1]);
            $row['pairs'][] = $isFound && $found[$whole[$i]]['pair'] && $found[$whole[$i]]['key'] === $found[$whole[$i + 1]]['key'];
        }
        if (isset($whole[$i])) {
            $said = preg_replace('/-\d+$/', '', $found[$whole[$i]]['key']);
            $row['names'][] = $said === $part['kind'];
            $row['said'][] = "{$part['kind']} as $said";
        }
        if (isset($whole[$i]) && $part['to'] !== '') {
            $isParent = static fn (int $k): bool => $parts[$k]['kind'] === $part['to'] && isset($whole[$k]);
            $parents = array_map(static fn (int $k): string => $found[$whole[$k]]['key'], array_filter(array_keys($parts), $isParent));
            if ($parents !== []) {
                $row['joins'][] = in_array($found[$whole[$i]]['to'], $parents, true);
            }
        }
        if ($part['kind'] === 'body') {
            $row['root'] = isset($whole[$i]) && $found[$whole[$i]]['to'] === '';
        }
    }
    // Details by their boxes' middles and sizes, on the picture.
    $spots = [];
    foreach ($figure->details as $detail) {
        foreach ($figure->parts[$detail->on]->placements() as $piece) {
            foreach ($detail->lie->mirror ? [1, -1] : [1] as $side) {
                $placed = static fn (array $p): array => $at($piece->at[0] + $side * $p[0], $piece->at[1] + $p[1]);
                $spots[] = cells([array_map($placed, $detail->outline())]);
            }
        }
    }
    $hits = count(matched(array_map(covered(...), $details), $spots, 0.5));

    return $row + ['details' => count($details), 'spots' => count($spots), 'hits' => $hits];
}

/**
 * The best overlaps first, each of either side once.
 *
 * @return array<int, int> the found one by the true one
 */
function matched(array $true, array $found, float $least): array
{
    $all = [];
    foreach ($true as $i => $one) {
        foreach ($found as $j => $two) {
            $share = overlap($one, $two);
            if ($share >= $least) {
                $all["$i $j"] = $share;
            }
        }
    }
    arsort($all);
    $matched = [];
    foreach (array_keys($all) as $pair) {
        [$i, $j] = array_map(intval(...), explode(' ', $pair));
        if (! isset($matched[$i]) && ! in_array($j, $matched, true)) {
            $matched[$i] = $j;
        }
    }

    return $matched;
}

function told(array $rows, bool $inked): void
{
    $sum = static fn (string $field): int => array_sum(array_column($rows, $field));
    $share = static function (string $field) use ($rows): float {
        $all = array_merge(...array_column($rows, $field));

        return count(array_filter($all)) / max(1, count($all));
    };
    printf("%d characters, %s\n", count($rows), $inked ? 'inked' : 'flat');
    $of = static fn (string $one, string $all): float => $sum($one) / max(1, $sum($all));
    printf(
        "part recall %.2f (seen %.2f), precision %.2f, recall at 0.75 %.2f\n",
        $of('whole', 'parts'),
        $of('seen', 'parts'),
        $of('whole', 'made'),
        $of('well', 'parts'),
    );
    $roots = count(array_filter(array_column($rows, 'root'))) / count($rows);
    printf("pairs %.2f, joins %.2f, right root %.2f, names %.2f\n", $share('pairs'), $share('joins'), $roots, $share('names'));
    printf("details found %.2f, true %.2f, count %.2f x\n", $of('hits', 'details'), $of('hits', 'spots'), $of('spots', 'details'));
    $kinds = [];
    foreach ($rows as $row) {
        foreach ($row['kinds'] as $kind => [$all, $found]) {
            $kinds[$kind] = [($kinds[$kind][0] ?? 0) + $all, ($kinds[$kind][1] ?? 0) + $found];
        }
    }
    foreach ($kinds as $kind => [$all, $found]) {
        printf('%s %.2f  ', $kind, $found / $all);
    }
    $said = array_count_values(array_merge(...array_column($rows, 'said')));
    arsort($said);
    $wrong = array_filter($said, static fn (string $s): bool => count(array_unique(explode(' as ', $s))) > 1, ARRAY_FILTER_USE_KEY);
    echo "\nmisnamed: ", implode(', ', array_map(static fn (string $s, int $n): string => "$s $n", array_keys($wrong), $wrong)), "\n";
}

function contactSheet(array $rows, string $folder): void
{
    usort($rows, static fn (array $a, array $b): int => $a['whole'] / $a['parts'] <=> $b['whole'] / $b['parts']);
    $sheet = imagecreatetruecolor(1200, 480);
    imagefill($sheet, 0, 0, 0xF4EEE0);
    foreach (array_slice($rows, 0, 10) as $k => $row) {
        $image = imagecreatefromstring((string) file_get_contents("$folder/{$row['seed']}.png"));
        imagesetthickness($image, 3);
        foreach ($row['loops'] as $loop) {
            imagepolygon($image, array_map(static fn (float $v): int => (int) round($v), array_merge(...$loop)), 0xFF00FF);
        }
        [$x, $y] = [($k % 5) * 240, intdiv($k, 5) * 240];
        imagecopyresampled($sheet, $image, $x, $y, 0, 0, 240, 240, PX, PX);
        imagestring($sheet, 3, $x + 4, $y + 4, sprintf('%d: %d of %d', $row['seed'], $row['whole'], $row['parts']), 0x3A2A20);
    }
    imagepng($sheet, "$folder/worst.png");
    echo "The worst ten: $folder/worst.png\n";
}
