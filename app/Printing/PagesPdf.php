<?php

declare(strict_types=1);

namespace App\Printing;

use Impa\Cards\Paper;

/** Pages of true size as a PDF. Every page is one SVG shown in a box of the paper's own size in mm: so it comes out true. */
final class PagesPdf
{
    /** @param  list<string>  $pages  SVG in mm, as Impa\Cards makes them */
    public static function of(array $pages, Paper $paper): string
    {
        [$width, $height] = $paper->sizeMm();
        $html = sprintf('<html><head><style>@page{margin:0;size:%1$smm %2$smm}body{margin:0}img{display:block}.on{page-break-before:always}</style></head><body>', $width, $height);
        foreach ($pages as $i => $page) {
            $html .= sprintf('<div%s>%s</div>', $i > 0 ? ' class="on"' : '', Pdf::drawing($page, $width, $height));
        }

        return Pdf::of($html.'</body></html>', $paper);
    }
}
