<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Raster\File\PictureRefused;
use Impa\Raster\Grain;
use Impa\Raster\Raster;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Foreground\Brushwork;
use Impa\Seeing\Segmentation\FiguresApart;
use Impa\Seeing\Segmentation\FlatColours;
use Impa\Seeing\Segmentation\Regions;
use Impa\Voice\Message;

/**
 * A quick first look at a drawing, small: what is taken for paper, which colours are made one, where outlines run; nothing is shaped
 * yet. Immutable.
 */
final readonly class QuickPreview
{
    /** The longer side of it, in pixels. */
    private const PX = 200;

    private const CLEAR = 0x7F000000;

    /**
     * @param  string  $png  the drawing in the colours that were told apart, clear where there is paper
     * @param  ?string  $other  the same with what may belong to the figure told the other way; none where nothing much is unsure
     * @param  int  $colours  told apart
     * @param  list<Message>  $notices
     */
    private function __construct(
        public string $png,
        public ?string $other,
        public int $colours,
        public array $notices,
    ) {
    }

    /**
     * @param  string  $bytes  the picture file
     *
     * @throws PictureRefused if the file is no usable picture, or nothing stands out
     */
    public static function of(string $bytes, Wishes $wishes): self
    {
        $raster = Grain::smoothed(Raster::decode($bytes, self::PX, readsCells: true));
        $whole = Background::of($raster, $wishes->strokes, $wishes->keepsUnsure);
        $figures = FiguresApart::of($whole, $raster->width);
        if ($wishes->figure > count($figures->boxes)) {
            throw PictureRefused::noSuchFigure($wishes->figure, count($figures->boxes));
        }
        $ground = $figures->only($wishes->figure, $whole);
        [$png, $colours, $notices] = self::drawn($raster, $ground, $wishes);
        $other = $ground->isUnsure() ? self::drawn($raster, $ground->otherwise(), $wishes)[0] : null;

        return new self($png, $other, $colours, [...$raster->notices, ...$ground->notices, ...$notices]);
    }

    /** @return array{string, int, list<Message>} the picture, how many colours it has, and what is to be said of them */
    private static function drawn(Raster $raster, Background $ground, Wishes $wishes): array
    {
        $flat = FlatColours::of($raster, $ground, $wishes->shades);
        $regions = Regions::of($flat, $raster, $ground, Brushwork::inked($raster, $wishes->strokes));
        $image = imagecreatetruecolor(max(1, $raster->width), max(1, $raster->height));
        imagealphablending($image, false);
        imagesavealpha($image, true);
        $used = [];
        foreach ($regions->map as $i => $region) {
            $label = $region < 0 ? -1 : $regions->all[$region]->label;
            $colour = $label < 0 ? null : $flat->colours[$label];
            $used[$label] = true;
            imagesetpixel(
                $image,
                $i % $raster->width,
                intdiv($i, $raster->width),
                $colour === null ? self::CLEAR : ($colour->red << 16) | ($colour->green << 8) | $colour->blue,
            );
        }
        unset($used[-1]);
        ob_start();
        imagepng($image);

        return [(string) ob_get_clean(), count($used), $flat->notices];
    }
}
