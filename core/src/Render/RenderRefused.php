<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Raster\Raster;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A picture that cannot be made. */
final class RenderRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('render.render-refused.the-picture-cannot-be');
    }

    public static function noPictureToMatch(): self
    {
        return new self(Message::of('render.render-refused.this-figure-keeps-no'));
    }

    public static function onlyTheFrontMatches(): self
    {
        return new self(Message::of('render.render-refused.only-the-front-view'));
    }

    public static function drawingTooLarge(int $widthPx, int $heightPx): self
    {
        return new self(
            Message::of(
                'render.render-refused.the-figure-says',
                width: $widthPx,
                height: $heightPx,
                mostMegapixels: Raster::MOST_MEGAPIXELS,
            ),
        );
    }

    public static function photoSizeOutOfRange(int $px): self
    {
        return new self(Message::of('render.render-refused.a-sample-photo-has', px: $px));
    }

    public static function sizeOutOfRange(int $px): self
    {
        return new self(Message::of('render.render-refused.a-render-is-16', px: $px));
    }

    /** @param  list<string>  $kinds */
    public static function noSuchLight(array $kinds): self
    {
        return new self(Message::of('render.render-refused.the-light-is-one', list: implode(', ', $kinds)));
    }
}
