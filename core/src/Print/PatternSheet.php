<?php

declare(strict_types=1);

namespace Impa\Print;

use Impa\Flat\Pattern;
use Impa\Flat\PatternPiece;
use Impa\Geometry\Box;

/** The pieces of a sewn pattern at true size: where to cut, and dashed where to sew. */
final class PatternSheet
{
    private const GAP_MM = 4.0;

    private const NAME_MM = 6.0;

    /** @return non-empty-list<string> pages as SVG in mm */
    public static function pages(Pattern $pattern, string $figure, Paper $paper): array
    {
        return TruePieces::pages(
            array_map(static fn (PatternPiece $p): array => self::piece($p, $pattern->part->count()), $pattern->pieces),
            sprintf('%s: %s, to cut and sew', $figure, mb_strtolower($pattern->part->name)),
            $paper,
        );
    }

    /** @return array{name: string, widthMm: float, heightMm: float, svg: string} */
    private static function piece(PatternPiece $piece, int $parts): array
    {
        $box = Box::around($piece->cut);
        $drawn = static fn (array $points, string $pen): string => sprintf(
            '<path d="%s" fill="none" stroke="#3a2a20" %s/>',
            Page::path([array_values(array_map(static fn (array $p): array => [
                self::GAP_MM / 2 + $p[0] - $box->left,
                self::NAME_MM + self::GAP_MM / 2 + $box->high - $p[1],
            ], $points))]),
            $pen,
        );
        $count = $piece->count * $parts;
        $words = sprintf('%s, %s%s', $piece->name, $piece->of, $count > 1 ? sprintf('; cut %d', $count) : '');
        $svg = $drawn($piece->cut, 'stroke-width="0.35"');
        if ($piece->cut !== $piece->outline) {
            $svg .= $drawn($piece->outline, 'stroke-width="0.2" stroke-dasharray="1.6 1.2"');
        }

        return [
            'name' => $piece->name,
            'widthMm' => max($box->width(), 1.6 * mb_strlen($words)) + self::GAP_MM,
            'heightMm' => $box->height() + self::GAP_MM + self::NAME_MM,
            'svg' => $svg.Page::text($words, self::GAP_MM / 2, 4.0, 3.2),
        ];
    }
}
