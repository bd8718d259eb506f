<?php

declare(strict_types=1);

namespace Impa\Stash\Mixing;

use Impa\Colour\Blend;
use Impa\Colour\Srgb;

/** What the felter's own mix really became: it corrects the next prediction of mixes like it. Immutable. */
final readonly class Swatch
{
    /** @param  array<int, float>  $shares  by wool, summing to 1 */
    public function __construct(
        public array $shares,
        public Srgb $became,
    ) {
    }

    /**
     * By how much the relation was off for this mix.
     *
     * @param  array<int, array{float, float, float}>  $points  f of the wools
     * @return array{float, float, float} in f
     */
    public function residual(array $points): array
    {
        $became = Blend::point($this->became->light());
        foreach ($this->shares as $wool => $share) {
            for ($c = 0; $c < 3; $c++) {
                $became[$c] -= $share * $points[$wool][$c];
            }
        }

        return $became;
    }

    /**
     * How much of two mixes is the same, 0 to 1.
     *
     * @param  array<int, float>  $shares
     */
    public function likeness(array $shares): float
    {
        $common = 0.0;
        foreach ($shares as $wool => $share) {
            $common += min($share, $this->shares[$wool] ?? 0.0);
        }

        return $common;
    }
}
