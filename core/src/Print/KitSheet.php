<?php

declare(strict_types=1);

namespace Impa\Print;

use Impa\Sets\Kit;
use Impa\Wool\Grams;

/** For the one who leads a workshop: what is packed, what is weighed off, how the afternoon runs. HTML for PDF. */
final class KitSheet
{
    private const STYLE = <<<'CSS'
    table { width: 100%; border-collapse: collapse; margin-bottom: 5mm } td, th { border-top: 0.3mm dashed #b9a88f; padding: 1.6mm 2mm;
    vertical-align: top; text-align: left } .n { text-align: right; white-space: nowrap } .sw { display: inline-block; width: 4mm;
    height: 4mm; border: 0.2mm solid #8a7a66 } .box { border: 0.4mm solid #9b3046; padding: 2.5mm; margin-bottom: 4mm }
    CSS;

    public static function of(Kit $kit): string
    {
        return Html::sheet(
            self::STYLE,
            sprintf('%s: kits for %d, %d spare', $kit->supply->figure->name, $kit->people, $kit->spare),
            self::weigh($kit).self::packing($kit).self::run($kit),
        );
    }

    private static function weigh(Kit $kit): string
    {
        $html = '<h2>Weigh off</h2><table><tr><th></th><th>Wool</th><th class="n">each bag</th><th class="n">in all</th></tr>';
        foreach ($kit->bag as $i => $row) {
            $html .= sprintf(
                '<tr><td>%s</td><td>%s</td><td class="n">%s</td><td class="n">%s</td></tr>',
                $row['hex'] === null ? '' : sprintf('<span class="sw" style="background:%s"></span>', $row['hex']),
                Html::text($row['name']),
                Grams::text($row['eachG']),
                Grams::text($kit->needs[$i]->wantG),
            );
        }

        return $html.'</table>';
    }

    private static function packing(Kit $kit): string
    {
        $html = '<h2>Pack</h2><table>';
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
        $html = '<h2>How it runs</h2><div class="box">'.Html::text(Kit::NOTE).'</div><table>';
        foreach ($kit->run() as $row) {
            $html .= sprintf(
                '<tr><td class="n">%s</td><td><b>%s</b><br><small>%s</small></td></tr>',
                $clock($row['from']),
                Html::text($row['what']),
                Html::text($row['note']),
            );
        }

        return $html.sprintf('<tr><td class="n">%s</td><td>End</td></tr></table>', $clock($kit->run()[count($kit->run()) - 1]['to']));
    }
}
