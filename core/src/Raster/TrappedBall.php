<?php

declare(strict_types=1);

namespace Impa\Raster;

/**
 * Trapped-ball segmentation (Zhang, Chen, Zhang, Hu and Martin 2009): the connected components that a ball can roll about in. It does
 * not get through a gap in a drawn line that is narrower than it is, so that what the line was meant to part is parted.
 */
final class TrappedBall
{
    /**
     * @param  list<int>  $labels  per pixel; below 0 belongs to none
     * @param  float  $radiusPx  of the ball
     * @param  float  $leastPx  where the ball sweeps fewer pixels than this it has no room: what is there goes to its neighbours
     * @return array{list<int>, list<int>} per pixel the number of its component, -1 for none or where no ball has room; and the label
     *                                     of each
     */
    public static function of(array $labels, int $width, float $radiusPx, float $leastPx): array
    {
        $deep = DistanceTransform::within(array_map(static fn (int $l): bool => $l >= 0, $labels), $width);
        $radius = $radiusPx * DistanceTransform::SIDE;
        $rooms = [];
        foreach ($labels as $i => $label) {
            $rooms[] = $deep[$i] > $radius ? $label : -1;
        }
        [$numbers, $labelOf] = ConnectedComponents::ofLabels($rooms, $width);
        $areas = array_count_values(array_filter($numbers, static fn (int $n): bool => $n >= 0));
        // Room by room outwards, but never into another label.
        $from = [];
        foreach ($numbers as $i => $number) {
            if ($number >= 0 && $areas[$number] >= $leastPx) {
                $from[] = $i;
            } else {
                $numbers[$i] = -1;
            }
        }
        while ($from !== []) {
            $next = [];
            foreach ($from as $i) {
                $x = $i % $width;
                foreach ([$x > 0 ? $i - 1 : -1, $x < $width - 1 ? $i + 1 : -1, $i - $width, $i + $width] as $j) {
                    if ($j >= 0 && ($labels[$j] ?? -1) === $labels[$i] && $numbers[$j] < 0) {
                        $numbers[$j] = $numbers[$i];
                        $next[] = $j;
                    }
                }
            }
            $from = $next;
        }

        return [array_values($numbers), $labelOf];
    }
}
