<?php

declare(strict_types=1);

/*
 * How long a plan of 40 parts and 40 details takes in process, and next to it a figure of one part:
 * medians in milliseconds, and their ratio. With a base address, the same over HTTP:
 *   php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M bench/plan.php [http://127.0.0.1:8765]
 */

use Impa\Figure\Figure;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;
use Impa\Wool\Supply;

require __DIR__.'/../vendor/autoload.php';

/**
 * @param  callable(): mixed  $do
 * @return array{float, float} median and 95th percentile in ms
 */
function timed(callable $do, int $rounds): array
{
    for ($i = 0; $i < 5; $i++) {
        $do();
    }
    $times = [];
    for ($i = 0; $i < $rounds; $i++) {
        $start = hrtime(true);
        $do();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return [$times[intdiv($rounds, 2)], $times[(int) floor($rounds * 0.95)]];
}

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
    curl_setopt_array($curl, [CURLOPT_URL => $argv[1].'/', CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar]);
    curl_exec($curl);
    preg_match('/XSRF-TOKEN\s+(\S+)/', implode("\n", curl_getinfo($curl, CURLINFO_COOKIELIST)), $m);
    curl_setopt_array($curl, [
        CURLOPT_POST => true, CURLOPT_POSTFIELDS => '{"document":'.$large.'}',
        CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', 'X-XSRF-TOKEN: '.rawurldecode($m[1] ?? '')],
    ]);
    foreach (['plan' => 'the plan over HTTP', 'board' => 'the board over HTTP', 'supply' => 'ledger, matches, portions, totals over HTTP'] as $door => $name) {
        curl_setopt($curl, CURLOPT_URL, $argv[1].'/api/'.$door);
        $rows['40 parts, 40 details: '.$name] = timed(static function () use ($curl, $door): void {
            curl_exec($curl);
            if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) !== 200) {
                throw new RuntimeException('The server does not answer at '.$door);
            }
        }, 100);
    }
}

printf("%-66s %9s %9s\n", '', 'median ms', '95 % ms');
foreach ($rows as $name => [$median, $late]) {
    printf("%-66s %9.1f %9.1f\n", $name, $median, $late);
}
printf("40 parts cost %.1f times one part.\n", $rows['40 parts, 40 details, from JSON'][0] / $rows['one part, one detail, from JSON'][0]);
