<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

use Impa\Seeing\Foreground\Background;
use Impa\Voice\Message;

/** One plain sentence on what would make a better picture, where what stands out from the background does not look like one character. */
final class PictureAdvice
{
    /** A page of text: so many things, none of them more than such a share of all. */
    private const MANY = 25;

    private const NONE_LARGE = 0.25;

    /** Frames, as of a comic: so many things that fill their boxes, each such a share of the picture. */
    private const FRAMES = 2;

    private const FILLS = 0.93;

    private const FRAME = 0.05;

    /** Hardly anything stands out: less than such a share of the picture, and no one thing is most of it. */
    private const HARDLY = 0.06;

    private const MOST = 0.6;

    /** So many pieces that stand apart, each such a share of all, are no one character. */
    private const APART = 4;

    private const PIECE = 0.03;

    /** @return list<Message> one at most */
    public static function of(Background $ground, int $width): array
    {
        $size = count($ground->figure);
        [$all] = Regions::connected(array_map(static fn (bool $in): int => $in ? 0 : -1, $ground->figure), $width);
        $areas = array_map(static fn (Region $r): int => $r->area, $all);
        $largest = max([0, ...$areas]);
        $isFrame = static fn (Region $r): bool => $r->area > max(self::FRAME * $size, self::FILLS * $r->widthPx() * $r->heightPx());
        $pieces = count(array_filter($areas, static fn (int $a): bool => $a > self::PIECE * $ground->count));

        return match (true) {
            count($all) >= self::MANY && $largest < self::NONE_LARGE * $ground->count => [
                Message::of('seeing.picture-advice.this-looks-like'),
            ],
            count(array_filter($all, $isFrame)) >= self::FRAMES => [
                Message::of('seeing.picture-advice.this-looks-like-2'),
            ],
            $ground->count < self::HARDLY * $size && $largest < self::MOST * $ground->count => [
                Message::of('seeing.picture-advice.little-stands-out-here'),
            ],
            $pieces >= self::APART => [
                Message::of('seeing.picture-advice.pieces-stand-apart-from', pieces: $pieces),
            ],
            default => [],
        };
    }
}
