<?php

declare(strict_types=1);

use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Result\Sureness;

/*
 * Whether sure means sure: of all parts and details that are said to be so sure, how many are there. Made-up characters whose parts are
 * known (bench/known.php, flat and inked; bench/characters.php, drawn by the painter) are broken down; a part is right where each of its
 * places overlaps a true part by 0.6 (intersection over union), a detail by half. Tells a reliability table and the expected calibration
 * error (ten bins; Naeini et al. 2015), and the area under the curve of right against wrong.
 *
 *   php bench/sure.php [--seed=1] [--characters=1] [--count=40] [--fit]
 *
 * --fit tells the weights that Sureness has: a logistic regression on these characters, by Newton's steps, held near 0 by a ridge of 1.
 * Seeds to 1000 of known characters, and below 2600 of the others, are for tuning.
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/known.php';
require __DIR__.'/characters.php';

const RIGHT = ['parts' => 0.6, 'details' => 0.5];
const BINS = 10;
const STEPS = 25;
const RIDGE = 1.0;

ini_set('memory_limit', '1G');
$options = getopt('', ['seed:', 'characters:', 'count:', 'fit']);
$rows = [];
for ($n = 0; $n < (int) ($options['count'] ?? 40); $n++) {
    foreach ([false, true] as $inked) {
        mt_srand((int) ($options['seed'] ?? 1) + $n);
        [$parts, $details] = known();
        $seen = Breakdown::of(drawn($parts, $details, $inked), 100.0);
        $true = ['parts' => array_map(covered(...), $parts), 'details' => array_map(covered(...), $details)];
        array_push($rows, ...judged($seen, $true, $inked ? 'inked' : 'flat'));
    }
    $figure = Figure::fromDocument(character((int) ($options['characters'] ?? 1) + $n));
    $seen = Breakdown::of(Painter::png($figure, View::Front, PX), $figure->heightMm);
    $true = array_map(static fn (array $of): array => array_column($of, 1), places($figure, $seen->document['picture']));
    array_push($rows, ...judged($seen, $true, 'painted'));
}
foreach (['parts', 'details'] as $of) {
    $these = array_values(array_filter($rows, static fn (array $r): bool => $r['of'] === $of));
    told($of, $these);
    if (isset($options['fit'])) {
        foreach (fitted($these) as $sign => $weight) {
            printf("'%s' => %.2f, ", $sign, $weight);
        }
        echo "\n";
    }
}

/**
 * Where a figure's parts and details lie on a picture.
 *
 * @param  array<string, mixed>  $picture  as the document keeps it
 * @return array{parts: list<array{string, array<int, true>}>, details: list<array{string, array<int, true>}>} keys and cells
 */
function places(Figure $figure, array $picture): array
{
    [[$x0, $y0], $mm] = [$picture['originPx'], $picture['mmPerPx']];
    $on = static fn (Placement $piece, int $side, array $loops): array => cells(array_map(
        static fn (array $loop): array => array_map(
            static fn (array $p): array => [
                $x0 + ($piece->at[0] + $side * $p[0]) / $mm,
                $y0 - ($piece->at[1] + $p[1]) / $mm,
            ],
            $loop,
        ),
        $loops,
    ));
    $places = ['parts' => [], 'details' => []];
    foreach ($figure->parts as $key => $part) {
        foreach ($part->placements() as $piece) {
            $places['parts'][] = [(string) $key, $on($piece, 1, Silhouette::of($piece, Side::Front))];
        }
    }
    foreach ($figure->details as $detail) {
        foreach ($figure->parts[$detail->on]->placements() as $piece) {
            foreach ($detail->lie->mirror ? [1, -1] : [1] as $side) {
                $places['details'][] = [$detail->key, $on($piece, $side, [$detail->outline()])];
            }
        }
    }

    return $places;
}

/**
 * @param  array{parts: list<array<int, true>>, details: list<array<int, true>>}  $true  cells
 * @return list<array{of: string, set: string, sure: Sureness, right: bool}>
 */
function judged(Breakdown $seen, array $true, string $set): array
{
    $rows = [];
    foreach (places($seen->figure(), $seen->document['picture']) as $of => $found) {
        $matched = array_flip(matched($true[$of], array_column($found, 1), RIGHT[$of]));
        $right = [];
        foreach ($found as $i => [$key]) {
            $right[$key] = ($right[$key] ?? true) && isset($matched[$i]);
        }
        foreach ($right as $key => $isRight) {
            $rows[] = ['of' => $of, 'set' => $set, 'sure' => $seen->sureness["$of/$key"], 'right' => $isRight];
        }
    }

    return $rows;
}

function told(string $of, array $rows): void
{
    $bins = [];
    foreach ($rows as $row) {
        $bins[min(BINS - 1, (int) ($row['sure']->share * BINS))][] = $row;
    }
    ksort($bins);
    $share = static fn (array $r): float => $r['sure']->share;
    $said = static fn (array $of): float => array_sum(array_map($share, $of)) / max(1, count($of));
    $were = static fn (array $of): float => count(array_filter(array_column($of, 'right'))) / max(1, count($of));
    $error = array_sum(array_map(static fn (array $b): float => count($b) * abs($said($b) - $were($b)), $bins)) / max(1, count($rows));
    printf('%s: %d, right %.3f, ', $of, count($rows), $were($rows));
    printf("expected calibration error %.3f, area under the curve %.3f\n", $error, area($rows));
    foreach ($bins as $bin => $these) {
        printf('  said %.1f to %.1f: %4d, ', $bin / BINS, ($bin + 1) / BINS, count($these));
        printf("on average %.2f, right %.2f\n", $said($these), $were($these));
    }
    foreach (['flat', 'inked', 'painted'] as $set) {
        $these = array_filter($rows, static fn (array $r): bool => $r['set'] === $set);
        printf("  %s: %d, said %.2f, right %.2f\n", $set, count($these), $said($these), $were($these));
    }
}

/** The share of pairs of a right and a wrong one in which the right one is surer. */
function area(array $rows): float
{
    $surer = $pairs = 0.0;
    foreach ($rows as $one) {
        foreach ($one['right'] ? $rows : [] as $two) {
            if (! $two['right']) {
                $pairs++;
                $surer += ($one['sure']->share <=> $two['sure']->share) / 2 + 0.5;
            }
        }
    }

    return $surer / max(1.0, $pairs);
}

/** @return array<string, float> the weight of each sign */
function fitted(array $rows): array
{
    $signs = array_keys($rows[0]['sure']->signs);
    $weights = array_fill_keys($signs, 0.0);
    for ($step = 0; $step < STEPS; $step++) {
        $slope = array_fill_keys($signs, 0.0);
        $bend = array_fill_keys($signs, $slope);
        foreach ($rows as $row) {
            $x = $row['sure']->signs;
            $share = 1 / (1 + exp(-array_sum(array_map(static fn (string $s): float => $weights[$s] * $x[$s], $signs))));
            foreach ($signs as $a) {
                $slope[$a] += ((float) $row['right'] - $share) * $x[$a];
                foreach ($signs as $b) {
                    $bend[$a][$b] += $share * (1 - $share) * $x[$a] * $x[$b];
                }
            }
        }
        foreach (array_diff($signs, ['even']) as $a) {
            $slope[$a] -= RIDGE * $weights[$a];
            $bend[$a][$a] += RIDGE;
        }
        foreach (solved($bend, $slope) as $sign => $by) {
            $weights[$sign] += $by;
        }
    }

    return $weights;
}

/**
 * By Gauss and Jordan.
 *
 * @param  array<string, array<string, float>>  $matrix  positive definite
 * @param  array<string, float>  $sums
 * @return array<string, float>
 */
function solved(array $matrix, array $sums): array
{
    foreach ($matrix as $a => $_) {
        foreach ($matrix as $b => $row) {
            $times = $a === $b ? 0.0 : $row[$a] / $matrix[$a][$a];
            foreach ($row as $c => $_) {
                $matrix[$b][$c] -= $times * $matrix[$a][$c];
            }
            $sums[$b] -= $times * $sums[$a];
        }
    }

    return array_combine(array_keys($sums), array_map(static fn (string $a): float => $sums[$a] / $matrix[$a][$a], array_keys($sums)));
}
