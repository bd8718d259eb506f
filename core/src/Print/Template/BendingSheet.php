<?php

declare(strict_types=1);

namespace Impa\Print\Template;

use Impa\Armature\WireAdvice;
use Impa\Figure\Figure;
use Impa\Figure\Term\Side;
use Impa\Figure\Wire;
use Impa\Geometry\Box;
use Impa\Material\WireMaterial;
use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Voice\Amount;
use Impa\Voice\Message;

/** Every wire at true size, from the front and where it is not flat from the side as well, to be bent along; pages are SVG in mm. */
final class BendingSheet
{
    /** So much room is left round a wire, and for its words, mm. */
    private const GAP = 8.0;

    private const WORDS = 16.0;

    /** Flatter than so many mm from front to back, one view is enough. */
    private const FLAT_MM = 2.0;

    /**
     * @param  array<string, Wire>  $wires
     * @return non-empty-list<string>
     */
    public static function pages(Figure $figure, array $wires, Paper $paper): array
    {
        [$width, $height] = $paper->sizeMm();
        [$right, $bottom] = [$width - Page::RIM, $height - Page::RIM - Page::FOOT];
        $bodies = [''];
        [$x, $y, $row] = [Page::RIM, Page::RIM, 0.0];
        foreach ($wires as $wire) {
            foreach (self::views($wire) as $from) {
                [$svg, $w, $h] = self::drawn($wire, $from, $right - Page::RIM, $bottom - Page::RIM);
                if ($x + $w > $right) {
                    [$x, $y, $row] = [Page::RIM, $y + $row, 0.0];
                }
                if ($y + $h > $bottom && $y > Page::RIM) {
                    $bodies[] = '';
                    [$x, $y, $row] = [Page::RIM, Page::RIM, 0.0];
                }
                $bodies[count($bodies) - 1] .= sprintf('<g transform="translate(%s %s)">%s</g>', Page::number($x), Page::number($y), $svg);
                $x += $w;
                $row = max($row, $h);
            }
        }
        $count = count($bodies);

        return array_map(
            static fn (string $body, int $i): string => Page::of(
                $body,
                Message::of('print.wires.title', name: $figure->name, page: $i + 1, of: $count),
                $paper,
            ),
            $bodies,
            array_keys($bodies),
        );
    }

    /** @return list<Side> */
    private static function views(Wire $wire): array
    {
        $depths = array_column($wire->pointsMm, 2);

        return max([0.0, ...$depths]) - min([INF, ...$depths]) > self::FLAT_MM ? [Side::Front, Side::Right] : [Side::Front];
    }

    /** @return array{string, float, float} SVG, width and height; larger than the room, it is turned upright or cut off at the page */
    private static function drawn(Wire $wire, Side $from, float $roomWidth, float $roomHeight): array
    {
        $seen = array_map(static fn (array $p): array => array_slice($from->see(...$p), 0, 2), $wire->pointsMm);
        $box = Box::around($seen);
        // What is wider than the paper is turned upright, where that helps.
        if ($box->width() + 2 * self::GAP > $roomWidth && $box->height() < $box->width() && $box->width() + 2 * self::GAP <= $roomHeight) {
            $seen = array_map(static fn (array $p): array => [-$p[1], $p[0]], $seen);
            $box = Box::around($seen);
        }
        $points = array_map(
            static fn (array $p): array => [$p[0] - $box->left + self::GAP, $box->high - $p[1] + self::GAP + self::WORDS],
            $seen,
        );
        $words = [
            Message::of('print.wires.'.($from === Side::Front ? 'front' : 'side'), name: $wire->name, count: $wire->count()),
            Message::of(
                'print.wires.'.($wire->made->doubled ? 'cut-doubled' : 'cut'),
                wire: $wire->material->word(),
                gauge: Amount::mm($wire->gaugeMm),
                long: Amount::mm(WireAdvice::cut($wire)),
            ),
            Message::of(
                'print.wires.'.($wire->made->endLoopMm > 0.0 ? 'turn-back-loop' : 'turn-back'),
                by: Amount::mm(WireMaterial::FOLD_BACK_MM),
                loop: Amount::mm($wire->made->endLoopMm),
            ),
        ];
        $svg = sprintf(
            '<path d="%s" fill="none" stroke="#3a2a20" stroke-width="%s" stroke-linejoin="round" stroke-linecap="round"/>',
            Page::path([$points], false),
            Page::number(max(0.4, $wire->gaugeMm)),
        );
        foreach ([$points[0], $points[count($points) - 1]] as [$px, $py]) {
            $svg .= sprintf(
                '<circle cx="%s" cy="%s" r="1.6" fill="none" stroke="#9c3447" stroke-width="0.4"/>',
                Page::number($px),
                Page::number($py),
            );
        }
        if ($wire->made->endLoopMm > 0.0) {
            [$px, $py] = $points[count($points) - 1];
            $svg .= sprintf(
                '<circle cx="%s" cy="%s" r="%s" fill="none" stroke="#3a2a20" stroke-width="0.4" stroke-dasharray="1.5 1"/>',
                Page::number($px),
                Page::number($py),
                Page::number($wire->made->endLoopMm / 2),
            );
        }
        foreach ($words as $i => $line) {
            $svg .= Page::text($line, self::GAP, 4.0 + 4.4 * $i, $i === 0 ? 3.6 : 3.0);
        }
        $width = max($box->width() + 2 * self::GAP, 78.0);

        return [$svg, $width, $box->height() + 2 * self::GAP + self::WORDS];
    }
}
