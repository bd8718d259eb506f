<?php

declare(strict_types=1);

namespace Impa\Raster;

use Impa\Colour\LabTable;
use Impa\Geometry\Homography;
use Impa\Geometry\Outline\Hull;
use Impa\Geometry\Outline\Polygon;
use Impa\Raster\File\PictureRefused;

/**
 * A sheet of paper, or a screen, on a photo: four corners from the upper left one on clockwise, in shares of the picture. Straightened it
 * is a picture of its own, as if the camera had stood right above it. Immutable.
 *
 * @phpstan-type Corners array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}
 */
final readonly class Sheet
{
    /** The longer side of a straightened picture, at most. */
    private const MOST_PX = 1200;

    /** A sheet is at least such a share of the picture. */
    private const LEAST = 0.04;

    /** Looked for in a picture so small; found where it is so much of it, and fills its corners so well. */
    private const LOOK_PX = 160;

    private const FOUND = [0.15, 0.97];

    private const FILLS = [0.9, 1.12];

    /** It lies askew where a corner is so far from the picture's own, as a share of it. */
    private const ASKEW = 0.02;

    /** The camera's word for its aspect is believed within this factor of what its sides say. */
    private const BELIEVED = 1.5;

    private const QUALITY = 95;

    /** So much of it along its edge is left out, for corners are never quite met. */
    private const RIM = 0.005;

    /** @param  Corners  $corners */
    private function __construct(public array $corners)
    {
    }

    /**
     * @param  array<mixed>  $corners  as they came
     *
     * @throws PictureRefused if they are no corners of a sheet
     */
    public static function of(array $corners): self
    {
        $points = [];
        foreach (array_values($corners) as $corner) {
            if (! is_array($corner) || ! is_numeric($corner[0] ?? null) || ! is_numeric($corner[1] ?? null)) {
                throw PictureRefused::noSheet();
            }
            $points[] = [(float) $corner[0], (float) $corner[1]];
            // Asked for by name: comparisons with what is no number are not to be relied on everywhere.
            if (is_nan($points[count($points) - 1][0] + $points[count($points) - 1][1])) {
                throw PictureRefused::noSheet();
            }
        }
        if (count($points) !== 4 || min([...array_merge(...$points), 0.0]) < 0 || max([...array_merge(...$points), 1.0]) > 1) {
            throw PictureRefused::noSheet();
        }
        foreach ($points as $i => [$x, $y]) {
            [[$bx, $by], [$cx, $cy]] = [$points[($i + 1) % 4], $points[($i + 2) % 4]];
            // Each corner turns clockwise as seen, and not by next to nothing.
            if (! (($bx - $x) * ($cy - $by) - ($by - $y) * ($cx - $bx) > self::LEAST / 4)) {
                throw PictureRefused::noSheet();
            }
        }

        return new self([$points[0], $points[1], $points[2], $points[3]]);
    }

    /** The sheet on a photo, where one light patch with four corners lies on something darker; else null. */
    public static function on(Raster $raster): ?self
    {
        // A drawing that was cut out is no photo.
        if (array_filter($raster->pixels, static fn (int $p): bool => $p >> 24 > 0) !== []) {
            return null;
        }
        $light = [];
        $threshold = self::threshold(array_map(static fn (int $p): float => LabTable::of($p)[0], $raster->pixels));
        foreach ($raster->pixels as $i => $pixel) {
            if (LabTable::of($pixel)[0] > $threshold) {
                $light[$i] = true;
            }
        }
        $patch = ConnectedComponents::ofSet($light, $raster->width)[0] ?? [];
        $points = array_map(
            static fn (int $i): array => [$i % $raster->width + 0.5, intdiv($i, $raster->width) + 0.5],
            array_keys($patch),
        );
        $hull = Hull::of($points);
        if (count($hull) < 4) {
            return null;
        }
        $farthest = static function (float $x, float $y) use ($hull): array {
            usort($hull, static fn (array $a, array $b): int => $b[0] * $x + $b[1] * $y <=> $a[0] * $x + $a[1] * $y);

            return $hull[0];
        };
        $corners = [$farthest(-1, -1), $farthest(1, -1), $farthest(1, 1), $farthest(-1, 1)];
        $area = abs(Polygon::signedArea($corners));
        $all = count($raster->pixels);
        $isSheet = $area > self::FOUND[0] * $all && $area < self::FOUND[1] * $all
            && abs(Polygon::signedArea($hull)) / $area > self::FILLS[0] && abs(Polygon::signedArea($hull)) / $area < self::FILLS[1];
        if (! $isSheet) {
            return null;
        }
        try {
            return self::of(array_map(
                static fn (array $c): array => [min(1.0, $c[0] / $raster->width), min(1.0, $c[1] * $raster->width / $all)],
                $corners,
            ));
        } catch (PictureRefused) {
            return null;
        }
    }

    /**
     * The sheet on a photo's file.
     *
     * @throws PictureRefused if the file is no usable picture
     */
    public static function find(string $bytes): ?self
    {
        return self::on(Raster::decode($bytes, self::LOOK_PX));
    }

    /** Whether it is seen from aside, or does not fill the picture. */
    public function isAskew(): bool
    {
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as $i => [$x, $y]) {
            if (hypot($this->corners[$i][0] - $x, $this->corners[$i][1] - $y) > self::ASKEW) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  string  $bytes  the photo's file
     * @return string a file of the sheet alone: JPEG of a JPEG or WebP, whose halos stay what they are; else PNG
     *
     * @throws PictureRefused if the file is no usable picture
     */
    public function straightened(string $bytes): string
    {
        $photo = Raster::image($bytes);
        [$w, $h] = [imagesx($photo), imagesy($photo)];
        $corners = array_map(static fn (array $c): array => [$c[0] * $w, $c[1] * $h], $this->corners);
        $map = Homography::onto($corners);
        [$width, $height] = self::size($map, $corners, $w, $h);
        $flat = imagecreatetruecolor($width, $height);
        $inwards = static fn (float $share): float => self::RIM + $share * (1 - 2 * self::RIM);
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                [$fromX, $fromY] = $map->at($inwards(($x + 0.5) / $width), $inwards(($y + 0.5) / $height));
                imagesetpixel($flat, $x, $y, self::between($photo, $fromX - 0.5, $fromY - 0.5, $w, $h));
            }
        }
        ob_start();
        in_array(Raster::header($bytes)[2], Raster::LOSSY, true) ? imagejpeg($flat, null, self::QUALITY) : imagepng($flat);

        return (string) ob_get_clean();
    }

    /**
     * @param  Corners  $corners  in pixels
     * @return array{int<16, max>, int<16, max>} width and height of the straightened picture
     */
    private static function size(Homography $map, array $corners, int $photoWidth, int $photoHeight): array
    {
        $side = static function (int $i) use ($corners): float {
            [[$ax, $ay], [$bx, $by]] = [$corners[$i], $corners[($i + 1) % 4]];

            return hypot($bx - $ax, $by - $ay);
        };
        [$across, $down] = [($side(0) + $side(2)) / 2, ($side(1) + $side(3)) / 2];
        $aspect = $map->aspect($photoWidth / 2, $photoHeight / 2);
        $seen = $across / $down;
        $isBelieved = $aspect !== null && max($aspect / $seen, $seen / $aspect) < self::BELIEVED;
        $aspect = $isBelieved ? $aspect : $seen;
        $longer = min(self::MOST_PX, max($across, $down));

        return [max(16, (int) round($longer * min(1.0, $aspect))), max(16, (int) round($longer * min(1.0, 1 / $aspect)))];
    }

    /** The colour between four pixels (bilinear interpolation). */
    private static function between(\GdImage $photo, float $x, float $y, int $width, int $height): int
    {
        $x = max(0.0, min($width - 1.001, $x));
        $y = max(0.0, min($height - 1.001, $y));
        [$i, $j] = [(int) $x, (int) $y];
        [$right, $below] = [min($width - 1, $i + 1), min($height - 1, $j + 1)];
        [$s, $t] = [$x - $i, $y - $j];
        $one = imagecolorat($photo, $i, $j);
        $two = imagecolorat($photo, $right, $j);
        $three = imagecolorat($photo, $i, $below);
        $four = imagecolorat($photo, $right, $below);
        $mixed = 0;
        foreach ([16, 8, 0] as $shift) {
            $upper = ($one >> $shift & 255) * (1 - $s) + ($two >> $shift & 255) * $s;
            $lower = ($three >> $shift & 255) * (1 - $s) + ($four >> $shift & 255) * $s;
            $mixed |= (int) round($upper * (1 - $t) + $lower * $t) << $shift;
        }

        return $mixed;
    }

    /**
     * The lightness that parts light from dark best (Otsu 1979).
     *
     * @param  list<float>  $values  0 to 100
     */
    private static function threshold(array $values): float
    {
        $counts = array_fill(0, 101, 0);
        foreach ($values as $value) {
            $counts[(int) max(0, min(100, round($value)))]++;
        }
        $all = count($values);
        $sum = array_sum(array_map(static fn (int $v, int $n): int => $v * $n, array_keys($counts), $counts));
        $best = [-1.0, 50];
        $below = $sumBelow = 0;
        foreach ($counts as $value => $count) {
            $below += $count;
            $sumBelow += $value * $count;
            if ($below === 0 || $below === $all) {
                continue;
            }
            $between = $below * ($all - $below) * ($sumBelow / $below - ($sum - $sumBelow) / ($all - $below)) ** 2;
            $best = $between > $best[0] ? [$between, $value] : $best;
        }

        return $best[1] + 0.5;
    }
}
