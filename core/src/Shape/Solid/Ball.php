<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

/** A ball or an even oval: p = sqrt(1 - u^2), u = 2t - 1. Immutable. */
final readonly class Ball extends Stack
{
    /** @throws ShapeRefused if a dimension is not positive */
    public static function of(Size $size): self
    {
        return new self($size->positive());
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Ball;
    }

    public function profile(float $t): float
    {
        return 2 * sqrt(max(0.0, $t * (1 - $t)));
    }

    protected function resized(Size $size): self
    {
        return self::of($size);
    }
}
