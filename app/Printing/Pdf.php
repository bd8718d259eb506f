<?php

declare(strict_types=1);

namespace App\Printing;

use Dompdf\Dompdf;
use Dompdf\Options;
use Impa\Print\Page\Paper;

/** HTML to a PDF of the paper's own size. */
final class Pdf
{
    public static function of(string $html, Paper $paper): string
    {
        [$width, $height] = $paper->sizeMm();
        $options = new Options([
            'isRemoteEnabled' => false,
            'defaultFont' => 'Helvetica',
            'tempDir' => sys_get_temp_dir(),
            'fontCache' => sys_get_temp_dir(),
            'logOutputFile' => '',
            'isFontSubsettingEnabled' => true,
        ]);
        $pdf = new Dompdf($options);
        $pdf->setPaper([0, 0, ($width / 25.4) * 72, ($height / 25.4) * 72]);
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();

        return (string) $pdf->output();
    }
}
