<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

use Impa\Colour\Lab;
use Impa\Colour\LabTable;
use Impa\Geometry\LeastSquares;
use Impa\Raster\Raster;

/**
 * The paper that a picture is drawn on, as a smooth surface of colour in Lab, known from the picture's border: one plain colour, or,
 * where the light falls off over it, a surface of the second degree, found robustly (random sample consensus, Fischler and Bolles 1981)
 * whatever touches the border. Immutable.
 */
final readonly class PaperSurface
{
    /** Farther from it than this, in Lab, nothing is paper. */
    private const NEAR = 7.0;

    /** How near paper lies to its surface is learnt from the border: the least of these within which nearly all of it lies. */
    private const TOLERANCES = [1.5, 2.5, 4.0, self::NEAR];

    private const NEARLY_ALL = 0.98;

    /** One plain colour is believed where so much of the border has it; a surface must explain so much more to be believed instead. */
    private const PLAIN = 0.95;

    private const MORE = 0.04;

    /** Surfaces tried, and samples of the border that vote. */
    private const TRIED = 80;

    private const VOTERS = 240;

    /** Cells to either side of the lattice on which the whole paper is looked over. */
    private const LATTICE = 8;

    /**
     * @param  list<list<float>>  $surface  for l, a and b: the factors of 1, x, y and, unless it is plain, xx, xy, yy; x and y from -1 to 1
     * @param  float  $share  of the border that lies on it
     */
    private function __construct(
        private array $surface,
        private float $tolerance,
        public float $share,
        private int $width,
        private int $height,
    ) {
    }

    /** @param  list<int>  $border  pixels along the picture's border */
    public static function of(Raster $raster, array $border): self
    {
        $plain = self::plain($raster, $border);
        if ($plain->share >= self::PLAIN) {
            return $plain;
        }
        $curved = self::curved($raster, $border);

        return $curved !== null && $curved->share >= $plain->share + self::MORE ? $curved : $plain;
    }

    public function isPlain(): bool
    {
        return count($this->surface[0]) === 1;
    }

    /** @return Lab3 the paper's l, a and b at a pixel */
    public function at(int $pixel): array
    {
        [[$l], [$a], [$b]] = $this->surface;
        if ($this->isPlain()) {
            return [$l, $a, $b];
        }
        [, $x, $y, $xx, $xy, $yy] = self::terms($pixel, $this->width, $this->height);
        $lab = [];
        foreach ($this->surface as [$one, $dx, $dy, $dxx, $dxy, $dyy]) {
            $lab[] = $one + $dx * $x + $dy * $y + $dxx * $xx + $dxy * $xy + $dyy * $yy;
        }

        return [$lab[0], $lab[1], $lab[2]];
    }

    /** Its colour, in the middle of the picture. */
    public function colour(): Lab
    {
        return Lab::of(...$this->at(intdiv($this->height, 2) * $this->width + intdiv($this->width, 2)));
    }

    /** @return list<float> per pixel, how far its colour lies from the paper's there, squared, in Lab */
    public function off(Raster $raster): array
    {
        if (! $this->isPlain()) {
            return array_map(
                fn (int $pixel, int $i): float => LabTable::squared(LabTable::of($pixel), $this->at($i)),
                $raster->pixels,
                array_keys($raster->pixels),
            );
        }
        $known = [];
        $paper = $this->at(0);

        return array_map(
            static function (int $pixel) use (&$known, $paper): float {
                return $known[$pixel & 0xFFFFFF] ??= LabTable::squared(LabTable::of($pixel), $paper);
            },
            $raster->pixels,
        );
    }

    /** Whether a colour so far from it, squared, is the paper's. */
    public function isPaper(float $off): bool
    {
        return $off < $this->tolerance ** 2;
    }

    /**
     * Whether a colour would pass for paper anywhere on the picture.
     *
     * @param  Lab3  $lab
     */
    public function mayBe(array $lab): bool
    {
        foreach (range(0, self::LATTICE) as $row) {
            foreach (range(0, self::LATTICE) as $column) {
                $y = intdiv(($this->height - 1) * $row, self::LATTICE);
                $x = intdiv(($this->width - 1) * $column, self::LATTICE);
                if (LabTable::squared($lab, $this->at($y * $this->width + $x)) < self::NEAR ** 2) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  list<int>  $border */
    private static function plain(Raster $raster, array $border): self
    {
        $counts = array_count_values(array_map(static fn (int $i): int => $raster->pixels[$i] & 0xF8F8F8, $border));
        arsort($counts);
        $common = (int) array_key_first($counts);
        // The mean of the most common bin is the paper's colour.
        $sum = [0.0, 0.0, 0.0];
        foreach ($border as $i) {
            if (($raster->pixels[$i] & 0xF8F8F8) === $common) {
                foreach (LabTable::of($raster->pixels[$i]) as $c => $value) {
                    $sum[$c] += $value;
                }
            }
        }

        return self::measured(array_map(static fn (float $s): array => [$s / $counts[$common]], $sum), $raster, $border);
    }

    /** @param  list<int>  $border */
    private static function curved(Raster $raster, array $border): ?self
    {
        $every = max(1, intdiv(count($border), self::VOTERS));
        $terms = $labs = [];
        foreach ($border as $n => $i) {
            if ($n % $every === 0) {
                $terms[] = self::terms($i, $raster->width, $raster->height);
                $labs[] = LabTable::of($raster->pixels[$i]);
            }
        }
        // The same picture has the same paper every time: the samples are drawn by a generator of their own.
        $seed = 1;
        $draw = static function (int $count) use (&$seed): int {
            $seed = ($seed * 48271) % 2147483647;

            return $seed % $count;
        };
        $best = [];
        for ($n = 0; $n < self::TRIED; $n++) {
            $three = [$draw(count($terms)), $draw(count($terms)), $draw(count($terms))];
            // A tilted plane through three of them.
            $plane = self::through($three, $terms, $labs, 3);
            $agree = $plane === null ? [] : self::agreeing($plane, $terms, $labs);
            $best = count($agree) > count($best) ? $agree : $best;
        }
        for ($round = 0; $round < 3 && count($best) > 12; $round++) {
            // Where too little of the border is paper for a curved one, it is a tilted plane.
            $surface = self::through($best, $terms, $labs, 6) ?? self::through($best, $terms, $labs, 3);
            if ($surface === null) {
                return null;
            }
            $best = self::agreeing($surface, $terms, $labs);
        }

        return isset($surface) ? self::measured($surface, $raster, $border) : null;
    }

    /**
     * @param  list<list<float>>  $surface
     * @param  list<int>  $border
     */
    private static function measured(array $surface, Raster $raster, array $border): self
    {
        $paper = new self($surface, self::NEAR, 0.0, $raster->width, $raster->height);
        $squares = array_map(
            static fn (int $i): float => LabTable::squared(LabTable::of($raster->pixels[$i]), $paper->at($i)),
            $border,
        );
        $within = static fn (float $tolerance): int => count(array_filter($squares, static fn (float $s): bool => $s < $tolerance ** 2));
        $most = $within(self::NEAR);
        // What compression leaves beside edges is not seen along the border.
        foreach ($raster->isLossy ? [self::NEAR] : self::TOLERANCES as $tolerance) {
            if ($within($tolerance) >= self::NEARLY_ALL * $most) {
                break;
            }
        }

        return new self($surface, $tolerance, $most / count($border), $raster->width, $raster->height);
    }

    /**
     * @param  non-empty-list<int>  $samples
     * @param  list<list<float>>  $terms
     * @param  list<Lab3>  $labs
     * @param  int  $degree  so many of the terms
     * @return ?list<list<float>>
     */
    private static function through(array $samples, array $terms, array $labs, int $degree): ?array
    {
        $rows = array_map(static fn (int $s): array => array_slice($terms[$s], 0, $degree), $samples);
        $surface = [];
        foreach ([0, 1, 2] as $c) {
            $factors = LeastSquares::fit($rows, array_map(static fn (int $s): float => $labs[$s][$c], $samples));
            if ($factors === null) {
                return null;
            }
            $surface[] = array_pad($factors, 6, 0.0);
        }

        return $surface;
    }

    /**
     * @param  list<list<float>>  $surface
     * @param  list<list<float>>  $terms
     * @param  list<Lab3>  $labs
     * @return list<int> samples that lie on it
     */
    private static function agreeing(array $surface, array $terms, array $labs): array
    {
        $agree = [];
        foreach ($terms as $s => $row) {
            $square = 0.0;
            foreach ($surface as $c => $factors) {
                $value = 0.0;
                foreach ($factors as $t => $factor) {
                    $value += $factor * $row[$t];
                }
                $square += ($value - $labs[$s][$c]) ** 2;
            }
            if ($square < self::NEAR ** 2) {
                $agree[] = $s;
            }
        }

        return $agree;
    }

    /** @return array{float, float, float, float, float, float} 1, x, y, xx, xy, yy */
    private static function terms(int $pixel, int $width, int $height): array
    {
        $x = 2 * ($pixel % $width) / $width - 1;
        $y = 2 * intdiv($pixel, $width) / $height - 1;

        return [1.0, $x, $y, $x * $x, $x * $y, $y * $y];
    }
}
