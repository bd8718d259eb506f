<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Shape\Stack;

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
        $top = round(($options['topMm'] ?? 0.0) / $width, 2);
        $bottom = round(($options['bottomMm'] ?? 0.0) / $width, 2);
        $key = match ($kind) {
            ShapeKind::Ball, ShapeKind::Drum, ShapeKind::Dome => $kind->value,
            ShapeKind::Egg => "egg $taper",
            default => "$kind->value $ratio $top $bottom",
        };
        if (isset(self::$known[$key])) {
            return self::$known[$key];
        }
        if (count(self::$known) >= self::MOST) {
            self::$known = [];
        }
        $solid = Catalogue::solid($kind, Size::of(1.0, $ratio, 1.0), [
            'taper' => $taper,
            'topMm' => max(0.05, $top),
            'bottomMm' => max(0.05, $bottom),
        ]);
        $halves = [];
        for ($k = 0; $k < self::STEPS; $k++) {
            $halves[] = $solid instanceof Stack ? $solid->profile(($k + 0.5) / self::STEPS) : 1.0;
        }

        return self::$known[$key] = $halves;
    }
}
