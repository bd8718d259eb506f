<?php

declare(strict_types=1);

namespace Impa\Geometry;

/** Linear least squares by the normal equations, solved by Gaussian elimination with partial pivoting. */
final class LeastSquares
{
    /**
     * @param  non-empty-list<list<float>>  $rows  what is known of each sample, all as long
     * @param  list<float>  $wanted  the value of each
     * @return ?list<float> the factors whose sums come nearest to the values; null where the samples do not tell
     */
    public static function fit(array $rows, array $wanted): ?array
    {
        $n = count($rows[0]);
        $normal = array_fill(0, $n, array_fill(0, $n + 1, 0.0));
        foreach ($rows as $k => $row) {
            for ($i = 0; $i < $n; $i++) {
                for ($j = 0; $j < $n; $j++) {
                    $normal[$i][$j] += $row[$i] * $row[$j];
                }
                $normal[$i][$n] += $row[$i] * $wanted[$k];
            }
        }

        return self::solved($normal, $n);
    }

    /**
     * @param  array<int, array<int, float>>  $m  n rows of n + 1
     * @return ?list<float>
     */
    private static function solved(array $m, int $n): ?array
    {
        for ($i = 0; $i < $n; $i++) {
            $pivot = $i;
            for ($k = $i + 1; $k < $n; $k++) {
                $pivot = abs($m[$k][$i]) > abs($m[$pivot][$i]) ? $k : $pivot;
            }
            if (abs($m[$pivot][$i]) < 1e-9) {
                return null;
            }
            [$m[$i], $m[$pivot]] = [$m[$pivot], $m[$i]];
            for ($k = $i + 1; $k < $n; $k++) {
                $by = $m[$k][$i] / $m[$i][$i];
                for ($j = $i; $j <= $n; $j++) {
                    $m[$k][$j] -= $by * $m[$i][$j];
                }
            }
        }
        $found = array_fill(0, $n, 0.0);
        for ($i = $n - 1; $i >= 0; $i--) {
            $rest = $m[$i][$n];
            for ($j = $i + 1; $j < $n; $j++) {
                $rest -= $m[$i][$j] * $found[$j];
            }
            $found[$i] = $rest / $m[$i][$i];
        }

        return array_values($found);
    }
}
