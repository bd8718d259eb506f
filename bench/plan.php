<?php

declare(strict_types=1);

use Impa\Figure\Figure;
use Impa\Plan\Plan;
use Impa\Stash\Supply\Supply;
use Impa\Tests\Support\Figures;

/*
 * How long a plan of 40 parts and 40 details takes in process, and next to it a figure of one part:
 * medians in milliseconds, and their ratio. With a base address, the same over HTTP:
 * php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=128M -d opcache.jit_max_root_traces=8192
 * bench/plan.php [http://127.0.0.1:8765]
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/timed.php';

// As figures are: most parts keep their front to the viewer, every fifth is turned out of the picture plane.
$document = Figures::random(40, 40, 40);
foreach ($document['parts'] as $i => &$part) {
    if ($i % 5 !== 0) {
        $part['turnDeg'] = ['z' => $part['turnDeg']['z']];
    }
}
unset($part);
$large = json_encode($document, JSON_THROW_ON_ERROR);
$small = json_encode(Figures::random(40, 1, 1), JSON_THROW_ON_ERROR);
$figure = Figure::fromJson($large);
/** A head of a few parts with a face of 40 details of every kind, some of them round the edge. */
$face = Figures::document(
    [
        Figures::part('head', 'egg', 60, 66, 56, 0, 90),
        Figures::part('body', 'egg', 50, 60, 44, 0, 30),
        Figures::part('ear', 'cone', 14, 20, 10, 18, 120, 0, ['mirror' => true, 'join' => ['to' => 'head']]),
    ],
    array_map(
        static fn (int $i): array => [
            'key' => 'd'.$i,
            'on' => 'head',
            'colour' => ['black', 'white'][$i % 2],
            'layer' => 1 + intdiv($i, 16),
            'xMm' => 3 + 3.1 * ($i % 8),
            'yMm' => -12 + 5 * intdiv($i, 8),
            'mirror' => $i % 3 === 0,
        ] +
            match ($i % 4) {
                0, 1 => ['kind' => 'disc', 'widthMm' => 4 + ($i % 3), 'heightMm' => 4],
                2 => [
                    'kind' => 'line',
                    'widthMm' => 1.2,
                    'pointsMm' => [[-3, 0], [-1, -1.5], [1, -1.5], [3, 0]],
                    'smooth' => true,
                ],
                default => [
                    'kind' => 'patch',
                    'pointsMm' => [[-2, -2], [2, -2], [2.5, 1], [0, 2.5], [-2.5, 1]],
                    'smooth' => true,
                ],
            },
        range(0, 39),
    ),
);
/** A character of 40 parts and 40 details: a body, a head, limbs and horns about them, a tail of links. */
$limb = static function (string $key, float $x, float $y, float $z, float $turn, string $to): array {
    return Figures::part($key, 'sausage', 9, 26, 9, $x, $y, $z, ['turnDeg' => ['z' => $turn], 'join' => ['to' => $to]]);
};
$parts = [
    Figures::part('body', 'egg', 60, 80, 54, 0, 60),
    Figures::part('head', 'ball', 60, 54, 56, 0, 122, 0, ['join' => ['to' => 'body']]),
];
foreach (range(0, 37) as $i) {
    [$row, $side] = [intdiv($i, 2), $i % 2 === 0 ? 1 : -1];
    $parts[] = match (true) {
        $row < 5 => $limb('arm'.$i, $side * 36, 40 + 12 * $row, 0, $side * 60, 'body'),
        $row < 10 => $limb('leg'.$i, $side * 6 * ($row - 4), 14, 10 - 5 * ($row - 5), 0, 'body'),
        $row < 14 => $limb('horn'.$i, $side * 7 * ($row - 9), 152, 4 - 3 * $row + 30, -$side * 14 * ($row - 9), 'head'),
        default => $limb('tail'.$i, 0, 30 + 3 * $i, -30 - 4 * ($i - 28), 90, $i === 28 ? 'body' : 'tail'.($i - 1)),
    };
}
$character = json_encode(Figures::document($parts, $face['details'], ['heightMm' => 165]), JSON_THROW_ON_ERROR);
$rows = [
    'one part, one detail, from JSON' => timed(static fn () => Plan::of(Figure::fromJson($small))->document(), 60),
    '40 parts, 40 details: reading and checking' => timed(static fn () => Figure::fromJson($large), 60),
    '40 parts, 40 details: the plan' => timed(static fn () => Plan::of($figure)->document(), 60),
    '40 parts, 40 details: the supply' => timed(static fn () => Supply::of($figure, [])->document(), 60),
    '40 parts, 40 details, from JSON' => timed(static fn () => Plan::of(Figure::fromJson($large))->document(), 60),
];

if (isset($argv[1])) {
    $jar = tempnam(sys_get_temp_dir(), 'impa');
    $curl = curl_init();
    curl_setopt_array($curl, [
        CURLOPT_URL => $argv[1].'/',
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_COOKIEJAR => $jar,
        CURLOPT_COOKIEFILE => $jar,
    ]);
    curl_exec($curl);
    preg_match('/XSRF-TOKEN\s+(\S+)/', implode("\n", curl_getinfo($curl, CURLINFO_COOKIELIST)), $m);
    $head = ['Content-Type: application/json', 'Accept: application/json', 'X-XSRF-TOKEN: '.rawurldecode($m[1] ?? '')];
    $ask = static function (string $door, string $body) use ($curl, $head, $argv): void {
        curl_setopt_array($curl, [
            CURLOPT_URL => $argv[1].'/api/'.$door,
            CURLOPT_POST => true,
            CURLOPT_HTTPHEADER => $head,
            CURLOPT_POSTFIELDS => $body,
        ]);
        curl_exec($curl);
        if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) !== 200) {
            throw new RuntimeException('The server does not answer at '.$door);
        }
    };
    foreach (
        [
            'plan' => 'the plan over HTTP',
            'board' => 'the board over HTTP',
            'supply' => 'ledger, matches, portions, totals over HTTP',
        ] as $door => $name
    ) {
        $rows['40 parts, 40 details: '.$name] = timed(static fn () => $ask($door, '{"document":'.$large.'}'), 100);
    }
    foreach (['build', 'schedule', 'armature', 'balance'] as $door) {
        $rows['a character of 40 parts: '.$door.' over HTTP'] = timed(static fn () => $ask($door, '{"document":'.$character.'}'), 60);
        $rows['40 parts in a heap: '.$door.' over HTTP'] = timed(static fn () => $ask($door, '{"document":'.$large.'}'), 60);
    }
    $on = static fn (array $more): string => json_encode($more + ['document' => $face, 'part' => 'head'], JSON_THROW_ON_ERROR);
    foreach (
        [
            'face/advice' => [],
            'face/laying' => [],
            'face/marks' => ['from' => 'd0'],
            'face/pieces' => ['kind' => 'open-eyes', 'values' => ['lid' => 0.3]],
            'plan' => [],
            'board' => [],
        ] as $door => $more
    ) {
        $rows['a face of 40 details: '.$door.' over HTTP'] = timed(static fn () => $ask($door, $on($more)), 100);
    }
}

printf("%-66s %9s %9s\n", '', 'median ms', '95 % ms');
foreach ($rows as $name => [$median, $late]) {
    printf("%-66s %9.1f %9.1f\n", $name, $median, $late);
}
printf(
    "40 parts cost %.1f times one part.\n",
    $rows['40 parts, 40 details, from JSON'][0] / $rows['one part, one detail, from JSON'][0],
);
