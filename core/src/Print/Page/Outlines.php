<?php

declare(strict_types=1);

namespace Impa\Print\Page;

use Impa\Figure\Figure;
use Impa\Render\FlatArea;
use Impa\Render\View;
use Impa\Voice\Message;

/** Every outline of a figure from one side as one SVG of true size, each by its name, where it lies: for programs that draw. */
final class Outlines
{
    private const RIM_MM = 5.0;

    public static function svg(Figure $figure, View $view): string
    {
        $side = $view->side();
        $groups = '';
        [$left, $right, $low, $high] = [0.0, 0.0, 0.0, 0.0];
        foreach (FlatArea::all($figure, $side) as $i => $layer) {
            $d = '';
            foreach ($layer->loops as $loop) {
                foreach ($loop as $j => [$x, $y]) {
                    [$left, $right, $low, $high] = [min($left, $x), max($right, $x), min($low, $y), max($high, $y)];
                    $d .= sprintf('%s%s %s', $j === 0 ? 'M' : 'L', Page::number($x), Page::number(-$y));
                }
                $d .= 'Z';
            }
            $twin = $layer->isOther || ($layer->detail === null && $layer->piece->isTwin) ? Message::of('print.twin') : '';
            $what = $layer->detail;
            $groups .= sprintf(
                '<path id="%s-%d" d="%s" fill="%s" fill-rule="evenodd" stroke="#3a2a20" stroke-width="0.2">'
                    ."<title>%s</title></path>\n",
                preg_replace('/[^A-Za-z0-9_-]/', '-', $what === null ? 'part-'.$layer->piece->part->key : 'detail-'.$what->key),
                $i,
                $d,
                $layer->srgb->toHex(),
                Page::escaped(($what === null ? $layer->piece->part->name : $what->name).$twin),
            );
        }
        [$x, $y] = [$left - self::RIM_MM, -$high - self::RIM_MM];
        [$width, $height] = [$right - $left + 2 * self::RIM_MM, $high - $low + 2 * self::RIM_MM];

        return sprintf(
            "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%smm\" height=\"%smm\" viewBox=\"%s %s %s %s\">\n"
                ."<title>%s</title>\n%s</svg>\n",
            ...array_map(Page::number(...), [$width, $height, $x, $y, $width, $height]),
            ...[Page::escaped($figure->name), $groups],
        );
    }
}
