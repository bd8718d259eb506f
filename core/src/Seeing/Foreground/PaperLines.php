<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

use Impa\Raster\ConnectedComponents;

/**
 * The lines of ruled and squared paper: thin, straight, and from one border of the sheet to the other, but where something is drawn over
 * them. From where one crosses a border it is looked for to every crossing of the opposite border that is about as far along. On paper
 * that is ruled, what is as thin and comes from a border is the end of such a line, cut off at a corner by a sheet that lies askew.
 */
final class PaperLines
{
    /** As thick as this share of the sheet's longer side at most, and two pixels in any case. */
    private const THIN = 0.008;

    /** From border to border it climbs by this share of the way at most. */
    private const CLIMB = 0.04;

    /** So much of the way is hidden by what is drawn at most; of the rest so much must be line. */
    private const HIDDEN = 0.92;

    private const UNBROKEN = 0.85;

    /** So many lines are ruled paper; an end is so many times longer than thick. */
    private const RULED = 3;

    private const END = 4;

    /**
     * @param  list<bool>  $isPaper  per pixel, whether it has the paper's colour
     * @return array<int, true> pixels of the lines
     */
    public static function of(array $isPaper, int $width): array
    {
        $height = intdiv(count($isPaper), $width);
        $thin = max(2, (int) round(self::THIN * max($width, $height)));

        return self::along($isPaper, $width, $height, 1, $width, $thin) + self::along($isPaper, $height, $width, $width, 1, $thin);
    }

    /**
     * @param  list<bool>  $isPaper
     * @param  int  $length  of the way from border to border, and how many ways there are
     * @param  int  $onwards  from a pixel to the next one on the way, and from one way to the next
     * @return array<int, true>
     */
    private static function along(array $isPaper, int $length, int $ways, int $onwards, int $aside, int $thin): array
    {
        $lines = [];
        $count = 0;
        $ends = self::crossings($isPaper, $ways, ($length - 1) * $onwards, $aside, $thin);
        foreach (self::crossings($isPaper, $ways, 0, $aside, $thin) as $start) {
            foreach ($ends as $end) {
                if (abs($end - $start) <= self::CLIMB * $length) {
                    $line = self::line($isPaper, $length, $ways, $onwards, $aside, $thin, $start, $end);
                    $count += (int) ($line !== []);
                    $lines += $line;
                }
            }
        }

        return $count < self::RULED ? $lines : $lines + self::cutOff($isPaper, $length, $ways, $onwards, $aside, $thin, $lines);
    }

    /**
     * @param  list<bool>  $isPaper
     * @param  array<int, true>  $lines  that are known
     * @return array<int, true> what else is thin and comes from a border
     */
    private static function cutOff(array $isPaper, int $length, int $ways, int $onwards, int $aside, int $thin, array $lines): array
    {
        $isThin = [];
        for ($at = 0; $at < $length; $at++) {
            $run = [];
            for ($way = 0; $way <= $ways; $way++) {
                $pixel = $at * $onwards + $way * $aside;
                if ($way < $ways && ! $isPaper[$pixel] && ! isset($lines[$pixel])) {
                    $run[$pixel] = true;
                } elseif ($run !== []) {
                    $isThin += count($run) <= $thin ? $run : [];
                    $run = [];
                }
            }
        }
        $cutOff = [];
        foreach (ConnectedComponents::ofSet($isThin, max($onwards, $aside)) as $piece) {
            $along = array_map(static fn (int $i): int => intdiv($i, $onwards) % $length, array_keys($piece));
            $across = array_map(static fn (int $i): int => intdiv($i, $aside) % $ways, array_keys($piece));
            $isAtBorder = min($along) === 0 || max($along) === $length - 1 || min($across) === 0 || max($across) === $ways - 1;
            if ($isAtBorder && max($along) - min($along) >= self::END * $thin) {
                $cutOff += $piece;
            }
        }

        return $cutOff;
    }

    /**
     * @param  list<bool>  $isPaper
     * @return list<float> the middles of the thin runs that are no paper, along a border that begins at a pixel
     */
    private static function crossings(array $isPaper, int $ways, int $first, int $aside, int $thin): array
    {
        $found = [];
        $run = 0;
        for ($way = 0; $way < $ways; $way++) {
            if (! $isPaper[$first + $way * $aside]) {
                $run++;

                continue;
            }
            if ($run > 0 && $run <= $thin && $run < $way) {
                $found[] = $way - 0.5 - $run / 2;
            }
            $run = 0;
        }

        return $found;
    }

    /**
     * @param  list<bool>  $isPaper
     * @return array<int, true> the pixels of the line from one way to another; none where it is broken or hardly seen
     */
    private static function line(
        array $isPaper,
        int $length,
        int $ways,
        int $onwards,
        int $aside,
        int $thin,
        float $start,
        float $end,
    ): array {
        $line = $crossed = [];
        $seen = $broken = 0;
        for ($at = 0; $at < $length; $at++) {
            $middle = $start + ($end - $start) * $at / max(1, $length - 1);
            [$low, $high] = [max(0, (int) floor($middle) - $thin), min($ways - 1, (int) ceil($middle) + $thin)];
            $here = [];
            for ($way = $low; $way <= $high; $way++) {
                $pixel = $at * $onwards + $way * $aside;
                if (! $isPaper[$pixel]) {
                    $here[$pixel] = true;
                }
            }
            if (! $isPaper[$at * $onwards + $low * $aside] || ! $isPaper[$at * $onwards + $high * $aside]) {
                // Something lies over it; if only another line does, what is between the two belongs to this one as well.
                $crossed += array_slice($here, 0, 2 * $thin + 3, true);

                continue;
            }
            if ($here === []) {
                $broken++;
            } else {
                $seen++;
                $line += count($crossed) <= (2 * $thin + 3) ** 2 ? $crossed + $here : $here;
            }
            $crossed = [];
        }

        return $seen >= self::UNBROKEN * ($seen + $broken) && $seen >= (1 - self::HIDDEN) * $length ? $line : [];
    }
}
