<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Material\Densities;
use Impa\Material\Firmness;

/**
 * How much wool a bag must hold so that it is enough, whoever takes it: some hands are used to it, others begin. What a hand uses lies
 * about the plan as a lognormal number; a group of both is a mixture of two. Immutable.
 */
final readonly class KitHands
{
    /** A beginner takes so much more, the logarithm, and scatters so (house choices: beginners take far too much; docs/trade.md). */
    private const BEGINNER_MORE = 0.12;

    private const BEGINNER_SIGMA = 0.35;

    /** Needles that break at a sitting, for each hand (house choices). */
    private const BREAKS = [0.1, 0.3];

    /** A beginner takes so many times as long (house choice). */
    public const BEGINNER_SLOWER = 1.6;

    /** Enough for all with this probability. */
    private const SPARES_ENOUGH = 0.95;

    /** @param  float  $beginners  share of them, 0 to 1 */
    public function __construct(public float $beginners)
    {
    }

    /** By how much a portion is made larger than the plan's so that so many bags of a hundred are enough. */
    public function factor(float $enough): float
    {
        [$low, $high] = [-2.0, 3.0];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $this->share($middle) < $enough ? [$middle, $high] : [$low, $middle];
        }

        return exp($high);
    }

    /** The share of bags that are enough when they hold the plan's grams times exp of this. */
    private function share(float $log): float
    {
        $used = self::normal($log / Densities::handPrior()->sigma(Firmness::Springy->value));
        $beginning = self::normal(($log - self::BEGINNER_MORE) / self::BEGINNER_SIGMA);

        return (1 - $this->beginners) * $used + $this->beginners * $beginning;
    }

    /** Spare needles for so many hands: as many as break at the most 19 times in 20 (a Poisson number). */
    public function spareNeedles(int $people): int
    {
        [$used, $beginning] = self::BREAKS;

        return self::poisson($people * ((1 - $this->beginners) * $used + $this->beginners * $beginning), self::SPARES_ENOUGH);
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

    /** How long the plan's minutes are for this group. */
    public function slower(): float
    {
        return 1 + $this->beginners * (self::BEGINNER_SLOWER - 1);
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
