<?php

declare(strict_types=1);

namespace Impa\Surface;

/**
 * Where a mark is pricked, as a tape and a pair of pins find it on the curved piece. Distances in mm. Immutable.
 */
final readonly class TapeMark
{
    /**
     * Straight pieces of the tape's course, an even number. Their sum is short of the arc by about the square of a piece's length, so
     * that the sum of half as many tells by how much (Richardson's extrapolation).
     */
    private const STEPS = 14;

    /**
     * @param  float  $acrossMm  by tape, level, from the middle line; to the right is positive
     * @param  float  $downMm  by tape from the crown down the middle line to the mark's level
     * @param  float  $pinMm  straight, pin to pin, from the middle line at that level
     */
    private function __construct(public float $acrossMm, public float $downMm, public float $pinMm)
    {
    }

    /** Where x, y lies on a surface; NAN throughout if it lies off it. */
    public static function on(Surface $surface, float $xMm, float $yMm): self
    {
        [$across, $middle, $height] = self::level($surface, $xMm, $yMm);

        return new self($xMm < 0 ? -$across : $across, self::downMm($surface, $yMm), hypot($xMm, $height - $middle));
    }

    /** By tape from the middle line to x, level, at y; never below 0. */
    public static function acrossMm(Surface $surface, float $xMm, float $yMm): float
    {
        return self::level($surface, $xMm, $yMm)[0];
    }

    /** @return Vec3 by tape from the middle line to x, at y, and the heights at either end */
    private static function level(Surface $surface, float $xMm, float $yMm): array
    {
        return self::tape(static fn (float $s, float $next): array => [$s * $xMm, $surface->heightMm($s * $xMm, $yMm, $next)]);
    }

    /**
     * By tape along what is seen as a straight line from one place to another, whatever way it curves towards the viewer.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public static function straightMm(Surface $surface, array $from, array $to): float
    {
        $long = hypot($to[0] - $from[0], $to[1] - $from[1]);

        return self::tape(static function (float $s, float $next) use ($surface, $from, $to, $long): array {
            return [
                $s * $long,
                $surface->heightMm($from[0] + $s * ($to[0] - $from[0]), $from[1] + $s * ($to[1] - $from[1]), $next),
            ];
        })[0];
    }

    /** By tape from the crown down the middle line to y. */
    public static function downMm(Surface $surface, float $yMm): float
    {
        $crown = $surface->crownMm();

        // Steep at the crown, so the steps close up there. Many marks share a level: it is measured once.
        return $surface->once(
            $yMm,
            static fn (): float => self::tape(static function (float $s, float $next) use ($surface, $crown, $yMm): array {
                $y = $crown + (1 - cos(($s * M_PI) / 2)) * ($yMm - $crown);

                return [$y, $s === 0.0 ? $surface->crownHeightMm() : $surface->heightMm(0.0, $y, $next)];
            })[0],
        );
    }

    /**
     * @param  callable(float, float): array{float, float}  $at  a point of the course for s from 0 to 1, next to a known height
     * @return Vec3 the length, and the heights at either end
     */
    private static function tape(callable $at): array
    {
        $fine = $coarse = 0.0;
        [$u, $v] = [$startU, $startV] = $at(0.0, NAN);
        $first = $v;
        for ($i = 1; $i <= self::STEPS; $i++) {
            [$nextU, $nextV] = $at($i / self::STEPS, $v);
            $fine += hypot($nextU - $u, $nextV - $v);
            [$u, $v] = [$nextU, $nextV];
            if ($i % 2 === 0) {
                $coarse += hypot($u - $startU, $v - $startV);
                [$startU, $startV] = [$u, $v];
            }
        }

        return [$fine + ($fine - $coarse) / 3, $first, $v];
    }
}
