<?php

declare(strict_types=1);

use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Tests\Support\AnyFigure;
use Impa\Tests\Support\Doors;

/*
 * Documents made by chance from formats/impa-figure-2.schema.json, at every reckoning door: numbers that are numbers, or words. Prints
 * how many the check took in and the slowest doors; each fault with its seed, and exit 1 where there is one:
 *   php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M bench/any.php [documents] [first seed]
 */

require __DIR__.'/../vendor/autoload.php';

ini_set('memory_limit', '1G');
[$documents, $first] = [(int) ($argv[1] ?? 3000), (int) ($argv[2] ?? 1000)];
$taken = $faults = 0;
$slowest = [];
for ($seed = $first; $seed < $first + $documents; $seed++) {
    try {
        $figure = Figure::fromDocument(json_decode(
            json_encode(AnyFigure::of($seed, 1 + $seed % 4, [0.0, 0.05, 0.3][$seed % 3]), JSON_THROW_ON_ERROR),
        ));
    } catch (FigureRefused) {
        continue;
    }
    $taken++;
    foreach (array_keys(Doors::all()) as $door) {
        $fault = '';
        $took = Doors::seconds($door, $figure, static function (string $door, Figure $figure) use (&$fault): void {
            $fault = Doors::fault($door, $figure);
        });
        $slowest[$door] = max($slowest[$door] ?? [0.0, 0], [$took, $seed]);
        if ($fault !== '') {
            $faults++;
            printf("document %d, %s: %s\n", $seed, $door, $fault);
        }
    }
}
arsort($slowest);
printf("%d documents, %d taken in, %d doors each, %d faults\n", $documents, $taken, count(Doors::all()), $faults);
foreach (array_slice($slowest, 0, 5) as $door => [$s, $seed]) {
    printf("  %-20s %.2f s at most, document %d\n", $door, $s, $seed);
}
exit($faults > 0 ? 1 : 0);
