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
require __DIR__.'/known.php';

const FOUND = 0.6;
const WELL_FOUND = 0.75;
/** A part is hidden where others cover more than so much of it. */
const HIDDEN = 0.4;

ini_set('memory_limit', '512M');
$options = getopt('', ['count:', 'seed:', 'inked', 'sheet:', 'sums']);
$folder = $options['sheet'] ?? sys_get_temp_dir().'/impa-structure';
@mkdir($folder, 0777, true);
$inked = isset($options['inked']);
$rows = [];
for ($n = 0; $n < (int) ($options['count'] ?? 40); $n++) {
    $seed = (int) ($options['seed'] ?? 1) + $n;
    mt_srand($seed);
    [$parts, $details] = known();
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
        if (count($seen[$i]) < (1 - HIDDEN) * count($true[$i])) {
            $row['hidden'][] = isset($whole[$i]);
        }
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
    printf("of those that others hide to more than %d %%: %.2f\n", 100 * HIDDEN, $share('hidden'));
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
