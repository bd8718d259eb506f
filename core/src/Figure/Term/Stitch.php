<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

use Impa\Voice\Message;

/** How the rim of a layer, or a seam, is held by thread; none where stabs hold it. */
enum Stitch: string
{
    case None = 'none';
    case Running = 'running';
    case Back = 'back';
    case Whip = 'whip';
    case Blanket = 'blanket';

    public function label(): Message
    {
        return match ($this) {
            self::None => Message::of('figure.stitch.stabbed-no-thread'),
            self::Running => Message::of('figure.stitch.running-stitch'),
            self::Back => Message::of('figure.stitch.back-stitch'),
            self::Whip => Message::of('figure.stitch.whip-stitch'),
            self::Blanket => Message::of('figure.stitch.blanket-stitch'),
        };
    }
}
