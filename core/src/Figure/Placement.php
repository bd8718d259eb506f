<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Shape\Turn;

/** One piece of a part where it stands in the figure: the piece itself, or its mirrored twin at -x. Immutable. */
final readonly class Placement
{
    /** @param  array{float, float, float}  $at */
    private function __construct(
        public Part $part,
        public array $at,
        public Turn $turn,
        public bool $isTwin,
    ) {
    }

    public static function of(Part $part): self
    {
        return new self($part, $part->at, $part->turn, false);
    }

    public static function twinOf(Part $part): self
    {
        return new self($part, [-$part->at[0], $part->at[1], $part->at[2]], $part->turn->mirrored(), true);
    }

    /**
     * A point of the shape's own frame, in the figure's frame.
     *
     * @return array{float, float, float}
     */
    public function place(float $x, float $y, float $z): array
    {
        [$px, $py, $pz] = $this->turn->apply($this->isTwin ? -$x : $x, $y, $z);

        return [$px + $this->at[0], $py + $this->at[1], $pz + $this->at[2]];
    }

    /**
     * The rings of the shape, placed.
     *
     * @return list<list<array{float, float, float}>>
     */
    public function rings(): array
    {
        $rings = [];
        foreach ($this->part->solid->loft()->rings as $flat) {
            $ring = [];
            for ($i = 0, $n = count($flat); $i < $n; $i += 3) {
                $ring[] = $this->place($flat[$i], $flat[$i + 1], $flat[$i + 2]);
            }
            $rings[] = $ring;
        }

        return $rings;
    }

    /** Whether a point, measured from the middle of the piece along the figure's axes, lies inside it. */
    public function contains(float $x, float $y, float $z): bool
    {
        [$px, $py, $pz] = $this->turn->undo($x, $y, $z);

        return abs($pz) <= $this->part->solid->frontMm($this->isTwin ? -$px : $px, $py);
    }
}
