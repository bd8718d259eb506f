<?php

declare(strict_types=1);

namespace Impa\Raster;

use GdImage;

/**
 * Drawings made of square cells, such as sprites of games, enlarged: known by where their colours change, and read cell by cell. The
 * stairs that slants and rounds became are smoothed back into them.
 */
final class PixelArt
{
    /** So much of all change must lie on the cells' borders, which take up so little of the picture at most. */
    private const ON_BORDERS = 0.97;

    private const CELL_PX = 3.0;

    private const FEWEST = 8;

    /** Finer cells than these are a drawing's own pixels. */
    private const MOST = 160;

    /** A picture no larger than that, of no more colours than these, is a sprite as it was drawn: every pixel is a cell. */
    private const SPRITE_COLOURS = 48;

    /**
     * A cell is mixed of two patches that it touches, farther off it is a cheek or a nose of one cell; its colour lies so near to the way
     * between theirs (of 255). What became a patch is looked at again, so often at most.
     */
    private const BESIDE_MIXTURE = 40.0;

    private const ROUNDS = 3;

    /** A colour whose squares of two by two make up fewer cells is a mixture. */
    private const PATCH = 8;

    /** Cells are unmixed where such a share of those that lie in no patch is mixed. */
    private const MIXED = 0.15;

    /** Rows and columns that are looked at, evenly spread. */
    private const LINES = 160;

    /** Colours differ where their channels do by so much together. */
    private const CHANGE = 12;

    /**
     * How many cells lie side by side and one above the other; null where it is no pixel art.
     *
     * @return ?array{int, int}
     */
    public static function cells(GdImage $image): ?array
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        if (max($width, $height) <= self::MOST && self::colours($image, self::SPRITE_COLOURS) <= self::SPRITE_COLOURS) {
            return [$width, $height];
        }
        $across = self::changes($width, $height, static fn (int $x, int $y): int => (int) imagecolorat($image, $x, $y));
        $down = self::changes($height, $width, static fn (int $y, int $x): int => (int) imagecolorat($image, $x, $y));
        if (count($across) < 2 || count($down) < 2) {
            return null;
        }
        for ($n = self::FEWEST; $n <= min(self::MOST, $width / self::CELL_PX); $n++) {
            $m = (int) round($n * $height / $width);
            // Cells are square, and a picture is made of whole ones.
            $areSquare = $m > 0 && abs($height / $m - $width / $n) < 0.04 * $width / $n;
            if ($areSquare && self::onBorders($across, $width, $n) && self::onBorders($down, $height, $m)) {
                return [$n, $m];
            }
        }

        return null;
    }

    /** How many colours a picture has; counted no further than one more than so many. */
    private static function colours(GdImage $image, int $most): int
    {
        $seen = [];
        for ($y = 0; $y < imagesy($image); $y++) {
            for ($x = 0; $x < imagesx($image) && count($seen) <= $most; $x++) {
                $seen[(int) imagecolorat($image, $x, $y)] = true;
            }
        }

        return count($seen);
    }

    /** A picture whose every pixel is one cell, enlarged so often that its longer side has so many pixels, its stairs smoothed. */
    public static function read(GdImage $image, int $cellsAcross, int $cellsDown, int $leastPx): GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $cells = [];
        for ($j = 0; $j < $cellsDown; $j++) {
            $row = [];
            for ($i = 0; $i < $cellsAcross; $i++) {
                [$x, $y] = [(int) (($i + 0.5) * $width / $cellsAcross), (int) (($j + 0.5) * $height / $cellsDown)];
                $row[] = (int) imagecolorat($image, $x, $y);
            }
            $cells[] = $row;
        }
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $cells = self::unmixed($cells);
        }
        while (max(count($cells), count($cells[0])) < $leastPx) {
            $cells = self::doubled($cells);
        }
        $made = imagecreatetruecolor(max(1, count($cells[0])), max(1, count($cells)));
        imagealphablending($made, false);
        foreach ($cells as $y => $row) {
            foreach ($row as $x => $pixel) {
                imagesetpixel($made, $x, $y, $pixel);
            }
        }

        return $made;
    }

    /**
     * Cells along an edge that have both sides' colours mixed take that of the nearer side, where enough of what is no patch is such.
     *
     * @param  list<list<int>>  $cells
     * @return list<list<int>>
     */
    private static function unmixed(array $cells): array
    {
        $patches = self::patches($cells);
        $mixed = [];
        $thin = 0;
        foreach ($cells as $j => $row) {
            foreach ($row as $i => $cell) {
                if (isset($patches[$j][$i])) {
                    continue;
                }
                $thin++;
                $around = [];
                for ($y = $j - 1; $y <= $j + 1; $y++) {
                    for ($x = $i - 1; $x <= $i + 1; $x++) {
                        $around += isset($patches[$y][$x]) ? [$cells[$y][$x] => true] : [];
                    }
                }
                $nearer = self::nearerOf($cell, array_keys($around));
                if ($nearer !== null) {
                    $mixed[$j][$i] = $nearer;
                }
            }
        }
        if (array_sum(array_map(count(...), $mixed)) < self::MIXED * $thin) {
            return $cells;
        }
        foreach ($mixed as $j => $row) {
            $cells[$j] = array_values(array_replace($cells[$j], $row));
        }

        return array_values($cells);
    }

    /**
     * @param  list<list<int>>  $cells
     * @return array<int, array<int, true>> the cells that lie in a square of two by two of one colour
     */
    private static function patches(array $cells): array
    {
        $patches = [];
        for ($j = 1; $j < count($cells); $j++) {
            for ($i = 1; $i < count($cells[$j]); $i++) {
                $own = $cells[$j][$i];
                if ($cells[$j - 1][$i] === $own && $cells[$j][$i - 1] === $own && $cells[$j - 1][$i - 1] === $own) {
                    $patches[$j][$i] = $patches[$j - 1][$i] = $patches[$j][$i - 1] = $patches[$j - 1][$i - 1] = true;
                }
            }
        }

        // Where mixtures make such a square, that is chance.
        $counts = [];
        foreach ($patches as $j => $row) {
            foreach ($row as $i => $_) {
                $counts[$cells[$j][$i]] = ($counts[$cells[$j][$i]] ?? 0) + 1;
            }
        }
        $isRare = static fn (int $j, int $i): bool => $counts[$cells[$j][$i]] < self::PATCH;
        foreach ($patches as $j => $row) {
            $patches[$j] = array_filter($row, static fn (int $i): bool => ! $isRare($j, $i), ARRAY_FILTER_USE_KEY);
        }

        return $patches;
    }

    /**
     * The nearer of two colours that another is a mixture of; null where it is none of any two.
     *
     * @param  list<int>  $colours
     */
    private static function nearerOf(int $mixture, array $colours): ?int
    {
        $own = self::channels($mixture);
        $best = [self::BESIDE_MIXTURE, null];
        foreach ($colours as $k => $one) {
            foreach (array_slice($colours, $k + 1) as $two) {
                [$from, $to] = [self::channels($one), self::channels($two)];
                $way = array_map(static fn (float $a, float $b): float => $b - $a, $from, $to);
                $along = array_map(static fn (float $a, float $o): float => $o - $a, $from, $own);
                $length = array_sum(array_map(static fn (float $w): float => $w * $w, $way));
                $share = array_sum(array_map(static fn (float $w, float $a): float => $w * $a, $way, $along)) / max(1.0, $length);
                $off = sqrt(array_sum(array_map(static fn (float $w, float $a): float => ($a - $share * $w) ** 2, $way, $along)));
                if ($share > 0.0 && $share < 1.0 && $off < $best[0]) {
                    $best = [$off, $share < 0.5 ? $one : $two];
                }
            }
        }

        return $best[1];
    }

    /** @return array{float, float, float, float} red, green and blue as far as they are seen, and how far: 0 to 255 each */
    private static function channels(int $pixel): array
    {
        $seen = 1 - ($pixel >> 24) / 127;

        return [$seen * (($pixel >> 16) & 255), $seen * (($pixel >> 8) & 255), $seen * ($pixel & 255), 255 * $seen];
    }

    /**
     * How often the colour changes between each place along an axis and the one before.
     *
     * @param  callable(int $along, int $across): int  $pixel
     * @return array<int, int> by place, only where it does
     */
    private static function changes(int $length, int $breadth, callable $pixel): array
    {
        $changes = [];
        $step = max(1, intdiv($breadth, self::LINES));
        for ($across = intdiv($step, 2); $across < $breadth; $across += $step) {
            $before = $pixel(0, $across);
            for ($along = 1; $along < $length; $along++) {
                $here = $pixel($along, $across);
                if ($here !== $before && self::differ($here, $before)) {
                    $changes[$along] = ($changes[$along] ?? 0) + 1;
                }
                $before = $here;
            }
        }

        return $changes;
    }

    private static function differ(int $one, int $two): bool
    {
        return abs((($one >> 16) & 255) - (($two >> 16) & 255)) + abs((($one >> 8) & 255) - (($two >> 8) & 255)) +
            abs(($one & 255) - ($two & 255)) + 2 * abs(($one >> 24) - ($two >> 24)) > self::CHANGE;
    }

    /** @param  array<int, int>  $changes */
    private static function onBorders(array $changes, int $length, int $cells): bool
    {
        $on = 0;
        for ($k = 1; $k < $cells; $k++) {
            $border = $k * $length / $cells;
            // Enlarging rounds each border to one side or the other.
            foreach (array_unique([(int) floor($border), (int) ceil($border)]) as $place) {
                $on += $changes[$place] ?? 0;
            }
        }

        return $on >= self::ON_BORDERS * array_sum($changes);
    }

    /**
     * Twice as large each way: a corner of a cell takes the colour of its two neighbours there where these are alike and the others are
     * not (Scale2x, Mazzoleni 2001; EPX, Johnston 1992).
     *
     * @param  list<list<int>>  $cells
     * @return list<list<int>>
     */
    private static function doubled(array $cells): array
    {
        $made = [];
        foreach ($cells as $j => $row) {
            $upper = $lower = [];
            foreach ($row as $i => $own) {
                [$up, $down] = [$cells[$j - 1][$i] ?? $own, $cells[$j + 1][$i] ?? $own];
                [$left, $right] = [$row[$i - 1] ?? $own, $row[$i + 1] ?? $own];
                $upper[] = $left === $up && $left !== $down && $up !== $right ? $up : $own;
                $upper[] = $up === $right && $up !== $left && $right !== $down ? $right : $own;
                $lower[] = $down === $left && $down !== $right && $left !== $up ? $left : $own;
                $lower[] = $right === $down && $right !== $up && $down !== $left ? $down : $own;
            }
            array_push($made, $upper, $lower);
        }

        return $made;
    }
}
