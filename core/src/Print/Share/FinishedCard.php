<?php

declare(strict_types=1);

namespace Impa\Print\Share;

use Impa\Print\Page\Html;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Message;
use Impa\Wool\Grams;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\WoolWords;

/** The card of a finished figure: its picture, sizes, grams, hours, what was learned, and what to change next time; HTML. */
final class FinishedCard
{
    private const STYLE = <<<'CSS'
    @page { margin: 16mm } body { font-family: Helvetica; color: #3a2a20; font-size: 11pt } h1 { font-size: 20pt }
    img { max-width: 90mm; max-height: 100mm } td { padding: 1.5mm 4mm 1.5mm 0; vertical-align: top } .q { color: #6d5c4e }
    CSS;

    /**
     * @param  string  $image  data URI of a picture
     * @param  float  $minutes  that it took; 0 where no clock ran
     * @param  list<Message>  $learned  sentences
     * @param  string  $next  what to change next time, as she noted it
     */
    public static function of(
        Ledger $ledger,
        string $image,
        float $minutes,
        float $plannedMinutes,
        int $brokenNeedles,
        int $mends,
        array $learned,
        string $next,
    ): string {
        $figure = $ledger->figure;
        $rows = [
            'height' => Amount::mm($figure->heightMm),
            'wool' => Amount::g($ledger->totalG()),
            'time' => $minutes > 0.0
                ? Message::of('print.card.took', took: self::hours($minutes), planned: self::hours($plannedMinutes))
                : Message::of('print.card.no-clock', planned: self::hours($plannedMinutes)),
            'needles' => Message::of('print.card.broke', count: $brokenNeedles),
            'mends' => Message::of('print.card.mended', count: $mends),
        ];
        $html = sprintf('<table><tr><td><img src="%s"></td><td><table>', $image);
        foreach ($rows as $what => $value) {
            $html .= sprintf(
                '<tr><td class="q">%s</td><td><b>%s</b></td></tr>',
                Html::text(Message::of('print.card.what.'.$what)),
                Html::text($value),
            );
        }
        foreach ($ledger->totals() as $total) {
            $name = WoolWords::name($total['material'], $total['colour'] ?? '', $figure);
            $html .= sprintf('<tr><td class="q">%s</td><td>%s</td></tr>', Html::text($name), Amount::g($total['spread']->likelyG));
        }
        $html .= '</table></td></tr></table><h2>'.Html::text(Message::of('print.card.parts')).'</h2><table>';
        foreach ($figure->parts as $part) {
            $size = $part->solid->size();
            $html .= sprintf(
                '<tr><td>%s%s</td><td class="q">%s</td></tr>',
                Html::text($part->name),
                $part->count() > 1 ? Html::text(Message::of('print.two')) : '',
                Lengths::of($size->widthMm, $size->heightMm, $size->depthMm),
            );
        }
        $html .= '</table><h2>'.Html::text(Message::of('print.card.learned')).'</h2>';
        foreach ($learned === [] ? [Message::of('print.finished-card.nothing-learned')] : $learned as $sentence) {
            $html .= '<p>'.Html::text($sentence).'</p>';
        }
        $html .= '<h2>'.Html::text(Message::of('print.card.next')).'</h2><p>'.($next === '' ? '&nbsp;' : nl2br(Html::text($next))).'</p>';

        return Html::sheet(self::STYLE, $figure->name, $html);
    }

    private static function hours(float $minutes): string
    {
        $whole = (int) round($minutes);

        return $whole < 60 ? sprintf('%d min', $whole) : sprintf('%d h %02d', intdiv($whole, 60), $whole % 60);
    }
}
