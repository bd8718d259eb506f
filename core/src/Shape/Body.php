<?php

declare(strict_types=1);

namespace Impa\Shape;

/** What has a form in a frame of its own: x to the right, y up, z towards the viewer, all in mm. */
interface Body
{
    public function size(): Size;

    public function volumeCm3(): float;

    /**
     * The middle of its mass, when it is felted evenly.
     *
     * @return Vec3 mm
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

    /**
     * How far the skin stands out from the picture plane at x, y in mm, alike to front and back;
     * NAN where the shape is not.
     */
    public function frontMm(float $x, float $y): float;

    /** The rings whose loft is the surface. */
    public function loft(): Loft;
}
