<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

use Impa\Raster\File\PictureRefused;
use stdClass;

/** One stroke of a brush over a drawing, in shares of the picture. Immutable. */
final readonly class BrushStroke
{
    /** Strokes over one picture, and points of one stroke, at most. */
    public const MOST = 40;

    private const MOST_POINTS = 500;

    /** Points of all strokes over one picture. */
    public const MOST_IN_ALL = 4000;

    /** It is drawn so many times finer than the pixels that it covers. */
    private const FINE = 2;

    /** A brush is so wide, as a share of the picture's longer side. */
    private const LEAST_WIDTH = 0.002;

    private const MOST_WIDTH = 0.3;

    /** @param  non-empty-list<array{float, float}>  $points  shares of the width from the left and of the height from the top */
    private function __construct(public Brush $as, public float $width, public array $points)
    {
    }

    /**
     * @param  stdClass  $value  `as` (paper, figure or ink), `width` (share of the longer side) and `points` ([x, y] from 0 to 1)
     *
     * @throws PictureRefused if it is none
     */
    public static function read(stdClass $value): self
    {
        $as = is_string($value->as ?? null) ? Brush::tryFrom($value->as) : null;
        $width = $value->width ?? null;
        $points = [];
        foreach (is_array($value->points ?? null) ? $value->points : [] as $point) {
            if (is_array($point) && array_is_list($point) && count($point) === 2 && self::isShare($point[0]) && self::isShare($point[1])) {
                $points[] = [(float) $point[0], (float) $point[1]];
            }
        }
        if (
            $as === null ||
            ! (is_int($width) || is_float($width)) ||
            ! ($width >= self::LEAST_WIDTH && $width <= self::MOST_WIDTH) ||
            $points === [] ||
            count($points) !== count($value->points) ||
            count($points) > self::MOST_POINTS
        ) {
            throw PictureRefused::noBrushStroke(self::LEAST_WIDTH, self::MOST_WIDTH, self::MOST_POINTS);
        }

        return new self($as, (float) $width, $points);
    }

    private static function isShare(mixed $value): bool
    {
        return (is_int($value) || is_float($value)) && $value >= 0 && $value <= 1;
    }

    /**
     * Strokes as a file or a request holds them.
     *
     * @return list<self>
     *
     * @throws PictureRefused if it is no list of strokes
     */
    public static function list(mixed $values): array
    {
        $strokes = [];
        foreach (is_array($values) ? $values : [null] as $value) {
            $strokes[] = self::read($value instanceof stdClass ? $value : new stdClass());
        }

        return $strokes;
    }

    /**
     * What lies under it: all within half its width of its line, and at least the pixels of its points.
     *
     * @return non-empty-array<int, true>
     */
    public function pixels(int $width, int $height): array
    {
        $radius = $this->width * max($width, $height) / 2;
        $sheet = imagecreate(self::FINE * max(1, $width), self::FINE * max(1, $height));
        imagecolorallocate($sheet, 0, 0, 0);
        $ink = (int) imagecolorallocate($sheet, 255, 255, 255);
        $px = static fn (float $v): int => (int) round(self::FINE * $v);
        $under = [];
        [$left, $top, $right, $bottom] = [$width - 1, $height - 1, 0, 0];
        foreach ($this->points as $n => $to) {
            $from = $this->points[max(0, $n - 1)];
            [$ax, $ay, $bx, $by] = [$from[0] * $width, $from[1] * $height, $to[0] * $width, $to[1] * $height];
            imagefilledellipse($sheet, $px($bx), $px($by), $px(2 * $radius), $px(2 * $radius), $ink);
            $length = hypot($bx - $ax, $by - $ay);
            if ($length > 0.0) {
                [$nx, $ny] = [$radius * ($by - $ay) / $length, -$radius * ($bx - $ax) / $length];
                $corners = [$ax + $nx, $ay + $ny, $bx + $nx, $by + $ny, $bx - $nx, $by - $ny, $ax - $nx, $ay - $ny];
                imagefilledpolygon($sheet, array_map($px, $corners), $ink);
            }
            $under[min($height - 1, (int) $by) * $width + min($width - 1, (int) $bx)] = true;
            [$left, $right] = [(int) max(0, min($left, $bx - $radius)), (int) min($width - 1, max($right, $bx + $radius))];
            [$top, $bottom] = [(int) max(0, min($top, $by - $radius)), (int) min($height - 1, max($bottom, $by + $radius))];
        }
        for ($y = $top; $y <= $bottom; $y++) {
            for ($x = $left; $x <= $right; $x++) {
                if (imagecolorat($sheet, self::FINE * $x + 1, self::FINE * $y + 1) === $ink) {
                    $under[$y * $width + $x] = true;
                }
            }
        }

        return $under;
    }

    /** The same stroke in a mirror. */
    public function mirrored(): self
    {
        return new self($this->as, $this->width, array_map(static fn (array $p): array => [1 - $p[0], $p[1]], $this->points));
    }

    /** @return array{as: string, width: float, points: non-empty-list<array{float, float}>} as `read` takes it */
    public function document(): array
    {
        return ['as' => $this->as->value, 'width' => $this->width, 'points' => $this->points];
    }
}
