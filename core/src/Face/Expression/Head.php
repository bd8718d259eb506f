<?php

declare(strict_types=1);

namespace Impa\Face\Expression;

use Impa\Geometry\Bisection;
use Impa\Surface\Surface;

/** A head to put an expression on: places on it as shares of its own size, so that a face scales with it. Immutable. */
final readonly class Head
{
    private function __construct(private Surface $surface, private float $crownMm, private float $footMm)
    {
    }

    public static function of(Surface $surface): self
    {
        return new self($surface, $surface->crownMm(), -Bisection::of(static fn (float $mm): bool => $surface->has(0.0, -$mm)));
    }

    public function heightMm(): float
    {
        return max(1.0, $this->crownMm - $this->footMm);
    }

    /** y at a share of the height below the crown. */
    public function y(float $down): float
    {
        return $this->crownMm - $down * $this->heightMm();
    }

    /** x at a share of the half width of that level. */
    public function x(float $out, float $yMm): float
    {
        return $out * $this->halfMm($yMm);
    }

    /** Half the width at y. */
    public function halfMm(float $yMm): float
    {
        return Bisection::of(fn (float $mm): bool => $this->surface->has($mm, $yMm));
    }

    /**
     * A length as a share of the head: of the mean of its half width at its middle and half its height, so that a flat
     * head's eyes stay round.
     */
    public function mm(float $share): float
    {
        return ($share * ($this->halfMm(($this->crownMm + $this->footMm) / 2) + $this->heightMm() / 2)) / 2;
    }
}
