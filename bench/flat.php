<?php

declare(strict_types=1);

use Impa\Figure\Figure;
use Impa\Flat\FeltSheet;
use Impa\Flat\FlatPlan;
use Impa\Geometry\Outline\SkylinePacking;
use Impa\Tests\Support\CutUp;

/*
 * How near pieces lie to the least felt there is, and how long it takes: sheets that were cut up from edge to edge into so many pieces, so
 * that the optimum is known. Then a figure of layers: its plan beside the reading of its document.
 * php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M bench/flat.php
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/timed.php';

foreach ([8, 16, 30, 60, 120] as $count) {
    $over = [];
    $ms = 0.0;
    for ($seed = 1; $seed <= 6; $seed++) {
        $pieces = CutUp::of(200.0, 200.0, $count, $seed);
        [$took, , $packing] = timed(static fn () => SkylinePacking::of($pieces, 200.0, tries: SkylinePacking::THOROUGH), 5, 0);
        $over[] = 100 * ($packing->length / 200.0 - 1);
        $ms = max($ms, $took);
    }
    printf("%3d pieces    %.1f %% over the least, %.1f %% at most    %6.1f ms\n", $count, array_sum($over) / 6, max($over), $ms);
}
$json = (string) file_get_contents(__DIR__.'/../demo/dusk.impa.json');
[$read, , $figure] = timed(static fn () => Figure::fromJson($json), 5);
[$plan] = timed(static fn () => FlatPlan::of($figure, FeltSheet::usual())->document(), 5);
printf("a mask of ten layers    %.1f ms, %.1f times its reading\n", $plan, $plan / $read);
