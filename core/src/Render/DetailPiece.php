<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Figure\Detail;
use Impa\Figure\Placement;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Hull;
use Impa\Surface\Surface;
use WeakMap;

/** One piece of a detail where it lies on one piece of its part: itself or its twin. Immutable. */
final readonly class DetailPiece
{
    /** How far it is drawn proud of the skin, so that it is not swallowed by it. */
    private const PROUD_MM = 0.35;

    private function __construct(public Detail $detail, private Placement $on, private Side $side, private bool $isTwin)
    {
    }

    /**
     * Every piece of a detail on every piece of its part.
     *
     * @return list<self>
     */
    public static function all(Detail $detail, Placement $on): array
    {
        $side = $on->isTwin ? $detail->lie->side->mirrored() : $detail->lie->side;
        $pieces = [new self($detail, $on, $side, $on->isTwin)];
        if ($detail->lie->mirror) {
            $pieces[] = new self($detail, $on, $side->mirrored(), ! $on->isTwin);
        }

        return $pieces;
    }

    /**
     * Its outline (a line: the outline of its stroke's pieces) seen from a side, from the middle of the part.
     *
     * @return list<non-empty-list<list<array{float, float}>>> painted one by one, each with its holes; empty where it is not seen
     */
    public function seenFrom(Side $from): array
    {
        if ($this->detail->drawn->kind === DetailKind::Line) {
            $seen =
                $from === $this->side
                    ? array_map($this->mirrored(...), $this->strokes())
                    : array_filter(array_map(fn (array $stroke): array => $this->lifted([$stroke], $from), $this->strokes()));

            return array_map(static fn (array $loop): array => [$loop], array_values($seen));
        }
        $holes = $this->detail->holes();
        if ($from === $this->side) {
            return [array_map($this->mirrored(...), [$this->detail->outline(), ...$holes])];
        }
        // A spot bulges with the skin under it, so its inner rings count as well.
        $hull = $this->lifted($this->rings(), $from);

        return $hull === []
            ? []
            : [[$hull, ...array_filter(array_map(fn (array $hole): array => $this->lifted([$hole], $from), $holes))]];
    }

    /** How far the skin under it lies towards the viewer, from the middle of the part, mm; 0 off the part. */
    public function towardsMm(Side $from): float
    {
        /** @var WeakMap<self, array<string, float>> $known  the strokes of a line ask it of the whole line */
        static $known = new WeakMap;
        $known[$this] ??= [];

        return $known[$this][$from->value] ??= $this->skinTowardsMm($from);
    }

    private function skinTowardsMm(Side $from): float
    {
        $surface = Surface::of($this->on, $this->side);
        $towards = [];
        foreach ($this->mirrored($this->detail->outline()) as [$u, $v]) {
            $height = $surface->heightMm($u, $v);
            if (! is_nan($height)) {
                $towards[] = $from->see(...$this->side->place($u, $v, $height))[2];
            }
        }

        return $towards === [] ? 0.0 : array_sum($towards) / count($towards);
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
        return $this->raised($this->rings(), 1.0);
    }

    /** @return list<list<list<float>>> the same for each of its holes, a little prouder, to be drawn in the colour of its ground */
    public function openings(): array
    {
        return array_map(fn (array $hole): array => $this->raised(self::shrinking($hole), 1.2), $this->detail->holes());
    }

    /**
     * @param  list<non-empty-list<array{float, float}>>  $seen
     * @return list<list<float>>
     */
    private function raised(array $seen, float $times): array
    {
        $surface = Surface::of($this->on, $this->side);
        $rings = [];
        foreach ($seen as $ring) {
            $flat = [];
            foreach ($this->mirrored($ring) as [$u, $v]) {
                $height = $surface->heightMm($u, $v);
                if (is_nan($height)) {
                    continue 2;
                }
                foreach (
                    $this->side->place($u, $v, $height + self::PROUD_MM * $times * (1 + 0.3 * $this->detail->lie->layer)) as $axis => $mm
                ) {
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
        return $this->detail->drawn->kind === DetailKind::Line ? $this->rails() : self::shrinking($this->detail->outline());
    }

    /**
     * @param  non-empty-list<array{float, float}>  $outline
     * @return list<non-empty-list<array{float, float}>> rings from an outline to its middle
     */
    private static function shrinking(array $outline): array
    {
        [$mx, $my] = Box::around($outline)->middle();

        return array_map(
            static fn (float $share): array => array_map(
                static fn (array $p): array => [$mx + ($p[0] - $mx) * $share, $my + ($p[1] - $my) * $share],
                $outline,
            ),
            [1.0, 0.66, 0.33, 0.0],
        );
    }

    /** @return list<non-empty-list<array{float, float}>> */
    private function strokes(): array
    {
        $outline = $this->detail->outline();
        $widths = $this->detail->drawn->widths();
        $strokes = [];
        foreach ($this->rails() as $i => $rail) {
            if (isset($before)) {
                $strokes[] = [$before[0], $before[1], $rail[1], $rail[0]];
            }
            $before = $rail;
            // Round joints and ends.
            $joint = [];
            for ($k = 0; $k < 12; $k++) {
                $joint[] = [
                    $outline[$i][0] + ($widths[$i] / 2) * cos(($k * M_PI) / 6),
                    $outline[$i][1] + ($widths[$i] / 2) * sin(($k * M_PI) / 6),
                ];
            }
            $strokes[] = $joint;
        }

        return $strokes;
    }

    /** @return list<array{array{float, float}, array{float, float}}> the two edges of a stroke at each of its points */
    private function rails(): array
    {
        $course = $this->detail->outline();
        $widths = $this->detail->drawn->widths();
        $rails = [];
        $last = count($course) - 1;
        foreach ($course as $i => [$x, $y]) {
            [$ax, $ay] = $course[max(0, $i - 1)];
            [$bx, $by] = $course[min($last, $i + 1)];
            $length = max(1e-9, hypot($bx - $ax, $by - $ay));
            [$nx, $ny] = [((-($by - $ay) / $length) * $widths[$i]) / 2, ((($bx - $ax) / $length) * $widths[$i]) / 2];
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
