<?php

declare(strict_types=1);

namespace Impa\Render;

use DomainException;

/** A picture that cannot be made. */
final class RenderRefused extends DomainException
{
    public static function noPictureToMatch(): self
    {
        return new self('This figure keeps no drawing to lie over: its document has no "picture". Leave --match out.');
    }

    public static function onlyTheFrontMatches(): self
    {
        return new self('Only the front view lies over the drawing.');
    }

    public static function sizeOutOfRange(int $px): self
    {
        return new self(sprintf('A render is 16 to 4096 pixels large, not %d.', $px));
    }
}
