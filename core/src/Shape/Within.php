<?php

declare(strict_types=1);

namespace Impa\Shape;

use Impa\Geometry\Box;
use Impa\Geometry\Outline\Inset;
use Impa\Geometry\Outline\Polygon;

/**
 * What lies within a solid at least so far from its skin (its inner parallel body), in the frame of the solid. Every slice of a stack or
 * of a flat piece is alike, so that in each direction across it is the profile moved inwards (Inset), and the slice is what all
 * directions leave over (Wulff's construction). Immutable.
 */
final readonly class Within implements Body
{
    /** Slices of a stack, an even number; directions in a quarter turn that are looked in, an even number, and that hold something back. */
    private const SLICES = 20;

    private const LOOKED_IN = 6;

    private const HELD_FROM = 12;

    /** Points round a slice that is drawn, for each quarter. */
    private const DRAWN = 6;

    /** Cells along the longer side of a flat piece, and levels from its middle to its face. */
    private const CELLS = 40;

    private const LEVELS = 8;

    /** An outline of more points is looked at in so many. */
    private const MOST_POINTS = 96;

    /**
     * @param  array{float, float, float}  $middle
     * @param  non-empty-list<list<array{float, float}>>  $front
     * @param  non-empty-list<list<array{float, float}>>  $side
     */
    private function __construct(
        private Size $size,
        private float $volumeCm3,
        private array $middle,
        private array $front,
        private array $side,
        private Loft $loft,
        private ?Body $form = null,
    ) {
    }

    /** The form of one body with the volume of another, where that of the form is not the true one. */
    public static function formed(Body $form, float $volumeCm3): self
    {
        return new self($form->size(), $volumeCm3, $form->middleOfMass(), $form->front(), $form->side(), $form->loft(), $form);
    }

    /** Within a stack of ellipses whose half-width and half-depth are shares of these. */
    public static function stack(Inset $inset, float $halfWidthMm, float $halfDepthMm): ?self
    {
        // Least is left across the narrower side.
        $span = $inset->span(min($halfWidthMm, $halfDepthMm));
        if ($span === null) {
            return null;
        }
        $isRound = abs($halfWidthMm - $halfDepthMm) < 1e-9;
        $angles = $isRound ? [0.0] : array_map(static fn (int $i): float => M_PI / 2 * $i / self::HELD_FROM, range(0, self::HELD_FROM));
        $reaches = array_map(static fn (float $a): float => hypot($halfWidthMm * cos($a), $halfDepthMm * sin($a)), $angles);
        $slices = [];
        for ($i = 0; $i <= self::SLICES; $i++) {
            $y = ($span[0] + $span[1]) / 2 - ($span[1] - $span[0]) / 2 * cos(M_PI * $i / self::SLICES);
            $slices[] = [$y, array_map(
                static fn (float $angle, float $mm): array => [$angle, max(0.0, $mm)],
                $angles,
                $inset->reaches($reaches, $y),
            )];
        }
        [$volume, $first, $wide, $deep] = [0.0, 0.0, 0.0, 0.0];
        $right = $towards = $rings = [];
        foreach ($slices as $i => [$y, $slice]) {
            // Simpson's rule, in the angle by which the slices are spaced.
            $weight = ($i === 0 || $i === self::SLICES ? 1 : 2 + 2 * ($i % 2)) * sin(M_PI * $i / self::SLICES);
            $areaMm2 = $weight > 0.0 ? self::areaMm2($slice) : 0.0;
            $volume += $weight * $areaMm2;
            $first += $weight * $areaMm2 * $y;
            [$x, $z] = [self::reaches($slice, 0.0), self::reaches($slice, M_PI / 2)];
            [$wide, $deep] = [max($wide, $x), max($deep, $z)];
            $right[] = [$x, $y];
            $towards[] = [$z, $y];
            $rings[] = self::ring($slice, $y);
        }
        if ($volume <= 0.0) {
            return null;
        }

        return new self(
            size: Size::of(2 * $wide, $span[1] - $span[0], 2 * $deep),
            volumeCm3: $volume * M_PI * ($span[1] - $span[0]) / 6 / self::SLICES / 1000.0,
            middle: [0.0, $first / $volume, 0.0],
            front: [self::mirrored($right)],
            side: [self::mirrored($towards)],
            loft: Loft::of($rings),
        );
    }

    /**
     * Within a flat piece: cell by cell, how far to the front something is left that no edge holds back.
     *
     * @param  list<array{float, float}>  $outline  anticlockwise, in mm
     * @param  array{float, float}  $about  where it is drawn in towards
     * @param  non-empty-list<array{float, float}>  $profile  depth in mm, rising, and the share of the outline there
     */
    public static function flat(array $outline, array $about, array $profile, float $mm): ?self
    {
        $halfMm = $profile[count($profile) - 1][0] - $mm;
        if ($halfMm <= 0.0) {
            return null;
        }
        $edges = self::edges(self::thinned($outline), $about, new Inset($profile, $mm), $halfMm);
        $box = Box::around($outline);
        $cell = max($box->width(), $box->height()) / self::CELLS;
        [$volume, $momentX, $momentY] = [0.0, 0.0, 0.0];
        $left = [];
        for ($y = $box->low + $cell / 2; $y < $box->high; $y += $cell) {
            for ($x = $box->left + $cell / 2; $x < $box->right; $x += $cell) {
                $depth = Polygon::has($outline, $x, $y) ? self::left($edges, $x, $y, $cell) : 0.0;
                if ($depth > 0.0) {
                    $volume += $depth;
                    $momentX += $depth * $x;
                    $momentY += $depth * $y;
                    if ($depth >= 0.5) {
                        $left[] = [$x, $y];
                    }
                }
            }
        }
        if ($volume <= 0.0) {
            return null;
        }
        [$cx, $cy] = [$momentX / $volume, $momentY / $volume];
        $front = self::around($outline, $edges, $cx, $cy, $cell);
        $size = Box::around([...$front, ...$left]);
        $ring = static fn (float $z): array => array_merge(...array_map(static fn (array $p): array => [$p[0], $p[1], $z], $front));
        $deep = 2 * $halfMm;

        return new self(
            size: Size::of($size->width(), $size->height(), $deep),
            volumeCm3: $volume * $cell * $cell * $deep / 1000.0,
            middle: [$cx, $cy, 0.0],
            front: [$front],
            side: [[[$halfMm, $size->low], [$halfMm, $size->high], [-$halfMm, $size->high], [-$halfMm, $size->low]]],
            loft: Loft::of([$ring(-$halfMm), $ring($halfMm)]),
        );
    }

    public function size(): Size
    {
        return $this->size;
    }

    public function volumeCm3(): float
    {
        return $this->volumeCm3;
    }

    public function middleOfMass(): array
    {
        return $this->middle;
    }

    public function front(): array
    {
        return $this->front;
    }

    public function side(): array
    {
        return $this->side;
    }

    public function frontMm(float $x, float $y): float
    {
        $rings = $this->loft->rings;
        if ($this->form !== null) {
            return $this->form->frontMm($x, $y);
        }
        if (count($rings) === 2) {
            return Polygon::has($this->front[0], $x, $y) ? $this->size->depthMm / 2 : NAN;
        }
        for ($i = 1, $n = count($rings); $i < $n; $i++) {
            [$below, $above] = [$rings[$i - 1][1], $rings[$i][1]];
            if ($y >= $below && $y <= $above) {
                $share = $above > $below ? ($y - $below) / ($above - $below) : 0.0;
                $deep = (1 - $share) * self::halfDepth($rings[$i - 1], $x) + $share * self::halfDepth($rings[$i], $x);

                return $deep > 0.0 ? $deep : NAN;
            }
        }

        return NAN;
    }

    public function loft(): Loft
    {
        return $this->loft;
    }

    /**
     * How deep a ring is at x, measured from its middle; 0 beside it.
     *
     * @param  list<float>  $ring  from the right, over behind
     */
    private static function halfDepth(array $ring, float $x): float
    {
        for ($j = 0, $n = intdiv(count($ring), 2); $j < $n; $j += 3) {
            [$from, $to] = [$ring[$j], $ring[$j + 3]];
            if ($x <= $from && $x >= $to) {
                $share = $from > $to ? ($from - $x) / ($from - $to) : 0.0;

                return abs((1 - $share) * $ring[$j + 2] + $share * $ring[$j + 5]);
            }
        }

        return 0.0;
    }

    /**
     * How far a slice reaches in a direction: as far as the nearest of what holds it back lets it.
     *
     * @param  non-empty-list<array{float, float}>  $slice  direction and how far off its skin is held, over a quarter turn
     */
    private static function reaches(array $slice, float $angle): float
    {
        if (count($slice) === 1) {
            return $slice[0][1];
        }
        $reach = INF;
        foreach ($slice as [$from, $mm]) {
            $cos = cos($angle - $from);
            if ($cos > 1e-9) {
                $reach = min($reach, $mm / $cos);
            }
        }

        return $reach;
    }

    /** @param  non-empty-list<array{float, float}>  $slice */
    private static function areaMm2(array $slice): float
    {
        if (count($slice) === 1) {
            return M_PI * $slice[0][1] ** 2;
        }
        $sum = 0.0;
        for ($i = 0; $i <= self::LOOKED_IN; $i++) {
            $weight = $i === 0 || $i === self::LOOKED_IN ? 1 : 2 + 2 * ($i % 2);
            $sum += $weight * self::reaches($slice, M_PI / 2 * $i / self::LOOKED_IN) ** 2;
        }

        // Four quarters of half the square of the reach.
        return $sum * M_PI / 3 / self::LOOKED_IN;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $slice
     * @return list<float> flat x, y, z
     */
    private static function ring(array $slice, float $y): array
    {
        $reach = [];
        for ($i = 0; $i <= self::DRAWN; $i++) {
            $reach[] = self::reaches($slice, M_PI / 2 * $i / self::DRAWN);
        }
        $ring = [];
        for ($j = 0; $j < 4 * self::DRAWN; $j++) {
            $angle = M_PI / 2 * $j / self::DRAWN;
            $quarter = $j % (2 * self::DRAWN);
            $mm = $reach[$quarter <= self::DRAWN ? $quarter : 2 * self::DRAWN - $quarter];
            array_push($ring, $mm * cos($angle), $y, -$mm * sin($angle));
        }

        return $ring;
    }

    /**
     * @param  list<array{float, float}>  $right
     * @return list<array{float, float}>
     */
    private static function mirrored(array $right): array
    {
        return [...$right, ...array_map(static fn (array $p): array => [-$p[0], $p[1]], array_reverse($right))];
    }

    /**
     * @param  list<array{float, float}>  $outline
     * @return list<array{float, float}>
     */
    private static function thinned(array $outline): array
    {
        $each = (int) ceil(count($outline) / self::MOST_POINTS);

        return array_values(array_filter($outline, static fn (int $i): bool => $i % $each === 0, ARRAY_FILTER_USE_KEY));
    }

    /**
     * The outline's edges, and how far from each, at every level from the middle to the face, nothing is left.
     *
     * @param  list<array{float, float}>  $outline
     * @param  array{float, float}  $about
     * @return list<array{float, float, float, float, float, list<float>}> from x, y, by dx, dy, its length squared, mm from it by level
     */
    private static function edges(array $outline, array $about, Inset $inset, float $halfMm): array
    {
        $edges = [];
        foreach ($outline as $i => [$x, $y]) {
            [$nextX, $nextY] = $outline[($i + 1) % count($outline)];
            [$dx, $dy] = [$nextX - $x, $nextY - $y];
            $length = hypot($dx, $dy);
            if ($length <= 0.0) {
                continue;
            }
            // How far from it lies what the outline is drawn in towards, straight across.
            $off = (($about[1] - $y) * $dx - ($about[0] - $x) * $dy) / $length;
            $mm = [];
            for ($level = 0; $level < self::LEVELS; $level++) {
                $mm[] = $off - $inset->reaches([$off], $halfMm * ($level + 0.5) / self::LEVELS)[0];
            }
            $edges[] = [$x, $y, $dx, $dy, $length * $length, $mm];
        }

        return $edges;
    }

    /**
     * The share of the depth that is left at a place, smoothed over a cell.
     *
     * @param  list<array{float, float, float, float, float, list<float>}>  $edges
     */
    private static function left(array $edges, float $x, float $y, float $cell): float
    {
        $near = [];
        foreach ($edges as [$fromX, $fromY, $dx, $dy, $square, $mm]) {
            $along = (($x - $fromX) * $dx + ($y - $fromY) * $dy) / $square;
            $along = $along < 0.0 ? 0.0 : ($along > 1.0 ? 1.0 : $along);
            $far = sqrt(($x - $fromX - $along * $dx) ** 2 + ($y - $fromY - $along * $dy) ** 2);
            if ($far <= $mm[0] - $cell / 2) {
                return 0.0;
            }
            if ($far < $mm[self::LEVELS - 1] + $cell / 2) {
                $near[] = [$far, $mm];
            }
        }
        $left = 0.0;
        for ($level = 0; $level < self::LEVELS; $level++) {
            $share = 1.0;
            foreach ($near as [$far, $mm]) {
                $share = min($share, ($far - $mm[$level]) / $cell + 0.5);
            }
            $left += max(0.0, $share);
        }

        return $left / self::LEVELS;
    }

    /**
     * The outline of what is left in the middle of the depth, as seen from its middle.
     *
     * @param  list<array{float, float}>  $outline
     * @param  list<array{float, float, float, float, float, list<float>}>  $edges
     * @return non-empty-list<array{float, float}>
     */
    private static function around(array $outline, array $edges, float $cx, float $cy, float $cell): array
    {
        $box = Box::around($outline);
        $far = hypot($box->width(), $box->height());
        $around = [];
        for ($i = 0; $i < 8 * self::DRAWN; $i++) {
            [$dx, $dy] = [cos(M_PI / 4 * $i / self::DRAWN), sin(M_PI / 4 * $i / self::DRAWN)];
            [$in, $out] = [0.0, $far];
            while ($out - $in > $cell / 8) {
                $middle = ($in + $out) / 2;
                [$x, $y] = [$cx + $middle * $dx, $cy + $middle * $dy];
                Polygon::has($outline, $x, $y) && self::left($edges, $x, $y, $cell) > 0.5 ? $in = $middle : $out = $middle;
            }
            $around[] = [$cx + $in * $dx, $cy + $in * $dy];
        }

        return $around;
    }
}
