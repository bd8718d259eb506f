<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\Raster;
use Impa\Seeing\Foreground\Background;

/**
 * How well a figure's render lies over the drawing it was taken from: the share of pixels of like colour, and the intersection
 * over union of both silhouettes (the Jaccard index). Both of the same size. Immutable.
 */
final readonly class Agreement
{
    /** Pixels nearer than this by CIEDE2000 agree. */
    public const NEAR = 12.0;

    /** Both are compared with so many pixels along the longer side at most. */
    public const LOOK_PX = 512;

    /** Alpha (0 opaque to 127 clear) from which a render's pixel is seen through. */
    private const CLEAR = 64;

    private function __construct(
        public float $share,
        public float $overlap,
    ) {
    }

    /**
     * @param  string  $picture  the drawing's file
     * @param  string  $render  a PNG on a transparent ground, as `Painter::match` gives
     * @param  ?callable(int $pixel): bool  $leftOut  pixels of the drawing (by index) that do not count; none without it
     * @return self share: of the figure's pixels, those that agree; overlap: of both silhouettes, intersection over union
     *
     * @throws PictureRefused if either is no usable picture, or nothing is drawn
     */
    public static function of(string $picture, string $render, ?callable $leftOut = null): self
    {
        $drawn = Raster::decode($picture, self::LOOK_PX);
        $made = Raster::decode($render, self::LOOK_PX);
        $figure = Background::of($drawn)->figure;
        $all = $alike = $both = $either = 0;
        $known = [];
        foreach ($drawn->pixels as $i => $one) {
            $two = $made->pixels[$i] ?? 0x7F000000;
            $isMade = $two >> 24 <= self::CLEAR;
            $either += (int) ($figure[$i] || $isMade);
            $both += (int) ($figure[$i] && $isMade);
            if ($figure[$i] && ($leftOut === null || ! $leftOut($i))) {
                $all++;
                $alike += (int) ($isMade && ($known[($one & 0xFFFFFF) << 24 | $two & 0xFFFFFF] ??= self::near($one, $two)));
            }
        }

        return new self($alike / max(1, $all), $both / max(1, $either));
    }

    private static function near(int $one, int $two): bool
    {
        $srgb = static fn (int $p): Srgb => Srgb::of($p >> 16 & 255, $p >> 8 & 255, $p & 255);

        return Ciede2000::between($srgb($one)->lab(), $srgb($two)->lab()) < self::NEAR;
    }
}
