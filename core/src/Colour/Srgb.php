<?php

declare(strict_types=1);

namespace Impa\Colour;

use InvalidArgumentException;

/** A colour of the screen, sRGB with 8 bits a channel (IEC 61966-2-1). Immutable. */
final readonly class Srgb
{
    /**
     * @param  int<0, 255>  $red
     * @param  int<0, 255>  $green
     * @param  int<0, 255>  $blue
     */
    private function __construct(
        public int $red,
        public int $green,
        public int $blue,
    ) {
    }

    /** Channels outside 0 to 255 are brought to the nearer end. */
    public static function of(int $red, int $green, int $blue): self
    {
        return new self(self::channel($red), self::channel($green), self::channel($blue));
    }

    /** @throws InvalidArgumentException if it is not # and six hexadecimal digits */
    public static function hex(string $hex): self
    {
        if (preg_match('/^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i', $hex, $m) !== 1) {
            throw new InvalidArgumentException(sprintf('"%s" is not a colour like #2f8f86.', $hex));
        }

        return self::of((int) hexdec($m[1]), (int) hexdec($m[2]), (int) hexdec($m[3]));
    }

    public function toHex(): string
    {
        return sprintf('#%02x%02x%02x', $this->red, $this->green, $this->blue);
    }

    public function lab(): Lab
    {
        return $this->light()->lab();
    }

    public function light(): Light
    {
        return Light::of(self::linear($this->red), self::linear($this->green), self::linear($this->blue));
    }

    /** @return int<0, 255> */
    private static function channel(int $value): int
    {
        return max(0, min(255, $value));
    }

    /** Linear light, 0 to 1, of a channel from 0 to 255 (IEC 61966-2-1). */
    public static function linear(int $channel): float
    {
        $v = $channel / 255;

        return $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;
    }
}
