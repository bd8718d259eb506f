<?php

declare(strict_types=1);

namespace Impa\Raster\File;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A file that is no picture we can break down, and what to do about it. */
final class PictureRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('raster.picture-refused.the-picture-cannot-be');
    }

    public static function because(Message $why): self
    {
        return new self($why);
    }

    public static function empty(): self
    {
        return new self(Message::of('raster.picture-refused.the-file-is-empty'));
    }

    public static function notAPicture(): self
    {
        return new self(Message::of('raster.picture-refused.this-is-not'));
    }

    public static function kindNotRead(string $mime): self
    {
        return new self(Message::of('raster.picture-refused.pictures-of-the-kind', mime: $mime));
    }

    public static function tooLarge(int $width, int $height): self
    {
        return new self(
            Message::of('raster.picture-refused.too-large', width: (int) round(($width * $height) / 1e6), width2: $width, height: $height),
        );
    }

    public static function damaged(): self
    {
        return new self(Message::of('raster.picture-refused.the-picture-is-damaged'));
    }

    public static function animatedWebp(): self
    {
        return new self(Message::of('raster.picture-refused.this-webp-file'));
    }

    public static function nothingDrawn(): self
    {
        return new self(
            Message::of('raster.picture-refused.nothing-stands-out-from'),
        );
    }

    public static function tooLong(int $width, int $height): self
    {
        return new self(
            Message::of('raster.picture-refused.the-picture-is-x', width: $width, height: $height),
        );
    }

    public static function tooSmall(int $width, int $height): self
    {
        return new self(
            Message::of('raster.picture-refused.the-picture-is-only', width: $width, height: $height),
        );
    }

    public static function heightOutOfRange(float $heightMm): self
    {
        return new self(Message::of(
            'raster.picture-refused.a-finished-height-lies',
            mm: Amount::mm(10.0),
            mm2: Amount::mm(2000.0),
            height: Amount::mm($heightMm),
        ));
    }

    public static function shadesOutOfRange(float $shades): self
    {
        return new self(Message::of('raster.picture-refused.how-strongly-shades-are', shades: Amount::number($shades)));
    }

    public static function noSuchLayers(string $said): self
    {
        return new self(Message::of('raster.picture-refused.layers-are-of-sheet', said: mb_substr($said, 0, 40)));
    }

    public static function wishOutOfRange(): self
    {
        return new self(Message::of('raster.picture-refused.the-figure-is-counted', mm: Amount::mm(10.0)));
    }

    public static function noBrushStroke(float $leastWidth, float $mostWidth, int $mostPoints): self
    {
        return new self(
            Message::of(
                'raster.picture-refused.a-brush-stroke-says',
                leastWidth: Amount::number($leastWidth),
                mostWidth: Amount::number($mostWidth),
                mostPoints: $mostPoints,
            ),
        );
    }

    public static function tooManyStrokes(int $most): self
    {
        return new self(
            Message::of('raster.picture-refused.more-than-brush-strokes', most: $most),
        );
    }

    public static function noSheet(): self
    {
        return new self(Message::of('raster.picture-refused.a-sheet-has-four'));
    }

    public static function viewsDoNotFit(): self
    {
        return new self(Message::of('raster.picture-refused.of-the-views'));
    }

    public static function notAsManyViews(int $views, int $figures): self
    {
        return new self(Message::of('raster.picture-refused.views-were-named-but', views: $views, figures: $figures));
    }

    public static function noSuchView(): self
    {
        return new self(Message::of('raster.picture-refused.a-view-is-front'));
    }

    public static function noSuchFigure(int $figure, int $count): self
    {
        return new self(
            Message::of('raster.picture-refused.there-is-no-figure', figure: $figure, count: $count),
        );
    }

    public static function stopped(): self
    {
        return new self(Message::of('raster.picture-refused.stopped-nothing-was-kept'));
    }
}
