<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Material\Pace;
use Impa\Wool\Ledger\Ledger;

/** The work on a figure by the house's numbers, and the demo's figures. */
final class Works
{
    public static function of(Figure $figure): Work
    {
        return Work::of(Ledger::of($figure, Densities::house()), Pace::house(), Needles::usual());
    }

    public static function demo(string $name): Figure
    {
        return Figure::fromJson((string) file_get_contents(__DIR__."/../../../demo/$name.impa.json"));
    }
}
