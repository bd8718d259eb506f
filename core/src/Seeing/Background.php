<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Colour\Lab;
use Impa\Colour\LabTable;
use Impa\Colour\Srgb;
use Impa\Raster\PictureRefused;
use Impa\Raster\Raster;

/** Tells figure from background: by transparency, or by the plain colour that reaches in from the border. Immutable. */
final readonly class Background
{
    /** Alpha (0 opaque to 127 clear) from which a pixel is seen through. */
    private const CLEAR = 64;

    /** How far a background pixel may lie from the border's colour, in Lab. */
    private const NEAR = 7.0;

    /**
     * From background to background, a soft shadow or an even gradient changes by so little from pixel to pixel (squared, in
     * Lab); a shadow keeps the background's hue and is darker by so much at most.
     */
    private const SOFT_STEP = 2.2 ** 2;

    private const SHADOW_HUE = 7.0 ** 2;

    private const SHADOW_DARK = 45.0;

    /** Share of border pixels that must be plain for the background to be trusted. */
    private const PLAIN = 0.6;

    /**
     * @param  list<bool>  $figure  per pixel, whether it belongs to the figure
     * @param  list<string>  $notices
     * @param  ?Lab  $colour  of a plain background; none where it is clear
     */
    private function __construct(public array $figure, public int $count, public array $notices, public ?Lab $colour)
    {
    }

    /** @throws PictureRefused if nothing stands out */
    public static function of(Raster $raster): self
    {
        $border = self::border($raster);
        $clear = count(array_filter($border, static fn (int $i): bool => $raster->pixels[$i] >> 24 > self::CLEAR));
        $notices = [];
        if ($clear > 0.02 * count($border)) {
            $figure = array_map(static fn (int $p): bool => $p >> 24 <= self::CLEAR, $raster->pixels);
            $colour = null;
        } else {
            [$figure, $plain, $colour] = self::flooded($raster, $border);
            if ($plain < self::PLAIN) {
                $notices[] =
                    'The background is not plain, so parts of it may have been taken for the figure. A '
                        .'drawing on white or on a transparent ground works best.';
            }
        }
        $count = count(array_filter($figure));
        if ($count < 12) {
            throw PictureRefused::nothingDrawn();
        }
        $touching = count(array_filter($border, static fn (int $i): bool => $figure[$i]));
        if ($touching > 0.02 * count($border)) {
            $notices[] = 'The figure touches the edge of the picture; what is cut off there is missing from the shapes.';
        }

        return new self($figure, $count, $notices, $colour);
    }

    /**
     * The same ground with all but some pixels taken for background.
     *
     * @param  list<bool>  $kept
     */
    public function within(array $kept): self
    {
        $figure = array_map(static fn (bool $in, bool $keep): bool => $in && $keep, $this->figure, $kept);

        return new self($figure, count(array_filter($figure)), $this->notices, $this->colour);
    }

    /** The same ground in a mirror. */
    public function mirrored(int $width): self
    {
        return new self(
            array_merge(...array_map(array_reverse(...), array_chunk($this->figure, max(1, $width)))),
            $this->count,
            $this->notices,
            $this->colour,
        );
    }

    /** @return list<int> */
    private static function border(Raster $raster): array
    {
        $border = [];
        for ($x = 0; $x < $raster->width; $x++) {
            array_push($border, $x, ($raster->height - 1) * $raster->width + $x);
        }
        for ($y = 1; $y < $raster->height - 1; $y++) {
            array_push($border, $y * $raster->width, ($y + 1) * $raster->width - 1);
        }

        return $border;
    }

    /**
     * @param  list<int>  $border
     * @return array{list<bool>, float, Lab} the mask, the share of the border that is plain, and its colour
     */
    private static function flooded(Raster $raster, array $border): array
    {
        $counts = array_count_values(array_map(static fn (int $i): int => $raster->pixels[$i] & 0xF8F8F8, $border));
        arsort($counts);
        $common = (int) array_key_first($counts);
        // The mean of the most common bin is the background's colour.
        $sum = [0, 0, 0];
        $n = 0;
        foreach ($border as $i) {
            $p = $raster->pixels[$i];
            if (($p & 0xF8F8F8) === $common) {
                $sum[0] += ($p >> 16) & 255;
                $sum[1] += ($p >> 8) & 255;
                $sum[2] += $p & 255;
                $n++;
            }
        }
        $ground = Srgb::of(intdiv($sum[0], $n), intdiv($sum[1], $n), intdiv($sum[2], $n))->lab();
        $known = [];
        $isGround = static function (int $pixel) use (&$known, $ground): bool {
            return $known[$pixel & 0xFFFFFF] ??=
                LabTable::squared(LabTable::of($pixel), [$ground->l, $ground->a, $ground->b]) < self::NEAR ** 2;
        };
        $figure = array_fill(0, $raster->width * $raster->height, true);
        $open = [];
        foreach ($border as $i) {
            if ($isGround($raster->pixels[$i])) {
                $figure[$i] = false;
                $open[] = $i;
            }
        }
        $plain = count($open) / count($border);
        while ($open !== []) {
            $i = array_pop($open);
            $x = $i % $raster->width;
            foreach (
                [$x > 0 ? $i - 1 : -1, $x < $raster->width - 1 ? $i + 1 : -1, $i - $raster->width, $i + $raster->width] as $j
            ) {
                if (
                    $j >= 0 &&
                    isset($figure[$j]) &&
                    $figure[$j] &&
                    ($isGround($raster->pixels[$j]) || self::isSoft($raster->pixels[$i], $raster->pixels[$j], $ground))
                ) {
                    $figure[$j] = false;
                    $open[] = $j;
                }
            }
        }

        return [array_values($figure), $plain, $ground];
    }

    /** Whether the background goes on from one pixel to its neighbour as a soft shadow. */
    private static function isSoft(int $from, int $to, Lab $ground): bool
    {
        $lab = LabTable::of($to);

        return LabTable::squared(LabTable::of($from), $lab) < self::SOFT_STEP &&
            ($lab[1] - $ground->a) ** 2 + ($lab[2] - $ground->b) ** 2 < self::SHADOW_HUE &&
            $lab[0] < $ground->l &&
            $lab[0] > $ground->l - self::SHADOW_DARK;
    }
}
