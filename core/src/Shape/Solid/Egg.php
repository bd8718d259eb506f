<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

/** An egg: p = sqrt(1 - u^2) (1 - k u), scaled so that max p = 1. Immutable. */
final readonly class Egg extends Stack
{
    private function __construct(
        Size $size,
        private float $taper,
        private float $greatest,
    ) {
        parent::__construct($size);
    }

    /**
     * @param  float  $taper  -0.6 (narrow foot) to 0.6 (narrow head)
     *
     * @throws ShapeRefused if a dimension is not positive or the taper is out of range
     */
    public static function of(Size $size, float $taper = 0.2): self
    {
        if (abs($taper) > 0.6) {
            throw ShapeRefused::taperOutOfRange($taper);
        }

        return new self($size->positive(), $taper, self::greatest($taper));
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Egg;
    }

    public function options(): array
    {
        return ['taper' => $this->taper];
    }

    public function profile(float $t): float
    {
        $u = 2 * $t - 1;

        return sqrt(max(0.0, 1 - $u * $u)) * (1 - $this->taper * $u) / $this->greatest;
    }

    protected function resized(Size $size): self
    {
        return self::of($size, $this->taper);
    }

    /** The greatest value of the raw profile, where its derivative 2ku^2 - u - k is 0. */
    private static function greatest(float $k): float
    {
        if (abs($k) < 1e-9) {
            return 1.0;
        }
        $u = (1 - sqrt(1 + 8 * $k * $k)) / (4 * $k);

        return sqrt(1 - $u * $u) * (1 - $k * $u);
    }
}
