<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Material\Densities;

/** How many times the wool a figure takes in another size: the cube of the growth, less what covers save that keep their thickness. */
final class Growth
{
    /** @param  float  $heightMm  10 to 2000 */
    public static function ofWool(Figure $figure, float $heightMm, Densities $densities): float
    {
        $now = Ledger::of($figure, $densities)->totalG();

        return $now > 0.0 ? Ledger::of(Scaling::to($figure, $heightMm), $densities)->totalG() / $now : ($heightMm / $figure->heightMm) ** 3;
    }
}
