<?php

declare(strict_types=1);

namespace Impa\Balance;

use Impa\Voice\Message;

/** How a figure stands, as a document (formats/impa-balance-1.schema.json). */
final class BalanceSheet
{
    /** @return array<string, mixed> */
    public static function of(Balance $balance): array
    {
        $mm = static fn (array $point): array => array_map(static fn (float $v): float => round($v, 2) + 0.0, $point);
        $hang = $balance->hang();
        $cures = Cures::of($balance);

        return [
            'format' => 'impa-balance',
            'version' => 1,
            'figure' => $balance->figure->name,
            'massG' => round($balance->massG, 2),
            'centreMm' => $mm($balance->centreMm),
            'tipDeg' => round($balance->tipDeg(), 2),
            'limitsDeg' => ['falls' => Balance::FALLS_DEG, 'touchy' => Balance::TOUCHY_DEG],
            'mustStand' => $balance->mustStand(),
            'stands' => $balance->stands(),
            'touchy' => $balance->isTouchy(),
            'footprintMm' => array_map($mm, $balance->footprint->hull),
            'rose' => array_map(
                static fn (array $side): array => ['towardsDeg' => $side['towardsDeg'], 'tipDeg' => round($side['tipDeg'], 2)],
                $balance->rose(),
            ),
            'shakeG' => round($balance->shakeG(), 3),
            'shelfMm' => round($balance->shelfMm(), 1),
            'noCure' => $balance->isTouchy() && $cures === [] ? Message::of('balance.cures.none') : '',
            'cures' => array_map(
                static fn (Cure $cure): array => [
                    'kind' => $cure->kind,
                    'amount' => round($cure->amount, 1),
                    'unit' => $cure->unit,
                    'tipDeg' => round($cure->tipDeg, 2),
                    'text' => $cure->text,
                ],
                $cures,
            ),
            'hang' => ['atMm' => $mm($hang['atMm']), 'askewDeg' => round($hang['askewDeg'], 2)],
        ];
    }
}
