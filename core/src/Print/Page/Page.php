<?php

declare(strict_types=1);

namespace Impa\Print\Page;

use Impa\Voice\Message;
use Impa\Voice\Said;
use Impa\Voice\Voice;

/** A page of paper as SVG in mm, with a ruler at its foot to check the printer by. */
final class Page
{
    /** Free rim, and the band for title and ruler at the foot, in mm. */
    public const RIM = 10.0;

    public const FOOT = 22.0;

    /**
     * One SVG whose user unit is a millimetre; width and height are bare numbers equal to its view box, so that a box of
     * the paper's size shows it true.
     */
    public static function of(string $body, Said|string $title, Paper $paper): string
    {
        [$width, $height] = array_map(self::number(...), $paper->sizeMm());
        $foot = $paper->sizeMm()[1] - self::RIM;
        $ruler = Ruler::of(Voice::current());
        $words =
            self::text($title, self::RIM, $foot - 12.0, 3.4).
            self::text(
                Message::of('print.ruler', long: $ruler->length()),
                self::RIM,
                $foot + 1.0,
                2.8,
            );

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%s" height="%s" viewBox="0 0 %s %s"><rect '
                .'width="%s" height="%s" fill="#ffffff"/>%s<rect x="0" y="%s" width="%s" height="%s" '
                .'fill="#ffffff"/><path d="%sM%s %sh%s" fill="none" stroke="#3a2a20" '
                .'stroke-width="0.2"/>%s</svg>',
            $width,
            $height,
            $width,
            $height,
            $width,
            $height,
            $body,
            self::number($foot - self::FOOT + 2),
            $width,
            self::number(self::FOOT + self::RIM),
            $ruler->path(self::RIM, $foot - 8),
            self::number(self::RIM),
            self::number($foot - 8),
            self::number($ruler->mm),
            $words,
        );
    }

    /**
     * All pages one below the other, as one SVG of true size.
     *
     * @param  list<string>  $pages
     */
    public static function below(array $pages, Paper $paper): string
    {
        [$width, $height] = $paper->sizeMm();
        $inside = '';
        foreach ($pages as $i => $page) {
            $inside .= str_replace(
                '<svg xmlns="http://www.w3.org/2000/svg"',
                sprintf('<svg y="%s"', self::number($i * $height)),
                $page,
            );
        }
        $all = count($pages) * $height;

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%smm" height="%smm" viewBox="0 0 %s %s">%s</svg>',
            self::number($width),
            self::number($all),
            self::number($width),
            self::number($all),
            $inside,
        );
    }

    /** @param  list<list<array{float, float}>>  $loops */
    public static function path(array $loops, bool $closed = true): string
    {
        return implode(
            '',
            array_map(
                static fn (array $loop): string => 'M'.
                    implode(
                        'L',
                        array_map(static fn (array $p): string => self::number($p[0]).' '.self::number($p[1]), $loop),
                    ).
                    ($closed ? 'Z' : ''),
                $loops,
            ),
        );
    }

    public static function text(Said|string $words, float $x, float $y, float $sizeMm): string
    {
        return sprintf(
            '<text x="%s" y="%s" font-family="Helvetica, Arial, sans-serif" font-size="%s" fill="#3a2a20">%s</text>',
            self::number($x),
            self::number($y),
            self::number($sizeMm),
            self::escaped($words),
        );
    }

    /** Words as XML holds them. */
    public static function escaped(Said|string $words): string
    {
        return htmlspecialchars(self::printable(self::withoutPictures((string) $words)), ENT_XML1 | ENT_QUOTES);
    }

    /** Without the pictures among letters (emoji): no font on paper has them, and they would come out as boxes. */
    public static function withoutPictures(string $words): string
    {
        return (string) preg_replace('/[\x{1F000}-\x{1FAFF}\x{FE00}-\x{FE0F}\x{200D}\x{E0020}-\x{E007F}]+/u', '', mb_scrub($words));
    }

    /** Without what no page can show and no XML may hold (XML 1.0, section 2.2): control characters become spaces. */
    public static function printable(string $words): string
    {
        $clean = preg_replace('/[^\x{20}-\x{7E}\x{A0}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]+/u', ' ', mb_scrub($words));

        return trim((string) preg_replace('/ {2,}/', ' ', (string) $clean));
    }

    public static function number(float $value): string
    {
        return (string) (round($value, 3) + 0.0);
    }
}
