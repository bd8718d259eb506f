<?php

declare(strict_types=1);

namespace Impa\Show;

use Impa\Armature\WireAdvice;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Geometry\Outline\EnclosingCircle;

/**
 * A figure as it is put somewhere: places of its skin, each with the part it belongs to. What is felted softly gives when it is
 * squeezed. Immutable.
 */
final readonly class Shown
{
    /** So many places of a piece at most, and of all pieces together. */
    private const PLACES = 700;

    private const MOST_PLACES = 16_000;

    /** Ways through an opening that are tried, and how finely it is looked about the best; ways in which something lies outermost. */
    private const WAYS = 240;

    private const SIDES = 600;

    private const FINER_DEG = [6.0, 3.0, 1.5, 0.7, 0.3];

    /** A way is better that needs less by this share: finer than a hand can tell. */
    private const BETTER = 1e-5;

    /** So much narrower something felted can be squeezed for a moment (house choices). */
    private const GIVES = ['squishy' => 0.3, 'soft' => 0.2, 'springy' => 0.12, 'firm' => 0.05, 'hard' => 0.02];

    /** With so much wire in it a part does not give. */
    private const WIRED_MM = 3.0;

    /** @param  non-empty-list<array{float, float, float, string}>  $places  mm in the figure's frame, and the key of the part */
    private function __construct(public Figure $figure, private array $places)
    {
    }

    /** @throws ShowRefused if the figure has no parts */
    public static function of(Figure $figure): self
    {
        $places = [];
        $pieces = array_sum(array_map(static fn (Part $part): int => $part->count(), $figure->parts));
        $most = min(self::PLACES, intdiv(self::MOST_PLACES, max(1, $pieces)));
        foreach ($figure->parts as $key => $part) {
            foreach ($part->placements() as $piece) {
                $all = array_merge(...$piece->rings());
                $every = max(1, intdiv(count($all), $most));
                foreach ($all as $i => [$x, $y, $z]) {
                    if ($i % $every === 0 || $i === count($all) - 1) {
                        $places[] = [$x, $y, $z, (string) $key];
                    }
                }
            }
        }

        return $places === [] ? throw ShowRefused::noParts() : new self($figure, self::outermost($places));
    }

    /**
     * The places that lie outermost some way: no opening touches another. As many ways as lie 7 degrees apart, so that a circle round them
     * is at most 0.2 % too small.
     *
     * @param  non-empty-list<array{float, float, float, string}>  $places
     * @return non-empty-list<array{float, float, float, string}>
     */
    private static function outermost(array $places): array
    {
        $kept = [];
        foreach (self::ways(self::SIDES, true) as [$u, $v, $w]) {
            $most = -INF;
            $at = 0;
            foreach ($places as $i => [$x, $y, $z]) {
                $far = $u * $x + $v * $y + $w * $z;
                if ($far > $most) {
                    [$most, $at] = [$far, $i];
                }
            }
            $kept[$at] = $places[$at];
        }

        return $kept === [] ? $places : array_values($kept);
    }

    /**
     * Ways evenly over a ball, or the upper half of it (Fibonacci's spiral).
     *
     * @return list<Vec3>
     */
    private static function ways(int $count, bool $isWhole): array
    {
        $ways = [];
        for ($i = 0; $i < $count; $i++) {
            $y = 1 - ($isWhole ? 2 : 1) * ($i + 0.5) / $count;
            $turn = $i * M_PI * (3 - sqrt(5));
            $ways[] = [sqrt(1 - $y * $y) * cos($turn), $y, sqrt(1 - $y * $y) * sin($turn)];
        }

        return $ways;
    }

    /** How high it is as it stands, mm. */
    public function heightMm(): float
    {
        $ys = array_column($this->places, 1);

        return max($ys) - min($ys);
    }

    /** How wide it is from the front, mm. */
    public function widthMm(): float
    {
        $xs = array_column($this->places, 0);

        return max($xs) - min($xs);
    }

    /** How wide a tube it just stands in, mm: the smallest circle round it, seen from above. */
    public function roundMm(): float
    {
        return 2 * $this->across([0.0, 1.0, 0.0])->radius;
    }

    /**
     * How wide an opening it just goes through, moved straight and turned as is best.
     *
     * @return array{mm: float, way: Vec3, parts: list<string>, gives: float} way: along which it goes; the parts that
     *     touch the rim, and by what share they give
     */
    public function opening(): array
    {
        $best = [INF, [0.0, 1.0, 0.0]];
        foreach (self::ways(self::WAYS, false) as $way) {
            $radius = $this->across($way)->radius;
            $best = $radius < $best[0] ? [$radius, $way] : $best;
        }
        foreach (self::FINER_DEG as $deg) {
            for ($isBetter = true; $isBetter;) {
                $isBetter = false;
                $from = $best[1];
                [$a, $b] = self::axes($from);
                for ($k = 0; $k < 8; $k++) {
                    $way = self::leant($from, $a, $b, deg2rad($deg), $k * M_PI / 4);
                    $radius = $this->across($way)->radius;
                    if ($radius < $best[0] * (1 - self::BETTER)) {
                        [$best, $isBetter] = [[$radius, $way], true];
                    }
                }
            }
        }
        $parts = $this->touching($best[1]);
        $gives = min(array_map(fn (string $key): float => $this->gives($key), $parts));

        return ['mm' => 2 * $best[0], 'way' => $best[1], 'parts' => $parts, 'gives' => $gives];
    }

    private function gives(string $key): float
    {
        $part = $this->figure->parts[$key];
        foreach ($this->figure->wires as $wire) {
            if (WireAdvice::insideMm($wire->pointsMm, $part) > self::WIRED_MM) {
                // Wire bends, and stays bent: it is no squeezing.
                return 0.0;
            }
        }

        return self::GIVES[$part->made->firmness->value];
    }

    /** @param  Vec3  $way */
    private function across(array $way): EnclosingCircle
    {
        [$a, $b] = self::axes($way);

        return EnclosingCircle::of(array_map(static fn (array $p): array => [
            $p[0] * $a[0] + $p[1] * $a[1] + $p[2] * $a[2],
            $p[0] * $b[0] + $p[1] * $b[1] + $p[2] * $b[2],
        ], $this->places));
    }

    /**
     * @param  Vec3  $way
     * @return non-empty-list<string> keys of the parts that touch the rim
     */
    private function touching(array $way): array
    {
        $circle = $this->across($way);
        [$a, $b] = self::axes($way);
        $parts = [];
        foreach ($this->places as [$x, $y, $z, $key]) {
            $out = hypot($x * $a[0] + $y * $a[1] + $z * $a[2] - $circle->x, $x * $b[0] + $y * $b[1] + $z * $b[2] - $circle->y);
            if ($out >= 0.995 * $circle->radius) {
                $parts[$key] = true;
            }
        }

        return array_map(strval(...), array_keys($parts)) ?: [(string) array_key_first($this->figure->parts)];
    }

    /**
     * Two ways at right angles to one, and to each other.
     *
     * @param  Vec3  $way
     * @return array{Vec3, Vec3}
     */
    private static function axes(array $way): array
    {
        [$x, $y, $z] = $way;
        $a = abs($y) < 0.9 ? [$z, 0.0, -$x] : [0.0, -$z, $y];
        $length = sqrt($a[0] ** 2 + $a[1] ** 2 + $a[2] ** 2);
        $a = [$a[0] / $length, $a[1] / $length, $a[2] / $length];

        return [$a, [$y * $a[2] - $z * $a[1], $z * $a[0] - $x * $a[2], $x * $a[1] - $y * $a[0]]];
    }

    /**
     * @param  Vec3  $way
     * @param  Vec3  $a
     * @param  Vec3  $b
     * @return Vec3
     */
    private static function leant(array $way, array $a, array $b, float $by, float $towards): array
    {
        [$c, $s] = [cos($by), sin($by)];
        [$u, $v] = [cos($towards) * $s, sin($towards) * $s];

        return [
            $c * $way[0] + $u * $a[0] + $v * $b[0],
            $c * $way[1] + $u * $a[1] + $v * $b[1],
            $c * $way[2] + $u * $a[2] + $v * $b[2],
        ];
    }
}
