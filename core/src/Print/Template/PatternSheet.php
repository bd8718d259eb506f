<?php

declare(strict_types=1);

namespace Impa\Print\Template;

use Impa\Flat\FlatRefused;
use Impa\Flat\Pattern;
use Impa\Flat\PatternPiece;
use Impa\Print\Page\Paper;
use Impa\Print\Page\TruePiece;
use Impa\Print\Page\TruePieces;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** The pieces of a sewn pattern at true size: where to cut, and dashed where to sew. */
final class PatternSheet
{
    /**
     * @return non-empty-list<string> pages as SVG in mm
     *
     * @throws FlatRefused if a piece takes too many
     */
    public static function pages(Pattern $pattern, string $figure, Paper $paper): array
    {
        $count = $pattern->part->count();

        return TruePieces::pages(
            array_map(static fn (PatternPiece $p): TruePiece => TruePiece::of(
                (string) $p->name,
                $p->name.', '.Message::of('flat.of.'.$p->of).($p->count * $count > 1 ? Message::of(
                    'print.pattern.cut',
                    count: $p->count * $count,
                ) : ''),
                $p->cut,
                $p->cut === $p->outline ? [] : [[$p->outline, true]],
            ), $pattern->pieces),
            Message::of('print.pattern.title', figure: $figure, name: new Name($pattern->part->name)),
            $paper,
        );
    }
}
