<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use Impa\Build\Steps\LayerSteps;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** What comes before what by the custom of the trade, where reach does not explain it (docs/trade.md, What comes before what). */
final class TradePrecedence
{
    /** A part sits on top of another where its middle lies above that one's by this share of its height. */
    private const ON_TOP = 0.25;

    /** @return list<array{string, string, Message}> first, then, why */
    public static function arrows(Figure $figure): array
    {
        $arrows = [];
        foreach ($figure->parts as $part) {
            if (! $part->isJoined()) {
                continue;
            }
            $name = new Name($part->name);
            $to = $figure->parts[$part->join->to];
            if ($part->solid->kind()->isFlat()) {
                foreach ($figure->detailsOn($part->key) as $detail) {
                    if (LayerSteps::isEmbroidery($figure, $detail->method)) {
                        continue;
                    }
                    $why = Message::of('build.trade-precedence.a-second-colour-goes', name: $name);
                    $arrows[] = ['detail:'.$detail->key, 'join:'.$part->key, $why];
                }
            }
            if (self::isOnTop($part, $to) && ! $figure->flat->isFlat()) {
                foreach ($figure->detailsOn($to->key) as $detail) {
                    if ($detail->method->isSewn()) {
                        $arrows[] = [
                            'detail:'.$detail->key,
                            'join:'.$part->key,
                            Message::of('build.trade-precedence.its-stitches-are-hidden', name: $name),
                        ];
                    }
                }
            }
            if ($part->stand->group !== '' && $to->stand->group !== $part->stand->group) {
                array_push($arrows, ...self::held($figure, $part));
            }
        }

        return $arrows;
    }

    /**
     * What is held goes onto what holds it before that goes on, and so on down to what stands: the lamp onto the hand, the hand onto the
     * arm, the arm onto the body.
     *
     * @return list<array{string, string, Message}>
     */
    private static function held(Figure $figure, Part $part): array
    {
        $arrows = [];
        for ($by = $figure->parts[$part->join->to]; $by->isJoined(); $by = $figure->parts[$by->join->to]) {
            $why = Message::of('build.trade-precedence.what-is-held-goes', name: new Name($by->name));
            $arrows[] = ['hide:'.$part->key, 'join:'.$by->key, $why];
            $part = $by;
        }

        return $arrows;
    }

    private static function isOnTop(Part $part, Part $of): bool
    {
        return self::ON_TOP * $of->solid->size()->heightMm < $part->stand->at[1] - $of->stand->at[1];
    }
}
