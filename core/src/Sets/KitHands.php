<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Material\Beginners;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\Pace;

/**
 * How much wool a bag must hold so that it is enough, whoever takes it, and how long a phase lasts: some hands are used to it, others
 * begin (Material/Beginners). What a hand uses lies about the plan as a lognormal number; a group of both is a mixture of two. Immutable.
 */
final readonly class KitHands
{
    /** Enough for all with this probability. */
    private const SPARES_ENOUGH = 0.95;

    /** The middle of the slower half: so many are through when a phase of the run ends. */
    private const THROUGH = 0.75;

    /** @param  float  $beginners  share of them, 0 to 1 */
    public function __construct(public float $beginners)
    {
    }

    /** By how much a portion is made larger than the plan's so that so many bags of a hundred are enough. */
    public function factor(float $enough): float
    {
        return $this->quantile(
            $enough,
            Densities::handPrior()->sigma(Firmness::Springy->value),
            Beginners::GRAMS,
            Beginners::GRAMS_SIGMA,
        );
    }

    /** How many times the plan's minutes the slower half takes: what three of four do not pass. */
    public function slower(): float
    {
        return $this->quantile(self::THROUGH, Pace::HAND_SIGMA, Beginners::MINUTES, Beginners::MINUTES_SIGMA);
    }

    /**
     * What so many of this group do not pass, a mixture of two lognormal numbers.
     *
     * @param  float  $share  of them, above 0 and below 1
     * @param  float  $usedSigma  scatter of hands that are used to it, about 1
     * @param  float  $median  of those who begin
     */
    private function quantile(float $share, float $usedSigma, float $median, float $sigma): float
    {
        [$low, $high] = [-3.0, 3.0];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            $below = (1 - $this->beginners) * self::normal($middle / $usedSigma)
                + $this->beginners * self::normal(($middle - log($median)) / $sigma);
            [$low, $high] = $below < $share ? [$middle, $high] : [$low, $middle];
        }

        return exp($high);
    }

    /** Spare needles for so many hands: as many as break at the most 19 times in 20 (a Poisson number). */
    public function spareNeedles(int $people): int
    {
        $each = (1 - $this->beginners) * Beginners::USED_BREAKS + $this->beginners * Beginners::BREAKS;

        return self::poisson($people * $each, self::SPARES_ENOUGH);
    }

    /** The least number that a Poisson number of this mean does not pass, with this probability. */
    public static function poisson(float $mean, float $enough): int
    {
        $term = $sum = exp(-$mean);
        for ($n = 0; $sum < $enough && $n < 10_000; $n++) {
            $term *= $mean / ($n + 1);
            $sum += $term;
        }

        return $n;
    }

    /** The standard normal's distribution (Abramowitz and Stegun 7.1.26: within 1.5e-7). */
    public static function normal(float $z): float
    {
        $x = abs($z) / M_SQRT2;
        $t = 1 / (1 + 0.3275911 * $x);
        $erf = 1 - $t * (0.254829592 + $t * (-0.284496736 + $t * (1.421413741 + $t * (-1.453152027 + $t * 1.061405429)))) * exp(-$x * $x);

        return 0.5 * (1 + ($z < 0.0 ? -$erf : $erf));
    }
}
