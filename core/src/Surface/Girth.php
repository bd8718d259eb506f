<?php

declare(strict_types=1);

namespace Impa\Surface;

use Impa\Figure\Part;
use Impa\Figure\Term\Side;
use Impa\Geometry\Bisection;

/** How far it is round a part, by tape, level. */
final class Girth
{
    /** Pieces of the tape on each side; they close up where the skin turns away. */
    private const STEPS = 48;

    private const LEVELS = 24;

    /** Round the part at y (mm from its middle), front and back; 0 where it is not. */
    public static function atMm(Part $part, float $yMm): float
    {
        $piece = $part->placements()[0];

        return self::half(Surface::of($piece), $yMm) + self::half(Surface::of($piece, Side::Back), $yMm);
    }

    /** @return array{mm: float, yMm: float, downMm: ?float} the widest, and where it is; no way down to it by tape over a hole */
    public static function widest(Part $part, Surface $surface, float $crownMm, float $footMm): array
    {
        $best = [0.0, 0.0];
        for ($i = 1; $i < self::LEVELS; $i++) {
            $y = $footMm + ($crownMm - $footMm) * $i / self::LEVELS;
            $width = Bisection::of(static fn (float $mm): bool => $surface->has($mm, $y));
            $best = $width > $best[0] + 1e-6 ? [$width, $y] : $best;
        }

        $down = TapeMark::downMm($surface, $best[1]);

        return ['mm' => self::atMm($part, $best[1]), 'yMm' => $best[1], 'downMm' => is_nan($down) ? null : $down];
    }

    private static function half(Surface $surface, float $y): float
    {
        $right = Bisection::of(static fn (float $mm): bool => $surface->has($mm, $y));
        $left = Bisection::of(static fn (float $mm): bool => $surface->has(-$mm, $y));
        if ($right + $left <= 0.0) {
            return 0.0;
        }
        $length = 0.0;
        $before = null;
        for ($i = 0; $i <= self::STEPS; $i++) {
            $s = sin(M_PI / 2 * (2 * $i / self::STEPS - 1));
            $x = ($right - $left) / 2 + $s * ($right + $left) / 2;
            $height = $surface->heightMm($x, $y, $before[1] ?? NAN);
            if (is_nan($height)) {
                continue;
            }
            $length += $before === null ? 0.0 : hypot($x - $before[0], $height - $before[1]);
            $before = [$x, $height];
        }

        return $length;
    }
}
