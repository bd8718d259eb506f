<?php

declare(strict_types=1);

namespace Impa\Picture;

/** A long thin blob seen as a drawn line: its course and its width. Pixels, y up. Immutable. */
final readonly class Stroke
{
    /** A blob at least so many times longer than wide is taken for a line. */
    private const LONG = 3.6;

    /** @param  list<array{float, float}>  $course */
    private function __construct(
        public array $course,
        public float $widthPx,
    ) {
    }

    /** Whether the blob is long and thin enough, given the length of its edge in pixels. */
    public static function isOne(Blob $blob, int $edgePx): bool
    {
        $width = 2 * $blob->area() / max(1, $edgePx);

        return $edgePx / 2 > self::LONG * $width && max($blob->box(0.0)[0], $blob->box(0.0)[1]) > 2.5 * $width;
    }

    /** Cuts the blob into slices across its longest axis and joins their middles. */
    public static function of(Blob $blob): self
    {
        $turn = deg2rad($blob->leanDeg());
        [$alongX, $alongY] = [-sin($turn), cos($turn)];
        $slices = [];
        $lowest = INF;
        $highest = -INF;
        foreach ($blob->pixels as $i => $_) {
            $x = $i % $blob->width + 0.5;
            $y = -intdiv($i, $blob->width) - 0.5;
            $along = $x * $alongX + $y * $alongY;
            $lowest = min($lowest, $along);
            $highest = max($highest, $along);
            $slices[] = [$along, $x, $y];
        }
        $count = max(3, min(9, (int) round(($highest - $lowest) / 4)));
        $sums = array_fill(0, $count, [0, 0.0, 0.0]);
        foreach ($slices as [$along, $x, $y]) {
            $k = min($count - 1, (int) floor(($along - $lowest) / max(1e-6, $highest - $lowest) * $count));
            $sums[$k] = [$sums[$k][0] + 1, $sums[$k][1] + $x, $sums[$k][2] + $y];
        }
        $course = [];
        foreach ($sums as [$n, $sumX, $sumY]) {
            if ($n > 0) {
                $course[] = [$sumX / $n, $sumY / $n];
            }
        }
        $length = 0.0;
        for ($i = 1; $i < count($course); $i++) {
            $length += hypot($course[$i][0] - $course[$i - 1][0], $course[$i][1] - $course[$i - 1][1]);
        }
        // The slices' middles stop half a slice short at both ends.
        $length *= $count / max(1, $count - 1);

        return new self(Contour::line($course, 0.4), $blob->area() / max(1.0, $length));
    }

    /** Whether the line, drawn in its width, is much the same as the blob. */
    public function covers(Blob $blob): bool
    {
        $reach = $this->widthPx / 2 + 0.8;
        $length = 0.0;
        for ($i = 1; $i < count($this->course); $i++) {
            $length += hypot($this->course[$i][0] - $this->course[$i - 1][0], $this->course[$i][1] - $this->course[$i - 1][1]);
        }
        $in = 0;
        foreach ($blob->pixels as $i => $_) {
            $in += (int) ($this->distance($i % $blob->width + 0.5, -intdiv($i, $blob->width) - 0.5) <= $reach);
        }

        return $in > 0.9 * $blob->area() && ($length + $this->widthPx) * $this->widthPx < 1.25 * $blob->area();
    }

    private function distance(float $x, float $y): float
    {
        $least = INF;
        for ($i = 1; $i < count($this->course); $i++) {
            [[$ax, $ay], [$bx, $by]] = [$this->course[$i - 1], $this->course[$i]];
            $square = ($bx - $ax) ** 2 + ($by - $ay) ** 2;
            $t = $square > 0.0 ? max(0.0, min(1.0, (($x - $ax) * ($bx - $ax) + ($y - $ay) * ($by - $ay)) / $square)) : 0.0;
            $least = min($least, hypot($x - $ax - $t * ($bx - $ax), $y - $ay - $t * ($by - $ay)));
        }

        return $least;
    }
}
