<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

use Impa\Geometry\Outline\Hull;
use Impa\Geometry\Outline\Polygon;
use Impa\Raster\DistanceTransform;

/**
 * Nets of drawn lines: where ink parts a patch that is enclosed by others of its own colour, and all of them are one plain form, as a
 * shell's plates are, nothing is joined there; the lines lie on one piece.
 */
final class LineNets
{
    /** A patch in a net lies among so many others of its colour at least, and so much of its edge is along them. */
    private const AROUND = 4;

    private const ENCLOSED = 0.9;

    /** All of them fill so much of their convex hull: a character's head among its ears and limbs does not. */
    private const PLAIN = 0.9;

    /** A line of it is so many times as long as the ink is wide. */
    private const LONG = 1.5;

    /**
     * @param  array<int, Region>  $all  patches after the ink was given to them
     * @param  list<int>  $numbers  patch per pixel
     * @return list<non-empty-array<int, true>> the patches of each net
     */
    public static function of(array $all, array $numbers, int $width): array
    {
        $nets = [];
        foreach ($all as $region) {
            $around = array_filter(
                $region->contact,
                static fn (int $other): bool => $other >= 0 && $all[$other]->label === $region->label,
                ARRAY_FILTER_USE_KEY,
            );
            if (count($around) < self::AROUND || array_sum($around) < self::ENCLOSED * $region->edge) {
                continue;
            }
            $net = [$region->index => true] + array_map(static fn (): bool => true, $around);
            foreach ($nets as $k => $other) {
                if (array_intersect_key($net, $other) !== []) {
                    $net += $other;
                    unset($nets[$k]);
                }
            }
            $nets[] = $net;
        }

        return array_values(array_filter($nets, static fn (array $net): bool => self::isPlain($net, $all, $numbers, $width)));
    }

    /**
     * The lines of a net, one for each two patches that it parts.
     *
     * @param  non-empty-array<int, true>  $net
     * @param  list<int>  $numbers  patch per pixel after the ink was given away
     * @param  list<bool>  $isInk
     * @param  float  $widePx  how wide the ink is
     * @return list<non-empty-array<int, true>>
     */
    public static function lines(array $net, array $numbers, array $isInk, int $width, float $widePx): array
    {
        $seeds = array_fill(0, count($numbers), -1);
        $pairs = [];
        foreach ($numbers as $i => $one) {
            foreach (($i + 1) % $width > 0 ? [$i + 1, $i + $width] : [$i + $width] as $j) {
                $two = $numbers[$j] ?? -1;
                if ($one !== $two && isset($net[$one], $net[$two])) {
                    $pairs[min($one, $two).' '.max($one, $two)] ??= count($pairs);
                    $seeds[$i] = $pairs[min($one, $two).' '.max($one, $two)];
                }
            }
        }
        [$far, $nearest] = DistanceTransform::from(array_values($seeds), $width);
        $outside = DistanceTransform::from(array_map(static fn (int $n): int => isset($net[$n]) ? -1 : 0, $numbers), $width)[0];
        $wide = $widePx * DistanceTransform::SIDE;
        $lineOf = [];
        foreach ($numbers as $i => $number) {
            if (isset($net[$number]) && $isInk[$i] && $far[$i] <= $wide && $outside[$i] > $wide) {
                $lineOf[$i] = $nearest[$i];
            }
        }
        $lines = [];
        foreach ($lineOf as $i => $line) {
            // Lines that meet are two all the same: a crack between them is felted over.
            $isCrack = max($lineOf[$i + 1] ?? -1, $lineOf[$i + $width] ?? -1, $lineOf[$i - 1] ?? -1, $lineOf[$i - $width] ?? -1) > $line;
            if (! $isCrack) {
                $lines[$line][$i] = true;
            }
        }

        return array_values(array_filter($lines, static fn (array $line): bool => count($line) > self::LONG * $widePx ** 2));
    }

    /**
     * @param  non-empty-array<int, true>  $net
     * @param  array<int, Region>  $all
     * @param  list<int>  $numbers
     */
    private static function isPlain(array $net, array $all, array $numbers, int $width): bool
    {
        $rim = [];
        foreach ($numbers as $i => $number) {
            if (isset($net[$number]) && ! (isset($net[$numbers[$i - 1] ?? -1]) && isset($net[$numbers[$i + 1] ?? -1]))) {
                $rim[] = [(float) ($i % $width), (float) intdiv($i, $width)];
            }
        }
        $area = array_sum(array_map(static fn (Region $r): int => $r->area, array_intersect_key($all, $net)));

        return count($rim) > 2 && $area > self::PLAIN * abs(Polygon::signedArea(Hull::of($rim)));
    }
}
