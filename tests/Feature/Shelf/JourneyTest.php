<?php

declare(strict_types=1);

namespace Tests\Feature\Journey;

use Impa\Tests\Support\Turns;
use Tests\Support\Joints;
use Tests\Support\Journey;

/** So many acts make a journey. */
const ACTS = 30;

/** Journeys of the suite; bench/journeys.sh goes on many more. */
const SEEDS = 12;

/** @return list<int> */
function seeds(): array
{
    $asked = (int) getenv('IMPA_JOURNEYS');
    $from = (int) (getenv('IMPA_JOURNEYS_FROM') ?: 1);

    return range($from, $from + ($asked > 0 ? $asked : SEEDS) - 1);
}

it('says in every room what was decided in one, after each act of a felter', function (int $seed) {
    if (getenv('IMPA_JOURNEYS') === false && ! Turns::isOn($seed, 3 * SEEDS)) {
        $this->markTestSkipped('It is not its turn; bin/test all goes on each.');
    }
    $journey = new Journey($this, $seed);
    $journey->begin();
    Joints::hold($this, $journey);
    for ($i = 0; $i < ACTS; $i++) {
        expect($journey->act())->not->toBe('');
        Joints::hold($this, $journey);
    }
    expect($journey->did)->toHaveCount(ACTS);
})->with(fn () => seeds());
