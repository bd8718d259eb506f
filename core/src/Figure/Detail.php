<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\DetailRole;
use Impa\Figure\Term\Keep;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;
use Impa\Geometry\Outline\Polyline;

/**
 * Colour, a bead or a line on a part. x and y in mm as seen from `side`, from the middle of the part,
 * y up, whatever the part's own turn. Unchanging; its outline and middle are memoised.
 */
final class Detail
{
    /** Straight pieces of a curve between two of its points. */
    private const CURVE = 8;

    /** Fewer where its points lie so close that it has more than so many. */
    private const MOST_CURVED = 640;

    /** @var ?non-empty-list<array{float, float}> its outline, once it was asked for */
    private ?array $outline = null;

    /** @var ?array{float, float} its middle, once it was asked for */
    private ?array $middle = null;

    /**
     * @param  list<array{float, float}>  $pointsMm  of a patch or line, else empty
     * @param  bool  $smooth  a curve through its points (Catmull and Rom 1974, uniform), not straight from one to the next
     * @param  list<float>  $widthsMm  of a line, its width at each point; empty where it is as wide throughout
     * @param  list<list<array{float, float}>>  $holesMm  of a patch, what is left open in it: the ground shows
     * @param  Keep  $keep  what the felter chose where it would slide round the edge of its part
     * @param  list<string>  $meant  codes of advice that the felter set aside
     * @param  array{string, string}  $piece  key and kind of the piece of a face that put it on; empty where none did
     */
    public function __construct(
        public readonly string $key,
        public readonly string $name,
        public readonly string $on,
        public readonly DetailKind $kind,
        public readonly float $widthMm,
        public readonly float $heightMm,
        public readonly float $xMm,
        public readonly float $yMm,
        public readonly float $turnDeg,
        public readonly array $pointsMm,
        public readonly string $colour,
        public readonly int $layer,
        public readonly bool $mirror,
        public readonly Method $method,
        public readonly Side $side,
        public readonly bool $smooth = false,
        public readonly array $widthsMm = [],
        public readonly array $holesMm = [],
        public readonly Keep $keep = Keep::Unsaid,
        public readonly array $meant = [],
        public readonly array $piece = ['', ''],
        public readonly DetailRole $role = DetailRole::Other,
    ) {
    }

    /**
     * Its outline, or a line's course, as seen from its side, from the middle of the part.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function outline(): array
    {
        return $this->outline ??= $this->placed($this->raw());
    }

    /** @return list<array{float, float}> its own points, not those of the curve through them, placed like its outline; none of a disc */
    public function points(): array
    {
        return $this->pointsMm === [] ? [] : $this->placed($this->pointsMm);
    }

    /** @return list<non-empty-list<array{float, float}>> outlines of what is left open in it, placed like its own */
    public function holes(): array
    {
        return array_values(array_map($this->placed(...), array_filter($this->holesMm)));
    }

    /** @return non-empty-list<float> a line's width at each point of its outline */
    public function widths(): array
    {
        $points = $this->raw();
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

    /** Whether the felter said of this advice that it is meant so. */
    public function isMeant(string $code): bool
    {
        return in_array($code, $this->meant, true);
    }

    /** Area in mm2 of what it covers, its holes left out. */
    public function areaMm2(): float
    {
        return match ($this->kind) {
            DetailKind::Line => $this->strokeMm2(),
            DetailKind::Patch => max(
                0.0,
                abs(Polygon::signedArea($this->raw())) -
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
        return $this->kind === DetailKind::Line ? Polyline::length($this->raw()) : 0.0;
    }

    /** A line's area: each straight piece by its mean width. */
    private function strokeMm2(): float
    {
        $widths = $this->widths();
        $area = 0.0;
        foreach (Polyline::lengths($this->raw()) as $i => $mm) {
            $area += ($mm * ($widths[$i] + $widths[$i + 1])) / 2;
        }

        return $area;
    }

    /** @return array{float, float} the middle as seen from its side; of a line, the middle of its points' box */
    public function middle(): array
    {
        return $this->middle ??= $this->pointsMm === [] ? [$this->xMm, $this->yMm] : Box::around($this->outline())->middle();
    }

    /** @return non-empty-list<array{float, float}> before it is turned and placed */
    private function raw(): array
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

    /**
     * @param  non-empty-list<array{float, float}>  $raw
     * @return non-empty-list<array{float, float}>
     */
    private function placed(array $raw): array
    {
        [$along, $up] = [cos(deg2rad($this->turnDeg)), sin(deg2rad($this->turnDeg))];
        $placed = [];
        foreach ($raw as [$x, $y]) {
            $placed[] = [$this->xMm + $x * $along - $y * $up, $this->yMm + $x * $up + $y * $along];
        }

        return $placed;
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
