<?php

declare(strict_types=1);

namespace Impa\Raster;

/** Connected components of pixels, neighbours by their four sides; by flood fill. */
final class ConnectedComponents
{
    /**
     * Components of equal labels.
     *
     * @param  list<int>  $labels  per pixel; below 0 belongs to none
     * @return array{list<int>, list<int>} per pixel the number of its component from 0, in reading order of their first
     *                                     pixels, -1 for none; and the label of each
     */
    public static function ofLabels(array $labels, int $width): array
    {
        $size = count($labels);
        $map = array_fill(0, $size, -1);
        $labelOf = [];
        for ($start = 0; $start < $size; $start++) {
            $label = $labels[$start];
            if ($label < 0 || $map[$start] >= 0) {
                continue;
            }
            $number = count($labelOf);
            $labelOf[] = $label;
            $map[$start] = $number;
            $open = [$start];
            while ($open !== []) {
                $i = array_pop($open);
                $x = $i % $width;
                // Written out, not looped over: every pixel of a drawing comes through here.
                if ($x > 0 && $map[$i - 1] < 0 && $labels[$i - 1] === $label) {
                    $map[$i - 1] = $number;
                    $open[] = $i - 1;
                }
                if ($x < $width - 1 && $map[$i + 1] < 0 && $labels[$i + 1] === $label) {
                    $map[$i + 1] = $number;
                    $open[] = $i + 1;
                }
                if ($i >= $width && $map[$i - $width] < 0 && $labels[$i - $width] === $label) {
                    $map[$i - $width] = $number;
                    $open[] = $i - $width;
                }
                if ($i + $width < $size && $map[$i + $width] < 0 && $labels[$i + $width] === $label) {
                    $map[$i + $width] = $number;
                    $open[] = $i + $width;
                }
            }
        }

        return [array_values($map), $labelOf];
    }

    /**
     * Components of a set of pixels, largest first.
     *
     * @param  array<int, true>  $pixels
     * @return list<non-empty-array<int, true>>
     */
    public static function ofSet(array $pixels, int $width): array
    {
        $pieces = [];
        while ($pixels !== []) {
            $start = (int) array_key_first($pixels);
            unset($pixels[$start]);
            $piece = [$start => true];
            $open = [$start];
            while ($open !== []) {
                $i = array_pop($open);
                $x = $i % $width;
                foreach ([$x > 0 ? $i - 1 : -1, $x < $width - 1 ? $i + 1 : -1, $i - $width, $i + $width] as $j) {
                    if (isset($pixels[$j])) {
                        unset($pixels[$j]);
                        $piece[$j] = true;
                        $open[] = $j;
                    }
                }
            }
            $pieces[] = $piece;
        }
        usort($pieces, static fn (array $a, array $b): int => count($b) <=> count($a));

        return $pieces;
    }
}
