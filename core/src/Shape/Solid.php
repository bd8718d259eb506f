<?php

declare(strict_types=1);

namespace Impa\Shape;

/**
 * A simple wool shape, standing in its own frame: origin in the middle of its box,
 * x to the right, y up, z towards the viewer, all in mm.
 */
interface Solid extends Body
{
    public function kind(): ShapeKind;

    /**
     * What shapes it beyond its three dimensions, by the document's own names, the usual filled in.
     *
     * @return array<string, float>
     */
    public function options(): array;

    public function areaCm2(): float;

    /** The same shape, every length times the factor (> 0). */
    public function scaled(float $factor): self;

    /**
     * What lies so deep within: the points that are at least so far from its skin (the inner parallel body), in the same frame. None
     * where nothing does.
     *
     * @param  float  $mm  0 or more
     */
    public function within(float $mm): ?Body;

    /** The smallest of the dimensions that a needle goes through, in mm. */
    public function thinnestMm(): float;
}
