<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Impa\Figure\Detail;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Keep;
use Impa\Geometry\Box;
use Impa\Surface\Chart;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Message;

/**
 * What happens to a drawn detail near the edge of a round head: seen right it takes more wool than it looks, laid in its drawn
 * size it is seen narrower and farther in. The felter chooses which.
 */
final class Sliding
{
    /** From so many times its drawn size on, and so many mm, it is worth a choice (house choice). */
    private const WORTH = 1.15;

    private const WORTH_MM = 0.8;

    public static function of(Detail $detail, Surface $surface): ?Advice
    {
        if ($detail->lie->keep !== Keep::Unsaid || in_array($detail->drawn->kind, [DetailKind::Bead, DetailKind::Eye], true)) {
            return null;
        }
        $box = Box::around($detail->outline());
        [$x, $y] = $box->middle();
        if (! $surface->has($x, $y)) {
            return null;
        }
        $across = TapeMark::straightMm($surface, [$box->left, $y], [$box->right, $y]);
        $down = TapeMark::straightMm($surface, [$x, $box->low], [$x, $box->high]);
        // Over a gap between two places of a bent or turned part there is nothing to measure along.
        $isMeasured = ! is_nan($across) && ! is_nan($down);
        $times = max($box->width() > 0.0 ? $across / $box->width() : 0.0, $box->height() > 0.0 ? $down / $box->height() : 0.0);
        // Both ways across it lie well on the part: so does its rim.
        if ($isMeasured && $times < self::WORTH) {
            return null;
        }
        $off = count(array_filter($detail->outline(), static fn (array $p): bool => ! $surface->has(...$p)));
        if ($off > 0) {
            return Advice::look(
                'slides',
                Message::of('face.sliding.of-its-rim', share: Amount::share($off / count($detail->outline()))),
                [
                    Mend::keep(Message::of('face.sliding.keep-it-as-drawn'), 'drawn'),
                    Mend::keep(Message::of('face.sliding.keep-it-in-size'), 'size'),
                ],
            );
        }
        if (! $isMeasured || max($across - $box->width(), $down - $box->height()) < self::WORTH_MM) {
            return null;
        }

        return Advice::look(
            'slides',
            Message::of(
                'face.sliding.it-slides-round',
                width: Lengths::of($box->width(), $box->height()),
                across: Lengths::of($across, $down),
            ),
            [
                Mend::keep(Message::of('face.sliding.keep-it-as-drawn-2', across: Lengths::of($across, $down)), 'drawn'),
                Mend::keep(Message::of('face.sliding.keep-it-in-size-2', width: Lengths::of($box->width(), $box->height())), 'size'),
            ],
        );
    }

    /**
     * What to set on a detail so that it lies on the wool as large, and as far by tape from the middle, as it was drawn: its
     * drawing is laid on the head as a cloth is, from the middle of the part outwards. What would lie round the edge stops short of it.
     *
     * @return array<string, mixed>
     */
    public static function inSize(Detail $detail, Surface $surface): array
    {
        $chart = Chart::of($surface);
        $down = TapeMark::downMm($surface, 0.0);
        $laid = static function (array $p) use ($chart, $down): ?array {
            for ($share = 1.0; $share > 0.2; $share -= 0.02) {
                $seen = $chart->seen($share * $p[0], $down - $share * $p[1]);
                if ($seen !== null) {
                    return $seen;
                }
            }

            return null;
        };
        $middle = $laid($detail->middle());
        if ($middle === null) {
            return [];
        }
        if ($detail->drawn->pointsMm === [] && fmod($detail->lie->turnDeg, 180.0) === 0.0) {
            [$left, $right, $low, $high] = array_map($laid, [
                [$detail->lie->xMm - $detail->drawn->widthMm / 2, $detail->lie->yMm],
                [$detail->lie->xMm + $detail->drawn->widthMm / 2, $detail->lie->yMm],
                [$detail->lie->xMm, $detail->lie->yMm - $detail->drawn->heightMm / 2],
                [$detail->lie->xMm, $detail->lie->yMm + $detail->drawn->heightMm / 2],
            ]);
            if ($left !== null && $right !== null && $low !== null && $high !== null) {
                return [
                    'keep' => 'size',
                    'xMm' => round(($left[0] + $right[0]) / 2, 2),
                    'yMm' => round(($low[1] + $high[1]) / 2, 2),
                    'widthMm' => round($right[0] - $left[0], 2),
                    'heightMm' => round($high[1] - $low[1], 2),
                ];
            }
        }
        $points = array_values(array_filter(array_map($laid, $detail->drawn->pointsMm === [] ? $detail->outline() : $detail->points())));
        $away = array_map(static fn (array $p): array => [round($p[0] - $middle[0], 2), round($p[1] - $middle[1], 2)], $points);

        return [
            'keep' => 'size',
            'xMm' => round($middle[0], 2),
            'yMm' => round($middle[1], 2),
            'turnDeg' => 0,
            'pointsMm' => $away,
        ] + ($detail->drawn->pointsMm === [] ? ['kind' => 'patch', 'smooth' => true] : []);
    }
}
