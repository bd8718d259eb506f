<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

use Impa\Raster\File\PictureRefused;
use Impa\Raster\Raster;

/** A photo that is looked at closely: its colours between the pixels, too. Immutable. */
final readonly class Photo
{
    /** The longer side is looked at with so many pixels at most. */
    private const LOOK_PX = 1200;

    /** @param  list<int>  $pixels */
    private function __construct(private array $pixels, public int $width, public int $height, public float $ownPerPx)
    {
    }

    /** @throws PictureRefused if it is no picture that can be read */
    public static function of(string $bytes): self
    {
        $raster = Raster::decode($bytes, self::LOOK_PX);

        return new self($raster->pixels, $raster->width, $raster->height, $raster->ownPerPx());
    }

    public function pixel(int $x, int $y): int
    {
        return $this->pixels[$y * $this->width + $x];
    }

    /** @return array{int, int, int} of a pixel, 0 to 255 */
    public function rgb(int $x, int $y): array
    {
        $pixel = $this->pixel($x, $y);

        return [$pixel >> 16 & 255, $pixel >> 8 & 255, $pixel & 255];
    }

    /**
     * Bilinear between four pixels.
     *
     * @return Rgb3 red, green, blue, 0 to 255; NAN outside the picture
     */
    public function at(float $x, float $y): array
    {
        [$i, $j] = [(int) floor($x), (int) floor($y)];
        if ($i < 0 || $j < 0 || $i + 1 >= $this->width || $j + 1 >= $this->height) {
            return [NAN, NAN, NAN];
        }
        [$u, $v] = [$x - $i, $y - $j];
        $k = $j * $this->width + $i;
        [$a, $b] = [$this->pixels[$k], $this->pixels[$k + 1]];
        [$c, $d] = [$this->pixels[$k + $this->width], $this->pixels[$k + $this->width + 1]];
        [$wa, $wb, $wc, $wd] = [(1 - $u) * (1 - $v), $u * (1 - $v), (1 - $u) * $v, $u * $v];

        return [
            $wa * ($a >> 16 & 255) + $wb * ($b >> 16 & 255) + $wc * ($c >> 16 & 255) + $wd * ($d >> 16 & 255),
            $wa * ($a >> 8 & 255) + $wb * ($b >> 8 & 255) + $wc * ($c >> 8 & 255) + $wd * ($d >> 8 & 255),
            $wa * ($a & 255) + $wb * ($b & 255) + $wc * ($c & 255) + $wd * ($d & 255),
        ];
    }
}
