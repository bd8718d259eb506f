<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Raster\PictureRefused;
use stdClass;

/** One stroke of a brush over a drawing, in shares of the picture. Immutable. */
final readonly class BrushStroke
{
    /** Strokes over one picture, and points of one stroke, at most. */
    public const MOST = 40;

    private const MOST_POINTS = 500;

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
        $under = [];
        foreach ($this->points as $n => $to) {
            $from = $this->points[max(0, $n - 1)];
            [$ax, $ay, $bx, $by] = [$from[0] * $width, $from[1] * $height, $to[0] * $width, $to[1] * $height];
            $under[min($height - 1, (int) $by) * $width + min($width - 1, (int) $bx)] = true;
            $square = ($bx - $ax) ** 2 + ($by - $ay) ** 2;
            for ($y = (int) max(0, min($ay, $by) - $radius); $y <= min($height - 1, max($ay, $by) + $radius); $y++) {
                for ($x = (int) max(0, min($ax, $bx) - $radius); $x <= min($width - 1, max($ax, $bx) + $radius); $x++) {
                    $along = $square > 0 ? (($x + 0.5 - $ax) * ($bx - $ax) + ($y + 0.5 - $ay) * ($by - $ay)) / $square : 0.0;
                    $along = max(0.0, min(1.0, $along));
                    if (hypot($x + 0.5 - $ax - $along * ($bx - $ax), $y + 0.5 - $ay - $along * ($by - $ay)) <= $radius) {
                        $under[$y * $width + $x] = true;
                    }
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
