<?php

declare(strict_types=1);

namespace Impa\Render;

use DomainException;
use Impa\Raster\Raster;
use Impa\Refusal;

/** A picture that cannot be made. */
final class RenderRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'The picture cannot be made';
    }

    public static function noPictureToMatch(): self
    {
        return new self('This figure keeps no drawing to lie over: its document has no "picture". Leave --match out.');
    }

    public static function onlyTheFrontMatches(): self
    {
        return new self('Only the front view lies over the drawing.');
    }

    public static function drawingTooLarge(int $widthPx, int $heightPx): self
    {
        return new self(
            sprintf(
                'The figure says that its drawing is %d x %d pixels: beyond %d megapixels nothing is drawn to lie over it.',
                $widthPx,
                $heightPx,
                Raster::MOST_MEGAPIXELS,
            ),
        );
    }

    public static function photoSizeOutOfRange(int $px): self
    {
        return new self(sprintf('A sample photo has 200 to 2400 pixels along its longer side; %d is out of range.', $px));
    }

    public static function sizeOutOfRange(int $px): self
    {
        return new self(sprintf('A render is 16 to 4096 pixels large, not %d.', $px));
    }

    /** @param  list<string>  $kinds */
    public static function noSuchLight(array $kinds): self
    {
        return new self(sprintf('The light is one of %s.', implode(', ', $kinds)));
    }
}
