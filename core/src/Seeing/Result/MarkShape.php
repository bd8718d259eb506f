<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Geometry\Outline\Polygon;
use Impa\Raster\Blob;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\Contour;
use Impa\Raster\DistanceTransform;
use Impa\Raster\Stroke;
use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Fitting\Fitting;

/**
 * A patch of colour as a detail has it: a disc or a rounded rectangle where one covers it, a drawn line, or its outline with what it goes
 * round left open. Immutable.
 */
final readonly class MarkShape
{
    /** A spot is a disc if a disc covers it so well. */
    private const DISC = 0.88;

    /** So few pixels are too coarse for that, and a disc for less. */
    private const CRUMB_PX = 90;

    private const CRUMB_DISC = 0.76;

    /** And a rounded rectangle if one covers it so well, and so much better than the disc. */
    private const BOX = 0.92;

    private const SQUARER = 0.03;

    /** And a line if it covers so much of it. */
    private const LINE = 0.94;

    /** What a patch goes round is left open from this share of its own area. */
    private const HOLE = 0.2;

    /** What is so many times longer than wide is drawn, not spotted. */
    private const LINE_LONG = 5.0;

    /**
     * @param  array{kind: string}&array<string, mixed>  $shape  kind, place and size
     * @param  bool  $isSimple  whether few numbers say it: it is no outline of its own
     */
    private function __construct(public array $shape, public bool $isSimple)
    {
    }

    /**
     * @param  float  $x0  the middle of what it lies on, pixels
     * @param  int  $way  -1 where x is to be written the other way round
     */
    public static function of(Mark $mark, float $x0, float $y0, int $way, float $mmPerPx, float $figureHeightPx): self
    {
        $round = static fn (float $px): float => round($px * $mmPerPx, 2) + 0.0;
        $size = static fn (float $px): float => ShapeWriting::size($px * $mmPerPx);
        $local = static fn (array $p): array => [$round($way * ($p[0] - $x0)), $round($p[1] - $y0)];
        $disc = Fitting::disc($mark->blob, []);
        [$x, $y] = $local([$disc->x, $disc->y]);
        $asDisc = new self([
            'kind' => 'disc',
            'widthMm' => $size($disc->widthPx),
            'heightMm' => $size($disc->heightPx),
            'xMm' => $x,
            'yMm' => $y,
            'turnDeg' => round($way * $disc->turnDeg, 1) + 0.0,
        ], true);
        $isLine = max($disc->widthPx, $disc->heightPx) > self::LINE_LONG * min($disc->widthPx, $disc->heightPx);
        $box = ! $isLine && $mark->blob->area() > self::CRUMB_PX ? Fitting::box($mark->blob, []) : $disc;
        if ($box->overlap > self::BOX && $box->overlap > $disc->overlap + self::SQUARER) {
            return new self(['kind' => 'patch', 'pointsMm' => array_map($local, $box->outlinePx()[0])], true);
        }
        if (! $isLine && $disc->overlap > ($mark->blob->area() > self::CRUMB_PX ? self::DISC : self::CRUMB_DISC)) {
            return $asDisc;
        }
        if (Stroke::isOne($mark->blob, $mark->edgePx)) {
            $stroke = Stroke::of($mark->blob);
            if ($stroke->covers($mark->blob, self::LINE)) {
                return new self([
                    'kind' => 'line',
                    'widthMm' => $size($stroke->widthPx),
                    'pointsMm' => array_map($local, $stroke->course),
                ], true);
            }
        }
        $outline = Contour::around($mark->blob, max(0.6, 0.0035 * $figureHeightPx));

        if (count($outline) < 3) {
            return $asDisc;
        }
        $holes = array_map(static fn (array $hole): array => array_map($local, $hole), self::holes($mark->blob));

        $shape = ['kind' => 'patch', 'pointsMm' => array_map($local, $outline)];

        return new self($shape + ($holes === [] ? [] : ['holesMm' => $holes]), false);
    }

    /**
     * The dark rim round a lighter patch, as a thread line that runs in its middle.
     *
     * @param  Mark  $rim  with all that lies within it
     * @param  int  $ringPx  pixels of it that are seen
     * @param  int  $way  -1 where x is to be written the other way round
     */
    public static function ofRim(Mark $rim, int $ringPx, float $x0, float $y0, int $way, float $mmPerPx, float $figureHeightPx): self
    {
        $outline = Contour::around($rim->blob, max(0.6, 0.0035 * $figureHeightPx));
        $long = Polygon::perimeter($outline);
        $widePx = 2 * $ringPx / max(1.0, $long + sqrt(max(0.0, $long ** 2 - 4 * M_PI * $ringPx)));
        $disc = Fitting::disc($rim->blob, []);
        [$w, $h] = [$disc->widthPx - $widePx, $disc->heightPx - $widePx];
        $course = $disc->overlap > self::DISC && min($w, $h) > 0.0
            ? (new Fit($disc->kind, $w, $h, x: $disc->x, y: $disc->y, turnDeg: $disc->turnDeg))->outlinePx()[0]
            : Contour::around(self::within($rim->blob, $widePx / 2), max(0.6, 0.0035 * $figureHeightPx));
        $course = count($course) < 3 ? $outline : $course;
        $local = static fn (array $p): array => [
            round($way * ($p[0] - $x0) * $mmPerPx, 2) + 0.0,
            round(($p[1] - $y0) * $mmPerPx, 2) + 0.0,
        ];

        return new self([
            'kind' => 'line',
            'widthMm' => ShapeWriting::size($widePx * $mmPerPx),
            'pointsMm' => array_map($local, [...$course, $course[0]]),
        ], true);
    }

    /** What of a blob lies so deep within it; the whole where nothing does. */
    private static function within(Blob $blob, float $px): Blob
    {
        $size = (intdiv(max(0, ...array_keys($blob->pixels)), $blob->width) + 2) * $blob->width;
        $inside = array_replace(array_fill(0, $size, false), $blob->pixels);
        $deep = DistanceTransform::within(array_values($inside), $blob->width);
        $least = $px * DistanceTransform::SIDE;
        $kept = array_filter($blob->pixels, static fn (bool $is, int $i): bool => $deep[$i] > $least, ARRAY_FILTER_USE_BOTH);

        return $kept === [] ? $blob : Blob::of($kept, $blob->width);
    }

    /**
     * What a patch goes round, such as the white within an inked ring: without it the patch would cover that.
     *
     * @return list<list<array{float, float}>> outlines, largest first
     */
    private static function holes(Blob $blob): array
    {
        $columns = array_map(static fn (int $i): int => $i % $blob->width, array_keys($blob->pixels));
        $rows = array_map(static fn (int $i): int => intdiv($i, $blob->width), array_keys($blob->pixels));
        [$left, $right] = [min([PHP_INT_MAX, ...$columns]), max([0, ...$columns])];
        [$top, $bottom] = [min([PHP_INT_MAX, ...$rows]), max([0, ...$rows])];
        $empty = [];
        for ($y = $top; $y <= $bottom; $y++) {
            for ($x = $left; $x <= $right; $x++) {
                if (! isset($blob->pixels[$y * $blob->width + $x])) {
                    $empty[$y * $blob->width + $x] = true;
                }
            }
        }
        $holes = [];
        foreach (ConnectedComponents::ofSet($empty, $blob->width) as $hole) {
            $isOpen = array_filter(array_keys($hole), static fn (int $i): bool => $i % $blob->width === $left
                || $i % $blob->width === $right || intdiv($i, $blob->width) === $top || intdiv($i, $blob->width) === $bottom) !== [];
            $outline = $isOpen || count($hole) < self::HOLE * $blob->area() ? [] : Contour::around(Blob::of($hole, $blob->width), 0.8);
            if (count($outline) >= 3) {
                $holes[] = $outline;
            }
        }

        return $holes;
    }
}
