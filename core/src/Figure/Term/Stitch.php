<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** How the rim of a layer, or a seam, is held by thread; none where stabs hold it. */
enum Stitch: string
{
    case None = 'none';
    case Running = 'running';
    case Back = 'back';
    case Whip = 'whip';
    case Blanket = 'blanket';

    public function label(): string
    {
        return match ($this) {
            self::None => 'stabbed, no thread',
            self::Running => 'running stitch',
            self::Back => 'back stitch',
            self::Whip => 'whip stitch',
            self::Blanket => 'blanket stitch',
        };
    }
}
