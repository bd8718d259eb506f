<?php

declare(strict_types=1);

namespace Impa\Print\Template;

use Impa\Figure\Part;
use Impa\Plan\Plan;
use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Voice\Amount;
use Impa\Voice\Message;

/** Size cards laid out on paper at true size, with a ruler on every page; pages are SVG in mm. */
final class SizeCards
{
    /** The gap between cards, in mm. */
    private const GAP = 4.0;

    /**
     * @return non-empty-list<string> each page as one SVG in mm
     */
    public static function pages(Plan $plan, Paper $paper): array
    {
        $pages = array_map(
            static fn (array $placed): string => implode('', array_map(static fn (array $p): string => self::card(...$p), $placed)),
            self::placed(self::cards($plan), $paper),
        );
        $count = count($pages);
        $bodies = [];
        foreach ($pages as $i => $body) {
            $bodies[] = Page::of(
                $body,
                Message::of(
                    'print.size-cards',
                    name: $plan->figure->name,
                    tall: Amount::mm($plan->figure->heightMm),
                    page: $i + 1,
                    of: $count,
                ),
                $paper,
            );
        }

        return $bodies;
    }

    /** All pages one below the other, as one SVG of true size. */
    public static function sheet(Plan $plan, Paper $paper): string
    {
        return Page::below(self::pages($plan, $paper), $paper);
    }

    /** @return list<SizeCard> tallest first, so that rows fill well */
    private static function cards(Plan $plan): array
    {
        $figure = $plan->figure;
        $cards = array_values(
            array_map(
                static fn (Part $part): SizeCard => SizeCard::of(
                    $part,
                    $plan->ledger->ofPart($part->key),
                    $figure,
                ),
                $figure->parts,
            ),
        );
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
        [$right, $bottom] = [$width - Page::RIM, $height - Page::RIM - Page::FOOT];
        $pages = [];
        $page = [];
        [$x, $y, $row] = [Page::RIM, Page::RIM, 0.0];
        foreach ($cards as $card) {
            if ($card->widthMm > $right - Page::RIM || $card->heightMm > $bottom - Page::RIM) {
                // Each page is a window on it, moved on by what the page before showed.
                for ($down = 0.0; $down < $card->heightMm; $down += $bottom - Page::RIM) {
                    for ($along = 0.0; $along < $card->widthMm; $along += $right - Page::RIM) {
                        $pages[] = [[$card, Page::RIM - $along, Page::RIM - $down]];
                    }
                }

                continue;
            }
            if ($x + $card->widthMm > $right) {
                [$x, $y, $row] = [Page::RIM, $y + $row + self::GAP, 0.0];
            }
            if ($y + $card->heightMm > $bottom) {
                $pages[] = $page;
                $page = [];
                [$x, $y, $row] = [Page::RIM, Page::RIM, 0.0];
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
        $svg = sprintf('<g transform="translate(%s %s)">', Page::number($x), Page::number($y));
        $svg .= sprintf(
            '<rect x="0" y="0" width="%s" height="%s" rx="3" fill="none" stroke="#b9a98c" stroke-width="0.2" stroke-dasharray="2 1.4"/>',
            Page::number($card->widthMm),
            Page::number($card->heightMm),
        );
        foreach ([$card->front, $card->side] as $loops) {
            $svg .= sprintf('<path d="%s" fill="none" stroke="#3a2a20" stroke-width="0.3"/>', Page::path($loops));
        }
        $top = $card->wordsMm();
        $svg .= sprintf(
            '<rect x="4" y="%s" width="5" height="5" rx="1" fill="%s" stroke="#3a2a20" stroke-width="0.2"/>',
            Page::number($top - 4),
            $card->hex,
        );
        foreach ($card->words as $i => $line) {
            $svg .= Page::text($line, $i === 0 ? 11.0 : 4.0, $top + ($i === 0 ? 0.0 : 0.8 + 4.6 * $i), $i === 0 ? 4.4 : 3.0);
        }

        return $svg.'</g>';
    }
}
