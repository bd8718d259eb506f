<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

use Impa\Figure\Term\Keep;
use Impa\Figure\Term\Side;

/** Where a detail lies on its part: in mm as seen from `side`, from the middle of the part, y up, whatever the part's own turn. Immutable. */
final readonly class Lie
{
    /**
     * @param  int  $layer  what lies on what: a higher one lies on a lower one
     * @param  bool  $mirror  whether it lies at -x as well
     * @param  Keep  $keep  what the felter chose where it would slide round the edge of its part
     */
    public function __construct(
        public Side $side,
        public float $xMm,
        public float $yMm,
        public float $turnDeg,
        public int $layer,
        public bool $mirror,
        public Keep $keep = Keep::Unsaid,
    ) {
    }

    /**
     * Points that are turned and laid there.
     *
     * @template T of list<array{float, float}>
     *
     * @param  T  $points
     * @return (T is non-empty-list<array{float, float}> ? non-empty-list<array{float, float}> : list<array{float, float}>)
     */
    public function placed(array $points): array
    {
        [$along, $up] = [cos(deg2rad($this->turnDeg)), sin(deg2rad($this->turnDeg))];
        $placed = [];
        foreach ($points as [$x, $y]) {
            $placed[] = [$this->xMm + $x * $along - $y * $up, $this->yMm + $x * $up + $y * $along];
        }

        return $placed;
    }
}
