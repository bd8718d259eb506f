<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

/** A rounded cylinder: a superellipse, p = (1 - |u|^5)^(1/5). Immutable. */
final readonly class Drum extends Stack
{
    /** Between 4 (nearly an oval) and 6 (nearly a can); docs/trade.md, Shapes. */
    public const EXPONENT = 5;

    /** @throws ShapeRefused if a dimension is not positive */
    public static function of(Size $size): self
    {
        return new self($size->positive());
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Drum;
    }

    public function profile(float $t): float
    {
        return max(0.0, 1 - abs(2 * $t - 1) ** self::EXPONENT) ** (1 / self::EXPONENT);
    }

    protected function resized(Size $size): self
    {
        return self::of($size);
    }
}
