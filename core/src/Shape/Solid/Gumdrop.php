<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

/**
 * A drum with half a ball on top, on a flat base: ghosts, bells, fingers, bodies without a neck. As wide as it is, the ball takes half
 * of that from the height; what is no higher than that is a dome. Immutable.
 */
final readonly class Gumdrop extends Stack
{
    /** @throws ShapeRefused if a dimension is not positive */
    public static function of(Size $size): self
    {
        return new self($size->positive());
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Gumdrop;
    }

    public function profile(float $t): float
    {
        // The share of the height up to which it is straight.
        $straight = max(0.0, 1 - $this->size->widthMm / 2 / $this->size->heightMm);
        $up = max(0.0, ($t - $straight) / (1 - $straight));

        return sqrt(max(0.0, 1 - $up * $up));
    }

    protected function resized(Size $size): self
    {
        return self::of($size);
    }
}
