<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

/** A cone on a flat base, its tip rounded by a small tangent ball. Immutable. */
final readonly class Cone extends Stack
{
    /** Radius of the rounded tip as a share of the base radius: about as sharp as wool goes (house choice). */
    public const TIP = 0.15;

    /** @throws ShapeRefused if a dimension is not positive */
    public static function of(Size $size): self
    {
        return new self($size->positive());
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Cone;
    }

    public function profile(float $t): float
    {
        $base = $this->size->widthMm / 2;
        $height = $this->size->heightMm;
        $tip = min(self::TIP * $base, $height / 2);
        $centre = $height - $tip;
        // The side leaves the base's rim and touches the tip ball; its normal leans by this angle.
        $lean = acos($tip / hypot($base, $centre)) - atan2($centre, $base);
        $y = $t * $height;
        if ($y > $centre + $tip * sin($lean)) {
            $fromTop = $height - $y;

            return sqrt(max(0.0, $fromTop * (2 * $tip - $fromTop))) / $base;
        }

        return 1 - $y * tan($lean) / $base;
    }

    protected function resized(Size $size): self
    {
        return self::of($size);
    }
}
