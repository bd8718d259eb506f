<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Geometry\Outline\Polygon;
use Impa\Render\FlatArea;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Opening;

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
     * @param  list<Message>  $unjudged
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
                $unjudged[] = Message::of('check.pieces.hidden', name: new Opening(Names::of($layer)));
            } elseif (self::SEEN * Polygon::perimeter($layer->loops[0]) > $all[$label] * Rim::EVERY_MM) {
                $unjudged[] = Message::of('check.pieces.rim-hidden', name: new Opening(Names::of($layer)));
            } elseif ($fit->places < Seen::LEAST_PLACES ? isset($seen->colours->elsewhere[$label]) : $fit->isElsewhere($layer->piece)) {
                $deviations[] = new Deviation(
                    part: $layer->piece->part->key,
                    detail: '',
                    what: 'missing',
                    amount: 0.0,
                    text: Message::of('check.pieces.elsewhere', name: new Opening(Names::of($layer))),
                    weight: self::ELSEWHERE,
                    atMm: Names::middle($layer),
                    isTwin: $layer->piece->isTwin,
                );
            } elseif ($fit->places < Seen::LEAST_PLACES) {
                $unjudged[] = Message::of('check.pieces.rim-untold', name: new Opening(Names::of($layer)));
            } else {
                $told = self::one($layer, $fit, $leastMm, self::BY_LIGHT_MM * $seen->byLight($label), $unjudged);
                array_push($deviations, ...$isAlone ? array_filter($told, self::isSize(...)) : $told);
            }
        }

        return $deviations;
    }

    /**
     * @param  float  $vagueMm  how much less surely it is known how large it is
     * @param  list<Message>  $unjudged
     * @return list<Deviation>
     */
    private static function one(FlatArea $layer, PieceFit $fit, float $leastMm, float $vagueMm, array &$unjudged): array
    {
        $name = new Opening(Names::of($layer));
        $at = Names::middle($layer);
        $deviations = [];
        foreach (['width', 'height', 'across', 'level'] as $what) {
            [$off, $sigma] = [$fit->off[$what], $fit->sigma[$what]];
            if (! $fit->isTold($what)) {
                $unjudged[] = Message::of("check.pieces.untold.$what", name: $name);
            } elseif (abs($off) >= max($leastMm, self::SURE_SIGMAS * $sigma) + (isset(self::SIZES[$what]) ? $vagueMm : 0.0)) {
                $deviations[] = new Deviation(
                    part: $layer->piece->part->key,
                    detail: '',
                    what: $what,
                    amount: $off,
                    text: Message::of("check.pieces.$what.".($off > 0.0 ? 'more' : 'less'), name: $name, off: Amount::mm(abs($off))),
                    weight: abs($off),
                    atMm: $at,
                    isTwin: $layer->piece->isTwin,
                );
            }
        }
        $turn = rad2deg($fit->off['turn']);
        $swing = $fit->swingMm();
        if (! $fit->isTurnTold()) {
            $unjudged[] = Message::of('check.pieces.untold.lean', name: $name);
        } elseif (abs($turn) >= self::LEAST_DEG && $swing >= self::LEAST_SWING_MM) {
            $deviations[] = new Deviation(
                part: $layer->piece->part->key,
                detail: '',
                what: 'tilt',
                amount: $turn,
                text: Message::of('check.pieces.leans.'.($turn > 0.0 ? 'left' : 'right'), name: $name, by: Amount::degrees(abs($turn))),
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
