<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use GdImage;

/** A drawing for tests, made larger and smoothed down: ovals, boxes, polygons and strokes with round ends, in pixels from the top left. */
final class Sketch
{
    private const FINE = 3;

    private GdImage $image;

    /** @param  ?int  $paper  0xRRGGBB; none for a clear ground */
    public function __construct(private int $side = 400, ?int $paper = 0xFFFFFF)
    {
        $this->image = imagecreatetruecolor($side * self::FINE, $side * self::FINE);
        imagealphablending($this->image, false);
        imagefill($this->image, 0, 0, $paper ?? 0x7FFFFFFF);
    }

    public function oval(float $x, float $y, float $w, float $h, int $colour): self
    {
        imagefilledellipse($this->image, ...[...self::fine($x, $y, $w, $h), $colour]);

        return $this;
    }

    /** An oval's line, from one angle to another, clockwise from the right. */
    public function round(float $x, float $y, float $w, float $h, float $thick, int $ink, float $fromDeg = 0, float $toDeg = 360): self
    {
        $points = [];
        for ($deg = $fromDeg; $deg <= $toDeg; $deg += 3) {
            $points[] = [$x + $w / 2 * cos(deg2rad($deg)), $y + $h / 2 * sin(deg2rad($deg))];
        }

        return $this->line($points, $thick, $ink);
    }

    /** @param  list<array{float, float}>  $points */
    public function line(array $points, float $thick, int $ink): self
    {
        for ($i = 1; $i < count($points); $i++) {
            [[$ax, $ay], [$bx, $by]] = [$points[$i - 1], $points[$i]];
            $steps = max(1, (int) (self::FINE * hypot($bx - $ax, $by - $ay)));
            for ($k = 0; $k <= $steps; $k++) {
                $this->oval($ax + ($bx - $ax) * $k / $steps, $ay + ($by - $ay) * $k / $steps, $thick, $thick, $ink);
            }
        }

        return $this;
    }

    /** @param  list<array{float, float}>  $points */
    public function polygon(array $points, int $colour): self
    {
        imagefilledpolygon($this->image, self::fine(...array_merge(...$points)), $colour);

        return $this;
    }

    /** The picture as a PNG file. */
    public function png(): string
    {
        $small = imagecreatetruecolor($this->side, $this->side);
        imagealphablending($small, false);
        imagesavealpha($small, true);
        imagecopyresampled($small, $this->image, 0, 0, 0, 0, $this->side, $this->side, imagesx($this->image), imagesy($this->image));
        ob_start();
        imagepng($small);

        return (string) ob_get_clean();
    }

    /** @return list<int> */
    private static function fine(float ...$px): array
    {
        return array_map(static fn (float $v): int => (int) round($v * self::FINE), array_values($px));
    }
}
