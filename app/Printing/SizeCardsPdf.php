<?php

declare(strict_types=1);

namespace App\Printing;

use Dompdf\Dompdf;
use Dompdf\Options;
use Impa\Cards\Paper;
use Impa\Cards\SizeCards;
use Impa\Plan\Plan;

/** Size cards as a PDF. Every page is one SVG shown in a box of the paper's own size in mm: so it comes out true. */
final class SizeCardsPdf
{
    public static function of(Plan $plan, Paper $paper): string
    {
        [$width, $height] = $paper->sizeMm();
        $html = sprintf('<html><head><style>@page{margin:0;size:%1$smm %2$smm}body{margin:0}img{display:block;width:%1$smm;height:%2$smm}.on{page-break-before:always}</style></head><body>', $width, $height);
        foreach (SizeCards::pages($plan, $paper) as $i => $page) {
            $html .= sprintf('<div%s><img src="data:image/svg+xml;base64,%s"></div>', $i > 0 ? ' class="on"' : '', base64_encode($page));
        }
        $options = new Options(['isRemoteEnabled' => false, 'defaultFont' => 'Helvetica', 'tempDir' => sys_get_temp_dir(), 'fontCache' => sys_get_temp_dir(), 'logOutputFile' => '']);
        $pdf = new Dompdf($options);
        $pdf->setPaper([0, 0, $width / 25.4 * 72, $height / 25.4 * 72]);
        $pdf->loadHtml($html.'</body></html>', 'UTF-8');
        $pdf->render();

        return (string) $pdf->output();
    }
}
