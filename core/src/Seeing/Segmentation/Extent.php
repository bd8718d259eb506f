<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

/** The pixel box around some regions. Immutable. */
final readonly class Extent
{
    private function __construct(
        public int $minX,
        public int $minY,
        public int $maxX,
        public int $maxY,
    ) {
    }

    /** @param  iterable<Region>  $regions at least one */
    public static function of(iterable $regions): self
    {
        $minX = $minY = PHP_INT_MAX;
        $maxX = $maxY = -1;
        foreach ($regions as $region) {
            $minX = min($minX, $region->minX);
            $minY = min($minY, $region->minY);
            $maxX = max($maxX, $region->maxX);
            $maxY = max($maxY, $region->maxY);
        }

        return new self($minX, $minY, $maxX, $maxY);
    }

    public function heightPx(): int
    {
        return $this->maxY - $this->minY + 1;
    }

    /** x of its middle. */
    public function middleX(): float
    {
        return ($this->minX + $this->maxX + 1) / 2;
    }
}
