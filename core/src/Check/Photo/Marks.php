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

    /** What is lighter is paper, and counts for nothing where its middle is. */
    private const LIT = 150.0;

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
        $columns = array_map(static fn (int $i): int => $i % $ground->width, array_keys($piece));
        $rows = array_map(static fn (int $i): int => intdiv($i, $ground->width), array_keys($piece));
        [$left, $right, $low, $high] = [min($columns), max($columns), min($rows), max($rows)];
        if (min($left, $low, $ground->width - 1 - $right, $ground->height - 1 - $high) < 1) {
            return null;
        }
        $dark = $grey = 0.0;
        foreach ($columns as $k => $x) {
            $channels = $photo->rgb(PhotoGround::CELL * $x + 1, PhotoGround::CELL * $rows[$k] + 1);
            $dark += max($channels);
            $grey += max($channels) - min($channels);
        }
        $n = count($piece);
        $fills = $n / (($right - $left + 1) * ($high - $low + 1));
        $isRound = Blob::of($piece, $ground->width)->elongation() <= self::ROUND && $fills >= self::FILLS;
        if ($dark / $n > self::DARK || $grey / $n > self::GREY || ! $isRound) {
            return null;
        }
        // Finely: the middle of all dark in and about its box, weighed by how dark.
        [$sx, $sy, $sum] = [0.0, 0.0, 0.0];
        for ($y = PhotoGround::CELL * ($low - 1); $y < PhotoGround::CELL * ($high + 2); $y++) {
            for ($x = PhotoGround::CELL * ($left - 1); $x < PhotoGround::CELL * ($right + 2); $x++) {
                $weight = max(0.0, self::LIT - $photo->rgb($x, $y)[1]);
                [$sx, $sy, $sum] = [$sx + $weight * $x, $sy + $weight * $y, $sum + $weight];
            }
        }
        [$mx, $my] = [$sx / $sum, $sy / $sum];

        return [$mx, $my, $photo->at($mx, $my)[1]];
    }
}
