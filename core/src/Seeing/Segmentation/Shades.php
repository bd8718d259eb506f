<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

use Impa\Colour\ColourWords;
use Impa\Colour\LabTable;
use Impa\Colour\Srgb;
use Impa\Raster\Raster;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** What a colour is shaded with in the drawing: its darker and its lighter places, which are one wool with it. */
final class Shades
{
    /** So much lighter or darker in Lab is another shade; stains of compression come up to the greater one. */
    private const APART = 4.0;

    private const STAINED = 8.0;

    /** From this share of the colour on it is worth a word. */
    private const LEAST_SHARE = 0.08;

    /**
     * @return list<list<array{name: string, hex: string, share: float}>> by colour, its darker shade and its lighter one, where it has
     *     them; shares of all that is seen of the colour
     */
    public static function of(Raster $raster, FlatColours $flat): array
    {
        $apart = $raster->isLossy ? self::STAINED : self::APART;
        $own = array_map(static fn (Srgb $c): float => $c->lab()->l, $flat->colours);
        $seen = array_fill(0, count($own), 0);
        $sums = array_fill(0, count($own), []);
        $pixels = $raster->pixels;
        // Every other pixel is enough for shares.
        for ($i = 0, $count = count($pixels); $i < $count; $i += 2) {
            $label = $flat->labels[$i];
            $pixel = $pixels[$i];
            [$right, $below] = [$pixels[$i + 1] ?? $pixel, $pixels[$i + $raster->width] ?? $pixel];
            $isFlat = Shading::runInto($pixel, $right) && Shading::runInto($pixel, $below);
            if ($label < 0 || ! $isFlat) {
                continue;
            }
            $seen[$label]++;
            $lighter = LabTable::of($pixel)[0] - $own[$label];
            if (abs($lighter) >= $apart) {
                $sum = $sums[$label][$lighter <=> 0] ?? [0, 0, 0, 0];
                $sums[$label][$lighter <=> 0] = [
                    $sum[0] + 1,
                    $sum[1] + ($pixel >> 16 & 255),
                    $sum[2] + ($pixel >> 8 & 255),
                    $sum[3] + ($pixel & 255),
                ];
            }
        }

        return array_map(self::named(...), $sums, $seen, $flat->colours);
    }

    /**
     * @param  array<int, array{int, int, int, int}>  $sums  darker (-1) and lighter (1): count, and sums of red, green and blue
     * @param  int  $seen  pixels of the colour
     * @return list<array{name: string, hex: string, share: float}>
     */
    private static function named(array $sums, int $seen, Srgb $own): array
    {
        $shades = [];
        foreach ([-1 => 'darker', 1 => 'lighter'] as $way => $word) {
            [$count, $red, $green, $blue] = $sums[$way] ?? [0, 0, 0, 0];
            if ($count >= max(4, self::LEAST_SHARE * $seen)) {
                $mean = Srgb::of(intdiv($red, $count), intdiv($green, $count), intdiv($blue, $count));
                $name = ColourWords::said($mean);
                $shades[] = [
                    'name' => $name === ColourWords::said($own)
                        ? (string) Message::of('seeing.shade.'.$word, colour: new Name($name))
                        : $name,
                    'hex' => $mean->toHex(),
                    'share' => round($count / $seen, 2),
                ];
            }
        }

        return $shades;
    }
}
