<?php

declare(strict_types=1);

namespace App\Printing;

use Dompdf\Dompdf;
use Dompdf\Options;
use Impa\Print\Page;
use Impa\Print\Paper;

/** HTML to a PDF of the paper's own size. SVG comes out true only in an img that is sized in mm. */
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

    /** An SVG drawn in mm, at true size. */
    public static function drawing(string $svg, float $widthMm, float $heightMm): string
    {
        return sprintf(
            '<img style="width:%smm;height:%smm" src="data:image/svg+xml;base64,%s">',
            round($widthMm, 2),
            round($heightMm, 2),
            base64_encode($svg),
        );
    }

    /** The font that has the letters which the built-in ones lack; it comes with the library that makes PDFs. */
    public const WIDE_FONT = 'DejaVu Sans';

    /** Words for HTML; what the built-in fonts have no letters for is set in one that has them. */
    public static function text(string $text): string
    {
        $words = htmlspecialchars(Page::printable($text), ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');

        return self::isWide($text) ? sprintf('<span style="font-family: %s">%s</span>', self::WIDE_FONT, $words) : $words;
    }

    /** Whether it has letters beyond Western European ones, which are all that the built-in fonts of a PDF have. */
    public static function isWide(string $text): bool
    {
        return mb_convert_encoding(mb_convert_encoding($text, 'Windows-1252', 'UTF-8'), 'UTF-8', 'Windows-1252') !== $text;
    }
}
