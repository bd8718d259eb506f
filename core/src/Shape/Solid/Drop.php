<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

/** A ball drawn out to a blunt point: two tangent balls, the upper one small. Immutable. */
final readonly class Drop extends Stack
{
    /** The point's thickness as a share of the ball's (house choice). */
    public const POINT = 0.15;

    /** @throws ShapeRefused if a dimension is not positive */
    public static function of(Size $size): self
    {
        return new self($size->positive());
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Drop;
    }

    public function profile(float $t): float
    {
        $radius = $this->size->widthMm / 2;

        return TangentSpheres::profile($t, $this->size->heightMm, $radius, $radius * self::POINT);
    }

    protected function resized(Size $size): self
    {
        return self::of($size);
    }
}
