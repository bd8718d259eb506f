<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Figure\Placement;
use Impa\Figure\Side;

/**
 * The surface of a piece as seen from one side, measured from the middle of the piece: how far it stands out
 * at each point, and where its outermost line (the crown) and its edge lie. Immutable.
 */
final readonly class Surface
{
    /** Halvings of the search for the skin: 2^-24 of the piece's size. */
    private const HALVINGS = 24;

    /** Steps of the first search, from outside in. */
    private const STEPS = 48;

    private function __construct(
        private Placement $piece,
        private Side $side,
        private float $reachMm,
        private bool $plain,
    ) {
    }

    public static function of(Placement $piece, Side $side = Side::Front): self
    {
        $size = $piece->part->solid->size();

        // Seen straight from the front or back, the shape knows its own skin; else it is searched for.
        $plain = $piece->turn->keepsFront() && in_array($side, [Side::Front, Side::Back], true);

        return new self($piece, $side, hypot($size->widthMm, $size->heightMm) / 2 + $size->depthMm, $plain);
    }

    /** How far the skin stands towards the viewer at x, y (mm from the middle); NAN off the piece. */
    public function heightMm(float $x, float $y): float
    {
        if ($this->plain) {
            [$px, $py] = $this->piece->turn->undo($this->side === Side::Back ? -$x : $x, $y, 0.0);

            return $this->piece->part->solid->frontMm($this->piece->isTwin ? -$px : $px, $py);
        }
        $out = $this->reachMm;
        for ($i = 0; $i <= self::STEPS; $i++) {
            $z = $this->reachMm * (1 - 2 * $i / self::STEPS);
            if ($this->inside($x, $y, $z)) {
                return $this->between($x, $y, $z, $out);
            }
            $out = $z;
        }

        return NAN;
    }

    /** Whether the piece is seen at x, y at all. */
    public function has(float $x, float $y): bool
    {
        return ! is_nan($this->heightMm($x, $y));
    }

    /** y of the crown: the highest point of the piece on its middle line, seen from this side. */
    public function crownMm(): float
    {
        $low = 0.0;
        $high = $this->reachMm;
        if (! $this->has(0.0, $low)) {
            return 0.0;
        }
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $this->has(0.0, $middle) ? [$middle, $high] : [$low, $middle];
        }

        return $low;
    }

    private function inside(float $right, float $up, float $towards): bool
    {
        return $this->piece->contains(...$this->side->place($right, $up, $towards));
    }

    private function between(float $x, float $y, float $in, float $out): float
    {
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($in + $out) / 2;
            [$in, $out] = $this->inside($x, $y, $middle) ? [$middle, $out] : [$in, $middle];
        }

        return ($in + $out) / 2;
    }
}
