<?php

declare(strict_types=1);

use Impa\Figure\Figure;
use Impa\Sets\Colourways;
use Impa\Sets\FigureSet;
use Impa\Sets\Member;
use Impa\Sets\SetPlan;
use Impa\Tests\Support\Figures;

/*
 * How long a set of 20 different characters of 20 parts takes, planned as one: its ledger and its order; and a choir, the same one in 20
 * colourways. Medians in milliseconds, and how they stand to one figure for itself. With a base address, the same over HTTP:
 * php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=128M bench/sets.php [http://127.0.0.1:8765]
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/timed.php';

/** @return array<string, mixed> a body, a head with a face, and pairs of limbs, ears and plates; 20 parts */
function character(int $n): array
{
    $parts = [
        Figures::part('body', 'egg', 40 + $n % 5, 50, 38, 0, 25),
        Figures::part('head', 'ball', 44, 42 + $n % 3, 42, 0, 66, 0, ['join' => ['to' => 'body']]),
    ];
    for ($i = 0; $i < 18; $i++) {
        $isPlate = $i % 4 === 3;
        $parts[] = Figures::part(
            'p'.$i,
            $isPlate ? 'plate' : ['sausage', 'cone', 'ball'][$i % 3],
            8 + $i % 4,
            14 + $n % 7,
            $isPlate ? 3 : 8 + $i % 4,
            ($i % 2 === 0 ? 1 : -1) * (18 + $i % 6),
            8 + 5 * $i,
            ($i % 5) - 2,
            ['join' => ['to' => $i < 10 ? 'body' : 'head'], 'colour' => ['black', 'white'][$i % 2]],
        );
    }
    $details = array_map(static fn (int $i): array => [
        'key' => 'd'.$i, 'on' => 'head', 'colour' => ['black', 'white'][$i % 2], 'layer' => 1 + $i % 2, 'kind' => 'disc',
        'xMm' => 2 + 3 * $i, 'yMm' => -4 + $i, 'widthMm' => 4, 'heightMm' => 4, 'mirror' => $i < 3,
    ], range(0, 5));

    return ['name' => "Character {$n}"] + Figures::document($parts, $details);
}

$figures = array_map(static fn (int $n): Figure => Figures::read(character($n)), range(0, 19));
$ways = Colourways::turned($figures[0], [array_key_first($figures[0]->colours)], 20);
$sets = [
    'one figure' => fn () => SetPlan::of(FigureSet::of('One', [Member::of($figures[0])]))->document(),
    'choir of 20' => fn () => SetPlan::of(FigureSet::of('Choir', array_map(
        static fn (array $way, int $i): Member => Member::of($figures[0], "Voice {$i}", 1, $way),
        $ways,
        array_keys($ways),
    )))->document(),
    '20 different' => fn () => SetPlan::of(FigureSet::of('All', array_map(Member::of(...), $figures)))->document(),
];
$first = null;
foreach ($sets as $name => $do) {
    [$median, $late] = timed($do, 15);
    $first ??= $median;
    printf("%-14s %7.1f ms, 95 %% %7.1f ms, %5.1f of one figure\n", $name, $median, $late, $median / $first);
}

if (isset($argv[1])) {
    $curl = curl_init();
    $jar = tempnam(sys_get_temp_dir(), 'impa');
    curl_setopt_array($curl, [
        CURLOPT_URL => $argv[1].'/',
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_COOKIEJAR => $jar,
        CURLOPT_COOKIEFILE => $jar,
    ]);
    curl_exec($curl);
    preg_match('/XSRF-TOKEN\s+(\S+)/', implode("\n", curl_getinfo($curl, CURLINFO_COOKIELIST)), $m);
    $head = ['Content-Type: application/json', 'Accept: application/json', 'X-XSRF-TOKEN: '.rawurldecode($m[1] ?? '')];
    $ask = static function (string $door, mixed $body, int $wanted = 200) use ($curl, $head, $argv): stdClass {
        curl_setopt_array($curl, [
            CURLOPT_URL => $argv[1].'/api/'.$door,
            CURLOPT_POST => true,
            CURLOPT_HTTPHEADER => $head,
            CURLOPT_POSTFIELDS => json_encode($body, JSON_THROW_ON_ERROR),
        ]);
        $answer = (string) curl_exec($curl);
        if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) !== $wanted) {
            throw new RuntimeException($door.': '.substr($answer, 0, 300));
        }

        return json_decode($answer, false, 512, JSON_THROW_ON_ERROR);
    };
    // They stay on its shelf: ask a server of its own.
    $ids = array_map(static fn (Figure $f): int => $ask('figures', ['document' => $f->document()], 201)->id, $figures);
    $members = ['choir of 20' => array_map(static fn (array $way, int $i): array => [
        'figure' => $ids[0], 'name' => "Voice {$i}", 'colours' => $way,
    ], $ways, array_keys($ways)), '20 different' => array_map(static fn (int $id): array => ['figure' => $id], $ids)];
    foreach ($members as $name => $list) {
        [$median, $late] = timed(static fn () => $ask('set/plan', ['name' => $name, 'members' => $list]), 20);
        printf("%-14s over HTTP %7.1f ms, 95 %% %7.1f ms\n", $name, $median, $late);
    }
}
