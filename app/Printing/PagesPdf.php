<?php

declare(strict_types=1);

namespace App\Printing;

use DOMDocument;
use DOMElement;
use DOMXPath;
use Impa\Print\Page\Html;
use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;

/** Pages of true size as a PDF. Every page is one SVG shown in a box of the paper's own size in mm: so it comes out true. */
final class PagesPdf
{
    /** From the top of a line of the wide font to its baseline, and how large it is set beside the others, as shares of the size. */
    private const ASCENT = 0.93;

    private const WIDE_SIZE = 0.88;

    /** @param  list<string>  $pages  SVG in mm, as core's Print makes them */
    public static function of(array $pages, Paper $paper): string
    {
        [$width, $height] = $paper->sizeMm();
        $html = sprintf(
            '<html><head><style>@page{margin:0;size:%1$smm %2$smm}body{margin:0}img{display:block}'
                .'.on{page-break-before:always}.page{position:relative}.wide{position:absolute;white-space:nowrap;'
                .'line-height:1.164;font-family:%3$s;color:#3a2a20}</style></head><body>',
            $width,
            $height,
            Html::WIDE_FONT,
        );
        foreach ($pages as $i => $page) {
            $words = '';
            $svg = Html::isWide($page) ? self::withoutWide($page, $words) : $page;
            $html .= sprintf('<div class="page%s">%s%s</div>', $i > 0 ? ' on' : '', Html::drawing($svg, $width, $height), $words);
        }

        return Pdf::of($html.'</body></html>', $paper);
    }

    /** The drawing without the words that its fonts have no letters for; those come as HTML at the same places. */
    private static function withoutWide(string $svg, string &$words): string
    {
        $document = new DOMDocument;
        $document->loadXML($svg);
        $path = new DOMXPath($document);
        foreach (iterator_to_array($path->query('//*[local-name()="text"]') ?: []) as $text) {
            if (! $text instanceof DOMElement || ! Html::isWide($text->textContent)) {
                continue;
            }
            [$x, $y] = [(float) $text->getAttribute('x'), (float) $text->getAttribute('y')];
            for ($in = $text->parentNode; $in instanceof DOMElement; $in = $in->parentNode) {
                // Pages move their drawings, and do nothing else with them.
                if (sscanf($in->getAttribute('transform'), 'translate(%f %f)', $right, $down) === 2) {
                    [$x, $y] = [$x + $right, $y + $down];
                }
            }
            $size = self::WIDE_SIZE * (float) $text->getAttribute('font-size');
            $words .= sprintf(
                '<div class="wide" style="left:%smm;top:%smm;font-size:%smm">%s</div>',
                Page::number($x),
                Page::number($y - self::ASCENT * $size),
                Page::number($size),
                htmlspecialchars($text->textContent, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8'),
            );
            $text->parentNode?->removeChild($text);
        }

        return (string) $document->saveXML($document->documentElement);
    }
}
