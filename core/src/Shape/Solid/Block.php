<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\Body;
use Impa\Shape\Loft;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;

/**
 * A box with its corners and edges rounded: television heads, bricks, books, loaves. Seen from the front it is a rectangle
 * with round corners; towards the front and back face that rectangle draws in as the edge rounds (a parallel curve, so that
 * from the side it is a rectangle with round corners as well). Immutable.
 */
final readonly class Block implements Solid
{
    /** Steps of the rounding for the integrals: enough for 0.01 % of the closed forms. */
    private const STEPS = 32;

    /** Points of a round corner, and rings of a round edge, that are drawn. */
    private const CORNER_POINTS = 8;

    private const EDGE_RINGS = 5;

    private function __construct(
        private Size $size,
        private float $cornerMm,
        private float $edgeMm,
    ) {
    }

    /**
     * @param  float  $cornerMm  radius of the four corners seen from the front, >= 0; at most half of the shorter side
     * @param  float  $edgeMm  radius of the edges between the front, or back, and the sides, >= 0; at most half of the shortest
     *
     * @throws ShapeRefused if a dimension is not positive, or a radius negative
     */
    public static function of(Size $size, float $cornerMm, float $edgeMm): self
    {
        if (min($cornerMm, $edgeMm) < 0.0) {
            throw ShapeRefused::radiusMustNotBeNegative(min($cornerMm, $edgeMm));
        }

        return new self($size->positive(), $cornerMm, $edgeMm);
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Block;
    }

    public function size(): Size
    {
        return $this->size;
    }

    public function options(): array
    {
        return ['cornerMm' => $this->cornerMm, 'edgeMm' => $this->edgeMm];
    }

    public function volumeCm3(): float
    {
        $edge = $this->edge();
        $rounded = self::simpson(fn (float $a): float => $this->faceMm2($edge * (1 - cos($a))) * $edge * cos($a));

        return ($this->faceMm2(0.0) * ($this->size->depthMm - 2 * $edge) + 2 * $rounded) / 1000.0;
    }

    public function areaCm2(): float
    {
        $edge = $this->edge();
        $rounded = self::simpson(fn (float $a): float => $this->girthMm($edge * (1 - cos($a))) * $edge);

        return ($this->girthMm(0.0) * ($this->size->depthMm - 2 * $edge) + 2 * $rounded + 2 * $this->faceMm2($edge)) / 100.0;
    }

    public function middleOfMass(): array
    {
        return [0.0, 0.0, 0.0];
    }

    public function front(): array
    {
        return [self::rounded($this->size->widthMm, $this->size->heightMm, $this->corner())];
    }

    public function side(): array
    {
        return [self::rounded($this->size->depthMm, $this->size->heightMm, $this->edge())];
    }

    public function loft(): Loft
    {
        $edge = $this->edge();
        $front = [];
        for ($i = 0; $i <= self::EDGE_RINGS; $i++) {
            $a = M_PI / 2 * $i / self::EDGE_RINGS;
            $front[] = $this->ring($edge * (1 - cos($a)), $this->size->depthMm / 2 - $edge + $edge * sin($a));
        }
        $back = [];
        foreach (array_reverse($front) as $ring) {
            foreach ($ring as $k => $value) {
                $ring[$k] = $k % 3 === 2 ? -$value : $value;
            }
            $back[] = $ring;
        }

        return Loft::of($this->size->depthMm > 2 * $edge ? [...$back, ...$front] : [...array_slice($back, 0, -1), ...$front]);
    }

    public function frontMm(float $x, float $y): float
    {
        $corner = $this->corner();
        $edge = $this->edge();
        // The signed distance to the rectangle with round corners: how far inside the point lies.
        $dx = abs($x) - $this->size->widthMm / 2 + $corner;
        $dy = abs($y) - $this->size->heightMm / 2 + $corner;
        $inside = $corner - hypot(max(0.0, $dx), max(0.0, $dy)) - min(0.0, max($dx, $dy));
        if ($inside < 0.0) {
            return NAN;
        }
        $rise = $inside < $edge ? sqrt($inside * (2 * $edge - $inside)) : $edge;

        return $this->size->depthMm / 2 - $edge + $rise;
    }

    public function scaled(float $factor): self
    {
        return self::of($this->size->scaled($factor), $this->cornerMm * $factor, $this->edgeMm * $factor);
    }

    public function within(float $mm): ?Body
    {
        $size = $this->size->less(2 * $mm);

        return $size->smallestMm() > 0.0
            ? self::of($size, max(0.0, $this->cornerMm - $mm), max(0.0, $this->edgeMm - $mm))
            : null;
    }

    public function thinnestMm(): float
    {
        return $this->size->smallestMm();
    }

    private function corner(): float
    {
        return min($this->cornerMm, $this->size->widthMm / 2, $this->size->heightMm / 2);
    }

    private function edge(): float
    {
        return min($this->edgeMm, $this->size->smallestMm() / 2);
    }

    /** Area of the rectangle with round corners, drawn in by so many mm on every side. */
    private function faceMm2(float $drawnInMm): float
    {
        $corner = max(0.0, $this->corner() - $drawnInMm);

        return ($this->size->widthMm - 2 * $drawnInMm) * ($this->size->heightMm - 2 * $drawnInMm) - (4 - M_PI) * $corner ** 2;
    }

    /** Its perimeter. */
    private function girthMm(float $drawnInMm): float
    {
        $corner = max(0.0, $this->corner() - $drawnInMm);

        return 2 * ($this->size->widthMm + $this->size->heightMm - 4 * $drawnInMm) - (8 - 2 * M_PI) * $corner;
    }

    /** @return list<float> flat x, y, z of the front's outline, drawn in, at a depth */
    private function ring(float $drawnInMm, float $z): array
    {
        [$w, $h] = [$this->size->widthMm - 2 * $drawnInMm, $this->size->heightMm - 2 * $drawnInMm];
        $ring = [];
        foreach (self::rounded($w, $h, max(0.0, $this->corner() - $drawnInMm)) as [$x, $y]) {
            array_push($ring, $x, $y, $z);
        }

        return $ring;
    }

    /** @return list<array{float, float}> a rectangle with round corners, anticlockwise, always of as many points */
    private static function rounded(float $width, float $height, float $corner): array
    {
        $points = [];
        foreach ([[1, 1], [-1, 1], [-1, -1], [1, -1]] as $quarter => [$right, $up]) {
            $x = $right * ($width / 2 - $corner);
            $y = $up * ($height / 2 - $corner);
            for ($i = 0; $i <= self::CORNER_POINTS; $i++) {
                $a = M_PI / 2 * ($quarter + $i / self::CORNER_POINTS);
                $points[] = [$x + $corner * cos($a), $y + $corner * sin($a)];
            }
        }

        return $points;
    }

    /**
     * Over a quarter turn.
     *
     * @param  callable(float): float  $at
     */
    private static function simpson(callable $at): float
    {
        $step = M_PI / 2 / self::STEPS;
        $sum = $at(0.0) + $at(M_PI / 2);
        for ($i = 1; $i < self::STEPS; $i++) {
            $sum += ($i % 2 === 1 ? 4 : 2) * $at($i * $step);
        }

        return $sum * $step / 3;
    }
}
