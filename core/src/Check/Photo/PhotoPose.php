<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

/**
 * Where a place of the plan is seen on a photo: a similarity, onto the picture itself, or onto the marker sheet and from there by its
 * homography. What lies nearer to the camera is seen larger, and shifted where the camera looks from askew (parallax). Immutable.
 */
final readonly class PhotoPose
{
    /** Photos of small things are taken from about so far, mm (common practice: half a metre to a metre). */
    public const AWAY_MM = 650.0;

    /**
     * @param  float  $x  where the plan's middle goes: pixels (y up), or mm of the sheet
     * @param  float  $scale  pixels, or mm of the sheet, for a mm of the plan
     * @param  float  $turn  radians, anticlockwise
     * @param  array{float, float}  $middle  of the plan, mm
     * @param  Vec3  $parallax  for a mm nearer to the camera: so much larger, farther right and higher, mm a mm
     * @param  bool  $isHeld  whether the scale is known from elsewhere
     */
    public function __construct(
        public float $x,
        public float $y,
        public float $scale,
        public float $turn,
        private array $middle,
        public array $parallax = [1 / self::AWAY_MM, 0.0, 0.0],
        private bool $isHeld = false,
        private ?SheetPlane $sheet = null,
    ) {
    }

    /** Whether the scale is known: by a marker sheet, a ruler or a part that was measured. */
    public function isMeasured(): bool
    {
        return $this->isHeld || $this->sheet !== null;
    }

    public function isOnSheet(): bool
    {
        return $this->sheet !== null;
    }

    /**
     * @param  float  $towardsMm  how far it lies towards the camera from the figure's back
     * @return array{float, float} in pixels of the photo, y down
     */
    public function at(float $x, float $y, float $towardsMm): array
    {
        [$u, $v] = [$x - $this->middle[0], $y - $this->middle[1]];
        [$nearer, $right, $up] = $this->parallax;
        [$u, $v] = [$u + $towardsMm * ($nearer * $u + $right), $v + $towardsMm * ($nearer * $v + $up)];
        [$cos, $sin] = [cos($this->turn), sin($this->turn)];
        [$x, $y] = [$this->x + $this->scale * ($u * $cos - $v * $sin), $this->y + $this->scale * ($u * $sin + $v * $cos)];

        return $this->sheet === null ? [$x, -$y] : $this->sheet->at($x, $y);
    }

    /** Pixels to a mm about a place, at the figure's back. */
    public function pxPerMm(float $x, float $y): float
    {
        [[$ax, $ay], [$bx, $by]] = [$this->at($x - 0.5, $y, 0.0), $this->at($x + 0.5, $y, 0.0)];

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
            $this->parallax,
            $this->isHeld,
            $this->sheet,
        );
    }

    /** @param  Vec3  $parallax */
    public function seenWith(array $parallax): self
    {
        return $this->with($this->scale, $parallax, $this->isHeld);
    }

    /** With a scale that is known from elsewhere. */
    public function heldAt(float $scale): self
    {
        return $this->with($scale, $this->parallax, true);
    }

    /**
     * A step on the sheet, or on the picture with y up, along the plan's own axes.
     *
     * @return array{float, float}
     */
    public function alongPlan(float $x, float $y): array
    {
        [$cos, $sin] = [cos($this->turn), sin($this->turn)];

        return [$x * $cos + $y * $sin, $y * $cos - $x * $sin];
    }

    /** @param  Vec3  $parallax */
    private function with(float $scale, array $parallax, bool $isHeld): self
    {
        return new self($this->x, $this->y, $scale, $this->turn, $this->middle, $parallax, $isHeld, $this->sheet);
    }
}
