<?php

declare(strict_types=1);

namespace Impa\Geometry;

/** Many numbers that are known together, by their means and covariances (a multivariate normal distribution). */
final class Gaussian
{
    /**
     * What is known after one more value of a weighed sum of them: the Bayesian linear model, one value at a time (Kalman 1960).
     *
     * @param  list<float>  $mean
     * @param  list<list<float>>  $covariance
     * @param  list<float>  $row  the weights, one for each number
     * @param  float  $variance  of the value about the sum, > 0
     * @return array{list<float>, list<list<float>>}
     */
    public static function after(array $mean, array $covariance, array $row, float $value, float $variance): array
    {
        $with = array_map(static fn (array $line): float => self::dot($line, $row), $covariance);
        $whole = $variance + self::dot($row, $with);
        $off = $value - self::dot($row, $mean);
        $newMean = $newCovariance = [];
        foreach ($with as $i => $w) {
            $newMean[] = $mean[$i] + $w / $whole * $off;
            $line = [];
            foreach ($with as $j => $v) {
                $line[] = $covariance[$i][$j] - $w * $v / $whole;
            }
            $newCovariance[] = $line;
        }

        return [$newMean, $newCovariance];
    }

    /**
     * What was known before a value that is among those that were learned from, whichever of them: it takes away what it added (the
     * same step with its variance below 0).
     *
     * @param  list<float>  $mean
     * @param  list<list<float>>  $covariance
     * @param  list<float>  $row
     * @param  float  $variance  as it was learned with, > 0
     * @return array{list<float>, list<list<float>>}
     */
    public static function without(array $mean, array $covariance, array $row, float $value, float $variance): array
    {
        return self::after($mean, $covariance, $row, $value, -$variance);
    }

    /**
     * @param  list<float>  $one
     * @param  list<float>  $two  as long
     */
    public static function dot(array $one, array $two): float
    {
        $sum = 0.0;
        foreach ($one as $i => $x) {
            $sum += $x * $two[$i];
        }

        return $sum;
    }
}
