<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

use Impa\Geometry\LeastSquares;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\DistanceTransform;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What of a photo is plain ground, and what stands on it: the ground's colour as a quadratic surface over the picture (its light falls
 * off smoothly), fitted to the rim of the picture by least squares again and again without what is far from it, from the least median of
 * squares on. On a coarse grid of cells. Immutable.
 */
final readonly class PhotoGround
{
    /** A cell has so many pixels to a side. */
    public const CELL = 3;

    /** The rim of the picture from which the ground is taken, as a share of its shorter side; it is looked at every so many cells. */
    private const RIM = 0.05;

    private const EVERY = 2;

    /** A sheet that lies on a table takes up so much of the picture at least. */
    private const SHEET = 0.15;

    /** The outermost cells of a sheet are half table. */
    private const HEM = 2 * DistanceTransform::SIDE;

    /** So much of the rim must be ground. */
    private const PLAIN = 0.6;

    /** The median of the length of three normal numbers, and what is farther from a surface than so many of these, in sigma. */
    private const MEDIAN = 1.54;

    private const FAR = 3 * self::MEDIAN;

    /** A camera's own noise, and more grain than any wool can be told from, grey values; looked at again so many times. */
    private const NOISE = 1.0;

    private const GRAIN = 14.0;

    private const ROUNDS = 5;

    /** What differs by more than so many sigma, and by so many grey values, stands on the ground. */
    private const SIGMAS = 5.0;

    private const LEAST = 16.0;

    private const DARK = 40.0;

    /** A shadow changes no channel by more than this besides its light, grey values. */
    private const OF_ONE_HUE = 7.0;

    /** So many cells at the rim of dark felt are half ground. */
    private const RIM_CELLS = 2.0;

    /** Light falls off over a picture by less than so many grey values. */
    private const LIKE = 90.0;

    /** Surfaces that are tried first: with six in ten cells ground, one of 22 goes through such alone; looked at on so many cells. */
    private const TRIES = 150;

    private const LOOKED_AT = 160;

    /**
     * @param  array<int, true>  $foreground  cells that are no ground
     * @param  array<int, float>  $dim  those of them that may be the ground in a shadow: how much of the light is left there
     */
    private function __construct(
        public array $foreground,
        public int $width,
        public int $height,
        private array $dim,
    ) {
    }

    /** @throws PhotoRefused if it is too dark, or its ground not plain */
    public static function of(Photo $photo): self
    {
        [$width, $height] = [intdiv($photo->width, self::CELL), intdiv($photo->height, self::CELL)];

        return self::within($photo, array_fill(0, $width * $height, true), $width, $height, 0);
    }

    /**
     * Where what stands on the ground is itself a sheet on a table: the ground is that.
     *
     * @return ?self nothing where there is no such sheet
     */
    public function onSheet(Photo $photo): ?self
    {
        $sheet = $this->pieces()[0] ?? [];
        $all = $this->width * $this->height;
        if (count($sheet) < self::SHEET * $all) {
            return null;
        }
        $inside = array_map(static fn (int $i): bool => isset($sheet[$i]), range(0, $all - 1));
        try {
            return self::within($photo, $inside, $this->width, $this->height, self::HEM);
        } catch (PhotoRefused) {
            return null;
        }
    }

    /**
     * @param  list<bool>  $inside  what of the picture is looked at
     * @param  int  $hem  so deep from its rim nothing is looked for, in thirds of a cell
     */
    private static function within(Photo $photo, array $inside, int $width, int $height, int $hem): self
    {
        $cells = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $cells[] = self::mean($photo, $x * self::CELL, $y * self::CELL);
            }
        }
        $deep = DistanceTransform::within($inside, $width);
        [$rows, $values] = self::rim($cells, $deep, $width, $height);
        [$surface, $sigma] = self::fitted($rows, $values);
        $middle = self::at($surface, self::row(0.5, 0.5));
        if (max($middle) < self::DARK) {
            throw PhotoRefused::tooDark();
        }
        $limit = max(self::LEAST, self::SIGMAS * $sigma);
        $foreground = $dim = [];
        foreach ($cells as $i => $cell) {
            $row = self::row(($i % $width) / $width, intdiv($i, $width) / $height);
            if ($deep[$i] > $hem && self::off($surface, $row, $cell) > $limit) {
                $foreground[$i] = true;
                $light = self::left(self::at($surface, $row), $cell, $sigma);
                if ($light !== null) {
                    $dim[$i] = $light;
                }
            }
        }

        return new self(self::cleaned($foreground, $width), $width, $height, $dim);
    }

    /**
     * The surface of what most of the rim is, and how grained it is.
     *
     * @param  non-empty-list<list<float>>  $rows
     * @param  non-empty-list<Rgb3>  $values
     * @return array{list<list<float>>, float} its factors, and sigma in grey values
     *
     * @throws PhotoRefused if there is none
     */
    private static function fitted(array $rows, array $values): array
    {
        $kept = self::likeMost($rows, $values);
        $surface = [];
        $sigma = INF;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $surface = self::surface($rows, $values, $kept) ?? throw PhotoRefused::busyGround();
            $off = array_map(static fn (array $row, array $value): float => self::off($surface, $row, $value), $rows, $values);
            $sorted = $off;
            sort($sorted);
            $sigma = max(self::NOISE, $sorted[intdiv(count($sorted), 2)] / self::MEDIAN);
            $kept = array_keys(array_filter($off, static fn (float $o): bool => $o < self::FAR * $sigma));
        }
        if (count($kept) < self::PLAIN * count($rows) || $sigma > self::GRAIN) {
            throw PhotoRefused::busyGround();
        }

        return [$surface, $sigma];
    }

    /**
     * How much of the light is left where a cell is the ground in less of it; nothing where it is of another hue.
     *
     * @param  non-empty-list<float>  $ground
     * @param  Rgb3  $cell
     */
    private static function left(array $ground, array $cell, float $sigma): ?float
    {
        $light = array_sum($cell) / max(1.0, array_sum($ground));
        $off = 0.0;
        foreach ([0, 1, 2] as $c) {
            $off = max($off, abs($cell[$c] - $light * $ground[$c]));
        }

        return $light <= 1.0 && $off <= max(self::OF_ONE_HUE, 2 * $sigma) ? $light : null;
    }

    /**
     * What of pieces is no shadow, piece by piece, the largest first.
     *
     * @param  list<array<int, true>>  $pieces
     * @param  float  $darkest  how much of the light is left in the darkest shadow there may be; 1: there is none
     * @return list<non-empty-array<int, true>>
     */
    public function withoutShadow(array $pieces, float $darkest): array
    {
        $cells = array_diff_key(array_replace([], ...$pieces), $this->shadow($darkest));

        return ConnectedComponents::ofSet($cells, $this->width);
    }

    /**
     * Of what is dim, what is broader than the rim of dark felt, which is half ground (an opening), or lies off all felt: a crease.
     *
     * @return array<int, true>
     */
    private function shadow(float $darkest): array
    {
        $rim = (int) (self::RIM_CELLS * DistanceTransform::SIDE);
        $dim = $isNoCore = $isNoFelt = [];
        for ($i = 0, $n = $this->width * $this->height; $i < $n; $i++) {
            $dim[] = $darkest < 1.0 && ($this->dim[$i] ?? 0.0) >= $darkest;
            $isNoFelt[] = $dim[$i] || ! isset($this->foreground[$i]);
        }
        foreach (DistanceTransform::within($dim, $this->width) as $deep) {
            $isNoCore[] = $deep <= $rim;
        }
        $fromCore = DistanceTransform::within($isNoCore, $this->width);
        $fromFelt = DistanceTransform::within($isNoFelt, $this->width);
        $shadow = [];
        foreach ($dim as $i => $isDim) {
            if ($isDim && ($fromCore[$i] <= $rim + 1 || $fromFelt[$i] > $rim)) {
                $shadow[$i] = true;
            }
        }

        return $shadow;
    }

    /** @return list<non-empty-array<int, true>> what stands on it, piece by piece, the largest first */
    public function pieces(): array
    {
        return ConnectedComponents::ofSet($this->foreground, $this->width);
    }

    /** @return Rgb3 */
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
     * @param  list<Rgb3>  $cells
     * @param  list<int>  $deep  how deep each lies within what is looked at
     * @return array{non-empty-list<list<float>>, non-empty-list<Rgb3>} the surface's terms, and the colours
     */
    private static function rim(array $cells, array $deep, int $width, int $height): array
    {
        $rim = DistanceTransform::SIDE * max(2.0, self::RIM * min($width, $height));
        $rows = $values = [];
        for ($y = 0; $y < $height; $y += self::EVERY) {
            for ($x = 0; $x < $width; $x += self::EVERY) {
                $in = $deep[$y * $width + $x];
                if ($in > 0 && $in <= $rim) {
                    $rows[] = self::row($x / $width, $y / $height);
                    $values[] = $cells[$y * $width + $x];
                }
            }
        }

        return $rows === [] || $values === [] ? throw PhotoRefused::nothingThere() : [$rows, $values];
    }

    /**
     * To begin with, the least median of squares (Rousseeuw 1984): of surfaces through six cells of the rim each that to which most of it
     * is nearest. What is far from that is no ground: a ruler along the rim, the shadow of a book.
     *
     * @param  non-empty-list<list<float>>  $rows
     * @param  non-empty-list<Rgb3>  $values
     * @return list<int> which of them are ground
     */
    private static function likeMost(array $rows, array $values): array
    {
        $random = new Randomizer(new Mt19937(1));
        $last = count($rows) - 1;
        $looked = range(0, $last, max(1, intdiv($last, self::LOOKED_AT)));
        [$least, $best] = [self::LIKE, null];
        for ($try = 0; $try < self::TRIES; $try++) {
            $surface = self::surface($rows, $values, array_map(static fn (): int => $random->getInt(0, $last), self::row(0.0, 0.0)));
            if ($surface === null || self::fall($surface) > self::LIKE) {
                continue;
            }
            $off = array_map(static fn (int $i): float => self::off($surface, $rows[$i], $values[$i]), $looked);
            sort($off);
            $most = $off[(int) (self::PLAIN * count($off))];
            if ($most < $least) {
                [$least, $best] = [$most, $surface];
            }
        }
        if ($best === null) {
            throw PhotoRefused::busyGround();
        }
        $near = max(3.0, 3 * $least);

        return array_keys(array_filter(
            $rows,
            static fn (array $row, int $i): bool => self::off($best, $row, $values[$i]) < $near,
            ARRAY_FILTER_USE_BOTH,
        ));
    }

    /** @return list<float> the terms of a quadratic surface */
    private static function row(float $x, float $y): array
    {
        return [1.0, $x, $y, $x * $x, $x * $y, $y * $y];
    }

    /**
     * The surface that comes nearest to the colours of some of the cells.
     *
     * @param  non-empty-list<list<float>>  $rows
     * @param  non-empty-list<Rgb3>  $values
     * @param  list<int>  $which
     * @return ?list<list<float>> the factors of its terms, of each channel; null where they do not tell
     */
    private static function surface(array $rows, array $values, array $which): ?array
    {
        if ($which === []) {
            return null;
        }
        $chosen = array_map(static fn (int $i): array => $rows[$i], $which);
        $surface = [];
        foreach ([0, 1, 2] as $channel) {
            $factors = LeastSquares::fit($chosen, array_map(static fn (int $i): float => $values[$i][$channel], $which));
            if ($factors === null) {
                return null;
            }
            $surface[] = $factors;
        }

        return $surface;
    }

    /**
     * @param  list<list<float>>  $surface
     * @param  list<float>  $row
     * @return non-empty-list<float>
     */
    private static function at(array $surface, array $row): array
    {
        $colour = [];
        foreach ([0, 1, 2] as $channel) {
            $sum = 0.0;
            foreach ($row as $i => $term) {
                $sum += $surface[$channel][$i] * $term;
            }
            $colour[] = $sum;
        }

        return $colour;
    }

    /**
     * By how much a surface differs over the picture in one of its channels: of its corners, the middles of its sides and its middle.
     *
     * @param  list<list<float>>  $surface
     */
    private static function fall(array $surface): float
    {
        $colours = [];
        foreach ([0.0, 0.5, 1.0] as $x) {
            foreach ([0.0, 0.5, 1.0] as $y) {
                $colours[] = self::at($surface, self::row($x, $y));
            }
        }
        $fall = 0.0;
        foreach ([0, 1, 2] as $channel) {
            $values = array_column($colours, $channel);
            sort($values);
            $fall = max($fall, $values[8] - $values[0]);
        }

        return $fall;
    }

    /**
     * @param  list<list<float>>  $surface
     * @param  list<float>  $row
     * @param  Rgb3  $colour
     */
    private static function off(array $surface, array $row, array $colour): float
    {
        [$r, $g, $b] = self::at($surface, $row);

        return sqrt(($colour[0] - $r) ** 2 + ($colour[1] - $g) ** 2 + ($colour[2] - $b) ** 2);
    }

    /**
     * Without single cells, which are noise.
     *
     * @param  array<int, true>  $foreground
     * @return array<int, true>
     */
    private static function cleaned(array $foreground, int $width): array
    {
        return array_filter(
            $foreground,
            static fn (int $i): bool => (int) isset($foreground[$i - 1]) + (int) isset($foreground[$i + 1])
                + (int) isset($foreground[$i - $width]) + (int) isset($foreground[$i + $width]) >= 2,
            ARRAY_FILTER_USE_KEY,
        );
    }
}
