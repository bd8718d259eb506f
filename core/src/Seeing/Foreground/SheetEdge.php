<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

/**
 * What lies beyond a straight edge of the sheet along a border of the picture: the table, the frame of a panel, a strip of ground. A figure
 * has no edge so straight and so long.
 */
final class SheetEdge
{
    /** So much of a border lies off the sheet, this deep at most as a share of the picture. */
    private const ALONG = 0.75;

    private const DEEPEST = 0.3;

    /** And ends within this share of the picture of a straight line, but for what is drawn over it. */
    private const STRAIGHT = 0.012;

    /** The line goes through the medians about these shares of the way, taken over so much to either side. */
    private const THROUGH = [0.2, 0.8];

    private const OVER = 0.15;

    /**
     * @param  list<bool>  $isPaper  per pixel, whether it has the paper's colour
     * @return array<int, true> pixels beyond such edges
     */
    public static function beyond(array $isPaper, int $width): array
    {
        $height = intdiv(count($isPaper), $width);
        $beyond = [];
        foreach (
            [
                [0, 1, $width, $width, $height],
                [($height - 1) * $width, 1, -$width, $width, $height],
                [0, $width, 1, $height, $width],
                [$width - 1, $width, -1, $height, $width],
            ] as [$first, $along, $inwards, $length, $depth]
        ) {
            // A corner that two of them share is seen from the second once the first is paper.
            foreach (self::strip($isPaper, $first, $along, $inwards, $length, $depth) as $pixel => $_) {
                $beyond[$pixel] = $isPaper[$pixel] = true;
            }
        }

        return $beyond;
    }

    /**
     * @param  array<int, bool>  $isPaper
     * @param  int  $first  pixel of a border, from which to the next along it, and inwards
     * @param  int  $length  of the border, and how deep the picture is from there
     * @return array<int, true>
     */
    private static function strip(array $isPaper, int $first, int $along, int $inwards, int $length, int $depth): array
    {
        $deepest = (int) (self::DEEPEST * $depth);
        $deep = [];
        for ($at = 0; $at < $length; $at++) {
            $pixel = $first + $at * $along;
            for ($run = 0; $run <= $deepest && ! $isPaper[$pixel + $run * $inwards]; $run++);
            $deep[] = $run;
        }
        [$one, $two] = array_map(
            static fn (float $share): int => self::median(
                array_slice($deep, (int) (($share - self::OVER) * $length), max(1, (int) (2 * self::OVER * $length))),
            ),
            self::THROUGH,
        );
        $straight = max(1.5, self::STRAIGHT * $depth);
        $strip = [];
        $isStraight = 0;
        foreach ($deep as $at => $run) {
            $line = $one + ($two - $one) * ($at / $length - self::THROUGH[0]) / (self::THROUGH[1] - self::THROUGH[0]);
            if ($run > 0 && abs($run - $line) <= $straight) {
                $isStraight++;
                for ($k = 0; $k < $run; $k++) {
                    $strip[$first + $at * $along + $k * $inwards] = true;
                }
            }
        }

        return min($one, $two) > 0 && $isStraight >= self::ALONG * $length ? $strip : [];
    }

    /** @param  list<int>  $values */
    private static function median(array $values): int
    {
        sort($values);

        return $values[intdiv(count($values), 2)] ?? 0;
    }
}
