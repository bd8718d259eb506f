<?php

declare(strict_types=1);

namespace Impa\Wool\Portion;

use Impa\Figure\Figure;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Voice;
use Impa\Voice\Writer;
use Impa\Wool\Ledger\Purpose;
use Impa\Wool\Ledger\WoolWords;

/** What to weigh and how to divide it, in one sentence. */
final class PortionWords
{
    public static function of(Portion $portion, Figure $figure): string
    {
        $line = $portion->line;
        $what = WoolWords::within($line->material, $line->for->colour, $figure);
        $said = [$line->purpose === Purpose::Covering
            ? Message::of('wool.portion.weigh-for', g: Amount::g($line->allG()), what: $what, why: $line->why)
            : Message::of('wool.portion.weigh', g: Amount::g($line->allG()), what: $what)];
        if ($line->pieces > 1) {
            $said[] = Message::of(
                'wool.portion.split',
                count: $line->pieces,
                piece: Writer::of(Voice::current())->piece($line->allG(), $line->pieces),
            );
        }
        if ($portion->cmEach > 0.0) {
            $said[] = Message::of('wool.portion.rope'.($line->pieces > 1 ? '-each' : ''), long: Amount::mm($portion->cmEach * 10));
        }
        if (count($portion->layersG) > 1) {
            $said[] = Message::of(
                'wool.portion.layers',
                ball: Amount::g($portion->layersG[0]),
                wraps: implode(', ', array_map(Amount::g(...), array_slice($portion->layersG, 1))),
            );
        }
        if ($portion->fluffG > 0.0) {
            $said[] = Message::of('wool.portion.fluff', g: Amount::g($portion->fluffG));
        }

        return implode(' ', $said);
    }
}
