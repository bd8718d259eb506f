<?php

declare(strict_types=1);

use Impa\Colour\Blend;
use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;
use Impa\Stash\Mixing\Recipes;

/*
 * Recipes for one colour over a stash of 60 made-up wools: how long they take, and how much worse the best one is than the
 * best of all pairs and triples in steps of 5 %, tried one by one.
 *   php bench/recipes.php [colours=12] [wools=60]
 */

require __DIR__.'/../vendor/autoload.php';

mt_srand(7);
$colour = static fn (): Srgb => Srgb::of(mt_rand(12, 248), mt_rand(12, 248), mt_rand(12, 248));
$wools = array_map($colour, range(1, (int) ($argv[2] ?? 60)));
$points = array_map(static fn (Srgb $w): array => Blend::point($w->light()), $wools);
$times = $worse = [];
for ($n = 0; $n < (int) ($argv[1] ?? 12); $n++) {
    // Every other colour lies within what the wools can reach, every other anywhere.
    $target =
        $n % 2 === 0
            ? $colour()
            : Blend::of(
                array_map(static fn (int $i): \Impa\Colour\Light => $wools[$i]->light(), $few = (array) array_rand($wools, 3)),
                [0.5, 0.3, 0.2],
            )->srgb();
    $start = hrtime(true);
    $best = Recipes::for($target, $wools)[0]->difference;
    $found = min(array_map(static fn ($r): float => $r->difference, Recipes::for($target, $wools, [], 3, 400)));
    $times[] = (hrtime(true) - $start) / 2e6;
    $wanted = $target->lab();
    $least = INF;
    $count = count($points);
    for ($i = 0; $i < $count; $i++) {
        for ($j = $i + 1; $j < $count; $j++) {
            for ($k = $j + 1; $k < $count; $k++) {
                for ($b = 0; $b <= 20; $b++) {
                    for ($c = 0; $c <= 20 - $b; $c++) {
                        $a = 20 - $b - $c;
                        $lab = Blend::light([
                            ($a * $points[$i][0] + $b * $points[$j][0] + $c * $points[$k][0]) / 20,
                            ($a * $points[$i][1] + $b * $points[$j][1] + $c * $points[$k][1]) / 20,
                            ($a * $points[$i][2] + $b * $points[$j][2] + $c * $points[$k][2]) / 20,
                        ])->lab();
                        // A glance first: CIEDE2000 is never below about a third of the difference in lightness alone.
                        if (abs($lab->l - $wanted->l) < 3 * $least + 1) {
                            $least = min($least, Ciede2000::between($wanted, $lab));
                        }
                    }
                }
            }
        }
    }
    $worse[] = $found - $least;
    printf(
        "%s  best of all %.3f  found %.3f  worse by %.3f  %.0f ms\n",
        $target->toHex(),
        $least,
        $found,
        $found - $least,
        $times[$n],
    );
}
sort($times);
printf(
    "%d wools, %d colours: median %.0f ms, longest %.0f ms (asked 300); worse than exhaustive by %.3f at most (asked 0.2)\n",
    count($wools),
    count($times),
    $times[intdiv(count($times), 2)],
    max($times),
    max($worse),
);
