<?php

declare(strict_types=1);

namespace Impa\Check;

use Impa\Geometry\Homography;
use Impa\Render\MarkerSheet;

/**
 * Where a place of the plan is seen on a photo: a similarity, onto the picture itself, or onto the marker sheet and from there by its
 * homography. Immutable.
 */
final readonly class Pose
{
    /**
     * @param  float  $x  where the plan's middle goes: pixels (y up), or mm of the sheet
     * @param  float  $scale  pixels, or mm of the sheet, for a mm of the plan
     * @param  float  $turn  radians, anticlockwise
     * @param  array{float, float}  $middle  of the plan, mm
     */
    public function __construct(
        public float $x,
        public float $y,
        public float $scale,
        public float $turn,
        private array $middle,
        private ?Homography $sheet = null,
        private ?MarkerSheet $marks = null,
    ) {
    }

    /** Whether scale and perspective are told by a marker sheet. */
    public function isMeasured(): bool
    {
        return $this->sheet !== null;
    }

    /** @return array{float, float} in pixels of the photo, y down */
    public function at(float $x, float $y): array
    {
        [$u, $v] = [$x - $this->middle[0], $y - $this->middle[1]];
        [$cos, $sin] = [cos($this->turn), sin($this->turn)];
        [$x, $y] = [$this->x + $this->scale * ($u * $cos - $v * $sin), $this->y + $this->scale * ($u * $sin + $v * $cos)];

        return $this->sheet === null || $this->marks === null
            ? [$x, -$y]
            : $this->sheet->at(0.5 + $x / $this->marks->wideMm, 0.5 - $y / $this->marks->highMm);
    }

    /** Pixels to a mm about a place. */
    public function pxPerMm(float $x, float $y): float
    {
        [[$ax, $ay], [$bx, $by]] = [$this->at($x - 0.5, $y), $this->at($x + 0.5, $y)];

        return hypot($bx - $ax, $by - $ay);
    }

    /** Moved by so much in the plan's own mm, turned about the plan's middle, and scaled. */
    public function moved(float $dx, float $dy, float $turn, float $factor): self
    {
        [$cos, $sin] = [cos($this->turn), sin($this->turn)];

        return new self(
            $this->x + $this->scale * ($dx * $cos - $dy * $sin),
            $this->y + $this->scale * ($dx * $sin + $dy * $cos),
            $this->scale * $factor,
            $this->turn + $turn,
            $this->middle,
            $this->sheet,
            $this->marks,
        );
    }
}
