<?php

declare(strict_types=1);

use Impa\Balance\Balance;
use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Gap;
use Impa\Material\Densities;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Seeing\Breakdown;
use Impa\Wool\Ledger\Ledger;

/*
 * Whether a figure stands and hangs together as it is first proposed from its drawing: made-up characters (bench/characters.php), drawn
 * from the front alone, are broken down, and their balance and the gaps between joined parts are told, beside those of the true figure.
 *
 *   php bench/standing.php [--drawn=flat|inked] [--seed=1] [--count=50] [--each]
 *
 * Drawn flat or inked they are the characters of bench/known.php, with feet on legs, of which there is no true figure. Seeds below 2600
 * are for tuning, of known characters to 1000; those from there on are kept aside.
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/characters.php';
require __DIR__.'/known.php';

const PAINTED_PX = 400;
/** Parts farther apart than this do not touch, mm. */
const APART_MM = 0.5;

ini_set('memory_limit', '1G');
$options = getopt('', ['drawn:', 'seed:', 'count:', 'each']);
$rows = [];
for ($n = 0; $n < (int) ($options['count'] ?? 50); $n++) {
    $seed = (int) ($options['seed'] ?? 1) + $n;
    [$png, $heightMm, $true] = pictured($seed, $options['drawn'] ?? '');
    $found = Breakdown::of($png, $heightMm)->figure();
    $rows[] = $row = ['tip' => tip($found), 'true' => $true === null ? NAN : tip($true), 'gaps' => gaps($found)];
    if (isset($options['each'])) {
        printf('seed %d: leans to %.1f (the true one %.1f)', $seed, $row['tip'], $row['true']);
        foreach ($row['gaps'] as $key => $mm) {
            printf(', %s %.1f mm off', $key, $mm);
        }
        echo "\n";
    }
}
$share = static fn (callable $is): float => count(array_filter($rows, $is)) / count($rows);
printf(
    "%d characters: stand firmly (10 degrees) %.2f, stand (5 degrees) %.2f; the true ones %.2f, %.2f\n",
    count($rows),
    $share(static fn (array $r): bool => $r['tip'] >= Balance::TOUCHY_DEG),
    $share(static fn (array $r): bool => $r['tip'] >= Balance::FALLS_DEG),
    $share(static fn (array $r): bool => $r['true'] >= Balance::TOUCHY_DEG),
    $share(static fn (array $r): bool => $r['true'] >= Balance::FALLS_DEG),
);
$all = array_merge(...array_map(array_values(...), array_column($rows, 'gaps')));
printf(
    "with a part that does not touch what it is joined to %.2f, %d parts in all, %.1f mm at most\n",
    $share(static fn (array $r): bool => $r['gaps'] !== []),
    count($all),
    max([0.0, ...$all]),
);

/** @return array{string, float, ?Figure} the drawing, how tall it is to be in mm, and the figure it is of, where there is one */
function pictured(int $seed, string $drawn): array
{
    if ($drawn === '') {
        $true = Figure::fromDocument(character($seed));

        return [Painter::png($true, View::Front, PAINTED_PX), $true->heightMm, $true];
    }
    mt_srand($seed);

    return [drawn(...[...known(), $drawn === 'inked']), 100.0, null];
}

function tip(Figure $figure): float
{
    return Balance::of(Ledger::of($figure, Densities::house()))->tipDeg();
}

/** @return array<string, float> mm by part, of those that do not touch */
function gaps(Figure $figure): array
{
    $gaps = [];
    foreach ($figure->parts as $key => $part) {
        if ($part->isJoined()) {
            $gaps[(string) $key] = min(array_map(
                static fn (Placement $to): float => Gap::between(Placement::of($part), $to),
                $figure->parts[$part->join->to]->placements(),
            ));
        }
    }

    return array_filter($gaps, static fn (float $mm): bool => $mm > APART_MM);
}
