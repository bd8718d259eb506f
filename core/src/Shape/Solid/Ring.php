<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Geometry\Ellipse;
use Impa\Shape\Body;
use Impa\Shape\Loft;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;

/**
 * A roll closed to a ring in the picture plane: width and height are its outside, depth is the
 * thickness of the roll. Volume and area by Pappus along the middle line. Immutable.
 */
final readonly class Ring implements Solid
{
    private const AROUND = 40;

    private const TUBE = 12;

    private function __construct(private Size $size)
    {
    }

    /** @throws ShapeRefused if a dimension is not positive, or the roll is thicker than half the ring */
    public static function of(Size $size): self
    {
        $size->positive();
        $across = min($size->widthMm, $size->heightMm);

        return 2 * $size->depthMm <= $across ? new self($size) : throw ShapeRefused::tubeThickerThanRing($size->depthMm, $across);
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Ring;
    }

    public function size(): Size
    {
        return $this->size;
    }

    public function thinnestMm(): float
    {
        return $this->size->depthMm;
    }

    public function options(): array
    {
        return [];
    }

    public function volumeCm3(): float
    {
        return M_PI * ($this->size->depthMm / 2) ** 2 * $this->middleLineMm() / 1000.0;
    }

    public function areaCm2(): float
    {
        return M_PI * $this->size->depthMm * $this->middleLineMm() / 100.0;
    }

    public function middleOfMass(): array
    {
        return [0.0, 0.0, 0.0];
    }

    public function front(): array
    {
        $outer = $inner = [];
        $r = $this->size->depthMm / 2;
        for ($i = 0; $i < 48; $i++) {
            [$x, $y, $nx, $ny] = $this->middleLineAt(2 * M_PI * $i / 48);
            $outer[] = [$x + $r * $nx, $y + $r * $ny];
            $inner[] = [$x - $r * $nx, $y - $r * $ny];
        }

        return [$outer, array_reverse($inner)];
    }

    public function side(): array
    {
        return Sausage::of(Size::of($this->size->depthMm, $this->size->heightMm, $this->size->depthMm))->front();
    }

    public function loft(): Loft
    {
        // Both circles are drawn as polygons of the same area (see Stack).
        $step = 2 * M_PI / self::TUBE;
        $r = $this->size->depthMm / 2 * sqrt($step / sin($step));
        $rings = [];
        for ($i = 0; $i < self::AROUND; $i++) {
            [$x, $y, $nx, $ny] = $this->middleLineAt(2 * M_PI * $i / self::AROUND);
            $ring = [];
            for ($j = 0; $j < self::TUBE; $j++) {
                $out = $r * cos($j * $step);
                array_push($ring, $x + $out * $nx, $y + $out * $ny, -$r * sin($j * $step));
            }
            $rings[] = $ring;
        }

        return Loft::of($rings, closed: true);
    }

    public function frontMm(float $x, float $y): float
    {
        [$a, $b] = $this->halves();
        // Nearest point of the middle line, from the angle of the point on it and three steps of Newton.
        $angle = atan2($y * $a, $x * $b);
        for ($i = 0; $i < 3; $i++) {
            [$c, $s] = [cos($angle), sin($angle)];
            $slope = ($b * $b - $a * $a) * $s * $c + $x * $a * $s - $y * $b * $c;
            $curve = ($b * $b - $a * $a) * ($c * $c - $s * $s) + $x * $a * $c + $y * $b * $s;
            $angle -= abs($curve) > 1e-9 ? $slope / $curve : 0.0;
        }

        $square = ($this->size->depthMm / 2) ** 2 - ($x - $a * cos($angle)) ** 2 - ($y - $b * sin($angle)) ** 2;

        return $square >= 0.0 ? sqrt($square) : NAN;
    }

    public function scaled(float $factor): self
    {
        return self::of($this->size->scaled($factor));
    }

    public function within(float $mm): ?Body
    {
        return $this->size->depthMm > 2 * $mm ? self::of($this->size->less(2 * $mm)) : null;
    }

    private function middleLineMm(): float
    {
        return Ellipse::perimeter(...$this->halves());
    }

    /** @return array{float, float} half-axes of the middle line */
    private function halves(): array
    {
        return [($this->size->widthMm - $this->size->depthMm) / 2, ($this->size->heightMm - $this->size->depthMm) / 2];
    }

    /** @return array{float, float, float, float} point and outward normal */
    private function middleLineAt(float $angle): array
    {
        [$a, $b] = $this->halves();
        $length = hypot($b * cos($angle), $a * sin($angle));

        return [$a * cos($angle), $b * sin($angle), $b * cos($angle) / $length, $a * sin($angle) / $length];
    }
}
