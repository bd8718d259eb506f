<?php

declare(strict_types=1);

namespace Impa\Colour;

/**
 * A colour by lightness, chroma and hue of OKLab (Ottosson, A perceptual color space for image processing, 2020): turned in hue it stays
 * as light and as strong to the eye. Immutable.
 */
final readonly class Oklch
{
    /** A channel may lie so far outside of what a screen shows, linear light. */
    private const GAMUT = 1e-4;

    /** @param  float  $hueDeg  0 is red, against the clock */
    private function __construct(public float $lightness, public float $chroma, public float $hueDeg)
    {
    }

    public static function of(Srgb $srgb): self
    {
        $light = $srgb->light();
        [$r, $g, $b] = [$light->red, $light->green, $light->blue];
        $l = (0.4122214708 * $r + 0.5363325363 * $g + 0.0514459929 * $b) ** (1 / 3);
        $m = (0.2119034982 * $r + 0.6806995451 * $g + 0.1073969566 * $b) ** (1 / 3);
        $s = (0.0883024619 * $r + 0.2817188376 * $g + 0.6299787005 * $b) ** (1 / 3);
        $lightness = 0.2104542553 * $l + 0.7936177850 * $m - 0.0040720468 * $s;
        $a = 1.9779984951 * $l - 2.4285922050 * $m + 0.4505937099 * $s;
        $b = 0.0259040371 * $l + 0.7827717662 * $m - 0.8086757660 * $s;

        return new self($lightness, hypot($a, $b), fmod(rad2deg(atan2($b, $a)) + 360.0, 360.0));
    }

    public function turned(float $deg): self
    {
        return new self($this->lightness, $this->chroma, fmod($this->hueDeg + $deg + 720.0, 360.0));
    }

    /** The nearest that a screen shows: as light, of that hue, less strong where it must be. */
    public function srgb(): Srgb
    {
        [$low, $high] = [0.0, $this->chroma];
        if ($this->isShown($high)) {
            $low = $high;
        }
        for ($i = 0; $i < 24 && $low < $high; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $this->isShown($middle) ? [$middle, $high] : [$low, $middle];
        }
        [$r, $g, $b] = array_map(static fn (float $c): float => max(0.0, min(1.0, $c)), $this->linear($low));

        return Light::of($r, $g, $b)->srgb();
    }

    private function isShown(float $chroma): bool
    {
        $linear = $this->linear($chroma);

        return min($linear) >= -self::GAMUT && max($linear) <= 1.0 + self::GAMUT;
    }

    /** @return array{float, float, float} linear sRGB, perhaps outside of 0 to 1 */
    private function linear(float $chroma): array
    {
        [$a, $b] = [$chroma * cos(deg2rad($this->hueDeg)), $chroma * sin(deg2rad($this->hueDeg))];
        $l = ($this->lightness + 0.3963377774 * $a + 0.2158037573 * $b) ** 3;
        $m = ($this->lightness - 0.1055613458 * $a - 0.0638541728 * $b) ** 3;
        $s = ($this->lightness - 0.0894841775 * $a - 1.2914855480 * $b) ** 3;

        return [
            4.0767416621 * $l - 3.3077115913 * $m + 0.2309699292 * $s,
            -1.2684380046 * $l + 2.6097574011 * $m - 0.3413193965 * $s,
            -0.0041960863 * $l - 0.7034186147 * $m + 1.7076147010 * $s,
        ];
    }
}
