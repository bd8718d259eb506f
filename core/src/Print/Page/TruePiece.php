<?php

declare(strict_types=1);

namespace Impa\Print\Page;

use Impa\Geometry\Box;

/** A piece that is cut, drawn at true size in mm from its upper left corner, its name above it. Immutable. */
final readonly class TruePiece
{
    /** Room beside it, the line for its name, and how broad a letter of that is about, mm. */
    public const GAP_MM = 4.0;

    public const NAME_MM = 6.0;

    private const LETTER_MM = 1.6;

    private const CUT = 'stroke-width="0.35"';

    private const MARKED = 'stroke-width="0.2"';

    private const DASHED = ' stroke-dasharray="1.6 1.2"';

    private function __construct(public string $name, public float $widthMm, public float $heightMm, public string $svg)
    {
    }

    /**
     * @param  string  $words  what stands above it
     * @param  list<array{float, float}>  $outline  where it is cut, y up
     * @param  list<array{list<array{float, float}>, bool}>  $marks  what is drawn on it, and whether dashed
     */
    public static function of(string $name, string $words, array $outline, array $marks): self
    {
        $box = Box::around($outline);
        $drawn = static fn (array $points, string $pen): string => sprintf(
            '<path d="%s" fill="none" stroke="#3a2a20" %s/>',
            Page::path([array_values(array_map(static fn (array $p): array => [
                self::GAP_MM / 2 + $p[0] - $box->left,
                self::NAME_MM + self::GAP_MM / 2 + $box->high - $p[1],
            ], $points))]),
            $pen,
        );
        $svg = $drawn($outline, self::CUT);
        foreach ($marks as [$points, $isDashed]) {
            $svg .= $drawn($points, self::MARKED.($isDashed ? self::DASHED : ''));
        }

        return new self(
            $name,
            // A name may be broader than what it names.
            max($box->width(), self::LETTER_MM * mb_strlen($words)) + self::GAP_MM,
            $box->height() + self::GAP_MM + self::NAME_MM,
            $svg.Page::text($words, self::GAP_MM / 2, 4.0, 3.2),
        );
    }
}
