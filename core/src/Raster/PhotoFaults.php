<?php

declare(strict_types=1);

namespace Impa\Raster;

use Impa\Colour\LabTable;
use Impa\Voice\Message;

/** What spoils a photo of a print or a screen, and what to do about it: glare and moire. */
final class PhotoFaults
{
    /**
     * Glare is all but white (L), a patch of such a share of the picture, and fades: so many pixels beyond its rim most of it is brighter
     * by so much (L) than what lies farther off.
     */
    private const WHITE = 97.5;

    private const GLARE = 0.003;

    private const RIM_PX = [3, 14];

    private const FADES = 2.0;

    private const FALLS = 4.0;

    private const MOST_OF_RIM = 0.6;

    /** Moire repeats every so many pixels and so surely (autocorrelation, and against it half a wave away), in most of so many lines. */
    private const WAVES = [4, 22];

    private const SURE = 0.4;

    private const AGAINST = -0.15;

    private const LINES = 16;

    /** Only what differs by more than this (grey values) from its surroundings is seen as a pattern. */
    private const VISIBLE = 1.5;

    /**
     * @param  Raster  $photo  as it came, nothing smoothed
     * @return list<Message>
     */
    public static function of(Raster $photo): array
    {
        $faults = [];
        if (self::hasGlare($photo)) {
            $faults[] = Message::of('raster.photo-faults.a-glare-lies');
        }
        if (self::hasMoire($photo)) {
            $faults[] = Message::of('raster.photo-faults.a-pattern-of-stripes');
        }

        return $faults;
    }

    private static function hasGlare(Raster $photo): bool
    {
        $white = [];
        foreach ($photo->pixels as $i => $pixel) {
            if (LabTable::of($pixel)[0] > self::WHITE) {
                $white[$i] = true;
            }
        }
        $size = count($photo->pixels);
        // Where most of it is white, that is the paper.
        if (count($white) < self::GLARE * $size || count($white) > 0.3 * $size) {
            return false;
        }
        $patch = ConnectedComponents::ofSet($white, $photo->width)[0];
        $rim = $fading = 0;
        foreach ($patch as $i => $_) {
            foreach ([-1, 1, -$photo->width, $photo->width] as $step) {
                [$near, $far] = [$i + self::RIM_PX[0] * $step, $i + self::RIM_PX[1] * $step];
                if (isset($patch[$i + $step]) || isset($patch[$near]) || ! isset($photo->pixels[$far])) {
                    continue;
                }
                $rim++;
                $nearL = LabTable::of($photo->pixels[$near])[0];
                $farL = LabTable::of($photo->pixels[$far])[0];
                $fading += (int) ($nearL > $farL + self::FADES && $farL < self::WHITE - self::FALLS && $nearL > ($farL + 100) / 2);
            }
        }

        return count($patch) > self::GLARE * $size && $rim > 0 && $fading > self::MOST_OF_RIM * $rim;
    }

    private static function hasMoire(Raster $photo): bool
    {
        [$w, $h] = [$photo->width, $photo->height];
        foreach ([[1, $w, $h, $w], [$w, $h, $w, 1]] as [$step, $length, $lines, $next]) {
            $waved = 0;
            for ($n = 0; $n < self::LINES; $n++) {
                $start = intdiv((2 * $n + 1) * $lines, 2 * self::LINES) * $next;
                $values = [];
                for ($k = 0; $k < $length; $k++) {
                    $values[] = (float) ($photo->pixels[$start + $k * $step] >> 8 & 255);
                }
                $waved += (int) self::repeats($values);
            }
            if ($waved > self::LINES / 2) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a line of grey values goes up and down evenly.
     *
     * @param  list<float>  $values
     */
    private static function repeats(array $values): bool
    {
        $count = count($values);
        $reach = self::WAVES[1];
        if ($count < 4 * $reach) {
            return false;
        }
        // Against the mean about each place; edges of what is drawn are no pattern and count for little.
        $flat = [];
        $sum = array_sum(array_slice($values, 0, 2 * $reach + 1));
        for ($k = $reach; $k < $count - $reach; $k++) {
            $flat[] = max(-8.0, min(8.0, $values[$k] - $sum / (2 * $reach + 1)));
            $sum += ($values[$k + $reach + 1] ?? 0.0) - $values[$k - $reach];
        }
        $at = static function (int $lag) use ($flat): float {
            $product = 0.0;
            for ($k = 0, $n = count($flat) - $lag; $k < $n; $k++) {
                $product += $flat[$k] * $flat[$k + $lag];
            }

            return $product / max(1, count($flat) - $lag);
        };
        $power = $at(0);
        if ($power < self::VISIBLE ** 2) {
            return false;
        }
        for ($lag = self::WAVES[0]; $lag <= $reach; $lag++) {
            if ($at($lag) > self::SURE * $power && $at(intdiv($lag, 2)) < self::AGAINST * $power) {
                return true;
            }
        }

        return false;
    }
}
