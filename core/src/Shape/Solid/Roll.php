<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Geometry\Box;
use Impa\Shape\Body;
use Impa\Shape\Loft;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;
use Impa\Shape\Within;
use WeakMap;

/**
 * A roll with round ends, bent evenly to the right in the picture plane: arc and cord. Width and depth are
 * its thickness, height is its length along the middle line, tip to tip, so that it is the sausage a
 * felter rolls before bending it. Volume and area are the sausage's, by Pappus. Immutable.
 */
final readonly class Roll implements Solid
{
    private const STEPS = 24;

    private const TUBE = 16;

    /** Length of the part between the round ends, which is what bends. */
    private float $bentMm;

    /** Of the bend's middle line, whose middle lies so far to the right; endless where it is straight. */
    private float $radius;

    private float $centreX;

    /** @var array{float, float, float, float} where the bend ends at the top: point and normal; at the bottom it is mirrored */
    private array $end;

    private function __construct(
        private ShapeKind $kind,
        private Size $size,
        private float $bendDeg,
        private Sausage $straight,
    ) {
        $this->bentMm = max(0.0, $size->heightMm - $size->widthMm);
        $bend = deg2rad($bendDeg);
        $this->radius = $bend < 1e-6 || $this->bentMm <= 0.0 ? INF : $this->bentMm / $bend;
        // From the middle of the bend to its tips: half of that centres it on its box.
        $this->centreX = $this->radius * (1 + cos($bend / 2)) / 2;
        $this->end = $this->middleLineAt(($size->heightMm + $this->bentMm) / 2);
    }

    /**
     * @param  float  $bendDeg  0 (straight) to 330, between the two ends' directions
     *
     * @throws ShapeRefused if a dimension is not positive or the bend is out of range
     */
    public static function of(ShapeKind $kind, Size $size, float $bendDeg): self
    {
        if ($bendDeg < 0.0 || $bendDeg > 330.0) {
            throw ShapeRefused::bendOutOfRange($bendDeg);
        }

        return new self($kind, $size->positive(), $bendDeg, Sausage::of($size));
    }

    public function kind(): ShapeKind
    {
        return $this->kind;
    }

    public function size(): Size
    {
        return $this->size;
    }

    public function thinnestMm(): float
    {
        return $this->size->smallestMm();
    }

    public function options(): array
    {
        return ['bendDeg' => $this->bendDeg];
    }

    public function volumeCm3(): float
    {
        return $this->straight->volumeCm3();
    }

    public function areaCm2(): float
    {
        return $this->straight->areaCm2();
    }

    public function middleOfMass(): array
    {
        $mass = $moment = 0.0;
        for ($i = 0; $i < 64; $i++) {
            $along = ($i + 0.5) / 64;
            $share = $this->straight->profile($along) ** 2;
            [$x, , $nx] = $this->middleLineAt($along * $this->size->heightMm);
            // Of a bent slice there is more outside the bend than within it: its middle lies so far to the left (its second moment).
            $out = abs($along - 0.5) * $this->size->heightMm < $this->bentMm / 2
                ? $share * $this->size->widthMm ** 2 / 16 / $this->radius
                : 0.0;
            $mass += $share;
            $moment += $share * ($x - $out * $nx);
        }

        return [$moment / $mass, 0.0, 0.0];
    }

    /** Memoised: everything that looks at a piece asks for it. */
    public function front(): array
    {
        static $known = null;
        $known ??= new WeakMap;

        return $known[$this] ??= [$this->outline()];
    }

    /** @return list<array{float, float}> */
    private function outline(): array
    {
        $left = $right = [];
        foreach ($this->stations() as [$along, $share]) {
            [$x, $y, $nx, $ny] = $this->middleLineAt($along);
            $half = $this->size->widthMm / 2 * $share;
            $right[] = [$x + $half * $nx, $y + $half * $ny];
            $left[] = [$x - $half * $nx, $y - $half * $ny];
        }

        return [...$right, ...array_reverse($left)];
    }

    public function side(): array
    {
        return Sausage::of(Size::of($this->size->depthMm, Box::around($this->front()[0])->height(), $this->size->depthMm))->front();
    }

    public function loft(): Loft
    {
        $step = 2 * M_PI / self::TUBE;
        $stretch = sqrt($step / sin($step));
        $rings = [];
        foreach ($this->stations() as [$along, $share]) {
            [$x, $y, $nx, $ny] = $this->middleLineAt($along);
            $ring = [];
            for ($j = 0; $j < self::TUBE; $j++) {
                $out = $this->size->widthMm / 2 * $share * $stretch * cos($j * $step);
                array_push($ring, $x + $out * $nx, $y + $out * $ny, -$this->size->depthMm / 2 * $share * $stretch * sin($j * $step));
            }
            $rings[] = $ring;
        }

        return Loft::of($rings);
    }

    public function frontMm(float $x, float $y): float
    {
        if ($this->radius === INF) {
            return $this->straight->frontMm($x, $y);
        }
        // The bend's middle lies at the right; unrolled, the point is so far off the middle line and so far along it.
        $along = atan2($y, $this->centreX - $x) * $this->radius;
        if (abs($along) <= $this->bentMm / 2) {
            return $this->straight->frontMm(hypot($x - $this->centreX, $y) - $this->radius, $along);
        }
        [$ex, $ey, $nx, $ny] = $this->end;
        [$dx, $dy] = [$x - $ex, abs($y) - $ey];

        return $this->straight->frontMm($dx * $nx + $dy * $ny, $this->bentMm / 2 + abs($dy * $nx - $dx * $ny));
    }

    public function scaled(float $factor): self
    {
        return self::of($this->kind, $this->size->scaled($factor), $this->bendDeg);
    }

    public function within(float $mm): ?Body
    {
        $size = $this->size->less(2 * $mm);
        $straight = $this->straight->within($mm);
        if ($straight === null || $size->smallestMm() <= 0.0) {
            return null;
        }
        $bent = self::of($this->kind, $size, $this->bendDeg);

        // A round roll stays one; of a flat one the volume is the straight roll's, by Pappus.
        return $size->widthMm === $size->depthMm && $this->bentMm > 0.0 ? $bent : Within::formed($bent, $straight->volumeCm3());
    }

    /** @return list<array{float, float}> mm along the middle line from the lower tip, and the share of the full thickness there */
    private function stations(): array
    {
        $straight = $this->straight;
        $length = $this->size->heightMm;
        $cap = min($this->size->widthMm, $length) / 2;
        $stations = [];
        for ($i = 0; $i <= 6; $i++) {
            $along = $cap * (1 - cos(M_PI / 2 * $i / 6));
            $stations[] = [$along, $straight->profile($along / $length)];
        }
        for ($i = 1; $i < self::STEPS && $this->bentMm > 0.0; $i++) {
            $stations[] = [$cap + $this->bentMm * $i / self::STEPS, 1.0];
        }
        for ($i = $this->bentMm > 0.0 ? 6 : 5; $i >= 0; $i--) {
            $along = $length - $cap * (1 - cos(M_PI / 2 * $i / 6));
            $stations[] = [$along, $straight->profile($along / $length)];
        }

        return $stations;
    }

    /** @return array{float, float, float, float} point and normal (to the right) on the middle line, centred on its box */
    private function middleLineAt(float $along): array
    {
        $s = $along - $this->size->heightMm / 2;
        if ($this->radius === INF) {
            return [0.0, $s, 1.0, 0.0];
        }
        $inside = max(-$this->bentMm / 2, min($this->bentMm / 2, $s));
        $angle = $inside / $this->radius;
        $beyond = $s - $inside;

        return [
            $this->centreX - $this->radius * cos($angle) + $beyond * sin($angle),
            $this->radius * sin($angle) + $beyond * cos($angle),
            cos($angle),
            -sin($angle),
        ];
    }
}
