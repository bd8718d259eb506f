<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Geometry\Ellipse;
use Impa\Geometry\Outline\Inset;
use Impa\Shape\Body;
use Impa\Shape\Loft;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;
use Impa\Shape\Within;
use WeakMap;

/**
 * A shape as a stack of ellipses along its standing axis: at t from 0 (bottom) to 1 (top) the
 * half-width is (w/2) p(t) and the half-depth (d/2) p(t), with max p = 1.
 */
abstract readonly class Stack implements Solid
{
    /** Bands for the integrals: enough for 0.1 % of the closed forms (core/tests/Shape/ShapeTest.php). */
    private const BANDS = 64;

    /**
     * Bands for the area, an even number. Their sum is out by about the square of a band's height, so that the sum of half as many
     * tells by how much (Richardson's extrapolation): within 0.005 % of the limit for every shape.
     */
    private const AREA_BANDS = 48;

    /** Rings and points of the loft: enough for 1 % of the volume. */
    private const LOFT_BANDS = 20;

    private const LOFT_POINTS = 24;

    /** Bands of the outline that is drawn. */
    private const OUTLINE_BANDS = 28;

    protected function __construct(protected Size $size)
    {
    }

    /**
     * The same shape in another size.
     *
     * @throws ShapeRefused if a dimension is not positive
     */
    abstract protected function resized(Size $size): self;

    /** @param  float  $t 0 (bottom) to 1 (top) */
    abstract public function profile(float $t): float;

    public function size(): Size
    {
        return $this->size;
    }

    public function thinnestMm(): float
    {
        return $this->size->smallestMm();
    }

    public function options(): array
    {
        return [];
    }

    public function volumeCm3(): float
    {
        return M_PI / 4 * $this->size->widthMm * $this->size->depthMm * $this->size->heightMm * $this->moments()[0] / 1000.0;
    }

    public function middleOfMass(): array
    {
        [$whole, $first] = $this->moments();

        return [0.0, ($first / $whole - 0.5) * $this->size->heightMm, 0.0];
    }

    /** @return array{float, float} the integrals of p^2 and of t p^2 over t; a plan asks for a volume and its middle, and often for both */
    private function moments(): array
    {
        static $known = null;
        $known ??= new WeakMap;

        return $known[$this] ??= $this->integrals();
    }

    /** @return array{float, float} by Simpson's rule in every band */
    private function integrals(): array
    {
        $whole = $first = $t = 0.0;
        $square = $this->profile(0.0) ** 2;
        foreach (self::steps(self::BANDS) as $next) {
            $middle = ($t + $next) / 2;
            $middleSquare = 4 * $this->profile($middle) ** 2;
            $nextSquare = $this->profile($next) ** 2;
            $whole += ($next - $t) / 6 * ($square + $middleSquare + $nextSquare);
            $first += ($next - $t) / 6 * ($t * $square + $middle * $middleSquare + $next * $nextSquare);
            [$t, $square] = [$next, $nextSquare];
        }

        return [$whole, $first];
    }

    /** Each band's area is its middle p times the perimeter of an ellipse (see docs/sums.md). */
    public function areaCm2(): float
    {
        $fine = $coarse = 0.0;
        $before = $start = [0.0, $first = $this->profile(0.0)];
        foreach (self::steps(self::AREA_BANDS) as $i => $t) {
            $next = [$t, $this->profile($t)];
            $fine += $this->bandMm2($before, $next);
            $before = $next;
            if ($i % 2 === 1) {
                $coarse += $this->bandMm2($start, $next);
                $start = $next;
            }
        }
        $ends = M_PI / 4 * $this->size->widthMm * $this->size->depthMm * ($first ** 2 + $before[1] ** 2);

        return ($fine + ($fine - $coarse) / 3 + $ends) / 100.0;
    }

    /**
     * @param  array{float, float}  $from  t and p
     * @param  array{float, float}  $to
     */
    private function bandMm2(array $from, array $to): float
    {
        $a = $this->size->widthMm / 2;
        $b = $this->size->depthMm / 2;
        $rise = $this->size->heightMm * ($to[0] - $from[0]);
        $slope = $a * $b * ($to[1] - $from[1]);

        return ($from[1] + $to[1]) / 2 * Ellipse::perimeter(hypot($rise * $b, $slope), hypot($rise * $a, $slope));
    }

    /** Memoised: everything that looks at a piece asks for it. */
    public function front(): array
    {
        static $known = null;
        $known ??= new WeakMap;

        return $known[$this] ??= [$this->silhouette($this->size->widthMm / 2)];
    }

    public function side(): array
    {
        return [$this->silhouette($this->size->depthMm / 2)];
    }

    public function loft(): Loft
    {
        // A polygon inside an ellipse is smaller than it: stretched to the same area, the loft keeps the volume.
        $angle = 2 * M_PI / self::LOFT_POINTS;
        $stretch = sqrt($angle / sin($angle));
        $rings = [];
        foreach ([0.0, ...self::steps(self::LOFT_BANDS)] as $t) {
            $p = $this->profile($t) * $stretch;
            $ring = [];
            for ($j = 0; $j < self::LOFT_POINTS; $j++) {
                $ring[] = $this->size->widthMm / 2 * $p * cos($j * $angle);
                $ring[] = ($t - 0.5) * $this->size->heightMm;
                $ring[] = -$this->size->depthMm / 2 * $p * sin($j * $angle);
            }
            $rings[] = $ring;
        }

        return Loft::of($rings);
    }

    public function frontMm(float $x, float $y): float
    {
        $t = $y / $this->size->heightMm + 0.5;
        if ($t < 0.0 || $t > 1.0) {
            return NAN;
        }
        $square = $this->profile($t) ** 2 - (2 * $x / $this->size->widthMm) ** 2;

        return $square >= 0.0 ? $this->size->depthMm / 2 * sqrt($square) : NAN;
    }

    public function scaled(float $factor): self
    {
        return $this->resized($this->size->scaled($factor));
    }

    public function within(float $mm): ?Body
    {
        if ($mm <= 0.0) {
            return $this;
        }
        static $known = null;
        $known ??= new WeakMap;
        $known[$this] ??= [];
        $depth = sprintf('%.17g', $mm);
        if (! array_key_exists($depth, $known[$this])) {
            $known[$this][$depth] = Within::stack($this->inset($mm), $this->size->widthMm / 2, $this->size->depthMm / 2);
        }

        return $known[$this][$depth];
    }

    /**
     * Its profile, so far within.
     *
     * @param  float  $mm  more than 0
     */
    public function inset(float $mm): Inset
    {
        $steps = [0.0, ...self::steps(self::BANDS)];
        $shares = array_map($this->profile(...), $steps);
        // A straight stretch cuts a round one off: moved out by two thirds of what it cuts off, it holds as much (Simpson's rule).
        $lifts = [0.0];
        for ($i = 1; $i <= self::BANDS; $i++) {
            $lifts[] = ($this->profile(($steps[$i - 1] + $steps[$i]) / 2) - ($shares[$i - 1] + $shares[$i]) / 2) * 2 / 3;
        }
        $lifts[] = 0.0;
        $profile = [];
        foreach ($steps as $i => $t) {
            $profile[] = [($t - 0.5) * $this->size->heightMm, $shares[$i] + ($lifts[$i] + $lifts[$i + 1]) / 2];
        }

        return new Inset($profile, $mm);
    }

    /**
     * Steps of t after 0, close together at both ends, where profiles are steep.
     *
     * @return list<float>
     */
    private static function steps(int $bands): array
    {
        static $known = [];
        if (! isset($known[$bands])) {
            for ($i = 1; $i <= $bands; $i++) {
                $known[$bands][] = (1 - cos(M_PI * $i / $bands)) / 2;
            }
        }

        return $known[$bands];
    }

    /** @return list<array{float, float}> */
    private function silhouette(float $halfMm): array
    {
        $right = $left = [];
        foreach ([0.0, ...self::steps(self::OUTLINE_BANDS)] as $t) {
            $x = $halfMm * $this->profile($t);
            $y = ($t - 0.5) * $this->size->heightMm;
            $right[] = [$x, $y];
            if ($x > 0.0) {
                $left[] = [-$x, $y];
            }
        }

        return [...$right, ...array_reverse($left)];
    }
}
