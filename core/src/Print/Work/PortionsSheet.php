<?php

declare(strict_types=1);

namespace Impa\Print\Work;

use Impa\Print\Page\Html;
use Impa\Print\Page\Page;
use Impa\Print\Page\Ruler;
use Impa\Stash\Supply\Supply;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Voice;
use Impa\Wool\Inside\CoverAdvice;
use Impa\Wool\Ledger\Purpose;
use Impa\Wool\Mix;
use Impa\Wool\Portion\Portion;
use Impa\Wool\Portion\PortionWords;

/** The portions sheet: what to weigh, how to divide it, and each loose clump at true size to hold the wool against. */
final class PortionsSheet
{
    /** Larger clumps are not drawn: they would not fit beside their text. */
    private const LARGEST_MM = 75.0;

    private const STYLE = <<<'CSS'
    @page { margin: 14mm 13mm } body { font-family: Helvetica; color: #3a2a20; font-size: 10.5pt; margin: 0 }
    h1 { font-size: 17pt; margin: 0 0 1mm } h2 { font-size: 12pt; margin: 5mm 0 1mm } p { margin: 0 0 2mm }
    table { width: 100%; border-collapse: collapse } td { border-top: 0.3mm dashed #b9a88f; padding: 2.2mm 2mm; vertical-align: middle }
    .q { color: #6d5b4c; font-size: 9pt } .s { width: 7mm } .c { width: 80mm; text-align: center } tr { page-break-inside: avoid }
    CSS;

    /** @return string HTML */
    public static function of(Supply $supply): string
    {
        $figure = $supply->figure;
        $ruler = Ruler::of(Voice::current());
        $html =
            '<p>'.Html::text(Message::of('print.portions.lead')).'</p>';
        $html .=
            '<p class="q">'.Html::text(Message::of('print.portions.ruler', long: $ruler->length())).'</p>'.
            Html::drawing(
                sprintf(
                    '<svg xmlns="http://www.w3.org/2000/svg" width="%1$s" height="7" viewBox="0 0 %1$s 7"><path '
                        .'d="%2$sM1 1h%3$s" stroke="#3a2a20" stroke-width="0.2" fill="none"/></svg>',
                    Page::number($ruler->mm + 2),
                    $ruler->path(1.0, 1.0),
                    Page::number($ruler->mm),
                ),
                $ruler->mm + 2,
                7,
            );
        $mixes = $supply->mixes();
        $html .= $mixes === [] ? '' : '<h2>'.Html::text(Message::of('print.portions.mix')).'</h2><table>'.implode('', array_map(
            static fn (Mix $mix): string => sprintf(
                '<tr><td class="s">%s</td><td><b>%s</b><br>%s</td></tr>',
                self::swatch($supply->matches[$mix->colour]->hex),
                Html::text($mix->name),
                Html::text($mix->text()),
            ),
            $mixes,
        )).'</table>';
        $html .= '<table>';
        foreach ($supply->portions() as $portion) {
            $html .= self::row($portion, $supply);
        }
        $html .= '</table>';
        $wisps = $coverings = '';
        foreach ($supply->wisps() as $wisp) {
            $times = $wisp['count'] > 1 ? ' x '.$wisp['count'] : '';
            $wisps .= sprintf(
                '<tr><td class="s">%s</td><td><b>%s%s</b></td><td>%s</td><td class="q">%s</td></tr>',
                self::swatch($supply->matches[$wisp['colour']]->hex),
                Html::text($figure->details[$wisp['detail']]->name),
                $times,
                Html::text($times === '' ? Amount::g($wisp['mg'] / 1000) : Message::of('print.each', g: Amount::g($wisp['mg'] / 1000))),
                Html::text($wisp['text']),
            );
        }
        foreach ($supply->coverings() as $row) {
            $coverings .= sprintf(
                '<tr><td><b>%s%s</b></td><td>%s</td></tr>',
                Html::text($figure->parts[$row['part']]->name),
                $row['count'] > 1 ? ' x '.$row['count'] : '',
                Html::text($row['text']),
            );
        }
        $html .= $wisps === '' ? '' : '<h2>'.Html::text(Message::of('print.portions.wisps')).'</h2><table>'.$wisps.'</table>';
        $html .= $coverings === '' ? '' : '<h2>'.Html::text(Message::of('print.portions.coverings')).'</h2><table>'.$coverings.'</table>';

        return Html::sheet(self::STYLE, Message::of('print.portions.title', name: $figure->name), $html);
    }

    private static function row(Portion $portion, Supply $supply): string
    {
        $line = $portion->line;
        $part = $supply->figure->parts[$line->for->part];
        $wool = $supply->ledger->wool[$line->for->part];
        $hex = $line->for->colour === '' ? CoverAdvice::UNDYED : $supply->matches[$line->for->colour]->hex;
        // The clump is drawn where the whole of it lies together: a solid part's, or the core's.
        $isClump = $line->purpose === Purpose::Inside || ($line->purpose === Purpose::Cover && $wool->insideCm3 <= 0.0);
        $loose = $isClump ? $wool->loose() : null;

        return sprintf(
            '<tr><td class="s">%s</td><td><b>%s%s</b><br>%s</td><td class="c">%s</td></tr>',
            self::swatch($hex),
            Html::text($part->name),
            $line->pieces > 1 ? ' x '.$line->pieces : '',
            Html::text(PortionWords::of($portion, $supply->figure)),
            $loose !== null && $loose->largestMm() <= self::LARGEST_MM ? self::clump($loose->widthMm, $loose->heightMm) : '',
        );
    }

    private static function clump(float $w, float $h): string
    {
        [$boxW, $boxH] = [ceil($w) + 2, ceil($h) + 2];

        return Html::drawing(
            sprintf(
                '<svg xmlns="http://www.w3.org/2000/svg" width="%1$d" height="%2$d" viewBox="0 0 %1$d '
                    .'%2$d"><ellipse cx="%3$.2f" cy="%4$.2f" rx="%5$.2f" ry="%6$.2f" fill="none" '
                    .'stroke="#6d5b4c" stroke-width="0.4" stroke-dasharray="2 1.4"/></svg>',
                $boxW,
                $boxH,
                $boxW / 2,
                $boxH / 2,
                $w / 2,
                $h / 2,
            ),
            $boxW,
            $boxH,
        );
    }

    private static function swatch(string $hex): string
    {
        return Html::drawing(
            sprintf(
                '<svg xmlns="http://www.w3.org/2000/svg" width="6" height="6" viewBox="0 0 6 6"><circle '
                    .'cx="3" cy="3" r="2.6" fill="%s" stroke="#6d5b4c" stroke-width="0.3"/></svg>',
                $hex,
            ),
            6,
            6,
        );
    }
}
