<?php

declare(strict_types=1);

namespace Impa\Cards;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Plan\Plan;

/** Size cards laid out on paper at true size, with a ruler on every page; pages are SVG in mm. */
final class SizeCards
{
    /** Free rim, the band for title and ruler at the foot, and the gap between cards, in mm. */
    private const RIM = 10.0;

    private const FOOT = 22.0;

    private const GAP = 4.0;

    public const RULER_MM = 100;

    /**
     * @return non-empty-list<string> each page as one SVG whose user unit is a millimetre; width and height are bare
     *                                numbers equal to its view box, so that a box of the paper's size shows it true
     */
    public static function pages(Plan $plan, Paper $paper): array
    {
        $pages = array_map(static fn (array $placed): string => implode('', array_map(static fn (array $p): string => self::card(...$p), $placed)), self::placed(self::cards($plan), $paper));
        $count = count($pages);
        $bodies = [];
        foreach ($pages as $i => $body) {
            $bodies[] = self::page($body, $plan->figure, $paper, $i + 1, $count);
        }

        return $bodies;
    }

    /** All pages one below the other, as one SVG of true size. */
    public static function sheet(Plan $plan, Paper $paper): string
    {
        [$width, $height] = $paper->sizeMm();
        $pages = self::pages($plan, $paper);
        $inside = '';
        foreach ($pages as $i => $page) {
            $inside .= str_replace('<svg xmlns="http://www.w3.org/2000/svg"', sprintf('<svg y="%s"', self::number($i * $height)), $page);
        }
        $all = count($pages) * $height;

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%smm" height="%smm" viewBox="0 0 %s %s">%s</svg>', self::number($width), self::number($all), self::number($width), self::number($all), $inside);
    }

    /** @return list<SizeCard> tallest first, so that rows fill well */
    private static function cards(Plan $plan): array
    {
        $figure = $plan->figure;
        $cards = array_values(array_map(static fn (Part $part): SizeCard => SizeCard::of($part, $plan->wool[$part->key], $figure->colours[$part->colour]->name, $figure->colours[$part->colour]->srgb->toHex()), $figure->parts));
        usort($cards, static fn (SizeCard $a, SizeCard $b): int => $b->heightMm <=> $a->heightMm);

        return $cards;
    }

    /**
     * Rows from the top, as many as go on a page; a card larger than the page is shown in as many pages as it takes.
     *
     * @param  list<SizeCard>  $cards
     * @return non-empty-list<list<array{SizeCard, float, float}>> per page: cards and their left and top
     */
    private static function placed(array $cards, Paper $paper): array
    {
        [$width, $height] = $paper->sizeMm();
        [$right, $bottom] = [$width - self::RIM, $height - self::RIM - self::FOOT];
        $pages = [];
        $page = [];
        [$x, $y, $row] = [self::RIM, self::RIM, 0.0];
        foreach ($cards as $card) {
            if ($card->widthMm > $right - self::RIM || $card->heightMm > $bottom - self::RIM) {
                // Each page is a window on it, moved on by what the page before showed.
                for ($down = 0.0; $down < $card->heightMm; $down += $bottom - self::RIM) {
                    for ($along = 0.0; $along < $card->widthMm; $along += $right - self::RIM) {
                        $pages[] = [[$card, self::RIM - $along, self::RIM - $down]];
                    }
                }

                continue;
            }
            if ($x + $card->widthMm > $right) {
                [$x, $y, $row] = [self::RIM, $y + $row + self::GAP, 0.0];
            }
            if ($y + $card->heightMm > $bottom) {
                $pages[] = $page;
                $page = [];
                [$x, $y, $row] = [self::RIM, self::RIM, 0.0];
            }
            $page[] = [$card, $x, $y];
            $x += $card->widthMm + self::GAP;
            $row = max($row, $card->heightMm);
        }
        if ($page !== [] || $pages === []) {
            $pages[] = $page;
        }

        return $pages;
    }

    private static function card(SizeCard $card, float $x, float $y): string
    {
        $svg = sprintf('<g transform="translate(%s %s)">', self::number($x), self::number($y));
        $svg .= sprintf('<rect x="0" y="0" width="%s" height="%s" rx="3" fill="none" stroke="#b9a98c" stroke-width="0.2" stroke-dasharray="2 1.4"/>', self::number($card->widthMm), self::number($card->heightMm));
        foreach ([$card->front, $card->side] as $loops) {
            $svg .= sprintf('<path d="%s" fill="none" stroke="#3a2a20" stroke-width="0.3"/>', self::path($loops));
        }
        $top = $card->wordsMm();
        $svg .= sprintf('<rect x="4" y="%s" width="5" height="5" rx="1" fill="%s" stroke="#3a2a20" stroke-width="0.2"/>', self::number($top - 4), $card->hex);
        foreach ($card->words as $i => $line) {
            $svg .= self::text($line, $i === 0 ? 11.0 : 4.0, $top + ($i === 0 ? 0.0 : 0.8 + 4.6 * $i), $i === 0 ? 4.4 : 3.0);
        }

        return $svg.'</g>';
    }

    private static function page(string $body, Figure $figure, Paper $paper, int $number, int $count): string
    {
        [$width, $height] = array_map(self::number(...), $paper->sizeMm());
        $foot = $paper->sizeMm()[1] - self::RIM;
        $ruler = '';
        for ($mm = 0; $mm <= self::RULER_MM; $mm++) {
            $long = $mm % 10 === 0 ? 5.0 : ($mm % 5 === 0 ? 3.4 : 2.0);
            $ruler .= sprintf('M%s %sv%s', self::number(self::RIM + $mm), self::number($foot - 8), self::number($long));
        }
        $words = self::text(sprintf('%s, %.0f mm tall. Page %d of %d.', $figure->name, $figure->heightMm, $number, $count), self::RIM, $foot - 12.0, 3.4)
            .self::text('This ruler is 100 mm long: measure it. If it is not, print again at 100 %, not "fit to page".', self::RIM, $foot + 1.0, 2.8);

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%s" height="%s" viewBox="0 0 %s %s"><rect width="%s" height="%s" fill="#ffffff"/>%s<rect x="0" y="%s" width="%s" height="%s" fill="#ffffff"/><path d="%sM%s %sh%d" fill="none" stroke="#3a2a20" stroke-width="0.2"/>%s</svg>', $width, $height, $width, $height, $width, $height, $body, self::number($foot - self::FOOT + 2), $width, self::number(self::FOOT + self::RIM), $ruler, self::number(self::RIM), self::number($foot - 8), self::RULER_MM, $words);
    }

    /** @param  non-empty-list<list<array{float, float}>>  $loops */
    private static function path(array $loops): string
    {
        return implode('', array_map(static fn (array $loop): string => 'M'.implode('L', array_map(static fn (array $p): string => self::number($p[0]).' '.self::number($p[1]), $loop)).'Z', $loops));
    }

    private static function text(string $words, float $x, float $y, float $sizeMm): string
    {
        return sprintf('<text x="%s" y="%s" font-family="Helvetica, Arial, sans-serif" font-size="%s" fill="#3a2a20">%s</text>', self::number($x), self::number($y), self::number($sizeMm), htmlspecialchars($words, ENT_XML1 | ENT_QUOTES));
    }

    private static function number(float $value): string
    {
        return (string) (round($value, 3) + 0.0);
    }
}
