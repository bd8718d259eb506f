<?php

declare(strict_types=1);

namespace Impa\Check;

use Impa\Geometry\LeastSquares;
use Impa\Raster\ConnectedComponents;

/**
 * What of a photo is plain ground, and what stands on it: the ground's colour as a quadratic surface over the picture (its light falls
 * off smoothly), fitted to the rim of the picture by iteratively reweighted least squares. On a coarse grid of cells. Immutable.
 */
final readonly class Ground
{
    /** A cell has so many pixels to a side. */
    public const CELL = 3;

    /** The rim of the picture from which the ground is taken, as a share of its shorter side; it is looked at every so many cells. */
    private const RIM = 0.05;

    private const EVERY = 2;

    /** So much of the rim must be ground. */
    private const PLAIN = 0.6;

    /** What differs by more than so many sigma, and by so many grey values, stands on the ground. */
    private const SIGMAS = 5.0;

    private const LEAST = 16.0;

    private const DARK = 40.0;

    /**
     * @param  array<int, true>  $standing  cells that are no ground
     */
    private function __construct(public array $standing, public int $width, public int $height)
    {
    }

    /** @throws PhotoRefused if it is too dark, or its ground not plain */
    public static function of(Photo $photo): self
    {
        [$width, $height] = [intdiv($photo->width, self::CELL), intdiv($photo->height, self::CELL)];
        $cells = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $cells[] = self::mean($photo, $x * self::CELL, $y * self::CELL);
            }
        }
        [$rows, $values] = self::rim($cells, $width, $height);
        $weights = array_fill(0, count($rows), 1.0);
        $factors = [];
        $sigma = 255.0;
        for ($round = 0; $round < 5; $round++) {
            $factors = [];
            foreach ([0, 1, 2] as $channel) {
                $factors[] = self::fit($rows, array_column($values, $channel), $weights);
            }
            $off = [];
            foreach ($rows as $i => $row) {
                $off[] = self::off($factors, $row, $values[$i]);
            }
            $sorted = $off;
            sort($sorted);
            // The median of the length of three normal numbers is 1.54 sigma.
            $sigma = max(1.0, $sorted[intdiv(count($sorted), 2)] / 1.54);
            $weights = array_map(static fn (float $o): float => $o < 3 * 1.54 * $sigma ? 1.0 : 0.0, $off);
        }
        if (array_sum($weights) < self::PLAIN * count($weights) || $sigma > 14.0) {
            throw PhotoRefused::busyGround();
        }
        $middle = self::at($factors, self::row(0.5, 0.5));
        if (max($middle) < self::DARK) {
            throw PhotoRefused::tooDark();
        }
        $limit = max(self::LEAST, self::SIGMAS * $sigma);
        $standing = [];
        foreach ($cells as $i => $cell) {
            $row = self::row(($i % $width) / $width, intdiv($i, $width) / $height);
            if (self::off($factors, $row, $cell) > $limit) {
                $standing[$i] = true;
            }
        }

        return new self(self::cleaned($standing, $width), $width, $height);
    }

    /** @return list<non-empty-array<int, true>> what stands on it, piece by piece, the largest first */
    public function pieces(): array
    {
        return ConnectedComponents::ofSet($this->standing, $this->width);
    }

    /** @return array{float, float, float} */
    private static function mean(Photo $photo, int $left, int $top): array
    {
        $r = $g = $b = 0;
        for ($y = $top; $y < $top + self::CELL; $y++) {
            for ($x = $left; $x < $left + self::CELL; $x++) {
                $pixel = $photo->pixel($x, $y);
                $r += $pixel >> 16 & 255;
                $g += $pixel >> 8 & 255;
                $b += $pixel & 255;
            }
        }
        $count = self::CELL ** 2;

        return [$r / $count, $g / $count, $b / $count];
    }

    /**
     * @param  list<array{float, float, float}>  $cells
     * @return array{non-empty-list<list<float>>, non-empty-list<array{float, float, float}>} the surface's terms, and the colours
     */
    private static function rim(array $cells, int $width, int $height): array
    {
        $deep = max(2, (int) (self::RIM * min($width, $height)));
        $rows = $values = [];
        for ($y = 0; $y < $height; $y += self::EVERY) {
            for ($x = 0; $x < $width; $x += self::EVERY) {
                if (min($x, $y, $width - 1 - $x, $height - 1 - $y) < $deep) {
                    $rows[] = self::row($x / $width, $y / $height);
                    $values[] = $cells[$y * $width + $x];
                }
            }
        }

        return $rows === [] || $values === [] ? throw PhotoRefused::nothingThere() : [$rows, $values];
    }

    /** @return list<float> the terms of a quadratic surface */
    private static function row(float $x, float $y): array
    {
        return [1.0, $x, $y, $x * $x, $x * $y, $y * $y];
    }

    /**
     * @param  non-empty-list<list<float>>  $rows
     * @param  list<float>  $values
     * @param  list<float>  $weights  0 or 1
     * @return list<float>
     */
    private static function fit(array $rows, array $values, array $weights): array
    {
        $kept = array_filter($weights, static fn (float $w): bool => $w > 0.0);
        $chosen = array_values(array_intersect_key($rows, $kept));

        return ($chosen === [] ? null : LeastSquares::fit($chosen, array_values(array_intersect_key($values, $kept))))
            ?? throw PhotoRefused::busyGround();
    }

    /**
     * @param  list<list<float>>  $factors
     * @param  list<float>  $row
     * @return non-empty-list<float>
     */
    private static function at(array $factors, array $row): array
    {
        $colour = [];
        foreach ([0, 1, 2] as $channel) {
            $sum = 0.0;
            foreach ($row as $i => $term) {
                $sum += $factors[$channel][$i] * $term;
            }
            $colour[] = $sum;
        }

        return $colour;
    }

    /**
     * @param  list<list<float>>  $factors
     * @param  list<float>  $row
     * @param  array{float, float, float}  $colour
     */
    private static function off(array $factors, array $row, array $colour): float
    {
        [$r, $g, $b] = self::at($factors, $row);

        return sqrt(($colour[0] - $r) ** 2 + ($colour[1] - $g) ** 2 + ($colour[2] - $b) ** 2);
    }

    /**
     * Without single cells, which are noise.
     *
     * @param  array<int, true>  $standing
     * @return array<int, true>
     */
    private static function cleaned(array $standing, int $width): array
    {
        return array_filter(
            $standing,
            static fn (int $i): bool => (int) isset($standing[$i - 1]) + (int) isset($standing[$i + 1])
                + (int) isset($standing[$i - $width]) + (int) isset($standing[$i + $width]) >= 2,
            ARRAY_FILTER_USE_KEY,
        );
    }
}
