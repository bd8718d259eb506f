<?php

declare(strict_types=1);

namespace Impa\Print\Page;

use Impa\Flat\FlatRefused;
use Impa\Geometry\Outline\SkylinePacking;
use Impa\Voice\Message;
use Impa\Voice\Said;

/**
 * Drawings of true size laid on as few pages as they go on; what is larger than a page over several, with crosses to join them by.
 * Immutable.
 */
final readonly class TruePieces
{
    /** Pages of one piece show so much of each other, mm. */
    private const SHARED_MM = 10.0;

    /** One piece takes so many at most: nobody joins more. */
    private const MOST_PAGES = 100;

    private function __construct(private Paper $paper)
    {
    }

    /**
     * @param  list<TruePiece>  $pieces
     * @param  string  $title  at the foot of every page
     * @return non-empty-list<string> pages as SVG in mm
     *
     * @throws FlatRefused if a piece takes too many
     */
    public static function pages(array $pieces, Said|string $title, Paper $paper): array
    {
        $bodies = (new self($paper))->bodies($pieces);
        $count = count($bodies);
        $pages = [];
        foreach ($bodies as $i => $body) {
            $pages[] = Page::of($body, Message::of('print.true-pieces.page', title: $title, page: $i + 1, of: $count), $paper);
        }

        return $pages === [] ? [Page::of('', $title.'.', $paper)] : $pages;
    }

    /**
     * @param  list<TruePiece>  $pieces
     * @return list<string>
     */
    private function bodies(array $pieces): array
    {
        [$width, $height] = self::roomMm($this->paper);
        $fits = static fn (TruePiece $p): bool => $p->widthMm <= $width && $p->heightMm <= $height;
        $small = array_values(array_filter($pieces, $fits));
        $bodies = [];
        foreach ($pieces as $piece) {
            if (! $fits($piece)) {
                array_push($bodies, ...$this->tiled($piece));
            }
        }
        $sizes = array_map(static fn (TruePiece $p): array => [$p->widthMm, $p->heightMm], $small);
        $sheets = [];
        foreach (SkylinePacking::of($sizes, $width, $height, false)->places as $k => $at) {
            $svg = self::moved($small[$k]->svg, Page::RIM + $at['x'], Page::RIM + $at['y']);
            $sheets[$at['sheet']] = ($sheets[$at['sheet']] ?? '').$svg;
        }

        return [...$bodies, ...array_values($sheets)];
    }

    private static function moved(string $svg, float $x, float $y): string
    {
        return sprintf('<g transform="translate(%s %s)">%s</g>', Page::number($x), Page::number($y), $svg);
    }

    /** @return array{float, float} width and height of what a page has room for */
    public static function roomMm(Paper $paper): array
    {
        [$width, $height] = $paper->sizeMm();

        return [$width - 2 * Page::RIM, $height - 2 * Page::RIM - Page::FOOT];
    }

    /**
     * A window on each page, moved on by what the page before showed, less what both show.
     *
     * @return list<string>
     */
    private function tiled(TruePiece $piece): array
    {
        [$width, $height] = self::roomMm($this->paper);
        [$stepX, $stepY] = [$width - self::SHARED_MM, $height - self::SHARED_MM];
        $columns = (int) max(1, ceil(($piece->widthMm - self::SHARED_MM) / $stepX));
        $rows = (int) max(1, ceil(($piece->heightMm - self::SHARED_MM) / $stepY));
        if ($columns * $rows > self::MOST_PAGES) {
            throw FlatRefused::tooManyPages($piece->name, $columns * $rows, self::MOST_PAGES);
        }
        $tiles = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $body = self::moved($piece->svg, Page::RIM - $column * $stepX, Page::RIM - $row * $stepY).$this->frame();
                // A cross in the middle of every strip that two pages share.
                foreach ([$column - 1 => self::SHARED_MM / 2, $column => $width - self::SHARED_MM / 2] as $k => $x) {
                    $body .= $k >= 0 && $k < $columns - 1 ? $this->crosses($x, null, sprintf('%d%s', $row + 1, chr(65 + $k % 26))) : '';
                }
                foreach ([$row - 1 => self::SHARED_MM / 2, $row => $height - self::SHARED_MM / 2] as $k => $y) {
                    $body .= $k >= 0 && $k < $rows - 1 ? $this->crosses(null, $y, sprintf('%s%d', chr(65 + $column % 26), $k + 1)) : '';
                }
                $tiles[] = $body.Page::text(
                    Message::of('print.true-pieces.tile', name: $piece->name, sheet: count($tiles) + 1, of: $rows * $columns),
                    Page::RIM + self::SHARED_MM + 2,
                    Page::RIM + $height - 2,
                    3.0,
                );
            }
        }

        return $tiles;
    }

    /** White over what lies beside the window: printers' SVG knows no clipping. */
    private function frame(): string
    {
        [$width, $height] = $this->paper->sizeMm();
        $white = static fn (float $x, float $y, float $w, float $h): string => sprintf(
            '<rect x="%s" y="%s" width="%s" height="%s" fill="#ffffff"/>',
            Page::number($x),
            Page::number($y),
            Page::number($w),
            Page::number($h),
        );
        $foot = Page::RIM + Page::FOOT;

        return $white(0.0, 0.0, $width, Page::RIM).$white(0.0, 0.0, Page::RIM, $height)
            .$white($width - Page::RIM, 0.0, Page::RIM, $height).$white(0.0, $height - $foot, $width, $foot);
    }

    /** Two crosses along the middle of a shared strip, upright at x or level at y, by a name both pages have. */
    private function crosses(?float $x, ?float $y, string $name): string
    {
        [$width, $height] = self::roomMm($this->paper);
        $svg = '';
        foreach ([0.25, 0.75] as $n => $share) {
            [$cx, $cy] = [Page::RIM + ($x ?? $share * $width), Page::RIM + ($y ?? $share * $height)];
            $svg .= sprintf(
                '<path d="M%s %sh8M%s %sv8" fill="none" stroke="#3a2a20" stroke-width="0.25"/>%s',
                Page::number($cx - 4),
                Page::number($cy),
                Page::number($cx),
                Page::number($cy - 4),
                Page::text($name.($n === 0 ? 'a' : 'b'), $cx + 1, $cy - 1, 2.6),
            );
        }

        return $svg;
    }
}
