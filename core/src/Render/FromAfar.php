<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Colour\Light;
use Impa\Colour\Srgb;
use RuntimeException;

/**
 * A flat-colour picture as it looks in wool from some way off: blurred by the fibres, and by what the eye resolves at
 * that distance. Light is blurred, not sRGB numbers. Three box blurs stand for a Gaussian (Wells 1986).
 */
final class FromAfar
{
    /** One sigma of a felted edge: fibres reach over it by about so much (house prior). */
    public const FIBRE_MM = 0.3;

    /** Good eyes part two lines one minute of arc apart; one sigma of that is half of it (common practice: 20/20). */
    private const EYE_DEG = 0.5 / 60;

    /** One sigma of the blur in mm, seen from so far. */
    public static function sigmaMm(float $distanceM): float
    {
        return hypot(self::FIBRE_MM, 1000 * $distanceM * tan(deg2rad(self::EYE_DEG)));
    }

    /**
     * @param  string  $png  opaque
     * @return string PNG of the same size
     */
    public static function of(string $png, float $pxPerMm, float $distanceM): string
    {
        $image = imagecreatefromstring($png) ?: throw new RuntimeException('The picture to blur cannot be read.');
        [$width, $height] = [imagesx($image), imagesy($image)];
        $linear = array_map(Srgb::linear(...), range(0, 255));
        $planes = [[], [], []];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $rgb = (int) imagecolorat($image, $x, $y);
                $planes[0][] = $linear[$rgb >> 16 & 255];
                $planes[1][] = $linear[$rgb >> 8 & 255];
                $planes[2][] = $linear[$rgb & 255];
            }
        }
        $sigma = self::sigmaMm($distanceM) * $pxPerMm;
        $planes = array_map(static fn (array $plane): array => self::blurred($plane, $width, $height, $sigma), $planes);
        $known = [];
        $i = 0;
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++, $i++) {
                $light = [$planes[0][$i], $planes[1][$i], $planes[2][$i]];
                $key = (int) (4095 * $light[0]) << 24 | (int) (4095 * $light[1]) << 12 | (int) (4095 * $light[2]);
                $colour = $known[$key] ??= self::colour(...$light);
                imagesetpixel($image, $x, $y, $colour);
            }
        }
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    private static function colour(float $red, float $green, float $blue): int
    {
        $srgb = Light::of($red, $green, $blue)->srgb();

        return $srgb->red << 16 | $srgb->green << 8 | $srgb->blue;
    }

    /**
     * @param  list<float>  $plane
     * @return list<float>
     */
    private static function blurred(array $plane, int $width, int $height, float $sigma): array
    {
        foreach (self::boxes($sigma) as $half) {
            $plane = self::along($plane, $height, $width, 1, $width, $half);
            $plane = self::along($plane, $width, $height, $width, 1, $half);
        }

        return $plane;
    }

    /** @return list<int> half widths of three boxes whose variances sum to the Gaussian's, as near as whole pixels come */
    private static function boxes(float $sigma): array
    {
        $ideal = (sqrt(4 * $sigma * $sigma + 1) - 1) / 2;
        $low = (int) floor($ideal);
        // How many of the three must be wider by one: a box of half width h has the variance (h^2 + h) / 3.
        $wider = (int) round(($sigma * $sigma - ($low * $low + $low)) / (2 * ($low + 1) / 3));
        $wider = max(0, min(3, $wider));

        return [...array_fill(0, 3 - $wider, $low), ...array_fill(0, $wider, $low + 1)];
    }

    /**
     * A running mean along every line; beyond the rim the rim goes on.
     *
     * @param  list<float>  $plane
     * @return list<float>
     */
    private static function along(array $plane, int $lines, int $length, int $step, int $nextLine, int $half): array
    {
        if ($half < 1) {
            return $plane;
        }
        $out = $plane;
        $share = 1 / (2 * $half + 1);
        for ($line = 0; $line < $lines; $line++) {
            $start = $line * $nextLine;
            $last = $start + ($length - 1) * $step;
            $sum = ($half + 1) * $plane[$start];
            for ($k = 1; $k <= $half; $k++) {
                $sum += $plane[min($last, $start + $k * $step)];
            }
            for ($i = 0, $at = $start; $i < $length; $i++, $at += $step) {
                $out[$at] = $sum * $share;
                $sum += $plane[min($last, $at + ($half + 1) * $step)] - $plane[max($start, $at - $half * $step)];
            }
        }

        return array_values($out);
    }
}
