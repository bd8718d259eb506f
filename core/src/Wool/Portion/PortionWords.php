<?php

declare(strict_types=1);

namespace Impa\Wool\Portion;

use Impa\Figure\Figure;
use Impa\Voice\Amount;
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
        $for = $line->purpose === Purpose::Covering ? ' for the '.$line->why : '';
        $said = sprintf('Weigh %s %s%s.', Amount::g($line->allG()), $what, $for);
        if ($line->pieces > 1) {
            $said .= sprintf(
                ' Split in %s equal pieces of %s.',
                $line->pieces === 2 ? 'two' : (string) $line->pieces,
                Writer::of(Voice::current())->piece($line->allG(), $line->pieces),
            );
        }
        if ($portion->cmEach > 0.0) {
            $said .= sprintf(' That is %s of the rope%s.', Amount::mm($portion->cmEach * 10), $line->pieces > 1 ? ' each' : '');
        }
        if (count($portion->layersG) > 1) {
            $said .= sprintf(
                ' A tight ball of %s first, then wraps of %s.',
                Amount::g($portion->layersG[0]),
                implode(', ', array_map(Amount::g(...), array_slice($portion->layersG, 1))),
            );
        }
        if ($portion->fluffG > 0.0) {
            $said .= sprintf(' Leave %s of it loose as the fluff end.', Amount::g($portion->fluffG));
        }

        return $said;
    }
}
