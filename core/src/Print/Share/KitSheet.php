<?php

declare(strict_types=1);

namespace Impa\Print\Share;

use Impa\Print\Page\Html;
use Impa\Sets\Kit;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Wool\Mix;

/** For the one who leads a workshop: what is packed, what is weighed off, how the afternoon runs. HTML for PDF. */
final class KitSheet
{
    /** The widest that goes on a page, mm. */
    private const LARGEST_MM = 165.0;

    /** Room beside each, mm. */
    private const BESIDE_MM = 6.0;

    private const UNDYED = '#efe6d4';

    private const STYLE = <<<'CSS'
    table { width: 100%; border-collapse: collapse; margin-bottom: 5mm } td, th { border-top: 0.3mm dashed #b9a88f; padding: 1.6mm 2mm;
    vertical-align: top; text-align: left } .n { text-align: right; white-space: nowrap } .sw { display: inline-block; width: 4mm;
    height: 4mm; border: 0.2mm solid #8a7a66 } .box { border: 0.4mm solid #9b3046; padding: 2.5mm; margin-bottom: 4mm }
    .clumps { width: auto; page-break-inside: avoid } .clumps td { border: 0; vertical-align: bottom; padding: 0 2mm 1mm 0 }
    CSS;

    public static function of(Kit $kit): string
    {
        return Html::sheet(
            self::STYLE,
            Message::of('print.kit.title', name: $kit->supply->figure->name, people: $kit->people, spare: $kit->spare),
            self::weigh($kit).self::clumps($kit).self::packing($kit).self::run($kit),
        );
    }

    private static function weigh(Kit $kit): string
    {
        $mixes = implode('', array_map(static fn (Mix $m): string => '<p>'.Html::text($m->text()).'</p>', $kit->mixes()));
        $html = $mixes === '' ? '' : '<h2>'.Html::text(Message::of('print.kit.mix')).'</h2>'.$mixes;
        $html .= sprintf(
            '<h2>%s</h2><table><tr><th></th><th>%s</th><th class="n">%s</th><th class="n">%s</th></tr>',
            Html::text(Message::of('print.kit.weigh')),
            Html::text(Message::of('print.card.what.wool')),
            Html::text(Message::of('print.kit.each')),
            Html::text(Message::of('print.kit.all')),
        );
        foreach ($kit->bag as $row) {
            $html .= sprintf(
                '<tr><td>%s</td><td>%s</td><td class="n">%s</td><td class="n">%s</td></tr>',
                $row['hex'] === null ? '' : sprintf('<span class="sw" style="background:%s"></span>', $row['hex']),
                Html::text($row['name']),
                Amount::g($row['eachG']),
                Amount::g($kit->bags() * $row['eachG']),
            );
        }

        return $html.'</table>';
    }

    /** What lies in a bag, each as a loose ball at true size: held against it, a heap that is far off shows at once. */
    private static function clumps(Kit $kit): string
    {
        $rows = [];
        $room = 0.0;
        foreach ($kit->bag as $wool) {
            $mm = $wool['clumpMm'];
            $isDrawn = $mm <= self::LARGEST_MM;
            if ($isDrawn && ($rows === [] || $mm + self::BESIDE_MM > $room)) {
                $rows[] = '';
                $room = self::LARGEST_MM;
            }
            $words = Html::text($wool['name'].', '.Amount::g($wool['eachG']));
            if ($isDrawn) {
                $rows[count($rows) - 1] .= '<td>'.self::clump($mm, $wool['hex'] ?? self::UNDYED)."<br><small>{$words}</small></td>";
                $room -= $mm + self::BESIDE_MM;
            } else {
                $rows[] = sprintf('<td>%s: %s</td>', $words, Html::text(Message::of('print.kit.no-room', across: Amount::mm($mm))));
                $room = 0.0;
            }
        }
        $tables = array_map(static fn (string $cells): string => "<table class=\"clumps\"><tr>{$cells}</tr></table>", $rows);

        return '<h2>'.Html::text(Message::of('print.kit.bag')).'</h2>'
            .'<p>'.Html::text(Message::of('print.kit.bag-note')).'</p>'.implode('', $tables);
    }

    private static function clump(float $mm, string $hex): string
    {
        $side = ceil($mm) + 2;

        return Html::drawing(sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$d" height="%1$d" viewBox="0 0 %1$d %1$d"><circle cx="%2$.2f" cy="%2$.2f" '
                .'r="%3$.2f" fill="%4$s" fill-opacity="0.35" stroke="#6d5b4c" stroke-width="0.4" stroke-dasharray="2 1.4"/></svg>',
            $side,
            $side / 2,
            $mm / 2,
            $hex,
        ), $side, $side);
    }

    private static function packing(Kit $kit): string
    {
        $html = '<h2>'.Html::text(Message::of('print.kit.pack')).'</h2><table>';
        foreach ($kit->packing() as $row) {
            $html .= sprintf(
                '<tr><td>[ &nbsp; ]</td><td class="n">%d</td><td>%s<br><small>%s</small></td></tr>',
                $row['count'],
                Html::text($row['what']),
                Html::text($row['note']),
            );
        }

        return $html.'</table>';
    }

    private static function run(Kit $kit): string
    {
        $clock = static fn (float $minutes): string => sprintf('%d:%02d', intdiv((int) round($minutes), 60), (int) round($minutes) % 60);
        $html = '<h2>'.Html::text(Message::of('print.kit.run')).'</h2><div class="box">'.Html::text($kit->note()).'</div><table>';
        foreach ($kit->run() as $row) {
            $html .= sprintf(
                '<tr><td class="n">%s</td><td><b>%s</b><br><small>%s</small></td></tr>',
                $clock($row['from']),
                Html::text($row['what']),
                Html::text($row['note']),
            );
        }

        return $html.sprintf(
            '<tr><td class="n">%s</td><td>%s</td></tr></table>',
            $clock($kit->run()[count($kit->run()) - 1]['to']),
            Html::text(Message::of('print.kit.end')),
        );
    }
}
