<?php

declare(strict_types=1);

namespace Impa\Shape;

/**
 * A simple wool shape, standing in its own frame: origin in the middle of its box,
 * x to the right, y up, z towards the viewer, all in mm.
 */
interface Solid
{
    public function kind(): ShapeKind;

    public function size(): Size;

    /**
     * What shapes it beyond its three dimensions, by the document's own names, the usual filled in.
     *
     * @return array<string, float>
     */
    public function options(): array;

    public function volumeCm3(): float;

    public function areaCm2(): float;

    /**
     * The middle of its mass, when it is felted evenly.
     *
     * @return array{float, float, float} mm
     */
    public function middleOfMass(): array;

    /**
     * The silhouette from the front as closed loops of [x, y] in mm; a second loop is a hole.
     *
     * @return non-empty-list<list<array{float, float}>>
     */
    public function front(): array;

    /**
     * The silhouette from the right as closed loops of [z, y] in mm.
     *
     * @return non-empty-list<list<array{float, float}>>
     */
    public function side(): array;

    /** The rings whose loft is the surface. */
    public function loft(): Loft;

    /**
     * How far the skin stands out from the picture plane at x, y in mm, alike to front and back;
     * NAN where the shape is not.
     */
    public function frontMm(float $x, float $y): float;

    /** The same shape, every length times the factor (> 0). */
    public function scaled(float $factor): self;

    /**
     * The same shape, every dimension less so many mm (the inside under a cover).
     *
     * @throws ShapeRefused if a dimension falls to 0
     */
    public function shrunk(float $mm): self;

    /** The smallest of the dimensions that shrinking takes from, in mm. */
    public function thinnestMm(): float;
}
