<?php

declare(strict_types=1);

namespace Impa\Shape;

/** Width, height and depth of a shape in its own frame, all in mm. Immutable. */
final readonly class Size
{
    private function __construct(
        public float $widthMm,
        public float $heightMm,
        public float $depthMm,
    ) {
    }

    public static function of(float $widthMm, float $heightMm, float $depthMm): self
    {
        return new self($widthMm, $heightMm, $depthMm);
    }

    public function scaled(float $factor): self
    {
        return new self($this->widthMm * $factor, $this->heightMm * $factor, $this->depthMm * $factor);
    }

    /** Every dimension less the same number of mm; may come out at or below 0. */
    public function less(float $mm): self
    {
        return new self($this->widthMm - $mm, $this->heightMm - $mm, $this->depthMm - $mm);
    }

    public function smallestMm(): float
    {
        return min($this->widthMm, $this->heightMm, $this->depthMm);
    }

    /** Neither the smallest nor the largest: the narrower side of the broadest face. */
    public function middleMm(): float
    {
        return $this->widthMm + $this->heightMm + $this->depthMm - $this->smallestMm() - $this->largestMm();
    }

    public function largestMm(): float
    {
        return max($this->widthMm, $this->heightMm, $this->depthMm);
    }

    /** @throws ShapeRefused if a dimension is not more than 0 */
    public function positive(): self
    {
        return $this->smallestMm() > 0.0 ? $this : throw ShapeRefused::sizeMustBePositive($this);
    }
}
