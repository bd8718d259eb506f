<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

/** The smallest circle round points in a plane (Welzl 1991, moving to the front). Immutable. */
final readonly class EnclosingCircle
{
    /** A point lies in the circle if it is no farther out than this share of the radius. */
    private const IN = 1 + 1e-9;

    private function __construct(public float $x, public float $y, public float $radius)
    {
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    public static function of(array $points): self
    {
        // Of a hull only, which is small: the incremental form is quick enough, and needs no dice.
        $hull = count($points) > 3 ? Hull::of($points) : $points;
        $circle = new self($hull[0][0] ?? $points[0][0], $hull[0][1] ?? $points[0][1], 0.0);
        $n = count($hull);
        for ($i = 1; $i < $n; $i++) {
            if ($circle->holds($hull[$i])) {
                continue;
            }
            $circle = new self($hull[$i][0], $hull[$i][1], 0.0);
            for ($j = 0; $j < $i; $j++) {
                if ($circle->holds($hull[$j])) {
                    continue;
                }
                $circle = self::over($hull[$i], $hull[$j]);
                for ($k = 0; $k < $j; $k++) {
                    $circle = $circle->holds($hull[$k]) ? $circle : self::through($hull[$i], $hull[$j], $hull[$k]);
                }
            }
        }

        return $circle;
    }

    /** @param  array{float, float}  $point */
    public function holds(array $point): bool
    {
        return hypot($point[0] - $this->x, $point[1] - $this->y) <= $this->radius * self::IN + 1e-12;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    private static function over(array $a, array $b): self
    {
        return new self(($a[0] + $b[0]) / 2, ($a[1] + $b[1]) / 2, hypot($a[0] - $b[0], $a[1] - $b[1]) / 2);
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private static function through(array $a, array $b, array $c): self
    {
        [$bx, $by, $cx, $cy] = [$b[0] - $a[0], $b[1] - $a[1], $c[0] - $a[0], $c[1] - $a[1]];
        $d = 2 * ($bx * $cy - $by * $cx);
        if (abs($d) < 1e-12) {
            // On one line: over the two that lie farthest apart.
            $pairs = [self::over($a, $b), self::over($a, $c), self::over($b, $c)];
            usort($pairs, static fn (self $p, self $q): int => $q->radius <=> $p->radius);

            return $pairs[0];
        }
        $x = ($cy * ($bx ** 2 + $by ** 2) - $by * ($cx ** 2 + $cy ** 2)) / $d;
        $y = ($bx * ($cx ** 2 + $cy ** 2) - $cx * ($bx ** 2 + $by ** 2)) / $d;

        return new self($a[0] + $x, $a[1] + $y, hypot($x, $y));
    }
}
