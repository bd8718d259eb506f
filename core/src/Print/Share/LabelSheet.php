<?php

declare(strict_types=1);

namespace Impa\Print\Share;

use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Sets\Kit;
use Impa\Sets\SetRefused;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Message;

/** A label for each bag of a kit: which bag, what lies in it. Pages are SVG in mm. */
final class LabelSheet
{
    private const RIM = 2.5;

    private const TITLE = 3.6;

    private const LINE = 2.5;

    private const LEADING = 1.25;

    /** A letter is so broad at the mean, as a share of its size; a swatch takes so much, mm. */
    private const LETTER = 0.5;

    private const SWATCH = 3.2;

    /**
     * @return list<string> pages
     *
     * @throws SetRefused if the label is too small for what lies in a bag
     */
    public static function pages(Kit $kit, LabelSize $size): array
    {
        $layout = $size->layout();
        $lines = self::lines($kit);
        $room = (int) floor(($layout['high'] - 2 * self::RIM - self::LEADING * self::TITLE) / (self::LEADING * self::LINE));
        if (count($lines) > $room) {
            throw SetRefused::labelTooSmall(sprintf('%s', Lengths::of($layout['wide'], $layout['high'])), $room, count($lines));
        }
        $each = $layout['across'] * $layout['down'];
        $pages = [];
        for ($first = 0; $first < $kit->bags(); $first += $each) {
            $body = '';
            for ($i = 0; $i < min($each, $kit->bags() - $first); $i++) {
                $body .= self::label(
                    $kit,
                    $first + $i + 1,
                    $lines,
                    $layout['left'] + $layout['stepX'] * ($i % $layout['across']),
                    $layout['top'] + $layout['stepY'] * intdiv($i, $layout['across']),
                    $layout,
                    $size->isCut(),
                );
            }
            $pages[] = self::page($body, $size->paper());
        }

        return $pages;
    }

    /** @return list<array{string, ?string}> words and a swatch's hex */
    private static function lines(Kit $kit): array
    {
        $lines = [];
        foreach ($kit->bag as $heap) {
            $lines[] = [Amount::g($heap['eachG']).' '.mb_strtolower($heap['name']), $heap['hex']];
            if ($heap['wools'] !== []) {
                $wools = array_map(static fn (array $w): string => Amount::g($w['g']).' '.$w['name'], $heap['wools']);
                $lines[] = ['= '.implode(', ', $wools), null];
            }
        }

        return [...$lines, [(string) Message::of('print.label.needle', gauge: $kit->gauge()), null]];
    }

    /**
     * @param  list<array{string, ?string}>  $lines
     * @param  array{wide: float, high: float, ...}  $layout
     */
    private static function label(Kit $kit, int $number, array $lines, float $x, float $y, array $layout, bool $isCut): string
    {
        // Room for ", 12 of 200" is left.
        $room = (int) (($layout['wide'] - 2 * self::RIM) / (self::LETTER * self::TITLE)) - 12;
        $name = mb_strimwidth($kit->supply->figure->name, 0, $room, '…');
        $of = $number > $kit->people
            ? Message::of('print.label.spare')
            : Message::of('print.label.of', number: $number, people: $kit->people);
        $at = $y + self::RIM + self::TITLE;
        $svg = $isCut ? sprintf(
            '<rect x="%s" y="%s" width="%s" height="%s" fill="none" stroke="#b9a88f" stroke-width="0.2"/>',
            Page::number($x),
            Page::number($y),
            Page::number($layout['wide']),
            Page::number($layout['high']),
        ) : '';
        $svg .= Page::text($name.', '.$of, $x + self::RIM, $at, self::TITLE);
        foreach ($lines as [$words, $hex]) {
            $at += self::LEADING * self::LINE;
            if ($hex !== null) {
                $svg .= sprintf(
                    '<circle cx="%s" cy="%s" r="1" fill="%s" stroke="#8a7a66" stroke-width="0.15"/>',
                    Page::number($x + self::RIM + 1),
                    Page::number($at - 0.9),
                    $hex,
                );
            }
            $room = (int) (($layout['wide'] - 2 * self::RIM - self::SWATCH) / (self::LETTER * self::LINE));
            $svg .= Page::text(mb_strimwidth($words, 0, $room, '…'), $x + self::RIM + self::SWATCH, $at, self::LINE);
        }

        return $svg;
    }

    private static function page(string $body, Paper $paper): string
    {
        [$width, $height] = array_map(Page::number(...), $paper->sizeMm());

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$s" height="%2$s" viewBox="0 0 %1$s %2$s"><rect width="%1$s" '
                .'height="%2$s" fill="#ffffff"/>%3$s</svg>',
            $width,
            $height,
            $body,
        );
    }
}
