<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

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
        $capMm = min($this->size->widthMm, $this->size->heightMm) / 2;
        $fromEnd = min($t, 1 - $t) * $this->size->heightMm;

        return $fromEnd >= $capMm ? 1.0 : sqrt(max(0.0, $fromEnd * (2 * $capMm - $fromEnd))) / $capMm;
    }

    protected function resized(Size $size): self
    {
        return self::of($size);
    }
}
