<?php

declare(strict_types=1);

/**
 * How long a call takes, after some that warm it up.
 *
 * @param  callable(): mixed  $do
 * @return array{float, float, mixed} median and 95th percentile in ms, and what came of it last
 */
function timed(callable $do, int $rounds, int $warm = 3): array
{
    for ($i = 0; $i < $warm; $i++) {
        $do();
    }
    $times = [];
    $made = null;
    for ($i = 0; $i < $rounds; $i++) {
        $start = hrtime(true);
        $made = $do();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return [$times[intdiv($rounds, 2)], $times[(int) floor($rounds * 0.95)], $made];
}
