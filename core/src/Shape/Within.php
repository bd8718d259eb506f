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

    /** Cells along the longer side of a flat piece. */
    private const CELLS = 40;

    /**
     * @param  Vec3  $middle
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
        $heights = array_map(
            static fn (int $i): float => ($span[0] + $span[1]) / 2 - ($span[1] - $span[0]) / 2 * cos(M_PI * $i / self::SLICES),
            range(0, self::SLICES),
        );
        [$volume, $first, $wide, $deep] = [0.0, 0.0, 0.0, 0.0];
        $right = $towards = $rings = [];
        foreach ($inset->reaches($reaches, $heights) as $i => $held) {
            $y = $heights[$i];
            $reach = self::reaches($held);
            // Simpson's rule, in the angle by which the slices are spaced.
            $weight = self::simpson($i, self::SLICES) * sin(M_PI * $i / self::SLICES);
            $areaMm2 = $weight > 0.0 ? self::areaMm2($reach) : 0.0;
            $volume += $weight * $areaMm2;
            $first += $weight * $areaMm2 * $y;
            [$x, $z] = [$reach[0], $reach[self::LOOKED_IN]];
            [$wide, $deep] = [max($wide, $x), max($deep, $z)];
            $right[] = [$x, $y];
            $towards[] = [$z, $y];
            $rings[] = self::ring($reach, $y);
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
        $box = Box::around($outline);
        $cell = max($box->width(), $box->height()) / self::CELLS;
        $drawnIn = new DrawnIn($outline, $about, new Inset($profile, $mm), $halfMm, $cell);
        [$volume, $momentX, $momentY] = [0.0, 0.0, 0.0];
        $left = [];
        for ($y = $box->low + $cell / 2; $y < $box->high; $y += $cell) {
            for ($x = $box->left + $cell / 2; $x < $box->right; $x += $cell) {
                $depth = $drawnIn->left($x, $y);
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
        $front = self::around($drawnIn, hypot($box->width(), $box->height()), $cx, $cy, $cell / 8);
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
     * How far a slice reaches in each direction that is looked in: as far as the nearest of what holds it back lets it.
     *
     * @param  non-empty-list<float>  $held  how far off its skin is held in each direction of a quarter turn; one number where it is round
     * @return non-empty-list<float>
     */
    private static function reaches(array $held): array
    {
        /** @var ?non-empty-list<non-empty-list<float>> $across */
        static $across = null;
        $across ??= array_map(static fn (int $i): array => array_map(
            static fn (int $j): float => cos(M_PI / 2 * ($i / self::LOOKED_IN - $j / self::HELD_FROM)),
            range(0, self::HELD_FROM),
        ), range(0, self::LOOKED_IN));
        if (count($held) === 1) {
            return array_fill(0, self::LOOKED_IN + 1, max(0.0, $held[0]));
        }

        return array_map(static function (array $cosines) use ($held): float {
            $reach = INF;
            foreach ($held as $j => $mm) {
                // Straight across nothing is held.
                if ($cosines[$j] > 1e-9) {
                    $reach = min($reach, $mm / $cosines[$j]);
                }
            }

            return max(0.0, $reach);
        }, $across);
    }

    /** @param  non-empty-list<float>  $reach */
    private static function areaMm2(array $reach): float
    {
        $sum = 0.0;
        foreach ($reach as $i => $mm) {
            $sum += self::simpson($i, self::LOOKED_IN) * $mm ** 2;
        }

        // Four quarters of half the square of the reach.
        return $sum * M_PI / 3 / self::LOOKED_IN;
    }

    /** The weight of a place in Simpson's rule: 1, 4, 2, 4, ... 4, 1. */
    private static function simpson(int $i, int $last): int
    {
        return $i === 0 || $i === $last ? 1 : 2 + 2 * ($i % 2);
    }

    /**
     * @param  non-empty-list<float>  $reach
     * @return list<float> flat x, y, z
     */
    private static function ring(array $reach, float $y): array
    {
        static $points = null;
        $points ??= array_map(static function (int $j): array {
            $angle = M_PI / 2 * $j / self::LOOKED_IN;
            $quarter = $j % (2 * self::LOOKED_IN);

            return [min($quarter, 2 * self::LOOKED_IN - $quarter), cos($angle), -sin($angle)];
        }, range(0, 4 * self::LOOKED_IN - 1));
        $ring = [];
        foreach ($points as [$i, $cos, $sin]) {
            $ring[] = $reach[$i] * $cos;
            $ring[] = $y;
            $ring[] = $reach[$i] * $sin;
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
     * The outline of what is left in the middle of the depth, as seen from its middle.
     *
     * @param  float  $far  in mm, nothing lies farther from its middle
     * @param  float  $exact  in mm
     * @return non-empty-list<array{float, float}>
     */
    private static function around(DrawnIn $drawnIn, float $far, float $cx, float $cy, float $exact): array
    {
        $around = [];
        for ($i = 0; $i < 8 * self::LOOKED_IN; $i++) {
            [$dx, $dy] = [cos(M_PI / 4 * $i / self::LOOKED_IN), sin(M_PI / 4 * $i / self::LOOKED_IN)];
            [$in, $out] = [0.0, $far];
            while ($out - $in > $exact) {
                $middle = ($in + $out) / 2;
                $drawnIn->left($cx + $middle * $dx, $cy + $middle * $dy) > 0.5 ? $in = $middle : $out = $middle;
            }
            $around[] = [$cx + $in * $dx, $cy + $in * $dy];
        }

        return $around;
    }
}
