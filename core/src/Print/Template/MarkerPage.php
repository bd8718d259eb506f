<?php

declare(strict_types=1);

namespace Impa\Print\Template;

use Impa\Figure\Figure;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Render\Bench\MarkerSheet;
use Impa\Render\FlatArea;
use Impa\Voice\Message;

/** The marker sheet on which a figure is photographed, at true size; a page is SVG in mm. */
final class MarkerPage
{
    /** So much larger it is printed for a figure that has no room on A4 (ISO 216). */
    /** How it is printed where the usual one is too small, by the codes of lang/, print.marker. */
    private const LARGER = ['usual', 'at-141', 'at-200'];

    public static function page(Figure $figure, Paper $paper): string
    {
        [$width, $height] = $paper->sizeMm();
        $middle = [$width / 2, Page::RIM + ($height - 2 * Page::RIM - Page::FOOT) / 2];
        $usual = MarkerSheet::for(Box::around([[0.0, 0.0]]));
        $body = '';
        foreach ($usual->marks() as $i => [$x, $y]) {
            $discs = [[MarkerSheet::ACROSS_MM, '#000000'], ...($i === 3 ? [[MarkerSheet::HOLE_MM, '#ffffff']] : [])];
            foreach ($discs as [$mm, $fill]) {
                $body .= sprintf(
                    '<circle cx="%s" cy="%s" r="%s" fill="%s"/>',
                    Page::number($middle[0] + $x),
                    Page::number($middle[1] - $y),
                    Page::number($mm / 2),
                    $fill,
                );
            }
        }
        $times = (int) round(2 * log(self::wanted($figure)->wideMm / $usual->wideMm, 2));

        return Page::of($body, Message::of('print.marker.'.(self::LARGER[$times] ?? 'usual')), $paper);
    }

    private static function wanted(Figure $figure): MarkerSheet
    {
        $loops = array_map(static fn (FlatArea $layer): array => $layer->loops[0], FlatArea::all($figure, Side::Front));

        return MarkerSheet::for($loops === [] ? Box::around([[0.0, 0.0]]) : Box::around(array_merge(...$loops)));
    }
}
