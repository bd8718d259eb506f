<?php

declare(strict_types=1);

namespace Impa\Wool;

/** A weight as a pocket scale shows it: 0.1 g from 1 g up, 0.01 g below, mg for wisps. */
final class Grams
{
    /** A portion is right within this share of it, or what a pocket scale can show (house choice), g. */
    private const WITHIN = 0.05;

    private const SCALE_G = 0.02;

    /** How far a portion may be off and still be right, g. */
    public static function withinG(float $g): float
    {
        return max(self::SCALE_G, self::WITHIN * $g);
    }

    /** One of so many equal pieces, as closely as it takes for them to add up to what the whole is shown as. */
    public static function pieceText(float $wholeG, int $pieces): string
    {
        $each = self::text($wholeG / $pieces);
        [$shown, $unit] = [preg_replace('/[^0-9.]/', '', $each), str_ends_with($each, 'mg') ? 'mg' : 'g'];
        $digits = strlen(strrchr((string) $shown, '.') ?: '.') - 1;
        $mg = $unit === 'mg' ? 1000.0 : 1.0;
        for ($more = 0; $more < 5; $more++) {
            $text = number_format($mg * $wholeG / $pieces, $digits + $more, '.', '');
            if (self::text((float) $text * $pieces / $mg) === self::text($wholeG)) {
                return $text.' '.$unit;
            }
        }

        return $each;
    }

    public static function text(float $g): string
    {
        return match (true) {
            $g >= 0.995 => sprintf('%.1f g', $g),
            $g >= 0.0995 => sprintf('%.2f g', $g),
            default => sprintf('%.0f mg', 1000 * $g),
        };
    }
}
