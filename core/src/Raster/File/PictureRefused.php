<?php

declare(strict_types=1);

namespace Impa\Raster\File;

use DomainException;
use Impa\Refusal;

/** A file that is no picture we can break down, and what to do about it. */
final class PictureRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'The picture cannot be used';
    }

    public static function because(string $why): self
    {
        return new self($why);
    }

    public static function empty(): self
    {
        return new self('The file is empty. Save the picture again and choose that file.');
    }

    public static function notAPicture(): self
    {
        return new self('This is not a picture. Use a PNG, JPEG, WebP, GIF or SVG file.');
    }

    public static function kindNotRead(string $mime): self
    {
        return new self(sprintf('Pictures of the kind %s are not read. Save it as PNG, JPEG, WebP or GIF.', $mime));
    }

    public static function tooLarge(int $width, int $height): self
    {
        return new self(
            sprintf(
                'The picture has %.0f megapixels (%d x %d), and 40 are the most. Save it smaller: 1000 pixels across are plenty.',
                ($width * $height) / 1e6,
                $width,
                $height,
            ),
        );
    }

    public static function damaged(): self
    {
        return new self('The picture is damaged or cut short: it cannot be read to its end. Save or download it again.');
    }

    public static function animatedWebp(): self
    {
        return new self('This WebP file is an animation. Save one of its frames as a PNG.');
    }

    public static function nothingDrawn(): self
    {
        return new self(
            'Nothing stands out from the background in this picture: it is all one colour. Use a drawing on '
                .'a plain or transparent background.',
        );
    }

    public static function tooLong(int $width, int $height): self
    {
        return new self(
            sprintf('The picture is %d x %d pixels, longer than any drawing: cut out the part with the figure.', $width, $height),
        );
    }

    public static function tooSmall(int $width, int $height): self
    {
        return new self(
            sprintf('The picture is only %d x %d pixels; a drawing needs at least 16 x 16 to show shapes.', $width, $height),
        );
    }

    public static function heightOutOfRange(float $heightMm): self
    {
        return new self(sprintf('A finished height lies between 10 and 2000 mm, not %g.', $heightMm));
    }

    public static function shadesOutOfRange(float $shades): self
    {
        return new self(sprintf('How strongly shades are merged lies between 0 and 1, not %g.', $shades));
    }

    public static function noSuchLayers(string $said): self
    {
        return new self(sprintf('Layers are of sheet or of batting, not of "%s".', mb_substr($said, 0, 40)));
    }

    public static function wishOutOfRange(): self
    {
        return new self('The figure is counted from 1 (0 for all of them), and sizes are rounded to steps of 0 to 10 mm.');
    }

    public static function noBrushStroke(float $leastWidth, float $mostWidth, int $mostPoints): self
    {
        return new self(
            sprintf(
                'A brush stroke says what is there (paper, figure or ink), how wide it is (a share of the picture, %g to %g) and where '
                    .'it went (up to %d points, each from 0 to 1 across and down).',
                $leastWidth,
                $mostWidth,
                $mostPoints,
            ),
        );
    }

    public static function tooManyStrokes(int $most): self
    {
        return new self(
            sprintf('More than %d brush strokes lie on this picture, or very long ones; brush less: a dab is mostly enough.', $most),
        );
    }

    public static function noSheet(): self
    {
        return new self('A sheet has four corners, from its upper left one on clockwise, none bent inwards: drag them onto its own.');
    }

    public static function viewsDoNotFit(): self
    {
        return new self('Of the views of a character one is the front, and at most one the side and one the back.');
    }

    public static function notAsManyViews(int $views, int $figures): self
    {
        return new self(sprintf('%d views were named, but %d figures stand on the picture.', $views, $figures));
    }

    public static function noSuchView(): self
    {
        return new self('A view is front, left, right, back or none.');
    }

    public static function noSuchFigure(int $figure, int $count): self
    {
        return new self(
            sprintf(
                'There is no figure %d on this picture: %s.',
                $figure,
                $count === 1 ? 'only one stands there' : $count.' stand there',
            ),
        );
    }

    public static function stopped(): self
    {
        return new self('Stopped. Nothing was kept.');
    }
}
