<?php

declare(strict_types=1);

namespace Impa\Material;

use Impa\Geometry\Gaussian;

/**
 * How a hand differs from the house's numbers, on the logarithmic scale: an effect of the hand in everything, one in each group (a
 * firmness, a kind of step), and the scatter from piece to piece. All normal, so that what is known after a piece is known in closed
 * form: the Bayesian linear model (Gelman et al., Bayesian Data Analysis, 3rd ed., chapter 14), brought up to date one piece at a time
 * (Kalman 1960; the order of pieces does not matter).
 *
 *     y = hand + group + piece,   hand ~ N(0, h^2),   group ~ N(0, g^2),   piece ~ N(0, s^2)
 *
 * Immutable.
 */
final readonly class HandModel
{
    /** The standard normal's 90 % point: 80 % lie between minus and plus this (statistical tables). */
    public const Z80 = 1.2815515655;

    /**
     * @param  float  $groupSigma  of a group's effect before anything of it is known
     * @param  float  $scatter  from piece to piece
     * @param  array<string, int>  $place  of each group that was seen, in the vector of effects: 0 is the hand's own
     * @param  list<float>  $mean
     * @param  list<list<float>>  $covariance
     */
    private function __construct(
        private float $groupSigma,
        public float $scatter,
        private array $place,
        private array $mean,
        private array $covariance,
        public int $count,
    ) {
    }

    /** @param  float  $handSigma  spread between hands; of a group within one; from piece to piece: each of a logarithm, > 0 */
    public static function prior(float $handSigma, float $groupSigma, float $scatter): self
    {
        return new self($groupSigma, $scatter, [], [0.0], [[$handSigma ** 2]], 0);
    }

    /** What is known after one more piece. */
    public function after(string $group, float $y): self
    {
        [$place, $mean, $covariance] = [$this->place, $this->mean, $this->covariance];
        $n = count($mean);
        if (! isset($place[$group])) {
            $place[$group] = $n;
            $mean[] = 0.0;
            foreach ($covariance as $i => $row) {
                $covariance[$i][] = 0.0;
            }
            $covariance[] = [...array_fill(0, $n, 0.0), $this->groupSigma ** 2];
            $n++;
        }
        [$mean, $covariance] = Gaussian::after($mean, $covariance, self::row($n, $place[$group]), $y, $this->scatter ** 2);

        return new self($this->groupSigma, $this->scatter, $place, $mean, $covariance, $this->count + 1);
    }

    /** What is known without one of the pieces that it learned from. */
    public function without(string $group, float $y): self
    {
        $row = self::row(count($this->mean), $this->place[$group]);
        [$mean, $covariance] = Gaussian::without($this->mean, $this->covariance, $row, $y, $this->scatter ** 2);

        return new self($this->groupSigma, $this->scatter, $this->place, $mean, $covariance, $this->count - 1);
    }

    /** @return list<float> which effects a piece of the group at this place has, of so many */
    private static function row(int $n, int $place): array
    {
        return array_map(static fn (int $i): float => $i === 0 || $i === $place ? 1.0 : 0.0, range(0, $n - 1));
    }

    /** The logarithm of what a hand does to a group's numbers, as far as is known. */
    public function mean(string $group): float
    {
        return $this->mean[0] + (isset($this->place[$group]) ? $this->mean[$this->place[$group]] : 0.0);
    }

    /** By what a group's numbers are multiplied: the median. */
    public function factor(string $group): float
    {
        return exp($this->mean($group));
    }

    /** How the effects of two groups go together; of one with itself its variance. */
    public function covariance(string $one, string $two): float
    {
        [$i, $j] = [$this->place[$one] ?? null, $this->place[$two] ?? null];
        $sum = $this->covariance[0][0];
        $sum += $i === null ? 0.0 : $this->covariance[0][$i];
        $sum += $j === null ? 0.0 : $this->covariance[0][$j];

        return match (true) {
            $i !== null && $j !== null => $sum + $this->covariance[$i][$j],
            $one === $two => $sum + $this->groupSigma ** 2,
            default => $sum,
        };
    }

    /** Of the logarithm of the next piece of a group. */
    public function sigma(string $group): float
    {
        return sqrt($this->covariance($group, $group) + $this->scatter ** 2);
    }

    /**
     * Of the logarithm of a sum of pieces (the delta method): effects are shared by all pieces of a group, scatter partly cancels out.
     *
     * @param  list<array{string, float}>  $pieces  group and amount of each
     */
    public function sigmaOfSum(array $pieces): float
    {
        $whole = array_sum(array_column($pieces, 1));
        if ($whole <= 0.0) {
            return 0.0;
        }
        $shares = [];
        $scatter = 0.0;
        foreach ($pieces as [$group, $amount]) {
            $shares[$group] = ($shares[$group] ?? 0.0) + $amount / $whole;
            $scatter += ($this->scatter * $amount / $whole) ** 2;
        }
        $shared = 0.0;
        foreach ($shares as $one => $a) {
            foreach ($shares as $two => $b) {
                $shared += $a * $b * $this->covariance((string) $one, (string) $two);
            }
        }

        return sqrt(max(0.0, $shared) + $scatter);
    }
}
