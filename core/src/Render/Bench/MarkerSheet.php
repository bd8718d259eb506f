<?php

declare(strict_types=1);

namespace Impa\Render\Bench;

use Impa\Geometry\Box;

/**
 * The marks of the sheet on which a figure is photographed: four round ones at the corners of a rectangle, so that scale and
 * perspective can be told; the one at the lower left has a hole, so that it is told which way up the photo is. Immutable.
 */
final readonly class MarkerSheet
{
    public const ACROSS_MM = 12.0;

    public const HOLE_MM = 5.0;

    /** Apart on A4 and Letter, from middle to middle, mm; a larger figure takes the next paper size (ISO 216: by the root of two). */
    private const APART_MM = [176.0, 220.0];

    /** So much of the rectangle a figure may fill, so that no mark is hidden. */
    private const ROOM = 0.82;

    private function __construct(public float $wideMm, public float $highMm)
    {
    }

    /** The smallest sheet of the row that has room for what is seen of a figure. */
    public static function for(Box $box): self
    {
        [$wide, $high] = self::APART_MM;
        while ($box->width() > self::ROOM * $wide || $box->height() > self::ROOM * $high) {
            [$wide, $high] = [$wide * M_SQRT2, $high * M_SQRT2];
        }

        return new self($wide, $high);
    }

    /** @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} middles, from the sheet's middle, y up: upper left, upper right, lower right, lower left */
    public function marks(): array
    {
        [$x, $y] = [$this->wideMm / 2, $this->highMm / 2];

        return [[-$x, $y], [$x, $y], [$x, -$y], [-$x, -$y]];
    }
}
