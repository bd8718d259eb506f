<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;

/**
 * A cone without its point, its rims rounded: pots, skirts, hats, lamps. The hull of two round discs with half-round rims, so that
 * each end is as wide as it says. Immutable.
 */
final readonly class Cup extends Stack
{
    /** The upper and lower end where they are widest, and their rims' radius, as shares of the wider end's radius. */
    private float $top;

    private float $bottom;

    private float $rim;

    /** The height, and where the slanting side begins and ends, in the same unit. */
    private float $height;

    private float $sideLow;

    private float $sideHigh;

    private function __construct(
        Size $size,
        private float $topMm,
        private float $bottomMm,
        private float $edgeMm,
    ) {
        parent::__construct($size);
        $wider = max($topMm, $bottomMm);
        [$this->top, $this->bottom] = [$topMm / $wider, $bottomMm / $wider];
        $this->height = 2 * $size->heightMm / $size->widthMm;
        $this->rim = min(2 * $edgeMm / $size->widthMm, $this->top, $this->bottom, $this->height / 2);
        $slant = hypot($this->top - $this->bottom, $this->height - 2 * $this->rim);
        // How far the side's normal points up.
        $up = $slant > 0.0 ? ($this->bottom - $this->top) / $slant : 0.0;
        $this->sideLow = $this->rim * (1 + $up);
        $this->sideHigh = $this->height - $this->rim * (1 - $up);
    }

    /**
     * @param  float  $topMm  thickness of the upper end, seen from the front, > 0
     * @param  float  $bottomMm  thickness of the lower end, > 0
     * @param  float  $edgeMm  radius of both rims, >= 0; at most what the ends and the height have room for
     *
     * @throws ShapeRefused if a dimension is not positive, or a radius negative
     */
    public static function of(Size $size, float $topMm, float $bottomMm, float $edgeMm): self
    {
        if (min($topMm, $bottomMm) <= 0.0) {
            throw ShapeRefused::endMustBePositive(ShapeKind::Cup, min($topMm, $bottomMm));
        }
        if ($edgeMm < 0.0) {
            throw ShapeRefused::radiusMustNotBeNegative($edgeMm);
        }

        return new self($size->positive(), $topMm, $bottomMm, $edgeMm);
    }

    public function kind(): ShapeKind
    {
        return ShapeKind::Cup;
    }

    public function options(): array
    {
        return ['topMm' => $this->topMm, 'bottomMm' => $this->bottomMm, 'edgeMm' => $this->edgeMm];
    }

    public function profile(float $t): float
    {
        $y = $t * $this->height;
        if ($y < $this->sideLow || $this->sideHigh <= $this->sideLow && $this->bottom > $this->top) {
            return $this->bottom - $this->rim + $this->round($y);
        }
        if ($y > $this->sideHigh || $this->sideHigh <= $this->sideLow) {
            return $this->top - $this->rim + $this->round($this->height - $y);
        }
        $low = $this->bottom - $this->rim + $this->round($this->sideLow);
        $high = $this->top - $this->rim + $this->round($this->height - $this->sideHigh);

        return $low + ($high - $low) * ($y - $this->sideLow) / ($this->sideHigh - $this->sideLow);
    }

    public function thinnestMm(): float
    {
        return min($this->size->smallestMm(), $this->topMm, $this->bottomMm);
    }

    public function scaled(float $factor): self
    {
        return self::of($this->size->scaled($factor), $this->topMm * $factor, $this->bottomMm * $factor, $this->edgeMm * $factor);
    }

    protected function resized(Size $size): self
    {
        return self::of($size, $this->topMm, $this->bottomMm, $this->edgeMm);
    }

    /** How far a rim stands out, so far from its flat end. */
    private function round(float $fromEnd): float
    {
        return sqrt(max(0.0, $fromEnd * (2 * $this->rim - $fromEnd)));
    }
}
