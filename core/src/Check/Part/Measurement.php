<?php

declare(strict_types=1);

namespace Impa\Check\Part;

use Impa\Check\CheckRefused;
use Impa\Shape\Size;

/** What calipers and scale say of one finished piece of a part. Immutable. */
final readonly class Measurement
{
    private const MOST_MM = 2000.0;

    private const MOST_G = 10_000.0;

    private function __construct(public Size $size, public float $g)
    {
    }

    /**
     * @param  float  $g  of the finished piece, > 0
     *
     * @throws CheckRefused if a size or the weight is none
     */
    public static function of(float $widthMm, float $heightMm, float $depthMm, float $g): self
    {
        foreach (['width' => $widthMm, 'height' => $heightMm, 'depth' => $depthMm] as $what => $mm) {
            if (! ($mm > 0.0 && $mm <= self::MOST_MM)) {
                throw CheckRefused::noSize($what, $mm);
            }
        }
        if (! ($g > 0.0 && $g <= self::MOST_G)) {
            throw CheckRefused::noWeight($g);
        }

        return new self(Size::of($widthMm, $heightMm, $depthMm), $g);
    }
}
