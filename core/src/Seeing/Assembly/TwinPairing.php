<?php

declare(strict_types=1);

namespace Impa\Seeing\Assembly;

use Impa\Raster\Blob;
use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Segmentation\Extent;
use Impa\Seeing\Segmentation\MiddleLine;
use Impa\Seeing\Segmentation\Region;

/** Makes one of mirrored twins. */
final class TwinPairing
{
    /** Twins lie so near to each other's mirror image, as a share of the figure's height. */
    private const NEAR = 0.045;

    /** Twins differ in area by no more than this share. */
    private const ALIKE = 0.3;

    /** The middles of their completed shapes mirror to so much, as a share of the side of a square of their area. */
    private const BESIDE = 0.25;

    /** Each stands on its own side with so much of it: what straddles the middle line is no twin. */
    private const OWN_SIDE = 0.8;

    /** And so much of one lies on the other's mirror image. */
    private const SAME_FORM = 0.7;

    /** So near to the middle line as a share of the figure's height, a piece is meant to stand on it. */
    private const ON_AXIS = 0.012;

    /** A piece that lies on its own mirror image by so much is drawn even: leaning less than so many degrees, it is straight. */
    private const EVEN = 0.95;

    private const LEANS_DEG = 8.0;

    /**
     * @param  array<int, Piece>  $pieces
     * @return array<int, Piece> twins' left ones gone, their right ones mirrored and evened out
     */
    public static function of(array $pieces, float $axis): array
    {
        $height = Extent::of(array_map(static fn (Piece $p): Region => $p->region, $pieces))->heightPx();
        foreach ($pieces as $i => $right) {
            foreach ($pieces as $j => $left) {
                if (
                    $i !== $j &&
                    isset($pieces[$i], $pieces[$j]) &&
                    ! $right->mirror &&
                    $right->fit->x > $axis &&
                    self::areTwins($right, $left, $axis, $height)
                ) {
                    $right->mirror = true;
                    $right->twin = $j;
                    $right->fit = $right->fit->mean($left->fit->mirrored($axis));
                    unset($pieces[$j]);
                }
            }
        }

        return $pieces;
    }

    /**
     * Single pieces that stand close to the middle line are put on it, and those that are drawn even are put straight.
     *
     * @param  array<int, Piece>  $pieces
     */
    public static function straighten(array $pieces, float $axis): void
    {
        $height = Extent::of(array_map(static fn (Piece $p): Region => $p->region, $pieces))->heightPx();
        foreach ($pieces as $piece) {
            if ($piece->mirror || abs($piece->fit->x - $axis) >= self::ON_AXIS * $height) {
                continue;
            }
            $square = 90.0 * round($piece->fit->turnDeg / 90.0);
            $isStraight =
                abs($piece->fit->turnDeg - $square) < self::LEANS_DEG && self::sameForm($piece->blob, $piece->blob) > self::EVEN;
            $piece->fit = $piece->fit->standing($axis, $isStraight ? $square : $piece->fit->turnDeg);
        }
    }

    /** Whether two blobs' middles and areas mirror each other about a line. */
    public static function mirrors(Blob $one, Blob $two, float $axis, float $heightPx): bool
    {
        // Small things must match more closely: two sparks on the same side of their eyes are no mirrored pair.
        $near = min(self::NEAR * $heightPx, 0.3 * sqrt($one->area()) + 1);

        return abs($one->middle[0] + $two->middle[0] - 2 * $axis) < 2 * $near &&
            abs($one->middle[1] - $two->middle[1]) < 2 * $near &&
            abs($one->area() / $two->area() - 1) < self::ALIKE &&
            abs($one->middle[0] - $axis) > 0.25 * sqrt($one->area());
    }

    private static function areTwins(Piece $right, Piece $left, float $axis, float $height): bool
    {
        return $right->region->label === $left->region->label &&
            self::mirrors($right->blob, $left->blob, $axis, $height) &&
            MiddleLine::rightOf($right->blob, $axis) > self::OWN_SIDE &&
            MiddleLine::rightOf($left->blob, $axis) < 1 - self::OWN_SIDE &&
            // What they go on to behind their neighbours must mirror as well.
            abs($right->fit->x + $left->fit->x - 2 * $axis) < self::BESIDE * sqrt($right->blob->area()) &&
            self::sameForm($right->blob, $left->blob) > self::SAME_FORM;
    }

    /** Share of one that lies on the other's mirror image when their middles lie on each other: a straight arm is no twin of a bent one. */
    private static function sameForm(Blob $one, Blob $two): float
    {
        $on = 0;
        foreach ($one->pixels as $i => $_) {
            $x = (int) floor($two->middle[0] + $one->middle[0] - ($i % $one->width) - 0.5);
            $y = (int) floor(-$two->middle[1] + intdiv($i, $one->width) + 0.5 + $one->middle[1]);
            $on += (int) isset($two->pixels[$y * $two->width + $x]);
        }

        return $on / $one->area();
    }
}
