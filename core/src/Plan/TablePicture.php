<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Build\Steps\Step;
use Impa\Build\Work;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Render\PieceState;
use Impa\Render\WorkPicture;
use Impa\Wool\Ledger\LedgerLine;

/** Drawings of what lies on the table at a step at which nothing is stabbed, as SVG. */
final class TablePicture
{
    /** The wools of a mix as heaps, each as large as its share, and beside them the one heap that they become. */
    public static function mixed(Figure $figure, Step $step): string
    {
        $svg = '';
        $x = 0.0;
        $heap = static function (float $r, string $paint) use (&$svg, &$x): void {
            $svg .= sprintf('<circle cx="%s" cy="0" r="%s" %s/>', WorkPicture::mm($x + $r), WorkPicture::mm($r), $paint);
            $x += 2 * $r;
        };
        $side = static fn (float $g): float => 10.0 * ($g / max(1e-9, $step->uses->mix->g ?? 0.0)) ** (1 / 3);
        // The stash knows what each looks like, the figure only what they become.
        foreach ($step->uses->mix->wools ?? [] as $wool) {
            $heap($side($wool['g']), 'fill="#fffdf7" stroke="#3a2a20" stroke-width="0.4" stroke-dasharray="1.6 1"');
            $x += 2.0;
        }
        $svg .= sprintf(
            '<path d="M%1$s 0h6m-2.4 -2l2.4 2l-2.4 2" fill="none" stroke="#9c3447" stroke-width="0.8"/>',
            WorkPicture::mm($x + 1.0),
        );
        $x += 10.0;
        $heap(10.0, sprintf('fill="%s" stroke="#3a2a20" stroke-width="0.4"', $figure->colours[$step->about->colour]->srgb->toHex()));

        return WorkPicture::framed($svg, Box::around([[0.0, 10.0], [$x, -10.0]]));
    }

    /** What comes in pairs as equal heaps, side by side, each as large as the loose wool. */
    public static function portions(Work $work, Step $step): string
    {
        $svg = '';
        [$y, $right] = [0.0, 1.0];
        foreach ($step->uses->weighings as $line) {
            $loose = $work->ledger->wool[$line->for->part]->loose();
            // A cover is a thin heap; what it goes round is left out.
            $share = self::share($line, $work);
            [$w, $h] = [$loose->widthMm * $share, $loose->heightMm * $share];
            $hex = $line->for->colour === '' ? '#efe6d2' : $work->ledger->figure->colours[$line->for->colour]->srgb->toHex();
            for ($i = 0; $i < $line->pieces; $i++) {
                $svg .= sprintf(
                    '<ellipse cx="%s" cy="%s" rx="%s" ry="%s" fill="%s" stroke="#3a2a20" stroke-width="0.4"/>',
                    WorkPicture::mm($w / 2 + $i * $w * 1.25),
                    WorkPicture::mm($y + $h / 2),
                    WorkPicture::mm($w / 2),
                    WorkPicture::mm($h / 2),
                    $hex,
                );
            }
            $right = max($right, $w * (1 + 1.25 * ($line->pieces - 1)));
            $y += $h * 1.2;
        }

        return WorkPicture::framed($svg, Box::around([[0.0, 0.0], [$right, -max(1.0, $y)]]));
    }

    /** The side of a heap of one line's wool, as a share of that of all the wool of its part. */
    private static function share(LedgerLine $line, Work $work): float
    {
        $all = array_sum(array_map(static fn (LedgerLine $l): float => $l->g, $work->ledger->ofPart($line->for->part)));

        return $all > 0.0 ? ($line->g / $all) ** (1 / 3) : 1.0;
    }

    /** Both of a pair side by side between two level lines. */
    public static function compared(Figure $figure, Part $part): string
    {
        [$one, $two] = [$part->placements()[0], $part->placements()[1] ?? $part->placements()[0]];
        $hex = $figure->colours[$part->colour]->srgb->toHex();
        $loops = [Silhouette::of($one, Side::Front), Silhouette::of($two, Side::Front)];
        $box = Box::around($loops[0][0]);
        $svg = '';
        foreach ($loops as $i => $loop) {
            $apart = ($i === 0 ? -0.65 : 0.65) * $box->width();
            $moved = array_map(
                static fn (array $l): array => array_map(static fn (array $p): array => [$p[0] + $apart, $p[1]], $l),
                $loop,
            );
            $svg .= sprintf(
                '<path d="%s" fill="%s" fill-rule="evenodd" stroke="#9c3447" stroke-width="%s"/>',
                WorkPicture::path($moved),
                $hex,
                WorkPicture::mm(0.01 * $box->height()),
            );
        }
        $reach = 1.35 * $box->width();
        foreach ([$box->high, $box->low] as $level) {
            $svg .= sprintf(
                '<path d="M%s %sH%s" stroke="#2f6480" stroke-width="%s" stroke-dasharray="%s"/>',
                WorkPicture::mm(-$reach),
                WorkPicture::mm(-$level),
                WorkPicture::mm($reach),
                WorkPicture::mm(0.008 * $box->height()),
                WorkPicture::mm(0.04 * $box->height()),
            );
        }

        return WorkPicture::framed($svg, Box::around([[-$reach, $box->low], [$reach, $box->high]]));
    }

    /** The finished figure from four sides. */
    public static function turned(Figure $figure): string
    {
        $states = array_fill_keys(array_keys($figure->parts), PieceState::On);
        $details = array_fill_keys(array_keys($figure->details), true);
        $svg = '';
        foreach ([Side::Front, Side::Right, Side::Back, Side::Top] as $i => $side) {
            $view = WorkPicture::of($figure, $side, $states, $details);
            // One picture, not pictures within one: what draws paper knows nothing of those.
            preg_match('/viewBox="([-\d.]+) ([-\d.]+) ([-\d.]+) ([-\d.]+)"[^>]*>(.*)<\/svg>\s*$/s', $view, $found);
            [, $x, $y, $w, $h, $inner] = $found + ['', '0', '0', '1', '1', ''];
            $scale = 100 / max((float) $w, (float) $h, 1e-6);
            $svg .= sprintf(
                '<g transform="translate(%s %s) scale(%s)">%s</g>',
                WorkPicture::mm(100 * ($i % 2) + (100 - (float) $w * $scale) / 2 - (float) $x * $scale),
                WorkPicture::mm(100 * intdiv($i, 2) + (100 - (float) $h * $scale) / 2 - (float) $y * $scale),
                round($scale, 6),
                $inner,
            );
        }

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="200" height="200" viewBox="0 0 200 200">%s</svg>', $svg);
    }
}
