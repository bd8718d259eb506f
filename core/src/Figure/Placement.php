<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Geometry\Turn;
use Impa\Shape\Solid\Stack;

/** One piece of a part where it stands in the figure: the piece itself, or its mirrored twin at -x. Immutable. */
final readonly class Placement
{
    /** @param  Vec3  $at */
    private function __construct(public Part $part, public array $at, public Turn $turn, public bool $isTwin)
    {
    }

    public static function of(Part $part): self
    {
        return new self($part, $part->stand->at, $part->stand->turn, false);
    }

    public static function twinOf(Part $part): self
    {
        return new self($part, [-$part->stand->at[0], $part->stand->at[1], $part->stand->at[2]], $part->stand->turn->mirrored(), true);
    }

    /**
     * The same piece elsewhere.
     *
     * @param  Vec3  $by
     */
    public function moved(array $by): self
    {
        return new self($this->part, [$this->at[0] + $by[0], $this->at[1] + $by[1], $this->at[2] + $by[2]], $this->turn, $this->isTwin);
    }

    /**
     * A point of the shape's own frame, in the figure's frame.
     *
     * @return Vec3
     */
    public function place(float $x, float $y, float $z): array
    {
        [$px, $py, $pz] = $this->turn->apply($this->isTwin ? -$x : $x, $y, $z);

        return [$px + $this->at[0], $py + $this->at[1], $pz + $this->at[2]];
    }

    /**
     * From where to where the piece stands, in mm above the figure's origin: each ellipse of a stack, or each edge of a flat piece, at
     * its utmost. A twin stands alike.
     *
     * @return array{float, float} its foot and its top
     */
    public function levelsMm(): array
    {
        [$x, $y, $z] = $this->own(0.0, 1.0, 0.0);
        $size = $this->part->solid->size();
        $isStack = $this->part->solid instanceof Stack;
        [$out, $deep] = [hypot($x, ($z * $size->depthMm) / $size->widthMm), (abs($z) * $size->depthMm) / 2];
        $low = $high = 0.0;
        foreach ($this->part->solid->front()[0] as [$px, $py]) {
            $middle = $isStack ? $py * $y : $py * $y + $px * $x;
            $reach = $isStack ? abs($px) * $out : $deep;
            $low = min($low, $middle - $reach);
            $high = max($high, $middle + $reach);
        }

        return [$this->at[1] + $low, $this->at[1] + $high];
    }

    /**
     * The rings of the shape, placed.
     *
     * @return list<list<Vec3>>
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

    /** Whether a point of the figure lies within the piece. */
    public function holds(float $x, float $y, float $z): bool
    {
        [$right, $up, $towards] = $this->own($x - $this->at[0], $y - $this->at[1], $z - $this->at[2]);

        return abs($towards) <= $this->part->solid->frontMm($right, $up);
    }

    /**
     * A point, measured from the middle of the piece along the figure's axes, in the shape's own frame.
     *
     * @return Vec3
     */
    public function own(float $x, float $y, float $z): array
    {
        [$px, $py, $pz] = $this->turn->undo($x, $y, $z);

        return [$this->isTwin ? -$px : $px, $py, $pz];
    }
}
