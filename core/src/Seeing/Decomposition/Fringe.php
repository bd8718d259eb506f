<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Geometry\Outline\Polygon;
use Impa\Raster\Blob;
use Impa\Raster\CellGrid;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\DistanceTransform;
use Impa\Seeing\Fitting\Fit;

/**
 * A saw-toothed rim: many teeth alike round a body, as of a mane, a beard or a tuft of grass. It is opened by a disc (a morphological
 * opening): what the disc leaves out are the teeth. They are one row, however many; each a lobe would be a part by itself. Immutable.
 */
final readonly class Fringe
{
    /** The blob is looked at on a grid of so many cells along its longer side. */
    private const CELLS = 84;

    /** The disc's radius as a share of the widest disc's that fits into the blob. */
    private const DISC = 0.5;

    /** So many teeth at least, each so long as a share of that widest radius, and no larger than this share of the body. */
    private const LEAST_TEETH = 7;

    private const LEAST_LENGTH = 0.12;

    private const LARGEST = 0.06;

    /** Their lengths differ by so much at most (the coefficient of variation), and they are this share of all that sticks out. */
    private const EVEN = 0.4;

    private const ALL_TEETH = 0.8;

    /** Seen from the middle they stand round all of it but so many degrees. */
    private const WIDEST_GAP_DEG = 180.0;

    /** Longer, as a share of the widest radius, they are the lobes of a leaf, and no tufts. */
    private const LONGEST_TUFT = 0.8;

    /**
     * @param  Blob  $body  the blob without its teeth
     * @param  non-empty-list<array{float, float}>  $tips  of the teeth, pixels, y up
     * @param  bool  $isOfTufts  whether tufts would make them
     */
    private function __construct(public Blob $body, public array $tips, public bool $isOfTufts)
    {
    }

    /** The blob's fringe; null where its rim is not saw-toothed. */
    public static function of(Blob $blob): ?self
    {
        $grid = CellGrid::of($blob, self::CELLS);
        $width = $grid->width;
        $deep = DistanceTransform::within($grid->inside, $width);
        $widest = max([0, ...$deep]);
        $radius = (int) (self::DISC * $widest);
        if ($radius < 2 * DistanceTransform::SIDE) {
            return null;
        }
        $far = DistanceTransform::from(array_map(static fn (int $d): int => $d > $radius ? 0 : -1, $deep), $width)[0];
        $swept = $radius + DistanceTransform::SIDE;
        $rest = array_map(static fn (bool $in, int $d): int => $in && $d > $swept ? 0 : -1, $grid->inside, $far);
        [$teeth, $area] = self::teeth(ConnectedComponents::ofLabels($rest, $width)[0], $far, $swept);
        $body = count(array_filter($grid->inside)) - array_sum($area);
        $least = max(DistanceTransform::SIDE, self::LEAST_LENGTH * $widest);
        $teeth = array_filter(
            $teeth,
            static fn (array $tip, int $k): bool => $tip[0] >= $least && $area[$k] <= self::LARGEST * $body,
            ARRAY_FILTER_USE_BOTH,
        );
        $lengths = array_column($teeth, 0);
        if (
            $lengths === [] ||
            count($teeth) < self::LEAST_TEETH ||
            self::variation($lengths) > self::EVEN ||
            array_sum(array_intersect_key($area, $teeth)) < self::ALL_TEETH * array_sum($area)
        ) {
            return null;
        }
        $pixels = array_filter($blob->pixels, static fn (int $i): bool => $far[$grid->cell($i)] <= $radius, ARRAY_FILTER_USE_KEY);
        $own = Blob::of(ConnectedComponents::ofSet($pixels, $blob->width)[0], $blob->width);
        $tips = array_map(static fn (array $tip): array => self::tip($blob, $own->middle, $grid->middlePx($tip[1])), array_values($teeth));

        return self::widestGapDeg($tips, $own->middle) > self::WIDEST_GAP_DEG
            ? null
            : new self($own, $tips, array_sum($lengths) <= self::LONGEST_TUFT * $widest * count($lengths));
    }

    /** How far its teeth stand out from the shape that was seen in its body, on the mean. */
    public function beyondPx(Fit $fit): float
    {
        $outline = $fit->outlinePx()[0];
        $out = static fn (array $tip): float => hypot($tip[0] - $fit->x, $tip[1] - $fit->y)
            * (1 - 1 / Polygon::reach($outline, $fit->x, $fit->y, ...$tip));

        return max(0.0, array_sum(array_map($out, $this->tips)) / count($this->tips));
    }

    /**
     * @param  list<int>  $pieces  what sticks out, by number, -1 for the rest
     * @param  list<int>  $far  from where the disc's middle can go
     * @return array{array<int, array{int, int}>, array<int, int>} by piece its length and the cell of its tip; and its area
     */
    private static function teeth(array $pieces, array $far, int $swept): array
    {
        $teeth = $area = [];
        foreach ($pieces as $cell => $k) {
            if ($k >= 0) {
                $area[$k] = ($area[$k] ?? 0) + 1;
                if ($far[$cell] - $swept > ($teeth[$k][0] ?? 0)) {
                    $teeth[$k] = [$far[$cell] - $swept, $cell];
                }
            }
        }

        return [$teeth, $area];
    }

    /**
     * Where a way from the middle leaves the blob: a cell is too coarse to hold a tooth's tip.
     *
     * @param  array{float, float}  $middle
     * @param  array{float, float}  $near  the tip
     * @return array{float, float}
     */
    private static function tip(Blob $blob, array $middle, array $near): array
    {
        $far = max(1.0, hypot($near[0] - $middle[0], $near[1] - $middle[1]));
        [$stepX, $stepY] = [($near[0] - $middle[0]) / $far, ($near[1] - $middle[1]) / $far];
        for ([$x, $y] = $near; isset($blob->pixels[(int) floor(-$y) * $blob->width + (int) floor($x)]); $x += $stepX, $y += $stepY);

        return [$x, $y];
    }

    /** @param  non-empty-list<int>  $values  above 0 */
    private static function variation(array $values): float
    {
        $mean = array_sum($values) / count($values);

        return sqrt(array_sum(array_map(static fn (int $v): float => ($v - $mean) ** 2, $values)) / count($values)) / $mean;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $tips
     * @param  array{float, float}  $middle
     */
    private static function widestGapDeg(array $tips, array $middle): float
    {
        $angles = array_map(static fn (array $tip): float => rad2deg(atan2($tip[1] - $middle[1], $tip[0] - $middle[0])), $tips);
        sort($angles);
        $gap = $angles[0] + 360.0 - $angles[count($angles) - 1];
        for ($i = 1; $i < count($angles); $i++) {
            $gap = max($gap, $angles[$i] - $angles[$i - 1]);
        }

        return $gap;
    }
}
