<?php

declare(strict_types=1);

namespace Impa\Shape;

/** A straight roll with round ends: two equal tangent balls. Immutable. */
final readonly class Sausage extends Stack
{
    /** @throws ShapeRefused if a dimension is not positive */
    public static function of(Size $size): self
    {
        return new self($size->positive());
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Sausage;
    }

    public function profile(float $t): float
    {
        $radius = $this->size->widthMm / 2;

        return TangentSpheres::profile($t, $this->size->heightMm, $radius, $radius);
    }

    protected function resized(Size $size): self
    {
        return self::of($size);
    }
}
