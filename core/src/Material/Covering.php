<?php

declare(strict_types=1);

namespace Impa\Material;

/** How a part is covered, with its numbers: common ones where the felter gave none (house priors). Immutable. */
final readonly class Covering
{
    /** Fewest and most loops, tufts, locks or curls on a square centimetre (formats/impa-figure-2.schema.json). */
    public const PER_CM2 = [0.1, 200.0];

    /**
     * @param  float  $lengthMm  height of a loop, length of a tuft, lock or hair from the fold to its end
     * @param  float  $perCm2  loops, tufts or locks on a square centimetre
     * @param  float  $mgEach  of a tuft, lock or curl
     * @param  float  $ribbonMm  width of a wrapping ribbon, of a lay of hair, of one strand of a plait
     * @param  float  $overlap  of a ribbon over its last turn, as a share of its width
     */
    private function __construct(
        public CoveringWay $way,
        public float $lengthMm,
        public float $perCm2,
        public float $mgEach,
        public float $ribbonMm,
        public float $overlap,
    ) {
    }

    /** Numbers of 0 or less are filled in. */
    public static function of(
        CoveringWay $way,
        float $lengthMm = 0.0,
        float $perCm2 = 0.0,
        float $mgEach = 0.0,
        float $ribbonMm = 0.0,
        float $overlap = -1.0,
    ): self {
        [$usualLength, $usualPer, $usualMg, $usualRibbon] = $way->usual();

        return new self(
            $way,
            $lengthMm > 0.0 ? $lengthMm : $usualLength,
            $perCm2 > 0.0 ? $perCm2 : $usualPer,
            $mgEach > 0.0 ? $mgEach : $usualMg,
            $ribbonMm > 0.0 ? $ribbonMm : $usualRibbon,
            $overlap >= 0.0 ? $overlap : 0.3,
        );
    }

    /** How many loops, tufts or locks show along a rim of so many mm, standing as far apart there as all over. */
    public function alongRim(float $rimMm): float
    {
        return $rimMm / 10 * sqrt($this->perCm2);
    }

    /** How many stand on a square centimetre where so many show along a rim of so many mm, as far as that goes. */
    public static function perCm2Of(int $alongRim, float $rimMm): float
    {
        return max(self::PER_CM2[0], min(self::PER_CM2[1], (10 * $alongRim / $rimMm) ** 2));
    }

    public static function felt(): self
    {
        return self::of(CoveringWay::Felt);
    }
}
