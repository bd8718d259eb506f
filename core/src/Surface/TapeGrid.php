<?php

declare(strict_types=1);

namespace Impa\Surface;

use Impa\Geometry\Bisection;

/** A grid of tape millimetres as it lies on a curved piece: where so many mm across and down are seen. */
final class TapeGrid
{
    /** Tape distance between lines, and how finely they are followed. */
    public const STEP_MM = 5.0;

    private const LEVELS = 56;

    private const ACROSS = 64;

    /**
     * Lines in mm as seen from the surface's side, from the middle of the piece: `across` by tape distance from the
     * middle line (to the right; the left mirrors it), `down` by tape distance from the crown.
     *
     * @return array{
     *     stepMm: float, across: list<array{mm: float, points: list<array{float, float}>}>,
     *     down: list<array{mm: float, points: list<array{float, float}>}>, crownMm: float, footMm: float,
     * }
     */
    public static function of(Surface $surface): array
    {
        $crown = $surface->crownMm();
        $foot = -self::footDepth($surface);
        $across = $down = [];
        for ($i = 0; $i <= self::LEVELS; $i++) {
            $y = $foot + ($crown - $foot) * (0.5 - 0.5 * cos((M_PI * (0.5 + $i)) / (self::LEVELS + 1)));
            foreach (self::level($surface, $y) as $mm => $x) {
                $across[$mm][] = [round($x, 2), round($y, 2)];
            }
        }
        foreach (self::heights($surface, $crown, $foot) as $mm => $y) {
            $edge = self::edge($surface, $y);
            $down[] = ['mm' => (float) $mm, 'points' => [[round(-$edge, 2), round($y, 2)], [round($edge, 2), round($y, 2)]]];
        }
        ksort($across);
        $lines = [];
        foreach ($across as $mm => $points) {
            $lines[] = ['mm' => (float) $mm, 'points' => $points];
        }

        return [
            'stepMm' => self::STEP_MM,
            'across' => $lines,
            'down' => $down,
            'crownMm' => round($crown, 2),
            'footMm' => round($foot, 2),
        ];
    }

    /** @return array<int, float> x by tape mm across, on one level */
    private static function level(Surface $surface, float $y): array
    {
        $edge = self::edge($surface, $y);
        $found = [];
        $length = $x = 0.0;
        $height = $surface->heightMm(0.0, $y);
        for ($i = 1; $i <= self::ACROSS && ! is_nan($height); $i++) {
            $nextX = $edge * sin(((M_PI / 2) * $i) / self::ACROSS);
            $nextHeight = $surface->heightMm($nextX, $y, $height);
            if (is_nan($nextHeight)) {
                break;
            }
            $step = hypot($nextX - $x, $nextHeight - $height);
            for ($mark = self::STEP_MM * (floor($length / self::STEP_MM) + 1); $mark <= $length + $step; $mark += self::STEP_MM) {
                $found[(int) $mark] = $x + (($nextX - $x) * ($mark - $length)) / max(1e-9, $step);
            }
            [$length, $x, $height] = [$length + $step, $nextX, $nextHeight];
        }

        return $found;
    }

    /** @return array<int, float> y by tape mm down the middle line */
    private static function heights(Surface $surface, float $crown, float $foot): array
    {
        $found = [];
        $length = 0.0;
        $y = $crown;
        $height = $surface->heightMm(0.0, $crown);
        for ($i = 1; $i <= 2 * self::ACROSS && ! is_nan($height); $i++) {
            $nextY = $crown + ($foot - $crown) * (0.5 - 0.5 * cos((M_PI * $i) / (2 * self::ACROSS)));
            $nextHeight = $surface->heightMm(0.0, $nextY, $height);
            if (is_nan($nextHeight)) {
                break;
            }
            $step = hypot($nextY - $y, $nextHeight - $height);
            for ($mark = self::STEP_MM * (floor($length / self::STEP_MM) + 1); $mark <= $length + $step; $mark += self::STEP_MM) {
                $found[(int) $mark] = $y + (($nextY - $y) * ($mark - $length)) / max(1e-9, $step);
            }
            [$length, $y, $height] = [$length + $step, $nextY, $nextHeight];
        }

        return $found;
    }

    private static function edge(Surface $surface, float $y): float
    {
        return Bisection::of(static fn (float $mm): bool => $surface->has($mm, $y));
    }

    private static function footDepth(Surface $surface): float
    {
        return Bisection::of(static fn (float $mm): bool => $surface->has(0.0, -$mm));
    }
}
