<?php

declare(strict_types=1);

namespace Impa\Raster;

/**
 * Distance transform: distances on a small grid of cells, by two chamfer passes (Borgefors 1986, steps 3 and 4 for side
 * and corner): at most
 * 8 % from the straight distance. Distances come in thirds of a cell.
 */
final class DistanceTransform
{
    public const SIDE = 3;

    private const CORNER = 4;

    private const FAR = 1_000_000;

    /**
     * How deep every cell lies within the marked ones, the grid's border counting as outside.
     *
     * @param  list<bool>  $inside
     * @return list<int> 0 outside
     */
    public static function within(array $inside, int $width): array
    {
        $height = intdiv(count($inside), $width);
        $field = [];
        foreach ($inside as $i => $in) {
            $x = $i % $width;
            $y = intdiv($i, $width);
            $field[] = ! $in ? 0 : ($x === 0 || $y === 0 || $x === $width - 1 || $y === $height - 1 ? self::SIDE : self::FAR);
        }

        return self::passed($field, $width, null)[0];
    }

    /**
     * How far every cell lies from the nearest seed, and which seed that is.
     *
     * @param  list<int>  $seeds  a label of at least 0 where a seed lies, else -1
     * @return array{list<int>, list<int>} distances and labels
     */
    public static function from(array $seeds, int $width): array
    {
        return self::passed(array_map(static fn (int $s): int => $s >= 0 ? 0 : self::FAR, $seeds), $width, $seeds);
    }

    /**
     * @param  list<int>  $field
     * @param  ?list<int>  $labels  carried along, if any
     * @return array{list<int>, list<int>}
     */
    private static function passed(array $field, int $width, ?array $labels): array
    {
        $size = count($field);
        $labels ??= [];
        $carry = $labels !== [];
        foreach ([1, -1] as $way) {
            for ($k = 0; $k < $size; $k++) {
                $i = $way > 0 ? $k : $size - 1 - $k;
                $here = $field[$i];
                if ($here === 0) {
                    continue;
                }
                $x = $i % $width;
                // The cell before in this row, and the three in the row before.
                $inRow = $way > 0 ? $x > 0 : $x < $width - 1;
                $after = $way > 0 ? $x < $width - 1 : $x > 0;
                $row = $i - $way * $width;
                $best = $i;
                if ($inRow && $here > $field[$i - $way] + self::SIDE) {
                    $best = $i - $way;
                    $here = $field[$best] + self::SIDE;
                }
                if ($row >= 0 && $row < $size) {
                    if ($here > $field[$row] + self::SIDE) {
                        $best = $row;
                        $here = $field[$row] + self::SIDE;
                    }
                    if ($inRow && $here > $field[$row - $way] + self::CORNER) {
                        $best = $row - $way;
                        $here = $field[$best] + self::CORNER;
                    }
                    if ($after && $here > $field[$row + $way] + self::CORNER) {
                        $best = $row + $way;
                        $here = $field[$best] + self::CORNER;
                    }
                }
                if ($best !== $i) {
                    $field[$i] = $here;
                    if ($carry) {
                        $labels[$i] = $labels[$best];
                    }
                }
            }
        }

        return [array_values($field), array_values($labels)];
    }
}
