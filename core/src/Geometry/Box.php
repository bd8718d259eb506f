<?php

declare(strict_types=1);

namespace Impa\Geometry;

/** The upright box around points of a plane; empty points have an empty box at the origin. Immutable. */
final readonly class Box
{
    private function __construct(
        public float $left,
        public float $right,
        public float $low,
        public float $high,
    ) {
    }

    /** @param  iterable<array{float, float}>  $points */
    public static function around(iterable $points): self
    {
        $left = $low = INF;
        $right = $high = -INF;
        foreach ($points as [$x, $y]) {
            $left = min($left, $x);
            $right = max($right, $x);
            $low = min($low, $y);
            $high = max($high, $y);
        }

        return $left <= $right ? new self($left, $right, $low, $high) : new self(0.0, 0.0, 0.0, 0.0);
    }

    /** The same box, so much larger on every side. */
    public function grown(float $by): self
    {
        return new self($this->left - $by, $this->right + $by, $this->low - $by, $this->high + $by);
    }

    public function width(): float
    {
        return $this->right - $this->left;
    }

    public function height(): float
    {
        return $this->high - $this->low;
    }

    public function has(float $x, float $y): bool
    {
        return $x >= $this->left && $x <= $this->right && $y >= $this->low && $y <= $this->high;
    }

    /** Whether all of the other box lies in it. */
    public function holds(self $other): bool
    {
        return $other->left >= $this->left && $other->right <= $this->right && $other->low >= $this->low && $other->high <= $this->high;
    }

    /** Whether the two have a point in common. */
    public function meets(self $other): bool
    {
        return $other->left <= $this->right && $other->right >= $this->left && $other->low <= $this->high && $other->high >= $this->low;
    }

    /** What both have in common; an empty box at the origin where they have nothing. */
    public function common(self $other): self
    {
        $left = max($this->left, $other->left);
        $right = min($this->right, $other->right);
        $low = max($this->low, $other->low);
        $high = min($this->high, $other->high);

        return $left <= $right && $low <= $high ? new self($left, $right, $low, $high) : new self(0.0, 0.0, 0.0, 0.0);
    }

    /** @return array{float, float} */
    public function middle(): array
    {
        return [($this->left + $this->right) / 2, ($this->low + $this->high) / 2];
    }
}
