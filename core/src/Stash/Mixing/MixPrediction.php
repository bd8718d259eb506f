<?php

declare(strict_types=1);

namespace Impa\Stash\Mixing;

use Impa\Colour\Blend;
use Impa\Colour\Srgb;

/** What mixes of a stash's wools look like: by Stearns and Noechel's f, corrected by the felter's own swatches. Immutable. */
final readonly class MixPrediction
{
    /**
     * @param  array<int, array{float, float, float}>  $points  f of each wool
     * @param  list<array{Swatch, array{float, float, float}, float}>  $swatches  swatch, residual, mixedness
     */
    private function __construct(public array $points, private array $swatches)
    {
    }

    /**
     * @param  array<int, Srgb>  $wools  by the stash's number
     * @param  list<Swatch>  $swatches  of wools that are all among them; others are let be
     */
    public static function of(array $wools, array $swatches): self
    {
        $points = array_map(static fn (Srgb $wool): array => Blend::point($wool->light()), $wools);
        $known = [];
        foreach ($swatches as $swatch) {
            if (array_diff_key($swatch->shares, $points) === []) {
                $known[] = [$swatch, $swatch->residual($points), self::mixedness($swatch->shares)];
            }
        }

        return new self($points, $known);
    }

    /**
     * Whether a swatch of hers is much like this mix.
     *
     * @param  array<int, float>  $shares
     */
    public function isCorrected(array $shares): bool
    {
        return count($shares) > 1 &&
            array_filter($this->swatches, static fn (array $s): bool => $s[0]->likeness($shares) > 0.5) !== [];
    }

    /**
     * Where a mix lies under f, as the felter's swatches correct it. A pure wool is what it is.
     *
     * @param  array<int, float>  $shares
     * @return array{float, float, float}
     */
    public function point(array $shares): array
    {
        $x = $y = $z = 0.0;
        foreach ($shares as $wool => $share) {
            [$fx, $fy, $fz] = $this->points[$wool];
            $x += $share * $fx;
            $y += $share * $fy;
            $z += $share * $fz;
        }
        $weights = $likest = 0.0;
        $move = [0.0, 0.0, 0.0];
        foreach (count($shares) > 1 ? $this->swatches : [] as [$swatch, $residual, $mixed]) {
            $weight = $swatch->likeness($shares) ** 4;
            $weights += $weight;
            $likest = max($likest, $weight);
            $scale = $weight * min(1.0, self::mixedness($shares) / max(1e-9, $mixed));
            for ($c = 0; $c < 3; $c++) {
                $move[$c] += $scale * $residual[$c];
            }
        }
        if ($weights > 0.0) {
            // The relation counts as one swatch of hers, and the less the more alike the likest of hers is.
            $all = $weights + 1 - $likest;
            $x += $move[0] / $all;
            $y += $move[1] / $all;
            $z += $move[2] / $all;
        }

        return [$x, $y, $z];
    }

    /**
     * Nought for one wool alone, most for even shares.
     *
     * @param  array<int, float>  $shares
     */
    private static function mixedness(array $shares): float
    {
        return 1 - array_sum(array_map(static fn (float $s): float => $s * $s, $shares));
    }
}
