<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

/** A connected patch of one flat colour. Pixel units. */
final class Region
{
    /** A region is surrounded by another along such a share of its edge. */
    public const SURROUNDED = 0.9;

    public int $area = 0;

    public int $edge = 0;

    public int $minX = PHP_INT_MAX;

    public int $minY = PHP_INT_MAX;

    public int $maxX = -1;

    public int $maxY = -1;

    /** @var array<int, int> length of contact by region index; -1 is the ground */
    public array $contact = [];

    public function __construct(
        public readonly int $index,
        public readonly int $label,
    ) {
    }

    public function add(int $x, int $y): void
    {
        $this->area++;
        $this->minX = $x < $this->minX ? $x : $this->minX;
        $this->maxX = $x > $this->maxX ? $x : $this->maxX;
        $this->minY = $y < $this->minY ? $y : $this->minY;
        $this->maxY = $y > $this->maxY ? $y : $this->maxY;
    }

    /** One pixel edge shared with another region, or with the ground (-1). */
    public function meet(int $other): void
    {
        $this->edge++;
        $this->contact[$other] = ($this->contact[$other] ?? 0) + 1;
    }

    public function widthPx(): int
    {
        return $this->maxX - $this->minX + 1;
    }

    public function heightPx(): int
    {
        return $this->maxY - $this->minY + 1;
    }

    /** Mean width of a stroke that has this area and edge. */
    public function strokePx(): float
    {
        return 2 * $this->area / max(1, $this->edge);
    }

    public function touchesGround(): bool
    {
        return ($this->contact[-1] ?? 0) > 0;
    }

    /** The region it touches longest, or -1 where it touches none. */
    public function mainNeighbour(): int
    {
        $best = -1;
        $longest = 0;
        foreach ($this->contact as $other => $length) {
            if ($other >= 0 && $length > $longest) {
                [$best, $longest] = [$other, $length];
            }
        }

        return $best;
    }

    /** The region that surrounds it, or -1. */
    public function surroundedBy(): int
    {
        $main = $this->mainNeighbour();

        return $main >= 0 && $this->contact[$main] >= self::SURROUNDED * $this->edge ? $main : -1;
    }
}
