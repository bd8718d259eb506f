<?php

declare(strict_types=1);

namespace Impa\Render\Bench;

use Closure;
use GdImage;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Render\FlatArea;
use Random\Engine\Mt19937;
use Random\Randomizer;
use RuntimeException;

/**
 * Paints what a bench is like into a photo of BenchCamera: what the figure lies on, light and shade on felt, shadows on the ground, and
 * a hand in the way. Light is reckoned on a coarser grid, for it changes slowly.
 */
final readonly class BenchScene
{
    /** Pixels of the photo to one of the grid, each way. */
    private const COARSE = 4;

    /** A factor of light by its grey value on the grid. */
    private const GREY = 200.0;

    /** Copies of an outline along its shadow. */
    private const COPIES = 8;

    private Randomizer $random;

    public function __construct(private BenchLight $light, int $seed)
    {
        $this->random = new Randomizer(new Mt19937(77 * $seed + 3));
    }

    /** What it lies on, over plain paper. */
    public function lay(GdImage $image, float $pxPerMm): void
    {
        match ($this->light->ground) {
            'wood' => $this->wood($image, $pxPerMm),
            'cloth' => $this->cloth($image, $pxPerMm),
            'folds' => $this->folds($image),
            'paper' => null,
        };
    }

    /**
     * Light on the felt by which way its skin looks, and the figure's shadow on the ground.
     *
     * @param  list<FlatArea>  $pieces  back to front
     * @param  Closure(float, float, float): array{float, float}  $seen  the pixel of a place, and its height, in mm
     * @param  Closure(float, float): array{float, float}  $from  the place of a pixel
     */
    public function shade(GdImage $image, array $pieces, Side $side, float $backMm, Closure $seen, Closure $from): void
    {
        [$width, $height] = [intdiv(imagesx($image), self::COARSE) + 1, intdiv(imagesy($image), self::COARSE) + 1];
        $labels = self::grid($width, $height);
        $shadow = self::grid($width, $height);
        $contact = self::grid($width, $height);
        [$lx, $ly, $lz] = $this->light->lamp->towards();
        foreach ($pieces as $i => $layer) {
            $high = max(0.0, $layer->towardsMm($side) - $backMm);
            self::fill($labels, $layer->loops[0], $i + 1, $high, $seen);
            self::fill($contact, $layer->loops[0], 0xFFFFFF, 0.0, $seen);
            for ($k = 0; $k <= self::COPIES; $k++) {
                $off = $high * $k / self::COPIES / max(0.2, $lz);
                $moved = array_map(static fn (array $p): array => [$p[0] - $off * $lx, $p[1] - $off * $ly], $layer->loops[0]);
                self::fill($shadow, $moved, 0xFFFFFF, 0.0, $seen);
            }
        }
        for ($i = 0; $i < ($this->light->lamp->isHard ? 1 : 12); $i++) {
            imagefilter($shadow, IMG_FILTER_GAUSSIAN_BLUR);
        }
        for ($i = 0; $i < 10; $i++) {
            imagefilter($contact, IMG_FILTER_GAUSSIAN_BLUR);
        }
        $map = self::grid($width, $height);
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $label = (int) imagecolorat($labels, $x, $y);
                $factor = $label === 0
                    ? 1 - $this->light->shadow * (imagecolorat($shadow, $x, $y) & 255) / 255
                        - $this->light->contact * (imagecolorat($contact, $x, $y) & 255) / 255
                    : $this->light->lamp->on(self::normal($pieces[$label - 1], $side, $from($x * self::COARSE, $y * self::COARSE)));
                $grey = (int) max(0, min(255, round(self::GREY * $factor)));
                imagesetpixel($map, $x, $y, $grey << 16 | $grey << 8 | $grey);
            }
        }
        $this->lit($image, $map);
    }

    /**
     * A hand at the rim of the picture, or a finger on the figure.
     *
     * @param  list<FlatArea>  $pieces
     * @param  Closure(float, float, float): array{float, float}  $seen
     */
    public function interfere(GdImage $image, array $pieces, Side $side, float $backMm, Closure $seen): void
    {
        if ($this->light->inTheWay === 'none') {
            return;
        }
        $box = Box::around(array_merge(...array_map(static fn (FlatArea $layer): array => $layer->loops[0], $pieces)));
        [$mx, $my] = $box->middle();
        $way = $this->between(-0.6, 0.6) + ($this->random->getInt(0, 1) === 0 ? 0.0 : M_PI);
        // From beyond the picture in towards the figure: a finger reaches its rim, a hand stays clear of it.
        $reach = $this->light->inTheWay === 'finger' ? 0.44 : 0.66;
        [$tipX, $tipY] = [$mx + $reach * $box->width() * cos($way), $my + $reach * $box->height() * sin($way)];
        $broad = $this->light->inTheWay === 'finger' ? 7.0 : 14.0;
        $skin = [[206, 160, 132], [150, 104, 80], [232, 192, 168]][$this->random->getInt(0, 2)];
        $points = [];
        for ($k = 0; $k <= 10; $k++) {
            $turn = $way + M_PI / 2 + M_PI * $k / 10;
            $points[] = [$tipX + $broad * cos($turn), $tipY + $broad * sin($turn)];
        }
        [$right, $up] = [2 * $box->width() * cos($way), 2 * $box->width() * sin($way)];
        $points[] = [$points[10][0] + $right, $points[10][1] + $up];
        $points[] = [$points[0][0] + $right, $points[0][1] + $up];
        $flat = [];
        foreach ($points as [$x, $y]) {
            [$px, $py] = $seen($x, $y, 10.0);
            array_push($flat, (int) round($px), (int) round($py));
        }
        imagefilledpolygon($image, $flat, $skin[0] << 16 | $skin[1] << 8 | $skin[2]);
    }

    /** Every pixel times the light on it, its corners and its colour. */
    private function lit(GdImage $image, GdImage $map): void
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $fine = self::grid($width, $height);
        imagecopyresampled(
            $fine, $map, 0, 0, 0, 0, imagesx($map) * self::COARSE, imagesy($map) * self::COARSE, imagesx($map), imagesy($map),
        );
        [$red, $green, $blue] = $this->light->lamp->gains;
        $corner = ($width ** 2 + $height ** 2) / 4;
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $far = (($x - $width / 2) ** 2 + ($y - $height / 2) ** 2) / $corner;
                $factor = (imagecolorat($fine, $x, $y) & 255) / self::GREY * (1 - $this->light->corners * $far);
                $c = imagecolorat($image, $x, $y);
                $r = (int) min(255, ($c >> 16 & 255) * $factor * $red);
                $g = (int) min(255, ($c >> 8 & 255) * $factor * $green);
                $b = (int) min(255, ($c & 255) * $factor * $blue);
                imagesetpixel($image, $x, $y, $r << 16 | $g << 8 | $b);
            }
        }
    }

    /**
     * Which way the skin of a piece looks at a place: from its own depth where it keeps its front, else as a ball that fills its outline.
     *
     * @param  array{float, float}  $at  mm
     * @return Vec3 of length 1, to the right, up, towards the camera
     */
    private static function normal(FlatArea $layer, Side $side, array $at): array
    {
        $piece = $layer->piece;
        if ($side === Side::Front && $piece->turn->keepsFront()) {
            $deep = static function (float $x, float $y) use ($piece): float {
                [$u, $v] = $piece->own($x - $piece->at[0], $y - $piece->at[1], 0.0);

                return $piece->part->solid->frontMm($u, $v);
            };
            [$here, $right, $up] = [$deep(...$at), $deep($at[0] + 0.3, $at[1]), $deep($at[0], $at[1] + 0.3)];
            if (! is_nan($here) && ! is_nan($right) && ! is_nan($up)) {
                return self::unit(($here - $right) / 0.3, ($here - $up) / 0.3, 1.0);
            }
        }
        $box = Box::around($layer->loops[0]);
        [$mx, $my] = $box->middle();
        $x = ($at[0] - $mx) / max(0.1, $box->width() / 2);
        $y = ($at[1] - $my) / max(0.1, $box->height() / 2);

        return self::unit($x, $y, sqrt(max(0.02, 1 - $x ** 2 - $y ** 2)));
    }

    /** @return Vec3 */
    private static function unit(float $x, float $y, float $z): array
    {
        $long = sqrt($x ** 2 + $y ** 2 + $z ** 2);

        return [$x / $long, $y / $long, $z / $long];
    }

    private function wood(GdImage $image, float $pxPerMm): void
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        [$r, $g, $b] = [[178, 136, 92], [122, 84, 56], [206, 172, 130]][$this->random->getInt(0, 2)];
        imagefill($image, 0, 0, self::rgb($r, $g, $b));
        $y = 0.0;
        while ($y < $height) {
            $step = $this->between(0.5, 3.5) * $pxPerMm;
            $by = $this->between(-22.0, 22.0);
            $colour = self::rgb($r + $by, $g + $by, $b + $by);
            $lean = $this->between(-4.0, 4.0) * $pxPerMm;
            imagefilledpolygon($image, array_map(intval(...), [
                0, $y - 3, $width, $y + $lean - 3, $width, $y + $lean + $step + 3, 0, $y + $step + 3,
            ]), $colour);
            $y += $step;
        }
    }

    private function cloth(GdImage $image, float $pxPerMm): void
    {
        $mm = $this->between(4.0, 9.0) * $pxPerMm;
        $light = self::rgb(236, 228, 214);
        $dark = self::rgb($this->between(120, 200), $this->between(90, 170), $this->between(110, 190));
        for ($j = 0; $j * $mm < imagesy($image); $j++) {
            for ($i = 0; $i * $mm < imagesx($image); $i++) {
                imagefilledrectangle($image, (int) ($i * $mm), (int) ($j * $mm), (int) (($i + 1) * $mm), (int) (($j + 1) * $mm),
                    ($i + $j) % 2 === 0 ? $light : $dark);
            }
        }
    }

    private function folds(GdImage $image): void
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        foreach ([[0.5, true], [0.33, false], [0.67, false]] as [$at, $isUpright]) {
            [$at, $dim] = [$at + $this->between(-0.04, 0.04), (int) $this->between(5.0, 14.0)];
            $box = $isUpright ? [(int) ($at * $width), 0, $width, $height] : [0, (int) ($at * $height), $width, $height];
            for ($y = $box[1]; $y < $box[3]; $y++) {
                for ($x = $box[0]; $x < $box[2]; $x++) {
                    $c = imagecolorat($image, $x, $y);
                    $isCrease = $isUpright ? $x - $box[0] < 4 : $y - $box[1] < 4;
                    $by = $isCrease ? $dim + 18 : $dim;
                    imagesetpixel($image, $x, $y, self::rgb(($c >> 16 & 255) - $by, ($c >> 8 & 255) - $by, ($c & 255) - $by));
                }
            }
        }
    }

    /** @param  list<array{float, float}>  $loop */
    private static function fill(GdImage $grid, array $loop, int $value, float $highMm, Closure $seen): void
    {
        $flat = [];
        foreach ($loop as [$x, $y]) {
            [$px, $py] = $seen($x, $y, $highMm);
            array_push($flat, (int) round($px / self::COARSE), (int) round($py / self::COARSE));
        }
        if (count($flat) >= 6) {
            imagefilledpolygon($grid, $flat, $value);
        }
    }

    private static function grid(int $width, int $height): GdImage
    {
        $grid = imagecreatetruecolor(max(1, $width), max(1, $height));

        return $grid === false ? throw new RuntimeException('There is not enough memory for a photo of this size.') : $grid;
    }

    private static function rgb(float $r, float $g, float $b): int
    {
        $byte = static fn (float $c): int => (int) max(0, min(255, round($c)));

        return $byte($r) << 16 | $byte($g) << 8 | $byte($b);
    }

    private function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->random->getInt(0, 1_000_000) / 1_000_000;
    }
}
