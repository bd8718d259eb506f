<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

/** Half a ball or oval on its flat base: p = sqrt(1 - t^2). Immutable. */
final readonly class Dome extends Stack
{
    /** @throws ShapeRefused if a dimension is not positive */
    public static function of(Size $size): self
    {
        return new self($size->positive());
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Dome;
    }

    public function profile(float $t): float
    {
        return sqrt(max(0.0, 1 - $t * $t));
    }

    protected function resized(Size $size): self
    {
        return self::of($size);
    }
}
