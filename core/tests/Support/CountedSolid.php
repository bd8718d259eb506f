<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use Impa\Shape\Body;
use Impa\Shape\Loft;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Shape\Solid;

/** A shape that counts how often it is asked for its skin. */
final class CountedSolid implements Solid
{
    public int $asked = 0;

    public function __construct(private readonly Solid $solid)
    {
    }

    public function frontMm(float $x, float $y): float
    {
        $this->asked++;

        return $this->solid->frontMm($x, $y);
    }

    public function kind(): ShapeKind
    {
        return $this->solid->kind();
    }

    public function size(): Size
    {
        return $this->solid->size();
    }

    public function options(): array
    {
        return $this->solid->options();
    }

    public function volumeCm3(): float
    {
        return $this->solid->volumeCm3();
    }

    public function areaCm2(): float
    {
        return $this->solid->areaCm2();
    }

    public function middleOfMass(): array
    {
        return $this->solid->middleOfMass();
    }

    public function front(): array
    {
        return $this->solid->front();
    }

    public function side(): array
    {
        return $this->solid->side();
    }

    public function loft(): Loft
    {
        return $this->solid->loft();
    }

    public function scaled(float $factor): self
    {
        return new self($this->solid->scaled($factor));
    }

    public function within(float $mm): ?Body
    {
        return $this->solid->within($mm);
    }

    public function thinnestMm(): float
    {
        return $this->solid->thinnestMm();
    }
}
