<?php

declare(strict_types=1);

namespace Impa\Render;

use GdImage;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Raster\Raster;
use RuntimeException;

/** Flat-colour pictures of a figure as PNG: parts painted back to front by depth, each with its details. */
final class Painter
{
    /** Every pixel is the mean of so many by so many. */
    private const FINER = 3;

    /** Empty rim around the figure, as a share of the picture. */
    private const RIM = 0.04;

    /** Fine pixels that are painted at most; beyond that the picture is painted less fine. */
    private const MOST_FINE_PX = 24_000_000;

    /**
     * The figure fitted into a square.
     *
     * @param  ?Srgb  $ground  null for a transparent one
     * @return string PNG
     *
     * @throws RenderRefused if px is not 16 to 4096
     */
    public static function png(Figure $figure, View $view, int $px = 512, ?Srgb $ground = null): string
    {
        if ($px < 16 || $px > 4096) {
            throw RenderRefused::sizeOutOfRange($px);
        }
        $layers = FlatArea::all($figure, $view->side());
        $box = self::box($layers);
        $pxPerMm = self::fitted($box, $px);
        [$x, $y] = $box->middle();

        return self::paint(
            $layers,
            self::openings($figure, $view->side()),
            $px,
            $px,
            $pxPerMm,
            $px / 2 - $x * $pxPerMm,
            $px / 2 + $y * $pxPerMm,
            $ground,
        );
    }

    /** Pixels for a millimetre of a figure that is fitted into a square of so many. */
    public static function pxPerMm(Figure $figure, View $view, int $px): float
    {
        return self::fitted(self::box(FlatArea::all($figure, $view->side())), $px);
    }

    /**
     * The front in the pixels of the drawing it was taken from, so that the two lie over each other.
     *
     * @return string PNG
     *
     * @throws RenderRefused if the figure keeps no drawing, or says that it is larger than any that is taken
     */
    public static function match(Figure $figure, ?Srgb $ground = null): string
    {
        $picture = $figure->picture ?? throw RenderRefused::noPictureToMatch();
        if ($picture->widthPx * $picture->heightPx > Raster::MOST_MEGAPIXELS * 1_000_000) {
            throw RenderRefused::drawingTooLarge($picture->widthPx, $picture->heightPx);
        }

        return self::paint(
            FlatArea::all($figure, Side::Front),
            self::openings($figure, Side::Front),
            $picture->widthPx,
            $picture->heightPx,
            1 / $picture->mmPerPx,
            $picture->originXPx,
            $picture->originYPx,
            $ground,
        );
    }

    /** @param  list<FlatArea>  $layers */
    private static function box(array $layers): Box
    {
        return Box::around(array_merge(...array_map(static fn (FlatArea $layer): array => array_merge(...$layer->loops), $layers)));
    }

    private static function fitted(Box $box, int $px): float
    {
        return ($px * (1 - 2 * self::RIM)) / max($box->width(), $box->height(), 1.0);
    }

    /**
     * What is cut right through a figure of layers, seen from before or behind it.
     *
     * @return list<non-empty-list<array{float, float}>>
     */
    private static function openings(Figure $figure, Side $from): array
    {
        $way = match ($from) {
            Side::Front => 1,
            Side::Back => -1,
            default => 0,
        };

        return $way === 0 ? [] : array_map(
            static fn (array $opening): array => array_map(static fn (array $p): array => [$way * $p[0], $p[1]], $opening),
            $figure->flat->isFlat() ? $figure->flat->cutThrough() : [],
        );
    }

    /**
     * @param  list<FlatArea>  $layers
     * @param  list<non-empty-list<array{float, float}>>  $openings  where the ground shows through
     */
    private static function paint(
        array $layers,
        array $openings,
        int $width,
        int $height,
        float $pxPerMm,
        float $originX,
        float $originY,
        ?Srgb $ground,
    ): string {
        $finer = $width * $height * self::FINER ** 2 > self::MOST_FINE_PX ? 1 : self::FINER;
        $fine = self::canvas($width * $finer, $height * $finer, $ground);
        $fill = static function (array $loops, int $colour) use ($fine, $originX, $originY, $pxPerMm, $finer): void {
            $points = [];
            foreach ($loops as $i => $loop) {
                // A hole is reached over a bridge of no width and filled by the even-odd rule.
                $before = [];
                foreach ([...$loop, $loop[0]] as $k => [$x, $y]) {
                    $at = [
                        (int) round(($originX + $x * $pxPerMm) * $finer - 0.5),
                        (int) round(($originY - $y * $pxPerMm) * $finer - 0.5),
                    ];
                    // What falls on the pixel of the one before is filled by it; three at least make an area.
                    if ($k < 3 || $at !== $before) {
                        array_push($points, ...$at);
                    }
                    $before = $at;
                }
                if ($i > 0) {
                    array_push($points, $points[0], $points[1]);
                }
            }
            imagefilledpolygon($fine, $points, $colour);
        };
        foreach ($layers as $layer) {
            $fill($layer->loops, (int) imagecolorallocate($fine, $layer->srgb->red, $layer->srgb->green, $layer->srgb->blue));
        }
        foreach ($openings as $opening) {
            $fill([$opening], self::groundOf($fine, $ground));
        }
        $image = $fine;
        if ($finer > 1) {
            $image = self::canvas($width, $height, null);
            imagecopyresampled($image, $fine, 0, 0, 0, 0, $width, $height, $width * $finer, $height * $finer);
        }
        ob_start();
        imagepng($image, null, 6);

        return (string) ob_get_clean();
    }

    private static function canvas(int $width, int $height, ?Srgb $ground): GdImage
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        if ($image === false) {
            throw new RuntimeException('There is not enough memory for a picture of this size.');
        }
        imagealphablending($image, false);
        imagesavealpha($image, true);
        imagefill($image, 0, 0, self::groundOf($image, $ground));

        return $image;
    }

    private static function groundOf(GdImage $image, ?Srgb $ground): int
    {
        return (int) ($ground === null
            ? imagecolorallocatealpha($image, 255, 255, 255, 127)
            : imagecolorallocate($image, $ground->red, $ground->green, $ground->blue));
    }
}
