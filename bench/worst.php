<?php

declare(strict_types=1);

use Impa\Colour\Srgb;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Render\Bench\BenchCamera;
use Impa\Render\Bench\RandomDeviations;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Tests\Support\AnyFigure;
use Impa\Tests\Support\Doors;
use Impa\Tests\Support\Figures;

/*
 * The worst documents that the check takes in, at every reckoning door: as many parts, details, points and wires as may be, in a heap,
 * turned, tiny, far apart. Prints the slowest doors of each, and fails where one takes longer than five seconds:
 *   php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M bench/worst.php [document ...]
 */

require __DIR__.'/../vendor/autoload.php';

const MOST_S = 5.0;
ini_set('memory_limit', '2G');

/** A star of so many points: long rims that run close beside each other. */
$star = static fn (int $count, float $mm): array => array_map(static fn (int $i): array => [
    round($mm * ($i % 2 === 0 ? 1.0 : 0.35) * cos(2 * M_PI * $i / $count), 2),
    round($mm * ($i % 2 === 0 ? 1.0 : 0.35) * sin(2 * M_PI * $i / $count), 2),
], range(0, $count - 1));
$spiral = static fn (int $count, float $mm, float $up): array => array_map(static fn (int $i): array => [
    round($mm * cos($i / 5), 2), round($up * $i / $count, 2), round($mm * sin($i / 5), 2),
], range(0, $count - 1));
$zigzag = static fn (int $count): array => array_map(
    static fn (int $i): array => [$i % 2 === 0 ? -3990 : 3990, $i, $i % 3 - 1],
    range(0, $count - 1),
);
$head = Figures::part('head', 'egg', 60, 66, 56, 0, 90);
$body = Figures::part('body', 'egg', 50, 60, 44, 0, 30);
$ear = Figures::part('ear', 'cone', 14, 20, 10, 18, 120, 0, ['mirror' => true, 'join' => ['to' => 'head']]);
$patch = static fn (int $i, array $more = []): array => $more + [
    'key' => "d{$i}", 'on' => 'head', 'kind' => 'patch', 'colour' => ['black', 'white'][$i % 2], 'layer' => 1 + $i % 5,
    'xMm' => $i % 11 - 5, 'yMm' => $i % 7 - 3, 'pointsMm' => $star(400, 12 + $i % 9), 'smooth' => $i % 3 === 0,
];
$wire = static fn (int $i, array $points): array => ['key' => "w{$i}", 'pointsMm' => $points, 'mirror' => $i % 2 === 0];
$plate = static fn (int $i, int $points): array => Figures::part("p{$i}", 'plate', 40, 40, 2, $i % 37 - 18, 60 + $i % 41, $i / 10, [
    'shape' => [
        'kind' => 'plate', 'widthMm' => 40 + $i % 60, 'heightMm' => 40 + $i % 50, 'depthMm' => 2, 'outline' => $star($points, 20),
    ],
    'colour' => ['teal', 'black', 'white'][$i % 3],
] + ($i > 0 ? ['join' => ['to' => 'p'.intdiv($i, 2)]] : []));
$opening = static fn (int $i): array => ['key' => "o{$i}", 'pointsMm' => array_map(
    static fn (array $p): array => [$p[0] / 4 + $i % 9 * 6 - 20, $p[1] / 4 + 60 + $i % 5 * 8],
    $star(400, 12),
)];
$heap = Figures::random(3, 200, 400);
$far = Figures::random(8, 60, 100);
foreach ($far['parts'] as $i => &$part) {
    $part['at'] = ['xMm' => ($i * 977) % 7000 - 3500, 'yMm' => ($i * 641) % 7000 - 3500, 'zMm' => ($i * 353) % 7000 - 3500];
}
unset($part);
$far['heightMm'] = 0.3;
$large = Figures::covered(5, 120);
foreach ($large['parts'] as $i => &$part) {
    foreach (['widthMm', 'heightMm', 'depthMm'] as $member) {
        $part['shape'][$member] = min(2000, $part['shape'][$member] * 30);
    }
}
unset($part);

$documents = [
    'five patches of 400 points' => Figures::document([$head, $body, $ear], array_map($patch, range(0, 4))),
    'twelve patches of 400 points on one head' => Figures::document([$head, $body, $ear], array_map($patch, range(0, 11))),
    'lines of 400 points' => Figures::document([$head, $body], array_map(
        static fn (int $i): array => ['kind' => 'line', 'widthMm' => 1.2, 'pointsMm' => $star(400, 20)] + $patch($i),
        range(0, 11),
    )),
    'two wires of 200 points' => Figures::document([$head, $body, $ear], [], [
        'wires' => [$wire(0, $spiral(200, 22, 120)), $wire(1, $spiral(200, 15, 110))],
    ]),
    'two wires to and fro across everything' => Figures::document(Figures::random(4, 40, 0)['parts'], [], [
        'wires' => [$wire(0, $zigzag(200)), $wire(1, $zigzag(199))],
    ]),
    'ten wires through a heap' => Figures::document(Figures::random(4, 40, 0)['parts'], [], [
        'wires' => array_map(static fn (int $i): array => $wire($i, $spiral(200, 6 + $i, 140)), range(0, 9)),
    ]),
    'a heap of 200 parts and 400 details' => $heap,
    'tiny, and its parts far apart' => $far,
    'huge, and covered in every way' => $large,
    'layers of 400 points' => ['flat' => [
        'way' => 'sheet', 'stitch' => 'blanket', 'stitchMm' => 1, 'openings' => array_map($opening, range(0, 9)),
    ]]
        + Figures::document(array_map(static fn (int $i): array => $plate($i, 400), range(0, 19))),
    'sheets of two metres, cut to and fro' => ['flat' => [
        'way' => 'sheet', 'stitch' => 'blanket', 'stitchMm' => 1, 'ribbon' => ['widthMm' => 60, 'lengthMm' => 500, 'holesMm' => [[0, 0]]],
        'openings' => array_map(static fn (int $i): array => [
            'key' => "o{$i}", 'pointsMm' => [[10 * $i, 3990], [10 * $i + 4, -3990], [10 * $i + 8, 3990]],
        ], range(0, 9)),
    ]] + Figures::document(array_map(
        static fn (int $i): array => Figures::part("p{$i}", 'plate', 2000, 2000 - $i, 2, 0, 1000, $i),
        range(0, 19),
    )),
    '200 layers' => ['flat' => ['way' => 'batting', 'stitch' => 'whip']]
        + Figures::document(array_map(static fn (int $i): array => $plate($i, 24), range(0, 199))),
];
foreach (range(1, 6) as $seed) {
    $documents["any, of long lists, {$seed}"] = AnyFigure::of(900 + $seed, 30, 0.2);
}
/** Pictures as large as may be asked for. */
$largest = [
    'check/camera' => static fn (Figure $f): string => BenchCamera::png($f, RandomDeviations::of($f, 1), View::Front, 1, true, 2400),
    'render, large' => static fn (Figure $f): string => Painter::png($f, View::Front, 4096, Srgb::hex('#ffffff')),
];
$only = array_slice($argv, 1);
$failed = 0;
$worst = ['', 0.0];
foreach ($documents as $name => $document) {
    if ($only !== [] && ! in_array($name, $only, true)) {
        continue;
    }
    try {
        $figure = Figure::fromJson((string) json_encode($document));
    } catch (FigureRefused $refused) {
        printf("%-42s refused: %s\n", $name, $refused->faults[0]->text ?? $refused->getMessage());

        continue;
    }
    $took = [];
    foreach (array_keys(Doors::all()) as $door) {
        $took[$door] = 0.0;
        try {
            $took[$door] = Doors::seconds($door, $figure);
        } catch (Throwable $e) {
            printf("%-42s %s broke: %s\n", $name, $door, $e->getMessage());
            $failed++;
        }
    }
    foreach ($largest as $door => $ask) {
        $began = microtime(true);
        $ask($figure);
        $took[$door] = microtime(true) - $began;
    }
    arsort($took);
    $failed += count(array_filter($took, static fn (float $s): bool => $s > MOST_S));
    $worst = max($took) > $worst[1] ? [$name.', '.array_key_first($took), max($took)] : $worst;
    printf("%-42s %s\n", $name, implode(', ', array_map(
        static fn (string $door, float $s): string => sprintf('%s %.2f s', $door, $s),
        array_slice(array_keys($took), 0, 5),
        array_slice($took, 0, 5),
    )));
}
printf("worst: %s, %.2f s\n", ...$worst);
exit($failed > 0 ? 1 : 0);
