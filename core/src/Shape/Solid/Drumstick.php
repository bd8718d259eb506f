<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

/** A limb thicker at one end: two unequal tangent balls. Immutable. */
final readonly class Drumstick extends Stack
{
    private function __construct(
        Size $size,
        private float $topMm,
        private float $bottomMm,
    ) {
        parent::__construct($size);
    }

    /**
     * @param  float  $topMm  thickness of the upper end, seen from the front, > 0
     * @param  float  $bottomMm  thickness of the lower end, > 0
     *
     * @throws ShapeRefused if a dimension is not positive
     */
    public static function of(Size $size, float $topMm, float $bottomMm): self
    {
        if (min($topMm, $bottomMm) <= 0.0) {
            throw ShapeRefused::endMustBePositive(ShapeKind::Drumstick, min($topMm, $bottomMm));
        }

        return new self($size->positive(), $topMm, $bottomMm);
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Drumstick;
    }

    public function options(): array
    {
        return ['topMm' => $this->topMm, 'bottomMm' => $this->bottomMm];
    }

    public function profile(float $t): float
    {
        return TangentSpheres::profile($t, $this->size->heightMm, $this->bottomMm / 2, $this->topMm / 2);
    }

    public function thinnestMm(): float
    {
        return min($this->size->smallestMm(), $this->topMm, $this->bottomMm);
    }

    public function scaled(float $factor): self
    {
        return self::of($this->size->scaled($factor), $this->topMm * $factor, $this->bottomMm * $factor);
    }

    protected function resized(Size $size): self
    {
        return self::of($size, $this->topMm, $this->bottomMm);
    }
}
