<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Geometry\Outline\Polygon;
use Impa\Render\FlatArea;
use Impa\Voice\Amount;

/** What is said of a piece from where its rim is seen. */
final class Pieces
{
    /** So much of a piece's rim must be seen, or nothing is said of it. */
    private const SEEN = 1 / 3;

    /** Where only lightness tells its rim, the shadow at its foot and its own shade make a piece seem so much larger or smaller, mm. */
    private const BY_LIGHT_MM = 0.6;

    /** What is not where it should be matters so much. */
    private const ELSEWHERE = 15.0;

    private const SIZES = ['width' => true, 'height' => true];

    private const LEAST_DEG = 1.5;

    private const LEAST_SWING_MM = 0.4;

    private const SURE_SIGMAS = 2.5;

    /**
     * @param  list<Rim>  $rims  of the plan
     * @param  list<string>  $unjudged
     * @return list<Deviation>
     */
    public static function judged(Expected $plan, Seen $seen, array $rims, float $leastMm, array &$unjudged): array
    {
        $deviations = [];
        // What is alone on a photo stands nowhere in particular.
        $isAlone = count($seen->pieces) === 1;
        $all = array_count_values(array_map(static fn (Rim $rim): int => $rim->layer, $rims));
        foreach ($seen->pieces as [$fit, $label]) {
            $layer = $plan->layers[$label];
            if (($all[$label] ?? 0) < Seen::LEAST_PLACES) {
                $unjudged[] = sprintf('%s: it is hidden from this side.', ucfirst(Names::of($layer)));
            } elseif (self::SEEN * Polygon::perimeter($layer->loops[0]) > $all[$label] * Rim::EVERY_MM) {
                $unjudged[] = sprintf('%s: less than a third of its rim is seen from this side.', ucfirst(Names::of($layer)));
            } elseif ($fit->places < Seen::LEAST_PLACES ? isset($seen->colours->elsewhere[$label]) : $fit->isElsewhere($layer->piece)) {
                $deviations[] = new Deviation(
                    part: $layer->piece->part->key,
                    detail: '',
                    what: 'missing',
                    amount: 0.0,
                    text: sprintf('%s is not seen where it should be.', ucfirst(Names::of($layer))),
                    weight: self::ELSEWHERE,
                    atMm: Names::middle($layer),
                    isTwin: $layer->piece->isTwin,
                );
            } elseif ($fit->places < Seen::LEAST_PLACES) {
                $unjudged[] = sprintf('%s: its rim cannot be told from what lies beside it.', ucfirst(Names::of($layer)));
            } else {
                $told = self::one($layer, $fit, $leastMm, self::BY_LIGHT_MM * $seen->byLight($label), $unjudged);
                array_push($deviations, ...$isAlone ? array_filter($told, self::isSize(...)) : $told);
            }
        }

        return $deviations;
    }

    /**
     * @param  float  $vagueMm  how much less surely it is known how large it is
     * @param  list<string>  $unjudged
     * @return list<Deviation>
     */
    private static function one(FlatArea $layer, PieceFit $fit, float $leastMm, float $vagueMm, array &$unjudged): array
    {
        $name = Names::of($layer);
        $at = Names::middle($layer);
        $words = [
            'width' => ['wide', 'narrow', '%s %s too %s'],
            'height' => ['tall', 'short', '%s %s too %s'],
            'across' => ['to the right', 'to the left', '%s sits %s too far %s'],
            'level' => ['higher', 'lower', '%s sits %s %s than planned'],
        ];
        $deviations = [];
        foreach ($words as $what => [$more, $less, $text]) {
            [$off, $sigma] = [$fit->off[$what], $fit->sigma[$what]];
            if (! $fit->isTold($what)) {
                $unjudged[] = sprintf('%s: its %s is not seen from this side.', ucfirst($name), [
                    'width' => 'width',
                    'height' => 'height',
                    'across' => 'place across',
                    'level' => 'level',
                ][$what]);
            } elseif (abs($off) >= max($leastMm, self::SURE_SIGMAS * $sigma) + (isset(self::SIZES[$what]) ? $vagueMm : 0.0)) {
                $deviations[] = new Deviation(
                    part: $layer->piece->part->key,
                    detail: '',
                    what: $what,
                    amount: $off,
                    text: ucfirst(sprintf($text, $name, Amount::mm(abs($off)), $off > 0.0 ? $more : $less)).'.',
                    weight: abs($off),
                    atMm: $at,
                    isTwin: $layer->piece->isTwin,
                );
            }
        }
        $turn = rad2deg($fit->off['turn']);
        $swing = $fit->swingMm();
        if (! $fit->isTurnTold()) {
            $unjudged[] = sprintf('%s: its lean is not told, it is too round for that.', ucfirst($name));
        } elseif (abs($turn) >= self::LEAST_DEG && $swing >= self::LEAST_SWING_MM) {
            $deviations[] = new Deviation(
                part: $layer->piece->part->key,
                detail: '',
                what: 'tilt',
                amount: $turn,
                text: sprintf('%s leans %s to the %s.', ucfirst($name), Amount::degrees(abs($turn)), $turn > 0.0 ? 'left' : 'right'),
                weight: $swing,
                atMm: $at,
                isTwin: $layer->piece->isTwin,
            );
        }

        return $deviations;
    }

    private static function isSize(Deviation $deviation): bool
    {
        return isset(self::SIZES[$deviation->what]);
    }
}
