<?php

declare(strict_types=1);

namespace Impa\Colour;

/** A colour as linear light, each channel 0 to 1 (IEC 61966-2-1): what adds up, where sRGB numbers do not. Immutable. */
final readonly class Light
{
    private function __construct(
        public float $red,
        public float $green,
        public float $blue,
    ) {
    }

    /** Channels outside 0 to 1 are brought to the nearer end. */
    public static function of(float $red, float $green, float $blue): self
    {
        return new self(max(0.0, min(1.0, $red)), max(0.0, min(1.0, $green)), max(0.0, min(1.0, $blue)));
    }

    /** Relative luminance, 0 to 1, with the weights of WCAG 2. */
    public function luminance(): float
    {
        return 0.2126 * $this->red + 0.7152 * $this->green + 0.0722 * $this->blue;
    }

    /** Contrast ratio of WCAG 2, 1 to 21: how far apart two colours are in lightness alone. */
    public function contrast(self $other): float
    {
        [$one, $two] = [$this->luminance() + 0.05, $other->luminance() + 0.05];

        return max($one, $two) / min($one, $two);
    }

    public function lab(): Lab
    {
        return Lab::fromLinear($this->red, $this->green, $this->blue);
    }

    public function srgb(): Srgb
    {
        return Srgb::of(self::channel($this->red), self::channel($this->green), self::channel($this->blue));
    }

    /** 0 to 255 of linear light from 0 to 1 (IEC 61966-2-1). */
    private static function channel(float $v): int
    {
        return (int) round(255 * ($v <= 0.0031308 ? 12.92 * $v : 1.055 * $v ** (1 / 2.4) - 0.055));
    }
}
