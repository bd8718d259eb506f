<?php

declare(strict_types=1);

namespace Impa\Raster;

/** Label propagation: undecided pixels take the label of their decided neighbours, ring by ring (a breadth-first search). */
final class LabelPropagation
{
    /**
     * @param  list<int>  $labels  -2 is undecided, -1 is ground and stays
     * @param  list<int>  $from  decided pixels to start from
     * @return list<int> without -2, unless nothing was decided
     */
    public static function into(array $labels, array $from, int $width): array
    {
        $size = count($labels);
        while ($from !== []) {
            $next = [];
            foreach ($from as $i) {
                $label = $labels[$i];
                $x = $i % $width;
                if ($x > 0 && $labels[$i - 1] === -2) {
                    $labels[$i - 1] = $label;
                    $next[] = $i - 1;
                }
                if ($x < $width - 1 && $labels[$i + 1] === -2) {
                    $labels[$i + 1] = $label;
                    $next[] = $i + 1;
                }
                if ($i >= $width && $labels[$i - $width] === -2) {
                    $labels[$i - $width] = $label;
                    $next[] = $i - $width;
                }
                if ($i + $width < $size && $labels[$i + $width] === -2) {
                    $labels[$i + $width] = $label;
                    $next[] = $i + $width;
                }
            }
            $from = $next;
        }

        // An island of mixtures that touches nothing decided is left to the ground.
        return array_map(static fn (int $l): int => $l === -2 ? -1 : $l, $labels);
    }
}
