<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

use Impa\Raster\Blob;

/** The four marks of a marker sheet on a photo. Immutable. */
final readonly class Marks
{
    /** A mark is dark and grey: so dark at most, its channels so near each other; and round. */
    private const DARK = 95.0;

    private const GREY = 40.0;

    private const ROUND = 1.8;

    /** Marks are alike in size up to this factor (the one with a hole is smaller); the smallest has so many cells. */
    private const ALIKE = 2.2;

    private const LEAST_CELLS = 8;

    /** A disc fills its box by pi / 4, one with a hole by more than this. */
    private const FILLS = 0.45;

    /**
     * @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $corners  in pixels of the
     *     photo: the sheet's upper left, upper right, lower right, lower left
     * @param  list<int>  $places  of the marks among the pieces
     */
    private function __construct(public array $corners, public array $places)
    {
    }

    /**
     * @param  list<non-empty-array<int, true>>  $pieces  what stands on the ground
     * @return ?self nothing where there are no four
     */
    public static function among(array $pieces, PhotoGround $ground, Photo $photo): ?self
    {
        $found = [];
        foreach ($pieces as $i => $piece) {
            if (count($piece) < self::LEAST_CELLS) {
                break;
            }
            $mark = self::mark($piece, $ground, $photo);
            if ($mark !== null) {
                $found[$i] = $mark;
            }
        }
        // Of all that look like marks those four that lie farthest out.
        $corners = [];
        foreach ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as [$sx, $sy]) {
            $best = null;
            foreach ($found as $i => [$x, $y]) {
                if ($best === null || $sx * $x + $sy * $y > $sx * $found[$best][0] + $sy * $found[$best][1]) {
                    $best = $i;
                }
            }
            $corners[] = $best;
        }
        if (in_array(null, $corners, true) || count(array_unique($corners)) < 4) {
            return null;
        }
        $sizes = array_map(static fn (int $i): int => count($pieces[$i]), $corners);
        if (max($sizes) > self::ALIKE * min($sizes)) {
            return null;
        }
        // The one with a hole is the sheet's lower left, wherever it lies on the photo.
        $hollow = array_map(static fn (int $i): float => $found[$i][2], $corners);
        $at = (int) array_search(max($hollow), $hollow, true);
        $turned = [...array_slice($corners, $at + 1), ...array_slice($corners, 0, $at + 1)];
        $middles = array_map(static fn (int $i): array => [$found[$i][0], $found[$i][1]], $turned);

        return new self([$middles[0], $middles[1], $middles[2], $middles[3]], $corners);
    }

    /** Whether a place of the photo, in pixels, lies between the four. */
    public function hold(float $x, float $y): bool
    {
        foreach ($this->corners as $i => [$ax, $ay]) {
            [$bx, $by] = $this->corners[($i + 1) % 4];
            // Round them with the clock: what is between them lies to the right of every side.
            if (($bx - $ax) * ($y - $ay) <= ($by - $ay) * ($x - $ax)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  non-empty-array<int, true>  $piece
     * @return ?array{float, float, float} its middle in pixels, and how light its middle is; nothing where it is no mark
     */
    private static function mark(array $piece, PhotoGround $ground, Photo $photo): ?array
    {
        $blob = Blob::of($piece, $ground->width);
        [$low, $high, $left, $right] = [INF, -INF, INF, -INF];
        $dark = $grey = 0.0;
        foreach ($piece as $i => $_) {
            [$x, $y] = [$i % $ground->width, intdiv($i, $ground->width)];
            [$low, $high, $left, $right] = [min($low, $y), max($high, $y), min($left, $x), max($right, $x)];
            $c = $photo->pixel($x * PhotoGround::CELL + 1, $y * PhotoGround::CELL + 1);
            $channels = [$c >> 16 & 255, $c >> 8 & 255, $c & 255];
            $dark += max($channels);
            $grey += max($channels) - min($channels);
        }
        $n = count($piece);
        $fills = $n / (($right - $left + 1) * ($high - $low + 1));
        if (
            $dark / $n > self::DARK || $grey / $n > self::GREY || $blob->elongation() > self::ROUND
            || $fills < self::FILLS
        ) {
            return null;
        }
        // Finely: the middle of all dark in and about its box, weighed by how dark.
        [$sx, $sy, $sum] = [0.0, 0.0, 0.0];
        $box = array_map(static fn (int|float $at): int => (int) $at * PhotoGround::CELL, [$left - 1, $low - 1, $right + 2, $high + 2]);
        for ($y = max(0, (int) $box[1]); $y < min($photo->height, (int) $box[3]); $y++) {
            for ($x = max(0, (int) $box[0]); $x < min($photo->width, (int) $box[2]); $x++) {
                $c = $photo->pixel($x, $y);
                $weight = max(0.0, 150.0 - ($c >> 8 & 255));
                [$sx, $sy, $sum] = [$sx + $weight * $x, $sy + $weight * $y, $sum + $weight];
            }
        }
        if ($sum <= 0.0) {
            return null;
        }
        [$mx, $my] = [$sx / $sum, $sy / $sum];

        return [$mx, $my, $photo->at($mx, $my)[1]];
    }
}
