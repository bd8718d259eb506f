<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

use Impa\Geometry\Homography;
use Impa\Render\Bench\MarkerSheet;

/** A marker sheet as it lies on a photo. Immutable. */
final readonly class SheetPlane
{
    /** @param  Homography  $onto  from the unit square, y down, between the middles of its marks to pixels */
    public function __construct(private Homography $onto, private MarkerSheet $marks)
    {
    }

    /**
     * @param  float  $x  mm from the middle of the sheet to the right
     * @param  float  $y  mm up
     * @return array{float, float} in pixels of the photo, y down
     */
    public function at(float $x, float $y): array
    {
        return $this->onto->at(0.5 + $x / $this->marks->wideMm, 0.5 - $y / $this->marks->highMm);
    }
}
