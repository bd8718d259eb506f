<?php

declare(strict_types=1);

namespace Impa\Geometry;

/** How far something holds along a line, such as to the edge of a piece: by doubling, then by bisection. */
final class Bisection
{
    /** No piece is larger, mm. */
    private const MOST_MM = 8000.0;

    private const HALVINGS = 24;

    /**
     * The largest mm for which it holds, searched by doubling and halving; 0 where it does not hold at all.
     *
     * @param  callable(float): bool  $has
     */
    public static function of(callable $has): float
    {
        if (! $has(0.0)) {
            return 0.0;
        }
        for ($out = 1.0; $has($out) && $out < self::MOST_MM; $out *= 2);
        $in = 0.0;
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($in + $out) / 2;
            [$in, $out] = $has($middle) ? [$middle, $out] : [$in, $middle];
        }

        return $in;
    }
}
