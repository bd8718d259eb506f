<?php

declare(strict_types=1);

namespace Impa\Seeing\Fitting;

use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Shape\Solid;
use Impa\Shape\Solid\Stack;

/**
 * Half-widths of standing shapes at equal steps, remembered: thousands of trials ask for few of them.
 *
 * @phpstan-import-type Options from Catalogue
 */
final class Profiles
{
    private const STEPS = 48;

    /** Remembered at most. */
    private const MOST = 4096;

    /** @var array<string, list<float>> */
    private static array $known = [];

    /**
     * @param  Options  $options
     * @return list<float> from foot to head, as shares of half the greatest width
     */
    public static function halfWidths(ShapeKind $kind, float $width, float $height, array $options): array
    {
        // Only their proportions matter; they are told apart to 4 %.
        $ratio = exp(round(log($height / $width) * 25) / 25);
        $taper = round($options['taper'] ?? 0.0, 2);
        $lengths = [];
        foreach (Fit::LENGTHS as $name) {
            $lengths[$name] = max(isset($options[$name]) ? 0.05 : 0.0, round(($options[$name] ?? 0.0) / $width, 2));
        }
        $key = match ($kind) {
            ShapeKind::Ball, ShapeKind::Drum, ShapeKind::Dome => $kind->value,
            ShapeKind::Egg => "egg $taper",
            default => "$kind->value $ratio ".implode(' ', $lengths),
        };
        if (isset(self::$known[$key])) {
            return self::$known[$key];
        }
        if (count(self::$known) >= self::MOST) {
            self::$known = [];
        }
        $solid = Catalogue::solid($kind, Size::of(1.0, $ratio, 1.0), ['taper' => $taper] + array_filter($lengths));
        $halves = [];
        for ($k = 0; $k < self::STEPS; $k++) {
            $t = ($k + 0.5) / self::STEPS;
            $halves[] = $solid instanceof Stack ? $solid->profile($t) : self::halfWidth($solid, ($t - 0.5) * $ratio);
        }

        return self::$known[$key] = $halves;
    }

    /** Of a shape one wide that is no stack, by where its outline reaches farthest to the right at a height. */
    private static function halfWidth(Solid $solid, float $y): float
    {
        $points = $solid->front()[0];
        $farthest = 0.0;
        foreach ($points as $i => [$ax, $ay]) {
            [$bx, $by] = $points[($i + 1) % count($points)];
            if (($ay <= $y) !== ($by <= $y)) {
                $farthest = max($farthest, $ax + ($y - $ay) / ($by - $ay) * ($bx - $ax));
            }
        }

        return 2 * $farthest;
    }
}
