<?php

declare(strict_types=1);

namespace App\Printing;

use Impa\Print\Page\Html;
use Impa\Print\Page\Paper;

/** Running text and pages at true size as one PDF: such a page covers the text's margins. */
final class BookletPdf
{
    /** Of the text, as its style has it. */
    private const MARGIN_MM = 13.0;

    /** @param  array{html: string, pages: list<string>}  $booklet */
    public static function of(array $booklet, Paper $paper): string
    {
        [$width, $height] = $paper->sizeMm();
        $full = '';
        foreach ($booklet['pages'] as $page) {
            $full .= '<div class="full">'.Html::drawing($page, $width, $height).'</div>';
        }
        $style = sprintf(
            '<style>.full{page-break-before:always;position:relative;height:1mm}'
                .'.full img{position:absolute;left:-%1$smm;top:-%1$smm}</style>',
            self::MARGIN_MM,
        );

        return Pdf::of(str_replace(['</head>', '</body>'], [$style.'</head>', $full.'</body>'], $booklet['html']), $paper);
    }
}
