<?php

declare(strict_types=1);

namespace Impa\Seeing\Assembly;

use Impa\Colour\Srgb;
use Impa\Raster\Blob;
use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\Piece;

/** Names for what is colour on the surface, by place and kind, as suggestions. */
final class MarkNames
{
    /** What is so many times longer than wide is no eye. */
    private const LINE = 4.0;

    /** The one eye of a head seen from its side: at most this share of it, so many times longer than wide, so far off its middle. */
    private const ONE_EYE = 0.06;

    private const ROUND = 2.5;

    private const OFF = 0.08;

    /** A mark on something larger than this share of its piece is no pupil and no spark, but on a face. */
    private const EYE = 0.15;

    /** Ink round a mark, of which no more than this share is seen, is its rim, where it is so even on all four sides. */
    public const RIM = 'Rim';

    private const RING = 0.7;

    private const EVEN = 0.35;

    /** What is wider than this share of the whole is a patch round an eye. */
    private const NARROW = 0.18;

    private const DARK = 45.0;

    /** @param  list<Mark>  $all */
    public static function of(Mark $mark, Piece $piece, bool $isPair, array $all, Srgb $colour, float $axis): string
    {
        $blob = $mark->blob;
        $share = $blob->area() / max(1, $piece->blob->area());
        $up = ($blob->middle[1] - $piece->fit->y) / max(1.0, $piece->fit->heightPx / 2);
        $inMiddle = abs($blob->middle[0] - $axis) < 0.12 * $piece->fit->widthPx;
        $lab = $colour->lab();
        $isRosy = $lab->a > 15 && $lab->l > 45;
        $carries = self::on($mark, $all) !== [];
        $bearer = self::bearer($mark, $all);
        $off = abs($blob->middle[0] - $piece->fit->x) / max(1.0, $piece->fit->widthPx);
        $isOneEye = str_starts_with($piece->name, 'Head') && $off > self::OFF && $up > -0.3 && self::isDark($colour)
            && $share < self::ONE_EYE && $blob->elongation() < self::ROUND;
        $isOnEye = $bearer !== null && $bearer->blob->area() < self::EYE * $piece->blob->area();

        return match (true) {
            str_starts_with($piece->name, 'Ear') => 'Inner ear',
            str_starts_with($piece->name, 'Body') && self::isFlatLine($blob) && $blob->box(0.0)[0] > 0.6 * $piece->fit->widthPx => 'Band',
            str_starts_with($piece->name, 'Body') && $share > 0.1 && $inMiddle => 'Belly',
            self::isDark($colour) && self::isRim($mark, $all) => self::RIM,
            $isOnEye && $lab->l > 85 && $share < 0.03 => 'Spark',
            $isOnEye && $share < 0.06 && $lab->l < 40 => 'Pupil',
            $share > 0.15 => 'Patch',
            $carries && $lab->l > 75 && ($isPair || $share < self::ONE_EYE) => 'Eye white',
            ! $isPair && $isOneEye => 'Eye',
            $isPair && $isRosy && $up < 0.15 => 'Cheek',
            $isPair && self::isFlatLine($blob) && $up > 0.1 => 'Brow',
            $isPair && $lab->l < 45 && $share < 0.08 && $blob->elongation() < self::LINE => 'Eye',
            $inMiddle && ! $isPair && $up < -0.05 && $blob->box(0.0)[0] > 1.3 * $blob->box(0.0)[1] => 'Mouth',
            $inMiddle && abs($up) < 0.35 && $share < 0.08 => 'Nose',
            $blob->elongation() > self::LINE => 'Line',
            default => 'Spot',
        };
    }

    /** Whether a colour may be that of ink, or of an eye. */
    public static function isDark(Srgb $colour): bool
    {
        return $colour->lab()->l < self::DARK;
    }

    /** @param  list<Mark>  $all */
    private static function isRim(Mark $mark, array $all): bool
    {
        $on = self::on($mark, $all);
        if ($on === [] || self::ringPx($mark, $all) > self::RING * $mark->blob->area()) {
            return false;
        }
        usort($on, static fn (Mark $a, Mark $b): int => $b->blob->area() <=> $a->blob->area());
        [$w, $h, $x, $y] = $mark->blob->box(0.0);
        [$inW, $inH, $inX, $inY] = $on[0]->blob->box(0.0);
        [$across, $up] = [($w - $inW) / 2, ($h - $inH) / 2];
        $sides = [$across - ($x - $inX), $across + ($x - $inX), $up - ($y - $inY), $up + ($y - $inY)];

        return min($sides) > 0 && min($sides) >= self::EVEN * max($sides) && min($across / $w, $up / $h) < self::NARROW;
    }

    /**
     * How many pixels of a mark are seen round what lies on it.
     *
     * @param  list<Mark>  $all
     */
    public static function ringPx(Mark $mark, array $all): int
    {
        $on = array_map(static fn (Mark $m): array => $m->blob->pixels, self::on($mark, $all));

        return count(array_diff_key($mark->blob->pixels, array_replace([], ...$on)));
    }

    /**
     * @param  list<Mark>  $all
     * @return list<Mark> those that lie on one
     */
    private static function on(Mark $mark, array $all): array
    {
        return array_values(array_filter(
            $all,
            static fn (Mark $m): bool => $m->on === $mark->on && $m->layer > $mark->layer
                && isset($mark->blob->pixels[(int) array_key_first($m->blob->pixels)]),
        ));
    }

    /**
     * @param  list<Mark>  $all
     * @return ?Mark the smallest one that it lies on; none where it lies on the piece itself
     */
    private static function bearer(Mark $mark, array $all): ?Mark
    {
        $bearer = null;
        foreach ($all as $other) {
            $isUnder = $other->on === $mark->on && $other->layer < $mark->layer
                && isset($other->blob->pixels[(int) array_key_first($mark->blob->pixels)]);
            if ($isUnder && ($bearer === null || $other->blob->area() < $bearer->blob->area())) {
                $bearer = $other;
            }
        }

        return $bearer;
    }

    private static function isFlatLine(Blob $blob): bool
    {
        [$w, $h] = $blob->box(0.0);

        return $w > 2.2 * $h;
    }
}
