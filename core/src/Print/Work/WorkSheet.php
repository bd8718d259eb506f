<?php

declare(strict_types=1);

namespace Impa\Print\Work;

use Impa\Build\Steps\Hints;
use Impa\Build\Steps\Step;
use Impa\Build\Work;
use Impa\Plan\StepPicture;
use Impa\Print\Page\Html;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Voice;
use Impa\Voice\Writer;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\WoolWords;

/** All steps with their drawings on paper, for those who felt without a screen. */
final class WorkSheet
{
    /** Side of a drawing, in mm. */
    private const DRAWING_MM = 44.0;

    /** So many pieces are drawn in all, one for each part and detail at each step: beyond that a sheet is a book. */
    private const MOST_DRAWN = 20_000;

    public const STYLE = <<<'CSS'
    @page { margin: 13mm 13mm } body { font-family: Helvetica; color: #3a2a20; font-size: 10pt; margin: 0 }
    h1 { font-size: 17pt; margin: 0 0 1mm } p { margin: 0 0 1.2mm } table { width: 100%; border-collapse: collapse }
    td { border-top: 0.3mm dashed #b9a88f; padding: 2mm 2mm; vertical-align: top } tr { page-break-inside: avoid }
    .d { width: 46mm; text-align: center; vertical-align: middle } .n { width: 9mm; font-size: 13pt; color: #6d5b4c }
    .t { font-size: 12.5pt; font-weight: bold } .q { color: #6d5b4c; font-size: 9pt } .b { width: 8mm; font-size: 15pt }
    CSS;

    /** @return string HTML of a table: every step with its drawing, what to weigh, the needle, when it is done, and a box to tick */
    public static function table(Work $work): string
    {
        $rows = '';
        $figure = $work->ledger->figure;
        $drawn = intdiv(self::MOST_DRAWN, max(1, count($figure->parts) + count($figure->details)));
        foreach ($work->steps as $i => $step) {
            $rows .= sprintf(
                '<tr><td class="n">%d</td><td class="d">%s</td><td>%s</td><td class="b">%s</td></tr>',
                $i + 1,
                $i < $drawn ? self::drawing(StepPicture::of($work, $step)) : '',
                self::words($step, $work),
                // A box to tick: a frame of its own, for the built-in fonts have none.
                '<div style="width:5mm;height:5mm;border:0.4mm solid #3a2a20"></div>',
            );
        }

        $left = $drawn < count($work->steps) ? sprintf(
            '<p class="q">%s</p>',
            Html::text(Message::of('print.work.first-drawn', count: $drawn)),
        ) : '';

        return $left.'<table>'.$rows.'</table>';
    }

    /** @return string HTML */
    public static function of(Work $work): string
    {
        $lead = '<p>'.Html::text(Message::of('print.work.lead')).'</p>';

        return Html::sheet(self::STYLE, Message::of('print.work.title', name: $work->ledger->figure->name), $lead.self::table($work));
    }

    private static function words(Step $step, Work $work): string
    {
        $lines = ['<p class="t">'.Html::text((string) $step->title).'</p>'];
        foreach ($step->uses->mix->wools ?? [] as $wool) {
            $lines[] = '<p><b>'.Html::text(Amount::g($wool['g']).' '.$wool['name']).'</b></p>';
        }
        foreach ($step->uses->weighings as $line) {
            $lines[] = '<p><b>'.Html::text(self::weigh($line, $work)).'</b></p>';
        }
        $lines[] = '<p>'.Html::text((string) $step->text).'</p>';
        foreach ($step->order->because as $why) {
            $lines[] = '<p>'.Html::text($why).'</p>';
        }
        $amiss = $work->amiss($step);
        if ($amiss !== null) {
            $lines[] = '<p>'.Html::text($amiss).'</p>';
        }
        $facts = [];
        if ($step->uses->needle !== null) {
            $facts[] = Message::of(
                $step->uses->needle->holder > 1 ? 'print.work.needles' : 'print.work.needle',
                gauge: $step->uses->needle->gauge,
                holder: $step->uses->needle->holder,
                stab: $step->uses->needle->stab,
                depth: Amount::mm($step->uses->needle->depthMm),
            );
        }
        $facts[] = Message::of('print.work.about', time: Amount::minutes(max(1.0, $step->time->minutes)));
        if ($step->time->waitMinutes > 0.0) {
            $facts[] = Message::of('print.work.dry', time: Amount::minutes($step->time->waitMinutes));
        }
        $lines[] = '<p class="q">'.Html::text(implode(' · ', $facts)).'</p>';
        $lines[] = '<p class="q">'.Html::text(Message::of('print.work.done', look: Hints::look($step))).'</p>';
        foreach (Hints::cautions($step, $work->ledger->figure) as $caution) {
            $lines[] = '<p class="q">'.Html::text('! '.$caution).'</p>';
        }

        return implode('', $lines);
    }

    private static function weigh(LedgerLine $line, Work $work): Message
    {
        $name = WoolWords::name($line->material, $line->for->colour, $work->ledger->figure);

        if ($line->isCut()) {
            return Message::of('print.work.cut', g: Amount::g($line->allG()), name: $name, count: $line->pieces);
        }

        return $line->pieces > 1
            ? Message::of(
                'print.work.pieces',
                g: Amount::g($line->allG()),
                name: $name,
                count: $line->pieces,
                piece: Writer::of(Voice::current())->piece($line->allG(), $line->pieces),
            )
            : Message::of('sets.set-supply.of', g: Amount::g($line->allG()), name: $name);
    }

    /** The drawing fitted into its square. */
    private static function drawing(string $svg): string
    {
        if (preg_match('/^<svg[^>]* width="([\d.]+)" height="([\d.]+)"/', $svg, $size) !== 1) {
            return '';
        }
        $scale = self::DRAWING_MM / max((float) $size[1], (float) $size[2], 0.1);

        return Html::drawing($svg, (float) $size[1] * $scale, (float) $size[2] * $scale);
    }
}
