<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Raster\File\PictureRefused;

/** What a figure on a turnaround sheet shows of the character. */
enum SheetView: string
{
    case Front = 'front';
    /** From the side, the character looks to the left. */
    case Left = 'left';
    case Right = 'right';
    case Back = 'back';
    /** Three quarters, another pose, another character: not used. */
    case None = 'none';

    /**
     * @param  list<string>  $words
     * @return list<self>
     *
     * @throws PictureRefused if one is no view
     */
    public static function list(array $words): array
    {
        return array_map(static fn (string $word): self => self::tryFrom($word) ?? throw PictureRefused::noSuchView(), $words);
    }
}
