<?php

declare(strict_types=1);

namespace Impa\Print\Page;

use Impa\Voice\Said;

/** What a sheet of running text is made of, as HTML: its words, and drawings at true size. */
final class Html
{
    /** The font that has the letters which a PDF's built-in ones lack. */
    public const WIDE_FONT = 'DejaVu Sans';

    /** A whole sheet under its heading. */
    public static function sheet(string $style, Said|string $heading, string $body): string
    {
        return sprintf('<html><head><style>%s</style></head><body><h1>%s</h1>%s</body></html>', $style, self::text($heading), $body);
    }

    /** Words; what the built-in fonts have no letters for is set in the font that has them. */
    public static function text(Said|string|null $text): string
    {
        $text = Page::withoutPictures((string) $text);
        $words = htmlspecialchars(Page::printable($text), ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');

        return self::isWide($text) ? sprintf('<span style="font-family: %s">%s</span>', self::WIDE_FONT, $words) : $words;
    }

    /** Whether it has letters beyond Western European ones, which are all that the built-in fonts of a PDF have. */
    public static function isWide(string $text): bool
    {
        return mb_convert_encoding(mb_convert_encoding($text, 'Windows-1252', 'UTF-8'), 'UTF-8', 'Windows-1252') !== $text;
    }

    /** An SVG drawn in mm, at true size: it comes out true only in an img that is sized in mm. */
    public static function drawing(string $svg, float $widthMm, float $heightMm): string
    {
        return sprintf(
            '<img style="width:%smm;height:%smm" src="data:image/svg+xml;base64,%s">',
            round($widthMm, 2),
            round($heightMm, 2),
            base64_encode($svg),
        );
    }
}
