<?php

declare(strict_types=1);

namespace Impa\Seeing\Assembly;

use Impa\Raster\Blob;
use Impa\Raster\ConnectedComponents;
use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\PartExtraction;
use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Segmentation\Regions;
use RuntimeException;

/**
 * Lays the seen shapes over the drawing, back to front, and looks where the colour shown is not the colour drawn: what
 * is large enough of that becomes a mark on the shape it lies on.
 */
final class Layering
{
    /** A wrong patch counts from this share of the figure, not counting its rim. */
    private const LEAST = 0.0035;

    private const MOST = 10;

    /** What is thinner than this share of the figure's side, were it a square, is a sliver along a seam. */
    private const SLIVER = 0.025;

    /** Twins on the other side are painted under this number and more. */
    private const TWIN = 100_000;

    /**
     * @param  array<int, Piece>  $pieces  in place, twins made one
     * @return list<Mark>
     */
    public static function missed(array $pieces, PartExtraction $extraction, Regions $regions, float $axis): array
    {
        $seen = self::seen($pieces, $regions, $axis);
        $shown = self::shown($seen, $pieces, $extraction);
        $labels = $wrong = [];
        $top = 1;
        foreach ($extraction->marks as $mark) {
            $top = max($top, $mark->layer + 1);
        }
        $figure = 0;
        foreach ($regions->map as $pixel => $region) {
            $figure += (int) ($region >= 0);
            $drawn = $region >= 0 ? $regions->all[$region]->label : -1;
            // Colour and piece in one number, so that patches part where either changes.
            $wrong[] =
                $drawn >= 0 && $seen[$pixel] >= 0 && $seen[$pixel] < self::TWIN && $shown[$pixel] !== $drawn
                    ? $seen[$pixel] * 1000 + $drawn
                    : -1;
        }
        $marks = [];
        foreach (self::patches($wrong, $regions->width, self::LEAST * $figure) as [$number, $pixels, $edge]) {
            if (2 * count($pixels) < self::SLIVER * sqrt($figure) * $edge) {
                continue;
            }
            $marks[] = new Mark($number % 1000, Blob::of($pixels, $regions->width), intdiv($number, 1000), $top, $edge);
        }

        return array_slice($marks, 0, self::MOST);
    }

    /**
     * Which piece is seen at every pixel.
     *
     * @param  array<int, Piece>  $pieces
     * @return list<int> -1 where none is
     */
    private static function seen(array $pieces, Regions $regions, float $axis): array
    {
        $height = intdiv(count($regions->map), $regions->width);
        $image =
            imagecreatetruecolor(max(1, $regions->width), max(1, $height)) ?:
            throw new RuntimeException('There is not enough memory for the picture.');
        uasort($pieces, static fn (Piece $a, Piece $b): int => $a->zPx <=> $b->zPx);
        foreach ($pieces as $k => $piece) {
            foreach (
                $piece->mirror
                    ? [[$piece->fit, $k], [$piece->fit->mirrored($axis), $k + self::TWIN]]
                    : [[$piece->fit, $k]] as [$fit, $number]
            ) {
                $points = [];
                // A ring's hole hangs on its outside by a cut of no width: what lies behind is seen through it.
                foreach ($fit->outlinePx() as $loop) {
                    foreach ([...$loop, $loop[0]] as [$x, $y]) {
                        array_push($points, (int) round($x - 0.5), (int) round(-$y - 0.5));
                    }
                }
                imagefilledpolygon($image, $points, $number + 1);
            }
            // Teeth are seen where they were drawn: which way each tuft stands the shape does not say.
            foreach ($piece->fringe === null ? [] : $piece->blob->pixels as $pixel => $_) {
                imagesetpixel($image, $pixel % $regions->width, intdiv($pixel, $regions->width), $k + 1);
            }
        }
        $seen = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $regions->width; $x++) {
                $seen[] = (int) imagecolorat($image, $x, $y) - 1;
            }
        }

        return $seen;
    }

    /**
     * Which colour is shown at every pixel.
     *
     * @param  list<int>  $seen
     * @param  array<int, Piece>  $pieces
     * @return list<int>
     */
    private static function shown(array $seen, array $pieces, PartExtraction $extraction): array
    {
        $shown = array_map(static fn (int $k): int => $k >= 0 && $k < self::TWIN ? $pieces[$k]->region->label : -1, $seen);
        $marks = $extraction->marks;
        usort($marks, static fn (Mark $a, Mark $b): int => $a->layer <=> $b->layer);
        foreach ($marks as $mark) {
            foreach ($mark->blob->pixels as $pixel => $_) {
                if ($seen[$pixel] === $mark->on) {
                    $shown[$pixel] = $mark->label;
                }
            }
        }

        return array_values($shown);
    }

    /**
     * @param  list<int>  $numbers  per pixel, -1 for none
     * @return list<array{int, array<int, true>, int}> number, pixels and edge of each connected patch, largest first
     */
    private static function patches(array $numbers, int $width, float $least): array
    {
        [$map, $numberOf] = ConnectedComponents::ofLabels($numbers, $width);
        $components = array_fill(0, count($numberOf), []);
        foreach ($map as $i => $component) {
            if ($component >= 0) {
                $components[$component][$i] = true;
            }
        }
        $patches = [];
        foreach ($components as $component => $pixels) {
            if (count($pixels) < $least) {
                continue;
            }
            $edge = $rim = 0;
            foreach ($pixels as $i => $_) {
                $out =
                    (int) ! isset($pixels[$i - 1]) +
                    (int) ! isset($pixels[$i + 1]) +
                    (int) ! isset($pixels[$i - $width]) +
                    (int) ! isset($pixels[$i + $width]);
                $edge += $out;
                $rim += (int) ($out > 0);
            }
            if (count($pixels) - $rim >= $least) {
                $patches[] = [$numberOf[$component], $pixels, $edge];
            }
        }
        usort($patches, static fn (array $a, array $b): int => count($b[1]) <=> count($a[1]));

        return $patches;
    }
}
