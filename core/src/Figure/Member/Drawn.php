<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

use Impa\Figure\Term\DetailKind;
use Impa\Geometry\Outline\Polygon;
use Impa\Geometry\Outline\Polyline;

/** What a detail looks like, about its own middle, before it is turned and laid; lengths in mm. Immutable. */
final readonly class Drawn
{
    /** Straight pieces of a curve between two of its points. */
    private const CURVE = 8;

    /** Fewer where its points lie so close that it has more than so many. */
    private const MOST_CURVED = 640;

    /**
     * @param  list<array{float, float}>  $pointsMm  of a patch or line, else empty
     * @param  bool  $smooth  a curve through its points (Catmull and Rom 1974, uniform), not straight from one to the next
     * @param  list<float>  $widthsMm  of a line, its width at each point; empty where it is as wide throughout
     * @param  list<list<array{float, float}>>  $holesMm  of a patch, what is left open in it: the ground shows
     */
    public function __construct(
        public DetailKind $kind,
        public float $widthMm,
        public float $heightMm,
        public array $pointsMm = [],
        public bool $smooth = false,
        public array $widthsMm = [],
        public array $holesMm = [],
    ) {
    }

    /** @return non-empty-list<float> a line's width at each point of its outline */
    public function widths(): array
    {
        $points = $this->course();
        if (count($this->widthsMm) !== count($this->pointsMm) || $this->kind !== DetailKind::Line) {
            return array_fill(0, count($points), $this->widthMm);
        }
        $last = count($this->widthsMm) - 1;

        return array_map(function (int $i) use ($points, $last): float {
            $at = ($i / max(1, count($points) - 1)) * $last;
            $before = min($last, (int) $at);

            return $this->widthsMm[$before] +
                ($at - $before) * ($this->widthsMm[min($last, $before + 1)] - $this->widthsMm[$before]);
        }, array_keys($points));
    }

    /** Area in mm2 of what it covers, its holes left out. */
    public function areaMm2(): float
    {
        return match ($this->kind) {
            DetailKind::Line => $this->strokeMm2(),
            DetailKind::Patch => max(
                0.0,
                abs(Polygon::signedArea($this->course())) -
                    array_sum(
                        array_map(static fn (array $hole): float => abs(Polygon::signedArea($hole)), array_filter($this->holesMm)),
                    ),
            ),
            default => (M_PI / 4) * $this->widthMm * $this->heightMm,
        };
    }

    /** Length of a line's course in mm; 0 for what is no line. */
    public function lengthMm(): float
    {
        return $this->kind === DetailKind::Line ? Polyline::length($this->course()) : 0.0;
    }

    /** A line's area: each straight piece by its mean width. */
    private function strokeMm2(): float
    {
        $widths = $this->widths();
        $area = 0.0;
        foreach (Polyline::lengths($this->course()) as $i => $mm) {
            $area += ($mm * ($widths[$i] + $widths[$i + 1])) / 2;
        }

        return $area;
    }

    /** @return non-empty-list<array{float, float}> its outline, or a line's course, about its own middle */
    public function course(): array
    {
        return match (true) {
            $this->pointsMm === [] => $this->ellipse(),
            $this->smooth && count($this->pointsMm) > 2 => $this->curve(),
            default => $this->pointsMm,
        };
    }

    /** @return non-empty-list<array{float, float}> through every point; of a patch, round to the first again */
    private function curve(): array
    {
        $points = $this->pointsMm;
        $count = count($points);
        $closed = $this->kind !== DetailKind::Line;
        $at = static fn (int $i): array => $closed ? $points[($i + $count) % $count] : $points[max(0, min($count - 1, $i))];
        $pieces = max(1, min(self::CURVE, intdiv(self::MOST_CURVED, $count)));
        $curve = [$points[0]];
        for ($i = 0, $n = $closed ? $count : $count - 1; $i < $n; $i++) {
            [[$ax, $ay], [$bx, $by], [$cx, $cy], [$dx, $dy]] = [$at($i - 1), $at($i), $at($i + 1), $at($i + 2)];
            for ($k = 1; $k <= $pieces && ! ($closed && $i === $n - 1 && $k === $pieces); $k++) {
                $t = $k / $pieces;
                $curve[] = [
                    $bx + ($t / 2) * ($cx - $ax + $t * (2 * $ax - 5 * $bx + 4 * $cx - $dx + $t * (3 * ($bx - $cx) + $dx - $ax))),
                    $by + ($t / 2) * ($cy - $ay + $t * (2 * $ay - 5 * $by + 4 * $cy - $dy + $t * (3 * ($by - $cy) + $dy - $ay))),
                ];
            }
        }

        return $curve;
    }

    /** @return non-empty-list<array{float, float}> */
    private function ellipse(): array
    {
        $points = [];
        for ($i = 0; $i < 28; $i++) {
            $a = (2 * M_PI * $i) / 28;
            $points[] = [($this->widthMm / 2) * cos($a), ($this->heightMm / 2) * sin($a)];
        }

        return $points;
    }
}
