<?php

declare(strict_types=1);

namespace Impa\Wool;

/** What a part is covered with: plain felt, or something laid on, wound round or cut out. */
enum CoveringWay: string
{
    case Felt = 'felt';
    case Loops = 'loops';
    case Tufts = 'tufts';
    case Locks = 'locks';
    case Hair = 'hair';
    case Film = 'film';
    case PreFelt = 'pre-felt';
    case Wrap = 'wrap';
    case Plait = 'plait';

    /** Whether it takes the place of the felted cover, instead of lying on it. */
    public function replacesCover(): bool
    {
        return in_array($this, [self::Film, self::PreFelt, self::Wrap, self::Plait], true);
    }
}
