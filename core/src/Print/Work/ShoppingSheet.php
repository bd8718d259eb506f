<?php

declare(strict_types=1);

namespace Impa\Print\Work;

use Impa\Print\Page\Html;
use Impa\Stash\Supply\ShoppingList;
use Impa\Voice\Amount;
use Impa\Voice\Message;

/** The shopping list, to take along. */
final class ShoppingSheet
{
    private const STYLE = <<<'CSS'
    @page { margin: 16mm } body { font-family: Helvetica; color: #3a2a20; font-size: 11pt } h1 { font-size: 17pt }
    table { width: 100%; border-collapse: collapse } td { border-top: 0.3mm dashed #b9a88f; padding: 2.5mm 2mm } .n { text-align: right }
    CSS;

    /**
     * @param  string  $figure  its name
     * @return string HTML
     */
    public static function of(string $figure, ShoppingList $list, float $sending): string
    {
        $html = '<table>';
        foreach ($list->lines as $line) {
            $html .= sprintf(
                '<tr><td>[ &nbsp; ]</td><td><b>%s</b><br>%s</td><td>%s</td><td class="n">%s</td></tr>',
                Html::text($line['offer']->name),
                Html::text(Message::of('print.shopping.for', names: implode(', ', $line['for']), g: Amount::g($line['needG']))),
                ShoppingList::packs($line),
                Html::text(Amount::money($line['price'])),
            );
        }
        $html .= sprintf(
            '<tr><td></td><td>%s</td><td></td><td '
                .'class="n">%s</td></tr><tr><td></td><td><b>%s</b></td><td></td><td '
                .'class="n"><b>%s</b></td></tr></table>',
            Html::text(Message::of('print.shopping.sending')),
            Html::text(Amount::money($sending)),
            Html::text(Message::of('print.shopping.together')),
            Html::text(Amount::money($list->price() + $sending)),
        );
        foreach ($list->missing as $missing) {
            $html .= sprintf(
                '<p><b>%s</b>, %s: %s</p>',
                Html::text($missing['name']),
                Amount::g($missing['needG']),
                Html::text($missing['why']),
            );
        }

        return Html::sheet(self::STYLE, Message::of('print.shopping.title', name: $figure), $html);
    }
}
