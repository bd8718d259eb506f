<?php

declare(strict_types=1);

namespace Impa\Raster;

use Impa\Geometry\Box;
use RuntimeException;

/**
 * A sheet of fine pixels over a stretch of the figure, on which outlines in mm become blobs and shapes seen there become
 * mm again. Immutable.
 */
final readonly class FineRaster
{
    /** The longer side has so many pixels, and an empty rim. */
    private const PX = 240;

    private const RIM = 3;

    private function __construct(
        public float $pxPerMm,
        public int $width,
        public int $height,
        private float $leftMm,
        private float $topMm,
    ) {
    }

    /** @param  list<array{float, float}>  $pointsMm  all of which it is to hold */
    public static function over(array $pointsMm): self
    {
        $box = Box::around($pointsMm);
        $pxPerMm = self::PX / max(0.5, $box->width(), $box->height());

        return new self(
            $pxPerMm,
            (int) ceil($box->width() * $pxPerMm) + 2 * self::RIM,
            (int) ceil($box->height() * $pxPerMm) + 2 * self::RIM,
            $box->left - self::RIM / $pxPerMm,
            $box->high + self::RIM / $pxPerMm,
        );
    }

    /**
     * The pixels inside closed loops of mm; a second loop is a hole.
     *
     * @param  list<list<array{float, float}>>  $loops
     * @return array<int, true>
     */
    public function inside(array $loops): array
    {
        $image =
            imagecreatetruecolor(max(1, $this->width), max(1, $this->height)) ?:
            throw new RuntimeException('There is not enough memory for the outline.');
        foreach ($loops as $k => $loop) {
            $points = [];
            foreach ($loop as [$x, $y]) {
                array_push(
                    $points,
                    (int) round(($x - $this->leftMm) * $this->pxPerMm - 0.5),
                    (int) round(($this->topMm - $y) * $this->pxPerMm - 0.5),
                );
            }
            if (count($points) >= 6) {
                imagefilledpolygon($image, $points, $k === 0 ? 1 : 0);
            }
        }
        $inside = [];
        for ($y = 0; $y < $this->height; $y++) {
            for ($x = 0; $x < $this->width; $x++) {
                if (imagecolorat($image, $x, $y) === 1) {
                    $inside[$y * $this->width + $x] = true;
                }
            }
        }

        return $inside;
    }

    /** @return array{float, float} the middle of a pixel in mm */
    public function mm(int $pixel): array
    {
        return [
            $this->leftMm + (($pixel % $this->width) + 0.5) / $this->pxPerMm,
            $this->topMm - (intdiv($pixel, $this->width) + 0.5) / $this->pxPerMm,
        ];
    }

    /** @return array{float, float} a place seen on the sheet (pixels, y up) in mm */
    public function place(float $x, float $y): array
    {
        return [$this->leftMm + $x / $this->pxPerMm, $this->topMm + $y / $this->pxPerMm];
    }
}
