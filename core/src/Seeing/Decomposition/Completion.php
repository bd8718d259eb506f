<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Raster\Blob;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Fitting\Samples;
use Impa\Shape\ShapeKind;

/**
 * How a limb goes on behind what hides its end (amodal completion): a roll whose sides run on to another part keeps its course and is
 * rooted as deep in it as it is thick, which is about what a felter needs to fix it.
 */
final class Completion
{
    /** What is longer than wide by so much is a limb that ends where the other part begins. */
    private const LONG = 1.35;

    /** A stub between two parts is at most so many times wider than what is seen of it is long. */
    private const STUB = 3.5;

    /** And at most so large as a share of the part that hides most of it. */
    private const SMALL = 0.25;

    /** An end is hidden when such a share of what lies beyond it belongs to other parts, and free below another. */
    private const HIDDEN = 0.6;

    private const STUB_HIDDEN = 0.8;

    private const FREE = 0.6;

    /** Beyond an end is looked at so many pixels, and as a share of the width so far to both sides. */
    private const BEYOND_PX = 4;

    private const ASIDE = 0.35;

    /** How deep it is rooted in the other part, as a share of its own width (house choice). */
    private const ROOTED = 0.45;

    /** A completed limb may lie over so much more ground, as a share of its box. */
    private const STICKS_OUT = 0.03;

    /** Samples each way by which a stub's roll is measured. */
    private const LOOKS = 38;

    /** Kinds that keep their course. */
    private const ROLLS = [ShapeKind::Sausage, ShapeKind::Drum, ShapeKind::Drumstick];

    /**
     * @param  list<int>  $map  piece per pixel, -1 for the ground
     * @param  array<int, int>  $areas  pixels by piece
     */
    public static function of(Fit $fit, Blob $blob, int $own, array $map, array $areas): Fit
    {
        [$w, $h, $x, $y] = $blob->box($fit->turnDeg);
        $ends = [];
        foreach ([[0.0, 1.0], [0.0, -1.0], [1.0, 0.0], [-1.0, 0.0]] as [$across, $along]) {
            $ends[] = self::hidden([$w, $h, $x, $y], $fit->turnDeg, $across, $along, $own, $map, $blob->width);
        }
        [$above, $below, $right, $left] = $ends;
        if (self::isStub($above, $below, $right, $left) && self::isSmall($blob, $w, $h, $above[1], $below[1], $areas)) {
            $roll = self::roll($w, $h + 2 * self::ROOTED * $w, $x, $y, $fit->turnDeg);

            return self::onFigure($roll->measured(Samples::of($blob, $map, self::LOOKS, 2.0)), $fit, $map, $blob->width);
        }
        if (self::isStub($right, $left, $above, $below) && self::isSmall($blob, $h, $w, $right[1], $left[1], $areas)) {
            $roll = self::roll($h, $w + 2 * self::ROOTED * $h, $x, $y, Fit::angle($fit->turnDeg + 90.0));

            return self::onFigure($roll->measured(Samples::of($blob, $map, self::LOOKS, 2.0)), $fit, $map, $blob->width);
        }
        $isLimb = in_array($fit->kind, self::ROLLS, true) && $h >= self::LONG * $w;
        if (! $isLimb || ($above[0] > self::HIDDEN) === ($below[0] > self::HIDDEN)) {
            return $fit;
        }

        return self::onFigure(self::rooted($fit, [$w, $h, $x, $y], $above[0] > self::HIDDEN ? 1.0 : -1.0), $fit, $map, $blob->width);
    }

    /**
     * The completed fit, unless it would stick out over more ground than before: behind a thin part there is no room for a root.
     *
     * @param  list<int>  $map
     */
    private static function onFigure(Fit $completed, Fit $fit, array $map, int $width): Fit
    {
        return self::overGround($completed, $map, $width) > self::overGround($fit, $map, $width) + self::STICKS_OUT ? $fit : $completed;
    }

    /**
     * Share of a fit's box, less its corners, that lies over the ground.
     *
     * @param  list<int>  $map
     */
    private static function overGround(Fit $fit, array $map, int $width): float
    {
        [$c, $s] = [cos(deg2rad($fit->turnDeg)), sin(deg2rad($fit->turnDeg))];
        $ground = $looked = 0;
        for ($i = -4; $i <= 4; $i++) {
            for ($j = -2; $j <= 2; $j++) {
                [$u, $v] = [$j / 5 * $fit->widthPx, $i / 9 * $fit->heightPx];
                $column = (int) floor($fit->x + $u * $c - $v * $s);
                $row = (int) floor(-($fit->y + $u * $s + $v * $c));
                $looked++;
                $ground += (int) ($column < 0 || $column >= $width || $row < 0 || ($map[$row * $width + $column] ?? -1) < 0);
            }
        }

        return $ground / $looked;
    }

    /**
     * @param  array{float, int}  $one
     * @param  array{float, int}  $other
     * @param  array{float, int}  $side
     * @param  array{float, int}  $otherSide
     */
    private static function isStub(array $one, array $other, array $side, array $otherSide): bool
    {
        return min($one[0], $other[0]) > self::STUB_HIDDEN && max($side[0], $otherSide[0]) <= self::FREE && $one[1] !== $other[1];
    }

    /** @param  array<int, int>  $areas */
    private static function isSmall(Blob $blob, float $wide, float $long, int $one, int $other, array $areas): bool
    {
        return $wide < self::STUB * $long && $blob->area() < self::SMALL * max($areas[$one] ?? 0, $areas[$other] ?? 0);
    }

    private static function roll(float $wide, float $long, float $x, float $y, float $turnDeg): Fit
    {
        return new Fit(kind: ShapeKind::Sausage, widthPx: $wide, heightPx: $long, x: $x, y: $y, turnDeg: $turnDeg);
    }

    /**
     * The fit drawn out at one end until it reaches as deep behind the other part as it is wide there.
     *
     * @param  array{float, float, float, float}  $box  of what is seen of it, in its own frame
     * @param  float  $up  1 for its upper end, -1 for its lower
     */
    private static function rooted(Fit $fit, array $box, float $up): Fit
    {
        [$c, $s] = [cos(deg2rad($fit->turnDeg)), sin(deg2rad($fit->turnDeg))];
        $along = static fn (float $x, float $y): float => $y * $c - $x * $s;
        $seenEnd = $up * $along($box[2], $box[3]) + $box[1] / 2;
        $reach = $seenEnd + self::ROOTED * min($fit->widthPx, $box[0]) - ($up * $along($fit->x, $fit->y) + $fit->heightPx / 2);
        if ($reach <= 0.0) {
            return $fit;
        }

        return $fit->drawnOut($reach, $up);
    }

    /**
     * How much of what lies beyond an end of a box belongs to other parts, and to which most.
     *
     * @param  array{float, float, float, float}  $box
     * @param  list<int>  $map
     * @return array{float, int}
     */
    private static function hidden(array $box, float $turnDeg, float $across, float $along, int $own, array $map, int $width): array
    {
        [$w, $h, $x, $y] = $box;
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        $others = [];
        $looked = 0;
        for ($out = 1; $out <= self::BEYOND_PX; $out++) {
            foreach ([-1.0, -0.5, 0.0, 0.5, 1.0] as $aside) {
                $u = $across * ($w / 2 + $out) + $aside * self::ASIDE * $w * abs($along);
                $v = $along * ($h / 2 + $out) + $aside * self::ASIDE * $h * abs($across);
                $column = (int) floor($x + $u * $c - $v * $s);
                $row = (int) floor(-($y + $u * $s + $v * $c));
                $piece = $column < 0 || $column >= $width || $row < 0 ? -1 : $map[$row * $width + $column] ?? -1;
                if ($piece !== $own) {
                    $looked++;
                    $others[$piece] = ($others[$piece] ?? 0) + ($piece >= 0 ? 1 : 0);
                }
            }
        }
        arsort($others);

        return [array_sum($others) / max(1, $looked), (int) (array_key_first($others) ?? -1)];
    }
}
