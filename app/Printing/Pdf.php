<?php

declare(strict_types=1);

namespace App\Printing;

use Dompdf\Dompdf;
use Dompdf\Options;
use Impa\Cards\Paper;

/** HTML to a PDF of the paper's own size. SVG comes out true only in an img that is sized in mm. */
final class Pdf
{
    public static function of(string $html, Paper $paper): string
    {
        [$width, $height] = $paper->sizeMm();
        $options = new Options(['isRemoteEnabled' => false, 'defaultFont' => 'Helvetica', 'tempDir' => sys_get_temp_dir(), 'fontCache' => sys_get_temp_dir(), 'logOutputFile' => '']);
        $pdf = new Dompdf($options);
        $pdf->setPaper([0, 0, $width / 25.4 * 72, $height / 25.4 * 72]);
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();

        return (string) $pdf->output();
    }

    /** An SVG drawn in mm, at true size. */
    public static function drawing(string $svg, float $widthMm, float $heightMm): string
    {
        return sprintf('<img style="width:%smm;height:%smm" src="data:image/svg+xml;base64,%s">', round($widthMm, 2), round($heightMm, 2), base64_encode($svg));
    }

    public static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');
    }
}
