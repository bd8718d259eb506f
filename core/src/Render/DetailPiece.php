<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Face\Surface;
use Impa\Figure\Detail;
use Impa\Figure\DetailKind;
use Impa\Figure\Placement;
use Impa\Figure\Side;
use Impa\Shape\Hull;

/** One piece of a detail where it lies on one piece of its part: itself or its twin. Immutable. */
final readonly class DetailPiece
{
    /** How far it is drawn proud of the skin, so that it is not swallowed by it. */
    private const PROUD_MM = 0.35;

    private function __construct(
        public Detail $detail,
        private Placement $on,
        private Side $side,
        private bool $isTwin,
    ) {
    }

    /**
     * Every piece of a detail on every piece of its part.
     *
     * @return list<self>
     */
    public static function all(Detail $detail, Placement $on): array
    {
        $side = $on->isTwin ? $detail->side->mirrored() : $detail->side;
        $pieces = [new self($detail, $on, $side, $on->isTwin)];
        if ($detail->mirror) {
            $pieces[] = new self($detail, $on, $side->mirrored(), ! $on->isTwin);
        }

        return $pieces;
    }

    /**
     * Its outline (a line: the outline of its stroke's pieces) seen from a side, from the middle of the part.
     *
     * @return list<list<array{float, float}>> filled one by one; empty where it is not seen
     */
    public function seenFrom(Side $from): array
    {
        if ($from === $this->side) {
            return array_map($this->mirrored(...), $this->strokes());
        }
        if ($this->detail->kind === DetailKind::Line) {
            return array_values(array_filter(array_map(fn (array $stroke): array => $this->lifted([$stroke], $from), $this->strokes())));
        }
        // A spot bulges with the skin under it, so its inner rings count as well.
        $hull = $this->lifted($this->rings(), $from);

        return $hull === [] ? [] : [$hull];
    }

    /**
     * The hull, seen from a side, of rings laid on the skin; empty where they face away or lie off the part.
     *
     * @param  list<non-empty-list<array{float, float}>>  $rings
     * @return list<array{float, float}>
     */
    private function lifted(array $rings, Side $from): array
    {
        $surface = Surface::of($this->on, $this->side);
        $seen = [];
        $towardsUs = 0.0;
        foreach ($rings as $ring) {
            foreach ($this->mirrored($ring) as [$u, $v]) {
                $height = $surface->heightMm($u, $v);
                if (! is_nan($height)) {
                    [$right, $up, $towards] = $from->see(...$this->side->place($u, $v, $height));
                    $seen[] = [$right, $up];
                    $towardsUs += $towards;
                }
            }
        }

        return count($seen) > 2 && $towardsUs > -1e-6 && $from !== $this->opposite() ? Hull::of($seen) : [];
    }

    private function opposite(): Side
    {
        return match ($this->side) {
            Side::Front => Side::Back,
            Side::Back => Side::Front,
            Side::Left => Side::Right,
            Side::Right => Side::Left,
            Side::Top => Side::Under,
            Side::Under => Side::Top,
        };
    }

    /**
     * Rings of points that lie on the skin, in the figure's frame, to be lofted like a shape's; empty off the part.
     *
     * @return list<list<float>>
     */
    public function skin(): array
    {
        $surface = Surface::of($this->on, $this->side);
        $rings = [];
        foreach ($this->rings() as $ring) {
            $flat = [];
            foreach ($this->mirrored($ring) as [$u, $v]) {
                $height = $surface->heightMm($u, $v);
                if (is_nan($height)) {
                    continue 2;
                }
                foreach ($this->side->place($u, $v, $height + self::PROUD_MM * (1 + 0.3 * $this->detail->layer)) as $axis => $mm) {
                    $flat[] = round($mm + $this->on->at[$axis], 2);
                }
            }
            $rings[] = $flat;
        }

        return $rings;
    }

    /** @return list<non-empty-list<array{float, float}>> */
    private function rings(): array
    {
        if ($this->detail->kind === DetailKind::Line) {
            return self::rails($this->detail->outline(), $this->detail->widthMm / 2);
        }
        [$mx, $my] = $this->detail->middle();
        $rings = [];
        foreach ([1.0, 0.66, 0.33, 0.0] as $share) {
            $ring = [];
            foreach ($this->detail->outline() as [$x, $y]) {
                $ring[] = [$mx + ($x - $mx) * $share, $my + ($y - $my) * $share];
            }
            $rings[] = $ring;
        }

        return $rings;
    }

    /** @return list<non-empty-list<array{float, float}>> */
    private function strokes(): array
    {
        $outline = $this->detail->outline();
        if ($this->detail->kind !== DetailKind::Line) {
            return [$outline];
        }
        $half = $this->detail->widthMm / 2;
        $strokes = [];
        foreach (self::rails($outline, $half) as $i => $rail) {
            if (isset($before)) {
                $strokes[] = [$before[0], $before[1], $rail[1], $rail[0]];
            }
            $before = $rail;
            // Round joints and ends.
            $joint = [];
            for ($k = 0; $k < 12; $k++) {
                $joint[] = [$outline[$i][0] + $half * cos($k * M_PI / 6), $outline[$i][1] + $half * sin($k * M_PI / 6)];
            }
            $strokes[] = $joint;
        }

        return $strokes;
    }

    /**
     * The two edges of a stroke at each of its points.
     *
     * @param  non-empty-list<array{float, float}>  $course
     * @return list<array{array{float, float}, array{float, float}}>
     */
    private static function rails(array $course, float $half): array
    {
        $rails = [];
        $last = count($course) - 1;
        foreach ($course as $i => [$x, $y]) {
            [$ax, $ay] = $course[max(0, $i - 1)];
            [$bx, $by] = $course[min($last, $i + 1)];
            $length = max(1e-9, hypot($bx - $ax, $by - $ay));
            [$nx, $ny] = [-($by - $ay) / $length * $half, ($bx - $ax) / $length * $half];
            $rails[] = [[$x + $nx, $y + $ny], [$x - $nx, $y - $ny]];
        }

        return $rails;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return non-empty-list<array{float, float}>
     */
    private function mirrored(array $points): array
    {
        // Seen from left or right, the twin lies on the other side, where right and left are swapped as well.
        return $this->isTwin ? array_map(static fn (array $p): array => [-$p[0], $p[1]], $points) : $points;
    }
}
